import { parseTemperature } from "../../ground/quantity";
import { numberAt } from "./numbers";
import type { Token } from "./tokens";

/** A time of a text, min, and the tokens it takes up. */
export interface SaidTime {
  readonly from: number;
  readonly to: number;
  readonly min: number;
  readonly lo: number;
  readonly hi: number;
  readonly backwards: boolean;
  readonly overnight: boolean;
}

/** A night between two services, min. Common practice, no source. */
export const OVERNIGHT_MIN = 600;

const HOUR = /^(h|hour|hours)$/;
const MINUTE = /^(m|min|minute|minutes)$/;
const SECOND = /^(seconds|secs)$/;
const DAY = /^days?$/;
const factorOf = (word: string): number | null =>
  HOUR.test(word) ? 60 : MINUTE.test(word) ? 1 : DAY.test(word) ? 1440 : SECOND.test(word) ? 1 / 60 : null;

const plainAt = (tokens: readonly Token[], i: number): string => tokens[i]?.plain ?? "";

/** The time that begins at a token: "1 h 30", "an hour and a half", "20–30 min", "overnight". */
export function timeAt(tokens: readonly Token[], from: number): SaidTime | null {
  const first = plainAt(tokens, from);
  if (first === "overnight")
    return {
      from,
      to: from + 1,
      min: OVERNIGHT_MIN,
      lo: OVERNIGHT_MIN,
      hi: OVERNIGHT_MIN,
      backwards: false,
      overnight: true,
    };
  const number = numberAt(tokens, from) ?? bareUnit(tokens, from);
  if (!number) return null;
  let i = number.to;
  // "20 to 30 minutes", "8-10-minute".
  if (plainAt(tokens, i) === "-" && factorOf(plainAt(tokens, i + 1)) !== null) i += 1;
  if (plainAt(tokens, i) === "more" || plainAt(tokens, i) === "good" || plainAt(tokens, i) === "full") i += 1;
  const factor = factorOf(plainAt(tokens, i));
  // "for another fifteen until": minutes, as before.
  if (
    factor === null &&
    plainAt(tokens, from - 1) === "for" &&
    /^(?:until|till|or|,|)$/.test(plainAt(tokens, i)) &&
    number.value >= 2 &&
    number.value <= 60
  )
    return range(from, i, number.lo, number.hi);
  if (factor === null) return null;
  i += 1;
  let more = 0;
  const [a, b, c] = [plainAt(tokens, i), plainAt(tokens, i + 1), plainAt(tokens, i + 2)];
  if (factor === 60) {
    if (a === "and" && b === "a" && (c === "half" || c === "quarter")) {
      more = c === "half" ? 30 : 15;
      i += 3;
    } else if (a === "and" && b === "three" && c === "quarters") {
      more = 45;
      i += 3;
    } else {
      const at = a === "and" ? i + 1 : i;
      const rest = numberAt(tokens, at);
      const unit = rest && factorOf(plainAt(tokens, rest.to));
      if (rest && rest.value < 60 && unit === 1) {
        more = rest.value;
        i = rest.to + 1;
      } else if (
        rest?.inFigures &&
        a !== "and" &&
        rest.value >= 5 &&
        rest.value < 60 &&
        tokens[at]?.kind === "number" &&
        !/^(g|kg|ml|l|°|%)$/.test(plainAt(tokens, rest.to))
      ) {
        // "1 h 30".
        more = rest.value;
        i = rest.to;
      }
    }
  } else if (factor === 1 && a === "and" && b === "a" && c === "half") {
    more = 0.5;
    i += 3;
  }
  // "four hours maybe four and a half".
  if (plainAt(tokens, i) === "maybe" || plainAt(tokens, i) === "or") {
    const longer = numberAt(tokens, i);
    if (longer && longer.value > number.value && longer.value <= number.value * 2) {
      const unit = factorOf(plainAt(tokens, longer.to));
      const ends = longer.to + (unit === null ? 0 : 1);
      if (unit === factor || unit === null)
        if (
          unit !== null ||
          !/^[a-z%°]/.test(plainAt(tokens, longer.to)) ||
          plainAt(tokens, longer.to) === "you" ||
          plainAt(tokens, longer.to) === "and"
        )
          return range(from, ends, number.lo * factor, longer.hi * factor);
    }
  }
  const lo = number.lo * factor + more;
  const hi = number.hi * factor + more;
  return range(from, i, lo, hi);
}

