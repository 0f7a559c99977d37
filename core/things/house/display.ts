import { z } from "zod";
import {
  type Grams,
  printKilograms,
  printMass,
  printNumber,
  printUsMeasure,
  volumeOf,
  type Density,
} from "../../ground/quantity";

/** How a cook wants amounts shown on a card. */
export const displaySchema = z.strictObject({
  units: z.enum(["metric", "us"]),
  /** Rounding of masses, g; for US cards an ounce is shown to the quarter. */
  roundG: z.number().min(0.1).max(100),
});
export type Display = Readonly<z.infer<typeof displaySchema>>;
export const USUAL_DISPLAY: Display = { units: "metric", roundG: 1 };

const G_PER_OZ = 28.349523125;
const QUARTERS: readonly string[] = ["", "¼", "½", "¾"];

/** Ounces to the quarter, in pounds and ounces from a pound up: "1 lb 2¼ oz". Source: NIST Handbook 44, exact factor. */
export function printOunces(mass: Grams): string {
  const ounces4 = (mass / G_PER_OZ) * 4;
  // What was weighed is never nothing: finer than a quarter where a quarter would be too coarse.
  if (mass > 0 && ounces4 < 0.75)
    return ounces4 >= 0.375 ? "⅛ oz" : mass >= 0.3 ? `${printNumber(mass / G_PER_OZ, 2)} oz` : "a trace";
  const quarters = Math.round(ounces4);
  const [pounds, rest] = [Math.floor(quarters / 64), quarters % 64];
  const ounces = `${Math.floor(rest / 4) || (rest % 4 ? "" : "0")}${QUARTERS[rest % 4]}`;
  return pounds ? `${pounds} lb${rest ? ` ${ounces} oz` : ""}` : `${ounces} oz`;
}

/**
 * A mass as a cook's card shows it.
 * @example 2236 g at 10 g rounding → "2.24 kg"; the same in US units → "4 lb 14¾ oz"
 */
export function massFor(display: Display, mass: Grams, density?: Density): string {
  if (display.units === "us") {
    const volume = density ? volumeOf(mass, density) : null;
    return volume === null ? printOunces(mass) : `${printOunces(mass)} (${printUsMeasure(volume)})`;
  }
  // A small amount is never rounded away.
  const step = mass < 10 * display.roundG ? Math.min(display.roundG, mass < 10 ? 0.1 : 1) : display.roundG;
  const rounded = (Math.round(mass / step) * step) as Grams;
  return rounded >= 2000
    ? printKilograms(rounded, display.roundG >= 10 ? 2 : 3)
    : step < 1
      ? `${printNumber(rounded, 1)} g`
      : printMass(rounded);
}

const NUMBER = "-?\\d+(?:[.,]\\d+)?";
/** "57 to 21 °C", "± 2 °C", "95 °C". */
const CELSIUS = new RegExp(
  `(±\\s*|\\bby )?(${NUMBER})(?:(\\s*(?:–|-|to|and|or)\\s*)(${NUMBER}))?[\\s\\u00a0\\u202f]*°C( (?:under the ceiling|over the|colder|warmer|hotter|cooler|more|less|apart|a minute|an hour|off)\\b)?`,
  "g",
);
/** A weight among words; what is a share of something ("60 g/l", "2 g a portion" stays) is none. */
const WEIGHT = /(\d[\d\u202f]*(?:[.,]\d+)?)[\s\u00a0]*(kg|g)\b(?!\s*\/)/g;

const fahrenheit = (celsius: string): string =>
  String(Math.round(1.8 * Number(celsius.replace(",", ".")) + 32));

/**
 * Words of a card for a cook: with °F and pounds where those are wanted, as they are otherwise. The sums stay in grams and
 * degrees Celsius.
 * @example "57 to 21 °C within 2 h" → "135 to 70 °F within 2 h"; "± 2 °C" → "± 3.6 °F"
 */
export function textFor(display: Display, text: string): string {
  if (display.units !== "us") return text;
  return text
    .replace(CELSIUS, (_, before = "", from: string, between?: string, to?: string, after = "") => {
      // A difference has no freezing point.
      const difference = Boolean(before || after);
      const one = (text: string) =>
        difference ? printNumber(1.8 * Number(text.replace(",", ".")), 1) : fahrenheit(text);
      return `${before}${one(from)}${between && to ? `${between}${one(to)}` : ""}\u00a0°F${after}`;
    })
    .replace(WEIGHT, (_, amount: string, unit: string) => {
      const value = Number(amount.replace(/\u202f/g, "").replace(",", "."));
      return printOunces((value * (unit === "kg" ? 1000 : 1)) as Grams);
    });
}
