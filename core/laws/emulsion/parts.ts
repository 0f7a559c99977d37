import type { FactId, FactValues } from "../../ground/facts";
import { EMULSION_TOOLS, type EmulsionTool, PHASE_IDS, type PhaseId } from "../../things/larder/nature-names";

export { EMULSION_TOOLS, type EmulsionTool, PHASE_IDS, type PhaseId };

export interface PhaseKind {
  readonly densityGPerMl: number;
  /** Acid in it, g per g, and which. */
  readonly acid?: readonly ["acetic" | "citric", number];
  /** Fat in it that does not count as free oil, and salt, g per g. */
  readonly fat?: number;
  readonly salt?: number;
  readonly buffer?: BufferId;
}

export type BufferId = "yolk" | "egg white" | "milk" | "stock" | "mustard" | "puree" | "tomato";

/** Source: docs/models.md "Emulsions", our estimates. */
// prettier-ignore
export const PHASES: Readonly<Record<PhaseId, PhaseKind>> = {
  yolk: { densityGPerMl: 1.03, fat: 0.28, buffer: "yolk" },
  "whole egg": { densityGPerMl: 1.03, fat: 0.1, buffer: "yolk" },
  "egg white": { densityGPerMl: 1.04, buffer: "egg white" },
  mustard: { densityGPerMl: 1.05, buffer: "mustard" },
  lecithin: { densityGPerMl: 1.03 },
  milk: { densityGPerMl: 1.03, fat: 0.036, buffer: "milk" },
  "butter solids": { densityGPerMl: 1.03 },
  garlic: { densityGPerMl: 1.1 },
  puree: { densityGPerMl: 1.04, buffer: "puree" },
  water: { densityGPerMl: 1 },
  vinegar: { densityGPerMl: 1.01, acid: ["acetic", 0.06] },
  "lemon juice": { densityGPerMl: 1.03, acid: ["citric", 0.055] },
  salt: { densityGPerMl: 2.16, salt: 1 },
  sugar: { densityGPerMl: 1.59 },
};

const HOLDS = {
  yolk: "yolkHolds",
  "whole egg": "wholeEggHolds",
  "egg white": "eggWhiteHolds",
  mustard: "mustardHolds",
  lecithin: "lecithinHolds",
  milk: "milkHolds",
  "butter solids": "butterSolidsHold",
  garlic: "garlicHolds",
  puree: "pureeHolds",
} as const satisfies Partial<Record<PhaseId, FactId>>;

const STIFFENS = {
  yolk: "yolkStiffens",
  "whole egg": "wholeEggStiffens",
  "egg white": "eggWhiteStiffens",
  mustard: "mustardStiffens",
  milk: "milkStiffens",
  garlic: "garlicStiffens",
  puree: "pureeStiffens",
} as const satisfies Partial<Record<PhaseId, FactId>>;

const factOf = (of: Partial<Record<PhaseId, FactId>>, id: PhaseId, facts: FactValues): number => {
  const fact = of[id];
  return fact ? facts[fact] : 0;
};

/** Oil one gram of a part can hold, g; 0 for what holds nothing. */
export const holdsOf = (id: PhaseId, facts: FactValues): number => factOf(HOLDS, id, facts);
/** How far one gram of a part thickens the water phase. */
export const stiffensOf = (id: PhaseId, facts: FactValues): number => factOf(STIFFENS, id, facts);

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

export interface ToolKind {
  /** Oil it takes up, per second and gram of emulsion. */
  readonly takesPerS: number;
  /** Dose as a share of the emulsion formed. */
  readonly dose: number;
  /** Least water phase it can catch, g. */
  readonly leastG: number;
  /** How fine the droplets get. */
  readonly fineness: number;
  /** Risk it brings by beating too weakly, 0–1. Our estimate. */
  readonly weak: number;
}

/** What all that holds makes one dose for: it goes in at once. */
const ALL_AT_ONCE = 1;

/** What a tool does; those of the whisk give the usual drop-by-drop start and 5–8 min for 300 g of oil. */
export function toolOf(tool: EmulsionTool, f: FactValues): ToolKind {
  switch (tool) {
    case "fork":
      return {
        takesPerS: f.forkPace,
        dose: f.forkDose,
        leastG: f.forkLeast,
        fineness: f.forkFineness,
        weak: 0.35,
      };
    case "whisk":
      return {
        takesPerS: f.whiskPace,
        dose: f.whiskDose,
        leastG: f.whiskLeast,
        fineness: f.whiskFineness,
        weak: 0.05,
      };
    case "stand mixer":
      return {
        takesPerS: f.standMixerPace,
        dose: f.standMixerDose,
        leastG: f.standMixerLeast,
        fineness: f.standMixerFineness,
        weak: 0.03,
      };
    case "food processor":
      // The fineness all others are measured by.
      return {
        takesPerS: f.processorPace,
        dose: f.processorDose,
        leastG: f.processorLeast,
        fineness: 1,
        weak: 0.02,
      };
    case "jar blender":
      return {
        takesPerS: f.jarBlenderPace,
        dose: f.jarBlenderDose,
        leastG: f.jarBlenderLeast,
        fineness: f.jarBlenderFineness,
        weak: 0.02,
      };
    case "stick blender":
      return {
        takesPerS: f.stickBlenderPace,
        dose: ALL_AT_ONCE,
        leastG: f.stickBlenderLeast,
        fineness: f.stickBlenderFineness,
        weak: 0.02,
      };
    case "homogeniser":
      return {
        takesPerS: f.homogeniserPace,
        dose: ALL_AT_ONCE,
        leastG: f.homogeniserLeast,
        fineness: f.homogeniserFineness,
        weak: 0.01,
      };
  }
}

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
