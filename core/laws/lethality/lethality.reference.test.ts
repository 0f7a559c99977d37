import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { celsiusOfFahrenheit } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { PRESETS, lethality, segmentMinutes, yolkPreset } from ".";

const log = (...pairs: readonly (readonly [number, number])[]) => pairs.map(([min, c]) => ({ min, c }));
/** Minutes a constant temperature takes to reach a preset's benchmark. */
const needed = (t: number, preset: "beef-salmonella" | "listeria-uk") =>
  PRESETS[preset].benchmarkMin / segmentMinutes(t, t, 1, PRESETS[preset]);

describe("check rows of the lethality model", () => {
  // USDA FSIS Appendix A, 6.5 log in beef, from memory; the table rounds up.
  test.each([
    [130, 112, 111.98, 0.08],
    [135, 36, 35.41, 0.08],
    [140, 12, 11.2, 0.08],
    [145, 4, 3.54, 0.13],
    [150, 67 / 60, 67.2 / 60, 0.08],
    [155, 22 / 60, 21.3 / 60, 0.08],
  ])("J1: %i °F against USDA FSIS Appendix A, %f min", (fahrenheit, table, own, tolerance) => {
    const minutes = needed(celsiusOfFahrenheit(fahrenheit), "beef-salmonella");
    expect(minutes / own - 1).toBeCloseTo(0, 2);
    expect(Math.abs(minutes / table - 1)).toBeLessThan(tolerance);
  });
  // UK equivalents of 70 °C for 2 min, from memory.
  test.each([
    [60, 45, 43.09],
    [65, 10, 9.28],
    [75, 0.5, 25.9 / 60],
    [80, 0.1, 5.57 / 60],
  ])("J2: %i °C against the UK equivalents of 70 °C 2 min, %f min", (t, table, own) => {
    expect(needed(t, "listeria-uk") / own - 1).toBeCloseTo(0, 2);
    expect(Math.abs(needed(t, "listeria-uk") / table - 1)).toBeLessThan(0.15);
  });
  test("J3: z from 60.0 °C 6.2 min and 61.11 °C 3.5 min (9 CFR 590.570, from memory): 4.474 K", () =>
    expect((61.11 - 60) / Math.log10(6.2 / 3.5)).toBeCloseTo(4.474, 2));
  test("J4, J5: a trapezoid in closed form, with and without a lower limit", () => {
    const open = { referenceC: 60, zK: 4.5, fromC: -Infinity, capC: Infinity };
    const whole = (p: typeof open) =>
      segmentMinutes(50, 65, 10, p) + segmentMinutes(65, 65, 5, p) + segmentMinutes(65, 50, 5, p);
    expect(whole(open)).toBeCloseTo(89.8068, 3);
    expect(whole({ ...open, fromC: 55 })).toBeCloseTo(89.6672, 3);
  });
  test("J6: hollandaise seasoned afterwards is worth 1.75 times its benchmark, salted before only 0.56", () => {
    const readings = log([0, 40], [4, 63], [7, 63]);
    const plain = valueOf(lethality(readings, "yolk-plain"));
    expect(plain.minutes.value).toBeCloseTo(15.637, 1);
    expect(plain.minutes.lo).toBeCloseTo(10.874, 1);
    expect(plain.ratio).toBeCloseTo(1.75, 2);
    const salted = valueOf(lethality(readings, "yolk-salt-sugar"));
    expect(salted.minutes.value).toBeCloseTo(5.026, 2);
    expect(salted.minutes.lo).toBeCloseTo(3.501, 2);
    expect(salted.ratio).toBeCloseTo(0.56, 2);
    expect(salted.logReduction).toBeNull();
  });
  test("J7: a sabayon brought to 60 °C for a minute is far from it: 0.21", () => {
    const found = valueOf(lethality(log([0, 30], [3, 58], [5, 60], [6, 60]), "yolk-plain"));
    expect(found.minutes.value).toBeCloseTo(2.313, 2);
    expect(found.minutes.lo).toBeCloseTo(1.325, 2);
    expect(found.ratio).toBeCloseTo(0.21, 2);
  });
  test("J8: 60 °C for 11.2 min in beef: 6.5 log", () =>
    expect(valueOf(lethality(log([0, 60], [11.2, 60]), "beef-salmonella", 0)).logReduction).toBeCloseTo(
      6.5,
      2,
    ));
});

describe("rules", () => {
  test("sugar, salt or not knowing asks for the stricter yolk table", () => {
    expect(yolkPreset(0.5)).toBe("yolk-plain");
    expect(yolkPreset(2)).toBe("yolk-salt-sugar");
    expect(yolkPreset(null)).toBe("yolk-salt-sugar");
  });
  test("the beef table is refused for poultry, game and eggs", () => {
    for (const species of ["poultry", "game", "egg"])
      expect(lethality(log([0, 60], [5, 60]), "beef-salmonella", 0.5, species)).toMatchObject({
        ok: false,
        problems: [{ code: "PRESET_SPECIES" }],
      });
    expect(lethality(log([0, 60], [5, 60]), "beef-salmonella", 0.5, "beef").ok).toBe(true);
  });
  test("long gaps and what is above the cap are said", () => {
    const found = lethality(log([0, 60], [15, 75]), "yolk-plain");
    expect(found.ok && found.warnings.map(w => w.code)).toEqual(["SPARSE", "ABOVE_CAP"]);
  });
  test("a probe that may be five degrees off is refused", () =>
    expect(lethality(log([0, 60], [5, 60]), "yolk-plain", 5)).toMatchObject({
      ok: false,
      problems: [{ code: "OUT_OF_RANGE", field: "probeErrorC" }],
    }));
});

const segment = fc.record({
  from: fc.double({ min: 0, max: 90, noNaN: true }),
  to: fc.double({ min: 0, max: 90, noNaN: true }),
  lasting: fc.double({ min: 0.01, max: 60, noNaN: true }),
  share: fc.double({ min: 0.01, max: 0.99, noNaN: true }),
});
describe("invariants", () => {
  property.prop([segment])("a straight piece cut in two counts the same", ({ from, to, lasting, share }) => {
    const middle = from + (to - from) * share;
    const cut =
      segmentMinutes(from, middle, lasting * share, PRESETS["yolk-plain"]) +
      segmentMinutes(middle, to, lasting * (1 - share), PRESETS["yolk-plain"]);
    const whole = segmentMinutes(from, to, lasting, PRESETS["yolk-plain"]);
    expect(Math.abs(cut - whole)).toBeLessThanOrEqual(1e-6 * whole + 1e-9);
  });
  property.prop([segment])("backwards it is the same; hotter or longer it is never less", one => {
    const { from, to, lasting } = one;
    const minutes = (a: number, b: number, t: number) => segmentMinutes(a, b, t, PRESETS["whole-egg"]);
    expect(minutes(to, from, lasting)).toBeCloseTo(minutes(from, to, lasting), 9);
    expect(minutes(from + 1, to + 1, lasting)).toBeGreaterThanOrEqual(
      minutes(from, to, lasting) * (1 - 1e-9),
    );
    expect(minutes(from, to, lasting * 2)).toBeGreaterThanOrEqual(minutes(from, to, lasting));
  });
});
