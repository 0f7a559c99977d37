import type { FactValues } from "../facts";
import { clamp, printNumber } from "../quantity";
import { type Problem, type Result, type Warning, checkNumber, ok, refuse } from "../result";
import {
  ROUX_SPREAD,
  type StarchDose,
  type StarchPower,
  THICKENERS,
  networkFactor,
  starchPower,
} from "../thickening";
import { withDroplets } from "./droplets";
import { type SauceState, fatFreeMass, fatMassOf, massOfSauce, starchMassOf, steamOff } from "./sauce-state";
import { FAT_FREE_DENSITY, butterfatDensity, dissolvedFactor, waterViscosity } from "./properties";
import { yolkEquivalents, yolkWindow } from "./yolk";
import { rawThickness } from "./thickness";

/** What gives a sauce its body: the numbers behind one thickness, for "why". */
export interface Body {
  readonly temperatureC: number;
  /** Unclamped; on screen 0–100. */
  readonly thickness: number;
  /** Standard deviation of the model, points. */
  readonly sd: number;
  readonly viscosityMPas: number;
  /** Everything but the fat, g, and the share of fat by volume. */
  readonly fatFreeG: number;
  readonly fatVolume: number;
  /** Gelatin in the serum, per cent. */
  readonly gelatinPct: number;
  /** How many times gelatin, dissolved solids and milk thicken the serum. */
  readonly serum: { readonly gelatin: number; readonly dissolved: number; readonly milk: number };
  /** Flour equivalents, g per kg of fat-free sauce. */
  readonly perKg: {
    readonly starch: number;
    readonly yolk: number;
    readonly puree: number;
    readonly all: number;
  };
  readonly starches: readonly { readonly dose: StarchDose; readonly power: StarchPower }[];
  /** How many times the swollen network multiplies the viscosity. */
  readonly network: number;
  /** Flows like a syrup: no swollen network, droplets far apart. */
  readonly newtonian: boolean;
}

/** Sum limits of the model: beyond them it is candy, glaze or dough. */
const MOST_GELATIN_PCT = 35;
const MOST_DISSOLVED = 0.75;
const MOST_MILK = 0.5;
const MOST_YOLK_PER_KG = 400;
const MOST_STARCH_PER_KG = 250;
const SETBACK_PUREE = 0.004;
const NEWTONIAN_BELOW = { network: 2, fatVolume: 0.6 } as const;

/** Conditions a dose has unless it says its own: sugar and acid of the sauce. */
const inSauce = (dose: StarchDose, state: SauceState): StarchDose => ({
  ...dose,
  sugarShare: dose.sugarShare ?? (state.sugarG > 0 ? state.sugarG / (state.sugarG + state.waterG) : 0),
  ...(dose.pH === undefined && state.measuredPH !== undefined && { pH: state.measuredPH }),
});

/**
 * The laws of body without any limits: three layers, serum × network × droplets.
 *
 * Meant for searches, where trials routinely lie outside what a kitchen makes. Use `bodyOf` for an answer.
 * Source: docs/models.md "Body" (B1–B6, C1–C13).
 */
