import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { valueOf } from "../result";
import {
  type Amount,
  add,
  celsiusOfFahrenheit,
  degC,
  fahrenheitOfCelsius,
  g,
  gPerMl,
  honestDecimals,
  ml,
  parseAmount,
  parseTemperature,
  printDuration,
  printMass,
  printNumber,
  printUsMeasure,
  printVolume,
  readNumber,
  s,
  saidNumber,
} from ".";

/** Figures are set with special spaces; tests read them plain. */
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
const read = (text: string, density?: number): Amount =>
  valueOf(parseAmount(text, density ? { density: gPerMl(density) } : {}));

// prettier-ignore
const BELOW_TWENTY = [
  "", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve",
  "thirteen", "fourteen", "fifteen", "sixteen", "seventeen", "eighteen", "nineteen",
];
const TENS = ["", "", "twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"];

/** A whole number below a million as it is called. */
function spelled(n: number, and: string, hyphen: string): string {
  if (n < 20) return BELOW_TWENTY[n] ?? "";
  if (n < 100) return [TENS[Math.floor(n / 10)], BELOW_TWENTY[n % 10]].filter(Boolean).join(hyphen);
  const of = n < 1000 ? 100 : 1000;
  const rest = spelled(n % of, and, hyphen);
  return `${spelled(Math.floor(n / of), and, hyphen)} ${of === 100 ? "hundred" : "thousand"}${rest && and + rest}`;
}

describe("units the compiler checks", () => {
  test("grams and seconds do not add, and degrees do not add at all", () => {
    // @ts-expect-error grams and seconds are not the same unit
    add(g(1), s(1));
    // @ts-expect-error a temperature is a point, not an amount
    add(degC(1), degC(1));
    expect(add(g(1), g(2))).toBe(3);
  });
});

