import {
  type Emulsion,
  type EmulsionInput,
  PHASES,
  type PhaseId,
  type PhasePart,
  bareEmulsion,
} from "../../laws/emulsion";
import type { FactValues } from "../../ground/facts";
import { type PotState, liquorMass, massOfPools } from "../../things/pot";
import type { Warning } from "../../ground/result";
import { type Body, SERVED_COLD_C, SERVED_HOT_C, bodyOf, setsBelowC } from "../../laws/texture";
import type { FormulaDocument } from "../document/document";
import { kindOf } from "../steps";
import { sauceOf, settingFat } from "../steps/as-sauce";

/** The liquor of a pot as an emulsion; `null` where nothing was beaten into it. */
export function emulsionInputOf(pot: PotState): EmulsionInput | null {
  const { liquor, natures: c } = pot;
  if (!c.beatenWith) return null;
  const phases = (Object.entries(c.phases) as [PhaseId, number][]).filter(([, massG]) => massG > 0);
  const boundFat = phases.reduce((m, [id, massG]) => m + (PHASES[id].fat ?? 0) * massG, 0);
  const oilG = Math.max(0, liquor.fat - boundFat);
  const phaseG = liquorMass(pot) - oilG;
  const parts: PhasePart[] = phases.map(([id, massG]) => ({ id, massG }));
  if (liquor.salt > 0) parts.push({ id: "salt", massG: liquor.salt });
  const named = parts.reduce((m, p) => m + p.massG, 0);
  if (phaseG > named) parts.push({ id: "water", massG: phaseG - named });
  if (!(oilG > 0) || !(phaseG > 0)) return null;
  const warm = pot.temperatureC > WARM_FROM_C;
  return {
    oilG,
    oilKind: warm ? "butterfat" : "oil",
    parts,
    temperatureC: pot.temperatureC,
    tool: c.beatenWith,
    settingFatG: settingFat(pot),
    cookedYolk: warm && c.yolkMaxC >= RIBBON_FROM_C,
  };
}

/** A warm emulsion is one of butter, °C. Our estimate. */
export const WARM_FROM_C = 35;
const RIBBON_FROM_C = 60;

/** What a step leaves the sauce with, as far as its body goes. */
export interface PotBody {
  /** 0–100 at `atC`. */
  readonly thickness: number;
  readonly sd: number;
  /** What the sums say before anything was learned. */
  readonly forecast: number;
  /** Readings of this kitchen that put it right; absent while there are too few. */
  readonly learnedFrom?: number;
  readonly atC: number;
  readonly body: Body | null;
  readonly emulsion: Emulsion | null;
  readonly warnings: readonly Warning[];
}

/** A sauce emulsified by beating is one when more than this is oil by volume. */
const EMULSION_FROM = 0.35;

/** What is in a pot as an emulsion, at the temperature it is eaten at; `null` where its oil is not what gives it body. */
export function emulsionOfPot(pot: PotState, atC: number, facts: FactValues): EmulsionInput | null {
  const inPot = emulsionInputOf(pot);
  if (!inPot) return null;
  const input = { ...inPot, temperatureC: atC === SERVED_COLD_C ? atC : inPot.temperatureC };
  const { fatVolume, thickness } = bareEmulsion(input, facts);
  return fatVolume > EMULSION_FROM && thickness !== null ? input : null;
}

/** From this share on chopped mushrooms lie one on the other and hold what is between them: a stuffing, no sauce. Our estimate. */
const HEAP_FROM = 0.6;
const HEAP = { loose: 67, firm: 95 } as const;
const HEAP_SD = 8;

/** Body of finely chopped mushrooms cooked dry, by how closely they lie; `null` where they swim, or are the lesser part. */
function heapOf(pot: PotState): number | null {
  const massIn = (kinds: readonly string[]) =>
    pot.solids.filter(part => kinds.includes(part.kind)).reduce((m, part) => m + massOfPools(part.pools), 0);
  const mushrooms = massIn(["mushrooms"]);
  const chopped = mushrooms + massIn(["mirepoix", "herbs"]);
  const all =
    massOfPools(pot.liquor) + pot.floatFatG + pot.solids.reduce((m, part) => m + massOfPools(part.pools), 0);
  const share = all > 0 ? chopped / all : 0;
  if (mushrooms < chopped / 2 || share < HEAP_FROM) return null;
  return HEAP.loose + ((share - HEAP_FROM) / (1 - HEAP_FROM)) * (HEAP.firm - HEAP.loose);
}

/**
 * Body of what is in a pot, at the temperature it is eaten at. `null` where there is no liquor, or where it has become a
 * glaze, a dough, a foam or a set custard: beyond the model.
 */
export function bodyOfPot(pot: PotState, atC: number, facts: FactValues): PotBody | null {
  const heap = heapOf(pot);
  if (heap !== null)
    return { thickness: heap, sd: HEAP_SD, forecast: heap, atC, body: null, emulsion: null, warnings: [] };
  if (liquorMass(pot) < LEAST_G || holdsItself(pot)) return null;
  const input = emulsionOfPot(pot, atC, facts);
  const emulsion = input && bareEmulsion(input, facts);
  if (emulsion && emulsion.thickness !== null)
    return {
      thickness: emulsion.thickness,
      forecast: emulsion.thickness,
      sd: emulsion.sd,
      atC,
      body: null,
      emulsion,
      warnings: [],
    };
  const body = bodyOf(sauceOf(pot, facts), atC, facts);
  if (!body.ok) return null;
  const { thickness, sd } = body.value;
  return {
    thickness,
    forecast: thickness,
    sd,
    atC,
    body: body.value,
    emulsion: null,
    warnings: body.warnings,
  };
}

/** Where a sauce is met: in the pot, on a warm plate, out of the cold. */
export const MET_AT = [
  { words: "hot", atC: 80 },
  { words: "on the plate", atC: 50 },
  { words: "cold", atC: 8 },
] as const;

export interface BodyAt {
  readonly words: string;
  readonly atC: number;
  /** 0–100; `"sets"` where its gelatin holds it. */
  readonly thickness: number | "sets";
}

/**
 * Body in the pot, on the plate and cold, as far as the kitchen's own readings have put it right; `"sets"` where its
 * gelatin holds it. Nothing for what is an emulsion: it is made for one temperature.
 */
export function bodyAcross(pot: PotState, known: PotBody, facts: FactValues): readonly BodyAt[] {
  if (!known.body) return [];
  const sets = setsBelowC(known.body.gelatinPct);
  const learned = known.thickness - known.forecast;
  return MET_AT.flatMap(({ words, atC }): BodyAt[] => {
    if (sets !== null && atC < sets) return [{ words, atC, thickness: "sets" }];
    const body = bodyOf(sauceOf(pot, facts), atC, facts);
    return body.ok
      ? [{ words, atC, thickness: Math.min(100, Math.max(0, body.value.thickness + learned)) }]
      : [];
  });
}

const LEAST_G = 1;

/** Air from which a liquor is a foam, as a share of it. Our estimate. */
const FOAM_FROM = 0.05;

/** What stands by its air or its set egg: no law here tells how firmly. */
const holdsItself = ({ natures, liquor }: PotState): boolean =>
  natures.isSet || natures.airMl > FOAM_FROM * massOfPools(liquor);

/** What has been cooked is served hot, all else cold, unless the formula says its own temperature. */
export const servedAtC = (document: FormulaDocument): number =>
  document.servedC ?? (document.steps.some(step => kindOf(step).cooks) ? SERVED_HOT_C : SERVED_COLD_C);