export function bareBody(state: SauceState, temperatureC: number, facts: FactValues): Body {
  const fatFreeG = fatFreeMass(state);
  const serumG = fatFreeG - starchMassOf(state) - state.pureeSolidsG;
  const gelatinPct = (100 * state.gelatinG) / serumG;
  const x = facts.gelatinBody * gelatinPct;
  const serum = {
    gelatin: 1 + x * Math.exp(facts.gelatinCurve * x),
    dissolved: dissolvedFactor(state.dissolvedG / serumG, temperatureC, facts.dissolvedBody),
    milk: Math.exp((facts.milkBody * state.milkSolidsG) / serumG),
  };
  const serumFactor = serum.gelatin * serum.dissolved * serum.milk;
  const perKg = (grams: number) => (1000 * grams) / fatFreeG;
  const starches = state.starches.map(dose => ({ dose, power: starchPower(inSauce(dose, state), facts) }));
  const starchPerKg = starches.reduce((sum, { dose, power }) => sum + power.power * perKg(dose.massG), 0);
  const yolkPerKg = yolkEquivalents(perKg(state.yolkG), state.yolkMaxC, facts);
  const pureePerKg =
    facts.starchThreshold *
    (state.fineness * (perKg(state.pureeSolidsG) / facts.pureeHalfGPerKg) ** facts.pureePower) **
      (1 / facts.starchPower);
  const all = starchPerKg + yolkPerKg + pureePerKg;
  const network = networkFactor(all, facts);
  const setback =
    all > 0
      ? (starches.reduce(
          (sum, { dose, power }) => sum + power.power * perKg(dose.massG) * THICKENERS[dose.id].setbackPerK,
          0,
        ) +
          pureePerKg * SETBACK_PUREE) /
        all
      : 0;
  const stiffened = Math.exp(setback * Math.max(0, 60 - temperatureC));
  const waterPhase =
    waterViscosity(temperatureC) * (serumFactor + (network - 1) * stiffened * Math.sqrt(serumFactor));
  const fatMl = fatMassOf(state) / butterfatDensity(temperatureC);
  const fatVolume = fatMl / (fatMl + fatFreeG / FAT_FREE_DENSITY);
  const viscosityMPas = withDroplets(waterPhase, fatVolume);
  return {
    temperatureC,
    thickness: rawThickness(viscosityMPas),
    sd: spreadOf({ serum, starches, starchPerKg, yolkPerKg, pureePerKg, all, fatVolume, perKg }),
    viscosityMPas,
    fatFreeG,
    fatVolume,
    gelatinPct,
    serum,
    perKg: { starch: starchPerKg, yolk: yolkPerKg, puree: pureePerKg, all },
    starches,
    network,
    newtonian: network < NEWTONIAN_BELOW.network && fatVolume < NEWTONIAN_BELOW.fatVolume,
  };
}

/** Uncalibrated deviations by what gives the body, points. Our estimates. */
const SD = { reduction: 6, starch: 5, perDoublingOfDose: 27.8, liaison: 3, cream: 7, puree: 7 } as const;
/** A part counts when it gives more than this share of its layer. */
const COUNTS = 0.1;
/** Cream that has been taken down. */
const REDUCED_CREAM = 0.45;

function spreadOf(of: {
  readonly serum: Body["serum"];
  readonly starches: Body["starches"];
  readonly starchPerKg: number;
  readonly yolkPerKg: number;
  readonly pureePerKg: number;
  readonly all: number;
  readonly fatVolume: number;
  readonly perKg: (grams: number) => number;
}): number {
  const lnSerum = Math.log(of.serum.gelatin * of.serum.dissolved * of.serum.milk);
  const ofSerum = (factor: number) => lnSerum > 0 && Math.log(factor) > COUNTS * lnSerum;
  const ofNetwork = (equivalents: number) => of.all > 0 && equivalents > COUNTS * of.all;
  const parts: number[] = [];
  if (ofSerum(of.serum.gelatin * of.serum.dissolved)) parts.push(SD.reduction);
  if (of.fatVolume > REDUCED_CREAM) parts.push(SD.cream);
  if (ofNetwork(of.starchPerKg)) {
    const doubt = Math.hypot(
      ...of.starches.map(({ dose, power }) => {
        const share = (power.power * of.perKg(dose.massG)) / of.starchPerKg;
        return share * (THICKENERS[dose.id].spread + (dose.colour ? ROUX_SPREAD[dose.colour] : 0));
      }),
    );
    parts.push(Math.hypot(SD.starch, SD.perDoublingOfDose * doubt));
  }
  if (ofNetwork(of.yolkPerKg)) parts.push(SD.liaison);
  if (ofNetwork(of.pureePerKg)) parts.push(SD.puree);
  return parts.length ? Math.hypot(...parts) : SD.reduction;
}

/** Below so much gelatin a plate can be as cold as it likes; where a jus sets, °C. Our estimate. */
const SETS_FROM_PCT = 1.5;
export const setsBelowC = (gelatinPct: number): number | null =>
  gelatinPct >= SETS_FROM_PCT ? 16 + 1.2 * Math.min(gelatinPct, 10) : null;

/**
 * The thickness of a sauce at a temperature, with everything that gives it.
 *
 * @param state grams, parts disjoint, each ≥ 0
 * @param temperatureC 0–100 °C
 * @returns thickness 0–100 with its uncalibrated standard deviation
 * @errors NEGATIVE · NOT_ENOUGH more water gone than there was · NO_WATER · OUT_OF_RANGE gelatin, sugar, milk, yolk,
 *   starch beyond the model · SUBSET_TOO_BIG more thickening solids than purée · T_RANGE
 * Warns GELS_ON_PLATE, CURDLED, LIAISON_UNDERCOOKED, YOLK_THINS_STARCH, CREAM_NEAR_BREAK, CREAM_BREAKS,
 *   STARCH_NOT_ACTIVATED, STARCH_BREAKDOWN, PASTY, RAW_FLOUR_TASTE.
 * Source: docs/models.md "Body". @example velouté, 60 g flour to a litre of white stock, a seventh boiled off → 51.18
 */
