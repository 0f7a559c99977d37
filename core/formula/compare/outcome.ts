import { costOf, type KitchenRates } from "../costing/cost";
import type { FormulaDocument } from "../document/document";
import { FIGURES, type FigureId } from "../walk/figures";
import { type Walk, finalState } from "../walk/walked";

/** One figure of what comes out, side by side; `null` where there is none. */
export interface OutcomeRow {
  readonly what: string;
  readonly unit: string;
  readonly decimals: number;
  readonly values: readonly (number | null)[];
}

const COMPARED: readonly FigureId[] = [
  "brix",
  "salt",
  "fat",
  "sugar",
  "acid",
  "alcohol",
  "gelatin",
  "starch",
  "temperature",
];

/** What each of several walked formulas gives: yield, cost, time and the state of its pot. */
export function compareOutcomes(
  many: readonly { readonly document: FormulaDocument; readonly walked: Walk }[],
  rates?: KitchenRates,
): OutcomeRow[] {
  const costs = many.map(({ document, walked }) => costOf(document, walked, rates));
  const row = (
    what: string,
    unit: string,
    decimals: number,
    values: readonly (number | null)[],
  ): OutcomeRow => ({
    what,
    unit,
    decimals,
    values,
  });
  const currency = costs.find(c => c.currency)?.currency ?? "";
  return [
    row(
      "yield",
      "l",
      2,
      many.map(m => m.walked.finishedMl / 1000),
    ),
    row(
      "yield",
      "kg",
      2,
      many.map(m => m.walked.finishedG / 1000),
    ),
    row(
      "portions",
      "",
      0,
      costs.map(c => c.portions),
    ),
    row(
      "food cost",
      currency,
      2,
      costs.map(c => c.foodCost),
    ),
    row(
      "cost a kg",
      currency,
      2,
      costs.map(c => c.perKg),
    ),
    row(
      "cost a portion",
      currency,
      3,
      costs.map(c => c.perPortion),
    ),
    row(
      "time",
      "min",
      0,
      many.map(m => m.walked.totalS / 60),
    ),
    row(
      "hands on",
      "min",
      0,
      costs.map(c => c.handsOnMin),
    ),
    row(
      "flame",
      "h",
      1,
      costs.map(c => c.flameH),
    ),
    ...COMPARED.map(id => {
      const figure = FIGURES[id];
      return row(
        figure.label,
        figure.unit,
        figure.decimals,
        many.map(m => {
          const last = finalState(m.walked.states);
          return last ? figure.of(last) : null;
        }),
      );
    }),
  ].filter(r => r.values.some(v => v !== null && Math.abs(v) > 1e-9));
}
