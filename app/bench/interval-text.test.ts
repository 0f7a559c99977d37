import { describe, expect, test } from "vitest";
import { type Askable, intervalsAlong } from "~/core/formula";
import { DEMO_FORMULAS, STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { intervalText } from "./interval-text";

const stock = DEMO_FORMULAS[STOCK_ID];
if (!stock) throw new Error("The demo stock is gone.");
const intervals = intervalsAlong(stock, DEMO_KITCHEN);
const cover = stock.steps.findIndex(s => s.kind === "cover");
const told = (asked: Askable) => intervalText(asked, intervals);

describe("how sure an asked number is", () => {
  test("each in the unit its number has", () => {
    expect(told({ ask: "yield" })).toMatch(/ l$/);
    expect(told({ ask: "litres", step: cover })).toMatch(/ l$/);
    expect(told({ ask: "mass", step: cover })).toMatch(/ kg$/);
    expect(told({ ask: "computed", step: cover, what: "water" })).toMatch(/ g$/);
    expect(told({ ask: "figure", step: cover, figure: "temperature" })).toMatch(/ °C$/);
  });
  test("the yield is as sure as the litres after the last step", () => {
    expect(told({ ask: "yield" })).toBe(told({ ask: "litres", step: stock.steps.length - 1 }));
  });
  test("a number of another formula has none from this one; nor has a line, or a step that is not there", () => {
    expect(told({ ask: "yield", of: "another" })).toBe("");
    expect(told({ ask: "mass", step: cover, of: "another" })).toBe("");
    expect(told({ ask: "line", step: 0, lineId: stock.steps[0]?.lines[0]?.id ?? "" })).toBe("");
    expect(told({ ask: "mass", step: 99 })).toBe("");
  });
  test("before they are worked out there are none", () => {
    expect(intervalText({ ask: "yield" }, [])).toBe("");
  });
});
