import { mean } from "simple-statistics";
import { type Result, ok, refuse } from "../ground/result";

/** A chart of single batches: where the middle lies, how wide ordinary wobble is, and which batches are out of it. */

/** d₂, E₂ and D₄ for ranges of two neighbours, exact: σ = M̄R/d₂, limits x̄ ± E₂·M̄R, upper limit of ranges D₄·M̄R. */
export const CHART = (() => {
  const d2 = 2 / Math.sqrt(Math.PI);
  const d3 = Math.sqrt(2 - 4 / Math.PI);
  return { d2, e2: 3 / d2, d4: 1 + (3 * d3) / d2 } as const;
})();

/** Fewer batches are drawn without limits; from here on the limits are provisional. */
export const LEAST_FOR_LIMITS = 5;
/** From here on the limits are full, and all rules are asked. */
const LEAST_FOR_RULES = 12;
/** So many batches set the limits; those after them are judged by these. */
export const FROZEN_AT = 20;

/** What is out of the ordinary, by the last batch that shows it. */
export const RULES = {
  "one-far-out": "one batch beyond three sigmas",
  "two-of-three": "two of three in a row beyond two sigmas on one side",
  "four-of-five": "four of five in a row beyond one sigma on one side",
  "eight-on-a-side": "eight in a row on one side of the middle",
  "six-steadily": "six in a row, each higher or each lower than the one before",
} as const;
export type Rule = keyof typeof RULES;

export interface Alarm {
  /** Place in the values as they were given. */
  readonly index: number;
  readonly rule: Rule;
}

export interface ControlChart {
  readonly stage: "plot only" | "provisional" | "full" | "frozen";
  readonly mean: number;
  /** Mean moving range of the batches that set the limits. */
  readonly mrBar: number;
  /** Spread from batch to batch; `null` where there are no limits. */
  readonly sigma: number | null;
  readonly upper: number | null;
  readonly lower: number | null;
  readonly upperRange: number | null;
  /** All values are equal at the resolution of what weighed them: the spread is taken from it. */
  readonly fromResolution: boolean;
  /** The scale is coarser than half the spread: it decides, not the sauce. */
  readonly scaleDecides: boolean;
  readonly alarms: readonly Alarm[];
}

const NONE: ReadonlySet<number> = new Set();

/**
 * Individuals and moving range.
 *
 * @param values     in the order the batches were made, one version; at least 2
 * @param resolution smallest step of the gauge, in the unit of the values; 0 where it is not known
 * @param explained  places whose cause is known: they stay on the chart and set no limits
 * @errors NOT_ENOUGH fewer than two · NOT_FINITE
 * Source: docs/models.md "Drift and limits"; constants exact for ranges of two.
 * @example yields 0.412, 0.405, 0.418 … (twelve): mean 0.40625, σ 0.008057, limits 0.38208 … 0.43042
 */
export function controlChart(
  values: readonly number[],
  {
    resolution = 0,
    explained = NONE,
  }: { readonly resolution?: number; readonly explained?: ReadonlySet<number> } = {},
): Result<ControlChart> {
  const refused = refusedSeries(values);
  if (refused) return refused;
  const counted = values.flatMap((value, index) => (explained.has(index) ? [] : [{ value, index }]));
  // Limits that move with every batch follow a drift instead of showing it.
  const setting = counted.slice(0, FROZEN_AT).map(({ value }) => value);
  const from = setting.length ? setting : values;
  const middle = mean([...from]);
  const ranges = from.slice(1).map((x, i) => Math.abs(x - (from[i] ?? x)));
  const mrBar = ranges.length ? mean(ranges) : 0;
  const base = { mean: middle, mrBar };
  const n = counted.length;
  if (n < LEAST_FOR_LIMITS)
    return ok({
      ...base,
      stage: "plot only",
      sigma: null,
      upper: null,
      lower: null,
      upperRange: null,
      fromResolution: false,
      scaleDecides: false,
      alarms: [],
    });
  const fromResolution = mrBar === 0;
  const sigma = fromResolution ? resolution / Math.sqrt(12) : mrBar / CHART.d2;
  const stage = n < LEAST_FOR_RULES ? "provisional" : n < FROZEN_AT ? "full" : "frozen";
  return ok({
    ...base,
    stage,
    sigma,
    upper: middle + 3 * sigma,
    lower: middle - 3 * sigma,
    upperRange: CHART.d4 * CHART.d2 * sigma,
    fromResolution,
    scaleDecides: resolution > sigma / 2,
    alarms: sigma > 0 ? alarmsIn(counted, middle, sigma, stage === "provisional") : [],
  });
}

export function refusedSeries(values: readonly number[]): Result<never> | null {
  if (values.length < 2)
    return refuse({ code: "NOT_ENOUGH", field: "values", message: "Two batches at least make a chart." });
  if (!values.every(Number.isFinite))
    return refuse({ code: "NOT_FINITE", field: "values", message: "A batch has no number here." });
  return null;
}

/** Which rules each batch breaks; a rule is asked only where its whole window exists. */
function alarmsIn(
  counted: readonly { readonly value: number; readonly index: number }[],
  middle: number,
  sigma: number,
  onlyFar: boolean,
): Alarm[] {
  const z = counted.map(({ value }) => (value - middle) / sigma);
  const back = (i: number, n: number): number[] | null => (i + 1 >= n ? z.slice(i + 1 - n, i + 1) : null);
  const beyond = (window: readonly number[] | null, least: number, sigmas: number, side: number): boolean =>
    !!window && window.filter(x => side * x > sigmas).length >= least && side * (window.at(-1) ?? 0) > sigmas;
  const either = (holds: (side: number) => boolean): boolean => holds(1) || holds(-1);
  const steady = (window: readonly number[] | null, side: number): boolean =>
    !!window && window.slice(1).every((x, i) => side * (x - (window[i] ?? x)) > 0);
  return counted.flatMap(({ index }, i): Alarm[] => {
    const found: Rule[] = [];
    if (Math.abs(z[i] ?? 0) > 3) found.push("one-far-out");
    if (!onlyFar) {
      if (either(side => beyond(back(i, 3), 2, 2, side))) found.push("two-of-three");
      if (either(side => beyond(back(i, 5), 4, 1, side))) found.push("four-of-five");
      if (either(side => back(i, 8)?.every(x => side * x > 0) ?? false)) found.push("eight-on-a-side");
      if (either(side => steady(back(i, 6), side))) found.push("six-steadily");
    }
    return found.map(rule => ({ index, rule }));
  });
}
