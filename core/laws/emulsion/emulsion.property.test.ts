import { fc, test } from "@fast-check/vitest";
import { describe, expect } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import {
  BUILD_KINDS,
  EMULSION_TOOLS,
  type EmulsionInput,
  acidity,
  acidityEstimate,
  acidityOfParts,
  breakRisk,
  buildEmulsion,
  emulsionOf,
  kindOfEmulsion,
  loosenEmulsion,
  massOf,
  oilSchedule,
  oilStages,
  rescueBroken,
  waterFor,
  withPart,
} from ".";

const F = NOMINAL_FACTS;
/** What holds for every emulsion: oil goes in to the gram, and more of a danger is never less risk. */
const grams = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const tool = fc.constantFrom(...EMULSION_TOOLS);
const mayo = fc
  .record({ oilG: grams(50, 400), yolk: grams(18, 72), water: grams(5, 60), vinegar: grams(5, 40), tool })
  .map((r): EmulsionInput => ({
    oilG: r.oilG,
    oilKind: "oil",
    parts: [
      { id: "yolk", massG: r.yolk },
      { id: "water", massG: r.water },
      { id: "vinegar", massG: r.vinegar },
    ],
    temperatureC: 20,
    tool: r.tool,
  }));
const risk = (input: EmulsionInput, more: { pace?: number; temperatureC?: number; oilG?: number } = {}) =>
  breakRisk({ ...input, ...more, kind: kindOfEmulsion(input) }, F).score;

describe("how it holds", () => {
  test.prop([mayo, grams(1.02, 1.6)])("more oil is a fuller, thicker, riskier emulsion", (input, k) => {
    const more = { ...input, oilG: k * input.oilG };
    const [a, b] = [emulsionOf(input, F), emulsionOf(more, F)];
    if (!a.ok || !b.ok) return;
    expect(b.value.fatVolume).toBeGreaterThan(a.value.fatVolume);
    // Where the droplets begin to touch, the law lets go of a thick water phase: a dip of a few points, in the model too.
    const dip = a.value.fatVolume < 0.8 ? 4 : 1e-9;
    expect(b.value.thickness ?? 0).toBeGreaterThanOrEqual((a.value.thickness ?? 0) - dip);
    expect(risk(more)).toBeGreaterThanOrEqual(risk(input) - 1);
  });
  test.prop([mayo, grams(0.2, 8)])("size does not matter to how full it is or how thick", (input, k) => {
    const big = {
      ...input,
      oilG: k * input.oilG,
      parts: input.parts.map(p => ({ ...p, massG: k * p.massG })),
    };
    const [a, b] = [emulsionOf(input, F), emulsionOf(big, F)];
    if (!a.ok || !b.ok) return;
    expect(b.value.fatVolume).toBeCloseTo(a.value.fatVolume, 9);
    expect(b.value.thickness ?? 0).toBeCloseTo(a.value.thickness ?? 0, 6);
    expect(b.value.capacityUsed).toBeCloseTo(a.value.capacityUsed, 9);
  });
  test.prop([mayo, grams(1, 5), grams(0, 12)])("too fast and too cold never help", (input, pace, colder) => {
    const calm = risk(input);
    expect(risk(input, { pace })).toBeGreaterThanOrEqual(calm);
    expect(risk(input, { temperatureC: input.temperatureC - colder })).toBeGreaterThanOrEqual(calm);
    expect(calm).toBeGreaterThanOrEqual(0);
    expect(risk(input, { pace, oilG: 4 * input.oilG })).toBeLessThanOrEqual(100);
  });
  test.prop([mayo, grams(0.6, 0.8)])(
    "the water that loosens it brings it to that share of oil",
    (input, share) => {
      const waterG = waterFor(input, share);
      expect(waterG).toBeGreaterThanOrEqual(0);
      const after = emulsionOf({ ...input, parts: withPart(input.parts, "water", waterG) }, F);
      if (after.ok && waterG > 0) expect(after.value.fatVolume).toBeCloseTo(share, 6);
    },
  );
});

