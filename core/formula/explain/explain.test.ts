import { describe, expect, test } from "vitest";
import { FAMILIES, formulaOf } from "../../families";
import { EVERY_FORMULA } from "../../families/testing";
import { EXITS, exitMass, potMass } from "../../things/pot";
import { type Askable, type FormulaDocument, type Line, type Walk, explain, potBefore, walk } from "..";
import { FIGURE_IDS } from "../walk/figures";
import { adding, blank, demo, fixed, kitchen, line, share } from "../walk/testing";
import { GLACE_ID, STOCK_ID } from "../../../demo/formulas";

const template = { boilsC: kitchen.boilsC, demiGlace: { to: 0.5, bound: false } };

/** Every school of every family. */
const schools = FAMILIES.flatMap(family =>
  [
    {},
    ...family.choices.flatMap(c => c.schools.filter(s => s.id !== c.usual).map(s => ({ [c.id]: s.id }))),
  ].map(taken => [`${family.id} ${JSON.stringify(taken)}`, formulaOf(family, taken, template)] as const),
);

/** Every number of a walked line that a screen lets one ask. */
const askables = (walked: Walk): Askable[] => [
  { ask: "yield" },
  ...walked.states.flatMap((state, step): Askable[] => [
    { ask: "mass", step },
    { ask: "litres", step },
    { ask: "mark", step },
    ...FIGURE_IDS.map(figure => ({ ask: "figure" as const, step, figure })),
    ...state.lines.map(({ lineId }) => ({ ask: "line" as const, step, lineId })),
    ...state.computed.map(({ what }) => ({ ask: "computed" as const, step, what })),
  ]),
];

describe("what a step names as put in and gone is what its pot gained and lost", () => {
  test.each([...EVERY_FORMULA, ...schools])("%s", (_, document) => {
    const { states } = walk(document, kitchen);
    states.forEach((state, i) => {
      const before = potBefore(states, i);
      const sum = (way: "in" | "out") =>
        state.computed.filter(c => c.way === way).reduce((m, c) => m + c.massG, 0);
      const gone = EXITS.reduce(
        (m, exit) => m + exitMass(state.pot, exit) - (before ? exitMass(before, exit) : 0),
        0,
      );
      const put = state.lines.reduce((m, l) => m + l.massG, 0) + sum("in");
      expect(
        (before ? potMass(before) : 0) + put - (sum("out") || gone) - state.massG,
        `step ${i + 1}, ${state.step.kind}`,
      ).toBeCloseTo(0, 3);
    });
  });
});

