import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { degC, g, ml } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { geometryOf } from "../../things/vessel";
import {
  COOLING_METHODS,
  type CoolingMethod,
  type Standing,
  bathFor,
  coolingCourse,
  coolingTime,
  iceForBath,
  iceForBlanching,
  iceIntoPot,
  judgeLog,
  outlook,
  projectCooling,
  sinksOf,
  wandCapacityJ,
} from ".";

const pot = geometryOf({ shape: "cylinder", diameterMm: 280, heightMm: 300 });
const level = valueOf(pot.levelOf(ml(10_000)));
const standing = (method: CoolingMethod, over: Partial<Standing> = {}): Standing => ({
  method,
  vessel: pot,
  level,
  covered: true,
  thick: false,
  stirred: true,
  roomC: degC(25),
  ...over,
});
/** 10 l of water-like stock, 9.98 kg at 4180 J/(kg K), and the pot. */
const HEAT = 9980 * 4.18 + 1000;
const sinks = (method: CoolingMethod, over: Partial<Standing> = {}) =>
  valueOf(sinksOf(standing(method, over), NOMINAL_FACTS));
const time = (method: CoolingMethod, from: number, to: number) =>
  valueOf(coolingCourse(HEAT, degC(from), degC(to), sinks(method))).time;
const readings = (text: string) =>
  text.split(";").map(pair => {
    const [min = 0, c = 0] = pair.trim().split(" ").map(Number);
    return { min, c };
  });

describe("check rows of the cooling model (own model, worked twice)", () => {
  test("I1: 10 l covered in the walk-in, 57 to 21 °C: 7.16 h; big pots in the walk-in always fail (common practice)", () => {
    expect(sinks("walk-in").drain.wPerK).toBeCloseTo(1.82, 2);
    expect(time("walk-in", 57, 21) / 3600).toBeCloseTo(7.16, 1);
  });
  test("I2: in a stirred ice bath 14.34 min, then 22.42 min to 5 °C", () => {
    expect(sinks("ice-bath").drain.wPerK).toBeCloseTo(51.11, 1);
    expect(time("ice-bath", 57, 21) / 60).toBeCloseTo(14.34, 1);
    expect(time("ice-bath", 21, 5) / 60).toBeCloseTo(22.42, 1);
  });
  test("I3: 4 kg in a shallow open pan in the walk-in: 1.029 h and 3.088 h", () => {
    const pan = geometryOf({
      shape: "rect",
      baseLengthMm: 505,
      baseWidthMm: 305,
      rimLengthMm: 505,
      rimWidthMm: 305,
      heightMm: 100,
      cornerMm: 0,
    });
    const open = valueOf(
      sinksOf(
        standing("walk-in", {
          vessel: pan,
          level: valueOf(pan.levelOf(ml(505 * 305 * 0.026))),
          covered: false,
        }),
        NOMINAL_FACTS,
      ),
    );
    expect(open.drain.wPerK).toBeCloseTo(4.958, 2);
    const hours = (to: number) => valueOf(coolingTime(4000 * 4.18, degC(57), degC(to), open.drain)) / 3600;
    expect(hours(21)).toBeCloseTo(1.029, 2);
    expect(hours(5)).toBeCloseTo(3.088, 2);
  });
  test("I4: ice for it from 57 to 5 °C: 6.852 kg", () =>
    expect(
      valueOf(iceForBath({ heatJPerK: HEAT, fromC: 57, toC: 5, bathC: 3, iceC: -5, lossShare: 0.1 })),
    ).toBeCloseTo(6852, -1));
  test("I5: projection of 90, 70.76, 55.77, 44.10 °C at 10-minute steps: 21 °C after 3783 s, 3494–4186", () => {
    const projected = valueOf(
      projectCooling(readings("0 90; 10 70.7557; 20 55.7682; 30 44.0959"), 3, 3000 / 60),
    );
    const crossing = projected.crossing(21);
    expect((crossing?.value ?? 0) * 60).toBeCloseTo(3782.8, 0);
    expect((crossing?.lo ?? 0) * 60).toBeCloseTo(3494, -0.5);
    expect((crossing?.hi ?? 0) * 60).toBeCloseTo(4186, -0.5);
    // The truth behind the readings.
    expect(Math.abs((crossing?.value ?? 0) * 60 - 3781.3)).toBeLessThan(3);
  });
  test("I6: a log inside the limits, decided by the last reading above 57 °C", () => {
    const log = readings("0 60; 10 55; 60 34; 110 22; 130 19; 300 6; 340 4.5");
    const judged = valueOf(judgeLog(log, "fda", 0));
    expect(judged.startMin).toBeCloseTo(6, 9);
    expect(judged.stages.map(s => s.crossedAtMin)).toEqual([
      expect.closeTo(116.667, 3),
      expect.closeTo(326.667, 3),
    ]);
    expect(judged.stages.map(s => s.verdict)).toEqual(["pass", "pass"]);
    // A probe that may be one degree off leaves the first stage open.
    expect(valueOf(judgeLog(log, "fda", 1)).stages[0]?.verdict).toBe("pass-marginal");
  });
  test("I7: one reading warmer and it is outside: 134 min", () => {
    const judged = valueOf(
      judgeLog(readings("0 60; 10 55; 60 34; 110 22; 130 23; 150 19; 300 6; 340 4.5"), "fda", 0),
    );
    expect(judged.stages[0]?.crossedAtMin).toBeCloseTo(140, 3);
    expect(judged.stages[0]?.tookMin).toBeCloseTo(134, 3);
    expect(judged.stages[0]?.verdict).toBe("fail");
  });
  test("I8: one wand of 1.9 kg at −18 °C takes 745.3 kJ: 17.45 K of this batch", () => {
    const usable = wandCapacityJ(1900, -18);
    expect(usable / 1000).toBeCloseTo(745.3, 0);
    expect(usable / HEAT).toBeCloseTo(17.45, 1);
  });
  test("I9: warmed only to 58 °C the clock does not start again: 406 min", () => {
    const judged = valueOf(
      judgeLog(readings("0 80; 30 58; 40 50; 340 45; 350 58; 360 56; 400 30; 450 18; 600 4.5"), "fda", 0),
    );
    expect(judged.startMin).toBeCloseTo(31.25, 6);
    expect(judged.stages[0]?.crossedAtMin).toBeCloseTo(437.5, 6);
    expect(judged.stages[0]?.verdict).toBe("fail");
    expect(judged.notes).toContain("REWARM_NOT_REHEATED");
  });
});

