import type { Ingredient } from "../larder";
import { RAW_EGG_CAUTION, eggOf } from "./egg";
import { type Step, kindOf } from "./steps";
import type { StateAfterStep } from "./state-after";

/** Steps that speak of the egg they take themselves. */
const OWN_EGG_WORDS: ReadonlySet<Step["kind"]> = new Set(["liaison", "clarify"]);

/** What to look out for at a step: what its kind always says, and what the things that go in ask for. */
export function cautionsAt({
  step,
  lines,
  sources,
}: Pick<StateAfterStep, "step" | "lines" | "sources">): string[] {
  const rawEgg = lines.some(l => eggOf(sources.get(l.lineId) as Ingredient) === "raw");
  return [
    ...kindOf(step).cautions(step),
    ...(rawEgg && !OWN_EGG_WORDS.has(step.kind) ? [RAW_EGG_CAUTION] : []),
  ];
}
