import { cardinal } from "../../ground/quantity";
import type { Token } from "./tokens";

/** A number of a text, or a range of two, and the tokens it takes up: from `from` up to before `to`. */
export interface SaidNumber {
  readonly from: number;
  readonly to: number;
  /** The middle of a range. */
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
  /** "a few", "some": nobody counted. */
  readonly vague: boolean;
  readonly ambiguous: boolean;
  /** In figures, and not "a" or "two". */
  readonly inFigures: boolean;
}

const UNITS = ["one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve",
  "thirteen", "fourteen", "fifteen", "sixteen", "seventeen", "eighteen", "nineteen"]; // prettier-ignore
const TENS = ["twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"];
const CARDINALS: ReadonlySet<string> = new Set([...UNITS, ...TENS]);
const FRENCH: Readonly<Record<string, number>> = {
  deux: 2,
  trois: 3,
  quatre: 4,
  cinq: 5,
  six: 6,
  huit: 8,
  dix: 10,
};

export const isNumberWord = (plain: string): boolean =>
  CARDINALS.has(plain) || plain === "hundred" || plain === "thousand" || plain in FRENCH;

const ABOUT: ReadonlySet<string> = new Set([
  "about", "around", "roughly", "approximately", "circa", "maybe", "nearly", "almost", "like", "some", "say", "just", "good", "scant", "up", "another", "exactly", "only", "generous", "barely", "perhaps", "~", "≈", "±",
]); // prettier-ignore

const plainAt = (tokens: readonly Token[], i: number): string => tokens[i]?.plain ?? "";

interface One {
  readonly to: number;
  readonly value: number;
  readonly vague?: boolean;
  readonly ambiguous?: boolean;
  readonly inFigures?: boolean;
}

