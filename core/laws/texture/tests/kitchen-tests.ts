import { type Result, type Warning, checkNumber, ok, refuse, type Problem } from "../../../ground/result";
import { bandOf, flowIndexOf, thicknessOf, viscosityAt } from "../thickness";
import { CUP_MM, type CupMm, thicknessFromCup } from "./flow-cup";
import {
  COAT_OPEN_CLASS,
  coatWeight,
  lineRadiusCm,
  peakHeightCm,
  thicknessFromCoat,
  thicknessFromCoatWeight,
  thicknessFromLine,
  thicknessFromPeak,
  thicknessFromTrough,
  troughFrontCm,
} from "./spread-and-coat";
import { syringeLeftMl, thicknessFromSyringe } from "./syringe";
import { bisect } from "../../../ground/solver/halving";

export const TEST_IDS = ["coat", "line", "syringe", "cup", "trough", "peak", "coatg", "visc"] as const;
export type TestId = (typeof TEST_IDS)[number];

export interface TestOptions {
  /** Temperature of the sauce at the reading, °C. */
  readonly temperatureC: number;
  readonly cupMm?: CupMm;
  /** Flows like a syrup: jus, glace, gastrique, cream that is not reduced. */
  readonly newtonian?: boolean;
  /** Bits larger than a quarter of the nozzle. */
  readonly bits?: boolean;
}

export interface KitchenTest {
  readonly id: TestId;
  readonly label: string;
  /** How it is done, in a cook's words. */
  readonly how: string;
  readonly reading: string;
  readonly unit: string;
  readonly range: { readonly min: number; readonly max: number };
  /** Better test for what is thinner, and for what is thicker. */
  readonly thinner?: TestId;
  readonly thicker?: TestId;
  /** Standard deviation of one reading of a kitchen nobody has calibrated, in points. Our estimate. */
  readonly sd: number;
  /** Rests on a yield stress: wrong for jus and syrup. */
  readonly needsYield: boolean;
  /** Stands first on screen; the others under “other”. */
  readonly first: boolean;
  readonly toThickness: (reading: number, options: TestOptions) => number;
  readonly fromThickness: (thickness: number, options: TestOptions) => number;
}

const index = (options: TestOptions): number | undefined => (options.newtonian ? 1 : undefined);

/** Every kitchen test of thickness. Source of each: docs/models.md "Kitchen tests". */
export const KITCHEN_TESTS: Readonly<Record<TestId, KitchenTest>> = {
  coat: {
    id: "coat",
    label: "spoon",
    how: "Dip a cold dry spoon, back up, draw a line with a finger: choose the band that matches.",
    reading: "band 0–5",
    unit: "",
    range: { min: 0, max: 5 },
    sd: 5,
    needsYield: false,
    first: true,
    thicker: "line",
    toThickness: thicknessFromCoat,
    fromThickness: thickness => Math.min(COAT_OPEN_CLASS, bandOf(thickness).id),
  },
  line: {
    id: "line",
    label: "line plate",
    how: "50 ml in a 5 cm ring on a level plate, lift it, after 2 min the mean of four radii.",
    reading: "radius",
    unit: "cm",
    range: { min: 3, max: 10 },
    sd: 5,
    needsYield: true,
    first: true,
    thinner: "syringe",
    thicker: "peak",
    toThickness: thicknessFromLine,
    fromThickness: lineRadiusCm,
  },
  syringe: {
    id: "syringe",
    label: "syringe",
    how: "10 ml slip-tip syringe, nozzle down, let run 10 s, read what is left.",
    reading: "left",
    unit: "ml",
    range: { min: 0.5, max: 9.8 },
    sd: 4,
    needsYield: false,
    first: true,
    thinner: "cup",
    thicker: "line",
    toThickness: (reading, options) => thicknessFromSyringe(reading, index(options)),
    fromThickness: (thickness, options) => syringeLeftMl(thickness, index(options) ?? flowIndexOf(thickness)),
  },
  cup: {
    id: "cup",
    label: "flow cup",
    how: "100 ml through the cup, seconds until the stream breaks.",
    reading: "time",
    unit: "s",
    range: { min: 25, max: 150 },
    sd: 5,
    needsYield: false,
    first: true,
    thinner: "visc",
    thicker: "syringe",
    toThickness: (reading, options) => thicknessFromCup(reading, options.cupMm ?? 4, index(options)),
    fromThickness: (thickness, options) =>
      bisect(
        t => thicknessFromCup(t, options.cupMm ?? 4, index(options) ?? flowIndexOf(thickness)) - thickness,
        13,
        2000,
      ) ?? NaN,
  },
  trough: {
    id: "trough",
    label: "trough",
    how: "75 ml behind the gate of a level 5 cm trough, lift it, how far the front is after 30 s.",
    reading: "front",
    unit: "cm",
    range: { min: 0.5, max: 24 },
    sd: 4,
    needsYield: true,
    first: false,
    thinner: "syringe",
    thicker: "peak",
    toThickness: thicknessFromTrough,
    fromThickness: troughFrontCm,
  },
  peak: {
    id: "peak",
    label: "peak",
    how: "Lift the whisk: height of the peak that stands 10 s.",
    reading: "height",
    unit: "cm",
    range: { min: 0.5, max: 6 },
    sd: 6,
    needsYield: true,
    first: false,
    thinner: "line",
    toThickness: thicknessFromPeak,
    fromThickness: peakHeightCm,
  },
  coatg: {
    id: "coatg",
    label: "weighed card",
    how: "Weigh a card, dip it 5 cm, hold it upright 5 s, wipe the edge, weigh: g per 100 cm² of one side.",
    reading: "coat",
    unit: "g/100 cm²",
    range: { min: 0.3, max: 60 },
    sd: 4,
    needsYield: true,
    first: false,
    thinner: "cup",
    thicker: "peak",
    toThickness: thicknessFromCoatWeight,
    fromThickness: coatWeight,
  },
  visc: {
    id: "visc",
    label: "viscometer",
    how: "Rotational viscometer at 50 1/s.",
    reading: "viscosity",
    unit: "mPa·s",
    range: { min: 0.5, max: 100_000 },
    sd: 1.5,
    needsYield: false,
    first: false,
    toThickness: thicknessOf,
    fromThickness: viscosityAt,
  },
};

