import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { InvariantError } from "../../ground/result";
import { type AmountRelation, type FormulaDocument, type Line, type Step, openKitchen, walk } from "..";

/** The demo kitchen and its formulas, and small lines to try a single thing on. */
export const kitchen = openKitchen(DEMO_KITCHEN);
export const demo = (id: string): FormulaDocument => {
  const document = DEMO_FORMULAS[id];
  if (!document) throw new InvariantError(`No demo formula ${id}`);
  return document;
};
export const stock = demo(STOCK_ID);
export const glace = demo(GLACE_ID);

export const line = (id: string, larder: string, amount: AmountRelation): Line => ({
  id,
  of: { larder },
  amount,
  certainty: "stated",
});
export const fixed = (massG: number): AmountRelation => ({ kind: "fixed", massG });
export const share = (pct: number): AmountRelation => ({ kind: "share-of-base", pct });
export const blank = (
  massG: number,
  steps: readonly Step[],
  groups: FormulaDocument["groups"] = [],
): FormulaDocument => ({ ...stock, name: "A test", base: { name: "base", massG }, groups, steps });
export const adding = (lines: Line[]): Step => ({
  id: "a",
  kind: "add",
  lines,
  durationMin: 1,
  vesselId: "tall-2",
});
export const amounts = (document: FormulaDocument) =>
  Object.fromEntries(walk(document, kitchen).states.flatMap(s => s.lines.map(l => [l.lineId, l])));
