/** What the water phase of an emulsion is made of. */
export const PHASE_IDS = [
  "yolk",
  "whole egg",
  "egg white",
  "mustard",
  "lecithin",
  "milk",
  "butter solids",
  "garlic",
  "puree",
  "water",
  "vinegar",
  "lemon juice",
  "salt",
  "sugar",
] as const;
export type PhaseId = (typeof PHASE_IDS)[number];

export interface PhaseKind {
  readonly densityGPerMl: number;
  /** How far it thickens the water phase, per gram. */
  readonly body: number;
  /** Oil one gram can hold, g. */
  readonly holds: number;
  /** Acid in it, g per g, and which. */
  readonly acid?: readonly ["acetic" | "citric", number];
  /** Fat in it that does not count as free oil, and salt, g per g. */
  readonly fat?: number;
  readonly salt?: number;
  readonly buffer?: BufferId;
}

export type BufferId = "yolk" | "egg white" | "milk" | "stock" | "mustard" | "puree" | "tomato";

// prettier-ignore
/**
 * Source: docs/models.md "Emulsions". What a yolk holds: common practice, safe for beginners (180–200 ml of oil for one of
 * 18 g; far more is possible with enough water, from memory of a food-science handbook of 2004); all else our estimates.
 */
export const PHASES: Readonly<Record<PhaseId, PhaseKind>> = {
  yolk: { densityGPerMl: 1.03, body: 1, holds: 10, fat: 0.28, buffer: "yolk" },
  "whole egg": { densityGPerMl: 1.03, body: 0.5, holds: 6, fat: 0.1, buffer: "yolk" },
  "egg white": { densityGPerMl: 1.04, body: 0.25, holds: 5, buffer: "egg white" },
  mustard: { densityGPerMl: 1.05, body: 0.6, holds: 3, buffer: "mustard" },
  lecithin: { densityGPerMl: 1.03, body: 0, holds: 75 },
  milk: { densityGPerMl: 1.03, body: 0.1, holds: 2.2, fat: 0.036, buffer: "milk" },
  "butter solids": { densityGPerMl: 1.03, body: 0, holds: 60 },
  garlic: { densityGPerMl: 1.1, body: 0.8, holds: 4 },
  puree: { densityGPerMl: 1.04, body: 0.6, holds: 0.8, buffer: "puree" },
  water: { densityGPerMl: 1, body: 0, holds: 0 },
  vinegar: { densityGPerMl: 1.01, body: 0, holds: 0, acid: ["acetic", 0.06] },
  "lemon juice": { densityGPerMl: 1.03, body: 0, holds: 0, acid: ["citric", 0.055] },
  salt: { densityGPerMl: 2.16, body: 0, holds: 0, salt: 1 },
  sugar: { densityGPerMl: 1.59, body: 0, holds: 0 },
};

export interface PhasePart {
  readonly id: PhaseId;
  readonly massG: number;
}

export const massOf = (parts: readonly PhasePart[], id?: PhaseId): number =>
  parts.reduce((m, p) => (id === undefined || p.id === id ? m + p.massG : m), 0);

/** Grams of a part added to a water phase; parts of one kind stay one entry. */
export const withPart = (parts: readonly PhasePart[], id: PhaseId, massG: number): PhasePart[] =>
  parts.some(p => p.id === id)
    ? parts.map(p => (p.id === id ? { ...p, massG: p.massG + massG } : p))
    : [...parts, { id, massG }];

export const EMULSION_TOOLS = [
  "fork",
  "whisk",
  "stand mixer",
  "food processor",
  "jar blender",
  "stick blender",
  "homogeniser",
] as const;
export type EmulsionTool = (typeof EMULSION_TOOLS)[number];

export interface ToolKind {
  /** Oil it takes up, per second and gram of emulsion. */
  readonly takesPerS: number;
  /** Dose as a share of the emulsion formed. */
  readonly dose: number;
  /** Least water phase it can catch, g. */
  readonly leastG: number;
  /** How fine the droplets get. */
  readonly fineness: number;
  /** Risk it brings by beating too weakly. */
  readonly weak: number;
}

