import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { THICKENER_IDS } from "./nature-names";
import { type Carries, NATURES, carriesFor, carriesSchema, natureOf } from "./carries";

describe("what an ingredient is in a sauce, as one word", () => {
  test.each(NATURES)("“%s” chosen is that, and chosen again changes nothing", nature => {
    const chosen = carriesFor(nature, undefined);
    expect(natureOf(chosen)).toBe(nature);
    expect(carriesFor(nature, chosen)).toBe(chosen);
    if (chosen) expect(carriesSchema.parse(chosen)).toEqual(chosen);
  });
  test("one nature takes the place of another; there are never two", () => {
    for (const from of NATURES)
      for (const to of NATURES) {
        const changed = carriesFor(to, carriesFor(from, undefined));
        expect(natureOf(changed), `${from} to ${to}`).toBe(to);
        const natures = [
          changed?.thickener,
          changed?.yolkPct,
          changed?.milk,
          changed?.puree,
          changed?.neutral,
        ].filter(Boolean);
        expect(natures.length, `${from} to ${to}`).toBe(to === "" ? 0 : 1);
      }
  });
  test("its acids, its egg and its place in an emulsion stay; a yolk takes the place of the yolk", () => {
    const lemon: Carries = { acids: { citric: 1 }, phase: "lemon juice", egg: "raw" };
    expect(carriesFor("milk", lemon)).toEqual({ ...lemon, milk: true });
    expect(carriesFor("flour", lemon)).toEqual({ ...lemon, thickener: "flour" });
    expect(carriesFor("yolk", lemon)).toEqual({
      acids: { citric: 1 },
      egg: "raw",
      yolkPct: 100,
      phase: "yolk",
    });
    expect(carriesFor("", { milk: true })).toBeUndefined();
    expect(carriesFor("", { ...lemon, milk: true })).toEqual(lemon);
  });
  test("every ingredient of the reference larder keeps what it is through the form", () => {
    for (const { name, carries } of DEMO_KITCHEN.ingredients) {
      if (carries) expect(carriesSchema.parse(carries), name).toEqual(carries);
      expect(carriesFor(natureOf(carries), carries), name).toBe(carries);
    }
    const flours = DEMO_KITCHEN.ingredients.filter(i => THICKENER_IDS.some(id => id === natureOf(i.carries)));
    expect(flours.length).toBeGreaterThan(3);
  });
});
