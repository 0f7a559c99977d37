import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { EVERY_FORMULA } from "./testing";
import { type FormulaDocument, openKitchen, updateStep, walk } from "../formula";
import { FAMILIES, formulaOf, littleLeft } from ".";

const kitchen = openKitchen(DEMO_KITCHEN);
const of = (document: FormulaDocument) => littleLeft(document, walk(document, kitchen));

describe("a line that boils nearly everything away", () => {
  const [family] = FAMILIES.filter(f => f.id === "brown-stock");
  if (!family) throw new Error("There is no brown stock.");
  const usual = formulaOf(family, {}, { boilsC: kitchen.boilsC, demiGlace: { to: 0.5, bound: false } });
  const simmer = usual.steps.find(step => step.kind === "simmer");
  const away = updateStep(usual, simmer?.id ?? "", {
    keepCovered: "none",
    lid: "off",
    surface: "stirred",
    holdC: Math.floor(kitchen.boilsC - 1),
    durationMin: 24 * 60,
  });
  test("is stopped, and each way that is offered leaves a yield that a cook believes", () => {
    const little = of(away);
    expect(little?.givesPct).toBeLessThan(20);
    expect(little?.stepId).toBe(simmer?.id);
    const [covered] = little?.ways ?? [];
    expect(covered?.label).toMatch(/covered/);
    expect(of(covered?.edit(away) ?? away)).toBeNull();
  });
  test.each(EVERY_FORMULA)("%s gives what it should", (_, document) => expect(of(document)).toBeNull());
});
