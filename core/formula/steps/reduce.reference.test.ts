import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { g } from "../../ground/quantity";
import { type Walk, blankFormula, openKitchen, walk } from "..";
import type { FormulaDocument } from "..";
import type { ReductionTarget } from "../../laws/reduction";

const fixed = (larder: string, massG: number) => ({
  id: `l-${larder}`,
  of: { larder },
  amount: { kind: "fixed" as const, massG: g(massG) },
  certainty: "stated" as const,
});

/** Some liquids put into whatever pan, and boiled down; nothing said of pan, burner or flame. */
function reduced(
  of: Readonly<Record<string, number>>,
  target: ReductionTarget,
  told: { setting?: number; burnerId?: string; vesselId?: string } = {},
  burnerId?: string,
): Walk {
  const blank = blankFormula("A reduction", { name: "liquid", massG: 1000 });
  const document: FormulaDocument = {
    ...blank,
    steps: [
      {
        id: "in",
        kind: "add",
        lines: Object.entries(of).map(([id, massG]) => fixed(id, massG)),
        durationMin: 1,
      },
      { id: "down", kind: "reduce", lines: [], target, overlap: 1, ...told },
    ],
  };
  return walk(document, openKitchen({ ...DEMO_KITCHEN, altitudeM: 0 }, {}, burnerId));
}
const minutesOf = (walked: Walk): number => (walked.states[1]?.durationS ?? NaN) / 60;
const codes = (walked: Walk) => walked.states[1]?.warnings.map(w => w.code) ?? [];

/** Accepted by practitioners for a kitchen with strong open burners: common practice, no source. */
describe("a reduction of which nothing is said goes as a cook would do it", () => {
  test.each<[string, Record<string, number>, ReductionTarget, number, number]>([
    ["a litre of cold stock by half", { "bought-brown-stock": 1000 }, { by: 0.5 }, 12, 20],
    ["half a litre of wine by three quarters", { "white-wine": 500 }, { by: 0.75 }, 5, 10],
    [
      "the reduction of a butter sauce to a quarter",
      { "white-wine": 150, "wine-vinegar": 75 },
      { to: 0.25 },
      3,
      8,
    ],
    ["half a litre of cream by a third", { cream: 500 }, { by: 1 / 3 }, 6, 15],
    ["eight litres of stock to a third", { "bought-brown-stock": 8000 }, { to: 1 / 3 }, 80, 150],
  ])("%s", (_, of, target, least, most) => {
    const walked = reduced(of, target);
    expect(walked.problems).toEqual([]);
    expect(minutesOf(walked)).toBeGreaterThanOrEqual(least);
    expect(minutesOf(walked)).toBeLessThanOrEqual(most);
    // A pan the program chose itself is never too full, and little that is wanted is not called thin.
    expect(codes(walked)).not.toContain("THIN_LAYER");
    expect(codes(walked)).not.toContain("FOAM_RISK");
  });
  test("what a cook says wins: the pan, the burner, the flame", () => {
    const half = { by: 0.5 };
    const stock = { "bought-brown-stock": 1000 };
    const slow = reduced(stock, half, { vesselId: "saucepan-18", burnerId: "open-4", setting: 0.5 });
    const [, state] = slow.states;
    expect(state?.vessel?.id).toBe("saucepan-18");
    expect(state?.fire).toMatchObject({ burner: { id: "open-4" }, setting: 0.5 });
    expect(minutesOf(slow)).toBeGreaterThan(2 * minutesOf(reduced(stock, half)));
    expect(reduced(stock, half, { burnerId: "gone" }).problems).toMatchObject([
      { code: "UNKNOWN_ID", field: "steps.1.burnerId" },
    ]);
  });
  test("a pot put on a burner of its own is reduced there", () =>
    expect(
      reduced({ "bought-brown-stock": 1000 }, { by: 0.5 }, {}, "open-4").states[1]?.fire?.burner.id,
    ).toBe("open-4"));
  test("cream goes over a lower flame, and what binds over a low one", () => {
    expect(reduced({ cream: 500 }, { by: 0.3 }).states[1]?.fire?.setting).toBe(0.6);
    expect(
      reduced({ "bought-brown-stock": 1000, "corn-starch": 20 }, { by: 0.3 }).states[1]?.fire?.setting,
    ).toBe(0.4);
  });
});
