import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { g } from "../../ground/quantity";
import { linesOf } from "../document/document";
import { openKitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";
import { atSize } from "./at-size";

const kitchen = openKitchen({ ...DEMO_KITCHEN, formulas: DEMO_FORMULAS });
const NAMES = Object.keys(DEMO_FORMULAS);

describe("another size", () => {
  test("of a mayonnaise: twice of everything, and twice as much comes out", () => {
    const mayonnaise = Object.values(DEMO_FORMULAS).find(f => /mayonnaise/i.test(f.name));
    if (!mayonnaise) throw new Error("The demo has no mayonnaise.");
    const once = walk(mayonnaise, kitchen);
    const twice = walk(atSize(mayonnaise, g(2 * mayonnaise.base.massG)), kitchen);
    expect(twice.finishedG / once.finishedG).toBeCloseTo(2, 9);
  });
  test("the size it stands at changes nothing", () => {
    const [stock] = Object.values(DEMO_FORMULAS);
    if (stock) expect(atSize(stock, g(stock.base.massG))).toBe(stock);
  });
  property.prop([fc.constantFrom(...NAMES), fc.double({ min: 0.1, max: 20, noNaN: true })], { numRuns: 60 })(
    "there and back is the same formula, and every amount in grams goes with the base",
    (name, factor) => {
      const before = DEMO_FORMULAS[name];
      if (!before) return;
      const there = atSize(before, g(before.base.massG * factor));
      const back = atSize(there, g(before.base.massG));
      expect(back.base).toEqual(before.base);
      linesOf(before).forEach((line, i) => {
        const [out, home] = [linesOf(there)[i]?.amount, linesOf(back)[i]?.amount];
        if (!("massG" in line.amount)) return expect(out).toEqual(line.amount);
        expect(out && "massG" in out && out.massG / line.amount.massG).toBeCloseTo(factor, 9);
        expect(home && "massG" in home && home.massG).toBeCloseTo(line.amount.massG, 9);
      });
    },
  );
});
