import { type Ingredient, plainName } from "../../things/larder";
import type { Line } from "../steps/amount";
import type { FormulaDocument } from "./document";
import { type Step, kindOf } from "../steps";

/** Parts of the composition that decide how an ingredient works in a pot, and what difference counts, g per 100 g. */
const TELLING = { starch: 5, fat: 10, salt: 1, water: 20, sugars: 10 } as const;

/** Whether an amount that was right for the one can be right for the other without a thought. */
const behavesOtherwise = (from: Ingredient, to: Ingredient): boolean =>
  from.solidKind !== to.solidKind ||
  from.phase !== to.phase ||
  Object.entries(TELLING).some(
    ([part, most]) =>
      Math.abs(
        from.composition[part as keyof typeof TELLING] - to.composition[part as keyof typeof TELLING],
      ) > most,
  );

const called = (ingredient: Ingredient, name: string): boolean =>
  [ingredient.name, ...ingredient.aliases].some(own => plainName(own) === plainName(name));

/**
 * The same method with another main ingredient: every line of the one becomes a line of the other with the same
 * relation. What cannot be known any more is asked: times that depend on the ingredient, and, where the two behave
 * differently in a pot, the amount itself. A base that bears its name bears the other's. Allergens follow from the larder.
 *
 * @param name of the new formula
 */
export function swapMain(
  document: FormulaDocument,
  from: Ingredient,
  to: Ingredient,
  name: string,
): FormulaDocument {
  const other = behavesOtherwise(from, to);
  let met = false;
  return {
    ...document,
    name,
    base: { ...document.base, name: called(from, document.base.name) ? to.name : document.base.name },
    notes:
      `${document.notes} Same method as ${document.name}, with ${to.name} in place of ${from.name}.`.trim(),
    steps: document.steps.map((step): Step => {
      const swaps = step.lines.some(line => "larder" in line.of && line.of.larder === from.id);
      met ||= swaps;
      const lines = step.lines.map((line): Line => {
        if (!("larder" in line.of) || line.of.larder !== from.id) return line;
        // "2 onions" says nothing of the other; its grams do.
        const { typed: _typed, ...kept } = line;
        return {
          ...kept,
          of: { larder: to.id },
          certainty: "assumed",
          ...(other && { question: `Is the amount right for ${to.name}? It was written for ${from.name}.` }),
        };
      });
      const asks = met && kindOf(step).timeHangsOnMain;
      return {
        ...step,
        lines,
        ...(asks && { question: `How long with ${to.name}? The time was written for ${from.name}.` }),
      };
    }),
  };
}
