import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { EVERY_FORMULA } from "../../families/testing";
import { emulsionOfPot, finalState, openKitchen, sauceOf, servedAtC, walk } from "../../formula";
import { liquorMass } from "../../things/pot";
import { massOfSauce } from "../texture";
import { COMPLAINTS, type Complaint, type FixTarget, type Remedy, afterOf, remediesFor } from ".";

const kitchen = openKitchen(DEMO_KITCHEN);

/** What every sauce of the demo and of the families is when it is done. */
const sauces = EVERY_FORMULA.flatMap(([name, document]) => {
  const last = finalState(walk(document, kitchen).states);
  return last && liquorMass(last.pot) >= 1
    ? [
        [
          name,
          {
            state: sauceOf(last.pot, kitchen.facts),
            temperatureC: servedAtC(document),
            emulsion: emulsionOfPot(last.pot, servedAtC(document), kitchen.facts),
          },
        ] as const,
      ]
    : [];
});

test("some of them are emulsions", () => {
  expect(sauces.filter(([, sauce]) => sauce.emulsion).map(([name]) => name)).toContain(
    "Walnut-oil mayonnaise",
  );
});

/** The remedy that alone brings a complaint to its target, by the words it is told with. */
const BRINGS_THERE: Partial<Record<Complaint, readonly [RegExp, keyof FixTarget]>> = {
  "too-thin": [/slurry|beurre manié|^more /, "thickness"],
  "too-thick": [/^water|stock$/, "thickness"],
  "too-salty": [/^stretch with|exchange/, "saltPct"],
  "too-sour": [/^stretch/, "acidPct"],
  greasy: [/^skim$|^stretch|^water/, "fatPct"],
};

const NONSENSE = /NaN|undefined|null|Infinity|−0 |-\d/;

describe.each(sauces)("%s", (_, sauce) => {
  const { state } = sauce;
  const now = afterOf(state, { ...sauce, target: {} }, kitchen.facts);
  const body = now.thickness ?? 0;
  /** A wish for which the complaint is true. */
  const wish = (complaint: Complaint): FixTarget => ({
    thickness:
      complaint === "too-thin" || complaint === "watery" ? Math.min(90, body + 12) : Math.max(3, body - 12),
    saltPct: now.saltPct / 2,
    acidPct: Math.max(0.002, now.acidPct / 2),
    fatPct: Math.max(0.02, now.fatPct / 2),
  });
  const mended = (complaint: Complaint): readonly Remedy[] => {
    const found = remediesFor(complaint, { ...sauce, target: wish(complaint) }, kitchen.facts);
    return found.ok ? found.value : [];
  };

  test.each(COMPLAINTS)("%s: grams that add up, in words a cook can follow", complaint => {
    const found = remediesFor(complaint, { ...sauce, target: wish(complaint) }, kitchen.facts);
    if (!found.ok)
      for (const problem of found.problems) expect(problem.message).toMatch(/^[A-Z\d].{10,}[.?]$/);
    for (const remedy of mended(complaint)) {
      // Of baking soda some leaves as gas.
      const gas = remedy.what.includes("soda") ? remedy.addG : 0;
      const off = massOfSauce(state) + remedy.addG - remedy.after.massG;
      expect(off, remedy.what).toBeGreaterThan(-0.01);
      expect(off, remedy.what).toBeLessThan(gas + 0.01);
      for (const text of [remedy.what, ...remedy.order, ...remedy.besides]) {
        expect(text, remedy.what).not.toMatch(NONSENSE);
        expect(text.length).toBeGreaterThan(2);
      }
      for (const share of [
        remedy.after.saltPct,
        remedy.after.fatPct,
        remedy.after.acidPct,
        remedy.after.sugarPct,
      ]) {
        expect(share, remedy.what).toBeGreaterThanOrEqual(0);
        expect(share, remedy.what).toBeLessThanOrEqual(100);
      }
    }
  });

  test.each(Object.entries(BRINGS_THERE))(
    "%s: what is weighed in brings it there",
    (complaint, [words, key]) => {
      for (const remedy of mended(complaint as Complaint).filter(r => words.test(r.what))) {
        const wanted = wish(complaint as Complaint)[key] ?? NaN;
        const got = remedy.after[key === "massG" ? "massG" : key] ?? NaN;
        expect(Math.abs(got - wanted), `${remedy.what}: ${got}, not ${wanted}`).toBeLessThan(
          0.03 * wanted + 0.3 * Number(key === "thickness"),
        );
      }
    },
  );
});
