import { fc, test } from "@fast-check/vitest";
import { describe, expect } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { bodyOf, massOfSauce, standardLiquid } from "../texture";
import {
  PUREE_VEGETABLES,
  SIEVES,
  VEGETABLE_IDS,
  afterSieve,
  allocateBase,
  asSauce,
  blanchDrop,
  blanchIce,
  blenderLoads,
  dryTo,
  greenIndex,
  liquidForPuree,
  pureeBalance,
  solidsPerKgFor,
} from ".";

/** What holds for purées whatever their size: masses add up, and more of a cause is more of its effect. */
const F = NOMINAL_FACTS;
const grams = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const vegetable = fc.constantFrom(...VEGETABLE_IDS).map(id => PUREE_VEGETABLES[id]);
const sieve = fc.constantFrom(...SIEVES);

describe("from the crate to the sieve", () => {
  test.prop([grams(100, 50_000), vegetable, sieve])(
    "nothing is gained on the way, and dry matter is never more than is left",
    (grossG, v, through) => {
      const b = valueOf(pureeBalance({ grossG, vegetable: v, sieve: through }, F));
      expect(b.trimmedG).toBeLessThanOrEqual(grossG + 1e-9);
      expect(b.pureeG).toBeLessThanOrEqual(b.cookedG + 1e-9);
      expect(b.solidsG).toBeLessThan(b.pureeG);
      expect(b.cookedMoisture).toBeGreaterThan(0);
      expect(b.cookedMoisture).toBeLessThan(1);
      expect(b.perKg).toBeCloseTo((1000 * b.solidsG) / b.pureeG, 9);
    },
  );
  test.prop([grams(100, 20_000), vegetable, sieve, grams(0.2, 5)])(
    "ten crates give ten times one",
    (grossG, v, through, k) => {
      const one = valueOf(pureeBalance({ grossG, vegetable: v, sieve: through }, F));
      const many = valueOf(pureeBalance({ grossG: k * grossG, vegetable: v, sieve: through }, F));
      expect(many.pureeG / one.pureeG).toBeCloseTo(k, 9);
      expect(many.perKg).toBeCloseTo(one.perKg, 9);
    },
  );
  test.prop([grams(10, 10_000), grams(0, 0.5), sieve, fc.boolean()])(
    "a sieve takes of both, and of strings more",
    (massG, share, through, fibrous) => {
      const passed = afterSieve(massG, share * massG, through, fibrous, F);
      const smooth = afterSieve(massG, share * massG, through, false, F);
      expect(passed.massG).toBeGreaterThan(0);
      expect(passed.massG).toBeLessThanOrEqual(smooth.massG);
      expect(passed.solidsG).toBeLessThanOrEqual(smooth.solidsG + 1e-12);
    },
  );
  test.prop([vegetable, grams(100, 5000), grams(0.05, 0.99)])(
    "a weight that leaves less than its dry matter is refused, with the least that can be",
    (v, trimmedG, share) => {
      const dry = trimmedG * (1 - v.moisture);
      const refused = pureeBalance(
        {
          trimmedG,
          vegetable: v,
          sieve: "none",
          weighed: { cookedG: share * 0.9 * dry },
        },
        F,
      );
      expect(refused).toMatchObject({ ok: false, problems: [{ code: "NOT_ENOUGH" }] });
      const least = (!refused.ok && (refused.problems[0]?.allowed as { min: number }).min) || 0;
      expect(pureeBalance({ trimmedG, vegetable: v, sieve: "none", weighed: { cookedG: least } }, F).ok).toBe(
        true,
      );
    },
  );
});

