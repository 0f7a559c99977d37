import { describe, expect, test } from "vitest";
import {
  type FormulaDocument,
  type ServedAs,
  type Step,
  INTENSITY,
  STEP_KINDS,
  blankFormula,
  walk,
} from "..";
import { fixed, kitchen, line, share } from "./testing";

const step = (kind: Step["kind"], id: string, lines: Step["lines"] = [], fields: object = {}): Step =>
  ({ ...STEP_KINDS[kind].blank(id), lines, ...fields }) as Step;
const formula = (steps: readonly Step[], servedAs: ServedAs = "other", portionG = 50): FormulaDocument => ({
  ...blankFormula("A test", { name: "base", massG: 1000 }),
  servedAs,
  portionG,
  steps,
});
const doubts = (document: FormulaDocument) =>
  walk(document, kitchen).states.flatMap(s => s.warnings.map(w => ({ step: s.step.id, ...w })));
const codes = (document: FormulaDocument) => doubts(document).map(w => w.code);

describe("C66 do not salt yet", () => {
  const salted = step("season", "salt", [line("salt", "salt", fixed(8))]);
  const late = step("season", "late", [
    line("mustard", "wholegrain-mustard", fixed(40)),
    line("capers", "capers", fixed(50)),
  ]);
  const stock = step("add", "in", [line("stock", "bought-brown-stock", share(100))]);
  test("mustard and pickles still to come: the salt is told to wait, and for what", () => {
    const found = doubts(formula([stock, salted, late])).find(w => w.code === "DO_NOT_SALT_YET");
    expect(found?.step).toBe("salt");
    expect(found?.message).toMatch(/mustard.*capers/);
  });
  test("after them it may come", () => {
    expect(codes(formula([stock, late, salted]))).not.toContain("DO_NOT_SALT_YET");
  });
  test("before a reduction it is told too", () => {
    const reduce = step("reduce", "reduce", [], { target: { to: 0.4 } });
    expect(codes(formula([stock, salted, reduce]))).toContain("DO_NOT_SALT_BEFORE_REDUCING");
  });
});

describe("C88 one hot, one cold", () => {
  const roux = (rouxHot: boolean, warm: boolean) =>
    formula([
      step("add", "in", [line("stock", "bought-brown-stock", share(100))]),
      ...(warm ? [step("reheat", "warm", [], { toC: 85 })] : []),
      step("thicken", "bind", [line("flour", "wheat-flour", fixed(60)), line("fat", "butter", fixed(60))], {
        form: "roux",
        rouxHot,
      }),
    ]);
  test("hot roux and stock of 85 °C: lumps", () => {
    const found = doubts(roux(true, true)).find(w => w.code === "LUMPS");
    expect(found?.message).toContain("85 °C");
  });
  test.each([
    [true, false],
    [false, true],
  ])("roux hot %s, stock warm %s: nothing to say", (hot, warm) => {
    expect(codes(roux(hot, warm))).not.toContain("LUMPS");
  });
});

describe("C97 herbs after the emulsion", () => {
  const herbs = step("season", "herbs", [line("chives", "chives", fixed(12))]);
  const oil = step("emulsify", "oil", [line("oil", "sunflower-oil", fixed(600))], { tool: "whisk" });
  const yolk = step("add", "yolk", [line("yolk", "egg-yolk", fixed(80)), line("water", "water", fixed(40))], {
    vesselId: "bowl-28",
  });
  test("before the oil they are bruised, and it is said", () => {
    expect(codes(formula([yolk, herbs, oil], "emulsion"))).toContain("HERBS_BEFORE_OIL");
  });
  test("after it they are not", () => {
    expect(codes(formula([yolk, oil, herbs], "emulsion"))).not.toContain("HERBS_BEFORE_OIL");
  });
});

describe("C158c how intense a way of serving may be", () => {
  // An emulsion of 2.4 % salt.
  const intense = (servedAs: ServedAs, portionG: number) =>
    formula(
      [
        step("add", "in", [line("water", "water", fixed(376)), line("salt", "salt", fixed(24))], {
          vesselId: "bowl-28",
        }),
        step("emulsify", "oil", [line("oil", "sunflower-oil", fixed(600))], { tool: "whisk" }),
      ],
      servedAs,
      portionG,
    );
  test("the same as a dot of 2 g is in its class, as a sauce of 40 g it is not", () => {
    expect(codes(intense("dot", 2))).not.toContain("OUT_OF_CLASS");
    expect(codes(intense("pan-sauce", 40))).toContain("OUT_OF_CLASS");
  });
  test("a soup of 220 g: 0.7–0.9 % salt, at most 8 % fat; a dot up to 3 % salt", () => {
    expect(INTENSITY.soup.saltPct).toEqual([0.7, 0.9]);
    expect(INTENSITY.soup.fatPct?.[1]).toBe(8);
    expect(INTENSITY.dot.saltPct?.[1]).toBe(3);
  });
});

describe("C158g which pans a line goes through", () => {
  const brownIn = (next: Step) =>
    formula([
      step("brown", "brown", [line("bones", "veal-bones", share(100))], { vesselId: "low-36" }),
      next,
    ]);
  const wine = [line("wine", "white-wine", fixed(200))];
  test("a pan changed before it was deglazed leaves its fond behind", () => {
    const changed = brownIn(step("add", "pot", wine, { vesselId: "tall-1" }));
    expect(codes(changed)).toContain("FOND_LEFT_BEHIND");
    expect(codes(brownIn(step("deglaze", "lift", wine)))).not.toContain("FOND_LEFT_BEHIND");
  });
});
