import type { Step } from "../formula";
import type { SaidIngredient } from "./reading/pool";

/** Something a recipe did not say, and where the answer goes. */
export interface DraftQuestion {
  /** Field of the step, or id of the line, that the answer settles. */
  readonly about: string;
  readonly ask: string;
  /** Answers that can be picked. */
  readonly answers?: readonly { readonly words: string; readonly patch: Partial<Step> }[];
}

/** One piece of a dictated or pasted recipe, read as a step: to be taken, changed or left. */
export interface DraftPiece {
  readonly id: string;
  /** The words it comes from. */
  readonly text: string;
  readonly step: Step;
  readonly said: readonly SaidIngredient[];
  /** Things the larder does not have, and what each is counted like. */
  readonly unknown: readonly { readonly name: string; readonly likeId: string | null }[];
  /** Minutes that were said of a step that ends by something else. */
  readonly saidMin?: number;
  /** What was not said and is needed. */
  readonly questions: readonly DraftQuestion[];
  /** What contradicts itself or cannot be meant. */
  readonly doubts: readonly string[];
}
