import type { Allergen, DietFlag } from "../allergens";
import { type Composition, NO_COMPOSITION } from "../composition";
import type { Carries } from "../carries";
import type { Ingredient, SolidKind, Source } from "../ingredient";

/**
 * How a row of the reference larder is written. Compositions without a source of their own were written down from
 * memory of the USDA National Nutrient Database (SR Legacy) and are to be re-verified there; moisture, fat and protein
 * of many are checked against the open IFCT 2017 data in `larder.reference.test.ts`.
 */
const USDA: Source = { mark: "M", text: "USDA SR Legacy, from memory, to be verified" };
export const LABEL: Source = { mark: "M", text: "typical label, from memory" };
export const OURS: Source = { mark: "E", text: "our estimate" };
export const MODEL: Source = { mark: "E", text: "density model at 20 °C" };
export const HANDBOOK: Source = { mark: "M", text: "food density tables, from memory" };
export const OIL: Source = { mark: "M", text: "seed-oil density at 20 °C, from memory" };
export const BULK: Source = { mark: "T", text: "common practice, no source" };
export const TRIM: Source = { mark: "T", text: "trim yield, common practice, no source" };
export const WHOLE: Source = { mark: "P", text: "used whole" };

/** Grams of one, with the range a kitchen meets; a bare number may be a quarter off either way. */
type Weight = number | readonly [grams: number, from: number, to: number];

interface Row {
  readonly also?: readonly string[];
  readonly of: Partial<Composition>;
  readonly from?: Source;
  readonly phase?: Ingredient["phase"];
  readonly solid?: SolidKind;
  readonly density?: readonly [number, Source];
  readonly edible?: readonly [number, Source];
  /** Share of the whole fruit that is juice, per cent. */
  readonly juice?: number;
  /** `null`: not entered. */
  readonly allergens?: readonly Allergen[] | null;
  readonly diet?: readonly DietFlag[];
  readonly measures?: Readonly<Record<string, Weight>>;
  readonly boughtStock?: boolean;
  readonly carries?: Carries;
}

/** Off a weight that nobody has put on a scale: a quarter either way. Our estimate. */
const ROUGH = 0.25;

const measured = (name: string, weight: Weight): Ingredient["measures"][number] => {
  const [massG, loG, hiG] =
    typeof weight === "number" ? [weight, weight * (1 - ROUGH), weight * (1 + ROUGH)] : weight;
  return { name, massG, loG, hiG, source: BULK };
};

export const entry = (id: string, name: string, row: Row): Ingredient => ({
  id,
  name,
  aliases: [...(row.also ?? [])],
  composition: { ...NO_COMPOSITION, ...row.of },
  compositionSource: row.from ?? USDA,
  phase: row.phase ?? (row.solid ? "solids" : "liquor"),
  ...(row.solid && { solidKind: row.solid }),
  ...(row.density && { densityGPerMl: row.density[0], densitySource: row.density[1] }),
  ediblePct: row.edible?.[0] ?? 100,
  edibleSource: row.edible?.[1] ?? WHOLE,
  ...(row.juice && { juicePct: row.juice, juiceSource: TRIM }),
  allergens: row.allergens === null ? null : [...(row.allergens ?? [])],
  diet: [...(row.diet ?? [])],
  measures: Object.entries(row.measures ?? {}).map(([measure, weight]) => measured(measure, weight)),
  ...(row.boughtStock && { boughtStock: true }),
  ...(row.carries && { carries: row.carries }),
});
