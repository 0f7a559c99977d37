import { fc, test as prop } from "@fast-check/vitest";
import { mean, sampleStandardDeviation } from "simple-statistics";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS, reachOf } from "../ground/facts";
import type { KitchenData } from "../formula";
import { FAMILIES } from "../families";
import { cupSeconds, cupViscosity } from "../laws/texture";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import {
  type KeptMark,
  type TeachingBatch,
  FIRST_WEEK,
  checkYield,
  counted,
  factsTaken,
  habitsOf,
  learnedOf,
  meanOf,
  nextDoses,
  readingsOf,
  standardDose,
  standingOf,
  withYield,
} from ".";

const KITCHEN: KitchenData = { ...DEMO_KITCHEN, formulas: {} };

const batch = (at: number, more: Partial<TeachingBatch> = {}): TeachingBatch => ({
  runId: `run-${at}`,
  formulaId: "soup",
  name: "Soup",
  at,
  plannedG: null,
  actualG: null,
  plannedMin: null,
  actualMin: null,
  score: null,
  incidents: 0,
  seasoned: [],
  taught: [],
  paces: [],
  ...more,
});
const learned = (
  batches: readonly TeachingBatch[],
  marks: readonly KeptMark[] = [],
  yields: Parameters<typeof learnedOf>[1]["yields"] = [],
) => learnedOf(KITCHEN, { batches, body: [], yields, marks });
const mark = (at: number, kind: KeptMark["kind"], more: Partial<KeptMark> = {}): KeptMark => ({
  group: "time",
  key: "soup",
  kind,
  at,
  value: null,
  ...more,
});

describe("the middle of readings", () => {
  test("its interval is Student’s: 4 readings, t = 2.3534 (handbook table, 90 % two-sided, 3 degrees)", () => {
    const values = [36, 38, 39, 41];
    const found = meanOf(values);
    const half = (2.3534 * sampleStandardDeviation(values)) / 2;
    expect(found?.value).toBeCloseTo(mean(values), 9);
    expect((found?.hi ?? 0) - (found?.value ?? 0)).toBeCloseTo(half, 3);
  });
  test("one reading has no interval, none no middle", () => {
    expect(meanOf([4])).toEqual({ n: 1, value: 4, lo: null, hi: null });
    expect(meanOf([])).toBeNull();
  });
});

describe("C179 the next plan", () => {
  const slow = [1, 2, 3].map(at => batch(at, { plannedMin: 30, actualMin: 30 * (1.11 + 0.005 * at) }));
  test("three soups took 12 % longer: 1.12 waits for a chef; taken, the day counts on it", () => {
    const [time] = learned(slow);
    expect(time).toMatchObject({ group: "time", key: "soup", n: 3, status: "proposed" });
    expect(time?.now).toBeCloseTo(1.12, 3);
    const taken = [mark(4, "accepted", { value: 1.12 })];
    expect(learned(slow, taken)[0]?.status).toBe("counts");
    expect(habitsOf(taken)).toEqual({ soup: { time: 1.12 } });
    expect(30 * (habitsOf(taken).soup?.time ?? 1)).toBeCloseTo(33.6, 1);
  });
  test("a batch in which something went wrong teaches neither minutes nor yield", () => {
    expect(learned(slow.map(one => ({ ...one, incidents: 1 })))).toEqual([]);
  });
  test("two batches say nothing yet; three at their plan agree with it", () => {
    expect(learned(slow.slice(0, 2))[0]?.status).toBe("learning");
    const right = [1, 2, 3].map(at => batch(at, { plannedMin: 30, actualMin: 30 + 0.1 * at }));
    expect(learned(right)[0]?.status).toBe("agrees");
  });
  test("reset forgets what was before and gives the plan back; frozen, later batches do not count", () => {
    const marks = [mark(3.5, "accepted", { value: 1.12 }), mark(4, "reset")];
    expect(learned(slow, marks)).toEqual([]);
    expect(habitsOf(marks)).toEqual({});
    expect(learned(slow, [mark(2.5, "frozen")])[0]).toMatchObject({ n: 2, frozen: true });
  });
});

