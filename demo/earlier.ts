import { type FormulaDocument, updateLine, updateStep } from "../core/formula";
import { DEMO_SAUCES } from "./sauces";

/** A version that was served before the one of today, and why it was changed. Invented. */
export interface EarlierVersion {
  readonly document: FormulaDocument;
  readonly daysAgo: number;
  readonly kept: string;
  readonly changedBecause: string;
}

const cider = DEMO_SAUCES["cider-juniper-pan-sauce"];

export const EARLIER_VERSIONS: Readonly<Record<string, EarlierVersion>> = cider
  ? {
      "cider-juniper-pan-sauce": {
        document: updateStep(
          updateLine(cider, "butter-line", { amount: { kind: "per-litre", gPerL: 60 } }),
          "reduce-first",
          { target: { to: 0.8 } },
        ),
        daysAgo: 23,
        kept: "as served in October",
        changedBecause:
          "butter from 60 to 30 g a litre: oily on the plate; reduced further before the juniper",
      },
    }
  : {};
