import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { g } from "../../ground/quantity";
import { type FormulaDocument, blankFormula, openKitchen, walk } from "..";
import { ok, refuse, valueOf } from "../../ground/result";
import { type ReductionEnd, endAsTyped, endInWords, parseEnd } from "./reduction-end";

const nothing = () => refuse({ code: "NOT_UNDERSTOOD", field: "target", message: "no" });
const read = (text: string) => parseEnd(text, text === "to 600 g" ? () => ok({ massG: 600 }) : nothing);

describe("an end as a cook says it", () => {
  test.each<[string, ReductionEnd]>([
    ["to nappe", { body: 45 }],
    ["until it coats the spoon", { body: 45 }],
    ["to a glaze", { body: 54 }],
    ["to syrupy", { body: 28 }],
    ["to body 40", { body: 40 }],
    ["to 62 °Bx", { brix: 62 }],
    ["to 62 brix", { brix: 62 }],
    ["to 1,1 % salt", { saltPct: 1.1 }],
    ["to 118 °C", { stopC: 118 }],
    ["until almost dry", { dry: "au sec" }],
    ["until the pan hisses", { dry: "hisses" }],
    ["until the liquor is gone", { dry: "gone" }],
    ["to half", { to: 0.5 }],
    ["to 600 g", { endG: 600 }],
  ])("%s", (text, end) => expect(valueOf(read(text))).toEqual(end));
  test("a coat has its name, a body between has its figure", () => {
    expect(endInWords({ body: 45 })).toBe("to nappe (body 45)");
    expect(endInWords({ body: 28 })).toBe("to body 28 (soup-cream)");
  });
  test("one nobody cooks to is refused with what can be", () =>
    expect(read("to body 95")).toMatchObject({ ok: false, problems: [{ code: "OUT_OF_RANGE" }] }));
  test("what is printed is read back", () => {
    for (const end of [
      { body: 43.5 },
      { body: 28 },
      { brix: 62.5 },
      { saltPct: 1.15 },
      { stopC: 118 },
      { dry: "au sec" },
      { dry: "gone" },
      { dry: "hisses" },
      { to: 0.5 },
    ] as ReductionEnd[]) {
      expect(valueOf(read(endAsTyped(end)))).toEqual(end);
    }
  });
});

const KITCHEN = openKitchen({ ...DEMO_KITCHEN, altitudeM: 0 });
const down = (of: Readonly<Record<string, number>>, target: ReductionEnd) => {
  const blank = blankFormula("A reduction", { name: "liquid", massG: 1000 });
  const lines = Object.entries(of).map(([larder, massG]) => ({
    id: larder,
    of: { larder },
    amount: { kind: "fixed" as const, massG: g(massG) },
    certainty: "stated" as const,
  }));
  const document: FormulaDocument = {
    ...blank,
    steps: [
      { id: "in", kind: "add", lines, durationMin: 1 },
      { id: "down", kind: "reduce", lines: [], target, overlap: 1 },
    ],
  };
  return walk(document, KITCHEN);
};

describe("a reduction ends where it is meant to", () => {
  test("stock and cream to nappe: it is nappe then, with its mark on the stick", () => {
    const walked = down({ "bought-brown-stock": 500, cream: 500 }, { body: 45 });
    expect(walked.problems).toEqual([]);
    const [, end] = walked.states;
    expect(end?.body?.thickness).toBeGreaterThan(40);
    expect(end?.body?.thickness).toBeLessThan(46);
    expect(end?.mark?.markMm).toBeGreaterThan(0);
  });
  test("a stock rich in gelatin is judged as cool as the spoon makes it: thicker there than at 60 °C", () => {
    const walked = down({ "bought-brown-stock": 2000 }, { body: 37 });
    expect(walked.problems).toEqual([]);
    expect(walked.states[1]?.body?.thickness).toBeLessThan(37);
    expect(walked.states[1]?.body?.thickness).toBeGreaterThan(30);
  });
  test("sugar to a reading, salt to a share", () => {
    const syrup = down({ water: 500, sugar: 300 }, { brix: 65 }).states[1];
    expect((100 * (syrup?.pot.liquor.sugars ?? 0)) / (syrup?.massG ?? 1)).toBeCloseTo(65, 0);
    const brine = down({ water: 1000, salt: 8 }, { saltPct: 1.2 }).states[1];
    expect((100 * (brine?.pot.liquor.salt ?? 0)) / (brine?.massG ?? 1)).toBeCloseTo(1.2, 1);
  });
  test("what never gets there is refused with the most it comes to; what is there already is left, and said", () => {
    expect(down({ water: 1000, salt: 4 }, { body: 45 }).problems).toMatchObject([
      { code: "UNREACHABLE", field: "steps.1.target" },
    ]);
    const cream = down({ cream: 500 }, { body: 15 });
    expect(cream.problems).toEqual([]);
    expect(cream.states[1]?.warnings).toMatchObject([{ code: "THERE_ALREADY" }]);
    expect(cream.states[1]?.massG).toBeCloseTo(500, 6);
  });
});
