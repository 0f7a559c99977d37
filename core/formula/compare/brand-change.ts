import type { Ingredient } from "../../things/larder";
import { type PotState, liquorMass } from "../../things/pot";
import { type FormulaDocument, linesOf } from "../document/document";
import type { Line } from "../steps/amount";
import { type KitchenData, openKitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";
import { formulaIn } from "../walk/kitchen";
import { type Walk, finalState } from "../walk/walked";

/** A figure of a finished sauce with one brand and with another. */
export interface Moved {
  readonly what: string;
  readonly unit: "%" | "ml" | "g";
  readonly before: number;
  readonly after: number;
}

export interface FormulaMoved {
  readonly id: string;
  readonly name: string;
  /** What moves by more than a tenth of a per cent, largest first; empty: nothing to taste. */
  readonly moved: readonly Moved[];
}

const OF_LIQUOR = [
  ["salt", "salt"],
  ["fat", "fat"],
  ["sugars", "sugar"],
  ["acidVolatile", "vinegar acid"],
  ["ethanol", "alcohol"],
  ["collagen", "gelatin"],
] as const;
/** A change of a share below this many per cent points is nobody's to taste. Our estimate. */
const LEAST_POINTS = 0.02;
const LEAST_SHARE = 0.001;

const pctOf = (pot: PotState, pool: (typeof OF_LIQUOR)[number][0]): number => {
  const mass = liquorMass(pot);
  return mass > 0 ? (100 * pot.liquor[pool]) / mass : 0;
};

/** Formulas that draw on an ingredient or a formula, themselves or through another formula. */
export function formulasUsing(formulas: Readonly<Record<string, FormulaDocument>>, of: Line["of"]): string[] {
  const users = new Set<string>();
  const draws = (line: Line): boolean =>
    "larder" in line.of
      ? "larder" in of && line.of.larder === of.larder
      : users.has(line.of.formula) || ("formula" in of && line.of.formula === of.formula);
  // Each pass adds at least one formula or is the last.
  for (let grown = true; grown;) {
    grown = false;
    for (const [id, document] of Object.entries(formulas)) {
      if (users.has(id)) continue;
      if (linesOf(document).some(draws)) {
        users.add(id);
        grown = true;
      }
    }
  }
  return [...users];
}

/**
 * What another brand does to every formula that uses an ingredient: all of them are walked with the one and the other.
 *
 * @param other what would stand in its place; its id does not matter
 */
export function brandChange(kitchen: KitchenData, ingredientId: string, other: Ingredient): FormulaMoved[] {
  const changed: KitchenData = {
    ...kitchen,
    ingredients: kitchen.ingredients.map(i => (i.id === ingredientId ? { ...other, id: ingredientId } : i)),
  };
  const [was, is] = [openKitchen(kitchen), openKitchen(changed)];
  return formulasUsing(kitchen.formulas, { larder: ingredientId }).flatMap((id): FormulaMoved[] => {
    const document = formulaIn(kitchen, id);
    if (!document) return [];
    const [before, after] = [walk(document, was), walk(document, is)];
    const moved = movedBetween(before, after);
    return moved ? [{ id, name: document.name, moved }] : [];
  });
}

/** What a cook would taste or measure between two walks, the largest first; `null` where one of them makes nothing. */
export function movedBetween(before: Walk, after: Walk): Moved[] | null {
  const [potBefore, potAfter] = [finalState(before.states)?.pot, finalState(after.states)?.pot];
  if (!potBefore || !potAfter) return null;
  const shares = OF_LIQUOR.map(([pool, what]): Moved => ({
    what,
    unit: "%",
    before: pctOf(potBefore, pool),
    after: pctOf(potAfter, pool),
  })).filter(m => Math.abs(m.after - m.before) >= LEAST_POINTS);
  const yieldMoved: Moved[] =
    before.finishedMl && after.finishedMl && Math.abs(after.finishedMl / before.finishedMl - 1) > LEAST_SHARE
      ? [{ what: "yield", unit: "ml", before: before.finishedMl, after: after.finishedMl }]
      : [];
  return [...shares, ...yieldMoved].sort(
    (a, b) => Math.abs(b.after / (b.before || 1) - 1) - Math.abs(a.after / (a.before || 1) - 1),
  );
}
