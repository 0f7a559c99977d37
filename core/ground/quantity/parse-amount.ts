import { type Result, type Warning, ok, refuse } from "../result";
import { KITCHEN_UNITS, type KitchenUnit, kitchenUnit } from "./kitchen-units";
import { readNumber, saidNumber } from "./numbers";
import { printMass, printVolume } from "./print";
import { type Density, type Grams, type Millilitres, g, massOf, ml, volumeOf } from "./units";

/** What was understood of an amount as a cook types it. */
export type Amount =
  | {
      readonly kind: "mass";
      readonly massG: Grams;
      readonly volumeMl?: Millilitres;
      readonly understood: string;
      readonly source: string;
    }
  | {
      readonly kind: "volume";
      readonly volumeMl: Millilitres;
      readonly massG?: Grams;
      readonly understood: string;
      readonly source: string;
    }
  | { readonly kind: "share"; readonly pct: number; readonly understood: string; readonly source: string };

export interface AmountContext {
  /** Density of the ingredient as poured; without it a volume stays a volume. */
  readonly density?: Density;
  readonly densitySource?: string;
  /** Name of the ingredient, for the messages. */
  readonly ingredient?: string;
  readonly field?: string;
}

/** A stated mass may differ from its stated volume by this share before it is questioned. Common practice, no source. */
export const PAIR_TOLERANCE = 0.01;

interface Measured {
  readonly dimension: "mass" | "volume";
  readonly amount: number;
  readonly sources: readonly string[];
}

const UNIT_WORDS = [...KITCHEN_UNITS.flatMap(u => u.aliases)].sort((a, b) => b.length - a.length);

function readUnit(rest: string): { unit: KitchenUnit; rest: string } | null {
  const text = rest.trimStart();
  for (const word of UNIT_WORDS) {
    if (text.toLowerCase().startsWith(word) && !/[a-z]/i.test(text.charAt(word.length))) {
      const unit = kitchenUnit(word);
      if (unit) return { unit, rest: text.slice(word.length).replace(/^\./, "") };
    }
  }
  return null;
}

/** Reads one measure, compound ones ("8 lb 4 oz") included. */
function readMeasure(text: string, field: string): Result<Measured> {
  let rest = text.trim();
  let total = 0;
  let dimension: Measured["dimension"] | null = null;
  const sources = new Set<string>();
  // Each pass eats at least one character; an amount has two or three parts at most.
  while (rest) {
    // Words count as a number only before a unit: "a knob" is not one, "a cup" is.
    const said = saidNumber(rest);
    const number = said && readUnit(said.rest) ? ok(said) : readNumber(rest, field);
    if (!number.ok) return number;
    const found = readUnit(number.value.rest);
    if (!found) {
      const word = number.value.rest.trim();
      return refuse({
        code: word ? "WRONG_UNIT" : "MISSING",
        field,
        value: text,
        allowed: KITCHEN_UNITS.map(u => u.name),
        message: word
          ? `“${word}” is not a unit Hondaro knows. Type g, kg, ml, l, oz, lb, tsp, tbsp, cup or qt.`
          : `${text.trim()} of what unit? Type it as ${text.trim()} g, ${text.trim()} ml or ${text.trim()} %.`,
      });
    }
    if (dimension && dimension !== found.unit.dimension)
      return refuse({
        code: "WRONG_UNIT",
        field,
        value: text,
        message: `“${text.trim()}” mixes a weight and a volume. Type one of the two.`,
      });
    dimension = found.unit.dimension;
    const half = /^\s*and\s+a\s+half\b/i.exec(found.rest)?.[0] ?? "";
    total += (number.value.value + (half ? 1 / 2 : 0)) * found.unit.factor;
    sources.add(found.unit.source);
    rest = found.rest.slice(half.length).trim();
  }
  if (!dimension)
    return refuse({ code: "MISSING", field, message: "Type an amount, such as 250 g or 1½ cups." });
  if (total < 0)
    return refuse({ code: "NEGATIVE", field, value: text, message: "An amount cannot be negative." });
  return ok({ dimension, amount: total, sources: [...sources] });
}

