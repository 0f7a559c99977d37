import { honestDecimals, printDuration, printNumber, s } from "~/core/ground/quantity";

/** Number and date formats of the interface. Sentences of refusals live in the core. */
const LOCALE = "en-GB";

/** "17:03" in the kitchen's zone. */
export const clockTime = (at: number | Date, timeZone: string): string =>
  new Intl.DateTimeFormat(LOCALE, { hour: "2-digit", minute: "2-digit", timeZone }).format(at);

/** "23 Nov 2026" in the kitchen's zone. */
export const dayOf = (at: number | Date, timeZone: string): string =>
  new Intl.DateTimeFormat(LOCALE, { day: "numeric", month: "short", year: "numeric", timeZone }).format(at);

/** Time on a clock face; with the weekday when it is another day than `now`. */
export function momentOf(at: number, now: number, timeZone: string): string {
  const time = clockTime(at, timeZone);
  if (dayOf(at, timeZone) === dayOf(now, timeZone)) return time;
  return `${new Intl.DateTimeFormat(LOCALE, { weekday: "short", timeZone }).format(at)} ${time}`;
}

/** Both ends of a moment: "20:34–21:08"; "not before 20:34" where nobody knows the later one. */
export const betweenTimes = (
  ends: { earliest: number; latest: number | null },
  now: number,
  timeZone: string,
): string =>
  ends.latest === null
    ? `not before ${momentOf(ends.earliest, now, timeZone)}`
    : `${momentOf(ends.earliest, now, timeZone)}–${momentOf(ends.latest, now, timeZone)}`;

/** "1 day", "3 days". */
export const daysText = (days: number): string => `${printNumber(days)} ${days === 1 ? "day" : "days"}`;

export interface Band {
  readonly value: number;
  readonly lo: number;
  readonly hi: number | null;
}

/** Two sides may differ by this share before both ends are written instead of ±. */
const LOPSIDED = 1 / 3;

/**
 * The uncertainty beside a number: "± 0.6", "8.7–10.4", "at least 5"; nothing for an exact one.
 * `divide` turns the stored unit into the shown one.
 */
export function bandText(band: Band | null | undefined, divide = 1, decimals = 1): string {
  if (!band) return "";
  const lo = band.lo / divide;
  if (band.hi === null) return `at least ${printNumber(lo, decimals)}`;
  const hi = band.hi / divide;
  const value = band.value / divide;
  const digits = Math.min(decimals, honestDecimals(lo, hi, decimals));
  const up = hi - value;
  const down = value - lo;
  const wide = Math.max(up, down);
  if (wide < 0.5 * 10 ** -digits) return "";
  if (Math.abs(up - down) <= LOPSIDED * wide) return `± ${printNumber(roughly(wide), digits)}`;
  return `${printNumber(roughly(lo), digits)}–${printNumber(roughly(hi), digits)}`;
}

/** From here on an amount reads best in kilograms, g. */
const LARGE_G = 2000;

/** The uncertainty beside an amount in grams, in the unit that reads best; nothing for an exact one. */
export function gramsBand(band: Band | null | undefined): string {
  const [unit, grams] = (band?.value ?? 0) >= LARGE_G ? (["kg", 1000] as const) : (["g", 1] as const);
  const text = bandText(band, grams, unit === "kg" ? 1 : 0);
  return text && `${text} ${unit}`;
}

/** A limit of three figures pretends: two are kept. */
const roughly = (limit: number): number => {
  if (Math.abs(limit) < 100) return limit;
  const step = 10 ** (Math.floor(Math.log10(limit)) - 1);
  return Math.round(limit / step) * step;
};

/** The uncertainty of a time: "± 20 min", "7 h 20–9 h 10", "at least 40 min". */
export function durationBandText(band: Band | null | undefined): string {
  if (!band) return "";
  if (band.hi === null) return `at least ${printDuration(s(band.lo))}`;
  const up = band.hi - band.value;
  const down = band.value - band.lo;
  const wide = Math.max(up, down);
  if (wide < 30) return "";
  if (Math.abs(up - down) <= LOPSIDED * wide) return `± ${printDuration(s(wide))}`;
  // “102 s–3 min” is read twice: from two minutes on both ends are minutes.
  const lo = band.hi >= 120 && band.lo >= 60 ? 60 * Math.round(band.lo / 60) : band.lo;
  return `${printDuration(s(lo))}–${printDuration(s(band.hi))}`;
}

/** A relative width put on a value. */
export const spread = (value: number, width: { lo: number; hi: number | null } | undefined): Band | null =>
  width ? { value, lo: value * width.lo, hi: width.hi === null ? null : value * width.hi } : null;

/** Both ends of a time since the start: "6:12–6:47"; nothing for an exact one. */
export const clockBandText = (band: Band | null | undefined): string =>
  !band || (band.hi ?? Infinity) - band.lo < 60
    ? ""
    : `${elapsedClock(band.lo)}–${band.hi === null ? "open" : elapsedClock(band.hi)}`;

/** Since the start: "0:50", "10:40". */
export function elapsedClock(seconds: number): string {
  const min = Math.round(seconds / 60);
  return `${Math.floor(min / 60)}:${String(min % 60).padStart(2, "0")}`;
}

/** Per cent off plan: "+3.3 %", "−1.2 %". */
export const deviationText = (share: number): string =>
  `${share >= 0 ? "+" : ""}${printNumber(share * 100, 1)} %`;

/** Minutes left as a cook says it. */
export const minutesLeft = (ms: number): string =>
  ms <= 0 ? "now" : printDuration(s(Math.max(60, ms / 1000)));

export const BASIS_WORDS = {
  exact: "exact",
  measured: "measured",
  published: "published",
  memory: "published (from memory, to be verified)",
  trade: "common practice, no source",
  estimate: "our estimate",
} as const;
