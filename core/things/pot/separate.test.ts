import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { degC, g } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { STOCK, anIngredient, composed, liquid } from "../../testing";
import {
  EMPTY_POT,
  POOLS,
  type PotState,
  type SolidPart,
  absorb,
  accountedFor,
  breakFat,
  contentsOf,
  drain,
  emulsify,
  exitMass,
  fatCapPct,
  liquorMass,
  massOfPools,
  mergePots,
  netEvaporation,
  potMass,
  sieve,
  skimMass,
  solidsMass,
  splitPot,
  steamOf,
  topUp,
  volumeAt20,
} from ".";

const part = (mass: number, of: Parameters<typeof composed>[0], id = "part"): SolidPart => ({
  id,
  name: id,
  kind: "mirepoix",
  pools: liquid(mass, of),
  rawG: g(mass),
  rawWaterG: g((mass * (of.water ?? 0)) / 100),
  rawFatG: g((mass * (of.fat ?? 0)) / 100),
  roasted: false,
  gaveGelatinG: g(0),
  gaveSolidsG: g(0),
  juiceReleased: false,
});
const potOf = (over: Partial<PotState>): PotState => {
  const state = { ...EMPTY_POT, ...over };
  return { ...state, entered: accountedFor(state) };
};
const balanced = (pot: PotState) => {
  const there = accountedFor(pot);
  for (const pool of POOLS) expect(there[pool]).toBeCloseTo(pot.entered[pool], 6);
};

describe("check rows of the mass balance (exact arithmetic)", () => {
  test("A4: 800 g purée through a sieve at 0.88, fibre twice as rich in the reject", () => {
    const pot = potOf({ liquor: liquid(800, { water: 88, fibre: 2, sugars: 6, starch: 3, protein: 1 }) });
    const passed = valueOf(sieve(pot, 0.88, 2));
    expect(liquorMass(passed)).toBeCloseTo(704, 9);
    expect(passed.exits.reject.fibre).toBeCloseTo(3.84, 9);
    expect((100 * passed.liquor.fibre) / 704).toBeCloseTo(1.7273, 4);
    expect(passed.liquor.starch).toBeCloseTo(21.17878, 5);
    balanced(passed);
  });
  test("A5: pasta drinks 250 g: gelatin stays behind, salt goes along", () => {
    const pot = potOf({
      liquor: liquid(1000, { water: 95, salt: 0.8, protein: 3, collagen: 2.5, fat: 1, sugars: 0.2 }),
      solids: [part(200, { starch: 75, protein: 13, water: 12 }, "pasta")],
    });
    const after = valueOf(absorb(pot, "pasta", g(250)));
    expect(liquorMass(after)).toBeCloseTo(750, 9);
    expect((100 * after.liquor.collagen) / 750).toBeCloseTo(3.3333, 4);
    expect((100 * after.liquor.salt) / 750).toBeCloseTo(0.7889, 4);
    expect(after.solids[0]?.pools.salt).toBeCloseTo(2.0833, 4);
    balanced(after);
  });
  test("A2 drained instead: the solids stay with what clings, the rest is gone", () => {
    const pot = potOf({ liquor: liquid(5000, STOCK), solids: [part(3000, { water: 90, fibre: 10 })] });
    const drained = valueOf(drain(pot, part => 1.1 * massOfPools(part.pools), 0));
    expect(exitMass(drained, "drained")).toBeCloseTo(4700, 9);
    expect(solidsMass(drained)).toBeCloseTo(3300, 9);
    expect(liquorMass(drained)).toBe(0);
    balanced(drained);
  });
});