describe("drying, sharing out, loads", () => {
  test.prop([grams(1, 50_000), grams(1, 40), grams(41, 95)])(
    "drying keeps the solids",
    (startG, now, wanted) => {
      const { stopG, lostG } = valueOf(dryTo(startG, { startSolidsPct: now, targetSolidsPct: wanted }));
      expect(stopG + lostG).toBeCloseTo(startG, 6);
      expect((stopG * wanted) / 100).toBeCloseTo((startG * now) / 100, 6);
    },
  );
  test.prop([
    grams(0, 10_000),
    fc.array(
      fc.record({ wantG: grams(1, 4000), least: grams(0, 1), priority: fc.integer({ min: 1, max: 3 }) }),
      {
        minLength: 1,
        maxLength: 6,
      },
    ),
  ])(
    "a base is shared out to the gram; nobody gets more than wanted or less than is any use",
    (baseG, wishes) => {
      const demands = wishes.map((w, i) => ({
        id: `d${i}`,
        wantG: w.wantG,
        minG: w.least * w.wantG,
        priority: w.priority,
      }));
      const { given, leftG } = valueOf(allocateBase(baseG, demands));
      const out = Object.values(given).reduce((a, b) => a + b, 0);
      expect(out + leftG).toBeCloseTo(baseG, 6);
      expect(leftG).toBeGreaterThanOrEqual(-1e-6);
      for (const d of demands) {
        const got = given[d.id] ?? 0;
        expect(got).toBeLessThanOrEqual(d.wantG + 1e-6);
        if (got > 0) expect(got).toBeGreaterThanOrEqual(d.minG - 1e-6);
      }
    },
  );
  test.prop([grams(10, 100_000), grams(200, 5000), grams(0, 100)])(
    "the loads hold all of it, none past its fill, and not one more than needed",
    (volumeMl, jarMl, atC) => {
      const made = valueOf(blenderLoads(volumeMl, jarMl, atC));
      expect(made.loads * made.perLoadMl).toBeCloseTo(volumeMl, 6);
      const full = valueOf(blenderLoads(1e7, jarMl, atC)).fill;
      expect(made.fill).toBeLessThanOrEqual(full * 1.001 + 1e-9);
      if (made.loads > 1) expect(volumeMl / (made.loads - 1)).toBeGreaterThan(full * jarMl * 0.999);
    },
  );
});

describe("how it sits", () => {
  // Below 60 °C a purée also stiffens as it cools, which this inverse leaves out.
  test.prop([grams(25, 90), grams(0.8, 1.1)])(
    "the solids for a body give that body, hot",
    (wanted, fineness) => {
      const perKg = solidsPerKgFor(wanted, 60, fineness, F);
      const body = valueOf(bodyOf(asSauce(1000, perKg, fineness), 60, F));
      expect(body.thickness).toBeCloseTo(wanted, 4);
    },
  );
  test.prop([
    grams(300, 5000),
    grams(40, 70),
    grams(30, 75),
    fc.constantFrom("water", "milk", "cream" as const),
  ])(
    "liquid, or steam, brings it where it is wanted, and its mass is accounted for",
    (massG, perKg, wanted, liquid) => {
      const puree = asSauce(massG, (massG * perKg) / 1000);
      const found = liquidForPuree(puree, standardLiquid(liquid, 1), wanted, 60, F);
      if (!found.ok) {
        expect(found.problems[0]?.message.length).toBeGreaterThan(10);
        return;
      }
      const { addG, evaporateG, state } = found.value;
      expect(massOfSauce(state)).toBeCloseTo(massG + addG - evaporateG, 4);
      expect(valueOf(bodyOf(state, 60, F)).thickness).toBeCloseTo(wanted, 1);
    },
  );
});

describe("greens", () => {
  test.prop([grams(20, 100), grams(3.5, 7.5), grams(0, 240), grams(0.1, 60)])(
    "green is only lost: longer, hotter and sourer keep less",
    (atC, pH, minutes, more) => {
      const kept = greenIndex(atC, pH, minutes, F);
      expect(kept).toBeGreaterThanOrEqual(0);
      expect(kept).toBeLessThanOrEqual(1);
      expect(greenIndex(atC, pH, minutes + more, F)).toBeLessThanOrEqual(kept);
      expect(greenIndex(atC + 5, pH, minutes, F)).toBeLessThanOrEqual(kept);
      expect(greenIndex(atC, pH - 0.5, minutes, F)).toBeLessThanOrEqual(kept);
    },
  );
  test.prop([grams(10, 5000), grams(0, 25), grams(1000, 50_000)])(
    "more water falls less, and never below what goes in",
    (greensG, atC, waterG) => {
      const drop = valueOf(blanchDrop(greensG, atC, waterG));
      expect(drop).toBeGreaterThan(0);
      expect(100 - drop).toBeGreaterThanOrEqual(atC - 1e-9);
      expect(valueOf(blanchDrop(greensG, atC, 2 * waterG))).toBeLessThan(drop);
    },
  );
  test.prop([grams(10, 5000), grams(0, 5000), grams(8, 25), grams(1, 7)])(
    "ice pays for exactly the heat of greens and tap water",
    (greensG, tapG, tapC, toC) => {
      const ice = valueOf(blanchIce(greensG, 98, toC, tapG, tapC));
      const heat = greensG * 3.9 * (98 - toC) + 4.19 * tapG * (tapC - toC);
      expect(ice * (334 + 4.19 * toC)).toBeCloseTo(heat, 3);
    },
  );
});
