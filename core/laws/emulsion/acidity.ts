import { printNumber } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import type { Estimate } from "../../ground/estimate";
import type { AcidId } from "../texture";
import { type BufferId, PHASES, type PhasePart, massOf } from "./parts";

/** Molar mass, g/mol, and pK of each step. Source: handbook values, from memory. */
export const ACIDS: Readonly<Record<AcidId, { readonly molarG: number; readonly pK: readonly number[] }>> = {
  acetic: { molarG: 60.052, pK: [4.76] },
  citric: { molarG: 192.124, pK: [3.13, 4.76, 6.4] },
  malic: { molarG: 134.087, pK: [3.4, 5.11] },
  lactic: { molarG: 90.078, pK: [3.86] },
  tartaric: { molarG: 150.087, pK: [2.98, 4.34] },
};

/** Buffers: mol per kg and pH, and the pH they have alone. Our estimates; yolk from memory. */
export const BUFFERS: Readonly<Record<BufferId, { readonly beta: number; readonly alone: number }>> = {
  yolk: { beta: 0.05, alone: 6.1 },
  "egg white": { beta: 0.02, alone: 8.9 },
  milk: { beta: 0.03, alone: 6.7 },
  stock: { beta: 0.015, alone: 6.2 },
  mustard: { beta: 0.03, alone: 3.7 },
  puree: { beta: 0.015, alone: 6 },
  tomato: { beta: 0.03, alone: 4.3 },
};

/** Grams of an acid that are worth so many grams of acetic acid. Exact, molar masses. */
export const gramsOfAcid = (id: AcidId, asAceticG: number): number =>
  (asAceticG / ACIDS.acetic.molarG) * (ACIDS[id].molarG / ACIDS[id].pK.length);

/** Strong base of citrus juice (its potassium), mol per kg of juice. Our estimate. */
export const CITRUS_BASE = 0.03;
/** Molar mass of baking soda, g/mol. */
export const SODA_G_PER_MOL = 84.007;
/** Half-width of the estimate, pH: activities and real buffers. */
const PH_SPREAD = 0.3 * 1.645;

export interface AcidityInput {
  /** Mass of the water phase, g. */
  readonly phaseG: number;
  /** Acids in it, g. */
  readonly acids: Readonly<Partial<Record<AcidId, number>>>;
  /** Buffering foods in it, g. */
  readonly buffers?: Readonly<Partial<Record<BufferId, number>>>;
  readonly citrusG?: number;
  readonly sodaG?: number;
  /** Strong base besides, mol: the potassium of wine and fruit. */
  readonly baseMol?: number;
}

/**
 * Potassium that comes along with an acid of fruit or wine, mol per mol of what is titrated: wine of 6 g/l tartaric acid holds
 * about 1 g/l of it, lemon juice 1.4 g/l at 55 g/l citric. Source: composition of wines and juices, from memory.
 */
const POTASSIUM: Readonly<Record<AcidId, number>> = {
  acetic: 0,
  citric: 0.035,
  malic: 0.2,
  tartaric: 0.35,
  lactic: 0.1,
};

/** Acids as they are titrated, g, with the salts of them that come along: those make wine less sour than its acid alone. */
export function withTheirSalts(
  titrated: Readonly<Partial<Record<AcidId, number>>>,
): Required<Pick<AcidityInput, "acids" | "baseMol">> {
  const known = Object.entries(titrated) as [AcidId, number][];
  return {
    acids: Object.fromEntries(known.map(([id, grams]) => [id, grams * (1 + POTASSIUM[id])])),
    baseMol: known.reduce(
      (mol, [id, grams]) => mol + (POTASSIUM[id] * grams * ACIDS[id].pK.length) / ACIDS[id].molarG,
      0,
    ),
  };
}

/** Protons an acid has given away, mol per mol. */
function given(pK: readonly number[], pH: number): number {
  let [product, above, below] = [1, 0, 1];
  pK.forEach((k, i) => {
    product *= 10 ** (pH - k);
    above += (i + 1) * product;
    below += product;
  });
  return above / below;
}

/**
 * pH of a water phase from its acids and buffers: the pH at which all charges balance.
 *
 * @param input g; acid at most 0.3 of the phase
 * @returns pH 0.5–12
 * @errors NO_WATER · NEGATIVE · NOT_FINITE · OUT_OF_RANGE · UNREACHABLE
 * Source: charge balance, textbook; pK and molar masses from memory, buffers our estimates (D5).
 * @example acetic 5 % by weight → 2.421; citric 55 g/kg with its potassium → 2.275
 */
