import type { FactValues } from "../../ground/facts";
import {
  type Celsius,
  type Millimetres,
  type Seconds,
  degC,
  mm,
  printNumber,
  s,
} from "../../ground/quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";
import type { Geometry } from "../../things/vessel";

export const COOLING_METHODS = [
  "ice-bath",
  "walk-in",
  "walk-in-fan",
  "room",
  "blast",
  "ice-bath-still",
  "running-water",
  "ice-wand",
] as const;
/** A cook’s words for each. */
export const COOLING_METHOD_WORDS: Readonly<Record<(typeof COOLING_METHODS)[number], string>> = {
  "ice-bath": "ice sink, stirred",
  "ice-bath-still": "ice sink, nobody stirs",
  "walk-in": "walk-in, covered",
  "walk-in-fan": "walk-in, under the fan",
  blast: "blast chiller",
  "running-water": "running water, stirred",
  "ice-wand": "ice wand, stirred",
  room: "on the bench",
};
export type CoolingMethod = (typeof COOLING_METHODS)[number];

/** Heat drain of a vessel: W/K towards one temperature. */
export interface Drain {
  readonly wPerK: number;
  readonly towardsC: Celsius;
}

/** How the vessel stands in the cold. */
export interface Standing {
  readonly method: CoolingMethod;
  readonly vessel: Geometry;
  readonly level: Millimetres;
  /** A lid or film on it. */
  readonly covered: boolean;
  /** Purée, velouté, set stock: heat must creep through it unless somebody stirs. */
  readonly thick: boolean;
  readonly stirred: boolean;
  /** The cold’s own temperature, when it was read; the method’s otherwise. */
  readonly sinkC?: Celsius;
  readonly roomC: Celsius;
}

/** Films of still and moving air, W/(m² K): side, base, covered top, open top. */
const AIR = {
  "walk-in": [8, 5, 6, 25],
  "walk-in-fan": [15, 10, 12, 35],
  room: [9, 4, 6, 28],
  blast: [30, 30, 30, 45],
} as const;
/** Surface of one ice wand, m². Our estimate. */
const WAND_M2 = 0.11;
/** Exact one-term solutions of a slab, within 5 %; own derivation. */
const SLAB = { resistance: 2.6, excess: 0.571, biot: 3.2 } as const;
const BIOT_NOTED = 0.1;

interface Film {
  readonly u: number;
  readonly areaM2: number;
  readonly towardsC: number;
}

/** Everything that takes heat from a vessel; air is what is left where no bath reaches. */
function filmsOf(standing: Standing, f: FactValues): Film[] {
  const { vessel, level, covered, roomC } = standing;
  const side = vessel.wallMm2(level) * 1e-6;
  const base = vessel.surfaceMm2(mm(0)) * 1e-6;
  const top = vessel.surfaceMm2(level) * 1e-6;
  const sink = (own: number, coldest = -Infinity) => Math.max(coldest, (standing.sinkC ?? own) + f.sinkOffK);
  const air = (kind: keyof typeof AIR, factor: number, towards: number): Film[] => {
    const [uSide, uBase, uCovered, uOpen] = AIR[kind];
    return [
      { u: factor * uSide, areaM2: side, towardsC: towards },
      { u: factor * uBase, areaM2: base, towardsC: towards },
      { u: factor * (covered ? uCovered : uOpen), areaM2: top, towardsC: towards },
    ];
  };
  const bath = (u: number, towards: number): Film[] => [{ u, areaM2: side + base, towardsC: towards }];
  switch (standing.method) {
    case "walk-in":
    case "walk-in-fan":
      return air(standing.method, f.walkInTrue, sink(f.walkInC));
    case "room":
      return air("room", f.roomTrue, standing.sinkC ?? roomC);
    case "blast":
      return air("blast", f.blastTrue, sink(f.blastC));
    case "ice-bath":
      return standing.stirred
        ? bath(f.iceBathStirred, sink(f.iceBathC, 0))
        : bath(f.iceBathStill, sink(f.iceBathStillC, 0));
    case "ice-bath-still":
      return bath(f.iceBathStill, sink(f.iceBathStillC, 0));
    case "running-water":
      return bath(f.runningWater, sink(f.tapC, 0));
    case "ice-wand":
      return air("room", f.roomTrue, roomC);
  }
}

export interface Sinks {
  readonly drain: Drain;
  /** A frozen wand beside it: W/K towards 0 °C while its ice lasts. */
  readonly wandWPerK: number;
  /** How far the core of thick, unstirred food lags, as a share of the mean's excess over the cold. */
  readonly coreExcess: number;
}

/**
 * What takes heat from a vessel that stands in the cold.
 *
 * @errors NO_AREA nothing of it touches the cold
 * Source: docs/models.md "Cooling" (our estimates); thick food by its own conduction.
 */
export function sinksOf(standing: Standing, f: FactValues): Result<Sinks> {
  const films = filmsOf(standing, f);
  const area = films.reduce((sum, film) => sum + film.areaM2, 0);
  const wandWPerK = standing.method === "ice-wand" ? f.iceWand * WAND_M2 : 0;
  if (!(area > 0))
    return refuse({
      code: "NO_AREA",
      field: "vessel",
      message: "Nothing of this vessel touches the cold: put something in it first.",
    });
  const creeps = standing.thick && !standing.stirred;
  const depthM = (standing.vessel.volumeAtLevel(standing.level) * 1e-6) / area;
  const through = ({ u }: Film) =>
    creeps ? 1 / (1 / u + depthM / (SLAB.resistance * f.thickConduction)) : u;
  const wPerK = films.reduce((sum, film) => sum + through(film) * film.areaM2, 0);
  const towards = films.reduce((sum, film) => sum + through(film) * film.areaM2 * film.towardsC, 0) / wPerK;
  const uMean = films.reduce((sum, film) => sum + film.u * film.areaM2, 0) / area;
  const biot = (uMean * depthM) / f.thickConduction;
  return ok({
    drain: { wPerK, towardsC: degC(towards) },
    wandWPerK,
    coreExcess: creeps && biot > BIOT_NOTED ? (SLAB.excess * biot) / (biot + SLAB.biot) : 0,
  });
}

