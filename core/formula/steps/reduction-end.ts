import { z } from "zod";
import type { FactValues } from "../../ground/facts";
import { clamp, g, printNumber, readNumber } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { bisect } from "../../ground/solver/halving";
import {
  type EndPoint,
  endPointOf,
  parseReductionTarget,
  reductionTargetSchema,
  targetInWords,
} from "../../laws/reduction";
import { SERVED_HOT_C, bandOf, bareBody } from "../../laws/texture";
import { type PotState, brixOf, massOfPools } from "../../things/pot";
import { sauceOf } from "./as-sauce";

/**
 * Where a reduction ends, as cooks mean it: a share, grams, litres; or a body on the spoon, what the refractometer
 * shows, a share of salt.
 */
export const reductionEndSchema = z.union([
  reductionTargetSchema,
  z.strictObject({ body: z.number().min(5).max(75) }),
  z.strictObject({ brix: z.number().min(1).max(80) }),
  z.strictObject({ saltPct: z.number().min(0.05).max(20) }),
]);
export type ReductionEnd = z.infer<typeof reductionEndSchema>;

/** Words of the stove for a body, and the body they mean. Common practice, no source. */
const SPOKEN: readonly (readonly [words: RegExp, body: number])[] = [
  [/^(?:a )?syrup$|^syrupy$/, 28],
  [/^(?:a )?light (?:coat|nappe)$/, 37],
  [/^(?:a )?nappe$|^(?:it )?coat(?:s|ing)?(?: (?:the|a) (?:back of (?:the|a) )?spoon)?$/, 45],
  [/^(?:a )?heavy coat$|^(?:a )?glaze$|^(?:a )?glace$/, 54],
];

/** Bodies a cook reduces to by name; the others are told by their figure. */
const BY_NAME: ReadonlySet<string> = new Set(["light coat", "nappe", "heavy coat"]);

/** "by a third (to two thirds)", "to nappe (body 45)", "to body 28 (soup-cream)", "to 62 °Bx", "to 1.1 % salt". */
export function endInWords(end: ReductionEnd): string {
  if ("body" in end) {
    const { name } = bandOf(end.body);
    const figure = `body ${printNumber(end.body, Number.isInteger(end.body) ? 0 : 1)}`;
    return BY_NAME.has(name) ? `to ${name} (${figure})` : `to ${figure} (${name})`;
  }
  if ("brix" in end) return `to ${printNumber(end.brix, 1)} °Bx`;
  if ("saltPct" in end) return `to ${printNumber(end.saltPct, 2)} % salt`;
  return targetInWords(end);
}

/** The end as it is typed: what `parseEnd` reads back as the same. */
export const endAsTyped = (end: ReductionEnd): string =>
  "body" in end
    ? `to body ${printNumber(end.body, Number.isInteger(end.body) ? 0 : 1)}`
    : endInWords(end).replace(/ \(.*/, "");

/**
 * Reads what `endAsTyped` writes, and what a cook says: "to nappe", "to a glaze", "to body 40", "to 65 Brix".
 * @errors those of `parseReductionTarget`
 */
export function parseEnd(
  text: string,
  parse: Parameters<typeof parseReductionTarget>[1],
  field = "target",
): Result<ReductionEnd> {
  const said = /^\s*(?:reduce\s+)?(?:to|until it is|until)\s+(.+?)\s*$/i.exec(text)?.[1]?.toLowerCase();
  if (said) {
    const spoken = SPOKEN.find(([words]) => words.test(said));
    if (spoken) return ok({ body: spoken[1] });
    const figure = /^(?:body )?([\d.,]+)\s*(%\s*salt|°?\s*bx|°?\s*brix|body)?$/.exec(said);
    const unit = said.startsWith("body ") ? "body" : figure?.[2]?.replace(/[°\s]/g, "");
    const read = figure?.[1] && unit ? readNumber(figure[1], field) : null;
    if (read?.ok && unit) {
      const number = read.value.value;
      const end =
        unit === "body" ? { body: number } : unit.startsWith("%") ? { saltPct: number } : { brix: number };
      const known = reductionEndSchema.safeParse(end);
      if (known.success) return ok(known.data);
      return refuse({
        code: "OUT_OF_RANGE",
        field,
        value: text,
        message: `“${text.trim()}” is no end of a reduction: body 5–75, 1–80 °Bx, or up to 20 % salt.`,
      });
    }
  }
  return parseReductionTarget(text, parse, field);
}

/** Gelatin from which the spoon, not the pot, sets the film: it is judged as cool as the spoon makes it. */
const FILM_FROM_PCT = 3;
const FILM_C = 45;

/** Body as the spoon shows it in a hot reduction. */
const onTheSpoon = (pot: PotState, facts: FactValues): number => {
  const sauce = sauceOf(pot, facts);
  const hot = bareBody(sauce, SERVED_HOT_C, facts);
  return hot.gelatinPct >= FILM_FROM_PCT ? bareBody(sauce, FILM_C, facts).thickness : hot.thickness;
};

/** Water that is never boiled off for an end: the last of it is a crust. */
const LAST_WATER = 0.03;

/** An end as grams of liquor; `null` where the liquor is there already. @errors UNREACHABLE with the most it gets to · those of `endPointOf` */
export function endPointIn(
  end: ReductionEnd,
  pot: PotState,
  facts: FactValues,
  field: string,
): Result<EndPoint | null> {
  if (!("body" in end) && !("brix" in end) && !("saltPct" in end)) return endPointOf(end, pot.liquor, field);
  const mass = massOfPools(pot.liquor);
  // Spirit is gone long before: what is left to boil off is water.
  const { ethanol, water } = pot.liquor;
  const less = (waterG: number): PotState => ({
    ...pot,
    liquor: { ...pot.liquor, ethanol: 0, water: water - waterG },
  });
  const wanted = "body" in end ? end.body : "brix" in end ? end.brix : end.saltPct;
  const at = (waterG: number): number => {
    const left = less(waterG);
    if ("body" in end) return onTheSpoon(left, facts);
    if ("brix" in end) return brixOf(left.liquor);
    return (100 * left.liquor.salt) / massOfPools(left.liquor);
  };
  if (at(0) >= wanted) return ok(null);
  const most = (1 - LAST_WATER) * water;
  const found = bisect(waterG => at(waterG) - wanted, 0, most);
  if (found === null)
    return refuse({
      code: "UNREACHABLE",
      field,
      value: wanted,
      allowed: { max: clamp(at(most), 0, 100) },
      message: `Boiled down to its last water it comes no further than ${inFigures(end, at(most))}. Take a lower end, or bring in what binds.`,
    });
  return ok({ g: g(mass - ethanol - found) });
}

const inFigures = (end: ReductionEnd, value: number): string =>
  "body" in end
    ? `body ${printNumber(clamp(value, 0, 100))}`
    : "brix" in end
      ? `${printNumber(value, 1)} °Bx`
      : `${printNumber(value, 2)} % salt`;
