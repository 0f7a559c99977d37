import { describe, expect, test } from "vitest";
import { GLACE_ID, STOCK_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { courseOf, interpolate, openKitchen } from "../formula";
import { InvariantError } from "../ground/result";
import { type RunPayload, UNKNOWN_BAND, batchRecord, fold, forecastOf, watchNow } from ".";
import { KITCHEN as kitchen, START, demo, doneBefore, event } from "./testing";

const glace = demo(GLACE_ID);
const reducing = glace.steps.findIndex(step => step.kind === "reduce");
const stepId = glace.steps[reducing]?.id ?? "";
const begun = [
  event(0, { kind: "started", burnerId: "plate-hot" }),
  ...doneBefore(glace, reducing),
  event(10, { kind: "step-begun", stepId }),
];
const plain = fold(begun, glace, kitchen);
const progress = plain.steps[reducing];
const course = progress?.foreseen && courseOf(progress.from, progress.foreseen);
if (!progress || !course) throw new InvariantError("Nothing is foreseen.");
const lasts = (course.seconds.at(-1) ?? 0) / 60;
/** The pot as a scale shows it that loses so many times what is foreseen, minutes after the beginning. */
const loses = (times: number, minute: number) => {
  const start = course.mass[0] ?? 0;
  return Math.round(start - times * (start - interpolate(course.seconds, course.mass, minute * 60)));
};
const read = (times: number, minutes: readonly number[]) => {
  const readings = minutes.map(m => event(10 + m, { kind: "weighed", stepId, netG: loses(times, m) }));
  const run = fold([...begun, ...readings], glace, kitchen);
  return {
    run,
    forecast: forecastOf(run, START + (10.1 + (minutes.at(-1) ?? 0)) * 60_000, () => UNKNOWN_BAND),
  };
};
const share = (...of: number[]) => of.map(x => x * lasts);

describe("it never says “as foreseen” when it is not", () => {
  test("half the foreseen pace is said at the second reading", () => {
    expect(read(0.5, share(0.25, 0.4)).forecast?.pace?.words).toMatch(
      /0\.\d times the pace|slower|weigh once more|instead of/,
    );
  });
  test("a dead flame is said at the third", () => {
    const dead = share(0.25, 0.35, 0.45).map(m =>
      event(10 + m, { kind: "weighed", stepId, netG: loses(1, lasts * 0.2) }),
    );
    const run = fold([...begun, ...dead], glace, kitchen);
    const words = forecastOf(run, START + (10 + 0.46 * lasts) * 60_000, () => UNKNOWN_BAND)?.pace?.words;
    expect(words).toMatch(/hardly anything leaves|instead of/);
  });
  test("a reading that was put aside is said", () => {
    const odd = [
      event(10 + 0.3 * lasts, { kind: "weighed", stepId, netG: loses(1, 0.3 * lasts) }),
      event(10 + 0.4 * lasts, { kind: "weighed", stepId, netG: loses(1, 0.4 * lasts) + 4000 }),
    ];
    const run = fold([...begun, ...odd], glace, kitchen);
    const words = forecastOf(run, START + (10 + 0.41 * lasts) * 60_000, () => UNKNOWN_BAND)?.pace?.words;
    expect(words).toMatch(/weigh once more/);
  });
  test("and does where it goes as foreseen", () => {
    expect(read(1, share(0.2, 0.3, 0.4)).forecast?.pace?.words).toBe("as foreseen");
  });
});

test("a glace is watched: at its first mark it is thin, near its last it catches at a full flame", () => {
  const last = glace.steps.findLastIndex(step => step.kind === "reduce");
  const events = glace.steps
    .slice(reducing, last)
    .flatMap((step, i) => [
      event(10 + i, { kind: "step-begun", stepId: step.id }),
      event(10.5 + i, { kind: "step-done", stepId: step.id }),
    ]);
  const run = fold(
    [
      ...begun.slice(0, -1),
      ...events,
      event(20, { kind: "step-begun", stepId: glace.steps[last]?.id ?? "" }),
    ],
    glace,
    kitchen,
  );
  const step = run.steps[last];
  const codesAt = (end: number) => {
    const now = START + 20 * 60_000 + end * 1000 * (step?.foreseen?.durationS ?? 0);
    return step
      ? watchNow(
          step,
          forecastOf(run, now, () => UNKNOWN_BAND),
          kitchen,
          now,
        ).map(w => w.code)
      : [];
  };
  expect(codesAt(0.05)).toEqual([]);
  expect(codesAt(0.99).some(code => code.startsWith("SCORCH"))).toBe(true);
});

describe("what a batch teaches of its pot and burner", () => {
  /** Read at every tenth of the way and ended; the pot loses so many times what is foreseen. */
  const batch = (times: number, data = DEMO_KITCHEN) => {
    const shares = [0.3, 0.4, 0.5, 0.6, 0.7, 0.8];
    const readings = shares.map(s =>
      event(10 + s * lasts, { kind: "weighed", stepId, netG: loses(times, s * lasts) }),
    );
    const ended = event(10 + lasts, { kind: "step-done", stepId });
    return batchRecord(fold([...begun, ...readings, ended], glace, openKitchen(data)));
  };
  test("C163: a pot that goes at four fifths of the sums is known to after a batch, and the next forecast counts on it", () => {
    const [learned] = batch(0.8).paces ?? [];
    expect(learned?.pace).toBeGreaterThan(0.72);
    expect(learned?.pace).toBeLessThan(0.88);
    const taught = { ...DEMO_KITCHEN, paceReadings: learned ? [learned] : [] };
    const ends = (data: typeof DEMO_KITCHEN) =>
      fold(begun, glace, openKitchen(data)).steps[reducing]?.foreseen?.durationS ?? 0;
    expect(ends(taught) / ends(DEMO_KITCHEN)).toBeGreaterThan(1.12);
    expect(openKitchen(taught).learnedPace.size).toBe(1);
  });
  test("a pot that was moved under way, or read too rarely, teaches nothing", () => {
    const few = [0.4, 0.6].map(s =>
      event(10 + s * lasts, { kind: "weighed", stepId, netG: loses(1, s * lasts) }),
    );
    const ended = event(10 + lasts, { kind: "step-done", stepId });
    expect(batchRecord(fold([...begun, ...few, ended], glace, kitchen)).paces).toEqual([]);
    const moved = event(10 + 0.2 * lasts, { kind: "moved", stepId, burnerId: "open-8" });
    const many = [0.3, 0.4, 0.5, 0.6, 0.7].map(s =>
      event(10 + s * lasts, { kind: "weighed", stepId, netG: loses(1, s * lasts) }),
    );
    expect(batchRecord(fold([...begun, moved, ...many, ended], glace, kitchen)).paces).toEqual([]);
  });
});

describe("a simmer is watched", () => {
  const simmering = demo(STOCK_ID);
  const index = simmering.steps.findIndex(step => step.kind === "simmer");
  const id = simmering.steps[index]?.id ?? "";
  const codes = (...payloads: RunPayload[]) => {
    const before = doneBefore(simmering, index);
    const run = fold(
      [
        ...before,
        event(20, { kind: "step-begun", stepId: id }),
        ...payloads.map((p, i) => event(200 + i, p)),
      ],
      simmering,
      kitchen,
    );
    const step = run.steps[index];
    const now = START + 240 * 60_000;
    return step
      ? watchNow(
          step,
          forecastOf({ ...run, current: index }, now, () => UNKNOWN_BAND),
          kitchen,
          now,
        ).map(w => w.code)
      : [];
  };
  const probe = (temperatureC: number): RunPayload => ({
    kind: "probed",
    stepId: id,
    temperatureC,
    where: "pot",
  });
  const brix = (value: number): RunPayload => ({ kind: "measured", stepId: id, what: "brix", value });
  test("C42: 95 °C at 1 180 m is on the boil, 89 °C is as it should be", () => {
    expect(codes(probe(95))).toContain("BOILS");
    expect(codes(probe(89))).not.toContain("BOILS");
  });
  test("C46: 4.1, 4.2, 4.2 °Bx is a plateau; 3.5, 4.1, 4.2 is not", () => {
    expect(codes(brix(4.1), brix(4.2), brix(4.2))).toContain("PLATEAU");
    expect(codes(brix(3.5), brix(4.1), brix(4.2))).not.toContain("PLATEAU");
  });
});

test("C158a: the lid on with the flame unchanged boils off just the same, and that is said", () => {
  const codes = (...payloads: RunPayload[]) => {
    const run = fold([...begun, ...payloads.map((p, i) => event(30 + i, p))], glace, kitchen);
    const step = run.steps[reducing];
    return step
      ? watchNow(
          step,
          forecastOf(run, START + 40 * 60_000, () => UNKNOWN_BAND),
          kitchen,
          START + 40 * 60_000,
        ).map(w => w.code)
      : [];
  };
  const lid = (how: "on" | "off"): RunPayload => ({ kind: "lid", stepId, lid: how });
  expect(codes(lid("on"))).toContain("LID_ON");
  expect(codes(lid("on"), { kind: "flame", stepId, setting: 0.25 })).not.toContain("LID_ON");
  expect(codes(lid("on"), lid("off"))).not.toContain("LID_ON");
});
