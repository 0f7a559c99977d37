import { type Pools, abvOf, brixOf, contentsOf, liquorMass, massOfPools } from "../../things/pot";
import type { StateAfterStep } from "./walked";

/** A quantity that can be followed down the line as a thread, and over time as a trace. */
export interface Figure {
  readonly id: FigureId;
  /** Head of its column. */
  readonly label: string;
  /** What it says, for those who cannot see the column. */
  readonly words: string;
  readonly unit: string;
  readonly decimals: number;
  /** `null` where there is none: no liquor, no price. */
  readonly of: (state: StateAfterStep) => number | null;
}

export const FIGURE_IDS = [
  "mass",
  "litres",
  "brix",
  "fat",
  "salt",
  "sugar",
  "acid",
  "alcohol",
  "gelatin",
  "starch",
  "body",
  "temperature",
  "minutes",
  "cost",
] as const;
export type FigureId = (typeof FIGURE_IDS)[number];

/** What per cent counts of: the liquor, or everything where there is none. */
export const eatenOf = (state: Pick<StateAfterStep, "pot">): Pools =>
  liquorMass(state.pot) > 0 ? state.pot.liquor : contentsOf(state.pot);

const share =
  (grams: (pools: Pools) => number) =>
  (state: StateAfterStep): number | null => {
    const pools = eatenOf(state);
    const mass = massOfPools(pools);
    return mass > 0 ? (100 * grams(pools)) / mass : null;
  };

const list: readonly Figure[] = [
  { id: "mass", label: "in pot", words: "mass in the pot", unit: "kg", decimals: 2, of: s => s.massG / 1000 },
  {
    id: "litres",
    label: "liquor",
    words: "litres of liquor at 20 °C",
    unit: "l",
    decimals: 2,
    of: s => (s.volumeMl === null ? null : s.volumeMl / 1000),
  },
  {
    id: "brix",
    label: "strength",
    words: "dissolved solids as a refractometer shows them",
    unit: "°Bx",
    decimals: 1,
    of: s => (s.volumeMl === null ? null : brixOf(s.pot.liquor)),
  },
  { id: "fat", label: "fat", words: "fat of the liquor", unit: "%", decimals: 1, of: share(p => p.fat) },
  { id: "salt", label: "salt", words: "salt of the liquor", unit: "%", decimals: 2, of: share(p => p.salt) },
  {
    id: "sugar",
    label: "sugar",
    words: "sugar of the liquor",
    unit: "%",
    decimals: 1,
    of: share(p => p.sugars),
  },
  {
    id: "acid",
    label: "acid",
    words: "acid of the liquor, as acetic acid",
    unit: "%",
    decimals: 2,
    of: share(p => p.acidVolatile + p.acidFixed),
  },
  {
    id: "alcohol",
    label: "alcohol",
    words: "alcohol of the liquor by volume",
    unit: "% vol",
    decimals: 1,
    of: s => (s.volumeMl === null ? null : abvOf(s.pot.liquor)),
  },
  {
    id: "gelatin",
    label: "gelatin",
    words: "gelatin of the liquor",
    unit: "%",
    decimals: 1,
    of: share(p => p.collagen),
  },
  {
    id: "starch",
    label: "starch",
    words: "starch of the liquor",
    unit: "%",
    decimals: 1,
    of: share(p => p.starch),
  },
  {
    id: "body",
    label: "body",
    words: "body, 0 broth to 100 piping-firm",
    unit: "",
    decimals: 0,
    of: s => s.body?.thickness ?? null,
  },
  {
    id: "temperature",
    label: "heat",
    words: "temperature",
    unit: "°C",
    decimals: 0,
    of: s => s.temperatureC,
  },
  { id: "minutes", label: "clock", words: "minutes gone", unit: "min", decimals: 0, of: s => s.clockS / 60 },
  { id: "cost", label: "cost", words: "cost of what went in", unit: "", decimals: 2, of: s => s.cost },
];

export const FIGURES = Object.fromEntries(list.map(f => [f.id, f])) as Readonly<Record<FigureId, Figure>>;
