import type { StepKindName } from "../../formula";
import type { Sense } from "../lexicon/verbs";
import type { SaidTime } from "../text/times";
import type { ThingChunk } from "./chunks";
import type { DraftQuestion } from "../piece";
import type { SaidIngredient } from "./pool";

/** A piece while it is read. */
export interface Reading {
  kind: StepKindName;
  said: SaidIngredient[];
  /** Fields of the step that were said. */
  fields: Record<string, unknown>;
  questions: { about: string; ask: string; answers?: DraftQuestion["answers"] }[];
  doubts: string[];
  remarks: string[];
  /** Clauses of which no field took every word. */
  kept: string[];
  texts: string[];
  /** The second pan it is done in. */
  pan?: string;
  /** Which sentence it comes from. */
  sentence: number;
  /** It only brought the pot up: what follows on the fire takes its place. */
  bringsUp?: boolean;
  /** Its time was said. */
  timed?: boolean;
}

/** Where a base is named for all amounts of a sentence: "Per litre of bisque: …". */
export type Per = { readonly kind: "per-litre" | "per-kg" | "per-piece"; readonly of: string } | null;

/** What one clause does, as far as its own words tell. */
export interface Deed {
  /** Its words made plain. */
  readonly T: string;
  readonly main: Sense | null;
  readonly has: (...of: Sense[]) => boolean;
  readonly time: SaidTime | null;
  /** °C. */
  readonly c: number | null;
  readonly offHeat: boolean;
  /** It puts something in. */
  readonly puts: boolean;
  readonly per: Per;
  /** Amounts that stand without a thing. */
  readonly bare: readonly NonNullable<ThingChunk["amount"]>[];
}
