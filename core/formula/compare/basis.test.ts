import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, STOCK_ID } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { g } from "../../ground/quantity";
import { basisFrom, basisOf, changedSince, deltaOf } from "./basis";
import { type KitchenData, openKitchen } from "../walk/kitchen";
import { atSize } from "../scaling/at-size";
import { walk } from "../walk/walk";

const kitchen: KitchenData = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };
const NAMES = Object.keys(DEMO_FORMULAS);
const of = (name: string) => {
  const document = DEMO_FORMULAS[name];
  if (!document) throw new Error(`The demo has no ${name}.`);
  return document;
};
const states = (name: string, where: KitchenData, factor = 1) => {
  const document = of(name);
  return walk(atSize(document, g(document.base.massG * factor)), openKitchen(where));
};

/** A kitchen that has become another in every way that moves a figure. */
const changed: KitchenData = {
  ...kitchen,
  altitudeM: 0,
  facts: { ...kitchen.facts, starchPower: 3.9 },
  ingredients: kitchen.ingredients.map(i => ({
    ...i,
    ediblePct: Math.max(1, i.ediblePct * 0.9),
    ...(i.price && { price: { ...i.price, perKg: i.price.perKg * 2 } }),
  })),
  vessels: kitchen.vessels.map(v => ({ ...v, tareG: v.tareG + 500 })),
  formulas: Object.fromEntries(
    Object.entries(kitchen.formulas).map(([id, d]) => [id, atSize(d, g(d.base.massG * 1.5))]),
  ),
};

describe("what a formula is walked in", () => {
  property.prop([fc.constantFrom(...NAMES), fc.constantFrom(0.2, 1, 3)], { numRuns: 40 })(
    "is enough: the walk in it is the walk in the whole kitchen, at other sizes too",
    (name, factor) => {
      const basis = basisOf(of(name), kitchen);
      expect(states(name, basis, factor)).toEqual(states(name, kitchen, factor));
    },
  );
  test("and little: of a larder of hundreds only what goes in", () => {
    const basis = basisOf(of(STOCK_ID), kitchen);
    expect(basis.ingredients.length).toBeLessThan(25);
    expect(basis.ingredients.map(i => i.id)).toContain("water");
    expect(Object.keys(basis.formulas)).toEqual([]);
  });
  property.prop([fc.constantFrom(...NAMES)], { numRuns: NAMES.length })(
    "comes back from how it differs from a kitchen that has changed",
    name => {
      const basis = basisOf(of(name), kitchen);
      const back = basisFrom(deltaOf(basis, changed), changed);
      expect(states(name, back)).toEqual(states(name, kitchen));
    },
  );
  test("nothing goes along where nothing has changed", () => {
    const delta = deltaOf(basisOf(of(STOCK_ID), kitchen), kitchen);
    expect(
      Object.values(delta.things)
        .flat()
        .every(thing => typeof thing === "string"),
    ).toBe(true);
    expect(delta.figures).toEqual({});
  });
});

describe("what has changed since", () => {
  const basis = basisOf(of(STOCK_ID), kitchen);
  const since = (now: KitchenData) => changedSince(basis, now, now.formulas);
  const [first] = basis.ingredients;
  test("nothing, also where something else has", () => {
    expect(since(kitchen)).toEqual([]);
    const elsewhere = kitchen.ingredients.map(i => (i.id === "saffron" ? { ...i, ediblePct: 50 } : i));
    expect(since({ ...kitchen, ingredients: elsewhere })).toEqual([]);
    const moved = kitchen.burners.map(b => ({ ...b, xMm: b.xMm + 10 }));
    expect(since({ ...kitchen, burners: moved })).toEqual([]);
  });
  test("a price, a composition, a fact, the altitude, what is gone: each by its name", () => {
    const withFirst = (change: (i: NonNullable<typeof first>) => object): KitchenData => ({
      ...kitchen,
      ingredients: kitchen.ingredients.map(i => (i.id === first?.id ? { ...i, ...change(i) } : i)),
    });
    const price = { perKg: 99, currency: "EUR", on: "2026-11-29", source: { mark: "E" as const, text: "x" } };
    expect(since(withFirst(() => ({ price })))).toEqual([`the price of ${first?.name}`]);
    expect(since(withFirst(i => ({ ediblePct: i.ediblePct / 2 })))).toEqual([first?.name]);
    expect(since({ ...kitchen, ingredients: [] })).toContain(`${first?.name} is gone`);
    expect(since({ ...kitchen, altitudeM: 10, facts: { ...kitchen.facts, starchPower: 3 } })).toEqual([
      "the altitude",
      "figures the sums rest on",
    ]);
  });
});
