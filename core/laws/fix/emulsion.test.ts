import { describe, expect, test } from "vitest";
import { type EmulsionInput, bareEmulsion, emulsionOf, massOf, withPart } from "../emulsion";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { NO_SAUCE, type SauceState } from "../texture";
import { type Complaint, type FixTarget, afterOf, remediesFor } from ".";

const F = NOMINAL_FACTS;
/** Source: docs/models.md "Emulsions", the mayonnaise of its check rows: φ 0.8015, body 68.08. */
const input: EmulsionInput = {
  oilG: 300,
  oilKind: "oil",
  parts: [
    { id: "yolk", massG: 36 },
    { id: "mustard", massG: 15 },
    { id: "vinegar", massG: 30 },
    { id: "salt", massG: 4 },
  ],
  temperatureC: 20,
  tool: "whisk",
};
/** The same as a sauce: water and what is dissolved besides oil, yolk and salt. */
const state: SauceState = { ...NO_SAUCE, waterG: 42, dissolvedG: 3, saltG: 4, fatG: 300, yolkG: 36 };
const sauce = { state, temperatureC: 20, emulsion: input };
const mend = (complaint: Complaint, target: FixTarget) => remediesFor(complaint, { ...sauce, target }, F);
const first = (complaint: Complaint, target: FixTarget) => {
  const [remedy] = valueOf(mend(complaint, target));
  if (!remedy) throw new Error("Nothing mends it.");
  return remedy;
};
const body = valueOf(emulsionOf(input, F)).thickness ?? NaN;

describe("an emulsion is mended as one", () => {
  test("its body is that of the emulsion, not of a sauce with so much fat", () => {
    expect(afterOf(state, { ...sauce, target: {} }, F).thickness).toBeCloseTo(body, 6);
    expect(afterOf(state, { state, temperatureC: 20, target: {} }, F).thickness).toBeNull();
  });
  test("too thin: oil in a thread until it stands, and no more than the water phase takes", () => {
    const more = first("too-thin", { thickness: body + 4 });
    expect(more.what).toBe("more oil");
    expect(more.after.thickness).toBeCloseTo(body + 4, 1);
    expect(bareEmulsion({ ...input, oilG: 300 + more.addG }, F).thickness).toBeCloseTo(body + 4, 1);
    expect(more.brings).toEqual({ "sunflower-oil": more.addG });
    const overfull = mend("too-thin", { thickness: 95 });
    expect(overfull.ok ? "" : overfull.problems[0]?.message).toMatch(
      /before it is overfull: more yolk or mustard/,
    );
  });
  test("too thick: water by the spoon, weighed", () => {
    const water = first("too-thick", { thickness: body - 10 });
    expect(
      bareEmulsion({ ...input, parts: withPart(input.parts, "water", water.addG) }, F).thickness,
    ).toBeCloseTo(body - 10, 3);
    expect(water.after.thickness).toBeCloseTo(body - 10, 1);
    expect(water.after.massG).toBeCloseTo(385 + water.addG, 6);
  });
  test("what it is not accused of rightly is said with its figure", () => {
    const thin = mend("too-thin", { thickness: body - 20 });
    expect(thin.ok ? "" : thin.problems[0]?.message).toMatch(/It has body \d+ already/);
    const thick = mend("too-thick", { thickness: body + 5 });
    expect(thick.ok ? "" : thick.problems[0]?.message).toMatch(/not more than the \d+ wanted/);
  });
  test("too salty: the same without salt keeps the body, water costs it", () => {
    const [same, water] = valueOf(mend("too-salty", { saltPct: 0.8 }));
    expect(same?.after.saltPct).toBeCloseTo(0.8, 6);
    expect(same?.after.thickness).toBeCloseTo(body, 0);
    expect(water?.after.saltPct).toBeCloseTo(0.8, 6);
    expect(water?.after.thickness ?? NaN).toBeLessThan(body - 3);
    // 385 g at 1.039 % to 0.8 %: mass balance, exact.
    expect(same?.addG).toBeCloseTo(4 / 0.008 - 385, 6);
  });
  test("split: onto water first, onto a new yolk once that has failed", () => {
    const found = valueOf(mend("split", {}));
    expect(found.map(r => r.brings)).toEqual([{}, { "egg-yolk": 18 }]);
    for (const remedy of found) {
      expect(remedy.order.join(" ")).toMatch(/clean bowl/);
      expect(remedy.addG).toBeGreaterThanOrEqual(15);
      expect(remedy.after.massG).toBeCloseTo(385 + remedy.addG, 6);
    }
  });
  test("greasy: nobody skims a mayonnaise", () => {
    const remedies = valueOf(mend("greasy", { fatPct: 60 }));
    expect(remedies.map(r => r.what)).toEqual(["water, by the spoon"]);
    expect(remedies[0]?.after.fatPct).toBeCloseTo(60, 6);
  });
  test("warm and of butter: clarified butter in, and the water is warm", () => {
    const warm = { ...input, oilKind: "butterfat" as const, temperatureC: 60, cookedYolk: true };
    const is = bareEmulsion(warm, F).thickness ?? NaN;
    const asked = (complaint: Complaint, thickness: number) =>
      valueOf(
        remediesFor(complaint, { state, temperatureC: 60, emulsion: warm, target: { thickness } }, F),
      )[0];
    expect(asked("too-thin", is + 2)?.brings).toHaveProperty("clarified-butter");
    expect(asked("too-thick", is - 5)?.what).toMatch(/60 °C/);
  });
  test("all its parts are of this bowl: 85 g under 300 g of oil", () => expect(massOf(input.parts)).toBe(85));
});
