import type { House } from "../../things/house";
import type { Ingredient } from "../../things/larder";
import { RAW_EGG_CAUTION, eggOf } from "./egg";
import { kindOf } from "../steps";
import type { StateAfterStep } from "./walked";

/** What to look out for at a step: what its kind always says, and what the things that go in and the house’s own limits ask for. */
export function cautionsAt(
  { step, lines, sources }: Pick<StateAfterStep, "step" | "lines" | "sources">,
  { coolingProfile }: Pick<House, "coolingProfile">,
): string[] {
  const rawEgg = lines.some(l => eggOf(sources.get(l.lineId) as Ingredient) === "raw");
  const kind = kindOf(step);
  return [
    ...kind.cautions(step, coolingProfile),
    ...(rawEgg && !kind.speaksOfItsEgg ? [RAW_EGG_CAUTION] : []),
  ];
}
