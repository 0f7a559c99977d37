import { type Celsius, type Grams, type Millilitres, degC, g, ml, printNumber } from "../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../ground/result";
import type { VesselShape } from "../things/vessel";
import type { Appliance, Probe, Scale } from "./appliance";

/** The scale that takes a load: the finest of those strong enough; `null`: none is. */
export function scaleFor(appliances: readonly Appliance[], load: Grams): Scale | null {
  const scales = appliances.filter((a): a is Scale => a.kind === "scale" && a.capacityG >= load);
  return scales.sort((a, b) => a.resolutionG - b.resolutionG)[0] ?? null;
}

/** How a pot's contents can be read: on the scale while it is not too heavy, else by stick, jug or refractometer. */
export function waysToRead(
  appliances: readonly Appliance[],
  gross: Grams,
): { weigh: boolean; words: string } {
  const known = appliances.some(a => a.kind === "scale");
  if (!known || scaleFor(appliances, gross)) return { weigh: true, words: "weigh it" };
  return {
    weigh: false,
    words: `too heavy for the scales here (${printNumber(gross / 1000)} kg): dip the stick, use the jug or the refractometer`,
  };
}

/** A probe in melting ice may be this far off before it should be replaced, K. Common practice, no source. */
const MOST_OFFSET_K = 2;
/** And this far before it is worth correcting. */
const LEAST_OFFSET_K = 0.05;
export const LEAST_INSERTION_MM = 50;

/**
 * What a probe must be corrected by, from its reading in melting ice.
 *
 * @errors NOT_FINITE · PROBE so far off that it should be replaced
 * @example 1.4 °C in ice → offset −1.4
 */
export function iceCheck(reading: number): Result<{ offsetC: number; words: string }> {
  const problems = checkNumber(reading, "readC", "The reading in ice", { min: -50, max: 50, unit: "°C" });
  if (problems.length) return refuse(...problems);
  if (Math.abs(reading) > MOST_OFFSET_K)
    return refuse({
      code: "PROBE",
      field: "readC",
      value: reading,
      allowed: { min: -MOST_OFFSET_K, max: MOST_OFFSET_K },
      message: `${printNumber(reading, 1)} °C in melting ice is too far off to correct: stir the ice, push the probe in ${LEAST_INSERTION_MM / 10} cm, wait a minute and read again; else replace it.`,
    });
  const offsetC = Math.abs(reading) < LEAST_OFFSET_K ? 0 : -reading;
  return ok({
    offsetC,
    words:
      offsetC === 0
        ? "It reads ice as it should."
        : `${printNumber(offsetC, 1)} °C is added to what it reads from now on.`,
  });
}

/** After so many days a probe is due for its ice check. Common practice, no source. */
const CHECK_DAYS = 30;
const DAY_MS = 24 * 60 * 60_000;

/**
 * How long ago a probe was checked in ice, and whether it is due again.
 * @param today as an ISO day
 * @returns `days: null` for one that never was
 */
export function checkAge(probe: Pick<Probe, "checkedOn">, today: string) {
  const days =
    probe.checkedOn === null ? null : Math.round((Date.parse(today) - Date.parse(probe.checkedOn)) / DAY_MS);
  return { days, due: days === null || days > CHECK_DAYS };
}

/** What a probe means. */
export const corrected = (probe: Probe, reading: number): Celsius => degC(reading + probe.offsetC);

/** How much hot liquid a blender jar may take at once. */
export const hotFill = (blender: Extract<Appliance, { kind: "blender" }>): Millilitres =>
  ml((blender.jarMl * blender.hotFillPct) / 100);

/** Grams of a sauce that a ladle or a spoon holds. */
export const holdsGrams = (holdsMl: number, gPerMl: number): Grams => g(holdsMl * gPerMl);

const LEAST_POINTS = 3;

/**
 * A pot measured by pouring litres in: pairs of what was poured in all and what the stick read.
 *
 * @param pours ml poured in all so far and mm read, in order; (0, 0) is added
 * @returns the shape as a table
 * @errors EMPTY fewer than two pours · GEOMETRY a pour that did not rise. Warns when the last layers do not fit a pot.
 */
export function shapeByPouring(pours: readonly { ml: number; mm: number }[]): Result<VesselShape> {
  const points = [{ ml: 0, mm: 0 }, ...pours.filter(p => p.ml !== 0 || p.mm !== 0)];
  const wrong = points.findIndex((p, i) => {
    const before = points[i - 1];
    return (
      !Number.isFinite(p.ml) || !Number.isFinite(p.mm) || (before && (p.ml <= before.ml || p.mm <= before.mm))
    );
  });
  if (wrong > 0)
    return refuse({
      code: "GEOMETRY",
      field: `pours.${wrong - 1}`,
      value: points[wrong],
      message: `Pour ${wrong}: both the litres and the level must be more than at the pour before.`,
    });
  if (points.length < LEAST_POINTS)
    return refuse({
      code: "EMPTY",
      field: "pours",
      message: "Pour at least twice and read the stick each time: a litre, then another.",
    });
  return ok({ shape: "table", points: points.map(p => [p.mm, p.ml] as [number, number]) }, oddLayer(points));
}

/** A layer twice as wide or half as wide as the one below was read wrong. */
const LAYER_ODD = 2;

function oddLayer(points: readonly { ml: number; mm: number }[]): Warning[] {
  const areas = points.slice(1).map((p, i) => (p.ml - (points[i]?.ml ?? 0)) / (p.mm - (points[i]?.mm ?? 0)));
  const odd = areas.findIndex((a, i) => {
    const below = areas[i - 1];
    return below !== undefined && (a > LAYER_ODD * below || a < below / LAYER_ODD);
  });
  if (odd < 0) return [];
  return [
    {
      code: "IMPLAUSIBLE",
      message: `Between pour ${odd} and ${odd + 1} the pot would be twice as wide or half as wide as below. Read that one again.`,
    },
  ];
}

/** Acid and bare copper or aluminium do not go together. Common practice, no source. */
export function liningCaution(metal: string, lining: string | undefined): string | null {
  return (metal === "copper" || metal === "aluminium") && (lining ?? "none") === "none"
    ? `Bare ${metal}: no wine, vinegar, tomato or verjus in it.`
    : null;
}
