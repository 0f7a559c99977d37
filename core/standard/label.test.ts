import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { openKitchen } from "../formula";
import type { BatchRecord } from "../run";
import { labelFor } from "./label";

const kitchen = openKitchen({ ...DEMO_KITCHEN, formulas: DEMO_FORMULAS });
const of = (id: string) => DEMO_FORMULAS[id] as NonNullable<(typeof DEMO_FORMULAS)[string]>;

const recordWith = (actualC: number | null): BatchRecord => ({
  startedAt: null,
  finishedAt: null,
  steps: [
    {
      stepId: "s",
      title: "Heat",
      status: "done",
      figures: [{ what: "probe", unit: "°C", planned: 84, actual: actualC, deviation: null }],
      notes: [],
    },
  ],
  yieldMl: { what: "", unit: "ml", planned: null, actual: null, deviation: null },
  yieldG: { what: "", unit: "g", planned: null, actual: null, deviation: null },
  minutes: { what: "", unit: "min", planned: null, actual: null, deviation: null },
  strainYield: null,
});
const label = (id: string, more: { actualC?: number; kept?: "chilled" | "frozen"; madeOn?: string } = {}) =>
  labelFor(of(id), kitchen, {
    runId: "01JDQ00000000000000000ABQ6",
    madeOn: more.madeOn ?? "2026-11-27",
    record: recordWith(more.actualC ?? null),
    kept: more.kept ?? "chilled",
  });

describe("a container label", () => {
  test("made and use-by, day of making counted; lot; how it is let down", () => {
    expect(label(GLACE_ID)).toMatchObject({
      lot: "L-1127-Q6",
      madeOn: "2026-11-27",
      useBy: "2026-12-06",
      keepC: 4,
      allergens: ["celery"],
    });
    expect(label(GLACE_ID).letDown?.waterParts).toBeGreaterThan(6);
  });
  test("a word that the house has settled is said with what it means here", () => {
    const demi = labelFor({ ...of(GLACE_ID), name: "Guinea-fowl demi-glace" }, kitchen, {
      runId: "01JDQ00000000000000000ABQ6",
      madeOn: "2026-11-27",
      record: recordWith(null),
      kept: "chilled",
    });
    expect(demi.houseTerms).toEqual([expect.stringMatching(/^demi-glace in this house: .* 50/)]);
    expect(label(GLACE_ID).houseTerms).toEqual([]);
  });
  test("frozen it keeps ninety days, over the end of February too", () =>
    expect(label(GLACE_ID, { kept: "frozen", madeOn: "2027-12-31" }).useBy).toBe("2028-03-29"));
  test("raw egg: the day of making only, frozen or not", () => {
    for (const kept of ["chilled", "frozen"] as const)
      expect(label("walnut-oil-mayonnaise", { kept })).toMatchObject({ useBy: "2026-11-27" });
    expect(label("walnut-oil-mayonnaise").guests).toContain("raw egg");
  });
  test("a temperature that was only planned lengthens nothing; one that a probe has shown does", () => {
    const days = of("walnut-oil-mayonnaise").storage.days;
    expect(days).toBeGreaterThanOrEqual(1);
    expect(label("walnut-oil-mayonnaise", { actualC: 69 }).why).toMatch(/^1 day,/);
    expect(label("walnut-oil-mayonnaise", { actualC: 72 }).why).toMatch(new RegExp(`^${days} day`));
  });
});
