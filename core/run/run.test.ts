import { courseOf } from "../formula";
import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { POOLS, accountedFor, potMass } from "../things/pot";
import { type Step, intervalsAlong, openKitchen, updateStep, walk } from "../formula";
import { g, ml } from "../ground/quantity";
import { InvariantError, valueOf } from "../ground/result";
import {
  type RunEvent,
  type RunPayload,
  batchRecord,
  checkPayload,
  fold,
  forecastOf,
  inOrder,
  liveForecast,
  stepBand,
  pouredFrom,
  runEventSchema,
  notTakenBack,
  strainYield,
} from ".";

const kitchen = openKitchen(DEMO_KITCHEN);
const [stock, glace] = [DEMO_FORMULAS[STOCK_ID], DEMO_FORMULAS[GLACE_ID]];
if (!stock || !glace) throw new InvariantError("The demo formulas are gone.");

const STEAMS: readonly string[] = ["hold", "reheat", "thicken", "sweat", "render", "simmer", "reduce"];
const START = Date.UTC(2026, 10, 23, 8, 0, 0);
let counter = 0;
const event = (minute: number, payload: RunPayload, over: Partial<RunEvent> = {}): RunEvent => ({
  id: `01HZZZZZZZZZZZZZZZZZ${String(++counter).padStart(6, "0")}`,
  at: new Date(START + minute * 60_000).toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload,
  ...over,
});

/** The stock, cooked to the end of its simmer. */
const upToSimmer = (): RunEvent[] => [
  event(0, { kind: "started", burnerId: "plate-hot" }),
  ...["s1", "s2", "s3", "s4", "s5"].flatMap((stepId, i) => [
    event(1 + i * 10, { kind: "step-begun", stepId }),
    event(9 + i * 10, { kind: "step-done", stepId }),
  ]),
  event(52, { kind: "step-begun", stepId: "s6" }),
];

