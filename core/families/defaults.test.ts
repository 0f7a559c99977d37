import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { openKitchen, walk } from "../formula";
import { FAMILIES, formulaOf } from ".";
import { EVERY_FORMULA } from "./testing";

const kitchen = openKitchen(DEMO_KITCHEN);
const template = { boilsC: kitchen.boilsC, demiGlace: { to: 0.5, bound: false } };

/** What is said of a good formula too: the jar of a blender is hot whatever is in it. */
const ALWAYS_SAID = new Set(["HOT_FILL"]);
const saidOf = (document: Parameters<typeof walk>[0]) =>
  walk(document, kitchen).states.flatMap(({ step, warnings }) =>
    warnings.filter(w => !ALWAYS_SAID.has(w.code)).map(w => `${step.kind}: ${w.code} ${w.message}`),
  );

test.each(EVERY_FORMULA)("%s can be cooked as it stands: nobody has to be warned of it", (_, document) => {
  expect(walk(document, kitchen).problems).toEqual([]);
  expect(saidOf(document)).toEqual([]);
});

/** Schools that want what is warned of, with the reason. */
const WANTED: Readonly<Record<string, RegExp>> = {
  // Soy sauce reduced: a small portion, as its words say.
  "glaze style: soy": /OUT_OF_CLASS .* salt/,
  // Unbound it is reduced further, and the stock brings all its salt.
  "white-stew flour: none": /THERE_ALREADY/,
};

describe.each(FAMILIES.map(family => [family.id, family] as const))("the schools of %s", (id, family) => {
  const schools = family.choices.flatMap(c =>
    c.schools.filter(s => s.id !== c.usual).map(s => [`${c.id}: ${s.id}`, { [c.id]: s.id }] as const),
  );
  test.each([["as usual", {}] as const, ...schools])("%s", (school, taken) => {
    const document = formulaOf(family, taken, template);
    expect(walk(document, kitchen).problems).toEqual([]);
    const wanted = WANTED[`${id} ${school}`];
    expect(saidOf(document).filter(said => !wanted?.test(said))).toEqual([]);
  });
});