// prettier-ignore
/** Our estimates; those of the whisk give the usual drop-by-drop start and 5–8 min for 300 g of oil. */
export const TOOLS: Readonly<Record<EmulsionTool, ToolKind>> = {
  fork: { takesPerS: 0.002, dose: 0.06, leastG: 20, fineness: 0.6, weak: 0.35 },
  whisk: { takesPerS: 0.0045, dose: 0.1, leastG: 25, fineness: 0.85, weak: 0.05 },
  "stand mixer": { takesPerS: 0.006, dose: 0.12, leastG: 120, fineness: 0.9, weak: 0.03 },
  "food processor": { takesPerS: 0.012, dose: 0.2, leastG: 150, fineness: 1, weak: 0.02 },
  "jar blender": { takesPerS: 0.015, dose: 0.2, leastG: 150, fineness: 1, weak: 0.02 },
  "stick blender": { takesPerS: 0.1, dose: 1, leastG: 60, fineness: 1.2, weak: 0.02 },
  homogeniser: { takesPerS: 0.1, dose: 1, leastG: 200, fineness: 1.6, weak: 0.01 },
};
/** Beaten by hand: more droplets than these and the hand tires before they are fine. */
export const HAND_TOOLS: readonly EmulsionTool[] = ["fork", "whisk"];

/** What kind of emulsion it is: decides at which temperature it lives. */
export const EMULSION_KINDS = [
  "mayonnaise",
  "hollandaise",
  "beurre-blanc",
  "milk",
  "egg-white",
  "vinaigrette",
] as const;
export type EmulsionKind = (typeof EMULSION_KINDS)[number];

export interface Window {
  readonly hot: boolean;
  readonly makeC: readonly [lo: number, hi: number];
  readonly holdC: readonly [lo: number, hi: number];
  readonly coldC: number;
  readonly hotC: number;
  /** How long it may be kept, in words. */
  readonly keeps: string;
}

const DISCARD = "time is the control: note when it was made, then discard; never reheat";

/** Source: common practice and, for butter sauces, a food-science handbook of 2004, from memory (D.5). */
export const WINDOWS: Readonly<Record<EmulsionKind, Window>> = {
  mayonnaise: {
    hot: false,
    makeC: [15, 25],
    holdC: [2, 5],
    coldC: 10,
    hotC: 60,
    keeps: "as long as its egg allows, by your local code",
  },
  hollandaise: {
    hot: true,
    makeC: [60, 65],
    holdC: [57, 63],
    coldC: 40,
    hotC: 68,
    keeps: `60 min; ${DISCARD}`,
  },
  "beurre-blanc": {
    hot: true,
    makeC: [50, 58],
    holdC: [48, 56],
    coldC: 32,
    hotC: 58,
    keeps: `45 min; ${DISCARD}`,
  },
  milk: { hot: false, makeC: [10, 22], holdC: [2, 7], coldC: -2, hotC: 60, keeps: "two days cold" },
  "egg-white": {
    hot: false,
    makeC: [10, 22],
    holdC: [2, 7],
    coldC: -2,
    hotC: 60,
    keeps: "raw white one day, by your local code",
  },
  vinaigrette: { hot: false, makeC: [15, 22], holdC: [2, 7], coldC: 5, hotC: 60, keeps: "shake it again" },
};

/** What an emulsion is, by its fat and what holds it. */
export function kindOfEmulsion(input: {
  readonly oilKind: "oil" | "butterfat";
  readonly parts: readonly PhasePart[];
}): EmulsionKind {
  const has = (id: PhaseId) => massOf(input.parts, id) > 0;
  if (input.oilKind === "butterfat") return has("yolk") ? "hollandaise" : "beurre-blanc";
  if (has("yolk") || has("whole egg")) return "mayonnaise";
  if (has("egg white")) return "egg-white";
  if (has("milk")) return "milk";
  return "vinaigrette";
}
