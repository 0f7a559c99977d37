import { z } from "zod";
import type { Estimate } from "../ground/estimate";
import { type Pools, massOfPools, volumeMlOf } from "../things/pot";
import {
  PACE_SPREAD,
  NOTHING_LEARNED,
  type RateProfile,
  STATUS_WORDS,
  TRACKER_STATUSES,
  added,
  type Tracker,
  arrival,
  backOnFire,
  constantRate,
  heatChanged,
  learnPace,
  massNow,
  profileOf,
  rateAt,
  read,
  scaleSd,
  startTracker,
  statusOf,
  trackerWarnings,
} from "../laws/reduction";
import { type Result, type Warning, ok, refuse } from "../ground/result";
import { celsius, estimateField, heatField, length, lidField, mass, minutes, targetField } from "./fields";
import { liquidOf, massOfLiquid, poolsOfLiquid } from "./inputs";
import { type ReduceInput, reduceFields, reductionOf } from "./reduce-sums";
import { type SumWorld, defineSum, missing } from "./sum";
import { endOf } from "./target";
import { DEAD, HALF_PACE, byTheLastReadings, lastSeen, readingsOf } from "./track-readings";
import { grams, num, time } from "./words";

/** Following a reduction from a handful of readings. */

/** When nobody says how fast: half an hour, give or take everything. Our estimate. */
const GUESSED_MIN = 30;

const { vessel, heat, startG: _startG, ...rest } = reduceFields;
const trackInput = z.strictObject({
  ...rest,
  vessel: vessel.optional(),
  heat: heat.optional(),
  startG: mass("At the start"),
  startSdG: mass("Known to, one deviation").optional(),
  targetG: mass("Until").optional().meta({ oneOf: "where it ends" }),
  target: targetField.optional().meta({ oneOf: "where it ends" }),
  tareG: mass("Empty pot").optional(),
  rateGPerMin: z.number().positive().max(5000).optional().meta({ title: "Loses", unit: "g/min" }),
  pace: z.number().positive().max(10).optional().meta({ title: "Pace learned" }),
  readings: z
    .array(
      z.strictObject({
        min: minutes("At"),
        grossG: mass("Pot and all").optional(),
        netG: mass("In the pot").optional(),
        levelMm: length("Stick").optional(),
        c: celsius("As hot as").optional(),
        sdG: mass("Read to, one deviation").optional(),
      }),
    )
    .max(200)
    .meta({ title: "Readings", columns: ["min", "netG", "grossG", "levelMm", "c"] }),
  events: z
    .array(
      z.strictObject({
        min: minutes("At"),
        addedG: z
          .number()
          .min(-1_000_000)
          .max(1_000_000)
          .optional()
          .meta({ title: "Put in, or out", unit: "g" }),
        heat: heatField.optional(),
        lid: lidField.optional(),
        offMin: minutes("Off the fire for").optional(),
      }),
    )
    .max(50)
    .optional()
    .meta({ title: "What was changed" }),
});
type TrackInput = z.infer<typeof trackInput>;

interface Model {
  readonly profile: RateProfile;
  readonly durationS: number;
  readonly paceSd: number;
}

