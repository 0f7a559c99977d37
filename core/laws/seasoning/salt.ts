import { type Grams, g, printNumber } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";

export interface SaltProjection {
  /** Salt after the reduction, per cent. */
  readonly endPct: number;
  /** Most salt it may hold now to end at the target, per cent. */
  readonly mostNowPct: number;
  /** Still to be added at the end. */
  readonly addAtEndG: Grams;
}

const REDUCES = 1.25;
const NEAR = 0.8;

/**
 * Salt through a reduction: it stays while the water leaves.
 *
 * @param nowPct salt now, 0–10 %
 * @param nowG   mass now, g; `endG` after, at most as much
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Warns DO_NOT_SALT_BEFORE_REDUCING when the reduction takes it past, or near, the target.
 * Source: docs/models.md "Seasoning", F1–F2. @example 5 kg at 0.20 % to 0.8 kg, target 1.1 % → 1.25 %
 */
export function projectSalt(
  nowPct: number,
  nowG: number,
  endG: number,
  targetPct: number,
): Result<SaltProjection> {
  const problems = [
    ...checkNumber(nowPct, "saltPct", "The salt", { min: 0, max: 10, unit: "%" }),
    ...checkNumber(nowG, "startG", "The weight now", { min: 0.1, unit: "g" }),
    ...checkNumber(endG, "endG", "The weight after", { min: 0.1, max: nowG, unit: "g" }),
    ...checkNumber(targetPct, "targetPct", "The salt wanted", { min: 0, max: 10, unit: "%" }),
  ];
  if (problems.length) return refuse(...problems);
  const ratio = nowG / endG;
  const endPct = nowPct * ratio;
  const warnings: Warning[] =
    ratio > REDUCES && endPct > NEAR * targetPct
      ? [
          {
            code: "DO_NOT_SALT_BEFORE_REDUCING",
            message: `Reduced to ${printNumber(100 / ratio)} % it holds ${printNumber(endPct, 2)} % salt; wanted ${printNumber(targetPct, 2)} %. ${endPct > targetPct ? "Put none in before." : "Nearly all of it is in already."}`,
          },
        ]
      : [];
  return ok(
    {
      endPct,
      mostNowPct: targetPct / ratio,
      addAtEndG: g(Math.max(0, ((targetPct - endPct) * endG) / (100 - targetPct))),
    },
    warnings,
  );
}

/** Share of a computed dose that goes in before the first taste. Common practice, no source. */
const FIRST = 0.8;

/**
 * Salt that brings a mass to a target, with what salty things are still to come.
 *
 * @param stillToCome what goes in later, g and per cent of salt
 * @returns grams of salt, and the first dose
 * @errors OUT_OF_RANGE · NEGATIVE · NOT_FINITE · ABOVE_TARGET it is salted more than that already
 * Source: exact. @example 4.2 kg from 0.42 to 0.80 % → 16.1 g; 1.2 kg, mustard 40 g at 5 %, pickles 90 g at 2.5 %, to 0.80 % → 6.4 g
 */
export function saltDose(
  massG: number,
  nowPct: number,
  targetPct: number,
  stillToCome: readonly { readonly massG: number; readonly saltPct: number }[] = [],
): Result<{ addG: Grams; firstG: Grams; withoutPct: number }> {
  const problems = [
    ...checkNumber(massG, "massG", "The weight", { min: 0.1, unit: "g" }),
    ...checkNumber(nowPct, "nowPct", "The salt now", { min: 0, max: 100, unit: "%" }),
    ...checkNumber(targetPct, "targetPct", "The salt wanted", { min: 0, max: 10, unit: "%" }),
    ...stillToCome.flatMap((p, i) => [
      ...checkNumber(p.massG, `stillToCome.${i}.massG`, "What is still to come"),
      ...checkNumber(p.saltPct, `stillToCome.${i}.saltPct`, "Its salt", { min: 0, max: 100, unit: "%" }),
    ]),
  ];
  if (problems.length) return refuse(...problems);
  const all = massG + stillToCome.reduce((sum, p) => sum + p.massG, 0);
  const salt = (massG * nowPct + stillToCome.reduce((sum, p) => sum + p.massG * p.saltPct, 0)) / 100;
  const withoutPct = (100 * salt) / all;
  if (withoutPct > targetPct * (1 + 1e-9))
    return refuse({
      code: "ABOVE_TARGET",
      field: "targetPct",
      value: targetPct,
      allowed: withoutPct,
      message: `It comes to ${printNumber(withoutPct, 2)} % without any salt. Thin it with something unsalted, or want more.`,
    });
  const addG = g((all * targetPct - 100 * salt) / (100 - targetPct));
  return ok({ addG, firstG: g(FIRST * addG), withoutPct });
}