describe("a cooling log", () => {
  test("C140 bath 2 °C, 60 °C at 14:00, 38 °C at 15:00: 57 passed at 14:08, 21 due 16:08, forecast about 16:20, too late", () => {
    // The example counts 57 °C along the curve (14:07); the model draws a straight line between readings.
    const log = readings("0 60; 60 38");
    const judged = valueOf(judgeLog(log, "fda"));
    expect(judged.startMin).toBeCloseTo(8.2, 1);
    expect(judged.stages[0]?.verdict).toBe("pending");
    const crossing = valueOf(projectCooling(log, 2, 120)).crossing(21);
    expect(crossing?.value).toBeGreaterThan(138);
    expect(crossing?.value).toBeLessThan(143);
    expect(outlook(crossing, (judged.startMin ?? 0) + 120)).not.toBe("on-track");
  });
  test("a log that starts too cold can be outside, never inside", () => {
    expect(valueOf(judgeLog(readings("0 40; 60 20; 200 4"), "fda")).stages.map(s => s.verdict)).toEqual([
      "unknown",
      "unknown",
    ]);
    expect(valueOf(judgeLog(readings("0 40; 200 30; 500 6"), "fda")).stages[0]?.verdict).toBe("fail");
  });
  test("a long gap over the limit leaves it open", () =>
    expect(valueOf(judgeLog(readings("0 60; 5 56; 60 30; 300 4"), "fda", 0)).stages[0]?.verdict).toBe(
      "unknown",
    ));
  test("falling below the end, warming and falling again: the last fall counts, and it is said", () => {
    const judged = valueOf(judgeLog(readings("0 60; 10 50; 60 20; 90 25; 100 20; 300 4"), "fda", 0));
    expect(judged.stages[0]?.crossedAtMin).toBeCloseTo(98, 6);
    expect(judged.stages[0]?.notes).toContain("REWARMED");
  });
  test("a true reheating starts the clock again", () => {
    const judged = valueOf(
      judgeLog(readings("0 60; 10 50; 200 30; 230 75; 240 60; 250 55; 290 20; 400 4"), "fda", 0),
    );
    expect(judged.startMin).toBeCloseTo(246, 6);
    expect(judged.stages.map(s => s.verdict)).toEqual(["pass", "pass"]);
  });
  test("still hot: nothing has begun", () =>
    expect(valueOf(judgeLog(readings("0 90; 10 85"), "fda"))).toMatchObject({
      startMin: null,
      stages: [{ verdict: "pending" }, { verdict: "pending" }],
    }));
  test.each([
    ["10 60; 5 50", "TIME_ORDER"],
    ["0 60; 5 150", "PROBE"],
    ["0 60", "EMPTY"],
    ["0 NaN; 5 30", "NOT_FINITE"],
  ])("%s is refused: %s", (text, code) =>
    expect(judgeLog(readings(text), "fda")).toMatchObject({ ok: false, problems: [{ code }] }),
  );
  test("one that does not fall is not projected", () =>
    expect(projectCooling(readings("0 40; 10 45; 20 50; 30 55"), 2, 60)).toMatchObject({
      ok: false,
      problems: [{ code: "NO_PROJECTION" }],
    }));
});

