import type { Grams, Millilitres, Millimetres, Seconds } from "./units";
import { ml } from "./units";

/** Thin no-break space between thousands; a full one before a unit: figures never wrap away from their unit. */
const THIN = "\u202f";
const SPACE = "\u00a0";

const group = (digits: string) => digits.replace(/\B(?=(\d{3})+(?!\d))/g, THIN);

/** A number with a fixed count of decimals, thousands set apart, a true minus. */
export function printNumber(value: number, decimals = 0): string {
  const fixed = Math.abs(value).toFixed(decimals);
  const [whole = "0", fraction] = fixed.split(".");
  const sign = value < 0 && Number(fixed) !== 0 ? "−" : "";
  return sign + group(whole) + (fraction ? `.${fraction}` : "");
}

/** Grams as a scale shows them: whole from 10 g, one decimal below, two below 1 g; nothing is plainly 0 g. */
export function printMass(mass: Grams): string {
  const size = Math.abs(mass);
  const decimals = size >= 9.95 || size === 0 ? 0 : size >= 0.995 ? 1 : 2;
  return `${printNumber(mass, decimals)}${SPACE}g`;
}

/** Kilograms with two decimals, for what is too heavy to think of in grams. */
export const printKilograms = (mass: Grams, decimals = 2): string =>
  `${printNumber(mass / 1000, decimals)}${SPACE}kg`;

/** Millilitres below a litre, litres above. */
export function printVolume(volume: Millilitres): string {
  if (Math.abs(volume) < 999.5) return `${printNumber(volume, Math.abs(volume) < 9.95 ? 1 : 0)}${SPACE}ml`;
  return `${printNumber(volume / 1000, volume < 99_950 ? 2 : 1)}${SPACE}l`;
}

export const printLength = (length: Millimetres): string => `${printNumber(length)}${SPACE}mm`;

/** Hours and minutes as a cook says them: "50 min", "8 h 05". Seconds below two minutes. */
export function printDuration(time: Seconds): string {
  if (time < 119.5) return `${printNumber(time)}${SPACE}s`;
  const total = Math.round(time / 60);
  if (total < 60) return `${total}${SPACE}min`;
  const rest = total % 60;
  return `${Math.floor(total / 60)}${SPACE}h` + (rest ? `${SPACE}${String(rest).padStart(2, "0")}` : "");
}

/** Volume in the US measure a cook would reach for, to the nearest eighth: "3 cups", "1½ qt". */
export function printUsMeasure(volume: Millilitres): string {
  const units: readonly [number, string, string][] = [
    [946.352946, "qt", "qt"],
    [236.5882365, "cup", "cups"],
    [14.78676478125, "tbsp", "tbsp"],
    [4.92892159375, "tsp", "tsp"],
  ];
  const [size, one, many] =
    units.find(([u]) => volume >= u * 0.995) ?? (units[3] as [number, string, string]);
  const eighths = Math.round((volume / size) * 8);
  const marks = ["", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"];
  const whole = Math.floor(eighths / 8);
  const near = Math.abs((eighths / 8) * size - volume) > 0.005 * volume ? "about " : "";
  if (eighths === 0) return `under ⅛ ${one}`;
  const text = `${whole || ""}${marks[eighths % 8] ?? ""}`;
  return `${near}${text} ${eighths > 8 ? many : one}`;
}

/** How many decimals of `value` an interval supports: one unit of the last digit is at most a quarter of its width. */
export function honestDecimals(lo: number, hi: number, most = 2): number {
  const width = hi - lo;
  if (!(width > 0)) return most;
  return Math.min(most, Math.max(0, Math.ceil(-Math.log10(width / 4))));
}

export const litres = (volume: Millilitres): number => volume / 1000;
export const ofLitres = (n: number): Millilitres => ml(n * 1000);
