import {
  type Grams,
  type Millilitres,
  g,
  ml,
  parseAmount,
  printMass,
  printNumber,
  readNumber,
  saidNumber,
} from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { findIngredient, ingredientCalled, plainName } from "./find";
import { type Ingredient, type Measure, densityOf } from "./ingredient";

/** An amount as a cook says it, in grams. */
export interface Weighed {
  /** `null`: a volume of something nobody has named. */
  readonly massG: Grams | null;
  /** What it may be in truth; the same as `massG` when it was weighed. */
  readonly loG: Grams | null;
  readonly hiG: Grams | null;
  /** `null`: nobody pours this. */
  readonly volumeMl: Millilitres | null;
  readonly ingredient: Ingredient | null;
  /** How it was read, to be shown beside what was typed. */
  readonly understood: string;
  readonly source: string;
}

const G_PER_LB = 453.59237;
const SMALL_ML = 5;

/** What can be counted of any liquid, ml with its range. Common practice, no source. */
const OF_ANY_LIQUID: Readonly<Record<string, readonly [number, number, number]>> = {
  drop: [0.05, 0.03, 0.07],
  dash: [0.6, 0.3, 1],
  squeeze: [SMALL_ML, 2, 10],
  swirl: [2.5, 1.5, 4],
  glug: [15, 8, 25],
  splash: [8, 4, 15],
  ladle: [120, 90, 150],
  glass: [150, 100, 200],
  bottle: [750, 500, 1000],
};
/** And of anything dry, g with its range. Common practice, no source. */
const OF_ANYTHING: Readonly<Record<string, readonly [number, number, number]>> = {
  pinch: [0.4, 0.2, 0.8],
  handful: [30, 15, 50],
};
const COMMON = "common practice, no source";

/** "31–35 per lb", "31/35 ct", "31–35 shrimp": pieces to the pound (or kilogram). */
const GRADE =
  /(\d+)\s*[–/-]\s*(\d+)\s*(?:(?:per\s*|\/\s*)(lb|pound|kg)|ct\b|count\b|(?=(?:shrimps?|prawns?|scallops?)\b))/i;

/**
 * Reads what a cook says or types: "1 leek", "3 cups buttermilk", "a knob", "5 turns", "60 shrimp 31–35 per lb".
 *
 * @param text       as typed
 * @param larder     where names are looked up
 * @param ingredient what it is of, where that is known already
 * @errors those of `parseAmount` · UNKNOWN_ID a thing the larder does not have, with the nearest names
 * @example "60 shrimp 31–35 per lb" → 825 g, each 13.0–14.6 g
 */
export function readMeasure(
  text: string,
  larder: readonly Ingredient[],
  ingredient: Ingredient | null = null,
  field = "text",
): Result<Weighed> {
  const typed = text.trim();
  const grade = GRADE.exec(typed);
  if (grade) return readGrade(typed, grade, larder, ingredient, field);
  const [, more = "", said] = ABOUT.exec(typed) ?? [];
  if (said) return about(readMeasure(said, larder, ingredient, field), more);
  const [, from, to, unit] = RANGE.exec(typed) ?? [];
  if (from && to && unit)
    return between(
      readMeasure(`${from} ${unit}`, larder, ingredient, field),
      readMeasure(`${to} ${unit}`, larder, ingredient, field),
      typed,
      field,
    );
  const plain = ingredient ? readPlain(typed, ingredient, field) : null;
  if (plain?.ok && plain.value.massG !== null) return plain;
  if (ingredient) {
    const counted = readCount(typed, ingredient);
    return counted ?? plain ?? refuse(notUnderstood(typed, field));
  }
  return readNamed(typed, larder, field);
}

const ABOUT = /^(about|around|approx(?:imately)?\.?|roughly|circa|ca\.?|~|≈|a good|a scant)\s*(\S.*)$/i;
/** How far "about" reaches to either side. Common practice, no source. */
const ABOUT_SHARE = 0.1;

/** The same amount, less surely. */
function about(read: Result<Weighed>, word: string): Result<Weighed> {
  if (!read.ok) return read;
  const { massG, loG, hiG, understood } = read.value;
  return ok(
    {
      ...read.value,
      loG: loG === null ? null : g(loG * (1 - ABOUT_SHARE)),
      hiG: hiG === null ? null : g(hiG * (1 + ABOUT_SHARE)),
      understood: massG === null ? understood : `${word.toLowerCase()} ${understood}`,
    },
    read.warnings,
  );
}

/** "200–250 g", "3 to 4 cloves". */
const RANGE =
  /^(\d[\d.,/]*(?:\s*[½⅓⅔¼¾])?|[½⅓⅔¼¾])\s*(?:–|-|to|or)\s*(\d[\d.,/]*(?:\s*[½⅓⅔¼¾])?|[½⅓⅔¼¾])\s*([a-z].*)$/i;

