import type { FactValues } from "../../ground/facts";
import { printNumber } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import { WHOLE_BUTTER } from "../thickening";
import { type EmulsionInput } from "./emulsion";
import { type PhasePart, holdsOf } from "./parts";

export const BUILD_KINDS = ["mayonnaise", "aioli", "hollandaise", "beurre-blanc", "egg-white"] as const;
/** A cook’s words for each. */
export const BUILD_WORDS: Readonly<Record<(typeof BUILD_KINDS)[number], string>> = {
  mayonnaise: "mayonnaise",
  aioli: "garlic mayonnaise",
  hollandaise: "warm, of yolk and butter",
  "beurre-blanc": "warm, of butter alone",
  "egg-white": "of egg white",
};
export type BuildKind = (typeof BUILD_KINDS)[number];

/** Yolks by the gram; what each kind takes for its water. */
interface Recipe {
  readonly holder: "yolk" | "egg white" | "butter solids";
  /** Oil a gram of the holder is given, g; what it safely holds where nothing is said. */
  readonly oilPerHolder?: number;
  /** Shares of the water phase besides the holder. */
  readonly acid: number;
  readonly mustard: number;
  readonly garlic: number;
  readonly salt: number;
}

/** Butterfat to a gram of the milk solids that came with it: those of whole butter. Source: composition of butter, from memory. */
export const OIL_PER_BUTTER_SOLIDS = 41;

/** Common practice, no source; the yolk’s share is the safe limit of the model. */
const RECIPES: Readonly<Record<BuildKind, Recipe>> = {
  mayonnaise: { holder: "yolk", acid: 0.55, mustard: 0.25, garlic: 0, salt: 0.07 },
  aioli: { holder: "yolk", acid: 0.4, mustard: 0, garlic: 0.3, salt: 0.07 },
  hollandaise: { holder: "yolk", oilPerHolder: 4.2, acid: 0.3, mustard: 0, garlic: 0, salt: 0.04 },
  "beurre-blanc": {
    holder: "butter solids",
    oilPerHolder: OIL_PER_BUTTER_SOLIDS,
    acid: 0.5,
    mustard: 0,
    garlic: 0,
    salt: 0.03,
  },
  "egg-white": { holder: "egg white", acid: 0.25, mustard: 0, garlic: 0, salt: 0.03 },
};

export interface Built {
  readonly yolks: number;
  readonly yolkG: number;
  readonly waterG: number;
  readonly acidG: number;
  readonly oilG: number;
  /** Butter as it is weighed, for the butter sauces, and which. */
  readonly butterG: number;
  readonly butter: "whole" | "clarified" | null;
  /** What is weighed besides the oil or butter: without what the butter brings itself. */
  readonly weigh: readonly PhasePart[];
  readonly input: EmulsionInput;
}

const LEAST_WEIGHED_G = 0.05;
const TINY = 1e-9;
const COLD_C = 20;
/** What butter is melted into each: yolk wants it clarified; without yolk the butter's own milk holds it. */
const BUTTER = {
  hollandaise: { is: "clarified", fat: 0.995, water: 0.003 },
  "beurre-blanc": { is: "whole", fat: WHOLE_BUTTER.fat, water: WHOLE_BUTTER.water },
} as const;
const HOT_C = { hollandaise: 60, "beurre-blanc": 54 } as const;

/**
 * Yolks, water, acid and oil for a wanted amount.
 *
 * @param want oil in g, or the whole in g; `oilPct` oil by weight
 * @param yolkEachG weight of one yolk
 * @errors OUT_OF_RANGE · MISSING · UNREACHABLE the holder alone is more than the water phase
 * Source: common practice; limits docs/models.md "Emulsions".
 */
export function buildEmulsion(
  kind: BuildKind,
  want: { readonly oilG?: number; readonly totalG?: number; readonly oilPct: number },
  facts: FactValues,
  yolkEachG = 18,
): Result<Built> {
  const problems = [
    ...checkNumber(want.oilPct, "oilPct", "The oil", { min: 20, max: 88, unit: "%" }),
    ...checkNumber(yolkEachG, "yolkEachG", "One yolk", { min: 8, max: 30, unit: "g" }),
  ];
  if (want.oilG === undefined && want.totalG === undefined)
    problems.push({
      code: "MISSING",
      field: "totalG",
      message: "Say how much oil there is, or how much is wanted in all.",
    });
  else
    problems.push(
      ...checkNumber(
        want.totalG ?? want.oilG ?? 0,
        want.totalG === undefined ? "oilG" : "totalG",
        "The amount",
        { min: 1, unit: "g" },
      ),
    );
  if (problems.length) return refuse(...problems);
  const share = want.oilPct / 100;
  const totalG = want.totalG ?? (want.oilG ?? 0) / share;
  const oilG = want.oilG ?? totalG * share;
  const phaseG = totalG - oilG;
  const r = RECIPES[kind];
  const perHolder = r.oilPerHolder ?? holdsOf(r.holder, facts);
  const hot = kind === "hollandaise" || kind === "beurre-blanc";
  const butter = hot ? BUTTER[kind] : null;
  const butterG = butter ? oilG / butter.fat : 0;
  // The water of the butter stands in the sauce without being weighed for itself.
  const ownWaterG = butter ? butterG * butter.water : 0;
  const yolks = r.holder === "yolk" ? Math.max(1, Math.ceil(oilG / perHolder / yolkEachG - 1e-9)) : 0;
  const holderG = r.holder === "yolk" ? yolks * yolkEachG : oilG / perHolder;
  const left = phaseG - holderG - ownWaterG;
  if (left < -TINY * totalG)
    return refuse({
      code: "UNREACHABLE",
      field: "oilPct",
      value: want.oilPct,
      allowed: { max: Math.floor(100 * (oilG / (oilG + holderG + ownWaterG))) },
      message: `With ${printNumber(want.oilPct)} % oil there is only ${printNumber(phaseG)} g for everything else, and the ${r.holder} alone ${ownWaterG > 1 ? "with the water of the butter takes" : "takes"} ${printNumber(holderG + ownWaterG)} g. Want less oil in it.`,
    });
  const others = r.acid + r.mustard + r.garlic + r.salt;
  const acidG = Math.min(left, r.acid * left);
  const mustardG = r.mustard * left;
  const garlicG = r.garlic * left;
  const saltG = r.salt * left;
  const waterG = Math.max(0, (1 - others) * left);
  const parts: PhasePart[] = (
    [
      { id: r.holder, massG: holderG },
      { id: "vinegar", massG: acidG },
      { id: "mustard", massG: mustardG },
      { id: "garlic", massG: garlicG },
      { id: "salt", massG: saltG },
      { id: "water", massG: waterG + ownWaterG },
    ] as const
  ).filter(p => p.massG > 0);
  const weigh = parts.flatMap((p): PhasePart[] => {
    const massG = p.id === "water" ? waterG : p.massG;
    return p.id === "butter solids" || massG < LEAST_WEIGHED_G ? [] : [{ id: p.id, massG }];
  });
  return ok({
    yolks,
    yolkG: r.holder === "yolk" ? holderG : 0,
    waterG,
    acidG,
    oilG,
    butterG,
    butter: butter?.is ?? null,
    weigh,
    input: {
      oilG,
      oilKind: hot ? "butterfat" : "oil",
      parts,
      temperatureC: hot ? HOT_C[kind] : COLD_C,
      tool: kind === "egg-white" ? "stick blender" : "whisk",
      cookedYolk: kind === "hollandaise",
    },
  });
}
