import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { THICKENER_IDS } from "../thickening";
import {
  KITCHEN_TESTS,
  TEST_IDS,
  bandOf,
  bareBody,
  bodyOf,
  calibrate,
  combineReadings,
  expectedReading,
  fatFreeMass,
  fatMassOf,
  loosenTo,
  looseningWith,
  massOfSauce,
  mountButter,
  readThickness,
  thicknessOf,
  thickenTo,
  viscosityAt,
} from ".";
import { sauceOf } from "./testing";

const F = NOMINAL_FACTS;
const grams = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe("the scale", () => {
  property.prop([grams(0, 100)])("thickness and viscosity are there and back", h => {
    expect(thicknessOf(viscosityAt(h))).toBeCloseTo(h, 9);
  });
  property.prop([grams(0, 100)])("every thickness has exactly one band", h => {
    const band = bandOf(h);
    expect(h).toBeGreaterThanOrEqual(band.from);
  });
  property.prop([fc.constantFrom(...TEST_IDS.filter(id => id !== "coat")), grams(25, 80)])(
    "a test reads back what it expects",
    (id, h) => {
      const reading = expectedReading(id, h);
      if (reading === null) return;
      const read = valueOf(readThickness({ test: id, reading, options: { temperatureC: 60 } }));
      expect(read.thickness).toBeCloseTo(h, 1);
    },
  );
  test("a reading outside its test names the better one", () => {
    const r = readThickness({ test: "line", reading: 14, options: { temperatureC: 60 } });
    expect(r.ok ? "" : r.problems[0]?.message).toContain("Take the syringe");
    const thick = readThickness({ test: "line", reading: 2, options: { temperatureC: 60 } });
    expect(thick.ok ? "" : thick.problems[0]?.message).toContain("Take the peak");
  });
  test("bits stop a nozzle; half a spoon band is none; all is said at once", () => {
    const bad = readThickness({ test: "syringe", reading: 4, options: { temperatureC: 140, bits: true } });
    expect(bad.ok ? [] : bad.problems.map(p => p.code)).toEqual(["OUT_OF_RANGE", "MODE"]);
    const spoon = readThickness({ test: "coat", reading: 2.5, options: { temperatureC: 60 } });
    expect(spoon.ok ? [] : spoon.problems.map(p => p.code)).toEqual(["CLASS"]);
  });
  test("a syrup on the line plate is warned of", () => {
    const jus = readThickness({ test: "line", reading: 7, options: { temperatureC: 60, newtonian: true } });
    expect(jus.ok && jus.warnings.map(w => w.code)).toEqual(["NO_YIELD_STRESS"]);
  });
  test("tests that do not agree are told, and which stands apart", () => {
    const read = (test: "line" | "syringe", thickness: number) => ({ test, thickness, sd: 4, bound: false });
    const all = combineReadings([read("line", 30), read("syringe", 60)]);
    expect(all.ok && all.warnings[0]?.code).toBe("TESTS_DISAGREE");
    expect(KITCHEN_TESTS.line.label).toBe("line plate");
  });
});

describe("learning", () => {
  property.prop([grams(-8, 8), fc.array(grams(20, 75), { minLength: 6, maxLength: 14 })])(
    "a kitchen that reads so many points off is put right by most of it",
    (off, xs) => {
      const c = valueOf(calibrate(xs.map(x => ({ x, y: Math.min(100, Math.max(0, x + off)) }))));
      expect(c.trusted).toBe(true);
      expect(Math.abs(c.a)).toBeLessThanOrEqual(Math.abs(off) + 1e-9 + 0.5);
      expect(Math.abs(c.b)).toBeLessThanOrEqual(0.4);
    },
  );
  test("nothing read: nothing is corrected, and it is not trusted", () =>
    expect(valueOf(calibrate([]))).toMatchObject({ a: 0, b: 0, trusted: false }));
});

