import { type Askable, FIGURES, type StepIntervals } from "~/core/formula";
import { bandText } from "../text/format";

/** How sure an asked number is, with its unit; nothing for one of another formula, whose intervals nobody worked out here. */
export function intervalText(asked: Askable, intervals: readonly StepIntervals[]): string {
  if (asked.of !== undefined) return "";
  const step = asked.ask === "yield" ? intervals.at(-1) : intervals[asked.step];
  switch (asked.ask) {
    case "yield":
    case "litres":
      return withUnit(bandText(step?.volumeMl, 1000, 1), "l");
    case "mass":
      return withUnit(bandText(step?.massG, 1000, 2), "kg");
    case "mark":
      return withUnit(bandText(step?.markMm, 1, 0), "mm");
    case "computed":
      return withUnit(bandText(step?.computedG[asked.what], 1, 0), "g");
    case "figure": {
      const { decimals, unit } = FIGURES[asked.figure];
      return withUnit(bandText(step?.figures[asked.figure], 1, decimals), unit);
    }
    case "line":
      return "";
  }
}

const withUnit = (text: string, unit: string): string => (text ? `${text} ${unit}`.trim() : "");