/** The middle of two amounts, which are its least and its most. */
function between(
  least: Result<Weighed>,
  most: Result<Weighed>,
  typed: string,
  field: string,
): Result<Weighed> {
  if (!least.ok) return least;
  if (!most.ok) return most;
  const [lo, hi] = [least.value, most.value];
  const volumeMl = lo.volumeMl === null || hi.volumeMl === null ? null : ml((lo.volumeMl + hi.volumeMl) / 2);
  if (lo.massG === null || hi.massG === null) return ok({ ...hi, volumeMl });
  if (lo.massG > hi.massG)
    return refuse({
      code: "OUT_OF_RANGE",
      field,
      value: typed,
      message: `“${typed}” runs backwards. Type the smaller amount first.`,
    });
  const massG = g((lo.massG + hi.massG) / 2);
  return ok({
    ...hi,
    massG,
    loG: lo.loG,
    volumeMl,
    understood: `the middle of ${typed} = ${printMass(massG)}`,
  });
}

const notUnderstood = (text: string, field: string) => ({
  code: "NOT_UNDERSTOOD" as const,
  field,
  value: text,
  message: `“${text}” is not an amount. Type it as 250 g, 3 cups cream, 1 leek or 5 turns pepper.`,
});

/** "250 g", "3 cups", with the ingredient's own density. */
function readPlain(text: string, ingredient: Ingredient | null, field: string): Result<Weighed> {
  const density = ingredient ? densityOf(ingredient) : undefined;
  const amount = parseAmount(text, {
    ...(density !== undefined && { density }),
    ...(ingredient?.densitySource && { densitySource: ingredient.densitySource.text }),
    ...(ingredient && { ingredient: ingredient.name }),
    field,
  });
  if (!amount.ok) return amount;
  if (amount.value.kind === "share")
    return refuse({
      code: "WRONG_UNIT",
      field,
      value: text,
      message: `“${text}” is a share, not an amount. Type a weight or a volume.`,
    });
  const massG = amount.value.massG ?? null;
  return ok(
    {
      massG,
      loG: massG,
      hiG: massG,
      volumeMl: amount.value.volumeMl ?? null,
      ingredient,
      understood: amount.value.understood,
      source: amount.value.source,
    },
    amount.warnings,
  );
}

/** "2 sprigs", "a knob", "5 turns", "1 cup chopped" of a known ingredient. */
function readCount(text: string, ingredient: Ingredient): Result<Weighed> | null {
  const { count, rest } = counted(text);
  const unit = plainName(rest.replace(/^of\s+/i, "").replace(/\s+of$/i, ""));
  const own = ownMeasure(ingredient, unit) ?? sizedMeasure(ingredient, unit);
  if (own) return ok(times(count, own, ingredient));
  const liquid = OF_ANY_LIQUID[unit];
  const density = densityOf(ingredient);
  if (liquid && density !== undefined) {
    const [value, lo, hi] = liquid.map(v => v * density) as [number, number, number];
    return ok(times(count, asMeasure(unit, value, lo, hi), ingredient));
  }
  const any = OF_ANYTHING[unit];
  return any ? ok(times(count, asMeasure(unit, ...any), ingredient)) : null;
}

const asMeasure = (name: string, massG: number, loG: number, hiG: number): Measure => ({
  name,
  massG,
  loG,
  hiG,
  source: { mark: "T", text: COMMON },
});

/** "2 large onions", "1 small": between the usual and the most, or the least. */
function sizedMeasure(ingredient: Ingredient, unit: string): Measure | undefined {
  const [, size, word = ""] = /^(large|big|small|medium)\b\s*(.*)$/.exec(unit) ?? [];
  const usual = size ? ownMeasure(ingredient, word) : undefined;
  if (!usual || size === "medium") return usual;
  const [loG, hiG] = size === "small" ? [usual.loG, usual.massG] : [usual.massG, usual.hiG];
  return { ...usual, massG: (loG + hiG) / 2, loG, hiG };
}

/** The measure a word means: its name, "turn of the mill", or the thing itself ("2 leeks" are two pieces). */
function ownMeasure(ingredient: Ingredient, unit: string): Measure | undefined {
  const word = unit.replace(/ of the mill$/, "");
  const found =
    ingredient.measures.find(m => plainName(m.name) === word) ??
    // A cup of onion is one of chopped onion.
    (word === "cup" ? ingredient.measures.find(m => m.name.startsWith("cup ")) : undefined);
  if (found) return found;
  const names = [ingredient.name, ...ingredient.aliases].map(plainName);
  if (word === "" || names.includes(word)) return ingredient.measures.find(m => m.name === "piece");
  return undefined;
}

