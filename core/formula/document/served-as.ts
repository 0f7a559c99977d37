/** How a formula goes to the table, from the bowl to the dot. */
export const SERVED_AS = [
  "stock",
  "soup",
  "veloute",
  "puree",
  "pan-sauce",
  "emulsion",
  "glaze",
  "dot",
  "other",
] as const;
export type ServedAs = (typeof SERVED_AS)[number];

/** What is usual for a way of serving: portion in g, salt and fat in per cent of what is eaten. `null`: not bounded. */
export interface IntensityClass {
  readonly label: string;
  readonly portionG: readonly [from: number, to: number] | null;
  readonly saltPct: readonly [from: number, to: number] | null;
  readonly fatPct: readonly [from: number, to: number] | null;
  readonly source: string;
}

const COMMON = "common practice, no source";

/**
 * Bands per class. The smaller the portion, the more intense it may be: a dot of 2 g carries 3 % salt, a sauce does not.
 * Source: common practice, no source; salt ranges as in the table of salt targets (docs/models.md "Seasoning").
 */
export const INTENSITY: Readonly<Record<ServedAs, IntensityClass>> = {
  stock: { label: "stock, to be used on", portionG: null, saltPct: [0, 0.2], fatPct: null, source: COMMON },
  soup: { label: "soup", portionG: [180, 300], saltPct: [0.7, 0.9], fatPct: [0, 8], source: COMMON },
  veloute: {
    label: "velouté, cream sauce",
    portionG: [40, 120],
    saltPct: [0.7, 1.1],
    fatPct: [0, 20],
    source: COMMON,
  },
  puree: { label: "purée", portionG: [60, 180], saltPct: [0.7, 1.3], fatPct: [0, 25], source: COMMON },
  "pan-sauce": {
    label: "pan sauce, jus",
    portionG: [25, 70],
    saltPct: [0.8, 1.4],
    // A pan sauce of reduced cream alone coats from about two fifths of fat.
    fatPct: [0, 42],
    source: COMMON,
  },
  emulsion: {
    label: "mayonnaise, butter sauce",
    portionG: [15, 50],
    saltPct: [0.7, 1.3],
    fatPct: [30, 85],
    source: COMMON,
  },
  glaze: { label: "glaze", portionG: [8, 25], saltPct: [0, 2.2], fatPct: null, source: COMMON },
  dot: { label: "dot", portionG: [1, 5], saltPct: [0, 3], fatPct: null, source: COMMON },
  other: { label: "something else", portionG: null, saltPct: null, fatPct: null, source: COMMON },
};
