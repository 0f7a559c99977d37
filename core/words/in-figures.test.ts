import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { inFigures } from "./in-figures";
import { minutesSaid, temperatureSaid } from "./numbers-said";

const UNITS =
  "one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen".split(
    " ",
  );
const TENS = "twenty thirty forty fifty sixty seventy eighty ninety".split(" ");
const small = (n: number, join: string): string =>
  n < 20
    ? (UNITS[n - 1] ?? "")
    : [TENS[Math.floor(n / 10) - 2], UNITS[(n % 10) - 1]].filter(Boolean).join(join);
/** A whole number as English says it. */
const said = (n: number, join = "-", and = " and "): string =>
  n < 100
    ? small(n, join)
    : `${small(Math.floor(n / 100), join)} hundred${n % 100 ? `${and}${small(n % 100, join)}` : ""}`;

describe("numbers said in words", () => {
  property.prop([
    fc.integer({ min: 1, max: 999 }),
    fc.constantFrom("-", " "),
    fc.constantFrom(" and ", " "),
    fc.boolean(),
  ])("every whole number up to 999 is read as it is said", (n, join, and, loud) => {
    const words = said(n, join, and);
    expect(inFigures(`for ${loud ? words.toUpperCase() : words} minutes`)).toBe(`for ${n} minutes`);
  });
  property.prop([fc.integer({ min: 0, max: 10_000 }), fc.constantFrom("g", "min", "°C", "%")])(
    "figures stay as they are",
    (n, unit) => {
      expect(inFigures(`to ${n} ${unit}`)).toBe(`to ${n} ${unit}`);
    },
  );
  test("words that only begin or end like a number stay as they are", () => {
    for (const text of [
      "often",
      "tender",
      "the stone",
      "someone",
      "weight",
      "a hundredweight",
      "anyone, tenfold",
    ])
      expect(inFigures(text)).toBe(text);
  });
});

describe("times and temperatures of dictated text", () => {
  test.each([
    ["for ten minutes", 10],
    ["forty-five minutes, lid on", 45],
    ["forty five minutes", 45],
    ["for an hour and a half", 90],
    ["one hour and a half", 90],
    ["for an hour and a quarter", 75],
    ["an hour and three quarters", 105],
    ["two and a half hours", 150],
    ["three hours and a half", 210],
    ["half an hour", 30],
    ["three quarters of an hour", 45],
    ["a quarter of an hour", 15],
    ["an hour and ten minutes", 70],
    ["two hours twenty minutes", 140],
    ["a hundred and twenty minutes", 120],
    ["4 h", 240],
    ["1 hour 10 minutes", 70],
    ["½ hour", 30],
  ])("%s", (text, min) => expect(minutesSaid(text)?.min).toBeCloseTo(min, 9));
  test("a range in words keeps both ends", () =>
    expect(minutesSaid("for one to two hours")).toMatchObject({ min: 90, range: [60, 120] }));
  test("nothing is made up where no time was said", () => {
    expect(minutesSaid("until two spoons are left")).toBeNull();
    expect(temperatureSaid("add two cups")).toBeNull();
  });
  test.each([
    ["roast at two hundred degrees", 200],
    ["in the oven at two hundred and twenty degrees", 220],
    ["hold at eighty-five degrees", 85],
    ["at a hundred and sixty degrees", 160],
    ["at 180 °C", 180],
    ["at 385 F", 196],
  ])("%s", (text, c) => expect(temperatureSaid(text)?.c).toBe(c));
});