describe("what cooks type", () => {
  test.each([
    ["8.6kg", 8600],
    ["8 lb 4 oz", 3742.137],
    ["2 lbs", 907.185],
    ["8 600 g", 8600],
    ["1,5 kg", 1500],
    ["½ kg", 500],
    ["250", null],
  ])("%s", (text, grams) => {
    const amount = parseAmount(text);
    if (grams === null) expect(amount).toMatchObject({ ok: false, problems: [{ code: "MISSING" }] });
    else {
      const value = valueOf(amount);
      expect(value.kind).toBe("mass");
      expect(value.kind === "mass" && value.massG).toBeCloseTo(grams, 2);
    }
  });

  test.each([
    ["1½ cups", 354.882],
    ["1 1/2 cups", 354.882],
    ["2 tbsp", 29.574],
    ["1 qt", 946.353],
    ["2.5 l", 2500],
    ["3 fl oz", 88.721],
    ["1 gal", 3785.412],
  ])("%s is a volume (NIST Handbook 44, Appendix C)", (text, volume) => {
    const value = read(text);
    expect(value.kind === "volume" && value.volumeMl).toBeCloseTo(volume, 2);
  });

  test.each([
    ["a cup", 236.588],
    ["half a cup", 118.294],
    ["a half of a cup", 118.294],
    ["two thirds of a cup", 157.725],
    ["a third of a cup", 78.863],
    ["three quarters of a pint", 354.882],
    ["a quarter of a litre", 250],
    ["one and a half cups", 354.882],
    ["a litre and a half", 1500],
    ["two and a half litres", 2500],
    ["Twelve tablespoons", 177.441],
    ["a quart and a half 2 tbsp", 1449.103],
  ])("%s, said in words, is the same as in figures", (text, volume) => {
    const value = read(text);
    expect(value.kind === "volume" && value.volumeMl).toBeCloseTo(volume, 2);
  });
  test.each([
    ["an ounce", 28.35],
    ["half a pound", 226.796],
    ["a kilo", 1000],
    ["three pounds", 1360.777],
  ])("%s is a weight", (text, mass) => {
    const value = read(text);
    expect(value.kind === "mass" && value.massG).toBeCloseTo(mass, 2);
  });
  test("numbers are said from one to twelve, and by the dozen", () => {
    const words = "one two three four five six seven eight nine ten eleven twelve".split(" ");
    words.forEach((word, i) => {
      expect(saidNumber(`${word} leeks`)).toEqual({ value: i + 1, rest: " leeks" });
      expect(saidNumber(`${word} and a half cups`)).toEqual({ value: i + 1.5, rest: " cups" });
    });
    expect(saidNumber("a dozen eggs")).toEqual({ value: 12, rest: " eggs" });
    expect(saidNumber("half a dozen eggs")).toEqual({ value: 6, rest: " eggs" });
    expect(saidNumber("an egg")).toEqual({ value: 1, rest: " egg" });
  });
  test("a word that only begins like a number is none", () => {
    for (const text of ["almonds", "tent", "onerous", "annatto", "half the soy", "fortyish", "elevenses", ""])
      expect(saidNumber(text), text).toBeNull();
    expect(parseAmount("a good deal")).toMatchObject({ ok: false, problems: [{ code: "NOT_UNDERSTOOD" }] });
  });

  test.each([
    ["two hundred grams", 200],
    ["a hundred and twenty grams", 120],
    ["hundred grams", 100],
    ["one thousand five hundred grams", 1500],
    ["fifteen hundred grams", 1500],
    ["twelve thousand and forty grams", 12_040],
    ["twenty-five grams", 25],
    ["twenty and a half grams", 20.5],
    ["two and three quarters kilos", 2750],
    ["a kilo two hundred grams", 1200],
    ["two point five kilos", 2500],
    ["nought point seven five kilos", 750],
    ["point oh five kilos", 50],
  ])("%s", (text, massG) => {
    const amount = read(text);
    expect(amount.kind === "mass" && amount.massG).toBeCloseTo(massG, 9);
  });
  test("a share said in words", () => {
    expect(read("twenty-five per cent")).toMatchObject({ kind: "share", pct: 25 });
    expect(read("a hundred percent")).toMatchObject({ kind: "share", pct: 100 });
  });
  property.prop([fc.integer({ min: 1, max: 999_999 }), fc.boolean(), fc.constantFrom(" ", "-")])(
    "every number is what it is called",
    (n, and, hyphen) => {
      const called = spelled(n, and ? " and " : " ", hyphen);
      expect(saidNumber(called), called).toEqual({ value: n, rest: "" });
      expect(saidNumber(`${called} grams`), called).toEqual({ value: n, rest: " grams" });
    },
  );

  test("12 % is a share", () => expect(read("12 %")).toMatchObject({ kind: "share", pct: 12 }));

  test.each([
    ["", "MISSING"],
    ["some", "NOT_UNDERSTOOD"],
    ["-3 g", "NEGATIVE"],
    ["1,200 g", "AMBIGUOUS"],
    ["5 stone", "WRONG_UNIT"],
    ["2 kg 3 ml", "WRONG_UNIT"],
    ["1/0 kg", "NOT_FINITE"],
  ])("%j is refused with a word of advice", (text, code) => {
    const result = parseAmount(text);
    expect(result).toMatchObject({ ok: false, problems: [{ code }] });
    expect(!result.ok && result.problems[0]?.message.length).toBeGreaterThan(15);
  });

  test("an ambiguous thousand is asked about with both readings", () => {
    const result = parseAmount("1,200 g");
    expect(!result.ok && result.problems[0]?.message).toBe(
      "“1,200” can be read two ways. Type 1200 or 1.200.",
    );
  });

  property.prop([fc.double({ min: 0.01, max: 90_000, noNaN: true })])(
    "what is printed is read back",
    mass => {
      const printed = plain(printMass(g(mass)));
      const value = read(printed);
      expect(value.kind === "mass" && Math.abs(value.massG - mass)).toBeLessThanOrEqual(0.5);
    },
  );

  property.prop([fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 7 })])(
    "mixed fractions are exact",
    (whole, eighths) => {
      expect(valueOf(readNumber(`${whole} ${eighths}/8`)).value).toBeCloseTo(whole + eighths / 8, 12);
    },
  );
});

