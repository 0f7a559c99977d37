import type { FormulaDocument, Step } from "../core/formula";
import { DEMO_FORMULAS, STOCK_ID } from "../demo/formulas";

/** A line of plain steps: added, browned, deglazed, skimmed, strained. No reduction is simulated in it. */
export function plainLine(count: number): FormulaDocument {
  const base = DEMO_FORMULAS[STOCK_ID];
  if (!base) throw new Error("The demo stock is gone.");
  const line = (id: string, larder: string, pct: number) => ({
    id,
    of: { larder },
    amount: { kind: "share-of-base" as const, pct },
    certainty: "stated" as const,
  });
  const steps = Array.from({ length: count }, (_, i): Step => {
    const id = `b${i}`;
    switch (i % 4) {
      case 0:
        return {
          id,
          kind: "add",
          lines: [line(`${id}w`, "water", 20), line(`${id}o`, "onion", 2)],
          durationMin: 2,
          vesselId: "tall-2",
        };
      case 1:
        return { id, kind: "deglaze", lines: [line(`${id}w`, "white-wine", 1)], durationMin: 2 };
      case 2:
        return { id, kind: "degrease", lines: [], method: "ladle", durationMin: 2 };
      default:
        return { id, kind: "brown", lines: [line(`${id}c`, "carrot", 1)], durationMin: 2 };
    }
  });
  return { ...base, groups: [], steps };
}

/** The same line with two real reductions in it. */
export const withReductions = (line: FormulaDocument): FormulaDocument => ({
  ...line,
  steps: line.steps.map((step, i): Step =>
    i === 19 || i === 39
      ? { id: `r${i}`, kind: "reduce", lines: [], target: { to: 0.8 }, setting: 1, overlap: 1 }
      : step,
  ),
});
