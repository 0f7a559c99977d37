import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { g, ml, mm } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import {
  type VesselShape,
  bulkMl,
  checkShape,
  coverFromMeasure,
  coverWith,
  dipMark,
  geometryOf,
  grossTarget,
  netOfGross,
  shapeSchema,
  smallestForCover,
  smallestForLiquid,
  volumeOfLevel,
} from ".";
import { DEMO_VESSELS } from "../../../demo/vessels";

const cylinder = (diameterMm: number, heightMm = 400) =>
  geometryOf({ shape: "cylinder", diameterMm, heightMm });
const sauteuse = geometryOf({ shape: "frustum", baseMm: 220, rimMm: 300, heightMm: 80 });
const near = (value: number, expected: number) =>
  expect(Math.abs(value / expected - 1), `${value} against ${expected}`).toBeLessThan(1e-4);

describe("check rows of the vessel geometry (exact formulas, worked twice)", () => {
  test("cylinder 24 cm, 4 l: 88.419 mm, half at exactly half the height", () => {
    const mark = valueOf(dipMark(cylinder(240), ml(4000), 0.5));
    near(mark.startMm, 88.419);
    near(mark.markMm, 44.21);
  });
  test("sauteuse 22/30 × 8 cm holds 4.2809 l; 3 l stand 60.658 mm high", () => {
    near(sauteuse.capacityMl, 4280.9);
    near(valueOf(sauteuse.levelOf(ml(3000))), 60.658);
  });
  test.each([
    [1 / 2, 33.951],
    [1 / 3, 23.669],
    [1 / 4, 18.185],
  ])("in it, 3 l to %d is %d mm: the mark is not at the same share of the height", (r, expected) =>
    near(valueOf(dipMark(sauteuse, ml(3000), r)).markMm, expected),
  );
  test("its surface at 3 l and 0.75 l", () => {
    near(sauteuse.surfaceMm2(valueOf(sauteuse.levelOf(ml(3000)))) / 100, 618.65);
    near(sauteuse.surfaceMm2(valueOf(sauteuse.levelOf(ml(750)))) / 100, 445.57);
  });
  test("hemispherical kettle 60 cm, 40 l: 240.70 mm; half at 160.73 mm", () => {
    const kettle = geometryOf({ shape: "bowl", diameterMm: 600, bottomDepthMm: 300, heightMm: 500 });
    near(kettle.volumeAtLevel(mm(300)), 56549);
    near(valueOf(kettle.levelOf(ml(40_000))), 240.7);
    near(valueOf(dipMark(kettle, ml(40_000), 0.5)).markMm, 160.73);
  });
  test("plain bowl and tapered pan", () => {
    const bowl = geometryOf({ shape: "bowl", diameterMm: 240, bottomDepthMm: 100, heightMm: 100 });
    near(valueOf(bowl.levelOf(ml(1500))), 69.506);
    const pan = geometryOf({
      shape: "rect",
      baseLengthMm: 470,
      baseWidthMm: 270,
      rimLengthMm: 505,
      rimWidthMm: 305,
      heightMm: 100,
      cornerMm: 30,
    });
    near(valueOf(pan.levelOf(ml(6000))), 45.422);
    near(pan.capacityMl, 13_949);
  });
  test("8 lb veal bones in a 28 cm pot, covered by 50 mm: 5.553 l of water (cooks say 4.7–5.7 l)", () => {
    const cover = valueOf(
      coverWith(cylinder(280), [{ kind: "veal-bones", massG: g(3629) }], mm(50), NOMINAL_FACTS),
    );
    expect(cover.bulkLevelMm).toBeCloseTo(89.3, 1);
    expect(cover.liquidMl / 1000).toBeCloseTo(5.553, 2);
  });
});

