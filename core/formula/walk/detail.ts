import { kindOf } from "../steps";
import type { Step } from "../steps";
import type { StateAfterStep } from "./walked";

const flameInWords = (setting: number): string =>
  setting >= 1 ? "full flame" : `flame at ${Math.round(100 * setting)} %`;

/** How a step is done: what its fields say, and the pan, burner and flame it was given where the kitchen chose. */
export function detailOf(step: Step, state: Pick<StateAfterStep, "fire" | "vessel"> | undefined): string {
  const said = kindOf(step).detail(step);
  if (!state?.fire || !state.vessel) return said;
  const { burner, setting } = state.fire;
  return `${said}; ${state.vessel.name} on ${burner.name}, ${flameInWords(setting)}`;
}