/**
 * Reads an amount as a cook types it and turns it into grams once.
 *
 * Understands weights and volumes in metric and US units, fractions, numbers in words ("half a litre", "two cups"),
 * compound weights, per cent, and a pair
 * "3 cups / 710 g" or "3 cups (710 g)", whose two sides are compared.
 *
 * @param text    what was typed
 * @param context density (g/ml) of the ingredient, when known
 * @returns grams and millilitres as far as they can be known, and the reading-back
 * @errors NOT_UNDERSTOOD · AMBIGUOUS · MISSING (unit) · WRONG_UNIT · NEGATIVE
 * @example parseAmount("3 cups", { density: gPerMl(1.03) }) // 709.76 ml, 731.06 g
 */
export function parseAmount(text: string, context: AmountContext = {}): Result<Amount> {
  const field = context.field ?? "amount";
  const typed = text.trim();
  if (!typed) return refuse({ code: "MISSING", field, message: "Type an amount, such as 250 g or 1½ cups." });

  const percent = /^(.*?)\s*(?:%|per ?cent)$/i.exec(typed);
  if (percent) {
    const said = saidNumber(percent[1] ?? "");
    const number = said ? ok(said) : readNumber(percent[1] ?? "", field);
    if (!number.ok) return number;
    if (number.value.rest.trim() || number.value.value < 0)
      return refuse({
        code: "NOT_UNDERSTOOD",
        field,
        value: text,
        message: `“${typed}” is not a share. Type it as 12 %.`,
      });
    return ok({
      kind: "share",
      pct: number.value.value,
      understood: `${number.value.value} %`,
      source: "as typed",
    });
  }

  const pair = /^(.+?)\s*(?:\/(?=\s*\d+[\d., ]*\s*[a-z])|=|\()\s*([^()]+?)\)?$/i.exec(typed);
  if (pair && /[a-z#]/i.test(pair[1] ?? "")) return parsePair(pair[1] ?? "", pair[2] ?? "", context, field);

  const measure = readMeasure(typed, field);
  if (!measure.ok) return measure;
  return ok(describe(measure.value, context));
}

function describe(measure: Measured, context: AmountContext): Amount {
  const source = [
    ...measure.sources,
    ...(context.density && context.densitySource ? [context.densitySource] : []),
  ].join("; ");
  if (measure.dimension === "mass") {
    const massG = g(measure.amount);
    const volumeMl = context.density ? volumeOf(massG, context.density) : undefined;
    return {
      kind: "mass",
      massG,
      volumeMl,
      source,
      understood:
        volumeMl === undefined ? printMass(massG) : `${printMass(massG)} (${printVolume(volumeMl)})`,
    };
  }
  const volumeMl = ml(measure.amount);
  const massG = context.density ? massOf(volumeMl, context.density) : undefined;
  return {
    kind: "volume",
    volumeMl,
    massG,
    source,
    understood:
      massG === undefined
        ? printVolume(volumeMl)
        : `${printVolume(volumeMl)} = ${printMass(massG)} (${context.density} g/ml)`,
  };
}

/** "3 cups / 710 g": the volume gives the grams, the stated grams are checked against it. */
function parsePair(left: string, right: string, context: AmountContext, field: string): Result<Amount> {
  const sides = [readMeasure(left, field), readMeasure(right, field)];
  const failed = sides.find(side => !side.ok);
  if (failed && !failed.ok) return failed;
  const measures = sides.flatMap(side => (side.ok ? [side.value] : []));
  const volume = measures.find(m => m.dimension === "volume");
  const mass = measures.find(m => m.dimension === "mass");
  if (!volume || !mass)
    return refuse({
      code: "WRONG_UNIT",
      field,
      value: `${left} / ${right}`,
      message: "A pair needs one volume and one weight, such as 3 cups / 731 g.",
    });
  const stated = describe(mass, context);
  if (!context.density) return ok(stated);
  const expected = massOf(ml(volume.amount), context.density);
  const gap = expected - mass.amount;
  const warnings: Warning[] = [];
  if (Math.abs(gap) > PAIR_TOLERANCE * expected)
    warnings.push({
      code: "PAIR_MISMATCH",
      message: `${printVolume(ml(volume.amount))} of ${context.ingredient ?? "this"} weighs ${printMass(expected)}, not ${printMass(g(mass.amount))}: a gap of ${printMass(g(Math.abs(gap)))}.`,
    });
  return ok(stated, warnings);
}
