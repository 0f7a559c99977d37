import { fc, test } from "@fast-check/vitest";
import { describe, expect } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { ACID_IDS } from "../texture";
import {
  BITTER_SUGAR_G_PER_KG,
  CARAMEL_STAGES,
  OFF_LEVEL_STEPS,
  TASTES,
  balanceOf,
  condimentGlaze,
  correctives,
  gastrique,
  projectSalt,
  rebalance,
  saltDose,
  sodaFor,
} from ".";

const F = NOMINAL_FACTS;
/** Salt, acid and sugar are masses: what goes in is in it, and nothing else is. */
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe("salt", () => {
  test.prop([
    number(100, 20_000),
    number(0, 1),
    number(1, 2.5),
    fc.array(fc.record({ massG: number(0, 300), saltPct: number(0, 8) }), { maxLength: 4 }),
  ])("the dose, with all that is still to come, is the target to the gram", (massG, now, target, toCome) => {
    const dose = saltDose(massG, now, target, toCome);
    if (!dose.ok) {
      expect(dose.problems[0]).toMatchObject({ code: "ABOVE_TARGET", field: "targetPct" });
      return;
    }
    const all = massG + toCome.reduce((m, p) => m + p.massG, 0) + dose.value.addG;
    const salt = (massG * now + toCome.reduce((m, p) => m + p.massG * p.saltPct, 0)) / 100 + dose.value.addG;
    expect((100 * salt) / all).toBeCloseTo(target, 8);
    expect(dose.value.firstG).toBeLessThanOrEqual(dose.value.addG);
    expect(dose.value.firstG).toBeGreaterThanOrEqual(0);
  });
  test.prop([number(0.05, 0.6), number(500, 20_000), number(0.1, 1), number(0.5, 1.5)])(
    "a reduction keeps its salt; what may be in now ends at the target",
    (nowPct, nowG, share, target) => {
      const endG = share * nowG;
      const made = valueOf(projectSalt(nowPct, nowG, endG, target));
      expect((made.endPct * endG) / 100).toBeCloseTo((nowPct * nowG) / 100, 6);
      expect(valueOf(projectSalt(made.mostNowPct, nowG, endG, target)).endPct).toBeCloseTo(target, 9);
      const after = (100 * ((made.endPct * endG) / 100 + made.addAtEndG)) / (endG + made.addAtEndG);
      if (made.addAtEndG > 0) expect(after).toBeCloseTo(target, 8);
      else expect(made.endPct).toBeGreaterThanOrEqual(target - 1e-9);
    },
  );
  test.prop([number(200, 5000), number(0, 500), number(0, 30), number(0, 60), number(0, 60)])(
    "something strong brings its salt: the line gives way first, the rest is over",
    (baseG, massG, saltPct, saltG, acidG) => {
      const made = rebalance(baseG, { massG, saltPct }, { saltG, acidG }, F);
      expect(made.broughtG).toBeCloseTo((massG * saltPct) / 100, 9);
      expect(made.saltG + made.broughtG - made.overG).toBeCloseTo(saltG, 9);
      expect(made.saltG === 0 || made.overG === 0).toBe(true);
      expect(made.acidG).toBeGreaterThanOrEqual(acidG);
    },
  );
  test.prop([number(10, 500), number(0, 20), number(0, 500), number(0.2, 1)])(
    "a glaze boiled down holds all the salt of its condiment",
    (condimentG, saltPct, restG, share) => {
      const all = condimentG + restG;
      const made = valueOf(
        condimentGlaze(
          [
            { massG: condimentG, saltPct },
            { massG: restG, saltPct: 0 },
          ],
          share * all,
          share * all,
        ),
      );
      expect(made.perServingG).toBeCloseTo((condimentG * saltPct) / 100, 9);
    },
  );
});