describe("folding events", () => {
  test("a run is its events: where it stands follows from them", () => {
    const run = fold(upToSimmer(), stock, kitchen);
    expect(run.startedAt).toBe(START);
    expect(run.current).toBe(5);
    expect(run.steps.map(s => s.status)).toEqual([
      "done",
      "done",
      "done",
      "done",
      "done",
      "live",
      "waiting",
      "waiting",
      "waiting",
      "waiting",
    ]);
    expect(run.vessel?.id).toBe("tall-1");
  });

  property.prop([fc.integer({ min: 0, max: 1000 })])(
    "late, doubled and shuffled events fold to the same",
    seed => {
      const events = [
        ...upToSimmer(),
        event(60, { kind: "weighed", stepId: "s6", netG: 15_000 }),
        event(61, { kind: "noted", stepId: "s6", text: "clear" }),
      ];
      const shuffled = [...events, ...events.slice(0, 3)].sort(
        (a, b) => ((a.id.charCodeAt(25) * seed) % 7) - ((b.id.charCodeAt(25) * seed) % 7),
      );
      const once = fold(events, stock, kitchen);
      const again = fold(shuffled, stock, kitchen);
      expect(again.current).toBe(once.current);
      expect(again.steps[5]?.readings).toEqual(once.steps[5]?.readings);
      expect(potMass(again.pot)).toBe(potMass(once.pot));
    },
  );

  test("a run begins with its first event, also when readings are entered afterwards", () => {
    const late = [
      event(500, { kind: "started", burnerId: "plate-hot" }),
      event(10, { kind: "step-begun", stepId: "s1" }),
      event(600, { kind: "finished" }),
    ];
    expect(batchRecord(fold(late, stock, kitchen)).minutes.actual).toBe(590);
  });

  test("a slow device clock is put right by its offset", () => {
    const late = event(0, { kind: "noted", stepId: "s1", text: "late" }, { clockOffsetMs: 3_600_000 });
    const early = event(30, { kind: "noted", stepId: "s1", text: "early" });
    expect(inOrder([late, early])).toEqual([early, late]);
  });

  test("a pot that is given up is at its end, with its reason; taken back it goes on", () => {
    const given = event(70, { kind: "abandoned", reason: "burnt" });
    const run = fold([...upToSimmer(), given], stock, kitchen);
    expect(run).toMatchObject({ abandoned: "burnt", finishedAt: START + 70 * 60_000 });
    const back = event(71, { kind: "undone", eventId: given.id });
    expect(fold([...upToSimmer(), given, back], stock, kitchen)).toMatchObject({
      abandoned: null,
      finishedAt: null,
    });
  });

  test("what is missing after a step that steams has gone as steam, never as liquor poured away", () => {
    const seen = new Set<string>();
    for (const document of Object.values(DEMO_FORMULAS)) {
      const planned = walk(document, kitchen);
      planned.states.forEach((state, i) => {
        const { kind, id } = state.step;
        if (!STEAMS.includes(kind) || seen.has(kind) || !planned.states[i + 1] || state.massG < 100) return;
        const events = [
          event(0, { kind: "started", burnerId: "plate-hot" }),
          ...document.steps
            .slice(0, i + 1)
            .flatMap((step, n) => [
              event(1 + n * 10, { kind: "step-begun", stepId: step.id }),
              ...(step.id === id
                ? [event(8 + n * 10, { kind: "weighed", stepId: id, netG: state.massG * 0.97 })]
                : []),
              event(9 + n * 10, { kind: "step-done", stepId: step.id }),
            ]),
        ];
        const without = fold(
          events.filter(e => e.payload.kind !== "weighed"),
          document,
          kitchen,
        );
        const run = fold(events, document, kitchen);
        if (potMass(run.pot) >= potMass(without.pot)) return;
        seen.add(kind);
        expect(run.pot.exits.poured, kind).toEqual(without.pot.exits.poured);
      });
    }
    expect(seen.size).toBeGreaterThan(2);
  });

  test("what the server would refuse is refused before it waits, in a cook’s words", () => {
    const said = (payload: RunPayload) => {
      const read = checkPayload(payload);
      return read.ok ? "" : (read.problems[0]?.message ?? "");
    };
    expect(said({ kind: "noted", stepId: "s1", text: "x".repeat(501) })).toContain("more than 500 signs");
    expect(said({ kind: "noted", stepId: "s1", text: "half \ud800" })).toContain("half a character");
    expect(said({ kind: "jugged", stepId: "s1", volumeMl: 5_000_000 })).toContain("at most 1 000 l");
    expect(said({ kind: "noted", stepId: "s1", text: "x".repeat(500) })).toBe("");
  });

  test("an event of another century is refused; one of a clock that was never set is not; ids are one in any case", () => {
    const [one] = upToSimmer();
    const read = (over: object) => runEventSchema.safeParse({ ...one, ...over });
    expect(read({ at: "2300-01-01T00:00:00.000Z" }).error?.issues[0]?.message).toContain("another century");
    expect(read({ clockOffsetMs: 4e12 }).error?.issues[0]?.message).toContain("hundred years off");
    expect(read({ at: "1970-01-01T00:00:00.000Z", clockOffsetMs: START }).success).toBe(true);
    expect(read({ id: "01hzzzzzzzzzzzzzzzzzzzzzzz" }).data?.id).toBe("01HZZZZZZZZZZZZZZZZZZZZZZZ");
  });

  test("undone events drop out; undoing the undoing brings them back", () => {
    const weighed = event(60, { kind: "weighed", stepId: "s6", netG: 15_000 });
    const undone = event(61, { kind: "undone", eventId: weighed.id });
    const redone = event(62, { kind: "undone", eventId: undone.id });
    expect(notTakenBack([weighed, undone])).toEqual([]);
    expect(notTakenBack([weighed, undone, redone])).toEqual([weighed]);
  });

  test("what was weighed at the end of a step is what the next one starts from", () => {
    const events = [
      ...upToSimmer(),
      event(340, { kind: "weighed", stepId: "s6", netG: 13_500, grossG: 17_620, tareG: 4120 }),
      event(345, { kind: "step-done", stepId: "s6" }),
    ];
    const run = fold(events, stock, kitchen);
    const drift = Math.abs(potMass(run.steps[6]?.from ?? run.pot) - 13_500);
    expect(drift).toBeLessThan(40);
    for (const pool of POOLS)
      expect(Math.abs(accountedFor(run.pot)[pool] - run.pot.entered[pool])).toBeLessThan(1e-3);
  });

  test("a line weighed in differently changes the pot", () => {
    const more = [
      event(0, { kind: "step-begun", stepId: "s1" }),
      event(1, { kind: "added", stepId: "s1", lineId: "carcass", massG: 7000 }),
      event(60, { kind: "step-done", stepId: "s1" }),
    ];
    const run = fold(more, stock, kitchen);
    expect(run.steps[1]?.from.entered.water).toBeCloseTo(7000 * 0.64, 6);
  });

  test("an event that is none is refused", () => {
    expect(runEventSchema.safeParse({ ...event(0, { kind: "finished" }), id: "short" }).success).toBe(false);
    expect(
      runEventSchema.safeParse({
        ...event(0, { kind: "finished" }),
        payload: { kind: "weighed", stepId: "s1", netG: -5 },
      }).success,
    ).toBe(false);
  });
});