describe("body", () => {
  property.prop([grams(5, 120), grams(5, 120)])("more flour is thicker", (a, b) => {
    const of = (massG: number) =>
      bareBody(sauceOf({ "white stock": 1000 }, { starches: [{ id: "flour", massG }] }), 60, F).thickness;
    if (Math.abs(a - b) > 1e-6) expect(Math.sign(of(a) - of(b))).toBe(Math.sign(a - b));
  });
  property.prop([grams(0, 800)])("boiling off never thins, and mass is kept", steamG => {
    const start = sauceOf({ "brown stock": 2000, cream: 200 });
    const end = sauceOf({ "brown stock": 2000, cream: 200 }, { steamG });
    expect(massOfSauce(start) - massOfSauce(end)).toBeCloseTo(steamG, 6);
    expect(fatFreeMass(end) + fatMassOf(end)).toBeCloseTo(massOfSauce(end), 9);
    expect(bareBody(end, 60, F).thickness).toBeGreaterThanOrEqual(bareBody(start, 60, F).thickness - 1e-9);
  });
  property.prop([grams(0.2, 5)])("ten times the sauce has the same body", k => {
    const of = (m: number) =>
      bareBody(
        sauceOf({ "white stock": 1000 * m, cream: 80 * m }, { starches: [{ id: "flour", massG: 40 * m }] }),
        60,
        F,
      );
    expect(of(k).thickness).toBeCloseTo(of(1).thickness, 9);
  });
  property.prop([fc.constantFrom(...THICKENER_IDS.filter(id => id !== "xanthan")), grams(25, 62)])(
    "what is worked out backwards comes out forwards",
    (id, target) => {
      const found = thickenTo(
        sauceOf({ "white stock": 1000 }),
        { dose: { id }, form: "slurry" },
        target,
        60,
        F,
      );
      if (!found.ok) return;
      expect(valueOf(bodyOf(found.value.state, 60, F)).thickness).toBeCloseTo(target, 5);
    },
  );
  property.prop([grams(30, 70), fc.constantFrom("water", "stock", "cream" as const)])(
    "loosened or boiled down, it stands where it was wanted",
    (target, name) => {
      const sauce = sauceOf({ "white stock": 1000 }, { starches: [{ id: "flour", massG: 60 }] });
      const found = loosenTo(sauce, looseningWith(name), target, 60, F);
      if (!found.ok) return;
      expect(valueOf(bodyOf(found.value.state, 60, F)).thickness).toBeCloseTo(target, 5);
      expect(found.value.addG * found.value.evaporateG).toBe(0);
    },
  );
  test("already thick enough: nothing goes in, and it is said", () => {
    const sauce = sauceOf({ "white stock": 1000 }, { starches: [{ id: "flour", massG: 90 }] });
    const found = thickenTo(sauce, { dose: { id: "corn" }, form: "slurry" }, 30, 60, F);
    expect(found.ok && found.value.thickenerG).toBe(0);
    expect(found.ok && found.warnings.map(w => w.code)).toContain("ALREADY_THICK_ENOUGH");
  });
  test("no browning for corn starch; a thickness out of reach names what can be had", () => {
    const stock = sauceOf({ "white stock": 1000 });
    const brown = thickenTo(stock, { dose: { id: "corn", colour: "brown" }, form: "slurry" }, 45, 60, F);
    expect(brown.ok ? [] : brown.problems.map(p => p.code)).toEqual(["CLASS"]);
    const far = loosenTo(stock, looseningWith("water"), 90, 60, F);
    expect(far.ok ? "" : far.problems[0]?.message).toMatch(/bind it as well/);
  });
  property.prop([grams(10, 400)])("butter only cools and only thickens", butterG => {
    const m = valueOf(mountButter({ sauceG: 1000, sauceC: 80, sauceFatPct: 2, butterG, butterC: 5 }));
    expect(m.finalC).toBeLessThan(80);
    expect(m.fatPct).toBeGreaterThan(2);
  });
  test("xanthan binds cold and without heat", () => {
    const cold = sauceOf({ water: 1000 }, { starches: [{ id: "xanthan", massG: 3, maxC: 15 }] });
    expect(valueOf(bodyOf(cold, 20, F)).thickness).toBeGreaterThan(35);
  });
});