describe("what a cook does with both", () => {
  test("C54 a cap of 382 g on 7 kg is 5.5 %; with 60 g left 0.9 %", () => {
    expect(fatCapPct(g(382), g(7000))).toBeCloseTo(5.5, 1);
    expect(fatCapPct(g(60), g(7000 - 322))).toBeCloseTo(0.9, 1);
  });
  test("weighed skimmings are fat first, then liquor", () => {
    const pot = potOf({ liquor: liquid(5000, STOCK), floatFatG: g(100) });
    const little = valueOf(skimMass(pot, g(57.5), 0.15));
    expect(little.floatFatG).toBeCloseTo(50, 9);
    expect(exitMass(little, "skim")).toBeCloseTo(57.5, 9);
    const much = valueOf(skimMass(pot, g(300), 0.15));
    expect(much.floatFatG).toBeCloseTo(0, 9);
    expect(liquorMass(much)).toBeCloseTo(4800, 6);
    expect(liquorMass(valueOf(skimMass(potOf({ liquor: liquid(500, STOCK) }), g(40), 0.15)))).toBeCloseTo(
      460,
      6,
    );
    expect(skimMass(pot, g(6000), 0.15)).toMatchObject({ ok: false, problems: [{ code: "NOT_ENOUGH" }] });
  });
  test("topping up to a mass or a volume, never down", () => {
    const water = anIngredient({ id: "water", composition: composed({ water: 100 }) });
    const options = { id: "w", temperatureC: degC(15) };
    const pot = potOf({ liquor: liquid(640, STOCK) });
    expect(valueOf(topUp(pot, { massG: g(760) }, water, options)).addedG).toBeCloseTo(120, 9);
    const filled = valueOf(topUp(pot, { volumeMl: 1000 }, water, options));
    expect(volumeAt20(filled.pot.liquor)).toBeCloseTo(1000, 3);
    expect(topUp(pot, { massG: g(600) }, water, options)).toMatchObject({
      ok: false,
      problems: [{ code: "ABOVE_TARGET" }],
    });
  });
  test("C45 19.0 + 1.0 + 1.5 l in, 16.0 out, 0.6 lost over 5 h: 4.9 l evaporated, 0.98 l/h", () => {
    const log = { startMl: 19_000, toppedUpMl: [1000, 1500], outMl: 16_000, lostMl: 600, hours: 5 };
    expect(valueOf(netEvaporation(log))).toEqual({ evaporatedMl: 4900, mlPerHour: 980 });
    expect(netEvaporation({ ...log, outMl: 25_000 })).toMatchObject({
      ok: false,
      problems: [{ field: "outMl" }],
    });
    expect(netEvaporation({ ...log, hours: 0 })).toMatchObject({ ok: false });
  });
  test("beating fat in and letting it rise undo each other", () => {
    const pot = potOf({ liquor: liquid(1000, STOCK), floatFatG: g(80) });
    const beaten = valueOf(emulsify(pot, g(50)));
    expect(beaten.liquor.fat).toBeCloseTo(52, 9);
    expect(valueOf(breakFat(beaten, g(50)))).toEqual(pot);
    expect(emulsify(pot, g(90))).toMatchObject({ ok: false, problems: [{ code: "NOT_ENOUGH" }] });
    expect(breakFat(pot, g(-1))).toMatchObject({ ok: false, problems: [{ code: "NEGATIVE" }] });
  });
  test("steam of a sour liquor takes a little of its vinegar acid along", () => {
    const steam = steamOf(liquid(1000, { water: 94, acid: 6, volatileAcid: 6 }), g(100), 0.7);
    expect(steam.water + steam.acidVolatile).toBeCloseTo(100, 9);
    expect(steam.acidVolatile).toBeCloseTo((100 * 4.2) / (94 + 4.2), 6);
    expect(steamOf(liquid(1000, { water: 100 }), g(100), 0.7)).toEqual({ water: 100, acidVolatile: 0 });
  });
  test("shares outside 0 to 1 are refused", () => {
    const pot = potOf({ liquor: liquid(100, STOCK) });
    expect(sieve(pot, 0, 2)).toMatchObject({ ok: false, problems: [{ code: "FRACTION" }] });
    expect(drain(pot, () => 0.1, 1.4)).toMatchObject({ ok: false, problems: [{ code: "FRACTION" }] });
    expect(splitPot(pot, -0.1)).toMatchObject({ ok: false, problems: [{ code: "FRACTION" }] });
    expect(absorb(pot, "nobody", g(1))).toMatchObject({ ok: false, problems: [{ code: "UNKNOWN_ID" }] });
    const rejected = sieve(pot, 0.4, 2);
    expect(rejected.ok && rejected.warnings[0]?.code).toBe("HIGH_REJECT");
  });
});

const anyPot = fc
  .record({
    water: fc.double({ min: 20, max: 90, noNaN: true }),
    fibre: fc.double({ min: 0, max: 9, noNaN: true }),
    solids: fc.double({ min: 0, max: 4000, noNaN: true }),
    fat: fc.double({ min: 0, max: 300, noNaN: true }),
    mass: fc.double({ min: 1, max: 20_000, noNaN: true }),
  })
  .map(x =>
    potOf({
      liquor: liquid(x.mass, { water: x.water, fibre: x.fibre, sugars: 100 - x.water - x.fibre }),
      solids: x.solids > 1 ? [part(x.solids, { water: 80, fibre: 20 })] : [],
      floatFatG: g(x.fat),
    }),
  );

describe("invariants", () => {
  property.prop([
    anyPot,
    fc.double({ min: 0.05, max: 1, noNaN: true }),
    fc.double({ min: 1, max: 5, noNaN: true }),
  ])("a sieve and a drainer keep the books whole", (pot, share, rich) => {
    const sieved = valueOf(sieve(pot, share, rich));
    expect(massOfPools(accountedFor(sieved)) / massOfPools(pot.entered)).toBeCloseTo(1, 9);
    const drained = valueOf(drain(pot, () => NOMINAL_FACTS.holdMirepoix, NOMINAL_FACTS.fatCling));
    expect(massOfPools(accountedFor(drained)) / massOfPools(pot.entered)).toBeCloseTo(1, 9);
    for (const pool of POOLS) expect(sieved.liquor[pool]).toBeGreaterThanOrEqual(-1e-9 * potMass(pot));
  });
  property.prop([anyPot, fc.double({ min: 0, max: 1, noNaN: true })])(
    "what is split and poured together again is what it was",
    (pot, share) => {
      const [a, b] = valueOf(splitPot(pot, share));
      const again = mergePots(a, b);
      const [was, is] = [contentsOf(pot), contentsOf(again)];
      for (const pool of POOLS) expect(is[pool]).toBeCloseTo(was[pool], 6);
      expect(massOfPools(again.entered) / massOfPools(pot.entered)).toBeCloseTo(1, 9);
    },
  );
  property.prop([anyPot])("doing nothing changes nothing", pot => {
    const idle = valueOf(sieve({ ...pot, solids: [] }, 1, 2));
    for (const pool of POOLS) expect(idle.liquor[pool]).toBeCloseTo(pot.liquor[pool], 9);
    expect(valueOf(skimMass(pot, g(0), 0.15)).floatFatG).toBeCloseTo(pot.floatFatG, 9);
    expect(valueOf(emulsify(pot, g(0))).liquor).toEqual(pot.liquor);
  });
});
