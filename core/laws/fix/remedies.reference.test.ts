import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { addSauce, bodyOf, massOfSauce, standardLiquid } from "../texture";
import { sauceOf } from "../texture/testing";
import { COMPLAINTS, type Complaint, type FixTarget, type Remedy, afterOf, remediesFor } from ".";

const F = NOMINAL_FACTS;
const mend = (
  complaint: Complaint,
  state: Parameters<typeof afterOf>[0],
  target: FixTarget = {},
): readonly Remedy[] => valueOf(remediesFor(complaint, { state, temperatureC: 60, target }, F));
const is = (state: Parameters<typeof afterOf>[0]) =>
  afterOf(state, { state, temperatureC: 60, target: {} }, F);
const named = (list: readonly Remedy[], word: RegExp): Remedy => {
  const found = list.find(r => word.test(r.what));
  if (!found) throw new Error(`no remedy ${String(word)} in ${list.map(r => r.what).join(", ")}`);
  return found;
};
/** 2 kg white stock, 120 g flour, 120 g butter: body 46.74; salted to so many per cent. */
const velouteAt = (saltPct: number) => {
  const base = sauceOf(
    { "white stock": 2000, butter: 120 },
    { starches: [{ id: "flour", massG: 120, minutes: 20 }] },
  );
  const m = massOfSauce(base);
  return { ...base, saltG: (m * saltPct) / 100, waterG: base.waterG - (m * saltPct) / 100 + base.saltG };
};

/** Source of the rows: docs/models.md "Fixes" (mass balance). */
describe("fixes against their check rows (F-3 to F-6)", () => {
  it("F-3 2.24 kg at 1.50 % to 0.90 %: 1.4933 kg water, 1.92 kg stock at 0.20 %, or 0.896 kg exchanged", () => {
    const list = mend("too-salty", velouteAt(1.5), { saltPct: 0.9 });
    expect(named(list, /stretch with water/).addG).toBeCloseTo(1493.3, 0);
    expect(named(list, /light stock/).addG).toBeCloseTo(1920, 0);
    expect(named(list, /exchange/).order[0]).toMatch(/896/);
    expect(named(list, /exchange/).after.saltPct).toBeCloseTo(0.9, 6);
  });
  it("F-4 with that water the body falls to 31.45", () => {
    const base = sauceOf(
      { "white stock": 2000, butter: 120 },
      { starches: [{ id: "flour", massG: 120, minutes: 20 }] },
    );
    const thinned = addSauce(base, standardLiquid("water", 1493.3));
    expect(valueOf(bodyOf(thinned, 60, F)).thickness).toBeCloseTo(31.45, 1);
  });
  it("F-6 1.5 kg at 12 % fat to 7 %: 90.4 g skimmed, or 1.0714 kg of stock", () => {
    const base = sauceOf({ "white stock": 1320 });
    const state = { ...base, fatG: 180, waterG: base.waterG - (massOfSauce(base) - base.fatG - 1320) };
    const list = mend(
      "greasy",
      { ...state, waterG: state.waterG + (1500 - massOfSauce(state)) },
      { fatPct: 7 },
    );
    expect(named(list, /^skim$/).addG).toBeCloseTo(-90.4, 0);
    expect(named(list, /stretch/).addG).toBeCloseTo(1071.4, 0);
  });
});

