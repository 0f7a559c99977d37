import type { FactValues } from "../../ground/facts";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";
import { type RouxColour, THICKENERS, type ThickenerId, powerOf, rouxPower } from "./thickeners";

/** What a swap of thickeners changes besides the grams. */
export interface Swap {
  readonly massG: number;
  readonly consequences: readonly string[];
}

/**
 * As much of one thickener as does the work of another.
 *
 * @param massG of the first, as weighed
 * @param colour of the roux, where flour is one of the two
 * @errors NOT_FINITE · NEGATIVE · UNKNOWN_ID a colour where there is nothing to brown
 * Source: docs/models.md "Starch": powers relative to white flour.
 * @example 180 g flour → 90 g corn starch
 */
export function swapThickener(
  from: ThickenerId,
  to: ThickenerId,
  massG: number,
  facts: FactValues,
  colour: RouxColour = "white",
): Result<Swap> {
  const problems: Problem[] = checkNumber(massG, "massG", "The weight");
  if (problems.length) return refuse(...problems);
  const [a, b] = [THICKENERS[from], THICKENERS[to]];
  const consequences = [
    a.clear !== b.clear ? (b.clear ? "clearer, glossier" : "no longer clear") : null,
    a.gluten !== b.gluten
      ? b.gluten
        ? "brings gluten in"
        : "no gluten from this; check what else is recorded"
      : null,
    a.freezes !== b.freezes ? (b.freezes ? "freezes better" : "weeps when thawed") : null,
    a.holds !== b.holds
      ? b.holds
        ? "stands longer in the bain-marie"
        : "thins while it is kept hot: bind late"
      : null,
    b.usualMin < 10 && a.usualMin >= 10 ? "goes in at the end, back to the boil and out" : null,
    b.usualMin >= 20 && a.usualMin < 20 ? "wants 20 min at the simmer" : null,
    `${b.name}: ${b.looks}`,
  ].filter(x => x !== null);
  return ok({
    massG: (massG * powerOf(from, facts) * rouxPower(from, colour, facts)) / powerOf(to, facts),
    consequences,
  });
}
