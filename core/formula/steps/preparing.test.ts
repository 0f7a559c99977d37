import { describe, expect, test } from "vitest";
import { exitMass, liquorMass, massOfPools, potMass, solidsMass } from "../../things/pot";
import { degC } from "../../ground/quantity";
import { after, kitchen, lines, perform, potOf, vessel } from "./testing";

const pan = vessel("tall-1");

describe("blanch", () => {
  const blanched = after("blanch", { waterPerG: 4 }, { lines: lines(["veal-bones", 2000]) });
  test("its water comes and goes: bones stay, nothing flows", () => {
    expect(liquorMass(blanched.pot)).toBe(0);
    expect(exitMass(blanched.pot, "drained")).toBeGreaterThan(7500);
    // They keep the water that clings to them.
    expect(solidsMass(blanched.pot)).toBeLessThan(2000 * (1 + 1.2 * kitchen.facts.holdVealBones));
    expect(solidsMass(blanched.pot)).toBeGreaterThan(1800);
  });
  test("greens into ice are cold; without ice they are as hot as the boil", () => {
    const greens = (ice: boolean) =>
      after("blanch", { ice }, { lines: lines(["spinach", 500]) }).pot.temperatureC;
    expect(greens(true)).toBe(5);
    expect(greens(false)).toBeGreaterThan(90);
  });
  test("its water is told as it goes in and as it is poured away, and is of no recipe", () =>
    expect(blanched.computed.map(c => [c.what, c.way, c.ingredientId])).toEqual([
      ["water to blanch in", "in", undefined],
      ["blanching water", "out", undefined],
    ]));
  test("nothing in the pot cannot be blanched", () => expect(perform("blanch").ok).toBe(false));
});

describe("cure", () => {
  const cured = after("cure", { saltPct: 3, sugarPct: 1 }, { lines: lines(["guinea-fowl-carcass", 1000]) });
  test("what is rubbed on is told; what stays after rinsing is in the books", () => {
    const stays = kitchen.facts.cureUptake;
    expect(cured.computed.map(c => [c.what, c.way, Math.round(c.massG)])).toEqual([
      ["salt to rub on", "in", 30],
      ["sugar to rub on", "in", 10],
      ["rinsed off again", "out", Math.round(40 * (1 - stays))],
    ]);
    const raw = potOf(["guinea-fowl-carcass", 1000]);
    expect(potMass(cured.pot) - potMass(raw)).toBeCloseTo(40 * stays, 6);
    expect((cured.pot.solids[0]?.pools.salt ?? 0) - (raw.solids[0]?.pools.salt ?? 0)).toBeCloseTo(
      30 * stays,
      6,
    );
    expect(cured.pot.temperatureC).toBe(4);
  });
  test("without sugar none is asked for; nothing cannot be cured", () => {
    const plain = after("cure", { sugarPct: 0 }, { lines: lines(["guinea-fowl-carcass", 1000]) });
    expect(plain.computed.map(c => c.what)).toEqual(["salt to rub on", "rinsed off again"]);
    expect(perform("cure").ok).toBe(false);
  });
});

describe("sweat, render, dry", () => {
  test("only what this step adds loses weight", () => {
    const before = potOf(["carrot", 300]);
    const sweated = after("sweat", {}, { pot: before, lines: lines(["onion", 400]) });
    expect(sweated.pot.solids[0]?.pools).toEqual(before.solids[0]?.pools);
    expect(sweated.computed[0]?.massG).toBeCloseTo(400 * kitchen.facts.sweatLoss, 6);
  });
  test("rendered: its fat stands on top, its water is steam, nothing else is gone", () => {
    const rendered = after("render", {}, { pot: potOf(["bacon", 1000]), vessel: pan });
    expect(rendered.pot.floatFatG).toBeGreaterThan(250);
    expect(potMass(rendered.pot) + exitMass(rendered.pot, "vapour")).toBeCloseTo(1000, 6);
  });
  test("C108 dried by weight: 6 % of 4 kg leave, and the scale says where to stop", () => {
    const potato = potOf(["potato-floury", 4000]);
    const dried = after("dry", { lossPct: 6 }, { pot: potato, vessel: pan });
    expect(potMass(dried.pot)).toBeCloseTo(3760, 4);
    expect(exitMass(dried.pot, "vapour")).toBeCloseTo(240, 4);
  });
  test("more water than there is cannot be driven off", () => {
    const oil = potOf(["sunflower-oil", 500]);
    const dried = perform("dry", { lossPct: 50 }, { pot: oil, vessel: pan });
    expect(dried.ok ? [] : dried.problems.map(p => p.code)).toEqual(["NOT_ENOUGH"]);
  });
});