describe("acceptance examples of fixes", () => {
  it("C75 640 g where 760 are wanted: 120 g, salt 1.13 → 0.95 %", () => {
    const base = sauceOf({ "brown stock": 640 });
    const state = { ...base, saltG: 7.232, waterG: base.waterG - 7.232 + base.saltG };
    const [stock] = mend("over-reduced", state, { massG: 760 });
    expect(stock?.addG).toBeCloseTo(120, 6);
    expect(named(mend("over-reduced", state, { massG: 760 }), /water/).after.saltPct).toBeCloseTo(0.952, 2);
  });
  it("C116 4.2 kg one step too thick: stock or water loosens it and the salt falls, cream brings fat", () => {
    const thick = sauceOf(
      { "white stock": 4000, butter: 200 },
      { starches: [{ id: "flour", massG: 280, minutes: 20 }] },
    );
    const now = is(thick);
    const list = mend("too-thick", thick, { thickness: (now.thickness ?? 0) - 6 });
    const stock = named(list, /stock/);
    expect(stock.addG).toBeGreaterThan(100);
    expect(stock.after.thickness).toBeCloseTo((now.thickness ?? 0) - 6, 3);
    expect(named(list, /cream/).after.fatPct).toBeGreaterThan(now.fatPct);
  });
  it("C76 300 g that took up 55 g of juice: 55 g boil off to be where it was", () => {
    const before = sauceOf({ "brown stock": 2700 }, { steamG: 2400 });
    const watery = addSauce(before, standardLiquid("water", 55));
    const was = is(before).thickness ?? 0;
    expect(named(mend("watery", watery, { thickness: was }), /boil/).addG).toBeCloseTo(-55, 1);
  });
  it("C78 3 kg of stock: natural to a quarter has four times the salt, starch-bound at 2.4 kg a quarter more", () => {
    const stock = sauceOf({ "white stock": 3000 });
    const natural = is(sauceOf({ "white stock": 3000 }, { steamG: 2250 }));
    const bound = is(sauceOf({ "white stock": 3000 }, { steamG: 600 }));
    const salt = is(stock).saltPct;
    expect(natural.massG).toBeCloseTo(750, 6);
    expect(natural.saltPct / salt).toBeCloseTo(4, 6);
    expect(bound.saltPct / salt).toBeCloseTo(1.25, 6);
  });
  it("C139 cloudy: paper and muslin, with what they keep", () => {
    expect(named(mend("cloudy", velouteAt(0.9)), /muslin/).besides.join()).toMatch(/1.5 %/);
  });
  it("a pan sauce at 1.6 % salt is brought to 1.0 %", () => {
    const list = mend("too-salty", velouteAt(1.6), { saltPct: 1 });
    for (const r of list.slice(0, 3)) expect(r.after.saltPct).toBeCloseTo(1, 3);
  });
});

describe("every complaint", () => {
  const sauce = { ...velouteAt(1.6), sugarG: 60, acids: { citric: 12 } };
  it.each(COMPLAINTS.filter(c => c !== "too-thin" && c !== "watery"))(
    "%s has two remedies or more, each with words",
    c => {
      const list = mend(
        c,
        sauce,
        c === "too-thick" || c === "gluey" ? { thickness: 35 } : c === "greasy" ? { fatPct: 3 } : {},
      );
      expect(list.length).toBeGreaterThanOrEqual(2);
      for (const r of list) {
        expect(r.order.length).toBeGreaterThan(0);
        expect(r.after.massG).toBeGreaterThan(0);
      }
    },
  );
  it("too thin: starch, beurre manié and boiling down all end at the body wanted", () => {
    const list = mend("too-thin", sauce, { thickness: 55 });
    expect(list).toHaveLength(3);
    for (const r of list) expect(r.after.thickness).toBeCloseTo(55, 3);
  });
  it("what it is not accused of rightly is said with its figure", () => {
    const r = remediesFor(
      "too-salty",
      { state: velouteAt(0.5), temperatureC: 60, target: { saltPct: 0.9 } },
      F,
    );
    expect(r.ok ? "" : r.problems[0]?.message).toMatch(/0.50 % salt, not more than the 0.90 %/);
    const bad = remediesFor(
      "too-salty",
      { state: velouteAt(0.5), temperatureC: 60, target: { saltPct: 50 } },
      F,
    );
    expect(bad.ok ? [] : bad.problems.map(p => p.code)).toEqual(["OUT_OF_RANGE"]);
  });
  property.prop([fc.constantFrom(...COMPLAINTS), fc.double({ min: 0.2, max: 3, noNaN: true })])(
    "mass after is mass before plus what was added",
    (complaint, saltPct) => {
      const state = velouteAt(saltPct);
      const r = remediesFor(complaint, { state, temperatureC: 60, target: {} }, F);
      if (!r.ok) return;
      for (const remedy of r.value)
        expect(remedy.after.massG).toBeCloseTo(massOfSauce(state) + remedy.addG, 3);
    },
  );
  property.prop([fc.constantFrom(...COMPLAINTS), fc.double({ min: 0.2, max: 3, noNaN: true })])(
    "what is brought in is part of what is added, never less than nothing",
    (complaint, saltPct) => {
      const r = remediesFor(complaint, { state: velouteAt(saltPct), temperatureC: 60, target: {} }, F);
      for (const remedy of r.ok ? r.value : []) {
        const brought = Object.values(remedy.brings);
        expect(Math.min(0, ...brought)).toBe(0);
        expect(brought.reduce((m, x) => m + x, 0)).toBeLessThanOrEqual(Math.max(0, remedy.addG) + 1e-6);
      }
    },
  );
});
