import type { StateAfterStep } from "./walked";
import { type PotState, liquorMass, potMass } from "../../things/pot";

type Foreseen = Pick<StateAfterStep, "course" | "massG">;

/** How everything in the pot runs through a step, from its start. */
export interface Course {
  readonly seconds: readonly number[];
  readonly mass: readonly number[];
  readonly temperature: readonly number[];
}

/** Course of everything in the pot: the liquor's course plus what does not move. */
export function courseOf(from: PotState, foreseen: Foreseen): Course | null {
  if (foreseen.course.length < 2) return null;
  const last = foreseen.course.at(-1);
  const end = last ? foreseen.massG - last.liquorG : 0;
  const start = potMass(from) - liquorMass(from);
  return {
    seconds: foreseen.course.map(p => p.atS),
    // Solids give to the liquor along the way; the sum runs from the one offset to the other.
    mass: foreseen.course.map(
      (p, i) => p.liquorG + start + ((end - start) * i) / (foreseen.course.length - 1),
    ),
    temperature: foreseen.course.map(p => p.temperatureC),
  };
}

/** Linear interpolation of `ys` at `x`, constant beyond the ends; `xs` rises. */
export function interpolate(xs: readonly number[], ys: readonly number[], x: number): number {
  const i = xs.findIndex(value => value >= x);
  if (i < 0) return ys.at(-1) ?? 0;
  if (i === 0) return ys[0] ?? 0;
  const [x0 = 0, x1 = 0, y0 = 0, y1 = 0] = [xs[i - 1], xs[i], ys[i - 1], ys[i]];
  return x1 === x0 ? y1 : y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}
