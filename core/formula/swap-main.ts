import type { Ingredient } from "../larder";
import type { FormulaDocument } from "./document";
import type { Step } from "./steps";

/** Steps whose time depends on what is cooked. */
const DEPENDS: ReadonlySet<Step["kind"]> = new Set([
  "roast",
  "simmer",
  "blanch",
  "cure",
  "render",
  "soak",
  "dry",
]);

/**
 * The same method with another main ingredient: every line of the one becomes a line of the other with the same
 * relation. What cannot be known any more is asked: times that depend on the ingredient, and, where the two behave
 * differently in a pot, the amount itself. Allergens follow from the larder.
 *
 * @param name of the new formula
 */
export function swapMain(
  document: FormulaDocument,
  from: Ingredient,
  to: Ingredient,
  name: string,
): FormulaDocument {
  const other = from.solidKind !== to.solidKind || from.phase !== to.phase;
  let met = false;
  return {
    ...document,
    name,
    notes:
      `${document.notes} Same method as ${document.name}, with ${to.name} in place of ${from.name}.`.trim(),
    steps: document.steps.map((step): Step => {
      const swaps = step.lines.some(line => "larder" in line.of && line.of.larder === from.id);
      met ||= swaps;
      const lines = step.lines.map(line =>
        "larder" in line.of && line.of.larder === from.id
          ? {
              ...line,
              of: { larder: to.id },
              certainty: "assumed" as const,
              ...(other && {
                question: `Is the amount right for ${to.name}? It was written for ${from.name}.`,
              }),
            }
          : line,
      );
      const asks = met && DEPENDS.has(step.kind);
      return {
        ...step,
        lines,
        ...(asks && { question: `How long with ${to.name}? The time was written for ${from.name}.` }),
      };
    }),
  };
}
