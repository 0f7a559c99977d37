import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { type Step, applyStep, openKitchen } from "..";
import { valueOf } from "../../ground/result";
import { EMPTY_POT, liquorMass, volumeAt20 } from "../../things/pot";
import type { Vessel } from "../../things/vessel";
import { STEP_KINDS, type StepKindName } from ".";
import { after, lines, perform, vessel } from "./testing";

/** A tall pot as wide as it is high, alone in a kitchen by the sea. */
const pot = (diameterMm: number): Vessel => ({
  ...(vessel("tall-1") as Vessel),
  id: `tall-${diameterMm}`,
  shape: { shape: "cylinder", diameterMm, heightMm: diameterMm },
});
const bySea = (only: Vessel) =>
  openKitchen({ ...DEMO_KITCHEN, altitudeM: 0, pressurePa: null, vessels: [only] });
const does = (
  only: Vessel,
  kind: StepKindName,
  change: object,
  where: Partial<Parameters<typeof applyStep>[1]>,
) =>
  valueOf(
    applyStep({ ...STEP_KINDS[kind].blank("x"), ...change } as Step, {
      pot: EMPTY_POT,
      vessel: only,
      lines: [],
      kitchen: bySea(only),
      field: "steps.0",
      trace: false,
      ...where,
    }),
  );

/** Five pounds of veal bones: what comes through the strainer, litres, and what went on meanwhile. */
function stockOf(diameterMm: number, hours: number, how: object) {
  const only = pot(diameterMm);
  const bones = does(only, "add", {}, { lines: lines(["veal-bones", 2270]), vessel: null });
  const covered = does(only, "cover", { depthMm: 25 }, bones);
  const simmered = does(only, "simmer", { holdC: 88, durationMin: hours * 60, ...how }, covered);
  const strained = does(only, "strain", {}, simmered);
  return { litres: liquorMass(strained.pot) / 1000, simmered };
}

// Common practice, no source: five pounds of bones in a pot to their size come to two and a half litres.
describe("bones kept covered", () => {
  test.each([
    [32, 8, 2.4, 3.2, 1.5],
    [32, 9, 2.4, 3.2, 1.8],
    [32, 10, 2.4, 3.2, 2.1],
    [36, 9, 2.2, 3.6, 2.5],
  ])("in %d cm for %d h: %d–%d l, about %d l went on", (cm, hours, lo, hi, added) => {
    const { litres, simmered } = stockOf(cm * 10, hours, { keepCovered: "hot" });
    expect(litres).toBeGreaterThan(lo);
    expect(litres).toBeLessThan(hi);
    const topped = simmered.computed.find(c => c.ingredientId === "water")?.massG ?? 0;
    expect(topped / 1000).toBeCloseTo(added, 1);
    expect(simmered.says).toMatch(/^kept covered: \d\.\d\d?.l of hot water ready$/);
    expect(simmered.warnings.map(w => w.code)).not.toContain("NOT_COVERED");
  });
  test("under a film of fat with the lid ajar nothing need go on", () => {
    const { litres } = stockOf(320, 9, { keepCovered: "none", lid: "ajar", surface: "fat-layer" });
    expect(litres).toBeGreaterThan(2.2);
    expect(litres).toBeLessThan(3.2);
  });
  test("cold water costs time, hot water none", () => {
    const [cold, hot] = (["cold", "hot"] as const).map(
      keepCovered => stockOf(320, 9, { keepCovered }).simmered.durationS,
    );
    expect(cold).toBeGreaterThan((hot ?? 0) + 120);
  });
  test("what was written before it could be kept covered gets no water", () =>
    expect(stockOf(320, 9, { keepCovered: undefined }).simmered.computed.some(c => c.way === "in")).toBe(
      false,
    ));
});

// Common practice, no source: what a cook pours off two kilograms of mussels.
describe("in the shell", () => {
  test.each([
    [2000, 250, 550, 700],
    [1000, 150, 260, 380],
    [5000, 600, 1350, 1800],
  ])("%d g of mussels in %d g of wine: %d–%d ml of liquor, salty by itself", (shells, wine, lo, hi) => {
    const opened = after(
      "simmer",
      { holdC: 96, durationMin: 4, lid: "on" },
      { lines: lines(["mussels", shells], ["white-wine", wine]) },
    );
    const { pot: liquor } = after("strain", {}, opened);
    expect(volumeAt20(liquor.liquor)).toBeGreaterThan(lo);
    expect(volumeAt20(liquor.liquor)).toBeLessThan(hi);
    expect((100 * liquor.liquor.salt) / liquorMass(liquor)).toBeCloseTo(1.35, 0);
    expect(opened.warnings).toEqual([]);
  });
  test("C50 opened and finished they give their liquor once", () => {
    const opened = after(
      "simmer",
      { holdC: 96, durationMin: 4, lid: "on" },
      { lines: lines(["mussels", 2000], ["white-wine", 250]) },
    );
    const finished = after("simmer", { holdC: 90, durationMin: 6, lid: "on" }, opened);
    expect(liquorMass(finished.pot)).toBeLessThanOrEqual(1.06 * liquorMass(opened.pot));
  });
});

