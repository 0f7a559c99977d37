import { describe, expect, test } from "vitest";
import { exitMass, liquorMass, massOfPools, potMass } from "../../things/pot";
import { degC } from "../../ground/quantity";
import type { Result } from "../../ground/result";
import { geometryOfVessel } from "../../things/vessel";
import type { StepOutcome } from "./kind";
import { after, kitchen, lines, perform, potOf, vessel } from "./testing";

const pan = vessel("tall-1");
const codes = (result: Result<StepOutcome>) => (result.ok ? [] : result.problems.map(p => p.code));
const warned = (outcome: StepOutcome) => outcome.warnings.map(w => w.code);
/** A litre of white stock, as hot as said. */
const stock = (atC = 60) => ({ ...potOf(["bought-white-stock", 1000]), temperatureC: degC(atC) });

describe("thicken", () => {
  const roux = (change: object = {}, atC = 20) =>
    after("thicken", change, {
      pot: stock(atC),
      vessel: pan,
      lines: lines(["wheat-flour", 60], ["butter", 60]),
    });
  test("flour is carried as flour with its minutes, and the fat of the roux is taken up", () => {
    const { pot } = roux({ durationMin: 20 });
    const [dose] = pot.natures.starches;
    expect(dose).toMatchObject({ id: "flour", colour: "white" });
    expect(dose?.massG).toBeCloseTo(60, 6);
    expect(dose?.minutes).toBeGreaterThanOrEqual(20);
    expect(dose?.maxC).toBeGreaterThan(85);
    expect(pot.floatFatG).toBe(0);
  });
  test("hot roux and hot liquor make lumps; one of them cold does not", () => {
    expect(warned(roux({ rouxHot: true }, 80))).toContain("LUMPS");
    expect(warned(roux({ rouxHot: true }, 20))).not.toContain("LUMPS");
    expect(warned(roux({ rouxHot: false }, 80))).not.toContain("LUMPS");
  });
  test("a brown roux is carried as brown", () =>
    expect(roux({ colour: "brown" }).pot.natures.starches[0]?.colour).toBe("brown"));
  test("of what is dusted over meat half reaches the pan, and the rest is told", () => {
    const withMeat = after("add", {}, { pot: stock(), lines: lines(["beef-shin", 500]) }).pot;
    const dusted = after(
      "thicken",
      { form: "dusted", durationMin: 10 },
      { pot: withMeat, vessel: pan, lines: lines(["wheat-flour", 40]) },
    );
    expect(dusted.pot.natures.starches[0]?.massG).toBeCloseTo(40 * kitchen.facts.dustReaches, 6);
    const stays = dusted.computed.find(c => /stays on the meat/.test(c.what));
    expect(stays?.massG).toBeCloseTo(40 * (1 - kitchen.facts.dustReaches), 6);
  });
  test("dusted over the pan, all of it is in", () => {
    const dusted = after(
      "thicken",
      { form: "dusted", durationMin: 10 },
      { pot: stock(), vessel: pan, lines: lines(["wheat-flour", 40]) },
    );
    expect(dusted.pot.natures.starches[0]?.massG).toBeCloseTo(40, 6);
  });
});

describe("liaison", () => {
  const bind = (toC: number, pot = stock()) =>
    perform("liaison", { toC }, { pot, vessel: pan, lines: lines(["egg-yolk", 54], ["cream", 150]) });
  test("its yolk remembers how hot it was", () => {
    const bound = bind(80);
    expect(bound.ok && bound.value.pot.natures.yolkG).toBeCloseTo(54, 6);
    expect(bound.ok && bound.value.pot.natures.yolkMaxC).toBeGreaterThanOrEqual(80);
  });
  test("C85 above 82 °C it curdles; in a flour-bound sauce it goes to 90 °C", () => {
    expect(codes(bind(86))).toEqual(["OUT_OF_RANGE"]);
    const bound = after(
      "thicken",
      {},
      { pot: stock(20), vessel: pan, lines: lines(["wheat-flour", 60], ["butter", 60]) },
    );
    expect(codes(bind(86, bound.pot))).toEqual([]);
    expect(codes(bind(92, bound.pot))).toEqual(["OUT_OF_RANGE"]);
  });
  test("below 75 °C nothing binds and the egg stays raw: said", () => {
    const raw = bind(70);
    expect(raw.ok && warned(raw.value)).toEqual(["LIAISON_UNDERCOOKED"]);
  });
  test("needs a pot that stands somewhere", () =>
    expect(perform("liaison", {}, { pot: stock(), lines: lines(["egg-yolk", 18]) }).ok).toBe(false));
});

describe("mount", () => {
  const mounted = (atC: number) =>
    after("mount", {}, { pot: stock(atC), vessel: pan, lines: lines(["butter", 80]) });
  test("C86 off the heat it may be as hot as it came from the fire; too cold the butter stays in lumps", () => {
    expect(warned(mounted(65))).toEqual([]);
    expect(warned(mounted(90))).toEqual([]);
    expect(warned(mounted(40))).toEqual(["BUTTER_SETS"]);
  });
  test("all its fat is in the sauce, none on top, and the sauce is no colder than it is kept", () => {
    const { pot } = mounted(70);
    expect(pot.floatFatG).toBe(0);
    expect(pot.liquor.fat).toBeGreaterThan(60);
    expect(pot.temperatureC).toBeGreaterThanOrEqual(60);
  });
});

