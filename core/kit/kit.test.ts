import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { g, ml } from "../ground/quantity";
import { valueOf } from "../ground/result";
import { geometryOf } from "../things/vessel";
import {
  type Appliance,
  applianceSchema,
  corrected,
  holdsGrams,
  hotFill,
  iceCheck,
  liningCaution,
  scaleFor,
  shapeByPouring,
  waysToRead,
} from ".";

const SCALES: readonly Appliance[] = [
  { id: "fine", name: "Fine scale", kind: "scale", capacityG: 3000, resolutionG: 0.5 },
  { id: "bench", name: "Bench scale", kind: "scale", capacityG: 15_000, resolutionG: 5 },
];

describe("scales", () => {
  test("the finest that is strong enough; a pot too heavy is never asked to be weighed", () => {
    expect(scaleFor(SCALES, g(2500))?.id).toBe("fine");
    expect(scaleFor(SCALES, g(9000))?.id).toBe("bench");
    expect(scaleFor(SCALES, g(30_000))).toBeNull();
    expect(waysToRead(SCALES, g(9000)).weigh).toBe(true);
    const heavy = waysToRead(SCALES, g(30_000));
    expect(heavy.weigh).toBe(false);
    expect(heavy.words).toContain("stick");
    expect(waysToRead([], g(30_000)).weigh).toBe(true);
  });
});

describe("probes", () => {
  test("C135 1.4 °C in ice: −1.4 is stored and added; pushed in 5 cm", () => {
    const { offsetC } = valueOf(iceCheck(1.4));
    expect(offsetC).toBe(-1.4);
    const probe = {
      id: "p",
      name: "Probe",
      kind: "probe" as const,
      resolutionC: 0.1,
      offsetC,
      checkedOn: "2026-11-20",
    };
    expect(corrected(probe, 64.4)).toBeCloseTo(63, 9);
    expect(valueOf(iceCheck(-0.2)).offsetC).toBe(0.2);
    expect(valueOf(iceCheck(0.02)).offsetC).toBe(0);
  });
  test("too far off is refused with what to do", () => {
    const refused = iceCheck(6);
    expect(refused).toMatchObject({ ok: false, problems: [{ code: "PROBE" }] });
    expect(!refused.ok && refused.problems[0]?.message).toContain("5 cm");
    expect(iceCheck(NaN)).toMatchObject({ ok: false, problems: [{ code: "NOT_FINITE" }] });
  });
});

describe("measure my pot", () => {
  test("litres poured in and levels read make a pot that knows its marks", () => {
    const shape = valueOf(
      shapeByPouring([
        { ml: 1000, mm: 20 },
        { ml: 2000, mm: 38 },
        { ml: 4000, mm: 70 },
      ]),
    );
    const geometry = geometryOf(shape);
    expect(geometry.capacityMl).toBe(4000);
    expect(geometry.volumeAtLevel(valueOf(geometry.levelOf(ml(1500))))).toBeCloseTo(1500, 6);
  });
  test("a level that did not rise, or too few pours, are told which", () => {
    expect(shapeByPouring([{ ml: 1000, mm: 20 }])).toMatchObject({
      ok: false,
      problems: [{ code: "EMPTY" }],
    });
    const refused = shapeByPouring([
      { ml: 1000, mm: 20 },
      { ml: 2000, mm: 18 },
    ]);
    expect(refused).toMatchObject({ ok: false, problems: [{ code: "GEOMETRY", field: "pours.1" }] });
  });
  test("a layer that fits no pot is questioned", () => {
    const odd = shapeByPouring([
      { ml: 1000, mm: 20 },
      { ml: 2000, mm: 40 },
      { ml: 3000, mm: 42 },
    ]);
    expect(odd.ok && odd.warnings[0]?.code).toBe("IMPLAUSIBLE");
  });
  property.prop([
    fc.array(fc.tuple(fc.integer({ min: 200, max: 3000 }), fc.integer({ min: 5, max: 80 })), {
      minLength: 2,
      maxLength: 12,
    }),
  ])("whatever was poured, level and volume undo each other", steps => {
    let [v, h] = [0, 0];
    const pours = steps.map(([dv, dh]) => ({ ml: (v += dv), mm: (h += dh) }));
    const geometry = geometryOf(valueOf(shapeByPouring(pours)));
    for (const pour of pours)
      expect(geometry.volumeAtLevel(valueOf(geometry.levelOf(ml(pour.ml))))).toBeCloseTo(pour.ml, 4);
  });
});

test("blenders, ladles and linings", () => {
  expect(hotFill({ id: "b", name: "Jar", kind: "blender", jarMl: 2000, hotFillPct: 40 })).toBe(800);
  expect(holdsGrams(120, 1.03)).toBeCloseTo(123.6, 9);
  expect(liningCaution("copper", "none")).toContain("vinegar");
  expect(liningCaution("copper", "tin")).toBeNull();
  expect(liningCaution("steel", undefined)).toBeNull();
  expect(
    applianceSchema.safeParse({ id: "x", name: "x", kind: "scale", capacityG: -1, resolutionG: 1 }).success,
  ).toBe(false);
});
