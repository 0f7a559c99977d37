import { betaInverse } from "../ground/distributions";
import { type Problem, type Result, ok, refuse } from "../ground/result";

/** Whether people can tell two sauces apart, or prefer one: exact, for the few answers a kitchen gets. */

/** What a taster is asked, and how often chance alone is right. */
export const ASKED = {
  triangle: { chance: 1 / 3, sides: 1 },
  "duo-trio": { chance: 1 / 2, sides: 1 },
  /** Which has more of something, the direction fixed before anybody tastes. */
  "paired comparison": { chance: 1 / 2, sides: 1 },
  "paired preference": { chance: 1 / 2, sides: 2 },
} as const;
export type Discrimination = keyof typeof ASKED;

/** More answers than any kitchen collects. */
const MOST_ANSWERS = 300;
const LEVEL = 0.05;
/** With fewer answers a triangle says little, whatever it says. */
const LEAST_ANSWERS = 18;
/** Power goes up and down like a saw: so many numbers of answers in a row must have it. */
const SAW = 10;

const LOG_FACTORIAL: readonly number[] = (() => {
  const of = [0];
  for (let i = 1; i <= MOST_ANSWERS; i++) of.push((of[i - 1] ?? 0) + Math.log(i));
  return of;
})();
const lf = (i: number): number => LOG_FACTORIAL[i] ?? Number.NaN;

/** P(X ≥ x) of n answers that are each right with probability p; summed from the smallest term. */
function tail(x: number, n: number, p: number): number {
  if (x <= 0) return 1;
  if (p <= 0) return 0;
  if (p >= 1) return x <= n ? 1 : 0;
  const terms: number[] = [];
  for (let k = x; k <= n; k++)
    terms.push(Math.exp(lf(n) - lf(k) - lf(n - k) + k * Math.log(p) + (n - k) * Math.log1p(-p)));
  return Math.min(
    1,
    terms.sort((a, b) => a - b).reduce((sum, t) => sum + t, 0),
  );
}

const pOf = (test: Discrimination, n: number, x: number): number => {
  const { chance, sides } = ASKED[test];
  return sides === 1 ? tail(x, n, chance) : Math.min(1, 2 * tail(Math.max(x, n - x), n, chance));
};

function refused(n: number, level: number): Problem[] {
  const problems: Problem[] = [];
  if (!Number.isInteger(n) || n < 1 || n > MOST_ANSWERS)
    problems.push({
      code: "OUT_OF_RANGE",
      field: "answers",
      message: `${n} answers: it takes whole answers, 1 to ${MOST_ANSWERS}.`,
    });
  if (!(level > 0 && level < 0.5))
    problems.push({ code: "OUT_OF_RANGE", field: "level", message: "The level lies between 0 and 0.5." });
  return problems;
}

/**
 * Fewest right answers that show something; `null` where no number of them can.
 *
 * @param n answers, 1–300 @param level probability of a false finding, 0–0.5
 * @errors OUT_OF_RANGE
 * Source: exact binomial; for triangles the same table as ISO 4120 (docs/models.md "Tastings").
 * @example triangle of 24: 13; at 1 %: 15; of two answers: null
 */
export function leastRight(test: Discrimination, n: number, level = LEVEL): Result<number | null> {
  const problems = refused(n, level);
  if (problems.length) return refuse(...problems);
  for (let x = Math.ceil(n * ASKED[test].chance); x <= n; x++) if (pOf(test, n, x) <= level) return ok(x);
  return ok(null);
}

/**
 * Probability that so many answers show a difference which a share of people really notices.
 * @param noticing share of people who notice, 0–1; for a preference, the share that leans one way beyond half
 * @errors as `leastRight`
 * @example triangle of 24, half of them notice: 0.932
 */
export function powerOf(test: Discrimination, n: number, noticing: number, level = LEVEL): Result<number> {
  const least = leastRight(test, n, level);
  if (!least.ok) return least;
  const { chance, sides } = ASKED[test];
  const right = noticing + (1 - noticing) * chance;
  if (least.value === null) return ok(0);
  const upper = tail(least.value, n, right);
  // A preference may also show the wrong way round.
  return ok(sides === 1 ? upper : upper + tail(least.value, n, 1 - right));
}

/**
 * How many tasters it takes: the smallest number whose power, and that of the ten after it, is enough.
 * @param wanted power, 0–1
 * @errors OUT_OF_RANGE · NOT_REACHED more than 300
 * @example triangle, 0.3 notice, power 0.8: 42; 0.5 notice, power 0.9: 22
 */
export function tastersNeeded(
  test: Discrimination,
  noticing: number,
  wanted: number,
  level = LEVEL,
): Result<number> {
  if (!(noticing > 0 && noticing <= 1 && wanted > 0 && wanted < 1))
    return refuse({
      code: "OUT_OF_RANGE",
      field: "noticing",
      message: "Shares lie between 0 and 100 %.",
    });
  const enough = (n: number): boolean => {
    const power = powerOf(test, n, noticing, level);
    return power.ok && power.value >= wanted;
  };
  let row = 0;
  for (let n = 1; n <= MOST_ANSWERS; n++) {
    row = enough(n) ? row + 1 : 0;
    if (row > SAW) return ok(n - SAW);
  }
  return refuse({
    code: "NOT_REACHED",
    field: "noticing",
    message: `So small a difference takes more than ${MOST_ANSWERS - SAW} tasters.`,
  });
}

export interface Discriminated {
  readonly test: Discrimination;
  readonly n: number;
  readonly right: number;
  readonly p: number;
  readonly least: number | null;
  readonly shown: boolean;
  /** Share of people who notice, with its interval; for a preference the share that chose it. */
  readonly share: { readonly value: number; readonly lo: number; readonly hi: number };
  /** Power against half of the people noticing. */
  readonly power: number;
  readonly few: boolean;
}

/** A difference worth finding: half of the guests notice it. */
export const WORTH_FINDING = 0.5;

/**
 * What answers show.
 *
 * @param n     answers, one a taster; "no preference" is none @param right right ones, or those for the first
 * @errors OUT_OF_RANGE
 * Source: exact binomial with the interval of Clopper and Pearson; docs/models.md "Tastings".
 * @example triangle 14 of 24: p 0.0103, shown; 37.5 % notice
 */
export function discriminated(
  test: Discrimination,
  n: number,
  right: number,
  level = LEVEL,
): Result<Discriminated> {
  const least = leastRight(test, n, level);
  if (!least.ok) return least;
  if (!Number.isInteger(right) || right < 0 || right > n)
    return refuse({
      code: "OUT_OF_RANGE",
      field: "right",
      message: `${right} right of ${n} answers: that cannot be.`,
    });
  const p = pOf(test, n, right);
  const power = powerOf(test, n, WORTH_FINDING, level);
  const { chance, sides } = ASKED[test];
  const lo = right === 0 ? 0 : betaInverse(level / 2, right, n - right + 1);
  const hi = right === n ? 1 : betaInverse(1 - level / 2, right + 1, n - right);
  const noticing = (share: number): number =>
    sides === 2 ? share : Math.max(0, (share - chance) / (1 - chance));
  return ok({
    test,
    n,
    right,
    p,
    least: least.value,
    shown: p <= level,
    share: { value: noticing(right / n), lo: noticing(lo), hi: noticing(hi) },
    power: power.ok ? power.value : 0,
    few: n < LEAST_ANSWERS,
  });
}
