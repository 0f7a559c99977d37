import { EMPTY_POT, volumeMlOf } from "../../things/pot";
import { courseOf } from "../walk/course";
import { FIGURES, type FigureId } from "../walk/figures";
import { type StateAfterStep } from "../walk/walked";
import type { Walk } from "../walk/walked";
import { panOf } from "../steps/pan";

export interface TracedPoint {
  readonly atS: number;
  readonly value: number;
}

/** Points kept of one step's course: enough for the eye. */
const MOST_POINTS = 24;

/** Shares of what does not steam away: inside a step they follow from the liquor that is left. */
const STAYS: ReadonlySet<FigureId> = new Set(["salt", "fat", "sugar", "gelatin", "starch"]);

/**
 * A quantity along the line, over time: step ends, and the course inside steps that have one.
 * It follows the main pot. The walk must have kept its courses (`trace: true`). Litres are at 20 °C and begin with the first liquor.
 */
export function traceOf(walked: Walk, quantity: FigureId): TracedPoint[] {
  const points: TracedPoint[] = [];
  let before = { pot: EMPTY_POT };
  for (const state of walked.states.filter(({ step }) => panOf(step) === "")) {
    const course = courseOf(before.pot, state);
    if (course) {
      const stride = Math.max(1, Math.ceil(course.seconds.length / MOST_POINTS));
      course.seconds.forEach((second, i) => {
        if (i % stride) return;
        const value = insideStep(quantity, state, course, i);
        if (value !== null && Number.isFinite(value))
          points.push({ atS: state.clockS - state.durationS + second, value });
      });
    }
    const end = FIGURES[quantity].of(state);
    if (end !== null) points.push({ atS: state.clockS, value: end });
    before = state;
  }
  return points;
}

function insideStep(
  quantity: FigureId,
  state: StateAfterStep,
  course: NonNullable<ReturnType<typeof courseOf>>,
  i: number,
): number | null {
  const liquor = state.course[i]?.liquorG ?? 0;
  switch (quantity) {
    case "mass":
      return (course.mass[i] ?? 0) / 1000;
    case "temperature":
      return course.temperature[i] ?? 0;
    case "litres":
      return state.volumeMl === null ? null : liquor * litresPerGram(state.pot.liquor);
    default: {
      const end = STAYS.has(quantity) ? FIGURES[quantity].of(state) : null;
      const atEnd = state.course.at(-1)?.liquorG ?? 0;
      return end === null || liquor <= 0 ? null : (end * atEnd) / liquor;
    }
  }
}

/** Inside a step the liquor's own density at its end is close enough: it moves by less than a per cent. */
const litresPerGram = (liquor: Parameters<typeof volumeMlOf>[0]): number => {
  const mass = Object.values(liquor).reduce((sum, m) => sum + m, 0);
  return mass > 0 ? volumeMlOf(liquor, 20) / mass / 1000 : 0;
};
