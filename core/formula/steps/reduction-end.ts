import { z } from "zod";
import type { FactValues } from "../../ground/facts";
import { type Pascals, clamp, g, printNumber, readNumber } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { bisect } from "../../ground/solver/halving";
import {
  type EndPoint,
  endPointOf,
  parseReductionTarget,
  reductionTargetSchema,
  targetInWords,
} from "../../laws/reduction";
import { SERVED_HOT_C, bandOf, bodyOnSpoon } from "../../laws/texture";
import { type PotState, boilingPointC, brixOf, massOfPools } from "../../things/pot";
import { sauceOf } from "./as-sauce";

/** How dry: a spoonful left; the liquor gone; so dry that the pan hisses. */
export const DRYNESS = ["au sec", "gone", "hisses"] as const;

/**
 * Where a reduction ends, as cooks mean it: a share, grams, litres; or a body on the spoon, what the refractometer
 * shows, a share of salt, a temperature on the thermometer, dryness.
 */
export const reductionEndSchema = z.union([
  reductionTargetSchema,
  z.strictObject({ body: z.number().min(5).max(75) }),
  z.strictObject({ brix: z.number().min(1).max(80) }),
  z.strictObject({ saltPct: z.number().min(0.05).max(20) }),
  z.strictObject({ stopC: z.number().min(100).max(170) }),
  z.strictObject({ dry: z.enum(DRYNESS) }),
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
  if ("stopC" in end) return `to ${printNumber(end.stopC, 1)} °C on the thermometer`;
  if ("dry" in end) return DRY_WORDS[end.dry];
  return targetInWords(end);
}

const DRY_WORDS = {
  "au sec": "until almost dry (au sec)",
  gone: "until the liquor is gone",
  hisses: "until the pan hisses",
} as const satisfies Record<(typeof DRYNESS)[number], string>;

/** How a cook says it is dry. Common practice, no source. */
const SAID_DRY: readonly (readonly [words: RegExp, dry: (typeof DRYNESS)[number]])[] = [
  [/^(?:almost |nearly )(?:dry|gone|evaporated)|\bau sec$/, "au sec"],
  [/hiss|sizzl/, "hisses"],
  [/^(?:dry|gone|evaporated)$|\b(?:gone|evaporated)$/, "gone"],
];

/** The end as it is typed: what `parseEnd` reads back as the same. */
export const endAsTyped = (end: ReductionEnd): string =>
  "body" in end
    ? `to body ${printNumber(end.body, Number.isInteger(end.body) ? 0 : 1)}`
    : endInWords(end).replace(/ \(.*| on the thermometer/, "");

/**
 * Reads what `endAsTyped` writes, and what a cook says: "to nappe", "to a glaze", "to body 40", "to 65 Brix".
 * @errors those of `parseReductionTarget`
 */
export function parseEnd(
  text: string,
  parse: Parameters<typeof parseReductionTarget>[1],
  field = "target",
): Result<ReductionEnd> {
  const said =
    /^\s*(?:reduce\s+)?(?:to|until (?:it is|the (?:liquor|liquid|wine|pan) (?:is|has)?)|until)\s*(.+?)\s*$/i
      .exec(text)?.[1]
      ?.toLowerCase();
  if (said) {
    const spoken = SPOKEN.find(([words]) => words.test(said));
    if (spoken) return ok({ body: spoken[1] });
    const dry = SAID_DRY.find(([words]) => words.test(said));
    if (dry) return ok({ dry: dry[1] });
    const figure =
      /^(?:body )?([\d.,]+)\s*(%\s*salt|°?\s*bx|°?\s*brix|°\s*c|c|body)?(?: on the thermometer)?$/.exec(said);
    const unit = said.startsWith("body ") ? "body" : figure?.[2]?.replace(/[°\s]/g, "");
    const read = figure?.[1] && unit ? readNumber(figure[1], field) : null;
    if (read?.ok && unit) {
      const number = read.value.value;
      const end =
        unit === "body"
          ? { body: number }
          : unit === "c"
            ? { stopC: number }
            : unit.startsWith("%")
              ? { saltPct: number }
              : { brix: number };
      const known = reductionEndSchema.safeParse(end);
      if (known.success) return ok(known.data);
      return refuse({
        code: "OUT_OF_RANGE",
        field,
        value: text,
        message: `“${text.trim()}” is no end of a reduction: body 5–75, 1–80 °Bx, up to 20 % salt, or 100–170 °C.`,
      });
    }
  }
  return parseReductionTarget(text, parse, field);
}

/** Water that is never boiled off for an end: the last of it is a crust. */
const LAST_WATER = 0.03;

/** Water that a boiled sugar keeps at the least, of what it had. */
export const SYRUP_WATER = 0.004;

/** What is left of a liquor that is almost dry, as a share of it, and the least water in what is left then. Common practice, no source. */
const AU_SEC = 0.08;
/** Water left when the pan hisses, of what there was. Our estimate. */
const LAST_STEAM = 0.021;
const AU_SEC_WATER = 0.3;

/** Liquor left when a pan is so dry, g; `null` where it is that dry already. */
function dryEnd(dry: (typeof DRYNESS)[number], { liquor }: PotState): EndPoint | null {
  const mass = massOfPools(liquor);
  const solids = mass - liquor.water - liquor.ethanol;
  const left =
    dry === "au sec"
      ? Math.max(AU_SEC * mass, solids / (1 - AU_SEC_WATER))
      : solids + liquor.water * (dry === "gone" ? LAST_WATER : LAST_STEAM);
  return left < mass ? { g: g(left) } : null;
}

/** An end as grams of liquor; `null` where the liquor is there already. @errors UNREACHABLE with the most it gets to · those of `endPointOf` */
export function endPointIn(
  end: ReductionEnd,
  pot: PotState,
  pressure: Pascals,
  facts: FactValues,
  field: string,
): Result<EndPoint | null> {
  if ("dry" in end) return ok(dryEnd(end.dry, pot));
  if (!("body" in end) && !("brix" in end) && !("saltPct" in end) && !("stopC" in end))
    return endPointOf(end, pot.liquor, field);
  const mass = massOfPools(pot.liquor);
  // Spirit is gone long before: what is left to boil off is water.
  const { ethanol, water } = pot.liquor;
  const less = (waterG: number): PotState => ({
    ...pot,
    liquor: { ...pot.liquor, ethanol: 0, water: water - waterG },
  });
  const wanted =
    "body" in end ? end.body : "brix" in end ? end.brix : "stopC" in end ? end.stopC : end.saltPct;
  const at = (waterG: number): number => {
    const left = less(waterG);
    if ("body" in end) return bodyOnSpoon(sauceOf(left, facts), SERVED_HOT_C, facts);
    if ("brix" in end) return brixOf(left.liquor);
    if ("stopC" in end) return boilingPointC(left.liquor, pressure);
    return (100 * left.liquor.salt) / massOfPools(left.liquor);
  };
  if (at(0) >= wanted) return ok(null);
  // A syrup gives up more of its water than a crust may.
  const most = (1 - ("stopC" in end ? SYRUP_WATER : LAST_WATER)) * water;
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
    : "stopC" in end
      ? `${printNumber(value, 1)} °C`
      : "brix" in end
        ? `${printNumber(value, 1)} °Bx`
        : `${printNumber(value, 2)} % salt`;
