import { describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { REFERENCE_BY_ID } from "../../things/larder";
import {
  balanceOf,
  correctives,
  firstDose,
  finishingAcid,
  gastrique,
  halfFirst,
  pepperFor,
  rebalance,
  sodaFor,
} from ".";

const F = NOMINAL_FACTS;
const SPICE = REFERENCE_BY_ID.get("cayenne") as NonNullable<ReturnType<typeof REFERENCE_BY_ID.get>>;
/** Source of the rows: docs/models.md "Balance", "Gastrique". */
describe("taste against its check rows (F-5 to F-11)", () => {
  it("F-5 citric 0.40 → 0.25 % by soda: 1.968 g, over 1 g a kilogram: 1.0 g, 0.324 % left", () => {
    const soda = sodaFor(1000, 0.4, 0.25, "citric");
    expect(soda.wantedG).toBeCloseTo(1.968, 2);
    expect(soda.allowedG).toBe(1);
    expect(soda.leftPct).toBeCloseTo(0.324, 2);
  });
  const f7 = valueOf(
    balanceOf(
      {
        saltPct: 0.9,
        sugarPct: 0.5,
        acidsPct: { citric: 0.08 },
        fatPct: 9,
        msgPct: 0.02,
        impPct: 0.01,
      },
      F,
    ),
  );
  it("F-7 doses: salt 15.52, sweet 1.47, sour 4.00, fat 9.00, umami 21.97; four steps of salt", () => {
    expect(f7.dose.salt).toBeCloseTo(15.52, 1);
    expect(f7.dose.sweet).toBeCloseTo(1.47, 2);
    expect(f7.dose.sour).toBeCloseTo(4, 2);
    expect(f7.dose.fat).toBe(9);
    expect(f7.dose.umami).toBeCloseTo(21.97, 1);
    expect(f7.steps.salt).toBeCloseTo(4.046, 2);
  });
  it("F-8 gastrique: 32.17 g water, acid 2.179 %, 3.17 g lost, 208.1 and 198.1, ratio 1.051", () => {
    const g = valueOf(gastrique({ sugarG: 100, caramel: "amber", vinegarG: 100, acidPct: 6, endG: 130 }, F));
    expect(g.waterG).toBeCloseTo(32.17, 1);
    expect(g.acidPct).toBeCloseTo(2.179, 2);
    expect(6 - g.acidG).toBeCloseTo(3.17, 1);
    expect(g.balance.dose.sweet).toBeCloseTo(208.1, 0);
    expect(g.balance.dose.sour).toBeCloseTo(198.1, 0);
    expect(g.balance.sweetToSour).toBeCloseTo(1.051, 2);
  });
  it("F-11 salt in water is detected at 0.06 %, wanted at 0.5 %, seasoned at 0.8–1 % (common practice): 1, 9, 14–17", () => {
    const dose = (saltPct: number) =>
      valueOf(balanceOf({ saltPct, sugarPct: 0, acidsPct: {}, fatPct: 0 }, F)).dose.salt;
    expect(dose(0.058)).toBeCloseTo(1, 6);
    expect(dose(0.5)).toBeCloseTo(8.6, 1);
    expect(dose(0.8)).toBeGreaterThan(13);
    expect(dose(1)).toBeLessThan(18);
  });
});

describe("acceptance examples of seasoning", () => {
  it("C70 200 g sugar, 300 g vinegar 6 % to 280 g: about 71 % soluble and 4.5 % acid (the model’s Rayleigh loss wins over the flat 30 %)", () => {
    const g = valueOf(gastrique({ sugarG: 200, caramel: "none", vinegarG: 300, acidPct: 6, endG: 280 }, F));
    expect((100 * g.sugarG) / 280).toBeCloseTo(71.4, 0);
    expect(g.acidPct).toBeGreaterThan(2);
    expect(g.acidPct).toBeLessThan(4.6);
  });
  it("C96 90 g of paste with 12 % salt: the salt line falls from 8 g to 0, the acid rises from 20 to 26 g", () => {
    const r = rebalance(900, { massG: 90, saltPct: 12 }, { saltG: 8, acidG: 20 }, F);
    expect(r.broughtG).toBeCloseTo(10.8, 10);
    expect(r.saltG).toBe(0);
    expect(r.acidG).toBeCloseTo(26, 10);
  });
  it("C120 10 g of white pepper in 6 kg: 5 g first; a trace goes in at once, cayenne at × 6 all but a twelfth", () => {
    const named = (name: string) => ({ ...SPICE, name });
    expect(firstDose(named("white pepper, ground"), 10, 6000)?.massG).toBe(5);
    expect(firstDose(named("white pepper, ground"), 4, 6000)).toBeNull();
    expect(firstDose(named("cayenne"), 18, 20_000, 6)?.massG).toBeCloseTo(16.57, 2);
    expect(firstDose(named("caraway"), 18, 6000)).toBeNull();
  });
  it("C120 10 g of pepper: 5 g, then taste", () => expect(halfFirst(10)).toBe(5));
  it("C123 bitter in 5.6 kg: 6.7 g of sugar", () => {
    const flat = valueOf(balanceOf({ saltPct: 0.9, sugarPct: 0.5, acidsPct: {}, fatPct: 5 }, F));
    const bitter = valueOf(
      balanceOf({ saltPct: 0.9, sugarPct: 0.5, acidsPct: {}, fatPct: 5, bitterPct: 0.03 }, F),
    );
    const [first] = correctives(5600, bitter, flat, F);
    expect(first?.taste).toBe("bitter");
    expect(first?.gramsTo).toBeCloseTo(6.72, 2);
  });
  it("C124 3.3 kg gravy at 4 g a kilogram: 6.6 g first, 13.2 g at most", () => {
    const acid = finishingAcid(3300);
    expect(acid.firstG).toBeCloseTo(6.6, 1);
    expect(acid.ceilingG).toBeCloseTo(13.2, 1);
  });
  it("C125 white pepper in a pale velouté, black in a jus", () => {
    expect(pepperFor("veloute").pepper).toBe("white");
    expect(pepperFor("pan-sauce").pepper).toBe("black");
  });
  it("correctives close the gap they name", () => {
    const level = valueOf(
      balanceOf({ saltPct: 0.9, sugarPct: 0.5, acidsPct: { acetic: 0.1 }, fatPct: 5 }, F),
    );
    const now = valueOf(balanceOf({ saltPct: 0.3, sugarPct: 0.5, acidsPct: { acetic: 0.02 }, fatPct: 5 }, F));
    const list = correctives(1000, now, level, F);
    expect(list.map(c => c.taste)).toEqual(["salt", "sour"]);
    expect(list[0]?.gramsTo).toBeCloseTo(6, 6);
    expect(list[1]?.gramsTo).toBeCloseTo(0.8 / 0.06, 6);
  });
});

describe("a kitchen’s own figures of taste", () => {
  it("tongues that find salt at half: twice the dose, and half the grams close the same gap", () => {
    const keen = { ...F, saltThreshold: F.saltThreshold / 2 };
    const of = (saltPct: number, facts: typeof F) =>
      valueOf(balanceOf({ saltPct, sugarPct: 0.5, acidsPct: {}, fatPct: 5 }, facts));
    expect(of(0.9, keen).dose.salt).toBeCloseTo(2 * of(0.9, F).dose.salt, 10);
    const salt = (facts: typeof F) =>
      correctives(1000, of(0.3, F), of(0.9, F), facts).find(c => c.taste === "salt")?.gramsTo ?? 0;
    expect(salt(keen)).toBeCloseTo(salt(F) / 2, 10);
  });
  it("caramel that loses more of its sugar: a gastrique less sweet, as sour", () => {
    const input = { sugarG: 100, caramel: "dark", vinegarG: 100, acidPct: 6, endG: 130 } as const;
    const [usual, bitter] = [F, { ...F, darkCaramelSweet: 0.3 }].map(f => valueOf(gastrique(input, f)));
    expect(bitter?.sugarG).toBeCloseTo(70, 10);
    expect(usual?.sugarG).toBeCloseTo(80, 10);
    expect(bitter?.acidPct).toBeCloseTo(usual?.acidPct ?? 0, 10);
  });
});
