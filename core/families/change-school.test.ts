import { describe, expect, test } from "vitest";
import { type FormulaDocument, STEP_KINDS, linesOf, openKitchen, updateStep, walk } from "../formula";
import { valueOf } from "../ground/result";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { FAMILIES, changeSchool, formulaOf } from ".";
import { multiply } from "../formula/scaling/multiply";

const kitchen = openKitchen(DEMO_KITCHEN);
const template = { boilsC: kitchen.boilsC, demiGlace: { to: 0.5, bound: false } };

/** Every school that is not the usual one, with the usual formula it is taken in. */
const cases = FAMILIES.flatMap(family =>
  family.choices.flatMap(choice =>
    choice.schools
      .filter(school => school.id !== choice.usual)
      .map(school => ({
        name: `${family.id}: ${choice.id} ${school.id}`,
        usual: formulaOf(family, {}, template),
        other: formulaOf(family, { [choice.id]: school.id }, template),
        take: (document: FormulaDocument, id = school.id) =>
          valueOf(changeSchool(document, family, choice.id, id, template)),
        back: choice.usual,
      })),
  ),
);

describe.each(cases)("$name", ({ usual, other, take, back }) => {
  test("taken in a formula nobody touched it is the template of that school, and back again", () => {
    const changed = take(usual);
    expect(changed).toEqual({ document: other, gaveWay: [] });
    expect(take(changed.document, back)).toEqual({ document: usual, gaveWay: [] });
  });
  test("what was worked out by hand stays: its name, notes, price, portion, and steps of its own", () => {
    const mine: FormulaDocument = {
      ...usual,
      name: "As we make it",
      notes: "Mind the wind.",
      portionG: usual.portionG + 5,
      price: { menu: 24 },
      steps: [...usual.steps, STEP_KINDS.rest.blank("own")],
    };
    const { document } = take(mine);
    expect(document).toMatchObject({
      name: mine.name,
      notes: mine.notes,
      portionG: mine.portionG,
      price: { menu: 24 },
    });
    expect(document.steps.map(s => s.id)).toContain("own");
    expect(walk(document, kitchen).states.length).toBeGreaterThan(0);
  });
  test("a batch of another size keeps its size", () => {
    const large = multiply(usual, 3);
    const { document, gaveWay } = take(large);
    // Where the school has another base of its own, it wins and says so.
    if (usual.base.massG === other.base.massG) expect(document.base.massG).toBe(large.base.massG);
    else expect(gaveWay.map(c => c.at)).toContain("base.massG");
  });
});

test("where school and hand want the same place the school wins, and what gave way is told", () => {
  const [found] = cases.flatMap(c => {
    const moved = c.usual.steps.find(step => {
      const there = c.other.steps.find(s => s.id === step.id);
      return (
        there && "durationMin" in step && "durationMin" in there && step.durationMin !== there.durationMin
      );
    });
    return moved ? [{ ...c, moved }] : [];
  });
  if (!found) throw new Error("no school changes a time");
  const { usual, other, take, moved } = found;
  const { document, gaveWay } = take(updateStep(usual, moved.id, { durationMin: 123 }));
  const at = (d: FormulaDocument) => d.steps.find(s => s.id === moved.id);
  expect(at(document)).toEqual(at(other));
  expect(gaveWay.map(c => [c.at, c.mine])).toEqual([[`steps.${moved.id}.durationMin`, 123]]);
});

test("a line put in by hand is there after a change of school", () => {
  for (const { usual, take } of cases) {
    const [first, ...rest] = usual.steps;
    if (!first) continue;
    const own = {
      id: "own-line",
      of: { larder: "water" },
      amount: { kind: "fixed", massG: 10 },
      certainty: "stated",
    } as const;
    const { document, gaveWay } = take({
      ...usual,
      steps: [{ ...first, lines: [...first.lines, own] }, ...rest],
    });
    const kept = linesOf(document).some(l => l.id === "own-line");
    expect(kept || gaveWay.length > 0, document.school).toBe(true);
  }
});