function counted(text: string): { count: number; rest: string } {
  const said = saidNumber(text);
  if (said) return { count: said.value, rest: said.rest.trim() };
  const number = readNumber(text, "text");
  return number.ok
    ? { count: number.value.value, rest: number.value.rest.trim() }
    : { count: 1, rest: text.trim() };
}

const rounded = (x: number) => printNumber(x, Number.isInteger(x) ? 0 : 1);

function times(count: number, measure: Measure, ingredient: Ingredient): Weighed {
  const massG = g(count * measure.massG);
  const [loG, hiG] = [g(count * measure.loG), g(count * measure.hiG)];
  const density = densityOf(ingredient);
  const each = measure.name === "piece" ? ingredient.name : `${measure.name} of ${ingredient.name}`;
  return {
    massG,
    loG,
    hiG,
    volumeMl: density === undefined ? null : ml(massG / density),
    ingredient,
    understood: `${rounded(count)} × ${each} = ${printMass(massG)} (${printMass(loG)} to ${printMass(hiG)})`,
    source: measure.source.text,
  };
}

/** "3 cups buttermilk", "1 leek", "a sprig of thyme": the words tell what it is of. */
function readNamed(text: string, larder: readonly Ingredient[], field: string): Result<Weighed> {
  // The longest tail of words that is a name in the larder; what stands before it is the amount.
  const words = text.split(/\s+/);
  for (let from = 0; from < words.length; from++) {
    const tail = words
      .slice(from)
      .join(" ")
      .replace(/^of\s+/i, "");
    if (!/[a-z]{3}/i.test(tail)) break;
    const exact = ingredientCalled(larder, tail);
    if (!exact) continue;
    const head = words
      .slice(0, from)
      .join(" ")
      .replace(/\s+of$/i, "")
      .trim();
    if (!head) return ok(times(1, pieceOf(exact) ?? asMeasure("piece", 0, 0, 0), exact));
    const plain = readPlain(head, exact, field);
    if (plain.ok) return plain.value.massG === null ? withoutDensity(plain.value, exact) : plain;
    const by = readCount(head, exact) ?? readCount(`${head} ${tail}`, exact);
    if (by) return by;
    const piece = pieceOf(exact);
    const number = readNumber(head, field);
    if (piece && number.ok && !number.value.rest.trim()) return ok(times(number.value.value, piece, exact));
    return refuse({
      code: "WRONG_UNIT",
      field,
      value: text,
      message: `Nobody has weighed “${head}” of ${exact.name} yet. It is counted by ${exact.measures.map(m => m.name).join(", ") || "grams only"}.`,
    });
  }
  const plain = readPlain(text, null, field);
  if (plain.ok) return plain;
  const { rest } = counted(text);
  const { near } = findIngredient(larder, rest.split(/\s+/).slice(-2).join(" "));
  if (near.length)
    return refuse({
      code: "UNKNOWN_ID",
      field,
      value: text,
      message: `The larder has nothing called that. Did you mean ${near.map(i => i.name).join(", ")}?`,
    });
  return plain;
}

const pieceOf = (ingredient: Ingredient): Measure | undefined =>
  ingredient.measures.find(m => m.name === "piece");

const withoutDensity = (read: Weighed, ingredient: Ingredient): Result<Weighed> =>
  ok({ ...read, ingredient }, [
    {
      code: "NO_DENSITY",
      message: `Nobody has entered how heavy a litre of ${ingredient.name} is: weigh it once.`,
    },
  ]);

/** "60 shrimp 31–35 per lb": pieces by their grade. */
function readGrade(
  text: string,
  grade: RegExpExecArray,
  larder: readonly Ingredient[],
  known: Ingredient | null,
  field: string,
): Result<Weighed> {
  const [few, many] = [Number(grade[1]), Number(grade[2])].sort((a, b) => a - b) as [number, number];
  const per = /kg/i.test(grade[3] ?? "") ? 1000 : G_PER_LB;
  if (!(few > 0))
    return refuse({
      code: "NOT_UNDERSTOOD",
      field,
      value: text,
      message: `“${grade[0]}” is not a grade. Type it as 31–35 per lb.`,
    });
  const before = text.slice(0, grade.index).trim();
  const number = before ? readNumber(before, field) : null;
  const count = number?.ok ? number.value.value : 1;
  const name =
    (number?.ok ? number.value.rest : before).trim() || text.slice(grade.index + grade[0].length).trim();
  const ingredient = known ?? (name ? ingredientCalled(larder, name) : null);
  const each = asMeasure("piece", per / ((few + many) / 2), per / many, per / few);
  const massG = g(count * each.massG);
  return ok({
    massG,
    loG: g(count * each.loG),
    hiG: g(count * each.hiG),
    volumeMl: null,
    ingredient,
    understood: `${rounded(count)} of ${printNumber(each.loG, 1)} to ${printNumber(each.hiG, 1)} g each = ${printMass(massG)}`,
    source: "count per pound, exact",
  });
}