export interface Reading {
  readonly test: TestId;
  readonly reading: number;
  readonly options: TestOptions;
}

export interface ReadThickness {
  readonly test: TestId;
  readonly thickness: number;
  readonly sd: number;
  /** Class 5 of the spoon says only “that or thicker”. */
  readonly bound: boolean;
}

const OPEN_SD = 8;
const CUP_SYRUP_SD = 3;

/**
 * Thickness of a sauce as warm as it was read, from one kitchen test.
 *
 * @errors OUT_OF_RANGE names the test that reads it better · T_RANGE · CLASS a spoon band that is none · MODE bits in a nozzle
 * Warns NO_YIELD_STRESS where a syrup is read by a test that needs a standing sauce.
 * Source: docs/models.md "Kitchen tests". @example line, 6.0 cm → 47.85
 */
export function readThickness({ test, reading, options }: Reading): Result<ReadThickness> {
  const t = KITCHEN_TESTS[test];
  const problems: Problem[] = [
    ...checkNumber(options.temperatureC, "temperatureC", "The temperature of the reading", {
      min: 0,
      max: 100,
      unit: "°C",
    }),
  ];
  const { min, max } = t.range;
  if (!Number.isFinite(reading)) problems.push(...checkNumber(reading, "reading", `The ${t.label} reading`));
  else if (test === "coat" && !(Number.isInteger(reading) && reading >= 0 && reading <= 5))
    problems.push({
      code: "CLASS",
      field: "reading",
      value: reading,
      allowed: { min, max },
      message: `The spoon has six bands: type a whole number from 0 (broth) to 5 (heavy coat or thicker).`,
    });
  else if (reading < min || reading > max) {
    // A high number means thick for some tests and thin for others.
    const rises = t.fromThickness(60, options) > t.fromThickness(30, options);
    const better = reading < min === rises ? t.thinner : t.thicker;
    problems.push({
      code: "OUT_OF_RANGE",
      field: "reading",
      value: reading,
      allowed: { min, max },
      message: `The ${t.label} reads ${min} to ${max} ${t.unit}; ${reading} tells nothing.${better ? ` Take the ${KITCHEN_TESTS[better].label}.` : ""}`,
    });
  }
  if (options.cupMm !== undefined && !CUP_MM.includes(options.cupMm))
    problems.push({
      code: "OUT_OF_RANGE",
      field: "cupMm",
      value: options.cupMm,
      allowed: CUP_MM,
      message: "A flow cup has an outlet of 4, 5 or 6 mm.",
    });
  if (options.bits && (test === "cup" || test === "syringe"))
    problems.push({
      code: "MODE",
      field: "test",
      value: test,
      message: `Bits stop the nozzle of the ${t.label}. Sieve a sample, or take the line plate.`,
    });
  if (problems.length) return refuse(...problems);
  const warnings: Warning[] =
    options.newtonian && t.needsYield
      ? [
          {
            code: "NO_YIELD_STRESS",
            message: `A jus or a syrup does not stand: the ${t.label} reads it 5–15 points too thin. Take the spoon, the cup or the syringe.`,
          },
        ]
      : [];
  const bound = test === "coat" && reading === COAT_OPEN_CLASS;
  return ok(
    {
      test,
      thickness: Math.min(100, Math.max(0, t.toThickness(reading, options))),
      sd: bound ? OPEN_SD : test === "cup" && options.newtonian ? CUP_SYRUP_SD : t.sd,
      bound,
    },
    warnings,
  );
}

/** What a test will read for a thickness; `null` where it cannot. @example line, 56 → 5.07 cm */
export function expectedReading(
  test: TestId,
  thickness: number,
  options: TestOptions = { temperatureC: 60 },
): number | null {
  const t = KITCHEN_TESTS[test];
  const reading = t.fromThickness(thickness, options);
  return Number.isFinite(reading) && reading >= t.range.min && reading <= t.range.max ? reading : null;
}