describe("marks", () => {
  prop.prop([
    fc.array(
      fc.record({
        kind: fc.constantFrom("accepted" as const, "reset" as const, "frozen" as const, "freed" as const),
        at: fc.nat(100),
      }),
      { maxLength: 8 },
    ),
  ])("readings that count came after the last reset and before the freeze that stands", said => {
    const marks = said.sort((a, b) => a.at - b.at).map(one => ({ ...one, value: 1 }));
    const standing = standingOf(marks);
    const kept = counted(
      Array.from({ length: 101 }, (_, at) => ({ at })),
      standing,
    );
    const reset = marks.findLast(m => m.kind === "reset")?.at ?? -1;
    for (const { at } of kept) expect(at).toBeGreaterThan(reset);
    const last = marks.findLast(m => m.kind !== "accepted");
    if (last?.kind === "frozen") for (const { at } of kept) expect(at).toBeLessThanOrEqual(last.at);
  });
});

describe("C22 what a piece gives, what is left of a thing", () => {
  const lemon = (at: number, from: number, gotG: number) => ({
    id: `y${at}`,
    ingredientId: "lemon-juice",
    what: "per piece" as const,
    from,
    gotG,
    at,
  });
  test("three times about 38 g a lemon: 600 g ask for 16", () => {
    const [piece] = learned([], [], [lemon(1, 12, 462), lemon(2, 10, 375), lemon(3, 16, 608)]);
    expect(piece).toMatchObject({ group: "piece", n: 3 });
    expect(piece?.now).toBeCloseTo(38, 1);
    expect(Math.ceil(600 / (piece?.now ?? 1))).toBe(16);
  });
  test("taken, the larder says so, and that it was weighed here", () => {
    const leek = DEMO_KITCHEN.ingredients.find(i => i.id === "leek");
    if (!leek) throw new Error("no leek");
    const source = { mark: "measured" as const, text: "4 readings in this kitchen" };
    expect(withYield(leek, "trimmed", { value: 43, lo: 41, hi: 45 }, source)).toMatchObject({
      ediblePct: 43,
      edibleSource: source,
    });
    const piece = withYield({ ...leek, measures: [] }, "per piece", { value: 210, lo: 190, hi: 230 }, source);
    expect(piece.measures).toEqual([{ name: "piece", massG: 210, loG: 190, hiG: 230, source }]);
  });
  test("more left than there was is refused in words", () => {
    expect(checkYield({ what: "trimmed", from: 500, gotG: 620 })[0]?.message).toMatch(
      /620 g are more than the 500 g/,
    );
    expect(checkYield({ what: "per piece", from: 1, gotG: 6000 })[0]?.message).toMatch(
      /weighed and not counted/,
    );
    expect(checkYield({ what: "per piece", from: 12, gotG: 456 })).toEqual([]);
  });
});

describe("what batches say of the sums", () => {
  const lessons = (what: "oven" | "extraction", of: string, reads: number[], foreseen: number) =>
    reads.map((read, i) => batch(i + 1, { taught: [{ what, of, foreseen, read }] }));
  test("C158f an oven set to 160 that is at 153: seven degrees off its dial, once taken", () => {
    const [oven] = learned(lessons("oven", "", [153, 152, 154], 160));
    expect(oven).toMatchObject({ group: "oven", status: "proposed", before: 0 });
    expect(oven?.now).toBeCloseTo(-7, 9);
    expect(factsTaken({ what: "oven", of: "" }, -7, NOMINAL_FACTS, reachOf)).toEqual([
      { id: "ovenOff", value: -7 },
    ]);
  });
  test("frames that give nine tenths: gelatin and solids of fish go times 0.9, and later readings begin anew", () => {
    const batches = lessons("extraction", "fish", [1.9, 1.92, 1.91], 2.12);
    const [fish] = learned(batches);
    expect(fish).toMatchObject({
      group: "extraction",
      key: "fish",
      title: "fish frames",
      status: "proposed",
    });
    const taken = factsTaken({ what: "extraction", of: "fish" }, 0.9, NOMINAL_FACTS, reachOf);
    expect(taken.map(f => f.id)).toEqual(["gelatinFish", "solidsFish"]);
    for (const { id, value } of taken) expect(value).toBeCloseTo(0.9 * NOMINAL_FACTS[id], 12);
    const marks = [mark(10, "accepted", { group: "extraction", key: "fish", value: 0.9 })];
    expect(learned(batches, marks)[0]).toMatchObject({ n: 0, status: "counts" });
  });
  prop.prop([fc.double({ min: 0.01, max: 50, noNaN: true })])(
    "no lesson takes a figure beyond its reach",
    times => {
      for (const { id, value } of factsTaken(
        { what: "extraction", of: "veal" },
        times,
        NOMINAL_FACTS,
        reachOf,
      )) {
        expect(value).toBeGreaterThanOrEqual(reachOf(id).min);
        expect(value).toBeLessThanOrEqual(reachOf(id).max);
      }
    },
  );
});

