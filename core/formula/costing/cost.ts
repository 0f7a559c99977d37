import { EXITS, exitMass } from "../../things/pot";
import type { Grams } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import type { Line } from "../steps/amount";
import type { FormulaDocument } from "../document/document";
import { HANDS_ON } from "../steps/kind";
import { kindOf, placeOf } from "../steps";
import { costOfIngredient } from "../walk/ingredient-cost";
import { type Walk, potBefore } from "../walk/walked";

/** What the kitchen reckons for hands and for fire, per hour, in its currency. */
export interface KitchenRates {
  readonly labourPerH: number;
  readonly flamePerH: number;
}

export interface CostLine {
  readonly name: string;
  readonly massG: number;
  readonly purchasedG: number;
  /** `null`: no price entered. */
  readonly cost: number | null;
}

export interface Costing {
  readonly currency: string;
  readonly lines: readonly CostLine[];
  /** Ingredients nobody has entered a price for: the sums leave them out and say so. */
  readonly unpriced: readonly string[];
  readonly credits: readonly {
    readonly what: string;
    readonly use: string;
    readonly massG: number;
    readonly worth: number;
  }[];
  /** Food, less what by-products are worth. */
  readonly foodCost: number;
  readonly perKg: number | null;
  readonly perPortion: number | null;
  readonly portions: number;
  /** Share of the menu price, per cent; `null` without one. */
  readonly shareOfMenuPct: number | null;
  /** Menu price that keeps the food cost at the wanted share; `null` without one. */
  readonly priceAtShare: number | null;
  readonly handsOnMin: number;
  readonly flameH: number;
  /** Shown apart from food: hands and fire at the kitchen’s own rates. */
  readonly labour: number;
  readonly flame: number;
}

/** A mark-down below this many grams is nobody's to keep. */
const LEAST_KEPT_G = 0.5;

/**
 * What a walked formula costs.
 *
 * Food is every line as purchased (trim included) at today's price, less what trim and by-products are worth where the
 * line says so. Hands and fire stand apart.
 *
 * Source: arithmetic; docs/models.md "Cost". Hands-on shares of a step are our estimate (`HANDS_ON`).
 */
export function costOf(
  document: FormulaDocument,
  walked: Walk,
  rates: KitchenRates = { labourPerH: 0, flamePerH: 0 },
): Costing {
  const trims = new Map<string, Line["trim"]>();
  for (const step of document.steps)
    for (const line of step.lines) if (line.trim) trims.set(line.id, line.trim);
  const lines: CostLine[] = [];
  const credits: { what: string; use: string; massG: number; worth: number }[] = [];
  let handsOnS = 0;
  let flameS = 0;
  walked.states.forEach((state, i) => {
    for (const line of state.lines) {
      const ingredient = state.sources.get(line.lineId);
      if (!ingredient) continue;
      lines.push({
        name: line.name,
        massG: line.massG,
        purchasedG: line.purchasedG,
        cost: costOfIngredient(ingredient, line.massG),
      });
      const trim = trims.get(line.lineId);
      if (trim?.perKg && line.purchasedG - line.massG > LEAST_KEPT_G)
        credits.push({
          what: `trim of ${line.name}`,
          use: trim.use,
          massG: line.purchasedG - line.massG,
          worth: (trim.perKg * (line.purchasedG - line.massG)) / 1000,
        });
    }
    const { keeps } = state.step;
    if (keeps?.perKg) {
      const before = potBefore(walked.states, i);
      const massG = EXITS.filter(exit => exit !== "vapour").reduce(
        (sum, exit) => sum + exitMass(state.pot, exit) - (before ? exitMass(before, exit) : 0),
        0,
      );
      if (massG > LEAST_KEPT_G)
        credits.push({
          what: kindOf(state.step).label.toLowerCase(),
          use: keeps.use,
          massG,
          worth: (keeps.perKg * massG) / 1000,
        });
    }
    const kind = kindOf(state.step);
    handsOnS += HANDS_ON[kind.attention] * state.durationS;
    const place = placeOf(state.step);
    if (place === "fire" || place === "oven") flameS += state.durationS;
  });
  const spent = lines.reduce((sum, line) => sum + (line.cost ?? 0), 0);
  const foodCost = spent - credits.reduce((sum, credit) => sum + credit.worth, 0);
  const portions = Math.floor(walked.finishedG / document.portionG + 1e-9);
  const perPortion = portions > 0 ? foodCost / portions : null;
  const { menu, sharePct } = document.price ?? {};
  return {
    currency: walked.ingredients.find(i => i.price)?.price?.currency ?? "",
    lines,
    unpriced: [...new Set(lines.filter(line => line.cost === null).map(line => line.name))],
    credits,
    foodCost,
    perKg: walked.finishedG > 0 ? (1000 * foodCost) / walked.finishedG : null,
    perPortion,
    portions,
    shareOfMenuPct: menu && perPortion !== null ? (100 * perPortion) / menu : null,
    priceAtShare: sharePct && perPortion !== null ? perPortion / (sharePct / 100) : null,
    handsOnMin: handsOnS / 60,
    flameH: flameS / 3600,
    labour: (rates.labourPerH * handsOnS) / 3600,
    flame: (rates.flamePerH * flameS) / 3600,
  };
}

/**
 * Menu price at which food costs a wanted share of it, before tax.
 * @errors OUT_OF_RANGE a share outside 0–100 % · NEGATIVE
 * Source: docs/models.md "Scaling", G2. @example 6.80 at 28 % → 24.29
 */
export function priceForShare(costPerPortion: number, sharePct: number): Result<number> {
  const problems = [
    ...checkNumber(costPerPortion, "cost", "The cost of a portion"),
    ...checkNumber(sharePct, "sharePct", "The share of the price", { min: 0.1, max: 99.9, unit: "%" }),
  ];
  return problems.length ? refuse(...problems) : ok(costPerPortion / (sharePct / 100));
}

/** Portions a yield gives after what is lost in serving. Source: 06-G1 in docs/models.md. @errors as `checkNumber` */
export function portionsOf(yieldG: Grams, portionG: Grams, serveLoss: number): Result<number> {
  const problems = [
    ...checkNumber(yieldG, "yieldG", "The yield"),
    ...checkNumber(portionG, "portionG", "The portion", { min: 0.1, unit: "g" }),
    ...checkNumber(serveLoss, "serveLoss", "The loss in serving", { min: 0, max: 0.95 }),
  ];
  return problems.length ? refuse(...problems) : ok(Math.floor((yieldG * (1 - serveLoss)) / portionG + 1e-9));
}