const range = (from: number, to: number, lo: number, hi: number): SaidTime => ({
  from,
  to,
  min: (lo + hi) / 2,
  lo,
  hi,
  backwards: lo > hi,
  overnight: false,
});

/** "half an hour", "quarter of an hour", "half hour". */
function bareUnit(tokens: readonly Token[], from: number) {
  const [a, b] = [plainAt(tokens, from), plainAt(tokens, from + 1)];
  const half = { from, to: from + 1, value: 0.5, lo: 0.5, hi: 0.5 };
  if (a === "half" && HOUR.test(b)) return { ...half, inFigures: false };
  return null;
}

/** A temperature of a text, °C, and the tokens it takes up. */
export interface SaidTemperature {
  readonly from: number;
  readonly to: number;
  readonly c: number;
  /** That a pair does not fit each other. */
  readonly doubt: string | null;
  /** No unit was said. */
  readonly bare: string | null;
}

/** Two temperatures further apart are where it comes from and where it goes. */
const WIDEST_RANGE = 30;

/** The temperature that begins at a token: "150 °C", "400°F", "between 60 and 64 C", "150°". */
export function temperatureAt(tokens: readonly Token[], from: number): SaidTemperature | null {
  let i = from;
  if (plainAt(tokens, i) === "between") i += 1;
  const number = numberAt(tokens, i);
  if (!number) return null;
  let { value, to } = number;
  // "from 80 to 4 °C": where it goes.
  if (Math.abs(number.hi - number.lo) > WIDEST_RANGE) value = number.hi;
  let hi: number | null = null;
  if (plainAt(tokens, to) === "°" || plainAt(tokens, to) === "degrees") {
    const second = /^(-|to|and)$/.test(plainAt(tokens, to + 1)) ? numberAt(tokens, to + 2) : null;
    if (second && unitOf(tokens, second.to) && Math.abs(second.value - value) <= WIDEST_RANGE) {
      hi = second.value;
      to = second.to;
    }
  } else if (plainAt(tokens, to) === "and" || plainAt(tokens, to) === "-" || plainAt(tokens, to) === "to") {
    const second = numberAt(tokens, to + 1);
    if (second && unitOf(tokens, second.to) && Math.abs(second.value - value) <= WIDEST_RANGE) {
      hi = second.value;
      to = second.to;
    }
  }
  const unit = unitOf(tokens, to);
  if (!unit) return null;
  if (hi !== null) value = (value + hi) / 2;
  let end = unit.to;
  // "200 °C / 390 °F" is one.
  let doubt: string | null = null;
  let said = `${value} °${unit.unit}`;
  if (plainAt(tokens, end) === "/" || plainAt(tokens, end) === "(") {
    const second = numberAt(tokens, end + 1);
    const other = second && unitOf(tokens, second.to);
    if (second && other && other.unit !== unit.unit) {
      said = `${said} / ${second.value} °${other.unit}`;
      end = other.to + (plainAt(tokens, end) === "(" && plainAt(tokens, other.to) === ")" ? 1 : 0);
    }
  }
  const read = parseTemperature(said, "text");
  if (!read.ok) return null;
  doubt = read.warnings[0]?.message ?? null;
  return { from, to: end, c: Math.round(read.value.exactC), doubt, bare: null };
}

function unitOf(tokens: readonly Token[], i: number): { unit: "C" | "F"; to: number } | null {
  const a = plainAt(tokens, i);
  if (a === "°" || a === "degree" || a === "degrees" || a === "º") {
    const b = plainAt(tokens, i + 1);
    if (b === "c" || b === "celsius" || b === "centigrade") return { unit: "C", to: i + 2 };
    if (b === "f" || b === "fahrenheit") return { unit: "F", to: i + 2 };
    return { unit: "C", to: i + 1 };
  }
  const text = tokens[i]?.text ?? "";
  if (text === "C" || a === "celsius") return { unit: "C", to: i + 1 };
  if (text === "F" || a === "fahrenheit") return { unit: "F", to: i + 1 };
  return null;
}
