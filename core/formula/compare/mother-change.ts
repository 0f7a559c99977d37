import { ALLERGENS } from "../../things/larder";
import { costOf } from "../costing/cost";
import type { FormulaDocument } from "../document/document";
import { type KitchenData, formulaIn, openKitchen } from "../walk/kitchen";
import { labelOf } from "../walk/label";
import { walk } from "../walk/walk";
import { type Moved, formulasUsing, movedBetween } from "./brand-change";

/** What a formula that draws on another becomes when that one changes. */
export interface DaughterMoved {
  readonly id: string;
  readonly name: string;
  /** What is tasted or measured, the largest first; empty: nothing of that. */
  readonly moved: readonly Moved[];
  /** Allergens that come in and that go, in words. */
  readonly comes: readonly string[];
  readonly goes: readonly string[];
  /** Whether its allergens are not known any more. */
  readonly notKnownNow: boolean;
  readonly cost: { readonly before: number; readonly after: number; readonly currency: string };
  /** Why it cannot be made any more; empty: it can. */
  readonly problems: readonly string[];
}

/** A difference of cost smaller than this is nobody’s to see, as a share. */
const LEAST_COST = 0.002;

/**
 * What a change of a mother does to every formula that draws on it, however far down: each is walked with the one and the
 * other. Those that nothing happens to are left out.
 *
 * @param kitchen with the formulas that may draw on it
 */
export function motherChange(
  kitchen: KitchenData,
  id: string,
  before: FormulaDocument,
  after: FormulaDocument,
): DaughterMoved[] {
  const withMother = (document: FormulaDocument) =>
    openKitchen({ ...kitchen, formulas: { ...kitchen.formulas, [id]: document } });
  const [was, is] = [withMother(before), withMother(after)];
  return formulasUsing(kitchen.formulas, { formula: id })
    .filter(daughter => daughter !== id)
    .flatMap((daughter): DaughterMoved[] => {
      const document = formulaIn(kitchen, daughter);
      if (!document) return [];
      const [then, now] = [walk(document, was), walk(document, is)];
      const [labelThen, labelNow] = [labelOf(then), labelOf(now)];
      const known = new Set(then.problems.map(problem => problem.message));
      const problems = now.problems.map(p => p.message).filter(message => !known.has(message));
      const [costThen, costNow] = [costOf(document, then), costOf(document, now)];
      const found: DaughterMoved = {
        id: daughter,
        name: document.name,
        moved: movedBetween(then, now) ?? [],
        comes: labelNow.allergens.filter(a => !labelThen.allergens.includes(a)).map(a => ALLERGENS[a]),
        goes: labelThen.allergens.filter(a => !labelNow.allergens.includes(a)).map(a => ALLERGENS[a]),
        notKnownNow: labelThen.known && !labelNow.known,
        cost: { before: costThen.foodCost, after: costNow.foodCost, currency: costNow.currency },
        problems,
      };
      const { cost } = found;
      const nothing =
        !found.moved.length &&
        !found.comes.length &&
        !found.goes.length &&
        !found.notKnownNow &&
        !problems.length &&
        Math.abs(cost.after - cost.before) <= LEAST_COST * cost.before;
      return nothing ? [] : [found];
    });
}
