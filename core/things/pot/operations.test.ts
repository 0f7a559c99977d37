import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { REFERENCE_LARDER } from "../larder";
import { degC, g } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { STOCK, anIngredient, composed, liquid } from "../../testing";
import {
  EMPTY_POT,
  POOLS,
  type PotState,
  accountedFor,
  addIngredient,
  dryPart,
  evaporate,
  exitMass,
  extract,
  liquorMass,
  massOfPools,
  potMass,
  pour,
  reconcile,
  renderFat,
  scalePot,
  skimFat,
  solidsMass,
  strain,
} from ".";

const inPot = (liquor: ReturnType<typeof liquid>, floatFat = 0, solids = 0): PotState => {
  const bones = liquid(solids, { water: 60, fat: 10, protein: 20, other: 10 });
  const part = {
    id: "bones",
    name: "bones",
    kind: "veal-bones" as const,
    pools: bones,
    rawG: g(solids),
    rawWaterG: g(0.6 * solids),
    rawFatG: g(0.1 * solids),
    roasted: false,
    gaveGelatinG: g(0),
    gaveSolidsG: g(0),
    juiceReleased: false,
  };
  const state = { ...EMPTY_POT, liquor, floatFatG: g(floatFat), solids: solids ? [part] : [] };
  return { ...state, entered: accountedFor(state) };
};

describe("check rows of the mass balance (exact arithmetic)", () => {
  test("1 kg stock less 0.4 kg water: 0.6 kg with 5 % protein, 3.6667 % gelatin", () => {
    const pot = valueOf(evaporate(inPot(liquid(1000, STOCK)), { water: 400 }));
    expect(liquorMass(pot)).toBeCloseTo(600, 9);
    expect((pot.liquor.proteinOther + pot.liquor.collagen) / 6).toBeCloseTo(5, 9);
    expect(pot.liquor.collagen / 6).toBeCloseTo(3.66667, 5);
  });
  test("5 kg stock + 3 kg solids strained at 0.10: 4.7 kg liquor, 3.3 kg out", () => {
    const pot = strain(inPot(liquid(5000, STOCK), 0, 3000), () => 0.1, 0);
    expect(liquorMass(pot)).toBeCloseTo(4700, 9);
    expect(exitMass(pot, "strained")).toBeCloseTo(3300, 9);
  });
  test("5 kg stock with 120 g fat skimmed at 0.9 and 0.15: 12 g fat left, 4.9838 kg, 124.2 g off", () => {
    const pot = valueOf(skimFat(inPot(liquid(5000, STOCK), 120), 0.9, 0.15));
    expect(pot.floatFatG).toBeCloseTo(12, 9);
    expect(liquorMass(pot)).toBeCloseTo(4983.8, 9);
    expect(exitMass(pot, "skim")).toBeCloseTo(124.2, 9);
    expect(pot.exits.skim.fat).toBeCloseTo(108.0324, 9);
  });
  test("0.60 % salt reduced by mass to 0.35 is 1.7143 %", () => {
    const pot = valueOf(evaporate(inPot(liquid(1000, { water: 99.4, salt: 0.6 })), { water: 650 }));
    expect((100 * pot.liquor.salt) / liquorMass(pot)).toBeCloseTo(1.7143, 4);
  });
});

describe("refusals", () => {
  test("more steam than water is refused with what there is", () => {
    const refused = evaporate(inPot(liquid(100, { water: 100 })), { water: 140 });
    expect(refused).toMatchObject({
      ok: false,
      problems: [{ code: "NOT_ENOUGH", field: "water", allowed: 100 }],
    });
    expect(pour(inPot(liquid(100, STOCK)), g(200))).toMatchObject({
      ok: false,
      problems: [{ code: "NOT_ENOUGH" }],
    });
    expect(skimFat(EMPTY_POT, 1.2, 0)).toMatchObject({ ok: false, problems: [{ code: "FRACTION" }] });
    expect(
      addIngredient(EMPTY_POT, anIngredient({ composition: composed({ water: 40 }) }), g(10), {
        id: "x",
        temperatureC: degC(15),
      }),
    ).toMatchObject({ ok: false, problems: [{ code: "SUM_NOT_100" }] });
    expect(
      addIngredient(EMPTY_POT, anIngredient(), g(NaN), { id: "x", temperatureC: degC(15) }),
    ).toMatchObject({ ok: false, problems: [{ code: "NOT_FINITE" }] });
  });
});

