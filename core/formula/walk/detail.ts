import { kindOf } from "../steps";
import type { Step } from "../steps";
import type { StateAfterStep } from "./walked";

const flameInWords = (setting: number): string =>
  setting >= 1 ? "full flame" : `flame at ${Math.round(100 * setting)} %`;

/** How a step is done: what its fields say, what it came to, and the pan, burner and flame it was given where the kitchen chose. */
export function detailOf(
  step: Step,
  state: Pick<StateAfterStep, "fire" | "vessel" | "says"> | undefined,
): string {
  const said = [kindOf(step).detail(step), ...(state?.says ? [state.says] : [])];
  if (state?.fire && state.vessel) {
    const { burner, setting } = state.fire;
    said.push(`${state.vessel.name} on ${burner.name}, ${flameInWords(setting)}`);
  }
  return said.join("; ");
}