describe("C7 unit conversion with the ingredient’s density", () => {
  test("C7 three US cups of buttermilk are 710 ml and 731 g at 1.03", () => {
    const value = read("3 cups", 1.03);
    expect(value.kind === "volume" && value.volumeMl).toBeCloseTo(710, 0);
    expect(value.kind === "volume" && value.massG).toBeCloseTo(731, 0);
    expect(plain(value.understood)).toBe("710 ml = 731 g (1.03 g/ml)");
    expect(printUsMeasure(ml(709.76))).toBe("3 cups");
  });
  test("C7 asking for 710 g of it warns of a 21 g gap", () => {
    const result = parseAmount("3 cups / 710 g", { density: gPerMl(1.03), ingredient: "buttermilk" });
    expect(result.ok && result.value.kind === "mass" && result.value.massG).toBe(710);
    expect(result.ok && plain(result.warnings[0]?.message ?? "")).toBe(
      "710 ml of buttermilk weighs 731 g, not 710 g: a gap of 21 g.",
    );
  });
  test("a pair that agrees is silent, two weights are no pair", () => {
    expect(parseAmount("3 cups (731 g)", { density: gPerMl(1.03) })).toMatchObject({
      ok: true,
      warnings: [],
    });
    expect(parseAmount("3 kg / 731 g")).toMatchObject({ ok: false, problems: [{ code: "WRONG_UNIT" }] });
  });
});

describe("C8 temperatures", () => {
  test("C8 385 °F is 196.1 °C, shown as 196", () => {
    const t = valueOf(parseTemperature("385 °F"));
    expect(t.exactC).toBeCloseTo(196.11, 2);
    expect(t.shownC).toBe(196);
  });
  test("C8 the pair 385 °F/190 °C is flagged 6 °C apart", () => {
    const result = parseTemperature("385 °F/190 °C");
    expect(result.ok && result.value.apartK).toBeCloseTo(6.1, 1);
    expect(result.ok && result.warnings[0]?.message).toContain("6 °C apart");
  });
  test("C8 rounding is away from zero, never a truncation", () => {
    expect(valueOf(parseTemperature("383 F")).shownC).toBe(195);
    expect(valueOf(parseTemperature("31 F")).shownC).toBe(-1);
  });
  test("recipes’ usual pairs pass; nonsense does not", () => {
    expect(parseTemperature("350 °F/180 °C")).toMatchObject({ ok: true, warnings: [] });
    expect(parseTemperature("375 F")).toMatchObject({ ok: true });
    expect(parseTemperature("hot")).toMatchObject({ ok: false, problems: [{ code: "NOT_UNDERSTOOD" }] });
    expect(parseTemperature("90 K")).toMatchObject({ ok: false, problems: [{ code: "WRONG_UNIT" }] });
    expect(parseTemperature("-300")).toMatchObject({ ok: false, problems: [{ code: "OUT_OF_RANGE" }] });
  });
  property.prop([fc.double({ min: -200, max: 500, noNaN: true })])("there and back again", t => {
    expect(celsiusOfFahrenheit(fahrenheitOfCelsius(degC(t)))).toBeCloseTo(t, 9);
  });
});

test("printing keeps figures together and honest", () => {
  expect(plain(printNumber(12345.678, 1))).toBe("12 345.7");
  expect(printNumber(-0.001, 1)).toBe("0.0");
  expect(printNumber(-3, 0)).toBe("−3");
  expect(plain(printVolume(ml(9342)))).toBe("9.34 l");
  expect(plain(printDuration(s(29_100)))).toBe("8 h 05");
  expect(plain(printDuration(s(45)))).toBe("45 s");
  expect(honestDecimals(9.1, 9.9)).toBe(1);
  expect(honestDecimals(7, 19)).toBe(0);
});
