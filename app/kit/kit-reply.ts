import type { Problem } from "~/core/ground/result";

/** What a form of the Kit is told: what was refused, what had been typed, what was done. */
export interface KitReply {
  readonly problems: readonly Problem[];
  readonly values: Readonly<Record<string, string>>;
  readonly said?: string;
}
