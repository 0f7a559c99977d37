import { z } from "zod";
import { type Pools, massOfPools, volumeAt20 } from "../../things/pot";
import { type Grams, type Millilitres, g, ml, printVolume } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";

const share = z.number().gt(0).lt(1);

/**
 * Where a reduction ends. "By" and "to" are never mixed up: `by` is the share that leaves, `to` the share that stays,
 * both by volume at 20 °C.
 */
export const reductionTargetSchema = z.union([
  z.strictObject({ by: share }),
  z.strictObject({ to: share }),
  z.strictObject({ endG: z.number().positive() }),
  z.strictObject({ endMl: z.number().positive() }),
]);
export type ReductionTarget = z.infer<typeof reductionTargetSchema>;

/** The target as an end point of the liquor: a volume at 20 °C, a mass, or what a refractometer shows. */
export type EndPoint = { readonly ml: Millilitres } | { readonly g: Grams } | { readonly brix: number };

/** Share of the volume that is left; only for targets given as a share. */
export const remainingShare = (target: ReductionTarget): number | null =>
  "by" in target ? 1 - target.by : "to" in target ? target.to : null;

/**
 * Turns a target into an end point for a liquor.
 * @errors TARGET_ABOVE_START the liquor is there already
 * @example 900 ml by ⅓ → 600 ml; to ⅓ → 300 ml
 */
export function endPointOf(target: ReductionTarget, liquor: Pools, field = "target"): Result<EndPoint> {
  const start = volumeAt20(liquor);
  const remaining = remainingShare(target);
  if (remaining !== null) return ok({ ml: ml(start * remaining) });
  if ("endMl" in target) {
    if (target.endMl >= start)
      return refuse({
        code: "TARGET_ABOVE_START",
        field,
        value: target.endMl,
        allowed: start,
        message: `It holds ${printVolume(start)} now; a reduction must end below that.`,
      });
    return ok({ ml: ml(target.endMl) });
  }
  const mass = massOfPools(liquor);
  const end = "endG" in target ? target.endG : mass;
  if (end >= mass)
    return refuse({
      code: "TARGET_ABOVE_START",
      field,
      value: end,
      allowed: mass,
      message: `It weighs ${Math.round(mass)} g now; a reduction must end below that.`,
    });
  return ok({ g: g(end) });
}

const NAMED_SHARES: readonly [number, string][] = [
  [1 / 2, "half"],
  [1 / 3, "a third"],
  [2 / 3, "two thirds"],
  [1 / 4, "a quarter"],
  [3 / 4, "three quarters"],
  [1 / 5, "a fifth"],
  [1 / 8, "an eighth"],
  [1 / 10, "a tenth"],
];

const shareInWords = (x: number): string =>
  NAMED_SHARES.find(([value]) => Math.abs(value - x) < 0.004)?.[1] ?? `${Math.round(x * 100)} %`;

/** The target printed both ways: "reduce by two thirds, to a third". */
export function targetInWords(target: ReductionTarget): string {
  if ("by" in target) return `by ${shareInWords(target.by)} (to ${shareInWords(1 - target.by)})`;
  if ("to" in target) return `to ${shareInWords(target.to)} (by ${shareInWords(1 - target.to)})`;
  if ("endMl" in target) return `to ${printVolume(ml(target.endMl))}`;
  return `to ${Math.round(target.endG)} g`;
}

/**
 * Reads "by a third", "to 1/3", "to 2.5 l", "to 600 g". Without *by* or *to* it asks.
 * @errors AMBIGUOUS neither by nor to · NOT_UNDERSTOOD · OUT_OF_RANGE
 */
export function parseReductionTarget(
  text: string,
  parse: (amount: string) => Result<{ share?: number; massG?: number; volumeMl?: number }>,
  field = "target",
): Result<ReductionTarget> {
  const match = /^\s*(?:reduce\s+)?(by|to)\s+(.+)$/i.exec(text);
  if (!match)
    return refuse({
      code: "AMBIGUOUS",
      field,
      value: text,
      message: `“${text.trim()}”: by or to? Type “by a third” for a third gone, “to a third” for a third left.`,
    });
  const rest = (match[2] ?? "").trim().replace(/^a /, "").toLowerCase();
  const named = NAMED_SHARES.find(([, words]) => words.replace(/^a /, "") === rest);
  const amount = named ? ok({ share: named[0] }) : parse(rest);
  if (!amount.ok) return amount;
  const by = match[1]?.toLowerCase() === "by";
  const {
    share: part,
    massG,
    volumeMl,
  } = amount.value as { share?: number; massG?: number; volumeMl?: number };
  if (part !== undefined) {
    if (!(part > 0 && part < 1))
      return refuse({
        code: "OUT_OF_RANGE",
        field,
        value: text,
        message: `A reduction leaves a share between nothing and all; “${text.trim()}” does not.`,
      });
    return ok(by ? { by: part } : { to: part });
  }
  if (by || (massG === undefined && volumeMl === undefined))
    return refuse({
      code: "NOT_UNDERSTOOD",
      field,
      value: text,
      message: `“${text.trim()}” is not an end point. Type “to 600 g”, “to 2 l” or “by half”.`,
    });
  return ok(volumeMl !== undefined ? { endMl: volumeMl } : { endG: massG ?? 0 });
}
