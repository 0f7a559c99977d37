import { clamp } from "../../ground/quantity";

/**
 * The scale of thickness, 0–100: one number from broth to piping-firm. On screen it is called *body*.
 * +6 is twice as thick, +20 ten times. It belongs to a temperature: 60 °C for what is served hot, 20 °C for cold.
 */
export const SERVED_HOT_C = 60;
export const SERVED_COLD_C = 20;

/** Thickness of an apparent viscosity at 50 1/s, without limits. */
export const rawThickness = (viscosityMPas: number): number => 20 * Math.log10(viscosityMPas);

/**
 * Thickness of an apparent viscosity at 50 1/s.
 * @param viscosityMPas mPa·s > 0
 * @returns 0–100
 * Source: own scale, docs/models.md "Body" (A1). @example thicknessOf(100) // 40
 */
export const thicknessOf = (viscosityMPas: number): number => clamp(rawThickness(viscosityMPas), 0, 100);

/** Apparent viscosity at 50 1/s of a thickness, mPa·s. @example viscosityAt(45) // 177.83 */
export const viscosityAt = (thickness: number): number => 10 ** (thickness / 20);

/**
 * How far a typical bound sauce is from a plain liquid: 1 flows like water, less runs faster the faster it is stirred.
 * Source: own rule (A2), our estimate.
 */
export const flowIndexOf = (thickness: number): number => clamp(1 - 0.012 * (thickness - 15), 0.3, 1);

const YIELD = { at1Pa: 31, perDecade: 22.4 } as const;

/** What a typical bound sauce bears before it flows, Pa. Source: own rule (A3), our estimate. */
export const yieldStressPa = (thickness: number): number =>
  10 ** ((thickness - YIELD.at1Pa) / YIELD.perDecade);
/** Thickness of a typical bound sauce that bears so much before it flows. */
export const thicknessOfYieldStress = (pa: number): number => YIELD.at1Pa + YIELD.perDecade * Math.log10(pa);

export interface Band {
  readonly id: number;
  readonly name: string;
  /** First thickness of the band; the next band begins where it ends. */
  readonly from: number;
  /** What a cook sees. */
  readonly seen: string;
  readonly examples: string;
}

/** Words along the scale. Our estimate; anchored on the teaching table of roux. */
export const BANDS: readonly Band[] = [
  {
    id: 0,
    name: "broth",
    from: 0,
    seen: "runs off like water, no film",
    examples: "stock, consommé, thin jus",
  },
  {
    id: 1,
    name: "light body",
    from: 10,
    seen: "a faint film, the lips feel it",
    examples: "reduced stock, cold cream",
  },
  {
    id: 2,
    name: "soup-cream",
    from: 22,
    seen: "a film; the finger’s line closes at once",
    examples: "cream soup, light jus",
  },
  {
    id: 3,
    name: "light coat",
    from: 33,
    seen: "a thin coat; the line closes in 1–3 s",
    examples: "thin white sauce, butter sauce",
  },
  {
    id: 4,
    name: "nappe",
    from: 41,
    seen: "an even coat; the line stays 5 s and more",
    examples: "velouté, half-glaze, bisque",
  },
  {
    id: 5,
    name: "heavy coat",
    from: 49,
    seen: "a thick coat; the line stays sharp, drops fall slowly",
    examples: "thick white sauce, warm butter emulsion",
  },
  {
    id: 6,
    name: "mounding",
    from: 58,
    seen: "falls in ribbons and stands a moment",
    examples: "thick coulis, soft mayonnaise",
  },
  {
    id: 7,
    name: "standing",
    from: 67,
    seen: "holds a soft peak, the spoon’s furrow stays",
    examples: "mayonnaise, vegetable purée",
  },
  {
    id: 8,
    name: "piping-firm",
    from: 77,
    seen: "sharp ridges, keeps its shape",
    examples: "potato for piping, stiff garlic emulsion",
  },
];

/**
 * The band a thickness lies in, as the whole figure that is shown of it; lower edge inclusive.
 * @example bandOf(45).name // "nappe", as bandOf(40.98), which is shown as 41
 */
export const bandOf = (thickness: number): Band =>
  BANDS.findLast(band => Math.round(thickness) >= band.from) ?? (BANDS[0] as Band);
/** Where a band ends. */
export const endOf = (band: Band): number => BANDS[band.id + 1]?.from ?? 100;

/** Thickness wanted where nobody says. Source: docs/models.md "Body", common practice. */
export const USUAL_TARGETS = {
  soup: 28,
  "light coat": 37,
  nappe: 45,
  "heavy coat": 54,
  mayonnaise: 70,
  puree: 72,
} as const;
