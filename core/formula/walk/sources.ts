import { type Ingredient, joinAllergens } from "../../things/larder";
import { massOfPools, per100, volumeAt20 } from "../../things/pot";
import { type Problem, type Result, ok, refuse } from "../../ground/result";
import { type FormulaDocument, linesOf } from "../document/document";
import type { Kitchen } from "./kitchen";
import { eggIn } from "./egg";
import { productKind, productOf } from "./product";
import { type Walk, finalState } from "./walked";
import type { WalkCache } from "./walk-cache";
import { formulaIn } from "./kitchen";

/** Walks another formula on the way; `path` holds the formulas that lead here, outermost first. */
export type WalkOn = (document: FormulaDocument, kitchen: Kitchen, path: readonly FormulaDocument[]) => Walk;

/** Finds the ingredient of every line; a line on another formula becomes an ingredient with that product's composition. */
export function resolveSources(
  document: FormulaDocument,
  kitchen: Kitchen,
  path: readonly FormulaDocument[],
  walkOn: WalkOn,
  cache: WalkCache,
): Result<Map<string, Ingredient>> {
  const found = new Map<string, Ingredient>();
  const problems: Problem[] = [];
  document.steps.forEach((step, i) =>
    step.lines.forEach((line, j) => {
      const field = () => `steps.${i}.lines.${j}.of`;
      if ("larder" in line.of) {
        const ingredient = kitchen.ingredientById.get(line.of.larder);
        if (ingredient) found.set(line.id, ingredient);
        else
          problems.push({
            code: "UNKNOWN_ID",
            field: field(),
            value: line.of.larder,
            message: `“${line.of.larder}” is not in the larder any more. Choose another ingredient.`,
          });
        return;
      }
      const product = productIngredient(line.of.formula, kitchen, path, field(), walkOn, cache);
      if (product.ok) found.set(line.id, product.value);
      else problems.push(...product.problems);
    }),
  );
  return problems.length ? refuse(...problems) : ok(found);
}

/** What a formula makes, as an ingredient for another. */
function productIngredient(
  formulaId: string,
  kitchen: Kitchen,
  path: readonly FormulaDocument[],
  field: string,
  walkOn: WalkOn,
  cache: WalkCache,
): Result<Ingredient> {
  const document = formulaIn(kitchen.data, formulaId);
  if (!document)
    return refuse({
      code: "UNKNOWN_ID",
      field,
      value: formulaId,
      message: "The formula this line draws on is gone. Choose another.",
    });
  if (path.includes(document))
    return refuse({
      code: "CYCLE",
      field,
      value: formulaId,
      message: `This goes round in a circle: ${[...path, document].map(d => d.name).join(" → ")}. A sauce cannot be made from itself.`,
    });
  return cache.product(formulaId, document, kitchen, () => {
    const made = walkOn(document, kitchen, [...path, document]);
    const last = finalState(made.states);
    if (made.problems.length || !last || !made.finishedG)
      return refuse({
        code: "EMPTY",
        field,
        value: formulaId,
        message: `${document.name} cannot be made yet: ${made.problems[0]?.message ?? "it yields no liquor."}`,
      });
    const ingredient = asIngredient(document, formulaId, made);
    return ok({ ingredient, drewOn: drawnOn(document, kitchen) });
  });
}

/** Every formula a formula draws on, directly or through others. */
export function drawnOn(
  document: FormulaDocument,
  kitchen: Pick<Kitchen, "data">,
  found = new Map<string, FormulaDocument>(),
): Map<string, FormulaDocument> {
  for (const line of linesOf(document)) {
    if (!("formula" in line.of) || found.has(line.of.formula)) continue;
    const other = formulaIn(kitchen.data, line.of.formula);
    if (!other) continue;
    found.set(line.of.formula, other);
    drawnOn(other, kitchen, found);
  }
  return found;
}

function asIngredient(document: FormulaDocument, formulaId: string, made: Walk): Ingredient {
  const last = finalState(made.states) as Walk["states"][number];
  const pools = productOf(last.pot);
  const mass = massOfPools(pools);
  const k = 100 / mass;
  const allergens = joinAllergens(made.ingredients);
  const egg = eggIn(made);
  const currency = made.ingredients.find(i => i.price)?.price;
  return {
    id: `formula-${formulaId}`,
    name: document.name.toLowerCase(),
    aliases: [],
    composition: {
      water: pools.water * k,
      fat: pools.fat * k,
      protein: (pools.proteinOther + pools.collagen) * k,
      collagen: pools.collagen * k,
      sugars: pools.sugars * k,
      starch: pools.starch * k,
      fibre: pools.fibre * k,
      salt: pools.salt * k,
      ethanol: pools.ethanol * k,
      acid: (pools.acidVolatile + pools.acidFixed) * k,
      volatileAcid: pools.acidVolatile * k,
      other: pools.other * k,
    },
    compositionSource: { mark: "E", text: `walked from the formula ${document.name}` },
    natures: per100(last.pot.natures, mass),
    ...(egg && { carries: { egg } }),
    ...PHASE_OF[productKind(last.pot)],
    densityGPerMl: mass / (volumeAt20(pools) + last.pot.natures.airMl),
    densitySource: { mark: "E", text: "density model at 20 °C" },
    ediblePct: 100,
    edibleSource: { mark: "P", text: "used whole" },
    allergens: allergens.known ? [...allergens.recorded] : null,
    diet: [...new Set(made.ingredients.flatMap(i => i.diet))],
    measures: [],
    ...(currency && {
      price: {
        perKg: (1000 * last.cost) / mass,
        currency: currency.currency,
        on: currency.on,
        source: { mark: "E", text: `cost of the formula ${document.name}` },
      },
    }),
  };
}

/** What is still in pieces stays solid in the next pot; the rest pours, or floats. */
const PHASE_OF = {
  liquor: { phase: "liquor" },
  everything: { phase: "solids", solidKind: "mirepoix" },
  fat: { phase: "fat" },
} as const satisfies Record<string, Pick<Ingredient, "phase" | "solidKind">>;
