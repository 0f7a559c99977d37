/**
 * The two ways a function of the core can end badly.
 *
 * What a cook can cause (a wrong number, an impossible wish) is a value: `Result`.
 * What only we can cause (a broken invariant) is thrown: `InvariantError`.
 */

/** Upper-case codes; the sentence beside each stands where it is raised. */
export type ProblemCode =
  | "NOT_FINITE"
  | "NEGATIVE"
  | "OUT_OF_RANGE"
  | "EMPTY"
  | "MISSING"
  | "UNKNOWN_ID"
  | "NOT_UNDERSTOOD"
  | "AMBIGUOUS"
  | "WRONG_UNIT"
  | "SUM_NOT_100"
  | "SUBSET_TOO_BIG"
  | "NOT_ENOUGH"
  | "ABOVE_TARGET"
  | "FRACTION"
  | "T_RANGE"
  | "NO_WATER"
  | "ALTITUDE"
  | "PRESSURE"
  | "GEOMETRY"
  | "OVERFLOW"
  | "BULK_ABOVE_RIM"
  | "NOTHING_FITS"
  | "TARGET_BELOW_SOLIDS"
  | "TARGET_ABOVE_START"
  | "NOT_REACHED"
  | "NEVER_REACHED"
  | "HOLD_TOO_HOT"
  | "BURNER"
  | "MODE"
  | "CLASS"
  | "T_LOW"
  | "T_START"
  | "CYCLE"
  | "NO_CONVERGENCE"
  | "UNREACHABLE"
  | "TARE"
  | "READING_ABOVE_RIM"
  | "DUPLICATE"
  | "IN_USE"
  | "TIME_ORDER"
  | "PROBE"
  | "NO_AREA"
  | "NO_PROJECTION"
  | "PRESET_SPECIES"
  | "TARGET_ABOVE_NOW"
  | "ABV"
  | "IMPLAUSIBLE"
  | "HORIZON";

/** A refusal: what is wrong, where, and what would be right, in a cook's words. */
export interface Problem {
  readonly code: ProblemCode;
  readonly message: string;
  /** Path of the field, such as `heat.watts` or `steps.3.lines.1.amount`. */
  readonly field: string;
  readonly value?: unknown;
  readonly allowed?: unknown;
}

/** Something doubtful that did not stop the sum. */
export interface Warning {
  readonly code: string;
  readonly message: string;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T; readonly warnings: readonly Warning[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export type Failure = Extract<Result<never>, { ok: false }>;

export const ok = <T>(value: T, warnings: readonly Warning[] = []): Result<T> => ({
  ok: true,
  value,
  warnings,
});

export const refuse = (...problems: readonly Problem[]): Failure => ({ ok: false, problems });

/** A mistake of ours, never of the cook's. */
export class InvariantError extends Error {
  override readonly name = "InvariantError";
}

/** For places where a refusal has been ruled out already. Throws `InvariantError` otherwise. */
export function valueOf<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new InvariantError(result.problems.map(p => `${p.field}: ${p.message}`).join(" "));
}

/** Refusals shared by every function that takes a plain amount. Reports at most one problem per field. */
export function checkNumber(
  value: number,
  field: string,
  label: string,
  range?: { min?: number; max?: number; unit?: string },
): Problem[] {
  if (typeof value !== "number" || !Number.isFinite(value))
    return [{ code: "NOT_FINITE", field, value, message: `${label}: please enter a number.` }];
  const { min = 0, max = Infinity, unit = "" } = range ?? {};
  if (value < 0 && min >= 0)
    return [{ code: "NEGATIVE", field, value, message: `${label} cannot be negative.` }];
  if (value < min || value > max) {
    const u = unit ? ` ${unit}` : "";
    const between = Number.isFinite(max) ? `between ${min} and ${max}${u}` : `at least ${min}${u}`;
    return [
      {
        code: "OUT_OF_RANGE",
        field,
        value,
        allowed: { min, max },
        message: `${label} is ${value}${u}; it must be ${between}.`,
      },
    ];
  }
  return [];
}