/** A single number, without a range. */
function oneNumber(tokens: readonly Token[], i: number): One | null {
  const token = tokens[i];
  if (!token) return null;
  if (token.kind === "number") {
    let value = token.value;
    let to = i + 1;
    // "1 200 g", written by thousands.
    while (
      Number.isInteger(value) &&
      tokens[to]?.kind === "number" &&
      /^\d{3}$/.test(tokens[to]?.text ?? "") &&
      /^\d{1,3}$/.test(tokens[to - 1]?.text ?? "")
    ) {
      value = value * 1000 + (tokens[to]?.value ?? 0);
      to += 1;
    }
    const part = tokens[to];
    // "2 1/2", "2½".
    if (
      Number.isInteger(value) &&
      part?.kind === "number" &&
      part.value < 1 &&
      /[/½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/.test(part.text)
    ) {
      value += part.value;
      to += 1;
    }
    return { to, value, ambiguous: token.ambiguous, inFigures: true };
  }
  if (token.kind !== "word") return null;
  const two = plainAt(tokens, i + 1);
  const three = plainAt(tokens, i + 2);
  if (token.plain === "half" && two === "a" && three === "dozen") return { to: i + 3, value: 6 };
  if (token.plain === "half" && (two === "a" || two === "an")) return { to: i + 2, value: 0.5 };
  if ((token.plain === "a" || token.plain === "one") && two === "dozen") return { to: i + 2, value: 12 };
  if (token.plain === "dozen") return { to: i + 1, value: 12 };
  if ((token.plain === "a" || token.plain === "one") && two === "quarter" && /^(of|an?)$/.test(three))
    return { to: three === "of" ? i + 4 : i + 3, value: 0.25 };
  if (
    (token.plain === "a" || token.plain === "one") &&
    two === "quarter" &&
    /^(cup|pint|litre|stick|hour|kg)$/.test(three)
  )
    return { to: i + 2, value: 0.25 };
  if (token.plain === "a" && two === "half") return { to: three === "of" ? i + 3 : i + 2, value: 0.5 };
  if (token.plain === "quarter" && (two === "of" || two === "a" || two === "cup" || two === "stick"))
    return { to: two === "of" ? i + 3 : i + 1, value: 0.25 };
  if ((token.plain === "three" || token.plain === "3") && two === "quarters" && three === "of")
    return { to: i + 4, value: 0.75 };
  if ((token.plain === "a" || token.plain === "one") && two === "third" && three === "of")
    return { to: i + 4, value: 1 / 3 };
  if ((token.plain === "a" || token.plain === "the") && two === "couple")
    return { to: three === "of" ? i + 3 : i + 2, value: 2 };
  if (token.plain === "couple") return { to: two === "of" ? i + 2 : i + 1, value: 2 };
  if (token.plain === "a" && two === "few") return { to: i + 2, value: 3, vague: true };
  if (token.plain === "few" || token.plain === "several") return { to: i + 1, value: 3, vague: true };
  if (token.plain in FRENCH) return { to: i + 1, value: FRENCH[token.plain] ?? 1 };
  return numberInWords(tokens, i);
}

function numberInWords(tokens: readonly Token[], i: number): One | null {
  const words: string[] = [];
  let to = i;
  const first = plainAt(tokens, i);
  const big = (word: string) => word === "hundred" || word === "thousand";
  if (first === "a" && big(plainAt(tokens, i + 1))) to = i + 1;
  else if (first === "a" || first === "an") return { to: i + 1, value: 1 };
  while (to < tokens.length) {
    const word = plainAt(tokens, to);
    if (CARDINALS.has(word) || big(word)) {
      // "six seven" are two numbers, "twenty five" is one.
      const before = words.at(-1);
      if (before && UNITS.includes(before) && CARDINALS.has(word)) break;
      if (before && TENS.includes(before) && CARDINALS.has(word) && UNITS.indexOf(word) > 8) break;
      words.push(word);
      to += 1;
    } else if (word === "and" && words.some(big) && CARDINALS.has(plainAt(tokens, to + 1))) to += 1;
    else break;
  }
  if (!words.length) {
    if (first === "point" && CARDINALS.has(plainAt(tokens, i + 1))) return pointed(tokens, i, 0);
    return null;
  }
  const whole = cardinal(words.join(" "));
  if (plainAt(tokens, to) === "point") return pointed(tokens, to, whole);
  if (plainAt(tokens, to) === "and") {
    const [b, c] = [plainAt(tokens, to + 1), plainAt(tokens, to + 2)];
    if (b === "a" && c === "half") return { to: to + 3, value: whole + 0.5 };
    if (b === "a" && c === "quarter") return { to: to + 3, value: whole + 0.25 };
    if (b === "three" && c === "quarters") return { to: to + 3, value: whole + 0.75 };
  }
  return { to, value: whole };
}

/** "two point five", "point eight". */
function pointed(tokens: readonly Token[], at: number, whole: number): One | null {
  let to = at + 1;
  let figures = "";
  for (; to < tokens.length; to++) {
    const digit = UNITS.indexOf(plainAt(tokens, to)) + 1;
    if (plainAt(tokens, to) === "zero" || plainAt(tokens, to) === "nought" || plainAt(tokens, to) === "oh")
      figures += "0";
    else if (digit > 0 && digit < 10) figures += String(digit);
    else break;
  }
  return figures ? { to, value: whole + Number(`0.${figures}`) } : null;
}

const RANGE: ReadonlySet<string> = new Set(["-", "to", "or"]);

/** The number that begins at a token, "about" and the like before it included; `null` where there is none. */
export function numberAt(tokens: readonly Token[], from: number): SaidNumber | null {
  let i = from;
  while (ABOUT.has(plainAt(tokens, i)) && i - from < 3) {
    i += 1;
    if (plainAt(tokens, i) === "to" && plainAt(tokens, i - 1) === "up") i += 1;
  }
  if (plainAt(tokens, i) === "close" && plainAt(tokens, i + 1) === "to") i += 2;
  if (
    plainAt(tokens, i) === "a" &&
    /^(good|scant|generous|bare|full|whole|scraped|heaped|level)$/.test(plainAt(tokens, i + 1))
  )
    return i + 2 < tokens.length ? { ...NUMBER, from, to: i + 2, value: 1, lo: 1, hi: 1 } : null;
  const one = oneNumber(tokens, i);
  if (!one) return null;
  const base = {
    ...NUMBER,
    from,
    vague: one.vague ?? false,
    ambiguous: one.ambiguous ?? false,
    inFigures: one.inFigures ?? false,
  };
  // "20–30", "3 to 4", "two or three"; "1 to 2 l" of a share "to half" is none.
  const j = one.to;
  if (RANGE.has(plainAt(tokens, j))) {
    const other = oneNumber(tokens, j + 1);
    const isRange =
      other &&
      !/^(a|an)$/.test(plainAt(tokens, j + 1)) &&
      (plainAt(tokens, j) !== "or" || other.value - one.value <= Math.max(3, one.value));
    if (isRange && other)
      return { ...base, to: other.to, value: (one.value + other.value) / 2, lo: one.value, hi: other.value };
  }
  // "three four minutes": spoken, one above the other.
  const next = oneNumber(tokens, j);
  if (
    next &&
    !one.inFigures &&
    !next.inFigures &&
    next.value === one.value + 1 &&
    !/^(a|an)$/.test(plainAt(tokens, j)) &&
    /^(minute|hour|day)/.test(plainAt(tokens, next.to))
  )
    return { ...base, to: next.to, value: (one.value + next.value) / 2, lo: one.value, hi: next.value };
  return { ...base, to: j, value: one.value, lo: one.value, hi: one.value };
}

const NUMBER = {
  from: 0,
  to: 0,
  value: NaN,
  lo: NaN,
  hi: NaN,
  vague: false,
  ambiguous: false,
  inFigures: false,
};
