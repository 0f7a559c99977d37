import { describe, expect, test } from "vitest";
import { degC } from "../../ground/quantity";
import { liquorMass, potMass, solidsMass } from "../../things/pot";
import { after, lines, perform, potOf, vessel } from "./testing";

/**
 * Losses in oven, pan and fat. The bands are what cooks weigh: common practice, no source.
 */
const lost = (kind: "roast" | "brown" | "render", id: string, massG: number, how: object): number => {
  const done = after(kind, how, { lines: lines([id, massG]) });
  return (100 * (massG - solidsMass(done.pot))) / massG;
};

describe("roasted: share of the weight that is lost", () => {
  test.each([
    ["poultry bones", "chicken-carcass", 6000, 45, 220, 12, 20],
    ["veal bones", "veal-bones", 6000, 60, 200, 8, 15],
    ["beef bones", "beef-bones", 6000, 60, 200, 8, 15],
    ["veal bones, just in", "veal-bones", 6000, 5, 200, 0, 1],
    ["veal bones in a low oven", "veal-bones", 6000, 120, 120, 3, 10],
    ["vegetables", "carrot", 2000, 40, 200, 20, 40],
    ["vegetables, lower and longer", "carrot", 2000, 60, 180, 20, 40],
    ["whole peppers", "red-pepper", 2000, 25, 240, 15, 25],
    ["mushrooms", "mushroom", 1000, 25, 200, 30, 50],
    ["meat", "pork-shoulder", 1000, 60, 180, 15, 25],
  ])("%s", (_name, id, massG, durationMin, ovenC, lo, hi) => {
    const share = lost("roast", id, massG, { ovenC, durationMin });
    expect(share).toBeGreaterThanOrEqual(lo);
    expect(share).toBeLessThanOrEqual(hi);
  });
  test("cut into three, a roast comes to the same", () => {
    let pot = potOf(["veal-bones", 2000]);
    for (let i = 0; i < 3; i++) pot = after("roast", { ovenC: 200, durationMin: 15 }, { pot }).pot;
    const whole = after("roast", { ovenC: 200, durationMin: 45 }, { lines: lines(["veal-bones", 2000]) }).pot;
    expect(solidsMass(pot)).toBeCloseTo(solidsMass(whole), 1);
    expect(solidsMass(whole)).toBeCloseTo(1841, -1);
  });
  test("ten minutes more, with paste on them, cost 40–180 g of six kilograms", () => {
    const { pot } = after("roast", { ovenC: 200, durationMin: 50 }, { lines: lines(["veal-bones", 6000]) });
    const more = after(
      "roast",
      { ovenC: 200, durationMin: 10 },
      { pot, lines: lines(["tomato-paste", 150]) },
    );
    const steam = more.computed.find(c => c.way === "out")?.massG ?? 0;
    expect(steam).toBeGreaterThan(40);
    expect(steam).toBeLessThan(180);
  });
  test("a lid keeps most of it in, a fan takes more", () => {
    const how = (more: object) => lost("roast", "carrot", 2000, { ovenC: 200, durationMin: 40, ...more });
    expect(how({ lid: "on" })).toBeLessThan(0.3 * how({}));
    expect(how({ air: "fan" })).toBeGreaterThan(1.1 * how({}));
  });
});

describe("browned in the pan", () => {
  test.each([
    ["meat", "beef-shin", 1000, 10, 5, 10],
    ["wings", "chicken-wings", 600, 12, 5, 10],
    ["shells", "langoustine-shells", 1000, 10, 5, 10.5],
    ["mushrooms", "mushroom", 500, 8, 15, 25],
    ["onions", "onion", 500, 15, 10, 25],
  ])("%s", (_name, id, massG, durationMin, lo, hi) => {
    const share = lost("brown", id, massG, { durationMin });
    expect(share).toBeGreaterThanOrEqual(lo);
    expect(share).toBeLessThanOrEqual(hi);
  });
  test("lying in 175 g of liquor it stews first, and says how long", () => {
    const pot = { ...potOf(["water", 175]), temperatureC: degC(60) };
    const done = after(
      "brown",
      { durationMin: 14 },
      { pot, vessel: vessel("saucepan-24"), lines: lines(["beef-shin", 1000]) },
    );
    expect(done.warnings.map(w => w.code)).toContain("STEWS");
    expect(done.pot.solids[0]?.roasted).toBe(true);
    expect(liquorMass(done.pot)).toBeLessThan(10);
  });
  test("what was browned before is not browned again by what comes in later", () => {
    const before = after("brown", { durationMin: 10 }, { lines: lines(["beef-shin", 1000]) });
    const later = after("brown", { durationMin: 10 }, { ...before, lines: lines(["onion", 200]) });
    expect(later.pot.solids[0]?.pools).toEqual(before.pot.solids[0]?.pools);
  });
  test("five kilograms do not lie flat in any pan, and that is said", () =>
    expect(after("brown", { durationMin: 15 }, { lines: lines(["carrot", 5000]) }).says).toMatch(
      /^in \d+ goes in the /,
    ));
});

describe("rendered: clear fat of the trim", () => {
  test.each([
    ["one kilogram of duck skin", 1000],
    ["five", 5000],
  ])("%s: 45–60 %%", (_name, massG) => {
    const { pot } = after("render", { durationMin: 90 }, { lines: lines(["duck-skin", massG]) });
    expect((100 * pot.floatFatG) / massG).toBeGreaterThan(45);
    expect((100 * pot.floatFatG) / massG).toBeLessThan(60);
  });
});

describe("a liquor in the oven", () => {
  const stood = (vesselId: string, min: number, ovenC: number, fromC: number, lid: string, massG: number) => {
    const pot = { ...potOf(["water", massG]), temperatureC: degC(fromC) };
    const done = perform(
      "roast",
      { ovenC, durationMin: min, lid },
      { pot, vessel: vessel(vesselId), lines: [] },
    );
    if (!done.ok) throw new Error(done.problems[0]?.message);
    return (100 * (massG - potMass(done.value.pot))) / massG;
  };
  test("600 g of sauce, a quarter of an hour at 200 °C: about 15 % in a pan of 24 cm, less in a narrower one", () => {
    expect(stood("saucepan-24", 15, 200, 90, "off", 600)).toBeGreaterThan(11);
    expect(stood("saucepan-24", 15, 200, 90, "off", 600)).toBeLessThan(19);
    expect(stood("copper-20", 15, 200, 90, "off", 600)).toBeLessThan(14);
    expect(stood("low-36", 15, 200, 90, "off", 600)).toBeGreaterThan(22);
  });
  test("a braise with its lid on loses no more than six parts of a hundred in two and a half hours", () => {
    expect(stood("low-36", 150, 150, 60, "on", 5000)).toBeLessThan(5);
    expect(stood("low-36", 150, 150, 80, "on", 5000)).toBeLessThan(6.5);
  });
});
