import { USUAL_HOUSE } from "../../things/house";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { mayonnaise } from "../../families/mayonnaise";
import { formulaOf } from "../../families/family";
import { cardAsMarkdown } from "../../exchange";
import { cardOf } from "../../standard";
import { type FormulaDocument, STEP_KINDS, type Step, eggIn, keepsDays, labelOf, takeEgg, walk } from "..";
import { cautionsAt } from "./cautions";
import { adding, blank, fixed, kitchen, line } from "./testing";

const template = { boilsC: kitchen.boilsC, demiGlace: kitchen.data.house.demiGlace };
const mayo = formulaOf(mayonnaise, {}, template);
const walked = (document: FormulaDocument) => walk(document, kitchen);
const swapped = (document: FormulaDocument, to: "raw" | "pasteurised") => {
  const found = takeEgg(document, to, kitchen.ingredientById);
  if (!found.ok) throw new Error(found.problems[0]?.message);
  return found.value;
};
const custard = (toC: number): FormulaDocument =>
  blank(1000, [
    adding([line("m", "milk", fixed(800)), line("f", "wheat-flour", fixed(40))]),
    { id: "y", kind: "liaison", lines: [line("y", "egg-yolk", fixed(80))], toC, durationMin: 5 } as Step,
  ]);

describe("C102 raw egg and pasteurised egg", () => {
  test("a mayonnaise of raw yolk says so on its label and keeps a day", () => {
    const made = walked(mayo);
    expect(labelOf(made).egg).toBe("raw egg – not for vulnerable guests");
    expect(keepsDays(mayo, made, kitchen.facts)).toBe(1);
    const text = cardAsMarkdown(cardOf(mayo, kitchen, [], made));
    expect(text).toContain("For guests: raw egg – not for vulnerable guests.");
    expect(text).toContain("Keeps 1 d at 4 °C.");
    expect(text.match(/caution: Raw egg/g)).toHaveLength(1);
  });
  test("with pasteurised yolk the caution goes, and it keeps three days in a usual kitchen", () => {
    const other = swapped(mayo, "pasteurised");
    const made = walked(other);
    expect(made.problems).toEqual([]);
    expect(labelOf(made)).toMatchObject({
      egg: "pasteurised egg",
      allergens: expect.arrayContaining(["eggs"]),
    });
    expect(keepsDays(other, made, kitchen.facts)).toBe(3);
    expect(made.states.flatMap(state => cautionsAt(state, USUAL_HOUSE)).join()).not.toMatch(/Raw egg/);
    expect(other.choices.eggs).toBe("pasteurised");
  });
  test("the school of the family and the switch lead to the same formula", () => {
    const bySchool = formulaOf(mayonnaise, { eggs: "pasteurised" }, template);
    expect(eggIn(walked(bySchool))).toBe("pasteurised");
    expect(swapped(mayo, "pasteurised").steps.map(s => s.lines.map(l => l.of))).toEqual(
      bySchool.steps.map(s => s.lines.map(l => l.of)),
    );
  });
  test("there and back again changes nothing", () => {
    expect(swapped(swapped(mayo, "pasteurised"), "raw")).toEqual(mayo);
  });
  test("a kitchen with a stricter code keeps it shorter", () => {
    const made = walked(mayo);
    expect(keepsDays(mayo, made, { ...NOMINAL_FACTS, rawEggDays: 0 })).toBe(0);
    expect(keepsDays({ ...mayo, storage: { ...mayo.storage, days: 0 } }, made, NOMINAL_FACTS)).toBe(0);
  });
  test("a temperature in a recipe makes no egg cooked on the label", () => {
    expect(labelOf(walked(custard(80))).egg).toMatch(/lightly cooked: a probe/);
    expect(labelOf(walked(custard(62))).egg).toBe("raw egg – not for vulnerable guests");
  });
  test("egg that goes in once the sauce is cold is raw", () => {
    const made = walked({
      ...custard(80),
      steps: [
        ...custard(80).steps,
        { id: "c", kind: "cool", lines: [], method: "ice-bath", toC: 5 },
        { id: "z", kind: "add", lines: [line("z", "egg-white", fixed(50))], durationMin: 1 },
      ],
    });
    expect(made.problems).toEqual([]);
    expect(eggIn({ states: made.states.slice(0, -1) })).toBe("heated");
    expect(eggIn(made)).toBe("raw");
  });
  test("a sauce drawn on another keeps what is known of its egg", () => {
    const data = { ...kitchen.data, formulas: { ...kitchen.data.formulas, mayo } };
    const daughter: FormulaDocument = {
      ...blank(1000, [
        {
          id: "a",
          kind: "add",
          durationMin: 1,
          lines: [{ id: "m", of: { formula: "mayo" }, amount: fixed(500), certainty: "stated" }],
        } as Step,
      ]),
    };
    expect(labelOf(walk(daughter, { ...kitchen, data })).egg).toBe("raw egg – not for vulnerable guests");
  });
  test("C102 heat that is only planned does not make raw egg keep longer", () => {
    const steps = [...mayo.steps, { ...STEP_KINDS.reheat.blank("paper"), toC: 72, vesselId: "saucepan-24" }];
    const heated = { ...mayo, steps };
    expect(keepsDays(heated, walked(heated), kitchen.facts)).toBe(
      keepsDays(mayo, walked(mayo), kitchen.facts),
    );
  });
  test("a sauce without egg says nothing, and there is nothing to switch", () => {
    const plain = blank(1000, [adding([line("m", "milk", fixed(800))])]);
    expect(labelOf(walked(plain)).egg).toBeNull();
    expect(keepsDays(plain, walked(plain), kitchen.facts)).toBe(plain.storage.days);
    expect(takeEgg(plain, "pasteurised", kitchen.ingredientById)).toMatchObject({
      ok: false,
      problems: [{ code: "EMPTY" }],
    });
  });
  test("a larder without the other kind says what to do", () => {
    const bare = new Map([...kitchen.ingredientById].filter(([id]) => id !== "pasteurised-yolk"));
    expect(takeEgg(mayo, "pasteurised", bare)).toMatchObject({
      ok: false,
      problems: [{ code: "UNKNOWN_ID", message: expect.stringContaining("Write it in") }],
    });
  });
});