describe("every number can be taken apart, in words a cook can read", () => {
  test.each(EVERY_FORMULA)("%s", (_, document) => {
    const walked = walk(document, kitchen);
    for (const asked of askables(walked)) {
      const found = explain(asked, document, walked, kitchen);
      if (!found) {
        expect(["figure", "litres", "mark", "yield"]).toContain(asked.ask);
        if (asked.ask === "litres") expect(walked.states[asked.step]?.volumeMl).toBeNull();
        continue;
      }
      const said = JSON.stringify(found);
      expect(said).not.toMatch(/NaN|Infinity|undefined|null|\[object/);
      expect(found.title && found.value && found.rule && found.sharpen).toBeTruthy();
      for (const input of found.inputs) {
        expect(input.label && input.value && input.source, said).toBeTruthy();
        // What is worked out is among the numbers asked here anyway.
        if (input.then && input.then.ask !== "computed")
          expect(explain(input.then, document, walked, kitchen), JSON.stringify(input)).not.toBeNull();
      }
    }
  });
});

/** Every number that can be reached from one, by following what entered. */
function trail(from: Askable, document: FormulaDocument): Set<string> {
  const walked = walk(document, kitchen);
  const seen = new Set<string>();
  const open = [from];
  for (let asked = open.pop(); asked; asked = open.pop()) {
    const key = JSON.stringify(asked);
    if (seen.has(key)) continue;
    seen.add(key);
    for (const { then } of explain(asked, document, walked, kitchen)?.inputs ?? []) if (then) open.push(then);
  }
  return seen;
}

test("from what a glace gives the trail leads through its stock down to the carcasses on the table", () => {
  const keys = [...trail({ ask: "yield" }, demo(GLACE_ID))];
  const inStock = keys.map(key => JSON.parse(key) as Askable).filter(asked => asked.of === STOCK_ID);
  expect(inStock.map(asked => asked.ask)).toEqual(expect.arrayContaining(["yield", "mass", "line"]));
  const carcasses = demo(STOCK_ID).steps[0]?.lines[0]?.id;
  const asked = inStock.find(a => a.ask === "line" && a.lineId === carcasses);
  const found = asked && explain(asked, demo(GLACE_ID), walk(demo(GLACE_ID), kitchen), kitchen);
  expect(found?.title).toContain(`${demo(STOCK_ID).name}: `);
  expect(found?.inputs[0]?.source).toContain("typed here");
});

test("a formula that is gone has no number to ask", () => {
  const asked = { ask: "yield", of: "gone" } as const;
  expect(explain(asked, demo(STOCK_ID), walk(demo(STOCK_ID), kitchen), kitchen)).toBeNull();
});

describe("a line says what its amount is counted on, and nothing else", () => {
  const water = line("w", "water", fixed(1000));
  const labelsOf = (own: Line, groups: FormulaDocument["groups"] = [], others: Line[] = [water]) => {
    const document = blank(2000, [adding([...others, own])], groups);
    const walked = walk(document, kitchen);
    expect(walked.problems).toEqual([]);
    const found = explain({ ask: "line", step: 0, lineId: own.id }, document, walked, kitchen);
    return Object.fromEntries(found?.inputs.map(i => [i.label, i.value.replace(/\s/g, " ")]) ?? []);
  };

  test("weighed: only what it is bought as", () => {
    expect(labelsOf(line("x", "salt", fixed(10)))).toEqual({});
    expect(labelsOf(line("x", "salt", { kind: "by-feel", massG: 3 }))).toEqual({});
    expect(Object.keys(labelsOf(line("x", "onion", fixed(100))))).toEqual(["as purchased"]);
  });
  test("a share of the base: the base", () => {
    expect(labelsOf(line("x", "salt", share(1)))).toEqual({ "the base": "2 000 g" });
  });
  test("a part: its group, all its parts, and what the group is counted on", () => {
    const part = (id: string, parts: number) => line(id, "salt", { kind: "part", group: "g", parts });
    const group = { id: "g", name: "salts", total: { kind: "share-of-base", pct: 3 } } as const;
    expect(labelsOf(part("x", 2), [group], [water, part("y", 1)])).toEqual({
      salts: "3 % of the base",
      "the base": "2 000 g",
    });
  });
  test("as much as another line: that line", () => {
    expect(labelsOf(line("x", "salt", { kind: "equal-to", line: "w", factor: 0.01 }))).toEqual({
      water: "1 000 g",
    });
  });
  test("by the finished litre, kilogram and portion: what the whole line gives", () => {
    expect(Object.keys(labelsOf(line("x", "salt", { kind: "per-litre", gPerL: 10 })))).toEqual([
      "litres finished",
    ]);
    expect(labelsOf(line("x", "salt", { kind: "per-kg", gPerKg: 10 }))).toEqual({ finished: "1.01 kg" });
    expect(Object.keys(labelsOf(line("x", "salt", { kind: "per-portion", gPerPortion: 1 })))).toEqual([
      "finished",
      "a portion",
    ]);
  });
  test("to a share: where the liquor stands without it, and how strong it is itself", () => {
    const brine = line("b", "salt", fixed(5));
    const labels = labelsOf(
      line("x", "salt", { kind: "to-reach", what: "salt", value: 0.8 }),
      [],
      [water, brine],
    );
    // 5 g in 1005 g.
    expect(labels["without this line"]).toMatch(/^0\.(49|5|50) % salt$/);
    expect(Object.keys(labels)).toContain(`${kitchen.ingredientById.get("salt")?.name} brings`);
    expect(labels["aimed at"]).toMatch(/^0\.80? % salt$/);
  });
  test("and the amount follows from what is shown: m = m₀ · (s − s₀) / (c − s)", () => {
    const own = line("x", "salt", { kind: "to-reach", what: "salt", value: 0.8 });
    const document = blank(2000, [adding([water]), { ...adding([own]), id: "b" }]);
    const walked = walk(document, kitchen);
    const c = kitchen.ingredientById.get("salt")?.composition.salt ?? NaN;
    expect(walked.states[1]?.lines[0]?.massG).toBeCloseTo((1000 * 0.8) / (c - 0.8), 6);
    const found = explain({ ask: "line", step: 1, lineId: "x" }, document, walked, kitchen);
    expect(found?.inputs.map(i => i.then?.ask)).toEqual(["mass", "figure", undefined, undefined]);
  });
});