export const reduceTrack = defineSum({
  name: "reduce-track",
  title: "Is it on time?",
  purpose: "From readings of scale or stick: how fast it goes and when it is there.",
  words: ["track", "readings", "when ready", "minutes left", "stalled", "on pace"],
  input: trackInput,
  output: z.strictObject({
    massG: estimateField,
    pace: z.number(),
    nextPace: z.number(),
    readyAtMin: estimateField.nullable(),
    status: z.enum(TRACKER_STATUSES),
    events: z.array(z.strictObject({ min: z.number(), code: z.string(), message: z.string() })),
  }),
  example: {
    startG: 6400,
    targetG: 2130,
    rateGPerMin: 40,
    readings: [
      { min: 10, netG: 6010 },
      { min: 20, netG: 5600 },
    ],
  },
  asks: ["startG", "targetG", "rateGPerMin", "readings"],
  work: (input, world) => {
    const start = startPools(input, world);
    if (!start.ok) return start;
    const target = targetOf(input, start.value);
    if (!target.ok) return target;
    if (target.value >= input.startG)
      return refuse({
        code: "TARGET_ABOVE_NOW",
        field: "targetG",
        value: target.value,
        allowed: { max: input.startG },
        message: `It weighs ${grams(input.startG)} at the start; the target must be less.`,
      });
    const readings = readingsOf(input, start.value, world);
    if (!readings.ok) return readings;
    const model = modelOf(input, input.heat, input.lid, target.value, world);
    if (!model.ok) return model;

    const pace = input.pace ?? 1;
    let tracker = startTracker({
      massG: input.startG,
      massSdG: input.startSdG ?? 0.01 * input.startG,
      profile: model.value.profile,
      durationS: model.value.durationS / pace,
      paceSd: model.value.paceSd,
    });
    tracker = { ...tracker, pace };
    const all = [
      ...readings.value.map(r => ({ atS: r.atS, reading: r })),
      ...(input.events ?? []).map((event, i) => ({ atS: event.min * 60, event, i })),
    ].sort((a, b) => a.atS - b.atS);
    for (const one of all) {
      if ("reading" in one) {
        const next = read(tracker, one.reading, one.reading.field);
        if (!next.ok) return next;
        tracker = next.value;
        continue;
      }
      const { addedG, heat: newHeat, lid, offMin } = one.event;
      if (addedG !== undefined) tracker = added(tracker, one.atS, addedG);
      if (offMin) tracker = backOnFire(heatChanged(tracker, one.atS), one.atS + offMin * 60);
      if (newHeat || lid) {
        const changed = modelOf(input, newHeat ?? input.heat, lid ?? input.lid, target.value, world);
        if (!changed.ok)
          return refuse(...changed.problems.map(p => ({ ...p, field: `events.${one.i}.${p.field}` })));
        tracker = heatChanged(tracker, one.atS, changed.value.profile);
      }
    }
    const there = arrival(tracker, target.value);
    const now = massNow(tracker);
    const sd = readings.value.at(-1)?.sdG ?? scaleSd(input.startG);
    const unbelieved = readings.value.filter(r => r.massG > input.startG + 3 * r.sdG);
    const believed = readings.value.filter(r => !unbelieved.includes(r));
    const seen = lastSeen(
      input.startG,
      onTheFire(believed, input.events ?? []),
      input.rateGPerMin !== undefined,
    );
    const foreseen = rateAt(model.value.profile, now.value) * 60;
    const status = byTheLastReadings(statusOf(tracker, target.value, sd), seen, foreseen);
    const warnings: Warning[] = [
      ...model.warnings,
      ...trackerWarnings(tracker, solidsOf(start.value)),
      ...unbelieved.map(r => ({
        code: "READING_DISCARDED",
        message: `${grams(r.massG)} after ${time(r.atS / 60)} is more than there was at the start: it was not counted. Was the pot on the scale, or was something poured in?`,
      })),
      ...(seen && status !== "there" && seen.gPerMin < HALF_PACE * foreseen
        ? [
            {
              code: seen.gPerMin < DEAD * foreseen ? "FLAME_DEAD" : "SLOWER",
              message: `The last readings lost ${num(seen.gPerMin, 1)} g a minute; ${num(foreseen, 0)} were foreseen: look at the flame.`,
            },
          ]
        : []),
    ];
    const readyAtMin: Estimate | null =
      there.value === null
        ? null
        : {
            value: there.value / 60,
            lo: there.lo / 60,
            hi: there.hi === null ? null : there.hi / 60,
            basis: readings.value.length ? "measured" : "estimate",
            notes: [],
          };
    if (readyAtMin === null)
      warnings.push({
        code: "NOT_WITHIN_24H",
        message: `At this pace it is not there within a day; at the earliest after ${time(there.lo / 60)}.`,
      });
    const from = tracker.atS / 60;
    return ok(
      {
        output: {
          massG: {
            ...now,
            basis: readings.value.length ? ("measured" as const) : ("estimate" as const),
            notes: [],
          },
          pace: tracker.pace,
          nextPace: nextPaceOf(tracker, pace),
          readyAtMin,
          status,
          events: tracker.events.map(e => ({ min: e.atS / 60, code: e.code, message: e.message })),
        },
        sentence:
          readyAtMin === null
            ? `${grams(now.value)} in the pot; ${STATUS_WORDS[status]}.`
            : status === "there"
              ? `${grams(now.value)} in the pot: it is there.`
              : `${grams(now.value)} in the pot, ${STATUS_WORDS[status]}; ${time(Math.max(0, readyAtMin.value - from))} to go (${time(Math.max(0, readyAtMin.lo - from))} to ${readyAtMin.hi === null ? "nobody knows yet" : time(readyAtMin.hi - from)}).`,
      },
      warnings,
    );
  },
});

