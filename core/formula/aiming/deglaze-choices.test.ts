import { describe, expect, test } from "vitest";
import { mm } from "../../ground/quantity";
import { deglazeMl, overPourMinutes } from "../../laws/reduction";
import { valueOf } from "../../ground/result";
import { deglazeChoices, updateStep, walk } from "..";
import { demo, kitchen } from "../walk/testing";

describe("C158h what to lift the fond with", () => {
  test("a 28 cm pan takes 150 ml; 60 ml more boil 1.7 min at 35 ml/min", () => {
    expect(valueOf(deglazeMl(mm(280)))).toBeCloseTo(150, 6);
    expect(valueOf(overPourMinutes(60, 35))).toBeCloseTo(1.7, 1);
  });
  const sauce = demo("cider-juniper-pan-sauce");
  const found = deglazeChoices(sauce, "deglaze", walk(sauce, kitchen), kitchen);
  test("each liquid is walked to the end of the line, in what the floor takes", () => {
    expect(found?.choices.map(c => c.liquid)).toEqual(["water", "wine", "vinegar", "spirit", "stock"]);
    for (const choice of found?.choices ?? []) expect(walk(choice.document, kitchen).problems).toEqual([]);
  });
  test("the consequences differ as they should", () => {
    const of = (liquid: string) => found?.choices.find(c => c.liquid === liquid)?.outcome;
    expect(of("vinegar")?.acid).toBeGreaterThan(of("water")?.acid ?? Infinity);
    expect(of("spirit")?.alcohol).toBeGreaterThanOrEqual(of("water")?.alcohol ?? Infinity);
  });
  test("where nothing is poured there is nothing to compare", () => {
    const dry = updateStep(sauce, "deglaze", { lines: [] });
    expect(deglazeChoices(dry, "deglaze", walk(dry, kitchen), kitchen)).toBeNull();
  });
});
