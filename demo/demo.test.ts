import { describe, expect, test } from "vitest";
import { openKitchen, readFormula, walk } from "../core/formula";
import { checkShape } from "../core/things/vessel";
import { DEMO_FORMULAS } from "./formulas";
import { DEMO_KITCHEN, DEMO_PEOPLE } from "./kitchen";

describe("Kelder Pass Station", () => {
  test("every ingredient has a price with its source", () => {
    for (const ingredient of DEMO_KITCHEN.ingredients) {
      expect(ingredient.price?.perKg, ingredient.id).toBeGreaterThan(0);
      expect(ingredient.price?.source.text, ingredient.id).toContain("invented");
    }
  });
  test("pots are pots, the default burner is on the hob, burners do not overlap", () => {
    for (const vessel of DEMO_KITCHEN.vessels) expect(checkShape(vessel.shape).ok, vessel.id).toBe(true);
    const { burners } = DEMO_KITCHEN;
    expect(burners.map(b => b.id)).toContain(DEMO_KITCHEN.defaultBurnerId);
    expect(burners.filter(b => b.kind.startsWith("gas"))).toHaveLength(8);
    for (const a of burners)
      for (const b of burners)
        if (a !== b)
          expect(
            a.xMm + a.widthMm <= b.xMm ||
              b.xMm + b.widthMm <= a.xMm ||
              a.yMm + a.depthMm <= b.yMm ||
              b.yMm + b.depthMm <= a.yMm,
            `${a.id} on ${b.id}`,
          ).toBe(true);
  });
  test("every formula can be read and cooked to the end; water boils near 96 °C", () => {
    const kitchen = openKitchen(DEMO_KITCHEN);
    expect(kitchen.boilsC).toBeCloseTo(96, 0);
    for (const document of Object.values(DEMO_FORMULAS)) {
      expect(readFormula(document).ok).toBe(true);
      expect(walk(document, kitchen).problems).toEqual([]);
    }
  });
  test("five people, by name", () => expect(new Set(DEMO_PEOPLE.map(p => p.id)).size).toBe(5));
});
