import { describe, expect, it } from "vitest";
import { REFERENCE_LARDER } from "../../things/larder";
import { broughtBy } from "./brought";

const priced = REFERENCE_LARDER.map(i =>
  i.id === "butter"
    ? {
        ...i,
        ediblePct: 100,
        price: {
          perKg: 8,
          currency: "EUR",
          on: "2026-11-01",
          source: { mark: "E" as const, text: "for the test" },
        },
      }
    : i,
);

describe("what a remedy brings in", () => {
  it("250 g butter at 8 a kilogram cost 2 and bring milk", () =>
    expect(broughtBy({ butter: 250 }, priced)).toMatchObject({
      cost: 2,
      allergens: ["milk"],
      unrecorded: [],
    }));
  it("nothing but water costs nothing", () =>
    expect(broughtBy({}, priced)).toEqual({ cost: 0, allergens: [], unrecorded: [] }));
  it("without a price there is no cost, and allergens stand all the same", () => {
    const found = broughtBy({ butter: 100, "wheat-flour": 100 }, priced);
    expect(found.cost).toBeNull();
    expect([...found.allergens].sort()).toEqual(["gluten", "milk"]);
  });
  it("what is not in the larder is named, never passed as harmless", () =>
    expect(broughtBy({ "baking-soda": 2 }, priced)).toEqual({
      cost: null,
      allergens: [],
      unrecorded: ["baking-soda"],
    }));
});