describe("the live forecast", () => {
  const band = { lo: 0.8, hi: 1.5, pace: { lo: 0.67, hi: 1.25 }, mass: { lo: 0.95, hi: 1.05 }, computed: {} };
  const begun = [
    event(0, { kind: "step-begun", stepId: "g1" }),
    event(5, { kind: "step-done", stepId: "g1" }),
    event(5, { kind: "step-begun", stepId: "g2" }),
  ];
  const at = (minute: number) => START + minute * 60_000;

  test("a reduction falls towards its mark and is foreseen between two times", () => {
    const run = fold(begun, glace, kitchen);
    const soon = forecastOf(run, at(30), () => band);
    const later = forecastOf(run, at(80), () => band);
    expect(later?.massNowG).toBeLessThan(soon?.massNowG ?? 0);
    expect(soon?.earliest).toBeLessThan(soon?.endsAt ?? 0);
    expect(soon?.latest).toBeGreaterThan(soon?.endsAt ?? 0);
    expect(later?.progress).toBeGreaterThan(soon?.progress ?? 1);
  });
  test("the mass now carries its limits: wide before anybody weighs, narrow after, wider again with time", () => {
    const width = (run: ReturnType<typeof fold>, minute: number) => {
      const f = forecastOf(run, at(minute), () => band);
      expect(f?.massLoG).toBeLessThan(f?.massNowG ?? 0);
      expect(f?.massHiG).toBeGreaterThan(f?.massNowG ?? 0);
      return (f?.massHiG ?? 0) - (f?.massLoG ?? 0);
    };
    const blind = fold(begun, glace, kitchen);
    const weighed = fold(
      [...begun, event(40, { kind: "weighed", stepId: "g2", netG: 6500 })],
      glace,
      kitchen,
    );
    expect(width(weighed, 41)).toBeLessThan(width(blind, 41));
    expect(width(weighed, 70)).toBeGreaterThan(width(weighed, 41));
  });
  test("the widths of a step follow from its intervals", () => {
    const walked = walk(glace, kitchen);
    const bands = intervalsAlong(glace, DEMO_KITCHEN).map((of, i) =>
      stepBand(walked.states[i] ?? (walked.states[0] as never), of),
    );
    expect(bands[1]?.lo).toBeLessThan(0.9);
    expect(bands[1]?.hi).toBeGreaterThan(1.1);
    expect(bands[1]?.pace.hi).toBeCloseTo(1 / (bands[1]?.lo ?? 1), 9);
    expect(bands[0]?.mass).toEqual({ lo: 1, hi: 1 });
  });
  test("a lighter pot than foreseen will be there sooner", () => {
    const plain = forecastOf(fold(begun, glace, kitchen), at(40), () => band);
    const run = fold(
      [...begun, event(40, { kind: "weighed", stepId: "g2", netG: (plain?.massNowG ?? 0) - 800 })],
      glace,
      kitchen,
    );
    const sooner = forecastOf(run, at(41), () => band);
    expect(sooner?.endsAt).toBeLessThan(plain?.endsAt ?? 0);
    expect(sooner?.lastAgainst?.foreseenG).toBeCloseTo(plain?.massNowG ?? 0, 6);
  });
  test("readings tell the pace: half as fast as foreseen is said, and moves the arrival", () => {
    const run = fold(begun, glace, kitchen);
    const foreseen = run.steps[1]?.foreseen;
    const start = foreseen ? (courseOf(run.steps[1]?.from ?? run.pot, foreseen)?.mass[0] ?? 0) : 0;
    const planned = [40, 60, 80, 100].map(minute => forecastOf(run, at(minute), () => band)?.massNowG ?? 0);
    // From the moment it boils only half of what was foreseen leaves.
    const slow = fold(
      [
        ...begun,
        ...[40, 60, 80, 100].map((minute, i) =>
          event(minute, { kind: "weighed", stepId: "g2", netG: start - 0.5 * (start - (planned[i] ?? 0)) }),
        ),
      ],
      glace,
      kitchen,
    );
    const before = forecastOf(run, at(101), () => band);
    const after = forecastOf(slow, at(101), () => band);
    expect(before?.pace).toBeNull();
    expect(after?.pace?.times).toBeLessThan(0.65);
    expect(after?.pace?.status).toBe("slow");
    expect(after?.endsAt).toBeGreaterThan(before?.endsAt ?? Infinity);
  });
  test("a step that ends by the clock keeps its end; past it, it is late", () => {
    const run = fold(upToSimmer(), stock, kitchen);
    const step = run.steps[5];
    const live = step && liveForecast(step, at(60), band);
    const end = live?.endsAt ?? 0;
    expect(live?.late).toBe(false);
    expect(step && liveForecast(step, (live?.latest ?? end) + 60_000, band)?.late).toBe(true);
    expect(step && liveForecast({ ...step, begunAt: null }, at(60), band)).toBeNull();
  });
});

