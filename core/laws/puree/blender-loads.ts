import { printNumber } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";

export const BLEND_VESSELS = ["jar", "cylinder"] as const;
export type BlendVessel = (typeof BLEND_VESSELS)[number];

/** How full by temperature: hot liquid throws a lid. Common practice, no source. */
const JAR_FILL = [
  { aboveC: 80, fill: 0.33 },
  { aboveC: 60, fill: 0.5 },
] as const;
const COLD_JAR_FILL = 0.75;
const CYLINDER_FILL = 0.6;
const LEAST_LOAD = 0.15;
/** A third is written 0.33: eleven loads, not ten and a splash. */
const CEIL_SLACK = 1e-9;

export const mostFill = (temperatureC: number, vessel: BlendVessel = "jar"): number =>
  vessel === "cylinder"
    ? CYLINDER_FILL
    : temperatureC > 80
      ? JAR_FILL[0].fill
      : temperatureC >= 60
        ? JAR_FILL[1].fill
        : COLD_JAR_FILL;

export interface BlenderLoads {
  readonly loads: number;
  readonly perLoadMl: number;
  /** How full each load fills it, 0–1. */
  readonly fill: number;
  readonly minutes: number;
}

/**
 * Equal loads that stay under the fill a hot liquid allows.
 *
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Warns BELOW_BLADES when a load does not reach them, HOT_FILL with what to do with a hot jar.
 * Source: common practice (E.4). @example 7 l at 85 °C in a 2 l jar → 11 loads of 0.636 l
 */
export function blenderLoads(
  volumeMl: number,
  jarMl: number,
  temperatureC: number,
  vessel: BlendVessel = "jar",
  minutesEach = 1.5,
): Result<BlenderLoads> {
  const problems = [
    ...checkNumber(volumeMl, "volumeMl", "What is to be blended", { min: 1, unit: "ml" }),
    ...checkNumber(jarMl, "jarMl", "The jar", { min: 50, max: 100_000, unit: "ml" }),
    ...checkNumber(temperatureC, "temperatureC", "The temperature", { min: -10, max: 110, unit: "°C" }),
    ...checkNumber(minutesEach, "minutesPerLoad", "A load", { min: 0.05, max: 60, unit: "min" }),
  ];
  if (problems.length) return refuse(...problems);
  const fill = mostFill(temperatureC, vessel);
  const loads = Math.ceil(volumeMl / (fill * jarMl) - CEIL_SLACK);
  const perLoadMl = volumeMl / loads;
  const warnings: Warning[] = [];
  if (perLoadMl < LEAST_LOAD * jarMl)
    warnings.push({
      code: "BELOW_BLADES",
      message: `${printNumber(perLoadMl)} ml do not reach the blades of this jar: a smaller one, or the stick.`,
    });
  if (temperatureC >= 60)
    warnings.push(
      vessel === "jar"
        ? {
            code: "HOT_FILL",
            message: `Hot liquid lifts the lid: ${fill === JAR_FILL[0].fill ? "a third" : "half"} full at most, vent capped with a folded cloth, start slow, or let it fall below 60 °C.`,
          }
        : {
            code: "HOT_FILL",
            message: "At most 60 % full; switch on under the surface, off before lifting.",
          },
    );
  return ok({ loads, perLoadMl, fill: perLoadMl / jarMl, minutes: loads * minutesEach }, warnings);
}
