import { FACTS, type FactId, type FactValues, withFact } from "../../ground/facts";
import { halve } from "../../ground/solver/halving";
import { type Result, ok, refuse } from "../../ground/result";
import { type Drying, dry, surfaceM2 } from "./drying";
import { timeFactOf } from "./drying-class";
import { type OvenUse, inOven } from "./heating";

/** What one weighing says of how a class dries. */
export interface WeighedLoss {
  readonly foreseenG: number;
  readonly lostG: number;
  readonly fact: FactId;
  /** What that figure is called. */
  readonly label: string;
  /** What the figure is now, and what it would have to be, min. */
  readonly nowMin: number;
  readonly wouldBeMin: number;
}

/** So far from its value a figure is moved for a weighing; beyond it something else was weighed. Our estimate. */
const MOST_TIMES = 4;

/**
 * The drying time of a class as one weighing of a kitchen has it: the figure with which the sums lose what was lost.
 *
 * Only the water's time is moved; what melts goes by its own figure and is taken off first.
 * @param part  what roasted, as it went in · @param lostG weighed in less weighed out, g, without what ran out on the tray
 * @errors OUT_OF_RANGE a loss that no drying time explains
 * Source: docs/models.md "Drying".
 */
export function dryingTimeWeighed(
  part: Drying,
  use: OvenUse,
  from: { readonly c: number; readonly min: number },
  lostG: number,
  facts: FactValues,
): Result<WeighedLoss> {
  const fact = timeFactOf(part.of);
  const nowMin = facts[fact];
  const lossAt = (min: number): number => {
    const moved = withFact(facts, fact, min);
    const heating = inOven(use, surfaceM2([part], moved), moved);
    const [gone] = dry([part], heating, from.c, from.min, use.ovenC, moved).parts;
    return gone ? gone.steamG + gone.meltedG : 0;
  };
  const [quick, slow] = [nowMin / MOST_TIMES, nowMin * MOST_TIMES];
  if (lostG > lossAt(quick) || lostG < lossAt(slow))
    return refuse({
      code: "OUT_OF_RANGE",
      field: "outG",
      value: lostG,
      allowed: { min: part.massG - lossAt(quick), max: part.massG - lossAt(slow) },
      message: `No pace of drying makes ${Math.round(part.massG)} g come out at ${Math.round(part.massG - lostG)} g: foreseen were ${Math.round(part.massG - lossAt(nowMin))} g. Look at the weights, the oven and the minutes; and was the tray’s fat left out?`,
    });
  const [lo, hi] = halve(
    min => lossAt(min) > lostG,
    quick,
    slow,
    (a, b) => b - a < 1e-6 * nowMin,
  );
  return ok({
    foreseenG: lossAt(nowMin),
    lostG,
    fact,
    label: FACTS[fact].label,
    nowMin,
    wouldBeMin: (lo + hi) / 2,
  });
}
