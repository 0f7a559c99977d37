import { kitchenUnit } from "../../ground/quantity";
import { type SaidNumber, numberAt } from "./numbers";
import type { Token } from "./tokens";

/** What is counted or measured by. */
export interface Unit {
  /** As the larder's measures call it: "clove", "tablespoon". */
  readonly name: string;
  readonly kind: "mass" | "volume" | "count" | "share" | "part";
  /** Grams or millilitres. */
  readonly factor: number;
  /** Nobody measures it: a spoonful, a knob. */
  readonly vague: boolean;
}

export interface SaidAmount {
  readonly from: number;
  readonly to: number;
  readonly number: SaidNumber;
  /** `null`: so many pieces. */
  readonly unit: Unit | null;
  readonly size: "large" | "small" | null;
  /** "220 g each". */
  readonly each: boolean;
}

const count = (name: string, vague = false): Unit => ({ name, kind: "count", factor: 1, vague });

/** What cooks count by, and the measure of the larder it is. Common practice, no source. */
const COUNTED: Readonly<Record<string, Unit>> = {
  clove: count("clove"), head: count("head"), bulb: count("head"), sprig: count("sprig"), branch: count("sprig"),
  stalk: count("stalk"), rib: count("stalk"), bunch: count("bunch"), handful: count("handful", true),
  pinch: count("pinch", true), knob: count("knob", true), stick: count("stick"), pat: count("pat", true),
  leaf: count("leaf"), piece: count("piece"), pc: count("piece"), slice: count("slice"), rasher: count("rasher"),
  sheet: count("leaf"), splash: count("splash", true), squeeze: count("squeeze", true), dash: count("dash", true),
  drop: count("drop", true), swirl: count("swirl", true), glug: count("glug", true), ladle: count("ladle", true),
  ladleful: count("ladle", true), glass: count("glass", true), bottle: count("bottle"), tin: count("tin"),
  can: count("tin"), jar: count("jar"), packet: count("packet"), thumb: count("thumb", true),
  turn: count("turn", true), grind: count("turn", true), scrape: count("grating", true), scraping: count("grating", true),
  grating: count("grating", true), fillet: count("fillet"), square: count("square"), cube: count("cube"),
  lump: count("lump"), spear: count("spear"), ear: count("ear"), pod: count("pod"), berry: count("berry"),
  thread: count("thread"), strip: count("strip"), wedge: count("slice"), stem: count("sprig"),
}; // prettier-ignore

/** A spoon nobody names is the one for the table. */
const SPOON: Unit = { name: "tablespoon", kind: "volume", factor: 14.78676478125, vague: true };
const SPOONS: Readonly<Record<string, Unit>> = { spoon: SPOON, spoonful: SPOON, spoonsful: SPOON };

const PART: Unit = { name: "part", kind: "part", factor: 1, vague: false };
export const SHARE: Unit = { name: "%", kind: "share", factor: 1, vague: false };

const singular = (word: string): string =>
  word === "leaves"
    ? "leaf"
    : word === "bunches"
      ? "bunch"
      : word === "pinches"
        ? "pinch"
        : word === "dashes"
          ? "dash"
          : word === "berries"
            ? "berry"
            : word === "branches"
              ? "branch"
              : word === "glasses"
                ? "glass"
                : word.endsWith("s") && word.length > 3
                  ? word.slice(0, -1)
                  : word;

const METRIC_NAME: Readonly<Record<string, string>> = {
  tbsp: "tablespoon",
  tsp: "teaspoon",
  "US cup": "cup",
};

export function unitCalled(word: string): Unit | null {
  const kitchen = kitchenUnit(word) ?? kitchenUnit(word.replace(/s$/, ""));
  if (kitchen)
    return {
      name: METRIC_NAME[kitchen.name] ?? kitchen.name,
      kind: kitchen.dimension,
      factor: kitchen.factor,
      vague: false,
    };
  if (word === "part" || word === "parts") return PART;
  if (word === "cupful") return unitCalled("cup");
  return SPOONS[word] ?? COUNTED[singular(word)] ?? null;
}

