import { type Result, checkNumber, ok, refuse } from "../../ground/result";

/** One pot with its simmer: mass of liquid at the start, what leaves in its time, and where it stands. */
export interface EvaporationCase {
  readonly liquidG: number;
  readonly evaporatedG: number;
  readonly minutes: number;
  /** Free surface, mm². */
  readonly surfaceMm2: number;
}

export interface ScaledEvaporation {
  readonly startG: number;
  readonly evaporatedG: number;
  readonly minutes: number;
}

/**
 * What a bigger pot loses, and what to start with.
 *
 * Keep time: the finished liquid is the goal, the start follows from what the new surface loses in the same time.
 * Keep proportions: the start is multiplied and the time follows.
 *
 * @param factor    how many times the recipe
 * @param surface   free surface of the new pot or pots, mm²
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Valid for: a simmer; ± 20 % without a reduction model. Source: docs/models.md "Scaling", step 2.
 * @example ×4 from a 25 cm to a 36 cm pot, 0.6 kg in 30 min → 1.2442 kg, start with 10.844 kg; or 57.87 min
 */
export function scaleEvaporation(
  base: EvaporationCase,
  factor: number,
  surface: number,
  keep: "time" | "proportions",
): Result<ScaledEvaporation> {
  const problems = [
    ...checkNumber(base.liquidG, "liquidG", "The liquid"),
    ...checkNumber(base.evaporatedG, "evaporatedG", "What leaves", { max: base.liquidG, unit: "g" }),
    ...checkNumber(base.minutes, "minutes", "The time"),
    ...checkNumber(factor, "factor", "The factor", { min: 0.05, max: 200 }),
    ...checkNumber(base.surfaceMm2, "surfaceMm2", "The surface", { min: 1 }),
    ...checkNumber(surface, "surface", "The new surface", { min: 1 }),
  ];
  if (problems.length) return refuse(...problems);
  const wider = surface / base.surfaceMm2;
  if (keep === "proportions")
    return ok({
      startG: factor * base.liquidG,
      evaporatedG: factor * base.evaporatedG,
      minutes: (base.minutes * factor) / wider,
    });
  const evaporatedG = base.evaporatedG * wider;
  return ok({
    startG: factor * (base.liquidG - base.evaporatedG) + evaporatedG,
    evaporatedG,
    minutes: base.minutes,
  });
}
