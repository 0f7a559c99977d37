import { type Ingredient, joinAllergens } from "../larder";
import { type Pools, massOfPools, volumeAt20 } from "../pot";
import { type Problem, type Result, ok, refuse } from "../result";
import type { FormulaDocument } from "./document";
import type { Kitchen } from "./kitchen";
import type { Walk } from "./walk";

/** Walks another formula on the way; `path` holds the formulas that lead here, outermost first. */
export type WalkOn = (document: FormulaDocument, kitchen: Kitchen, path: readonly FormulaDocument[]) => Walk;

/** Finds the ingredient of every line; a line on another formula becomes an ingredient with that product's composition. */
export function resolveSources(
  document: FormulaDocument,
  kitchen: Kitchen,
  path: readonly FormulaDocument[],
  walkOn: WalkOn,
): Result<Map<string, Ingredient>> {
  const found = new Map<string, Ingredient>();
  const problems: Problem[] = [];
  document.steps.forEach((step, i) =>
    step.lines.forEach((line, j) => {
      const field = `steps.${i}.lines.${j}.of`;
      if ("larder" in line.of) {
        const ingredient = kitchen.ingredientById.get(line.of.larder);
        if (ingredient) found.set(line.id, ingredient);
        else
          problems.push({
            code: "UNKNOWN_ID",
            field,
            value: line.of.larder,
            message: `“${line.of.larder}” is not in the larder any more. Choose another ingredient.`,
          });
        return;
      }
      const product = productOf(line.of.formula, kitchen, path, field, walkOn);
      if (product.ok) found.set(line.id, product.value);
      else problems.push(...product.problems);
    }),
  );
  return problems.length ? refuse(...problems) : ok(found);
}

/** What a formula makes, as an ingredient for another. */
function productOf(
  formulaId: string,
  kitchen: Kitchen,
  path: readonly FormulaDocument[],
  field: string,
  walkOn: WalkOn,
): Result<Ingredient> {
  const document = kitchen.data.formulas[formulaId];
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
  const made = walkOn(document, kitchen, [...path, document]);
  const last = made.states.at(-1);
  if (made.problems.length || !last || !made.finishedG)
    return refuse({
      code: "EMPTY",
      field,
      value: formulaId,
      message: `${document.name} cannot be made yet: ${made.problems[0]?.message ?? "it yields no liquor."}`,
    });
  return ok(asIngredient(document.name, formulaId, last.pot.liquor, made.ingredients));
}

function asIngredient(
  name: string,
  formulaId: string,
  liquor: Pools,
  ingredients: readonly Ingredient[],
): Ingredient {
  const k = 100 / massOfPools(liquor);
  const allergens = joinAllergens(ingredients);
  return {
    id: `formula-${formulaId}`,
    name: name.toLowerCase(),
    aliases: [],
    composition: {
      water: liquor.water * k,
      fat: liquor.fat * k,
      protein: (liquor.proteinOther + liquor.collagen) * k,
      collagen: liquor.collagen * k,
      sugars: liquor.sugars * k,
      starch: liquor.starch * k,
      fibre: liquor.fibre * k,
      salt: liquor.salt * k,
      ethanol: liquor.ethanol * k,
      acid: (liquor.acidVolatile + liquor.acidFixed) * k,
      volatileAcid: liquor.acidVolatile * k,
      other: liquor.other * k,
    },
    compositionSource: { mark: "E", text: `walked from the formula ${name}` },
    phase: "liquor",
    densityGPerMl: massOfPools(liquor) / volumeAt20(liquor),
    densitySource: { mark: "E", text: "density model at 20 °C" },
    ediblePct: 100,
    edibleSource: { mark: "P", text: "used whole" },
    allergens: allergens.known ? [...allergens.recorded] : null,
    diet: [...new Set(ingredients.flatMap(i => i.diet))],
    measures: [],
  };
}
