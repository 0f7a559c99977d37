import type { FactValues } from "../../ground/facts";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";

/** Ways alcohol meets heat, where only the method and the time are known. */
export const RETENTION_METHODS = ["stirred-in", "flamed", "off-heat", "overnight", "none"] as const;
export type RetentionMethod = (typeof RETENTION_METHODS)[number];

/**
 * Alcohol left after simmering with it stirred in, minutes → share.
 * Source: USDA Table of Nutrient Retention Factors, Release 6, 2007 (after Augustin et al., J. Am. Diet. Assoc. 92
 * (1992) 486–488), from memory; the first point is "added to boiling liquid".
 */
const STIRRED_IN: readonly (readonly [number, number])[] = [
  [0, 0.85],
  [15, 0.4],
  [30, 0.35],
  [60, 0.25],
  [90, 0.2],
  [120, 0.1],
  [150, 0.05],
];

const stirredIn = (minutes: number): number => {
  const next = STIRRED_IN.findIndex(([at]) => at >= minutes);
  const [to, from] = [STIRRED_IN[next], STIRRED_IN[next - 1]];
  if (!to) return 0.05;
  if (!from || to[0] === minutes) return to[1];
  const share = (minutes - from[0]) / (to[0] - from[0]);
  return Math.exp(Math.log(from[1]) + share * (Math.log(to[1]) - Math.log(from[1])));
};

/**
 * Share of the alcohol a method leaves.
 *
 * Between the table's times on the logarithm, never below 5 %. Flamed and simmered on: 0.75 × table(t)/0.85.
 *
 * @param minutes simmered with it stirred in, 0–1440; ignored where nothing simmers
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Valid for: × 0.6–1.5, at most all. Never a promise that none is left.
 * @example retainedShare("stirred-in", 45) // 0.2958
 */
export function retainedShare(
  method: RetentionMethod,
  minutes: number,
  f: Pick<FactValues, "keptOffHeat" | "keptFlamed" | "retentionTrue">,
): Result<number> {
  const problems = checkNumber(minutes, "minutes", "The time", { max: 1440, unit: "min" });
  if (problems.length) return refuse(...problems);
  const table = (): number => {
    switch (method) {
      case "stirred-in":
        return stirredIn(minutes);
      case "flamed":
        return minutes > 0 ? (f.keptFlamed * stirredIn(minutes)) / 0.85 : f.keptFlamed;
      case "off-heat":
        return f.keptOffHeat;
      case "overnight":
        return 0.7;
      case "none":
        return 1;
    }
  };
  return ok(Math.min(1, table() * (method === "none" ? 1 : f.retentionTrue)));
}
