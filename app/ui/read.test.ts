import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import type { Result } from "~/core/ground/result";
import { readMass, readMinutes, readTemperature, readWithin } from "./read";

const valueOf = <T>(result: Result<T>): T | null => (result.ok ? result.value : null);
const refusalOf = (result: Result<unknown>): string => (result.ok ? "" : (result.problems[0]?.message ?? ""));

describe("a number within limits", () => {
  const share = readWithin("The share", "%", 0, 100);
  test.each([
    ["12", 12],
    ["12 %", 12],
    ["12%", 12],
    [" 12,5 % ", 12.5],
    ["½", 0.5],
    ["0", 0],
    ["100", 100],
  ])("“%s” is %d", (text, value) => expect(valueOf(share(text))).toBe(value));
  test.each(["", "much", "12 kg", "-1", "101", "12 % or so"])("“%s” is refused", text => {
    expect(share(text).ok).toBe(false);
  });
  test("a refusal says what was wanted, and in which unit", () => {
    expect(refusalOf(share("12 kg"))).toBe("The share is wanted in %, not “kg”.");
    expect(refusalOf(share("101"))).toMatch(/The share.*100 ?%/);
  });
  test("the unit is read in either case", () => {
    expect(valueOf(readWithin("Length", "mm", 0, 10)("5 MM"))).toBe(5);
  });
  property.prop([fc.integer({ min: 0, max: 1000 }), fc.integer({ min: 0, max: 9 })])(
    "whatever lies within is taken, as it stands",
    (whole, tenth) => {
      const text = `${whole}.${tenth}`;
      expect(valueOf(readWithin("Number", "", 0, 1001)(text))).toBeCloseTo(Number(text), 9);
    },
  );
});

describe("a weight", () => {
  test.each([
    ["250", 250],
    ["250 g", 250],
    ["2.5 kg", 2500],
    ["2,5 kg", 2500],
    ["1 1/2 kg", 1500],
    ["half a kilo", 500],
  ])("“%s” is %d g", (text, massG) => expect(valueOf(readMass("The weight")(text))).toBeCloseTo(massG, 6));
  // The international pound is 453.59237 g and its ounce a sixteenth of it, by definition (1959 agreement; from memory).
  test.each([
    ["1 lb", 453.59237],
    ["8 oz", 8 * 28.349523125],
  ])("“%s” is %d g by definition", (text, massG) =>
    expect(valueOf(readMass("The weight")(text))).toBeCloseTo(massG, 6),
  );
  test("a bare number counts in the unit of the field", () => {
    expect(valueOf(readMass("The base", "kg")("6"))).toBe(6000);
    expect(valueOf(readMass("The base", "kg")("6 g"))).toBe(6);
    expect(valueOf(readMass("The base", "kg")("½"))).toBe(500);
  });
  test("a volume is no weight", () => {
    expect(refusalOf(readMass("The base")("2 l"))).toContain("type it in g or kg");
  });
  test.each(["0", "-3 kg", "2 000 kg", "5 stone", "a lot", ""])("“%s” is refused", text => {
    expect(readMass("The base")(text).ok).toBe(false);
  });
  test("a field may hold less than the most there is", () => {
    expect(readMass("The pinch", "g", 50)("51").ok).toBe(false);
    expect(readMass("The pinch", "g", 50)("50").ok).toBe(true);
  });
});

describe("a temperature", () => {
  const oven = readTemperature("The oven", 40, 300);
  test.each([
    ["200", 200],
    ["200 °C", 200],
    ["200 C", 200],
    ["392 F", 200],
    ["392 °F", 200],
  ])("“%s” is %d °C", (text, celsius) => expect(valueOf(oven(text))).toBeCloseTo(celsius, 6));
  test.each(["39", "301", "600 F", "hot", ""])("“%s” is refused", text => {
    expect(oven(text).ok).toBe(false);
  });
  property.prop([fc.integer({ min: 105, max: 570 })])("Fahrenheit and Celsius are the same heat", f => {
    const celsius = ((f - 32) * 5) / 9;
    expect(valueOf(oven(`${f} F`))).toBeCloseTo(celsius, 6);
  });
});

describe("a time", () => {
  const time = readMinutes("The time");
  test.each([
    ["45", 45],
    ["45 min", 45],
    ["4 h", 240],
    ["4 h 30", 270],
    ["4 h 30 min", 270],
    ["4:30", 270],
    ["0:05", 5],
    ["0", 0],
    ["1.5", 1.5],
  ])("“%s” is %d min", (text, minutes) => expect(valueOf(time(text))).toBe(minutes));
  test.each(["", "soon", "-5", "45 kg", "200 h"])("“%s” is refused", text => {
    expect(time(text).ok).toBe(false);
  });
  test("no longer than the field allows", () => {
    expect(readMinutes("The rest", 60)("1 h").ok).toBe(true);
    expect(readMinutes("The rest", 60)("1:01").ok).toBe(false);
  });
  property.prop([fc.integer({ min: 0, max: 160 }), fc.integer({ min: 0, max: 59 })])(
    "hours and minutes are read however they are written",
    (h, m) => {
      const minutes = h * 60 + m;
      for (const text of [`${h}:${String(m).padStart(2, "0")}`, `${h} h ${m}`, `${h}h${m} min`])
        expect(valueOf(time(text))).toBe(minutes);
    },
  );
});
