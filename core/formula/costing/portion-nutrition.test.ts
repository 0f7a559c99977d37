import { expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { readFormula } from "../document/document";
import { openKitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";
import { nutritionPerPortion } from "./portion-nutrition";

const kitchen = openKitchen({ ...DEMO_KITCHEN, formulas: {} });

/** So much water with so much cream in it, in portions of 250 g. */
function soup(waterG: number, creamG: number) {
  const read = readFormula({
    schema: 3,
    name: "Soup",
    family: "custom",
    school: "",
    choices: {},
    servedAs: "soup",
    targets: [],
    groups: [],
    base: { name: "water", massG: waterG },
    portionG: 250,
    overagePct: 0,
    steps: [
      {
        id: "a",
        kind: "add",
        durationMin: 1,
        lines: [
          { id: "w", of: { larder: "water" }, amount: { kind: "fixed", massG: waterG }, certainty: "stated" },
          ...(creamG
            ? [
                {
                  id: "c",
                  of: { larder: "cream" },
                  amount: { kind: "fixed", massG: creamG },
                  certainty: "stated",
                },
              ]
            : []),
        ],
      },
    ],
    storage: { keepC: 4, days: 2, words: "" },
    notes: "",
  });
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return nutritionPerPortion(read.value, walk(read.value, kitchen));
}

test("a soup with 15 % cream, with it and without: thirteen grams of fat, a hundred and thirty kilocalories", () => {
  const found = soup(850, 150);
  expect(found?.creamG).toBeCloseTo(37.5, 1);
  const { whole, withoutCream } = found as NonNullable<typeof found>;
  // 35 % cream brings 13 g and 126 kcal; the larder's has 37 % fat.
  expect(whole.fatG - withoutCream.fatG).toBeGreaterThan(13);
  expect(whole.fatG - withoutCream.fatG).toBeLessThan(14.2);
  expect(whole.kcal - withoutCream.kcal).toBeGreaterThan(124);
  expect(whole.kcal - withoutCream.kcal).toBeLessThan(137);
  expect(withoutCream.kcal).toBeLessThan(1);
});
test("where there is no cream both are the same", () => {
  const found = soup(1000, 0);
  expect(found?.creamG).toBe(0);
  expect(found?.withoutCream).toEqual(found?.whole);
});
