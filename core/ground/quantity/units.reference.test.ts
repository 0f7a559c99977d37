import { createRequire } from "node:module";
import { describe, expect, test } from "vitest";
import { KITCHEN_UNITS, celsiusOfFahrenheit } from ".";

/** The part of js-quantities used here; it ships no types. */
const Qty = createRequire(import.meta.url)("js-quantities") as ((text: string) => {
  to(unit: string): { scalar: number };
}) & { swiftConverter(from: string, to: string): (value: number) => number };

/** What the library calls our units. */
const THEIRS: Readonly<Record<string, string>> = {
  kg: "kg",
  g: "g",
  mg: "mg",
  lb: "lbs",
  oz: "oz",
  l: "l",
  dl: "dl",
  cl: "cl",
  ml: "ml",
  "US gal": "gallon",
  "US qt": "quart",
  "US pt": "pint",
  "US cup": "cup",
  "US fl oz": "floz",
  tbsp: "tablespoon",
  tsp: "teaspoon",
};

describe("every unit against js-quantities 1.8.0, a general unit library", () => {
  test.each(KITCHEN_UNITS.map(u => [u.name, u] as const))("one %s", (name, unit) => {
    const theirs = Qty(`1 ${THEIRS[name] ?? ""}`).to(unit.dimension === "mass" ? "g" : "ml").scalar;
    expect(Math.abs(unit.factor / theirs - 1)).toBeLessThan(2e-5);
  });
  test("degrees", () => {
    const convert = Qty.swiftConverter("tempF", "tempC");
    for (const f of [-40, 32, 160, 212, 385]) expect(celsiusOfFahrenheit(f)).toBeCloseTo(convert(f), 9);
  });
});