describe("ends of a simmer", () => {
  const stock = (until: object | undefined, durationMin: number) =>
    after(
      "simmer",
      { holdC: 95, durationMin, surface: "stirred", ...(until && { until }) },
      { lines: lines(["water", 2000]) },
    );
  test("it stops at its end before the clock", () => {
    const by = stock({ endG: 1800 }, 300);
    expect(liquorMass(by.pot)).toBeCloseTo(1800, -1);
    expect(by.durationS).toBeLessThan(300 * 60);
  });
  test("the clock first, and that is said", () => {
    const clock = stock({ endG: 500 }, 10);
    expect(clock.warnings.map(w => w.code)).toContain("CLOCK_FIRST");
    expect(liquorMass(clock.pot)).toBeGreaterThan(1500);
  });
  test("C72 poached under the boil it hardly loses, and gives its juice", () => {
    const poached = after(
      "poach",
      { holdC: 80, durationMin: 20 },
      { lines: lines(["chicken-legs", 1000], ["water", 2000]) },
    );
    expect(liquorMass(poached.pot)).toBeGreaterThan(2050);
    expect(poached.pot.temperatureC).toBeCloseTo(80, 0);
  });
});

// Common practice, no source.
describe("confit", () => {
  const legs = (fatC: number, hours: number, mass = 4000) =>
    after(
      "confit",
      { fatC, durationMin: hours * 60 },
      { lines: lines(["duck-legs", mass], ["duck-fat", 0.85 * mass]) },
    );
  const lostPct = (done: ReturnType<typeof legs>, mass = 4000) =>
    (100 *
      (mass - done.pot.solids.reduce((m, p) => m + Object.values(p.pools).reduce((a, b) => a + b, 0), 0))) /
    mass;
  test("88 °C for four hours: legs lose 22–35 %, all of it stays in the pot", () => {
    expect(lostPct(legs(88, 4))).toBeGreaterThan(22);
    expect(lostPct(legs(88, 4))).toBeLessThan(35);
    expect(legs(88, 4).pot.exits.vapour.water).toBe(0);
  });
  test("it says when its core is past 60 °C", () =>
    expect(legs(88, 4).says).toMatch(/^core at 60 °C after about /));
  test("without fat nothing is cooked under it", () =>
    expect(perform("confit", {}, { lines: lines(["duck-legs", 1000]) })).toMatchObject({
      ok: false,
      problems: [{ code: "EMPTY" }],
    }));
  test("a mass that warms too slowly is warned of", () => {
    const large = { ...(vessel("kettle-60") as Vessel) };
    const slow = perform(
      "confit",
      { vesselId: large.id },
      {
        vessel: large,
        lines: lines(["duck-legs", 25_000], ["duck-fat", 20_000]),
        kitchen: { ...bySea(large), burner: { ...DEMO_KITCHEN.burners[0], kind: "gas-home-large" } as never },
      },
    );
    expect(slow.ok && slow.value.warnings.map(w => w.code)).toContain("DANGER_ZONE");
  });
});

// Our estimate, against what cooks take.
describe("hand times", () => {
  test("straining 9.3 l off 5.3 kg takes about ten minutes, a cup of sauce hardly one", () => {
    const large = after(
      "strain",
      {},
      {
        vessel: vessel("tall-1"),
        pot: after("add", {}, { lines: lines(["veal-bones", 5300], ["water", 9300]) }).pot,
      },
    );
    expect(large.durationS / 60).toBeGreaterThan(7);
    expect(large.durationS / 60).toBeLessThan(20);
    const cup = after("strain", {}, { pot: after("add", {}, { lines: lines(["water", 220]) }).pot });
    expect(cup.durationS / 60).toBeCloseTo(0.8, 1);
  });
  test("a typed time wins over the law", () =>
    expect(
      after("strain", { durationMin: 3 }, { pot: after("add", {}, { lines: lines(["water", 220]) }).pot })
        .durationS,
    ).toBe(180));
});
