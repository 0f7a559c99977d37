import { choiceIfAny, numberIfAny } from "./field";
import type { Keeping } from "./simmering";

/** Fields of a step that may keep bones covered. What says nothing of it was written before it could: nothing goes in. */
export const KEEPING = {
  keepCovered: choiceIfAny(
    "Kept covered",
    { none: "no, it sinks", hot: "with hot water", cold: "with cold water" },
    "none",
  ),
  keepMm: numberIfAny("Covered by", "mm", 0, 200, "25 mm"),
  lastMin: numberIfAny("No more water in the last", "min", 0, 600, "60 min"),
};

const USUAL_MM = 25;
const USUAL_LAST_MIN = 60;

export const keepingOf = (step: {
  readonly keepCovered?: Keeping["with"] | undefined;
  readonly keepMm?: number | undefined;
  readonly lastMin?: number | undefined;
}): Keeping => ({
  with: step.keepCovered ?? "none",
  depthMm: step.keepMm ?? USUAL_MM,
  lastMin: step.lastMin ?? USUAL_LAST_MIN,
});