export function acidity(input: AcidityInput): Result<number> {
  const problems = [
    ...Object.entries(input.acids).flatMap(([id, m]) => checkNumber(m, `acids.${id}`, `The ${id} acid`)),
    ...Object.entries(input.buffers ?? {}).flatMap(([id, m]) => checkNumber(m, `parts.${id}`, `The ${id}`)),
    ...checkNumber(input.phaseG, "massG", "The water phase"),
  ];
  if (problems.length) return refuse(...problems);
  const { phaseG } = input;
  if (!(phaseG > 0))
    return refuse({
      code: "NO_WATER",
      field: "parts",
      message: "There is nothing watery whose sourness could be told.",
    });
  const acidG = Object.values(input.acids).reduce((sum, m) => sum + m, 0);
  if (acidG > 0.3 * phaseG)
    return refuse({
      code: "OUT_OF_RANGE",
      field: "parts",
      value: acidG / phaseG,
      allowed: { max: 0.3 },
      message: "Three tenths of it would be pure acid: check the vinegar.",
    });
  const base =
    (CITRUS_BASE * (input.citrusG ?? 0)) / phaseG +
    (1000 * ((input.sodaG ?? 0) / SODA_G_PER_MOL + (input.baseMol ?? 0))) / phaseG;
  const acids = (Object.entries(input.acids) as [AcidId, number][]).map(([id, grams]) => ({
    mol: (1000 * (grams / ACIDS[id].molarG)) / phaseG,
    pK: ACIDS[id].pK,
  }));
  const buffers = (Object.entries(input.buffers ?? {}) as [BufferId, number][]).map(([id, grams]) => ({
    share: grams / phaseG,
    ...BUFFERS[id],
  }));
  const charge = (pH: number): number =>
    10 ** -pH -
    10 ** (pH - 14) +
    base +
    buffers.reduce((sum, b) => sum + b.share * b.beta * (b.alone - pH), 0) -
    acids.reduce((sum, a) => sum + a.mol * given(a.pK, pH), 0);
  const pH = bisect(charge, 0.5, 12);
  return pH === null
    ? refuse({ code: "UNREACHABLE", field: "parts", message: "This is sourer or blander than any sauce." })
    : ok(pH);
}

/** What of a water phase is acid and what buffers. */
export function acidityOfParts(parts: readonly PhasePart[]): AcidityInput {
  const acids: Partial<Record<AcidId, number>> = {};
  const buffers: Partial<Record<BufferId, number>> = {};
  for (const { id, massG } of parts) {
    const { acid, buffer } = PHASES[id];
    if (acid) acids[acid[0]] = (acids[acid[0]] ?? 0) + acid[1] * massG;
    if (buffer) buffers[buffer] = (buffers[buffer] ?? 0) + massG;
  }
  return { phaseG: massOf(parts), acids, buffers, citrusG: massOf(parts, "lemon juice") };
}

/** A measured pH counts as it is; an estimate carries its width. */
export function acidityEstimate(input: AcidityInput, measuredPH?: number): Result<Estimate> {
  if (measuredPH !== undefined) {
    const problems = checkNumber(measuredPH, "measuredPH", "The measured pH", { min: 1, max: 10 });
    if (problems.length) return refuse(...problems);
    return ok({ value: measuredPH, lo: measuredPH, hi: measuredPH, basis: "measured", notes: ["measured"] });
  }
  const pH = acidity(input);
  if (!pH.ok) return pH;
  const { value } = pH;
  return ok({
    value,
    lo: Math.max(0, value - PH_SPREAD),
    hi: Math.min(14, value + PH_SPREAD),
    basis: "estimate",
    notes: ["estimated: never enough to judge raw egg by"],
  });
}

/** Level commonly asked of raw-egg dressings at room temperature. From memory, local codes differ. */
export const RAW_EGG_PH = 4.1;

/** The caution that goes with raw egg; an estimate never clears it. */
export const rawEggCaution = (measuredPH?: number): string =>
  `Raw egg: pasteurised egg, or as your local food code says; cold at once. ${
    measuredPH === undefined
      ? "Sourness unverified: only a measured pH says anything."
      : measuredPH <= RAW_EGG_PH
        ? `Measured pH ${printNumber(measuredPH, 1)}; the local code decides what that allows.`
        : `Measured pH ${printNumber(measuredPH, 1)} is above the ${RAW_EGG_PH} commonly asked: more vinegar.`
  }`;
