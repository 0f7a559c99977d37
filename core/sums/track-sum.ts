import { z } from "zod";
import type { Estimate } from "../ground/estimate";
import { type Pools, massOfPools, volumeMlOf } from "../things/pot";
import { g, mm } from "../ground/quantity";
import {
  PACE_SPREAD,
  type RateProfile,
  STATUS_WORDS,
  TRACKER_STATUSES,
  type TrackerStatus,
  added,
  arrival,
  constantRate,
  heatChanged,
  massNow,
  profileOf,
  rateAt,
  read,
  scaleSd,
  startTracker,
  statusOf,
  stickSd,
  trackerWarnings,
} from "../laws/reduction";
import { type Problem, type Result, type Warning, ok, refuse } from "../ground/result";
import { netOfGross, volumeOfLevel } from "../things/vessel";
import { celsius, estimateField, heatField, length, lidField, mass, minutes, targetField } from "./fields";
import { liquidOf, massOfLiquid, poolsOfLiquid, vesselOf } from "./inputs";
import { type ReduceInput, reduceFields, reductionOf } from "./reduce-sums";
import { type SumWorld, defineSum, missing } from "./sum";
import { endOf } from "./target";
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
      const { addedG, heat: newHeat, lid } = one.event;
      if (addedG !== undefined) tracker = added(tracker, one.atS, addedG);
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
    const seen = lastSeen(input.startG, believed, input.rateGPerMin !== undefined);
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

/** The pace of the last two readings counts beside what the tracker has learned: a flame that has just died is news. */
const DEAD = 0.25;
const HALF_PACE = 0.65;
/** Two readings closer than this tell no pace, s. */
const TELLS_FROM_S = 240;

/** What the last readings lost, g a minute; from the start only where the cook told its pace. */
function lastSeen(startG: number, readings: readonly Reading[], fromStart: boolean) {
  const points = [...(fromStart ? [{ atS: 0, massG: startG }] : []), ...readings];
  const last = points.at(-1);
  const before = last && points.filter(p => last.atS - p.atS >= TELLS_FROM_S).at(-1);
  return last && before && readings.length > 0
    ? { gPerMin: (60 * (before.massG - last.massG)) / (last.atS - before.atS) }
    : null;
}

const byTheLastReadings = (
  status: TrackerStatus,
  seen: { readonly gPerMin: number } | null,
  foreseen: number,
): TrackerStatus =>
  status !== "on-pace" || !seen || seen.gPerMin >= HALF_PACE * foreseen
    ? status
    : seen.gPerMin < DEAD * foreseen
      ? "stalled"
      : "slow";

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

interface Reading {
  readonly atS: number;
  readonly massG: number;
  readonly sdG: number;
  readonly field: string;
}

function readingsOf(input: TrackInput, start: Pools, world: SumWorld): Result<Reading[]> {
  const problems: Problem[] = [];
  const known = input.vessel ? vesselOf(input.vessel, world) : null;
  if (known && !known.ok) return known;
  const found = input.readings.flatMap((r, i): Reading[] => {
    const field = `readings.${i}`;
    if (i > 0 && !(r.min > (input.readings[i - 1]?.min ?? -1)))
      problems.push({
        code: "TIME_ORDER",
        field: `${field}.min`,
        value: r.min,
        message: `Reading ${i + 1} is not later than the one before.`,
      });
    const base = { atS: r.min * 60, field: `${field}.min` };
    if (r.netG !== undefined) return [{ ...base, massG: r.netG, sdG: r.sdG ?? scaleSd(r.netG) }];
    if (r.grossG !== undefined) {
      if (input.tareG === undefined) {
        problems.push(missing("tareG", "A reading with the pot needs the weight of the empty pot."));
        return [];
      }
      const net = netOfGross(g(r.grossG), g(input.tareG), `${field}.grossG`);
      if (!net.ok) {
        problems.push(...net.problems);
        return [];
      }
      return [{ ...base, massG: net.value, sdG: r.sdG ?? scaleSd(net.value) }];
    }
    if (r.levelMm !== undefined) {
      if (!known?.ok) {
        problems.push(missing("vessel", "A level needs the pot it was read in."));
        return [];
      }
      const { geometry } = known.value;
      const filled = volumeOfLevel(geometry, mm(r.levelMm), `${field}.levelMm`);
      if (!filled.ok) {
        problems.push(...filled.problems);
        return [];
      }
      const massG = massAtVolume(start, filled.value - (input.solidsMl ?? 0), r.c ?? 95);
      const sdG = r.sdG ?? stickSd(geometry.surfaceMm2(mm(r.levelMm)), r.c);
      return [{ ...base, massG, sdG }];
    }
    problems.push(missing(field, `Reading ${i + 1} needs a weight or a level.`));
    return [];
  });
  return problems.length ? refuse(...problems) : ok(found);
}

/** Mass of a liquor that has boiled down to a volume: water alone has left. Bisection. */
function massAtVolume(start: Pools, volume: number, t: number): number {
  let [lo, hi] = [-start.water, start.water * 4];
  for (let pass = 0; pass < 60; pass++) {
    const middle = (lo + hi) / 2;
    if (volumeMlOf({ ...start, water: start.water + middle }, t) > volume) hi = middle;
    else lo = middle;
  }
  return massOfPools(start) + (lo + hi) / 2;
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