describe("how the oil goes in", () => {
  test.prop([grams(10, 500), grams(10, 4000), tool])(
    "the doses are all the oil, each begins where the last ended, none is faster than the bowl takes",
    (phaseG, oilG, by) => {
      const { doses, seconds, startGPerS, endGPerS } = valueOf(oilSchedule(phaseG, oilG, by, F));
      expect(doses.reduce((m, d) => m + d.doseG, 0)).toBeCloseTo(oilG, 4);
      doses.forEach((d, i) => {
        expect(d.fromG).toBeCloseTo(doses[i - 1]?.toG ?? 0, 9);
        expect(d.toG).toBeCloseTo(d.fromG + d.doseG, 9);
        expect(d.gPerMin).toBeGreaterThanOrEqual(doses[i - 1]?.gPerMin ?? 0);
      });
      expect(seconds).toBeGreaterThan(oilG / endGPerS - 1e-6);
      expect(seconds).toBeLessThan(oilG / startGPerS + 1e-6);
    },
  );
  test.prop([grams(10, 500), grams(10, 4000), tool])(
    "the stages take as long as the doses",
    (phaseG, oilG, by) => {
      const stages = oilStages(phaseG, oilG, by, F);
      const whole = valueOf(oilSchedule(phaseG, oilG, by, F));
      expect(stages.reduce((t, stage) => t + stage.seconds, 0)).toBeCloseTo(whole.seconds, 6);
      expect(stages.at(-1)?.toG).toBeCloseTo(oilG, 9);
      expect(stages[0]?.fromG).toBe(0);
    },
  );
});

describe("built and taken up again", () => {
  test.prop([fc.constantFrom(...BUILD_KINDS), grams(100, 10_000), grams(40, 88)])(
    "what is built weighs what was asked, or the refusal says what goes",
    (kind, totalG, oilPct) => {
      const built = buildEmulsion(kind, { totalG, oilPct }, F);
      if (!built.ok) {
        expect(built.problems[0]).toMatchObject({ code: "UNREACHABLE", field: "oilPct" });
        return;
      }
      const { input, weigh, butterG, oilG, butter } = built.value;
      expect(input.oilG + massOf(input.parts)).toBeCloseTo(totalG, 6);
      // Clarified butter keeps half a per cent that is neither fat nor water of the sauce.
      expect(massOf(weigh) + (butter ? butterG : oilG)).toBeGreaterThan(0.99 * totalG - 1);
      expect(massOf(weigh) + (butter ? butterG : oilG)).toBeLessThan(1.01 * totalG + 1);
      for (const part of weigh) expect(part.massG).toBeGreaterThan(0);
    },
  );
  test.prop([mayo, fc.boolean()])("a rescue only adds, and leaves it less full", (input, failedBefore) => {
    const before = emulsionOf(input, F);
    const rescue = rescueBroken(input, { kind: kindOfEmulsion(input), failedBefore }, F);
    if (!before.ok || !rescue.ok) return;
    expect(rescue.value.after.fatVolume).toBeLessThanOrEqual(before.value.fatVolume + 1e-9);
    expect(rescue.value.yolkG > 0).toBe(failedBefore);
    expect(rescue.value.waterG).toBeGreaterThan(0);
    expect(rescue.value.steps.length).toBeGreaterThan(0);
    const loosened = loosenEmulsion(input, false, F);
    if (loosened.ok)
      expect(loosened.value.after.fatVolume).toBeLessThanOrEqual(before.value.fatVolume + 1e-9);
  });
});

describe("sourness", () => {
  test.prop([mayo, grams(1, 60)])("more vinegar is sourer", (input, more) => {
    const of = (parts: EmulsionInput["parts"]) => acidity(acidityOfParts(parts));
    const [a, b] = [of(input.parts), of(withPart(input.parts, "vinegar", more))];
    if (a.ok && b.ok) expect(b.value).toBeLessThan(a.value);
  });
  test.prop([mayo, grams(2, 9)])(
    "a measurement stands as it is; an estimate is never sharper than ± 0.3",
    (input, pH) => {
      const parts = acidityOfParts(input.parts);
      expect(valueOf(acidityEstimate(parts, pH))).toMatchObject({
        value: pH,
        lo: pH,
        hi: pH,
        basis: "measured",
      });
      const estimate = acidityEstimate(parts);
      if (estimate.ok) {
        expect(estimate.value.basis).toBe("estimate");
        expect((estimate.value.hi ?? 14) - estimate.value.lo).toBeGreaterThan(0.59);
      }
    },
  );
});
