import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { g } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import {
  EMPTY_POT,
  NO_POOLS,
  POOLS,
  type PotState,
  accountedFor,
  contentsOf,
  evaporate,
  exitMass,
  liquorMass,
  massOfPools,
  onePool,
  potMass,
  reconcile,
  solidsMass,
} from ".";

/** A pot of so much liquor (4 % gelatin and solids), bones (60 % water) and floating fat, g. */
function holding(liquorG: number, bonesG: number, fatG = 0): PotState {
  const pot: PotState = {
    ...EMPTY_POT,
    liquor: { ...NO_POOLS, water: 0.96 * liquorG, collagen: 0.03 * liquorG, salt: 0.01 * liquorG },
    solids: bonesG
      ? [
          {
            id: "bones",
            name: "bones",
            kind: "veal-bones",
            pools: { ...NO_POOLS, water: 0.6 * bonesG, fat: 0.1 * bonesG, proteinOther: 0.3 * bonesG },
            rawG: g(bonesG),
            rawWaterG: g(0.6 * bonesG),
            rawFatG: g(0.1 * bonesG),
            roasted: false,
            gaveGelatinG: g(0),
            gaveSolidsG: g(0),
            juiceReleased: false,
          },
        ]
      : [],
    floatFatG: g(fatG),
  };
  return { ...pot, entered: accountedFor(pot) };
}

describe("while it boils, the difference is steam", () => {
  test("more steam than foreseen comes out of the liquor", () => {
    const put = valueOf(reconcile(holding(1000, 500), g(1300), "vapour"));
    expect(liquorMass(put)).toBeCloseTo(800, 9);
    expect(solidsMass(put)).toBeCloseTo(500, 9);
    expect(put.exits.vapour).toEqual(onePool("water", 200));
  });
  test("less steam than foreseen gives water back from the steam, not from nowhere", () => {
    const boiled = valueOf(evaporate(holding(1000, 0), { water: 300 }));
    const put = valueOf(reconcile(boiled, g(750), "vapour"));
    expect(potMass(put)).toBeCloseTo(750, 9);
    expect(put.exits.vapour.water).toBeCloseTo(250, 9);
    expect(put.entered).toEqual(boiled.entered);
  });
  test("more than ever steamed away is more of what is in there", () => {
    const put = valueOf(reconcile(holding(1000, 0), g(1200), "vapour"));
    expect(put.liquor.collagen).toBeCloseTo(36, 9);
    expect(put.entered.collagen).toBeCloseTo(36, 9);
  });
  test("bones roasted dry, weighed lighter: the water left the bones", () => {
    const put = valueOf(reconcile(holding(0, 1000, 50), g(950), "vapour"));
    expect(put.solids[0]?.pools.water).toBeCloseTo(500, 9);
    expect(put.solids[0]?.pools.proteinOther).toBeCloseTo(300, 9);
    expect(put.floatFatG).toBe(50);
    expect(exitMass(put, "vapour")).toBeCloseTo(100, 9);
  });
  test("bones roasted less than foreseen keep their water; no liquor appears under them", () => {
    const roasted = valueOf(reconcile(holding(0, 1000), g(800), "vapour"));
    const put = valueOf(reconcile(roasted, g(900), "vapour"));
    expect(liquorMass(put)).toBe(0);
    expect(put.solids[0]?.pools.water).toBeCloseTo(500, 9);
  });
  test("a pan nearly dry: first the liquor, then the food", () => {
    const put = valueOf(reconcile(holding(50, 1000), g(900), "vapour"));
    expect(put.liquor.water).toBeCloseTo(0, 9);
    expect(put.solids[0]?.pools.water).toBeCloseTo(600 - (150 - 48), 9);
  });
  test("what cannot have steamed away is refused, with how much could", () => {
    const refused = reconcile(holding(1000, 0), g(10), "vapour");
    expect(refused.ok).toBe(false);
    if (!refused.ok) {
      expect(refused.problems[0]?.allowed).toBeCloseTo(960, 9);
      expect(refused.problems[0]?.message).toMatch(/990.g are missing, and only 960.g of water/);
    }
  });
});

describe("off the boil, something was poured or added", () => {
  test("a little less is liquor that was poured, in its proportions", () => {
    const put = valueOf(reconcile(holding(1000, 500), g(1400), "poured"));
    expect(put.liquor.salt).toBeCloseTo(9, 9);
    expect(solidsMass(put)).toBeCloseTo(500, 9);
    expect(exitMass(put, "poured")).toBeCloseTo(100, 9);
  });
  test("a little more is more of the same liquor", () => {
    const put = valueOf(reconcile(holding(1000, 500), g(1600), "poured"));
    expect(put.liquor.salt).toBeCloseTo(11, 9);
    expect(put.entered.salt).toBeCloseTo(11, 9);
  });
  test.each([950, 1060])("bones that lie dry and weigh %d g are so many bones", weighed => {
    const put = valueOf(reconcile(holding(0, 1000), g(weighed), "poured"));
    expect(put.solids[0]?.rawG).toBeCloseTo(weighed, 9);
    expect(put.solids[0]?.pools.proteinOther).toBeCloseTo(0.3 * weighed, 9);
    expect(liquorMass(put)).toBe(0);
  });
  test("fat alone is less fat", () => {
    const put = valueOf(reconcile(holding(0, 0, 400), g(380), "poured"));
    expect(put.floatFatG).toBeCloseTo(380, 9);
    expect(put.exits.poured.fat).toBeCloseTo(20, 9);
  });
  test("what an empty pot is found to hold is water", () => {
    const put = valueOf(reconcile(EMPTY_POT, g(300), "poured"));
    expect(contentsOf(put)).toEqual(onePool("water", 300));
  });
});

property.prop([
  fc.record({
    liquor: fc.double({ min: 0, max: 5000, noNaN: true }),
    bones: fc.double({ min: 0, max: 5000, noNaN: true }),
    fat: fc.double({ min: 0, max: 500, noNaN: true }),
  }),
  fc.double({ min: 0, max: 2, noNaN: true }),
  fc.constantFrom("vapour" as const, "poured" as const),
])(
  "the pot weighs what was weighed, every pool is accounted for and none is negative, or it is refused",
  ({ liquor, bones, fat }, factor, through) => {
    const pot = holding(liquor, bones, fat);
    const weighed = g(factor * potMass(pot));
    const put = reconcile(pot, weighed, through);
    if (!put.ok) {
      expect(through).toBe("vapour");
      expect(potMass(pot) - weighed).toBeGreaterThan(pot.liquor.water);
      return;
    }
    expect(potMass(put.value)).toBeCloseTo(weighed, 6);
    const accounted = accountedFor(put.value);
    for (const pool of POOLS) {
      expect(accounted[pool], pool).toBeCloseTo(put.value.entered[pool], 6);
      expect(put.value.liquor[pool], pool).toBeGreaterThanOrEqual(-1e-9);
      for (const part of put.value.solids) expect(part.pools[pool], pool).toBeGreaterThanOrEqual(-1e-9);
    }
    expect(massOfPools(accounted)).toBeCloseTo(massOfPools(put.value.entered), 6);
  },
);
