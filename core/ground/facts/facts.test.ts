import { fc, test } from "@fast-check/vitest";
import { describe, expect } from "vitest";
import { FACTS, FACT_GROUPS, FACT_IDS, type Fact, checkFact, reachOf } from ".";

const anyFact = fc.constantFrom(...FACT_IDS);

describe("the figures the sums rest on", () => {
  test("each stands in one group, and none is left out", () => {
    const grouped = FACT_GROUPS.flatMap(group => group.ids);
    expect([...grouped].sort()).toEqual([...FACT_IDS].sort());
    expect(new Set(grouped).size).toBe(grouped.length);
  });
  test("each says what it is and where it comes from, and lies in its own range", () => {
    for (const [id, fact] of Object.entries(FACTS) as [string, Fact][]) {
      expect(fact.lo, id).toBeLessThanOrEqual(fact.value);
      expect(fact.hi, id).toBeGreaterThanOrEqual(fact.value);
      expect(fact.label.length, id).toBeGreaterThan(3);
      expect(fact.source.length, id).toBeGreaterThan(3);
    }
  });
  test("no two of one group are called the same with the same unit", () => {
    for (const group of FACT_GROUPS) {
      const names = group.ids.map(id => `${FACTS[id].label} ${FACTS[id].unit}`);
      expect(new Set(names).size, group.label).toBe(names.length);
    }
  });
});

describe("a kitchen's own figure", () => {
  test.prop([anyFact, fc.double({ min: 0, max: 1, noNaN: true })])(
    "anything in the usual range is taken",
    (id, where) => {
      const { lo, hi } = FACTS[id];
      expect(checkFact(id, lo + where * (hi - lo))).toEqual([]);
    },
  );
  test.prop([anyFact])("what lies beyond its reach is refused with what would be taken", id => {
    const { min, max } = reachOf(id);
    expect(checkFact(id, max + Math.abs(max) + 1)).toMatchObject([{ code: "OUT_OF_RANGE", field: id }]);
    expect(checkFact(id, min - Math.abs(min) - 1)[0]?.code).toMatch(/OUT_OF_RANGE|NEGATIVE/);
    expect(checkFact(id, Number.NaN)).toMatchObject([{ code: "NOT_FINITE" }]);
  });
  test.prop([anyFact])("what cannot be nothing is never nothing", id => {
    const fact: Fact = FACTS[id];
    if (fact.lo > 0 && fact.lo < fact.hi) expect(reachOf(id).min).toBeGreaterThan(0);
  });
  test("says in a cook's words what to type instead", () => {
    expect(checkFact("gelatinInWater", 9)[0]?.message).toBe(
      "how much a per cent of gelatin, on the water it has, thickens at 60 °C is 9 per %; it must be between 0.032 and 1.12 per %.",
    );
    expect(checkFact("rawEggDays", 5)[0]?.message).toContain("between 0 and 2 days");
  });
});
