import type { FactValues } from "../../ground/facts";
import { clamp, printNumber } from "../../ground/quantity";
import { type Problem, type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import {
  MOST_DROPLETS,
  butterfatDensity,
  oilDensity,
  rawThickness,
  setFatMPas,
  waterViscosity,
  withDroplets,
} from "../texture";
import { type EmulsionTool, PHASES, type PhasePart, holdsOf, massOf, stiffensOf, toolOf } from "./parts";

export type OilKind = "oil" | "butterfat";

export interface EmulsionInput {
  /** Free oil or butterfat, g. */
  readonly oilG: number;
  readonly oilKind: OilKind;
  readonly parts: readonly PhasePart[];
  readonly temperatureC: number;
  /** `null`: only stirred, not beaten. */
  readonly tool: EmulsionTool | null;
  /** The yolk was warmed to 60–70 °C to the ribbon. */
  readonly cookedYolk?: boolean;
  readonly measuredPH?: number;
  /** Of its fat, what sets in the cold, g; where it is not said, all of butterfat and none of an oil. */
  readonly settingFatG?: number;
}

export interface Emulsion {
  readonly oilMl: number;
  readonly phaseMl: number;
  readonly phaseG: number;
  /** Share of oil by volume, and by weight. */
  readonly fatVolume: number;
  readonly oilShare: number;
  /** Thickening parts of the water phase, g per g, and its viscosity, mPa·s. */
  readonly bodyShare: number;
  readonly waterPhaseMPas: number;
  /** Oil over what the emulsifiers hold; above 1 too little. */
  readonly capacityUsed: number;
  /** `null` for what is only stirred. */
  readonly thickness: number | null;
  readonly sd: number;
  /** What 2 % more or less oil does to it, points. */
  readonly perOil: number;
}

const MOST_FAT_VOLUME = 0.9;
const MOST_CAPACITY = 6;
const MOST_ACID = 0.3;
const LANDMARK = 0.8;

const oilMlOf = (grams: number, kind: OilKind, c: number): number =>
  grams / (kind === "oil" ? oilDensity(c) : butterfatDensity(c));

export const phaseMlOf = (parts: readonly PhasePart[]): number =>
  parts.reduce((ml, p) => ml + p.massG / PHASES[p.id].densityGPerMl, 0);

/** Oil the emulsifiers of a water phase hold, g. */
export const capacityOf = (parts: readonly PhasePart[], facts: FactValues): number =>
  parts.reduce((sum, p) => sum + holdsOf(p.id, facts) * p.massG, 0);

/** The laws without limits, for searches. */
export function bareEmulsion(input: EmulsionInput, facts: FactValues): Emulsion {
  const { parts, temperatureC: c } = input;
  const oilMl = oilMlOf(input.oilG, input.oilKind, c);
  const phaseMl = phaseMlOf(parts);
  const phaseG = massOf(parts);
  const fatVolume = oilMl / (oilMl + phaseMl);
  const bodyShare = parts.reduce((sum, p) => sum + stiffensOf(p.id, facts) * p.massG, 0) / phaseG;
  const waterPhaseMPas =
    waterViscosity(c) * Math.exp(facts.phaseRise * bodyShare) * (input.cookedYolk ? facts.ribbonYolk : 1);
  const fineness = input.tool ? toolOf(input.tool, facts).fineness : 1;
  const setting = input.settingFatG ?? (input.oilKind === "butterfat" ? input.oilG : 0);
  const set = setFatMPas((1000 * setting) / (input.oilG + phaseG), c, facts);
  const at = (phi: number) => rawThickness(withDroplets(waterPhaseMPas, phi, facts, { fineness }) + set);
  const moved = (k: number) => (oilMl * k) / (oilMl * k + phaseMl);
  const capacity = capacityOf(parts, facts);
  return {
    oilMl,
    phaseMl,
    phaseG,
    fatVolume,
    oilShare: input.oilG / (input.oilG + phaseG),
    bodyShare,
    waterPhaseMPas,
    capacityUsed: capacity > 0 ? input.oilG / capacity : Infinity,
    thickness: input.tool ? clamp(at(fatVolume), 0, 100) : null,
    sd: fatVolume > LANDMARK ? 8 : 6,
    perOil: (at(moved(1.02)) - at(moved(0.98))) / 2,
  };
}

/**
 * Oil or butterfat beaten into a water phase: how full it is, how thick, how much the emulsifiers still hold.
 *
 * @param input g and °C
 * @errors NO_WATER nothing to beat it into · NEGATIVE · NOT_FINITE · OUT_OF_RANGE more oil than any emulsion holds, a pH or
 *   an acid that cannot be · T_RANGE
 * Warns PHI_CAPPED, LOW_EMULSIFIER, RAW_EGG never cleared by an estimate.
 * Source: docs/models.md "Emulsions" (D1–D3), our estimates. @example 300 g oil, 36 yolk, 15 mustard, 30 vinegar, 4 salt → φ 0.8015, 68.08
 */
export function emulsionOf(input: EmulsionInput, facts: FactValues): Result<Emulsion> {
  const problems = problemsOf(input);
  if (problems.length) return refuse(...problems);
  const e = bareEmulsion(input, facts);
  if (e.fatVolume > MOST_FAT_VOLUME) {
    const water = waterFor(input, 0.82);
    return refuse({
      code: "OUT_OF_RANGE",
      field: "oilG",
      value: input.oilG,
      allowed: { max: oilAt(input, MOST_FAT_VOLUME) },
      message: `${printNumber(100 * e.fatVolume)} % of it would be oil by volume; above 90 % no water is left between the drops. Add ${printNumber(water)} g water, or take at most ${printNumber(oilAt(input, 0.82))} g oil.`,
    });
  }
  if (e.capacityUsed > MOST_CAPACITY && capacityOf(input.parts, facts) > 0)
    return refuse({
      code: "OUT_OF_RANGE",
      field: "oilG",
      value: input.oilG,
      allowed: { max: MOST_CAPACITY * capacityOf(input.parts, facts) },
      message: `The emulsifier is asked to hold ${printNumber(e.capacityUsed, 1)} times what it can. A gram of yolk holds about ${printNumber(facts.yolkHolds)} g of oil: add yolk.`,
    });
  const warnings: Warning[] = [];
  if (e.fatVolume > MOST_DROPLETS)
    warnings.push({ code: "PHI_CAPPED", message: "So full of oil the thickness is at least this." });
  if (e.capacityUsed > 1 && capacityOf(input.parts, facts) > 0)
    warnings.push({
      code: "LOW_EMULSIFIER",
      message: `The emulsifier carries ${printNumber(100 * e.capacityUsed)} % of what it holds easily: another yolk, or less oil.`,
    });
  return ok(e, warnings);
}

/** Water that brings the share of oil down to a volume share, g. */
export const waterFor = (input: EmulsionInput, fatVolume: number): number =>
  Math.max(
    0,
    oilMlOf(input.oilG, input.oilKind, input.temperatureC) * (1 / fatVolume - 1) - phaseMlOf(input.parts),
  );

/** Oil at which a water phase is so full, g. */
export const oilAt = (input: EmulsionInput, fatVolume: number): number => {
  const perG = oilMlOf(1, input.oilKind, input.temperatureC);
  return (phaseMlOf(input.parts) * fatVolume) / (1 - fatVolume) / perG;
};

export const acidOf = (parts: readonly PhasePart[]): number =>
  parts.reduce((sum, p) => sum + (PHASES[p.id].acid?.[1] ?? 0) * p.massG, 0);

function problemsOf(input: EmulsionInput): Problem[] {
  const problems: Problem[] = [
    ...checkNumber(input.oilG, "oilG", "The oil"),
    ...input.parts.flatMap((p, i) => checkNumber(p.massG, `parts.${i}.massG`, `The ${p.id}`)),
    ...checkNumber(input.temperatureC, "temperatureC", "The temperature", {
      min: -5,
      max: 95,
      unit: "°C",
    }).map((p): Problem => ({ ...p, code: p.code === "NOT_FINITE" ? p.code : "T_RANGE" })),
    ...(input.measuredPH === undefined
      ? []
      : checkNumber(input.measuredPH, "measuredPH", "The measured pH", { min: 1, max: 10 })),
  ];
  if (problems.length) return problems;
  if (!(input.oilG > 0))
    problems.push({
      code: "EMPTY",
      field: "oilG",
      value: input.oilG,
      message: "Say how much oil or butter goes in.",
    });
  const phaseG = massOf(input.parts);
  if (!(phaseG > 0))
    problems.push({
      code: "NO_WATER",
      field: "parts",
      message: "Oil needs something to be beaten into: yolk, mustard, vinegar or water first.",
    });
  else if (acidOf(input.parts) > MOST_ACID * phaseG)
    problems.push({
      code: "OUT_OF_RANGE",
      field: "parts",
      value: acidOf(input.parts) / phaseG,
      allowed: { max: MOST_ACID },
      message: "Three tenths of the water phase would be pure acid: check the vinegar.",
    });
  return problems;
}
