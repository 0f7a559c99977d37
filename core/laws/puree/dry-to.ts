import { printNumber } from "../../ground/quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";

export interface DryTo {
  readonly lossPct?: number;
  readonly remainPct?: number;
  readonly startSolidsPct?: number;
  readonly targetSolidsPct?: number;
}

/**
 * The weight at which to stop drying: by loss, by what remains, or by solids.
 * @errors MISSING none of them is said · OUT_OF_RANGE
 * Source: mass balance, exact. @example 4 kg potato, 6 % → stop at 3.76 kg; 2.5 kg mushrooms to 38 % → 0.95 kg
 */
export function dryTo(startG: number, how: DryTo): Result<{ stopG: number; lostG: number }> {
  const problems: Problem[] = checkNumber(startG, "startG", "The start", { min: 0.1, unit: "g" });
  const share = (value: number, field: string, label: string) =>
    problems.push(...checkNumber(value, field, label, { min: 0.01, max: 99.9, unit: "%" }));
  let left: number | null = null;
  if (how.lossPct !== undefined) {
    share(how.lossPct, "lossPct", "The loss");
    left = 1 - how.lossPct / 100;
  } else if (how.remainPct !== undefined) {
    share(how.remainPct, "remainPct", "What remains");
    left = how.remainPct / 100;
  } else if (how.startSolidsPct !== undefined && how.targetSolidsPct !== undefined) {
    share(how.startSolidsPct, "startSolidsPct", "The solids now");
    share(how.targetSolidsPct, "targetSolidsPct", "The solids wanted");
    left = how.startSolidsPct / how.targetSolidsPct;
    if (left > 1)
      problems.push({
        code: "OUT_OF_RANGE",
        field: "targetSolidsPct",
        value: how.targetSolidsPct,
        allowed: { min: how.startSolidsPct },
        message: `It has ${printNumber(how.startSolidsPct, 1)} % solids already; drying only brings more.`,
      });
  } else
    problems.push({
      code: "MISSING",
      field: "lossPct",
      message: "Say how much is to be lost, how much remains, or the solids now and wanted.",
    });
  if (problems.length || left === null) return refuse(...problems);
  return ok({ stopG: startG * left, lostG: startG * (1 - left) });
}
