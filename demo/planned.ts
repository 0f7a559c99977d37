import type { Cooking } from "../devices/cook";
import type { FormulaDocument } from "../core/formula";
import type { RunPayload } from "../core/run";

/** A batch of the demo, as it is to be cooked. */
export interface Planned {
  readonly formulaId: string;
  readonly baseG?: number;
  readonly burnerId: string;
  readonly personId: string;
  readonly hoursAgo: number;
  /** Whose hand it is, where it shows. */
  readonly hand?: Cooking["hand"];
  /** Cooked by the version before today’s. */
  readonly earlier?: boolean;
  /** The burner gives less than it did, as a share. */
  readonly weak?: number;
  readonly besides?: (document: FormulaDocument) => {
    readonly stepId: string;
    readonly share: number;
    readonly payload: RunPayload;
  }[];
}

/** The last step of a kind, or the last of all. */
export const stepOf = (document: FormulaDocument, kind: string): string =>
  document.steps.findLast(step => step.kind === kind)?.id ?? document.steps.at(-1)?.id ?? "";