describe("C39, C40, C59, C60", () => {
  test("C39 16.5 l to the bones and 2.5 cm more in a 40 cm pot: 3.14 l on top, 19.6 l in all", () => {
    const total = valueOf(coverFromMeasure(cylinder(400), ml(16_500), mm(25), ml(8000)));
    expect((total - 16_500) / 1000).toBeCloseTo(3.14, 2);
    expect(total / 1000).toBeCloseTo(19.6, 1);
  });
  test("C39 barely covered adds nothing", () =>
    expect(valueOf(coverFromMeasure(cylinder(400), ml(16_500), mm(0), ml(8000)))).toBeCloseTo(16_500, 6));
  test("C59 6.4 l in a 32 cm pot: 7.96 cm; by two thirds 2.13 l at 2.65 cm", () => {
    const mark = valueOf(dipMark(cylinder(320), ml(6400), 1 / 3));
    expect(mark.startMm / 10).toBeCloseTo(7.96, 2);
    expect(mark.markMm / 10).toBeCloseTo(2.65, 2);
    expect(cylinder(320).volumeAtLevel(mark.markMm) / 1000).toBeCloseTo(2.13, 2);
  });
  test("C60 pan of 2100 g, stop at 600 g: the scale says 2700 g", () =>
    expect(grossTarget(g(2100), g(600))).toBe(2700));
  test("C60 a pot lighter than its tare is questioned", () => {
    expect(netOfGross(g(2000), g(2100))).toMatchObject({ ok: false, problems: [{ code: "TARE" }] });
    expect(valueOf(netOfGross(g(2700), g(2100)))).toBe(600);
  });
});

describe("refusals", () => {
  test("what overflows is refused with both volumes", () => {
    expect(cylinder(200, 100).levelOf(ml(5000))).toMatchObject({
      ok: false,
      problems: [{ code: "OVERFLOW" }],
    });
    expect(volumeOfLevel(cylinder(200, 100), mm(120))).toMatchObject({
      ok: false,
      problems: [{ code: "READING_ABOVE_RIM" }],
    });
    expect(
      coverWith(cylinder(200, 100), [{ kind: "poultry-whole", massG: g(9000) }], mm(10), NOMINAL_FACTS),
    ).toMatchObject({ ok: false, problems: [{ code: "BULK_ABOVE_RIM" }] });
    expect(dipMark(cylinder(200), ml(1000), 0)).toMatchObject({
      ok: false,
      problems: [{ code: "FRACTION" }],
    });
  });
  test("dimensions that make no pot are told why", () => {
    const bowl: VesselShape = { shape: "bowl", diameterMm: 200, bottomDepthMm: 150, heightMm: 200 };
    expect(checkShape(bowl)).toMatchObject({ ok: false, problems: [{ code: "GEOMETRY" }] });
    expect(
      checkShape({
        shape: "table",
        points: [
          [0, 0],
          [10, 500],
          [10, 900],
        ],
      }),
    ).toMatchObject({ ok: false });
    expect(shapeSchema.safeParse({ shape: "cylinder", diameterMm: 0, heightMm: 100 }).success).toBe(false);
  });
  test("the smallest pot that takes a heap, or a word that none does", () => {
    const pots = DEMO_VESSELS.filter(v => v.use === "pot");
    const heap = (massG: number) => [{ kind: "poultry-whole" as const, massG: g(massG) }];
    expect(valueOf(smallestForCover(pots, heap(3000), mm(25), NOMINAL_FACTS)).vessel.id).toBe("tall-1");
    expect(valueOf(smallestForCover(pots, heap(12_000), mm(25), NOMINAL_FACTS)).vessel.id).toBe("tall-2");
    expect(smallestForCover(pots, heap(40_000), mm(25), NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "NOTHING_FITS" }],
    });
    expect(smallestForLiquid(pots, ml(200_000), NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "NOTHING_FITS" }],
    });
    expect(bulkMl(heap(3500), NOMINAL_FACTS)).toBeCloseTo(3500 / 1.1 / 0.35, 6);
  });
});

const shapes: VesselShape[] = [
  ...DEMO_VESSELS.map(v => v.shape),
  { shape: "bowl", diameterMm: 600, bottomDepthMm: 200, heightMm: 420 },
  {
    shape: "table",
    points: [
      [0, 0],
      [40, 1800],
      [90, 4400],
      [200, 11_000],
    ],
  },
];

property.prop([fc.constantFrom(...shapes), fc.double({ min: 0.001, max: 0.999, noNaN: true })])(
  "level and volume are each other’s inverse, and more is higher",
  (shape, share) => {
    const vessel = geometryOf(shape);
    const level = mm(vessel.heightMm * share);
    const volume = vessel.volumeAtLevel(level);
    expect(valueOf(vessel.levelOf(volume))).toBeCloseTo(level, 6);
    expect(vessel.volumeAtLevel(mm(level * 0.99))).toBeLessThan(volume);
    expect(volume).toBeLessThan(vessel.capacityMl);
  },
);