describe("the batch record", () => {
  test("C26 a bottle from 1 240 to 1 085 g gave 155 g, 3.3 % over the planned 150", () => {
    const poured = valueOf(pouredFrom(g(1240), g(1085)));
    expect(poured).toBe(155);
    const document = { ...glace, base: { name: "stock", massG: 150 }, steps: glace.steps.slice(0, 1) };
    const run = fold(
      [event(0, { kind: "added", stepId: "g1", lineId: "stock", massG: poured, fromG: 1240, toG: 1085 })],
      document,
      kitchen,
    );
    const figure = batchRecord(run).steps[0]?.figures.find(f => f.what.includes("stock"));
    expect(figure).toMatchObject({ planned: 150, actual: 155 });
    expect(figure?.deviation).toBeCloseTo(0.033, 3);
    expect(pouredFrom(g(1085), g(1240))).toMatchObject({ ok: false, problems: [{ code: "TARE" }] });
  });
  test("C51 10.4 l in the pot, 9.6 and 0.35 l of drip out: 95.7 %", () => {
    expect(valueOf(strainYield(ml(10_400), [ml(9600), ml(350)]))).toBeCloseTo(0.957, 3);
    expect(strainYield(ml(0), [])).toMatchObject({ ok: false });
  });
  test("C51 jug readings at the strainer add up in the record", () => {
    const events = [
      ...upToSimmer(),
      event(330, { kind: "step-done", stepId: "s6" }),
      ...["s7", "s8"].map((stepId, i) => event(331 + i, { kind: "step-begun", stepId })),
      event(340, { kind: "step-done", stepId: "s7" }),
      event(350, { kind: "jugged", stepId: "s8", volumeMl: 8000 }),
      event(360, { kind: "jugged", stepId: "s8", volumeMl: 350 }),
      event(361, { kind: "step-done", stepId: "s8" }),
    ];
    const record = batchRecord(fold(events, stock, kitchen));
    expect(record.strainYield).toBeGreaterThan(0.8);
    expect(record.steps[7]?.figures.find(f => f.what === "in the jug")?.actual).toBe(8350);
  });
  test("C159 planned beside actual: 90 against 104 min; oven set to 205, read 196 °C", () => {
    const roast = updateStep(stock, "s1", { ovenC: 205, durationMin: 90 } as Partial<Step>);
    const run = fold(
      [
        event(0, { kind: "step-begun", stepId: "s1" }),
        event(40, { kind: "probed", stepId: "s1", temperatureC: 196, where: "oven" }),
        event(104, { kind: "step-done", stepId: "s1" }),
      ],
      roast,
      kitchen,
    );
    const [first] = batchRecord(run).steps;
    expect(first?.figures.find(f => f.what === "time")).toMatchObject({ planned: 90, actual: 104 });
    expect(first?.figures.find(f => f.what === "oven")).toMatchObject({ planned: 205, actual: 196 });
  });
  test("what nobody read stays empty: no yield is made up", () => {
    const record = batchRecord(fold([event(0, { kind: "started", burnerId: "plate-hot" })], stock, kitchen));
    expect(record.yieldMl.actual).toBeNull();
    expect(record.strainYield).toBeNull();
    expect(record.minutes.actual).toBeNull();
  });
});
