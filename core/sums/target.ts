import { type Pools, NO_POOLS, brixOf, massOfPools, volumeAt20, volumeMlOf } from "../things/pot";
import { bisect } from "../ground/solver/halving";
import { g, ml } from "../ground/quantity";
import type { EndPoint } from "../laws/reduction";
import { type Result, ok, refuse } from "../ground/result";
import type { TargetField } from "./fields";
import { grams, num, pct, volumeOf } from "./words";

/** Where a reduction ends: as the solver takes it, and the volume at 20 °C when only water leaves. */
export interface End {
  readonly goal: EndPoint;
  readonly endMl: number;
}

/**
 * The end of a reduction for a liquor in the pan.
 *
 * @param before what was in the pan before the last pouring, for targets of what was added
 * @errors TARGET_ABOVE_START · TARGET_BELOW_SOLIDS
 */
export function endOf(target: TargetField, liquor: Pools, before: Pools = NO_POOLS): Result<End> {
  const start = volumeAt20(liquor);
  const mass = massOfPools(liquor);
  const ofAdded = target.of === "added";
  const keptMl = ofAdded ? volumeAt20(before) : 0;
  const keptG = ofAdded ? massOfPools(before) : 0;
  const above = (now: string) =>
    refuse({
      code: "TARGET_ABOVE_START",
      field: "target",
      value: target,
      message: `There are ${now} in the pan; a reduction must end below that.`,
    });
  if ("by" in target || "to" in target) {
    const left = "by" in target ? 1 - target.by : target.to;
    const endMl = keptMl + left * (start - keptMl);
    return ok({ goal: { ml: ml(endMl) }, endMl });
  }
  if ("endMl" in target) {
    const endMl = keptMl + target.endMl;
    return endMl >= start ? above(volumeOf(start)) : ok({ goal: { ml: ml(endMl) }, endMl });
  }
  if ("brix" in target) {
    const now = brixOf(liquor);
    const dry = brixOf({ ...liquor, water: 0.02 * liquor.water });
    if (target.brix <= now) return above(`${num(now, 1)} °Bx`);
    if (target.brix > dry)
      return refuse({
        code: "TARGET_BELOW_SOLIDS",
        field: "target",
        value: target.brix,
        allowed: { max: dry },
        message: `Nearly dry it shows ${num(dry, 0)} °Bx; it cannot get to ${num(target.brix, 0)}.`,
      });
    return ok({ goal: { brix: target.brix }, endMl: volumeAtBrix(liquor, target.brix) });
  }
  const endG = "endG" in target ? keptG + target.endG : keptG + target.massRatio * (mass - keptG);
  if (endG >= mass) return above(grams(mass));
  const water = liquor.water - (mass - endG);
  if (water < 0)
    return refuse({
      code: "TARGET_BELOW_SOLIDS",
      field: "target",
      value: endG,
      allowed: { min: mass - liquor.water },
      message: `What is not water alone weighs ${grams(mass - liquor.water)}: it cannot get that small.`,
    });
  return ok({ goal: { g: g(endG) }, endMl: volumeMlOf({ ...liquor, water }, 20) });
}

/** Volume when so much water has left that a refractometer shows `brix`. */
function volumeAtBrix(liquor: Pools, brix: number): number {
  const water = bisect(w => brixOf({ ...liquor, water: w }) - brix, 0, liquor.water) ?? liquor.water;
  return volumeMlOf({ ...liquor, water }, 20);
}

/** "by half", "to 600 g": how a target is said. */
export function targetWords(target: TargetField): string {
  if ("by" in target) return `by ${pct(100 * target.by, 0)}`;
  if ("to" in target) return `to ${pct(100 * target.to, 0)}`;
  if ("massRatio" in target) return `to ${pct(100 * target.massRatio, 0)} of its weight`;
  if ("endG" in target) return `to ${grams(target.endG)}`;
  if ("endMl" in target) return `to ${volumeOf(target.endMl)}`;
  return `to ${num(target.brix, 1)} °Bx`;
}