/** Two sinks as one. */
export function withWand({ drain, wandWPerK }: Sinks): Drain {
  const wPerK = drain.wPerK + wandWPerK;
  return { wPerK, towardsC: degC((drain.wPerK * drain.towardsC) / wPerK) };
}

/**
 * Time for a stirred or thin liquid to fall between two temperatures: τ·ln((T₀ − Tₑ)/(T₁ − Tₑ)), τ = C/UA.
 *
 * @param heatJPerK heat capacity of liquor and vessel
 * @errors NEVER_REACHED the bath is not cold enough · T_START it is colder than the bath already
 * @example 10 l in a 28 cm pot, walk-in, 57 → 21 °C: 7.16 h
 */
export function coolingTime(heatJPerK: number, from: Celsius, to: Celsius, drain: Drain): Result<Seconds> {
  const problem = coolingProblem(from, to, drain.towardsC);
  if (problem) return refuse(problem);
  if (from <= to) return ok(s(0));
  return ok(s((heatJPerK / drain.wPerK) * Math.log((from - drain.towardsC) / (to - drain.towardsC))));
}

function coolingProblem(from: number, to: number, towards: number): Problem | null {
  const [wrong] = [
    ...checkNumber(from, "fromC", "The start", { min: -5, max: 110, unit: "°C" }),
    ...checkNumber(to, "toC", "The goal", { min: -5, max: 110, unit: "°C" }),
  ];
  if (wrong) return wrong;
  if (to <= towards)
    return {
      code: "NEVER_REACHED",
      field: "toC",
      value: to,
      allowed: { min: towards },
      message: `A bath at ${printNumber(towards)} °C cannot bring it to ${printNumber(to)} °C.`,
    };
  if (from <= towards)
    return {
      code: "T_START",
      field: "fromC",
      value: from,
      message: `It is ${printNumber(from)} °C: colder than the bath already.`,
    };
  return null;
}

const fall = (heat: number, from: number, drain: Drain, time: number): number =>
  drain.towardsC + (from - drain.towardsC) * Math.exp((-time * drain.wPerK) / heat);

/** Heat a wand has taken up after a time beside another drain, J. */
function wandHeat(heat: number, from: number, sinks: Sinks, time: number): number {
  const both = withWand(sinks);
  const tau = heat / both.wPerK;
  return (
    sinks.wandWPerK * (both.towardsC * time + (from - both.towardsC) * tau * (1 - Math.exp(-time / tau)))
  );
}

/** Heat one frozen wand can take until its melt is at 5 °C, J. Source: latent heat of ice 333.55 J/g, handbook value. */
export const wandCapacityJ = (waterG: number, frozenC: number): number =>
  waterG * (333.55 + 2.1 * Math.abs(frozenC) + 4.186 * 5);

/** One wand: 1.9 kg of water, frozen at −18 °C. Our estimate. */
export const ONE_WAND_J = wandCapacityJ(1900, -18);

export interface CoolingCourse {
  readonly time: Seconds;
  /** Temperature after a time, s → °C. */
  readonly at: (time: number) => number;
  /** When the wand’s ice was gone; `null`: it lasted, or there was none. */
  readonly wandSpent: Seconds | null;
}

/**
 * The whole fall from one temperature to another, a wand’s ice running out on the way included.
 *
 * @errors those of `coolingTime`
 */
export function coolingCourse(
  heatJPerK: number,
  from: Celsius,
  to: Celsius,
  sinks: Sinks,
): Result<CoolingCourse> {
  if (sinks.wandWPerK === 0) {
    const time = coolingTime(heatJPerK, from, to, sinks.drain);
    return time.ok
      ? ok({ time: time.value, at: t => fall(heatJPerK, from, sinks.drain, t), wandSpent: null })
      : time;
  }
  const both = withWand(sinks);
  const quick = coolingTime(heatJPerK, from, to, both);
  if (quick.ok && wandHeat(heatJPerK, from, sinks, quick.value) <= ONE_WAND_J)
    return ok({ time: quick.value, at: t => fall(heatJPerK, from, both, t), wandSpent: null });
  if (!quick.ok && quick.problems[0]?.code !== "NEVER_REACHED") return quick;
  // Bisection for the moment the ice is gone; forty halvings of two days are finer than a second.
  let [lo, hi] = [0, 48 * 3600];
  for (let pass = 0; pass < 40; pass++) {
    const middle = (lo + hi) / 2;
    if (wandHeat(heatJPerK, from, sinks, middle) > ONE_WAND_J) hi = middle;
    else lo = middle;
  }
  const left = fall(heatJPerK, from, both, lo);
  const rest = coolingTime(heatJPerK, degC(left), to, sinks.drain);
  if (!rest.ok) return rest;
  return ok({
    time: s(lo + rest.value),
    at: t => (t <= lo ? fall(heatJPerK, from, both, t) : fall(heatJPerK, left, sinks.drain, t - lo)),
    wandSpent: s(lo),
  });
}
