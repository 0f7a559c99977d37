import { fc, test } from "@fast-check/vitest";
import { describe, expect, it } from "vitest";
import { REFERENCE_BY_ID } from "../../things/larder";
import { flavouredPct, oilBlend } from "./oil-blend";

const grams = fc.double({ min: 0.1, max: 1e5, noNaN: true });

it("sunflower is neutral, walnut is not", () => {
  const neutral = (id: string) => REFERENCE_BY_ID.get(id)?.carries?.neutral ?? false;
  expect(["sunflower-oil", "rapeseed-oil", "grapeseed-oil"].map(neutral)).toEqual([true, true, true]);
  expect(["walnut-oil", "olive-oil"].map(neutral)).toEqual([false, false]);
});

describe("oils of a blend", () => {
  it("what has no taste of its own is the larder’s to say; all else counts", () => {
    expect(
      flavouredPct([
        { neutral: true, massG: 850 },
        { neutral: false, massG: 150 },
      ]),
    ).toBe(15);
    expect(flavouredPct([])).toBe(0);
  });
  test.prop([grams, fc.double({ min: 0, max: 100, noNaN: true })])(
    "nothing is lost in a blend, and it reads back as it was mixed",
    (oilG, pct) => {
      const { neutralG, flavouredG } = oilBlend(oilG, pct);
      expect(neutralG + flavouredG).toBeCloseTo(oilG, 6);
      expect(
        flavouredPct([
          { neutral: true, massG: neutralG },
          { neutral: false, massG: flavouredG },
        ]),
      ).toBeCloseTo(100 - pct, 6);
    },
  );
});
