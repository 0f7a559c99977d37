import type { Mark } from "../../ground/estimate";

/** What a temperature history is measured against. A calculator, not a validated process. */
export interface Preset {
  readonly id: string;
  readonly name: string;
  readonly referenceC: number;
  readonly zK: number;
  /** Minutes at the reference for one tenth; absent where the source gives none. */
  readonly dMin?: number;
  /** Minutes at the reference the source asks for. */
  readonly benchmarkMin: number;
  readonly fromC: number;
  readonly capC: number;
  readonly mark: Mark;
  readonly source: string;
  /** What it must not be used for. */
  readonly notFor?: readonly string[];
}

export const PRESET_IDS = [
  "beef-salmonella",
  "yolk-plain",
  "yolk-salt-sugar",
  "whole-egg",
  "listeria-uk",
] as const;
export type PresetId = (typeof PRESET_IDS)[number];

const EGG_RULE = "9 CFR 590.570 (text before 2020), from memory";

export const PRESETS: Record<PresetId, Preset> = {
  "beef-salmonella": {
    id: "beef-salmonella",
    name: "Salmonella in whole-muscle beef, not poultry",
    referenceC: 60,
    zK: 5.556,
    dMin: 11.2 / 6.5,
    benchmarkMin: 11.2,
    fromC: 54.4,
    capC: 71,
    mark: "M",
    source: "fit to the USDA FSIS Appendix A table, from memory",
    notFor: ["poultry", "game", "egg"],
  },
  "yolk-plain": {
    id: "yolk-plain",
    name: "Salmonella in plain yolk",
    referenceC: 60,
    zK: 4.47,
    dMin: 0.8,
    benchmarkMin: 6.2,
    fromC: 54,
    capC: 70,
    mark: "M",
    source: `${EGG_RULE}; D our estimate`,
  },
  "yolk-salt-sugar": {
    id: "yolk-salt-sugar",
    name: "Salmonella in yolk with 2 % salt or sugar and more",
    referenceC: 62.2,
    zK: 4.47,
    benchmarkMin: 6.2,
    fromC: 56,
    capC: 72,
    mark: "M",
    source: EGG_RULE,
  },
  "whole-egg": {
    id: "whole-egg",
    name: "Salmonella in whole egg",
    referenceC: 60,
    zK: 4.5,
    benchmarkMin: 3.5,
    fromC: 54,
    capC: 70,
    mark: "M",
    source: `${EGG_RULE}; z our estimate`,
  },
  "listeria-uk": {
    id: "listeria-uk",
    name: "Listeria, cook rule of the United Kingdom",
    referenceC: 70,
    zK: 7.5,
    dMin: 0.333,
    benchmarkMin: 2,
    fromC: 60,
    capC: 90,
    mark: "M",
    source: "UK guidance 70 °C for 2 min, from memory",
  },
};

/** Salt and sugar protect the bacteria: from this share of the yolk mixture on, or unknown, the stricter preset counts. */
const PROTECTIVE_PCT = 2;

/** The preset for a yolk liaison by what is in it while it heats; `null`: nobody knows. */
export const yolkPreset = (saltAndSugarPct: number | null): PresetId =>
  saltAndSugarPct !== null && saltAndSugarPct < PROTECTIVE_PCT ? "yolk-plain" : "yolk-salt-sugar";
