import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { EVERY_FORMULA } from "../families/testing";
import { atSize, intervalsAlong, linesOf, openKitchen } from "../formula";
import { g } from "../ground/quantity";
import { grossTarget } from "../things/vessel";
import { cardOf } from ".";

const kitchen = openKitchen(DEMO_KITCHEN);
const stock = DEMO_KITCHEN.formulas["guinea-fowl-stock"] ?? Object.values(DEMO_KITCHEN.formulas)[0];
if (!stock) throw new Error("The demo kitchen has no formula.");
const card = cardOf(stock, kitchen);

describe.each(EVERY_FORMULA)("the card of %s", (_, document) => {
  const of = cardOf(document, kitchen);
  test("has every step and every line of it, each with its grams", () => {
    expect(of.steps.map(step => step.id)).toEqual(document.steps.map(step => step.id));
    expect(of.problems).toEqual([]);
    expect(of.steps.flatMap(step => step.lines.map(line => line.lineId))).toEqual(
      linesOf(document).map(line => line.id),
    );
    for (const line of of.steps.flatMap(step => step.lines)) expect(line.massG).toBeGreaterThanOrEqual(0);
  });
  test("stops on the scale at what is in the pot and the pot itself", () => {
    for (const { stop } of of.steps) {
      if (!stop) continue;
      const vessel = kitchen.vessels.find(v => v.name === stop.vesselName);
      expect(stop.grossG).toBeGreaterThan(grossTarget(g(vessel?.tareG ?? 0), g(0)));
    }
  });
});

test("at another size it is the card of the formula at that size, to the digit", () =>
  expect(cardOf(atSize(stock, g(2 * stock.base.massG)), kitchen).base.massG).toBe(2 * stock.base.massG));

test("limits stand with the step they are of, and at the end", () => {
  const intervals = intervalsAlong(stock, DEMO_KITCHEN);
  const of = cardOf(stock, kitchen, intervals);
  expect(of.end).toBe(intervals.at(-1));
  expect(of.steps.map(step => step.interval)).toEqual(intervals.slice(0, of.steps.length));
});

test("a step that cannot be done stands on it all the same, with why", () => {
  const [first, ...rest] = stock.steps;
  if (!first) throw new Error("no step");
  const broken = cardOf(
    {
      ...stock,
      steps: [{ id: "r", kind: "reheat", lines: [], toC: 60, setting: 1, vesselId: "gone" }, first, ...rest],
    },
    kitchen,
  );
  expect(broken.problems[0]).toMatch(/no such pot/);
  expect(broken.steps).toHaveLength(stock.steps.length + 1);
  expect(broken.steps.every(step => step.title.length > 0)).toBe(true);
});

test("pots are drawn where a step ends at a level", () =>
  expect(card.marks.every(mark => mark.mark !== undefined || mark.bulkMm > 0)).toBe(true));