/** Readings by the minutes the pot stood on the fire until then. */
const onTheFire = <R extends { readonly atS: number }>(
  readings: readonly R[],
  events: NonNullable<TrackInput["events"]>,
): R[] =>
  readings.map(r => {
    const off = events.reduce(
      (sum, { min, offMin = 0 }) => sum + Math.max(0, Math.min(offMin * 60, r.atS - min * 60)),
      0,
    );
    return { ...r, atS: r.atS - off };
  });

/** Pace to count on next time, this pot on this burner: what was known, moved by what this run has shown. */
const nextPaceOf = (tracker: Tracker, known: number): number =>
  Math.exp(
    learnPace(
      { ...NOTHING_LEARNED, mu: Math.log(known) },
      tracker.pace / known,
      Math.sqrt(tracker.p22) / known,
      Math.log(known),
    ).mu,
  );

const solidsOf = (p: Pools): number => {
  const whole = massOfPools(p);
  return whole > 0 ? (whole - p.water - p.ethanol - p.fat) / whole : 0;
};

function startPools(input: TrackInput, world: SumWorld): Result<Pools> {
  const liquid = liquidOf(input, world);
  if (!liquid.ok) return liquid;
  const massG = massOfLiquid(liquid.value, input.startG, input.startMl, "startG");
  return massG.ok ? ok(poolsOfLiquid(liquid.value, massG.value)) : massG;
}

function targetOf(input: TrackInput, start: Pools): Result<number> {
  if (input.targetG !== undefined) return ok(input.targetG);
  if (!input.target) return refuse(missing("targetG", "Say where it ends: a weight, or by or to a share."));
  const end = endOf(input.target, start);
  if (!end.ok) return end;
  // Only water leaves on this reckoning; the solver knows better when alcohol goes too.
  const lost = volumeMlOf(start, 20) - end.value.endMl;
  return ok(massOfPools(start) - lost * 0.9982);
}

/** How fast it should go: as said, as the reduction’s model foresees, or a guess. */
function modelOf(
  input: TrackInput,
  heat: TrackInput["heat"],
  lid: TrackInput["lid"],
  targetG: number,
  world: SumWorld,
): Result<Model> {
  if (input.rateGPerMin !== undefined) {
    const rate = input.rateGPerMin / 60;
    return ok({
      profile: constantRate(rate),
      durationS: (input.startG - targetG) / rate,
      paceSd: PACE_SPREAD,
    });
  }
  if (input.vessel && heat) {
    const reduction = reductionOf(
      {
        ...input,
        heat,
        vessel: input.vessel,
        target: { endG: Math.max(1, 0.9 * targetG) },
        ...(lid && { lid }),
      } as ReduceInput,
      world,
    );
    if (!reduction.ok) return reduction;
    const end = reduction.value.run(reduction.value.facts, 1, true);
    if (!end.ok) return end;
    const from = end.value.boilS ?? 0;
    const points = end.value.trace.filter(p => p.atS >= from).map(p => ({ atS: p.atS, massG: p.liquorG }));
    return ok(
      { profile: profileOf(points), durationS: end.value.endS, paceSd: PACE_SPREAD },
      reduction.warnings,
    );
  }
  return ok(
    {
      profile: constantRate((input.startG - targetG) / (GUESSED_MIN * 60)),
      durationS: GUESSED_MIN * 60,
      paceSd: 1,
    },
    [
      {
        code: "PACE_GUESSED",
        message: `Nobody said pan and flame: half an hour was guessed, the readings tell the rest (${num(input.readings.length)} so far).`,
      },
    ],
  );
}