describe("emulsify", () => {
  test("all free fat of the bowl is beaten in, and it is known with what", () => {
    const beaten = after(
      "emulsify",
      { tool: "stick blender" },
      { lines: lines(["egg-yolk", 36], ["wine-vinegar", 30], ["sunflower-oil", 300]) },
    );
    expect(beaten.pot.floatFatG).toBe(0);
    expect(beaten.pot.natures).toMatchObject({ beatenWith: "stick blender" });
    expect(beaten.pot.natures.phases).toMatchObject({ yolk: 36 });
    expect(beaten.vessel?.use).toBe("container");
  });
});

describe("blend and pass", () => {
  const cooked = { ...potOf(["carrot", 800], ["water", 200], ["butter", 40]), temperatureC: degC(85) };
  test("what was cooked and what it lay in are one purée: nothing solid, no fat on top, nothing lost", () => {
    const blended = after("blend", {}, { pot: cooked, vessel: pan });
    expect(blended.pot.solids).toEqual([]);
    expect(blended.pot.floatFatG).toBe(0);
    expect(potMass(blended.pot)).toBeCloseTo(potMass(cooked), 6);
  });
  test("a fast blade for three minutes is finest, a mill leaves grain", () => {
    const fineness = (tool: string, durationMin: number) =>
      after("blend", { tool, durationMin }, { pot: cooked, vessel: pan }).pot.natures.fineness;
    expect([fineness("jar blender", 4), fineness("jar blender", 1), fineness("food mill", 4)]).toEqual([
      1.1, 1, 0.8,
    ]);
  });
  test("a hot jar, floury potato under a blade, bones still in: each is said", () => {
    expect(warned(after("blend", { tool: "jar blender" }, { pot: cooked, vessel: pan }))).toEqual([
      "HOT_FILL",
    ]);
    const potato = potOf(["potato-floury", 800], ["water", 200]);
    expect(warned(after("blend", {}, { pot: potato, vessel: pan }))).toContain("POTATO_GLUEY");
    expect(warned(after("blend", { tool: "ricer" }, { pot: potato, vessel: pan }))).toEqual([]);
    const bones = potOf(["guinea-fowl-carcass", 500], ["water", 500]);
    expect(warned(after("blend", {}, { pot: bones, vessel: pan }))).toContain("BONES_IN");
  });
  test("the sieve keeps what it keeps, and more of the fibre than of the water", () => {
    const blended = after("blend", {}, { pot: cooked, vessel: pan }).pot;
    const passed = after("pass", { yieldPct: 90 }, { pot: blended, vessel: pan });
    expect(potMass(passed.pot)).toBeCloseTo(0.9 * potMass(blended), 4);
    expect(exitMass(passed.pot, "reject")).toBeCloseTo(0.1 * potMass(blended), 4);
    const share = (fibre: number, mass: number) => fibre / mass;
    expect(share(passed.pot.exits.reject.fibre, massOfPools(passed.pot.exits.reject))).toBeGreaterThan(
      share(blended.liquor.fibre, massOfPools(blended.liquor)),
    );
  });
});

describe("keeping", () => {
  test("held warm it loses water and its salt climbs; without a pot it cannot be held", () => {
    const salted = { ...potOf(["water", 2000], ["salt", 16]), temperatureC: degC(70) };
    const held = after("hold", { holdC: 70, durationMin: 120, lid: "off" }, { pot: salted, vessel: pan });
    expect(exitMass(held.pot, "vapour")).toBeGreaterThan(20);
    expect(held.pot.liquor.salt / liquorMass(held.pot)).toBeGreaterThan(16 / 2016);
    expect(perform("hold", {}, { pot: salted }).ok).toBe(false);
  });
  test("heated under the lid it never stands over the boil of this kitchen", () => {
    const hot = after("reheat", { toC: 105 }, { pot: stock(5), vessel: pan });
    expect(hot.pot.temperatureC).toBeLessThan(kitchen.boilsC);
    expect(hot.durationS).toBeGreaterThan(60);
  });
  test("frozen it wants a tenth more room; a full tub is told so", () => {
    const tub = kitchen.vessels.find(v => v.use === "container");
    if (!tub) throw new Error("The demo kitchen has no tub.");
    const frozen = (ml: number) =>
      after("freeze", { vesselId: tub.id }, { pot: { ...potOf(["water", ml]), temperatureC: degC(4) } });
    expect(warned(frozen(500))).toEqual([]);
    expect(frozen(500).pot.temperatureC).toBe(-18);
    const { capacityMl } = geometryOfVessel(tub);
    expect(warned(frozen(0.95 * capacityMl))).toEqual(["HEADSPACE"]);
  });
  test("thawed it leaves its drip behind", () => {
    const thawed = after("thaw", {}, { pot: potOf(["bought-white-stock", 4000]), vessel: pan });
    expect(exitMass(thawed.pot, "poured")).toBeCloseTo(4000 * kitchen.facts.thawDrip, 6);
    expect(thawed.pot.temperatureC).toBe(4);
  });
  test("set aside is a share of the liquor; portioned nothing leaves", () => {
    const aside = after("reserve", { sharePct: 25 }, { pot: stock(), vessel: pan });
    expect(liquorMass(aside.pot)).toBeCloseTo(750, 6);
    expect(aside.computed[0]?.massG).toBeCloseTo(250, 6);
    const portioned = after("portion", {}, { pot: stock(), vessel: pan });
    expect(portioned.pot).toEqual(stock());
  });
  test("topped up it stands at what was asked; with enough in it nothing goes in", () => {
    const topped = after("top-up", { toMl: 1500 }, { pot: stock(20), vessel: pan });
    expect(topped.computed[0]).toMatchObject({ what: "water", way: "in" });
    expect(liquorMass(topped.pot)).toBeGreaterThan(1450);
    expect(after("top-up", { toMl: 500 }, { pot: stock(20), vessel: pan }).computed).toEqual([]);
  });
});
