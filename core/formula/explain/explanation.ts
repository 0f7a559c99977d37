import type { Basis } from "../../ground/estimate";
import type { FigureId } from "../walk/figures";

/** A number on a screen, by name. */
export type Askable = (
  | { readonly ask: "mass"; readonly step: number }
  | { readonly ask: "litres"; readonly step: number }
  | { readonly ask: "mark"; readonly step: number }
  | { readonly ask: "line"; readonly step: number; readonly lineId: string }
  | { readonly ask: "computed"; readonly step: number; readonly what: string }
  | { readonly ask: "figure"; readonly step: number; readonly figure: FigureId }
  | { readonly ask: "yield" }
) & {
  /** Id of the formula it stands in; this one where nobody says. */
  readonly of?: string;
};

/** Something that entered a number; it can be asked in turn when `then` is there. */
export interface ExplainedInput {
  readonly label: string;
  readonly value: string;
  readonly basis: Basis;
  readonly source: string;
  readonly range?: string;
  readonly then?: Askable;
}

/** A number taken apart. */
export interface Explanation {
  readonly title: string;
  readonly value: string;
  /** In words. */
  readonly rule: string;
  /** In symbols. */
  readonly symbols: string;
  readonly inputs: readonly ExplainedInput[];
  /** What reading would sharpen it. */
  readonly sharpen: string;
}

/** Source of every figure that follows from bookkeeping alone. */
export const OWN_BOOKS = "the pot’s own books: mass in = mass in the pot + mass that left";
