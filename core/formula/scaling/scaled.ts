import type { Warning } from "../../ground/result";
import type { FormulaDocument } from "../document/document";

/** What a batch is scaled to. */
export type ScaleTo =
  | { readonly by: "base"; readonly massG: number }
  | { readonly by: "factor"; readonly factor: number }
  | { readonly by: "finished"; readonly massG: number }
  | { readonly by: "litres"; readonly volumeMl: number }
  | { readonly by: "covers"; readonly covers: number; readonly portionG: number; readonly overagePct: number }
  | { readonly by: "line"; readonly lineId: string; readonly haveG: number }
  | { readonly by: "vessel"; readonly vesselId: string };

/** Where steam is concerned: simmer as long as written and start with less, or keep the proportions and simmer longer. */
export type ScalePolicy = "keep time" | "keep proportions";

/** One ingredient line three ways: as it is, plainly multiplied, and as Hondaro would weigh it. */
export interface ScaledLine {
  readonly lineId: string;
  readonly name: string;
  readonly originalG: number;
  readonly plainG: number;
  readonly oursG: number;
  /** To what the scales can weigh. */
  readonly roundedG: number;
  /** Share that goes in before the first taste, where it is not all. */
  readonly firstDoseG?: number;
  readonly reason?: string;
}

/** One step three ways. */
export interface ScaledStep {
  readonly stepId: string;
  readonly title: string;
  readonly originalMin: number;
  readonly oursMin: number;
  readonly vesselBefore: string | null;
  readonly vesselAfter: string | null;
  readonly reason?: string;
}

export interface Scaled {
  readonly factor: number;
  /** Equal batches it has to be made in; 1 where the kitchen's pots take it. */
  readonly batches: number;
  /** The formula of one batch. */
  readonly document: FormulaDocument;
  readonly lines: readonly ScaledLine[];
  readonly steps: readonly ScaledStep[];
  /** Water and other amounts nobody types, before, plainly multiplied and now. */
  readonly computed: readonly {
    readonly what: string;
    readonly originalG: number;
    readonly plainG: number;
    readonly oursG: number;
  }[];
  readonly finished: { readonly originalG: number; readonly plainG: number; readonly oursG: number };
  readonly warnings: readonly Warning[];
}

/** A correction smaller than this is nobody's to make, as a share. Our estimate. */
export const LEAST_CORRECTION = 0.005;