export function bodyOf(state: SauceState, temperatureC: number, facts: FactValues): Result<Body> {
  const problems = problemsOf(state, temperatureC);
  if (problems.length) return refuse(...problems);
  const body = bareBody(state, temperatureC, facts);
  const beyond = beyondModel(state, body);
  if (beyond.length) return refuse(...beyond);
  return ok({ ...body, thickness: clamp(body.thickness, 0, 100) }, warningsOf(state, body));
}

const PARTS = [
  ["gelatinG", "The gelatin"],
  ["dissolvedG", "What is dissolved"],
  ["milkSolidsG", "The milk solids"],
  ["saltG", "The salt"],
  ["fatG", "The fat"],
  ["yolkG", "The yolk"],
  ["pureeG", "The purée"],
  ["pureeSolidsG", "The solids of the purée"],
] as const;

function problemsOf(state: SauceState, temperatureC: number): Problem[] {
  const problems: Problem[] = [
    ...checkNumber(temperatureC, "temperatureC", "The temperature", { min: 0, max: 100, unit: "°C" }).map(
      (p): Problem => ({
        ...p,
        code: p.code === "OUT_OF_RANGE" || p.code === "NEGATIVE" ? "T_RANGE" : p.code,
      }),
    ),
    ...PARTS.flatMap(([field, label]) => checkNumber(state[field], field, label)),
    ...state.starches.flatMap((d, i) =>
      checkNumber(d.massG, `starches.${i}.massG`, `The ${THICKENERS[d.id].name}`),
    ),
  ];
  if (state.waterG < -1e-9)
    problems.push({
      code: "NOT_ENOUGH",
      field: "evaporatedG",
      value: state.waterG,
      message: `More water is boiled off than there was: ${printNumber(-state.waterG)} g too much. At most all of the water can go.`,
    });
  if (state.pureeSolidsG > state.pureeG * (1 + 1e-9))
    problems.push({
      code: "SUBSET_TOO_BIG",
      field: "puree.solidsG",
      value: state.pureeSolidsG,
      allowed: { max: state.pureeG },
      message: `A purée of ${printNumber(state.pureeG)} g cannot hold ${printNumber(state.pureeSolidsG)} g of solids.`,
    });
  if (!problems.length && !(fatFreeMass(state) > 0))
    problems.push({
      code: "NO_WATER",
      field: "massG",
      message: "There is nothing but fat in it: a sauce needs some liquor before it has a body.",
    });
  return problems;
}

function beyondModel(state: SauceState, body: Body): Problem[] {
  const serumG = body.fatFreeG - starchMassOf(state) - state.pureeSolidsG;
  const over = (field: string, value: number, max: number, what: string): Problem[] =>
    value > max || !Number.isFinite(value)
      ? [
          {
            code: "OUT_OF_RANGE",
            field,
            value,
            allowed: { max },
            message: `${what}: this is a glaze, a candy or a dough, and the sums of a sauce stop at ${printNumber(max)}. Count it before it was taken so far.`,
          },
        ]
      : [];
  const perKg = (grams: number) => (1000 * grams) / body.fatFreeG;
  return [
    ...over("gelatinG", body.gelatinPct, MOST_GELATIN_PCT, `${printNumber(body.gelatinPct, 1)} % gelatin`),
    ...over(
      "dissolvedG",
      state.dissolvedG / serumG,
      MOST_DISSOLVED,
      `${printNumber((100 * state.dissolvedG) / serumG)} % dissolved`,
    ),
    ...over(
      "milkSolidsG",
      state.milkSolidsG / serumG,
      MOST_MILK,
      `${printNumber((100 * state.milkSolidsG) / serumG)} % milk solids`,
    ),
    ...over(
      "yolkG",
      perKg(state.yolkG),
      MOST_YOLK_PER_KG,
      `${printNumber(perKg(state.yolkG))} g of yolk a kilogram`,
    ),
    ...over(
      "starches",
      body.perKg.starch,
      MOST_STARCH_PER_KG,
      `${printNumber(body.perKg.starch)} g of flour or its like a kilogram`,
    ),
  ];
}