describe("taking out", () => {
  const pot = {
    ...potOf(["water", 4000], ["guinea-fowl-carcass", 2000], ["thyme", 20], ["butter", 100]),
    temperatureC: degC(85),
  };
  test("aromatics are lifted out alone; everything solid leaves only the liquor", () => {
    const herbs = after("lift", { what: "aromatics" }, { pot, vessel: pan });
    expect(herbs.pot.solids.map(p => p.name)).not.toContain("thyme");
    expect(herbs.pot.solids).toHaveLength(1);
    const all = after("lift", { what: "everything solid", keep: true }, { pot, vessel: pan });
    expect(all.pot.solids).toEqual([]);
    expect(all.computed[0]?.what).toMatch(/^kept aside/);
  });
  test("where nothing of it is in the pot it says so", () =>
    expect(perform("lift", {}, { pot: potOf(["water", 1000]), vessel: pan }).ok).toBe(false));
  test("drained: the liquor goes, what was cooked in it stays with what clings", () => {
    const drained = after("drain", {}, { pot, vessel: pan });
    expect(exitMass(drained.pot, "drained")).toBeGreaterThan(3000);
    expect(solidsMass(drained.pot)).toBeGreaterThanOrEqual(solidsMass(pot) - 1e-6);
  });
  test("skimmed more often, more fat is gone; weighed skimmings are as weighed", () => {
    const left = (times: number) => after("skim", { times }, { pot, vessel: pan }).pot.floatFatG;
    expect(left(6)).toBeLessThan(left(1));
    expect(left(1)).toBeLessThan(pot.floatFatG);
    const weighed = after("skim", { massG: 75 }, { pot, vessel: pan });
    expect(exitMass(weighed.pot, "skim")).toBeCloseTo(75, 6);
  });
});

describe("clarify", () => {
  const cloudy = potOf(["bought-white-stock", 2000]);
  test("C139 a cloth keeps 1.5 %, a raft 8 %, unless the cook weighed it", () => {
    const kept = (change: object) => liquorMass(after("clarify", change, { pot: cloudy, vessel: pan }).pot);
    expect(kept({ method: "cloth" })).toBeCloseTo(1970, 6);
    expect(kept({ method: "egg white" })).toBeCloseTo(1840, 6);
    expect(kept({ method: "cloth", lossPct: 4 })).toBeCloseTo(1920, 6);
  });
  test("the raft goes in and comes out whole", () => {
    const cleared = after(
      "clarify",
      { method: "egg white" },
      { pot: cloudy, vessel: pan, lines: lines(["egg-white", 120]) },
    );
    expect(cleared.computed[0]?.massG).toBeCloseTo(160 + 120, 4);
    expect(massOfPools(cleared.pot.entered) - massOfPools(cloudy.entered)).toBeCloseTo(120, 4);
  });
});

describe("deglaze, flame, rest, season", () => {
  test("flamed, most of the alcohol stays", () => {
    const before = potOf(["apple-brandy", 100]);
    const flamed = after("flame", {}, { pot: before, vessel: pan });
    expect(flamed.pot.liquor.ethanol).toBeGreaterThan(0.6 * before.liquor.ethanol);
    expect(flamed.pot.liquor.ethanol).toBeLessThan(before.liquor.ethanol);
    expect(flamed.computed[0]?.massG).toBeCloseTo(before.liquor.ethanol - flamed.pot.liquor.ethanol, 9);
  });
  test("what deglazes counts to the wetting, gram for gram", () => {
    const pot = after("deglaze", {}, { pot: potOf(["onion", 200]), lines: lines(["white-wine", 300]) }).pot;
    expect(liquorMass(pot)).toBeCloseTo(300, 6);
  });
  test("resting it cools; juices that run meanwhile come back", () => {
    const hot = { ...potOf(["water", 1000]), temperatureC: degC(90) };
    const rested = after("rest", { durationMin: 20 }, { pot: hot, vessel: pan, lines: lines(["water", 50]) });
    expect(rested.pot.temperatureC).toBeLessThan(90);
    expect(liquorMass(rested.pot)).toBeGreaterThan(1030);
    expect(rested.durationS).toBe(1200);
    expect(perform("rest", {}, { pot: hot }).ok).toBe(false);
  });
  test("seasoned, the salt is in the liquor", () => {
    const seasoned = after(
      "season",
      {},
      { pot: potOf(["water", 1000]), vessel: pan, lines: lines(["salt", 9]) },
    );
    expect(seasoned.pot.liquor.salt).toBeGreaterThan(8.5);
  });
});
