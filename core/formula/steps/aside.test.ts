import { describe, expect, test } from "vitest";
import { type PotState, POOLS, accountedFor, liquorMass, massOfPools, solidsMass } from "../../things/pot";
import { after, lines, perform, potOf, vessel } from "./testing";

const braised = after(
  "simmer",
  { holdC: 92, durationMin: 60 },
  { lines: lines(["beef-shin", 2000], ["water", 2000]) },
);
const kept = after("lift", { what: "everything solid", keep: true }, braised);
const booked = (pot: PotState) => {
  const all = accountedFor(pot);
  for (const pool of POOLS) expect(all[pool]).toBeCloseTo(pot.entered[pool], 6);
};

describe("lifted out and kept", () => {
  test("the meat stands beside the pot, with what clings, and all of it is in the books", () => {
    expect(solidsMass(kept.pot)).toBe(0);
    expect(massOfPools(kept.pot.aside[0]?.pools ?? kept.pot.liquor)).toBeGreaterThan(
      solidsMass(braised.pot) * 1.02,
    );
    booked(kept.pot);
  });
  test("fried in a pan of its own it dries and colours; the liquor in the pot is left alone", () => {
    const fried = after("brown", { of: "aside", durationMin: 10 }, kept);
    expect(liquorMass(fried.pot)).toBe(liquorMass(kept.pot));
    expect(massOfPools(fried.pot.aside[0]?.pools ?? fried.pot.liquor)).toBeLessThan(
      massOfPools(kept.pot.aside[0]?.pools ?? kept.pot.liquor),
    );
    expect(fried.says).toMatch(/^fried in the /);
    booked(fried.pot);
  });
  test("it comes back into the pot", () => {
    const back = after("put-back", {}, kept);
    expect(solidsMass(back.pot)).toBeGreaterThan(1000);
    expect(back.pot.aside).toEqual([]);
    booked(back.pot);
  });
  test("nothing kept can neither be fried nor put back", () => {
    expect(perform("put-back", {}, braised)).toMatchObject({ ok: false, problems: [{ code: "EMPTY" }] });
    expect(perform("brown", { of: "aside" }, braised)).toMatchObject({
      ok: false,
      problems: [{ code: "EMPTY" }],
    });
  });
});

describe("passed through a sieve", () => {
  const stock = after(
    "simmer",
    { holdC: 92, durationMin: 60, keepCovered: "none" },
    { lines: lines(["veal-bones", 1000], ["water", 2000]) },
  );
  test("bones stay on it, and it is said; nothing of them is puréed into the liquor", () => {
    const passed = after("pass", {}, stock);
    expect(passed.warnings.map(w => w.code)).toContain("BONES_IN");
    expect(liquorMass(passed.pot)).toBeLessThan(liquorMass(stock.pot));
    expect(massOfPools(passed.pot.natures.pureeDry)).toBe(0);
  });
  test("soft fruit that is most of the pot is worked through", () => {
    const soft = after(
      "simmer",
      { holdC: 92, durationMin: 15, lid: "on" },
      { lines: lines(["carrot", 1000], ["water", 400]) },
    );
    expect(massOfPools(after("pass", {}, soft).pot.natures.pureeDry)).toBeGreaterThan(0);
  });
});

describe("ways of a step", () => {
  test("spirit lit in a pan of its own burns alone", () => {
    const wine = { pot: potOf(["white-wine", 500]), vessel: vessel("saucepan-24") };
    const burnt = (where: string) =>
      after("flame", { where }, { ...wine, lines: lines(["grape-brandy", 50]) }).computed[0]?.massG ?? 0;
    expect(burnt("own")).toBeLessThan(burnt("pot"));
    expect(burnt("own")).toBeGreaterThan(1);
  });
  test("squeezed spinach weighs less than drained", () => {
    const cooked = after(
      "simmer",
      { holdC: 94, durationMin: 3 },
      { lines: lines(["spinach", 500], ["water", 3000]) },
    );
    const weighs = (how: string) => solidsMass(after("drain", { how }, cooked).pot);
    expect(weighs("squeezed")).toBeLessThan(0.9 * weighs("drips"));
  });
  test("a frozen base let down with hot stock is warm, and leaves no drip", () => {
    const base = { ...potOf(["bought-brown-stock", 500]), temperatureC: -18 as never };
    const down = after("thaw", { how: "hot" }, { pot: base, lines: lines(["water", 1000]) });
    expect(down.pot.temperatureC).toBeGreaterThan(40);
    expect(down.computed).toEqual([]);
  });
});