/** One thing a cook may do, as data: the property below lets any sequence of them run. */
type Act =
  | { do: "add"; which: number; mass: number }
  | { do: "steam" | "skim" | "strain" | "pour" | "render" | "dry" | "leach" | "weigh"; share: number };

const act = fc.oneof(
  fc.record({
    do: fc.constant("add" as const),
    which: fc.nat(REFERENCE_LARDER.length - 1),
    mass: fc.double({ min: 0, max: 20_000, noNaN: true }),
  }),
  fc.record({
    do: fc.constantFrom(
      "steam" as const,
      "skim" as const,
      "strain" as const,
      "pour" as const,
      "render" as const,
      "dry" as const,
      "leach" as const,
      "weigh" as const,
    ),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
  }),
);

function perform(pot: PotState, one: Act, i: number): PotState {
  const part = pot.solids[0];
  switch (one.do) {
    case "add": {
      const ingredient = REFERENCE_LARDER[one.which];
      return ingredient
        ? valueOf(addIngredient(pot, ingredient, g(one.mass), { id: `p${i}`, temperatureC: degC(15) }))
        : pot;
    }
    case "steam":
      return valueOf(
        evaporate(pot, {
          water: one.share * pot.liquor.water,
          ethanol: one.share * pot.liquor.ethanol,
          acidVolatile: one.share * pot.liquor.acidVolatile,
        }),
      );
    case "skim":
      return valueOf(skimFat(pot, one.share, 0.15));
    case "strain":
      return strain(pot, () => one.share, 0.05);
    case "pour":
      return valueOf(pour(pot, g(one.share * liquorMass(pot))));
    case "render":
      return part ? renderFat(pot, part.id, g(one.share * 500)) : pot;
    case "dry":
      return part ? dryPart(pot, part.id, g(one.share * 500)) : pot;
    case "leach":
      return part
        ? extract(pot, part.id, { water: one.share * 100, collagen: one.share * 40, sugars: one.share * 9 })
        : pot;
    case "weigh": {
      const put = reconcile(pot, g(potMass(pot) * (0.9 + 0.2 * one.share)), "poured");
      return put.ok ? put.value : pot;
    }
  }
}

describe("invariants", () => {
  property.prop([fc.array(act, { maxLength: 25 })], { numRuns: 300 })(
    "mass in = mass in the pot + mass that left, pool by pool, to 1 mg",
    acts => {
      const pot = acts.reduce(perform, EMPTY_POT);
      const accounted = accountedFor(pot);
      for (const pool of POOLS) {
        expect(Math.abs(pot.entered[pool] - accounted[pool]), pool).toBeLessThan(1e-3);
        expect(pot.liquor[pool], pool).toBeGreaterThan(-1e-9 * Math.max(1, massOfPools(pot.entered)));
      }
    },
  );

  property.prop([fc.array(act, { maxLength: 12 }), fc.double({ min: 0.1, max: 8, noNaN: true })])(
    "a pot λ times as large behaves λ times as large",
    (acts, factor) => {
      const plain = acts.filter(
        a => a.do === "add" || a.do === "steam" || a.do === "strain" || a.do === "skim",
      );
      const once = plain.reduce(perform, EMPTY_POT);
      const scaled = plain
        .map(a => (a.do === "add" ? { ...a, mass: a.mass * factor } : a))
        .reduce(perform, EMPTY_POT);
      expect(potMass(scaled)).toBeCloseTo(potMass(scalePot(once, factor)), 4);
      expect(solidsMass(scaled)).toBeCloseTo(solidsMass(once) * factor, 4);
    },
  );

  test("evaporating and topping up with the same water restores the pot", () => {
    const pot = inPot(liquid(3000, STOCK));
    const back = valueOf(
      addIngredient(valueOf(evaporate(pot, { water: 700 })), anIngredient(), g(700), {
        id: "w",
        temperatureC: degC(15),
      }),
    );
    expect(back.liquor.water).toBeCloseTo(pot.liquor.water, 9);
    expect(back.liquor.collagen).toBe(pot.liquor.collagen);
  });

  test("doing nothing changes nothing", () => {
    const pot = inPot(liquid(1000, STOCK), 30);
    expect(valueOf(evaporate(pot, { water: 0 })).liquor).toEqual(pot.liquor);
    expect(valueOf(skimFat(pot, 0, 0.15)).floatFatG).toBe(30);
    expect(valueOf(pour(pot, g(0))).liquor).toEqual(pot.liquor);
  });
});
