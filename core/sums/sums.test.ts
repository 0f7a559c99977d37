import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { SUMS, listSums, runSum } from ".";
import { est, num, pot, refusal, work } from "./testing";

describe("every sum", () => {
  test.each(SUMS.map(s => [s.name, s] as const))(
    "%s works its example out as its schema says",
    (name, sum) => {
      const answer = runSum(name, sum.example);
      expect(answer.ok, JSON.stringify(answer)).toBe(true);
      if (!answer.ok) return;
      const { warnings, sentence, ...output } = answer.value;
      expect(sum.output.safeParse(output).error?.issues).toBeUndefined();
      expect(sentence).toMatch(/[.!]$/);
      for (const warning of warnings) expect(warning.message).not.toBe("");
      // What the palette asks first exists.
      const fields = Object.keys(
        (listSums().find(l => l.name === name)?.input as { properties: object }).properties,
      );
      expect(fields).toEqual(expect.arrayContaining([...sum.asks]));
    },
  );
  test("the list is JSON Schema, names are unique", () => {
    const list = listSums();
    expect(new Set(list.map(l => l.name)).size).toBe(list.length);
    expect(list.find(l => l.name === "ice")?.input).toMatchObject({
      type: "object",
      additionalProperties: false,
      properties: { fromC: { type: "number" } },
    });
    expect(JSON.parse(JSON.stringify(list))).toEqual(list);
  });
  test("a sum nobody knows is refused", () =>
    expect(refusal("gravy", {})[0]).toMatchObject({ code: "UNKNOWN_ID", field: "name" }));
  property.prop([fc.constantFrom(...SUMS.map(s => s.name)), fc.jsonValue()], { numRuns: 200 })(
    "whatever is sent, there is an answer or a reason in words",
    (name, input) => {
      const answer = runSum(name, input);
      if (!answer.ok)
        for (const problem of answer.problems) expect(problem.message.length).toBeGreaterThan(5);
    },
  );
  property.prop(
    [
      fc.constantFrom(...SUMS),
      fc.nat(),
      fc.constantFrom(-5, 0, 1e-9, 1e9, Number.NaN, Number.POSITIVE_INFINITY, "soup", null, [], {}),
    ],
    { numRuns: 300 },
  )("one field of an example made nonsense is refused or answered with numbers", (sum, n, value) => {
    const keys = Object.keys(sum.example);
    const key = keys[n % keys.length] ?? "";
    const answer = runSum(sum.name, { ...sum.example, [key]: value });
    if (answer.ok) expect(JSON.stringify(answer.value)).not.toContain("null,null");
    else for (const problem of answer.problems) expect(problem.field).not.toBe("");
  });
});

describe("estimates", () => {
  test("E3 with a professional burner: 6.8 min, the example of the model: 5.3 to 9.5", () => {
    // 2400 W into a 32 cm pan is the open burner full on, 8000 W × 0.30.
    const found = work("reduce", {
      liquid: "dry white wine",
      startMl: 500,
      startC: 20,
      vessel: pot(320, 120),
      heat: { burner: "gas-pro", setting: 1, overlap: 1 },
      panHeatCapacityJPerK: 750,
      target: { to: 0.25 },
    });
    const minutes = est(found.minutes);
    expect(minutes.value).toBeCloseTo(6.8, 1);
    expect(minutes.lo).toBeCloseTo(5.3, 1);
    expect(minutes.hi).toBeCloseTo(9.5, 0.5);
    expect(minutes.basis).toBe("estimate");
    expect(found.boilsAfterMin).toBeCloseTo(92 / 60, 1);
    expect(found.volatileAcidLeftPct).toBeCloseTo(40.3, 0);
    expect(found.warnings.map(w => w.code)).toContain("FLAMMABLE_VAPOUR");
  });
  test("what nobody doubts is exact: a flame measured by what it boils off leaves only weather and air", () => {
    const found = work("reduce", {
      startMl: 1000,
      vessel: pot(200),
      heat: { boilsOffGPerMin: 30 },
      target: { to: 0.5 },
    });
    const { value, lo, hi } = est(found.minutes);
    expect((hi ?? 0) / lo - 1).toBeLessThan(0.06);
    expect(value).toBeGreaterThan(lo);
  });
  test("a kitchen on a mountain boils cooler; a sea-level reading there is questioned", () => {
    expect(work("boiling-point", { altitudeM: 1180 }).waterBoilsC).toBeCloseTo(96, 0);
    expect(refusal("boiling-point", { altitudeM: 1180, pressurePa: 101_300 })[0]?.message).toContain(
      "sea-level",
    );
    expect(num(work("boiling-point", { composition: { sugars: 60, water: 40 } }).boilsC)).toBeCloseTo(
      103.1,
      1,
    );
    expect(
      num(work("boiling-point", { composition: { sugars: 60, water: 40 }, invertSugar: true }).boilsC),
    ).toBeGreaterThan(103.2);
  });
  test("this pot on this flame: 20 g a minute takes the time the grams say", () => {
    const found = work("reduce", {
      startG: 2000,
      startC: 100,
      vessel: pot(240),
      heat: { boilsOffGPerMin: 20 },
      target: { endG: 1000 },
    });
    expect(est(found.minutes).value).toBeCloseTo(50, -0.5);
  });
  test("a target of what was added leaves alone what was there", () => {
    const add = { composition: { water: 100 }, massG: 500, temperatureC: 20 };
    const found = work("reduce-chain", {
      vessel: pot(240),
      steps: [
        { add, heat: { watts: 1500 }, target: { by: 0.2 } },
        { add, heat: { watts: 1500 }, target: { by: 0.5, of: "added" } },
      ],
    });
    const ends = (found.steps as { endMl: number }[]).map(s => s.endMl);
    expect(ends[1]).toBeCloseTo((ends[0] ?? 0) + 250, -0.5);
  });
});