describe("vessels in the cold", () => {
  test("a bath cannot cool below itself", () => {
    const { drain } = sinks("walk-in");
    expect(coolingTime(HEAT, degC(57), degC(2), drain)).toMatchObject({
      ok: false,
      problems: [{ code: "NEVER_REACHED" }],
    });
    expect(coolingTime(HEAT, degC(2), degC(5), drain)).toMatchObject({
      ok: false,
      problems: [{ code: "T_START" }],
    });
    expect(valueOf(coolingTime(HEAT, degC(10), degC(20), drain))).toBe(0);
  });
  test("thick food nobody stirs is slower, and its core lags", () => {
    const thick = sinks("ice-bath", { thick: true, stirred: false });
    expect(thick.drain.wPerK).toBeLessThan(0.25 * sinks("ice-bath", { stirred: false }).drain.wPerK);
    expect(thick.coreExcess).toBeGreaterThan(0.3);
    expect(sinks("ice-bath", { thick: true }).coreExcess).toBe(0);
  });
  test("a wand helps until its ice is gone; then the room is left, which never gets it cold", () => {
    const course = valueOf(coolingCourse(HEAT, degC(57), degC(32), sinks("ice-wand")));
    expect(course.wandSpent).not.toBeNull();
    expect(course.at(0)).toBe(57);
    expect(course.at(course.time)).toBeCloseTo(32, 3);
    expect(coolingCourse(HEAT, degC(57), degC(20), sinks("ice-wand"))).toMatchObject({
      ok: false,
      problems: [{ code: "NEVER_REACHED" }],
    });
  });
  property.prop([
    fc.constantFrom(...COOLING_METHODS.filter(m => m !== "ice-wand" && m !== "room")),
    fc.double({ min: 20, max: 100, noNaN: true }),
    fc.double({ min: 15, max: 19, noNaN: true }),
    fc.double({ min: 0.1, max: 0.9, noNaN: true }),
  ])("the way down is the sum of its parts, and falls all the time", (method, from, to, share) => {
    const middle = from - (from - to) * share;
    expect(time(method, from, middle) + time(method, middle, to)).toBeCloseTo(time(method, from, to), 3);
    const course = valueOf(coolingCourse(HEAT, degC(from), degC(to), sinks(method)));
    expect(course.at(course.time * share)).toBeLessThan(from);
    expect(course.at(course.time)).toBeCloseTo(to, 6);
  });
});

describe("ice", () => {
  test("C141 8 l of soup, 85 to 20 °C: 2080 kJ; 5.8 kg melts, 6.4 kg with what the room melts", () => {
    // The example plans 6.5 kg; the model counts ice at −5 °C and a bath that ends at 3 °C.
    const soup = { heatJPerK: 8000 * 4, fromC: 85, toC: 20, iceC: -5 };
    expect((soup.heatJPerK * 65) / 1000).toBe(2080);
    expect(valueOf(iceForBath({ ...soup, bathC: 3, lossShare: 0 })) / 1000).toBeCloseTo(5.83, 2);
    expect(valueOf(iceForBath({ ...soup, bathC: 3, lossShare: 0.1 })) / 1000).toBeCloseTo(6.42, 2);
    expect(valueOf(iceIntoPot(soup)) / 1000).toBeCloseTo(4.86, 2);
  });
  test("C30 2 kg spinach from 95 to 5 °C: 1.98 kg, 2.6 kg with margin", () => {
    const ice = valueOf(iceForBlanching(g(2000), 95, 5));
    expect(ice.iceG).toBeCloseTo(1980, -1);
    expect(ice.withMarginG).toBeCloseTo(2574, -1);
    expect(valueOf(iceForBlanching(g(2000), 95, 5, { massG: g(3000), c: 15 })).iceG).toBeGreaterThan(2300);
  });
  test("C6 a container of 25 × 30 cm holds 14.7 l; its bath must hold 19.1 l, more than a 12 l bowl", () => {
    const container = geometryOf({ shape: "cylinder", diameterMm: 250, heightMm: 300 }).capacityMl;
    expect(container / 1000).toBeCloseTo(14.7, 1);
    const bowl = {
      id: "bowl",
      name: "the bowl",
      use: "container" as const,
      shape: { shape: "cylinder" as const, diameterMm: 300, heightMm: 170 },
      tareG: 900,
      metal: "steel" as const,
      handles: "none" as const,
    };
    const refused = bathFor(container, [bowl]);
    expect(refused).toMatchObject({ ok: false, problems: [{ code: "NOTHING_FITS" }] });
    expect(!refused.ok && refused.problems[0]?.message).toContain("19.1 l");
    const sink = { ...bowl, id: "sink", shape: { ...bowl.shape, diameterMm: 450 } };
    expect(valueOf(bathFor(container, [bowl, sink])).vessel.id).toBe("sink");
  });
  test.each([
    [{ fromC: 20, toC: 60 }, "T_START"],
    [{ fromC: 85, toC: 2 }, "NEVER_REACHED"],
    [{ fromC: NaN, toC: 20 }, "NOT_FINITE"],
    [{ fromC: 85, toC: 20, iceC: 4 }, "OUT_OF_RANGE"],
  ])("%o is refused: %s", (over, code) =>
    expect(iceForBath({ heatJPerK: 32_000, iceC: -5, bathC: 3, lossShare: 0.1, ...over })).toMatchObject({
      ok: false,
      problems: [{ code }],
    }),
  );
});
