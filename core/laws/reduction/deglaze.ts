import { type Millilitres, type Millimetres, ml } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";

/** Liquid that lifts the fond of a pan floor, ml per cm²: 150 ml in a 28 cm pan. Common practice, no source. */
const ML_PER_CM2 = 150 / (Math.PI * 14 * 14);

/** Liquids that lift a fond, what each brings, and how far it is usually taken. Common practice, no source. */
export const DEGLAZE_LIQUIDS = {
  water: { label: "water", brings: "nothing but the fond", end: "as it is" },
  wine: {
    label: "wine or cider",
    brings: "acid and fruit; alcohol until it is almost dry",
    end: "almost dry",
  },
  vinegar: { label: "vinegar", brings: "sharp acid; needs something sweet", end: "almost dry" },
  spirit: { label: "spirit", brings: "perfume and much alcohol; it can light", end: "by half" },
  stock: { label: "stock", brings: "gelatin and its own salt", end: "as it is" },
} as const;
export type DeglazeLiquid = keyof typeof DEGLAZE_LIQUIDS;

/** Liquid for a pan by its floor. @errors OUT_OF_RANGE. @example 280 mm → 150 ml */
export function deglazeMl(diameter: Millimetres): Result<Millilitres> {
  const problems = checkNumber(diameter, "diameterMm", "The pan", { min: 50, max: 1200, unit: "mm" });
  return problems.length ? refuse(...problems) : ok(ml(ML_PER_CM2 * Math.PI * (diameter / 20) ** 2));
}

/** Minutes more that an over-pour boils. @errors OUT_OF_RANGE. @example 60 ml at 35 ml/min → 1.7 min */
export function overPourMinutes(overMl: number, boilsOffMlPerMin: number): Result<number> {
  const problems = [
    ...checkNumber(overMl, "overMl", "The over-pour"),
    ...checkNumber(boilsOffMlPerMin, "boilsOffMlPerMin", "What boils off", { min: 0.01, unit: "ml/min" }),
  ];
  return problems.length ? refuse(...problems) : ok(overMl / boilsOffMlPerMin);
}