const BEFORE_UNIT: ReadonlySet<string> = new Set(["level", "heaped", "good", "generous", "scant", "small", "large", "big", "rounded", "full", "whole", "packed", "fat", "thick", "little", "medium", "us"]); // prettier-ignore
/** Measures that may stand without a number. */
const ALONE: ReadonlySet<string> = new Set([
  "pinch",
  "handful",
  "knob",
  "splash",
  "dash",
  "glug",
  "swirl",
  "spoonful",
  "drop",
  "drops",
]);
const ALONE_WITH_OF: ReadonlySet<string> = new Set([
  "squeeze",
  "turn",
  "spoon",
  "ladle",
  "scrape",
  "bunch",
  "sprig",
  "bottle",
  "glass",
  "head",
  "juice",
  "tablespoon",
  "teaspoon",
  "cup",
  "litre",
]);

const plainAt = (tokens: readonly Token[], i: number): string => tokens[i]?.plain ?? "";

/** The unit that begins at a token, two words of it at most. */
function unitAt(tokens: readonly Token[], i: number): { readonly unit: Unit; readonly to: number } | null {
  const word = plainAt(tokens, i);
  if (tokens[i]?.kind === "mark")
    return word === "%"
      ? { unit: SHARE, to: i + 1 }
      : word === "#"
        ? { unit: unitCalled("lb") ?? PART, to: i + 1 }
        : null;
  if (tokens[i]?.kind !== "word") return null;
  const next = plainAt(tokens, i + 1);
  if (/^per ?cent$/.test(word) || (word === "per" && next === "cent"))
    return { unit: SHARE, to: i + (word === "per" ? 2 : 1) };
  if (/^(fl|fluid)$/.test(word) && /^(oz|ounce|ounces)$/.test(next)) {
    const unit = unitCalled("fl oz");
    return unit && { unit, to: i + 2 };
  }
  // "l" alone is a litre, "c" only after its number.
  const unit = unitCalled(word);
  return unit && { unit, to: i + 1 };
}

/** The amount that begins at a token; `null` where there is none. A time or a temperature is none. */
export function amountAt(tokens: readonly Token[], from: number): SaidAmount | null {
  const number = numberAt(tokens, from);
  if (!number) {
    const word = plainAt(tokens, from);
    const next = plainAt(tokens, from + 1);
    const alone = ALONE.has(word)
      ? // "swirl it in" is an order.
        tokens[from + 1]?.kind === "word" && !/^(?:it|them|in)$/.test(next)
      : ALONE_WITH_OF.has(word) && next === "of";
    const unit = alone ? unitCalled(word) : null;
    return unit
      ? {
          from,
          to: from + 1,
          number: { from, to: from, value: 1, lo: 1, hi: 1, vague: true, ambiguous: false, inFigures: false },
          unit,
          size: null,
          each: false,
        }
      : null;
  }
  let i = number.to;
  const first = plainAt(tokens, i);
  if (
    /^(°|degree|degrees|minute|minutes|hour|hours|h|min|day|days|days?|mm|cm|inch|inches|"|second|seconds|x|times|persons|people|portions?|covers|brix|bx|w|kw)$/.test(
      first,
    )
  )
    return null;
  if (
    /^[cf]$/.test(first) &&
    tokens[i]?.text === tokens[i]?.text.toUpperCase() &&
    number.inFigures &&
    number.value > 12
  )
    return null;
  let size: SaidAmount["size"] = null;
  while (BEFORE_UNIT.has(plainAt(tokens, i)) && i - number.to < 2) {
    if (/^(large|big|fat)$/.test(plainAt(tokens, i))) size = "large";
    if (plainAt(tokens, i) === "small") size = "small";
    i += 1;
  }
  const found = unitAt(tokens, i);
  if (found) {
    // "a whole bottle", "2 garlic cloves" is counted by its last word and found with its name.
    let { to } = found;
    if (
      /^(?:and)$/.test(plainAt(tokens, to)) &&
      plainAt(tokens, to + 1) === "a" &&
      plainAt(tokens, to + 2) === "half"
    )
      return { from, to: to + 3, number: plus(number, 0.5), unit: found.unit, size, each: false };
    const each = plainAt(tokens, to) === "each";
    if (each) to += 1;
    return { from, to, number, unit: found.unit, size: found.unit.kind === "count" ? size : null, each };
  }
  // Sizes belong to what is counted: "2 large onions".
  return { from, to: size ? i : number.to, number, unit: null, size, each: false };
}

const plus = (number: SaidNumber, more: number): SaidNumber => ({
  ...number,
  value: number.value + more,
  lo: number.lo + more,
  hi: number.hi + more,
});
