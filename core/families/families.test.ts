import { describe, expect, test } from "vitest";
import { openKitchen, readFormula, walk } from "../formula";
import { valueOf } from "../ground/result";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { FAMILIES, formulaOf } from ".";

const kitchen = openKitchen(DEMO_KITCHEN);
const template = { boilsC: kitchen.boilsC, demiGlace: { to: 0.5, bound: false } };

/** Every school of every choice once, the others as usual. */
const cases = FAMILIES.flatMap(family => [
  { family, taken: {} as Record<string, string>, name: `${family.id}: as usual` },
  ...family.choices.flatMap(choice =>
    choice.schools
      .filter(school => school.id !== choice.usual)
      .map(school => ({
        family,
        taken: { [choice.id]: school.id },
        name: `${family.id}: ${choice.id} ${school.id}`,
      })),
  ),
]);

describe("every school of every family", () => {
  test.each(cases)("$name can be walked to its end, and its books balance", ({ family, taken }) => {
    const document = formulaOf(family, taken, template);
    expect(readFormula(JSON.parse(JSON.stringify(document)))).toEqual({
      ok: true,
      value: document,
      warnings: [],
    });
    const walked = walk(document, kitchen);
    expect(walked.problems).toEqual([]);
    expect(walked.finishedG).toBeGreaterThan(0);
    expect(walked.states).toHaveLength(document.steps.length);
  });
});

test.each(FAMILIES.map(f => [f.id, f] as const))(
  "%s says why of every school, and no default is missing",
  (_, family) => {
    for (const choice of family.choices) {
      expect(choice.schools.length).toBeGreaterThan(1);
      expect(choice.schools.map(s => s.id)).toContain(choice.usual);
      for (const school of choice.schools) expect(school.why.length).toBeGreaterThan(5);
    }
  },
);

test("a school nobody knows falls back to the usual one", () => {
  const [family] = FAMILIES;
  if (!family) return;
  expect(formulaOf(family, { oven: "900" }).choices.oven).toBe("200");
  expect(valueOf(readFormula(formulaOf(family))).family).toBe(family.id);
});