/** Milk solids to a gram of fat from which it is cream, not butter. */
const CREAM_SOLIDS = 0.1;
const CREAM_NEAR = 0.7;
const CREAM_BREAKS = 0.76;
const PASTY_PER_KG = 110;
const WEAK = 0.5;
const BROKEN_DOWN = 0.7;
const RAW_BELOW_MIN = 10;
const RAW_KNEADED_BELOW_MIN = 3;
const SERVED_SOON_MIN = 10;

function warningsOf(state: SauceState, body: Body): Warning[] {
  const warnings: Warning[] = [];
  const add = (code: string, message: string) => warnings.push({ code, message });
  const sets = setsBelowC(body.gelatinPct);
  if (sets !== null && body.temperatureC < sets)
    add(
      "GELS_ON_PLATE",
      `With ${printNumber(body.gelatinPct, 1)} % gelatin it sets below ${printNumber(sets)} °C: warm plates.`,
    );
  if (state.yolkG > 0) {
    const window = yolkWindow(body.perKg.starch);
    if (state.yolkMaxC > window.hardC)
      add(
        "CURDLED",
        `The yolk saw ${printNumber(state.yolkMaxC)} °C and curdles from ${printNumber(window.hardC)} °C on: blend, sieve, expect grain.`,
      );
    else if (state.yolkMaxC < window.loC)
      add("LIAISON_UNDERCOOKED", `Below ${window.loC} °C the yolk does not bind, and it stays raw egg.`);
    else if (window.shield > 0.5 && state.yolkMaxC < 95)
      add("YOLK_THINS_STARCH", "Yolk eats starch while it stands below the boil: serve it, do not keep it.");
  }
  // Butter has fat and hardly any milk solids: it breaks by its own law.
  const cream = state.milkSolidsG > CREAM_SOLIDS * state.fatG;
  if (cream && body.fatVolume > CREAM_BREAKS)
    add(
      "CREAM_BREAKS",
      "The cream is past holding: it turns to butter and whey. A little water or fresh cream, off the heat.",
    );
  else if (cream && body.fatVolume > CREAM_NEAR)
    add("CREAM_NEAR_BREAK", "The cream is close to breaking: no further, and no boil.");
  if (body.perKg.starch > PASTY_PER_KG)
    add("PASTY", "So much flour tastes of paste: less, or reduce instead.");
  for (const { dose, power } of body.starches) {
    const { name, usualMin } = THICKENERS[dose.id];
    if (power.activation < WEAK)
      add(
        "STARCH_NOT_ACTIVATED",
        `The ${name} has not been hot enough to thicken: bring it to ${THICKENERS[dose.id].fullC} °C.`,
      );
    const kept = power.cooking * power.shear * power.acid;
    if (kept < BROKEN_DOWN)
      add(
        "STARCH_BREAKDOWN",
        `The ${name} has lost ${printNumber(100 * (1 - kept))} % of its body to ${power.acid < power.cooking ? "acid: put the acid in at the end" : power.shear < power.cooking ? "the blender" : usualMin < SERVED_SOON_MIN ? "long cooking: put it in last and serve soon" : "long cooking"}.`,
      );
    const raw = dose.id === "flour" || dose.id === "wholeflour";
    const cooked = dose.kneaded ? RAW_KNEADED_BELOW_MIN : RAW_BELOW_MIN;
    if (raw && (dose.colour ?? "white") === "white" && (dose.minutes ?? usualMin) < cooked)
      add(
        "RAW_FLOUR_TASTE",
        `${printNumber(dose.minutes ?? usualMin)} min leave a raw taste of flour: simmer it 20 min.`,
      );
  }
  return warnings;
}

/** The same sauce with some water gone, or an answer why not. */
export const reducedBy = (state: SauceState, evaporatedG: number): Result<SauceState> => {
  const problems = checkNumber(evaporatedG, "evaporatedG", "What is boiled off");
  if (problems.length) return refuse(...problems);
  if (evaporatedG > state.waterG * (1 + 1e-9))
    return refuse({
      code: "NOT_ENOUGH",
      field: "evaporatedG",
      value: evaporatedG,
      allowed: { max: state.waterG },
      message: `Only ${printNumber(state.waterG)} g of water is in it; ${printNumber(evaporatedG)} g cannot boil off.`,
    });
  return ok(steamOff(state, evaporatedG));
};

/** Per cent of the whole sauce. */
export const saltPctOf = (state: SauceState): number => (100 * state.saltG) / massOfSauce(state);
export const fatPctOf = (state: SauceState): number => (100 * fatMassOf(state)) / massOfSauce(state);