describe("body by family and test", () => {
  const read = (test: "cup" | "line", forecast: number, measured: number, i: number) => ({
    id: `b${i}`,
    family: "veloute",
    formulaName: "Velouté",
    forecast,
    test,
    reading: 1,
    temperatureC: 60,
    measured,
    at: new Date(1000 * i).toISOString(),
    by: "Noor",
  });
  test("readings put the family right, and a test that reads apart from the others is named", () => {
    const body = [38, 40, 42, 44].flatMap((forecast, i) => [
      read("cup", forecast, forecast + 8, 2 * i),
      read("line", forecast, forecast - 2, 2 * i + 1),
    ]);
    const [veloute] = learnedOf(KITCHEN, { batches: [], body, yields: [], marks: [] });
    expect(veloute).toMatchObject({ group: "body", key: "veloute", n: 8, before: 45, status: "counts" });
    expect(veloute?.now).toBeGreaterThan(45);
    expect(veloute?.note).toMatch(/the flow cup reads \d points thicker than the others do/);
    const alike = learnedOf(KITCHEN, { batches: [], body: body.slice(0, 3), yields: [], marks: [] });
    expect(alike[0]?.note).toBeNull();
  });
});

describe("the first week", () => {
  test("a 60 % syrup runs out of a 4 mm cup in 37 s: the cup’s equation solved for the time gives the viscosity back", () => {
    const seconds = cupSeconds(58.49 / 1.2865, 4);
    expect(cupViscosity(seconds, 4)).toBeCloseTo(58.49 / 1.2865, 9);
    expect(FIRST_WEEK[0]?.todo[0]).toMatch(/in 37 s/);
  });
  test("readings count for the day of their kind of sauce", () => {
    const read = [{ family: "veloute" }, { family: "mayonnaise" }, { family: "jus" }, { family: "glaze" }];
    expect(FIRST_WEEK.map(day => readingsOf(day, read))).toEqual([0, 1, 2, 1, 0]);
    const known = new Set<string>(FAMILIES.map(family => family.id));
    for (const { families } of FIRST_WEEK) for (const family of families) expect(known).toContain(family);
  });
});

describe("C119 standard dose", () => {
  test("five that agree within a tenth: nine tenths first; three: two thirds; one: it is being learned", () => {
    expect(standardDose([8.8, 8.9, 8.7, 8.9, 8.8])).toMatchObject({ status: "standard", firstShare: 0.9 });
    expect(standardDose([7, 9, 8])).toMatchObject({ status: "usual", firstShare: 2 / 3 });
    expect(standardDose([8.8])).toMatchObject({ status: "learning", firstShare: null });
  });
  test("the next batch begins with the standard dose; a batch that did not taste right teaches nothing", () => {
    const salt = (pctOfPot: number, score: number | null = 8) => ({
      baseG: 5000,
      score,
      seasoned: [
        {
          ingredientId: "salt",
          name: "salt",
          doses: [],
          totalG: 50 * pctOfPot,
          sdG: 0.1,
          pctOfPot,
          perLitreG: null,
          nextFirstG: 45 * pctOfPot,
        },
      ],
    });
    const batches = [salt(0.88), salt(0.9), salt(0.88), salt(0.87), salt(0.88), salt(2, 3)];
    const next = nextDoses(batches, () => true)?.seasoned[0]?.nextFirstG ?? 0;
    expect(next).toBeCloseTo(0.9 * 0.882 * 50, 6);
    expect(nextDoses(batches.slice(0, 1), () => true)?.seasoned[0]?.nextFirstG).toBeCloseTo(39.6, 6);
    expect(nextDoses([], () => true)).toBeUndefined();
  });
});