describe("sour and sweet", () => {
  test.prop([number(100, 10_000), number(0.1, 2), number(0, 1), fc.constantFrom(...ACID_IDS)])(
    "soda takes away what it can bear and no more",
    (massG, now, share, acid) => {
      const soda = sodaFor(massG, now, share * now, acid);
      expect(soda.allowedG).toBeLessThanOrEqual(massG / 1000 + 1e-9);
      expect(soda.allowedG).toBeLessThanOrEqual(soda.wantedG + 1e-9);
      expect(soda.leftPct).toBeGreaterThanOrEqual(share * now - 1e-9);
      expect(soda.leftPct).toBeLessThanOrEqual(now + 1e-9);
      if (soda.allowedG === soda.wantedG) expect(soda.leftPct).toBeCloseTo(share * now, 9);
    },
  );
  test.prop([
    number(20, 500),
    fc.constantFrom(...CARAMEL_STAGES),
    number(50, 800),
    number(3, 8),
    number(0.05, 0.95),
  ])(
    "a gastrique weighs what is in it; boiled further it is sweeter and sourer by the gram",
    (sugarG, caramel, vinegarG, acidPct, share) => {
      const of = (endG: number) => gastrique({ sugarG, caramel, vinegarG, acidPct, endG }, F);
      const limits = of(1e9);
      const { min, max } = (!limits.ok && (limits.problems[0]?.allowed as { min: number; max: number })) || {
        min: 0,
        max: 0,
      };
      const endG = min + share * (max - min);
      const made = valueOf(of(endG));
      expect(made.waterG + made.acidG + min).toBeCloseTo(endG, 3);
      expect(made.acidLostPct).toBeGreaterThanOrEqual(-1e-6);
      expect(made.acidLostPct).toBeLessThanOrEqual(100);
      const further = valueOf(of(min + 0.9 * share * (max - min)));
      expect(further.sugarPct).toBeGreaterThan(made.sugarPct);
      expect(further.acidG).toBeLessThanOrEqual(made.acidG + 1e-9);
    },
  );
});

describe("balance", () => {
  const sauce = fc.record({
    saltPct: number(0, 2),
    sugarPct: number(0, 10),
    acidsPct: fc.record({ acetic: number(0, 0.8), citric: number(0, 0.8) }),
    fatPct: number(0, 60),
    bitterPct: number(0, 0.1),
    msgPct: number(0, 0.2),
    impPct: number(0, 0.02),
  });
  test.prop([sauce])("doses are never negative, and a step is twice as much", input => {
    const b = valueOf(balanceOf(input, F));
    for (const taste of TASTES) {
      expect(b.dose[taste]).toBeGreaterThanOrEqual(0);
      expect(2 ** b.steps[taste] - 1).toBeCloseTo(b.dose[taste], 6);
    }
  });
  test.prop([sauce, sauce, number(200, 10_000)])(
    "what is added brings a taste to its level and never over it",
    (nowInput, levelInput, massG) => {
      const [now, level] = [valueOf(balanceOf(nowInput, F)), valueOf(balanceOf(levelInput, F))];
      for (const c of correctives(massG, now, level, F)) {
        expect(c.gramsFrom).toBeLessThanOrEqual(c.gramsTo);
        expect(c.gramsFrom).toBeGreaterThan(0);
        const perKg = (1000 * c.gramsTo) / massG;
        if (c.taste === "salt")
          expect(now.dose.salt + perKg / F.saltThreshold).toBeCloseTo(level.dose.salt, 6);
        if (c.taste === "sweet")
          expect(now.dose.sweet + perKg / F.sweetThreshold).toBeLessThanOrEqual(level.dose.sweet + 1e-9);
        if (c.taste === "sour")
          expect(now.dose.sour + (0.06 * perKg) / F.aceticThreshold).toBeCloseTo(level.dose.sour, 6);
        if (c.taste === "bitter") expect(perKg).toBeCloseTo(BITTER_SUGAR_G_PER_KG, 9);
      }
    },
  );
  test.prop([sauce, number(200, 10_000)])("at its level nothing is offered", (input, massG) => {
    const b = valueOf(balanceOf(input, F));
    expect(correctives(massG, b, b, F)).toEqual([]);
    expect(OFF_LEVEL_STEPS).toBeGreaterThan(0);
  });
});
