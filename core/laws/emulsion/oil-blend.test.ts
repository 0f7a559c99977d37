import { fc, test } from "@fast-check/vitest";
import { describe, expect, it } from "vitest";
import { flavouredPct, oilBlend } from "./oil-blend";

const grams = fc.double({ min: 0.1, max: 1e5, noNaN: true });

describe("oils of a blend", () => {
  it("sunflower is neutral, walnut is not, and an oil nobody knows counts as flavoured", () => {
    expect(
      flavouredPct([
        { name: "sunflower oil", massG: 850 },
        { name: "walnut oil", massG: 150 },
      ]),
    ).toBe(15);
    expect(flavouredPct([{ name: "oil of the valley", massG: 10 }])).toBe(100);
    expect(flavouredPct([])).toBe(0);
  });
  test.prop([grams, fc.double({ min: 0, max: 100, noNaN: true })])(
    "nothing is lost in a blend, and it reads back as it was mixed",
    (oilG, pct) => {
      const { neutralG, flavouredG } = oilBlend(oilG, pct);
      expect(neutralG + flavouredG).toBeCloseTo(oilG, 6);
      expect(
        flavouredPct([
          { name: "rapeseed oil", massG: neutralG },
          { name: "walnut oil", massG: flavouredG },
        ]),
      ).toBeCloseTo(100 - pct, 6);
    },
  );
});
