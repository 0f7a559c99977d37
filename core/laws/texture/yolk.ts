import type { FactValues } from "../../ground/facts";
import { clamp, printNumber } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { HEAT_OF } from "./properties";

/**
 * Flour equivalents of a yolk binding, g per kg of fat-free sauce.
 *
 * @param perKg yolk, g per kg of fat-free sauce; `maxC` the highest temperature since it went in
 * Source: docs/models.md "Liaison" (C2, C3), our estimate; anchored on custard sauce and white stews.
 */
export function yolkEquivalents(perKg: number, maxC: number, facts: FactValues): number {
  if (!(perKg > 0)) return 0;
  const set = 1 / (1 + Math.exp(-(maxC - facts.yolkSetC) / facts.yolkWidthC));
  return (
    facts.starchThreshold *
    (set * (perKg / facts.yolkHalfGPerKg) ** facts.yolkPower) ** (1 / facts.starchPower)
  );
}

export interface YolkWindow {
  readonly loC: number;
  readonly hiC: number;
  /** A cook is warned here: what is on the fire still rises. */
  readonly alarmC: number;
  /** Curdles above. */
  readonly hardC: number;
  /** How far starch protects it, 0–1. */
  readonly shield: number;
}

const SHIELDED_AT_G_PER_KG = 25;

/**
 * Where a yolk binds and where it curdles; flour protects it.
 * @param starchPerKg flour equivalents, g per kg
 * Source: common practice and our estimate (C4). @example without flour 75–82 °C, curdled from 85; with 40 g/kg 75–90
 */
export function yolkWindow(starchPerKg: number): YolkWindow {
  const shield = clamp(starchPerKg / SHIELDED_AT_G_PER_KG, 0, 1);
  const hiC = 82 + 8 * shield;
  return { loC: 75, hiC, alarmC: hiC - ALARM_BEFORE_K, hardC: 85 + 17 * shield, shield };
}

/** The alarm stands so far under the ceiling, K. Common practice, no source. */
export const ALARM_BEFORE_K = 2;

/** One yolk, g; what a kilo of sauce usually takes, and what goes with it. Common practice, no source. */
export const YOLK_G = 18;
const YOLKS_PER_KG = 3;
const LIAISON_CREAM = 0.25;

/** The usual liaison of a sauce: whole yolks, and cream beside them. @example 1 kg → 3 yolks, 250 g cream */
export const usualLiaison = (sauceG: number) => {
  const yolks = Math.max(1, Math.round((YOLKS_PER_KG * sauceG) / 1000));
  return { yolks, yolkG: yolks * YOLK_G, creamG: LIAISON_CREAM * sauceG };
};

export interface TemperStep {
  readonly addG: number;
  readonly reachesC: number;
}

export interface Tempering {
  readonly steps: readonly TemperStep[];
  /** Once it is poured back, °C. */
  readonly finalC: number;
  /** Let the sauce fall to this first, °C; absent where it need not. */
  readonly firstFallToC?: number;
}

export interface TemperInput {
  readonly sauceG: number;
  readonly sauceC: number;
  readonly liaisonG: number;
  readonly liaisonC: number;
  readonly window: YolkWindow;
}

const READY_C = 50;
const MOST_C = 60;
const MOST_STEPS = 12;
const LADLES = [0.25, 0.5] as const;

/**
 * How a liaison is warmed, a ladle at a time, before it goes back into the sauce.
 *
 * @param input g and °C
 * @returns the ladles, what they reach, and the temperature once all is together
 * @errors NEGATIVE · NOT_FINITE · OUT_OF_RANGE
 * Warns LIAISON_UNDERCOOKED when it ends below its window, CURDLED above what it bears.
 * Source: heat balance, docs/models.md "Liaison". @example 154 g at 8 °C, 960 g at 95 °C → 38.5 g to 27.8 °C, 96.3 g to 52.2 °C, back at 84.6 °C
 */
export function temperLiaison(input: TemperInput): Result<Tempering> {
  const temperature = { min: 0, max: 105, unit: "°C" };
  const problems = [
    ...checkNumber(input.sauceG, "sauceG", "The sauce", { min: 1, unit: "g" }),
    ...checkNumber(input.liaisonG, "liaisonG", "The liaison", { min: 0.1, unit: "g" }),
    ...checkNumber(input.sauceC, "sauceC", "The sauce", temperature),
    ...checkNumber(input.liaisonC, "liaisonC", "The liaison", temperature),
  ];
  if (problems.length) return refuse(...problems);
  const { sauceG, sauceC, liaisonG, liaisonC, window } = input;
  const hot = HEAT_OF.sauce;
  const most = 0.5 * sauceG;
  const steps: TemperStep[] = [];
  let [mass, heat, t, used] = [liaisonG, liaisonG * HEAT_OF.liaison, liaisonC, 0];
  for (let k = 0; t < READY_C && used < most && k < MOST_STEPS; k++) {
    let addG = Math.min((LADLES[k] ?? 1) * mass, most - used);
    let next = (heat * t + addG * hot * sauceC) / (heat + addG * hot);
    if (next > MOST_C) {
      addG = (heat * (MOST_C - t)) / (hot * (sauceC - MOST_C));
      next = MOST_C;
    }
    // A sauce no warmer than the liaison cannot warm it: there is nothing to temper.
    if (!(addG > 0) || !(next > t)) break;
    steps.push({ addG, reachesC: next });
    mass += addG;
    heat += addG * hot;
    t = next;
    used += addG;
  }
  const rest = (sauceG - used) * hot;
  const finalC = (heat * t + rest * sauceC) / (heat + rest);
  const warnings: Warning[] = [];
  const ownHeat = liaisonG * HEAT_OF.liaison;
  const fallTo = (window.hiC * (ownHeat + sauceG * hot) - ownHeat * liaisonC) / (sauceG * hot);
  if (finalC > window.hardC)
    warnings.push({
      code: "CURDLED",
      message: `Poured back it would stand at ${printNumber(finalC)} °C and curdle: let the sauce fall to ${printNumber(fallTo)} °C first.`,
    });
  else if (finalC > window.hiC)
    warnings.push({
      code: "TOO_HOT",
      message: `Poured back it would stand at ${printNumber(finalC)} °C, over ${printNumber(window.hiC)} °C: let the sauce fall to ${printNumber(fallTo)} °C first.`,
    });
  else if (finalC < window.loC)
    warnings.push({
      code: "LIAISON_UNDERCOOKED",
      message: `Poured back it stands at ${printNumber(finalC)} °C: warm it, stirring, to ${window.loC}–${printNumber(window.hiC)} °C.`,
    });
  return ok({ steps, finalC, ...(finalC > window.hiC && { firstFallToC: fallTo }) }, warnings);
}
