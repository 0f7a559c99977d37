import { EMPTY_POT, volumeMlOf } from "../pot";
import { courseOf } from "./course";
import type { Walk } from "./walk";

export const TRACE_QUANTITIES = ["mass", "litres", "temperature"] as const;
export type TraceQuantity = (typeof TRACE_QUANTITIES)[number];

export interface TracedPoint {
  readonly atS: number;
  readonly value: number;
}

/** Points kept of one step's course: enough for the eye. */
const MOST_POINTS = 24;

/**
 * A quantity along the line, over time: step ends, and the course inside steps that have one.
 * The walk must have kept its courses (`trace: true`). Litres are at 20 °C and begin with the first liquor.
 */
export function traceOf(walked: Walk, quantity: TraceQuantity): TracedPoint[] {
  const points: TracedPoint[] = [];
  let before = { pot: EMPTY_POT, clockS: 0 };
  for (const state of walked.states) {
    const course = courseOf(before.pot, state);
    if (course) {
      const stride = Math.max(1, Math.ceil(course.seconds.length / MOST_POINTS));
      course.seconds.forEach((second, i) => {
        if (i % stride) return;
        const liquor = state.course[i]?.liquorG ?? 0;
        const value = {
          mass: course.mass[i] ?? 0,
          temperature: course.temperature[i] ?? 0,
          litres: state.volumeMl === null ? NaN : liquor * litresPerGram(state.pot.liquor),
        }[quantity];
        if (Number.isFinite(value)) points.push({ atS: before.clockS + second, value });
      });
    }
    const end = {
      mass: state.massG,
      temperature: state.temperatureC,
      litres: state.volumeMl === null ? NaN : state.volumeMl / 1000,
    }[quantity];
    if (Number.isFinite(end)) points.push({ atS: state.clockS, value: end });
    before = state;
  }
  return points;
}

/** Inside a step the liquor's own density at its end is close enough: it moves by less than a per cent. */
const litresPerGram = (liquor: Parameters<typeof volumeMlOf>[0]): number => {
  const mass = Object.values(liquor).reduce((sum, m) => sum + m, 0);
  return mass > 0 ? volumeMlOf(liquor, 20) / mass / 1000 : 0;
};
