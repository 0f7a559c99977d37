import { fc, test as property } from "@fast-check/vitest";
import { describe, expect } from "vitest";
import { type ScheduleInput, type Task, lengthOf, schedule } from ".";

const CAPACITY = { cook: 2, burner: 3, blender: 1 } as const;

/** Days of up to a dozen jobs: each of a few pieces, waiting for some that come before it. */
const days: fc.Arbitrary<ScheduleInput> = fc
  .array(
    fc.record({
      segments: fc.array(
        fc.record({
          minutes: fc.integer({ min: 1, max: 40 }),
          use: fc.record({
            cook: fc.integer({ min: 0, max: 2 }),
            burner: fc.integer({ min: 0, max: 1 }),
            blender: fc.integer({ min: 0, max: 1 }),
          }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      waitsFor: fc.array(
        fc.record({
          back: fc.integer({ min: 1, max: 4 }),
          lag: fc.integer({ min: 0, max: 20 }),
          keeps: fc.integer({ min: 0, max: 200 }),
        }),
        { maxLength: 2 },
      ),
    }),
    { minLength: 1, maxLength: 12 },
  )
  .map(jobs => ({
    capacity: CAPACITY,
    due: 4000,
    tasks: jobs.map(({ segments, waitsFor }, i): Task => {
      const seen = new Set<number>();
      const after = waitsFor.flatMap(({ back, lag, keeps }) => {
        const at = i - back;
        if (at < 0 || seen.has(at)) return [];
        seen.add(at);
        return [{ id: `j${at}`, lag, hold: lag + keeps }];
      });
      return { id: `j${i}`, segments, after };
    }),
  }));

const planned = (input: ScheduleInput) => {
  const result = schedule(input);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.value;
};

describe("any day", () => {
  property.prop([days])("no resource is used beyond what there is, at any minute", input => {
    const used = new Map<string, number>();
    for (const { id, start } of planned(input).tasks) {
      let m = start;
      for (const { minutes, use } of input.tasks.find(t => t.id === id)?.segments ?? [])
        for (const end = m + minutes; m < end; m++)
          for (const [resource, units] of Object.entries(use))
            used.set(`${resource} ${m}`, (used.get(`${resource} ${m}`) ?? 0) + units);
    }
    for (const [at, units] of used)
      expect(units).toBeLessThanOrEqual(CAPACITY[at.split(" ")[0] as keyof typeof CAPACITY]);
  });

  property.prop([days])(
    "what waits for another begins after it; what waits too long is told, to the minute",
    input => {
      const plan = planned(input);
      const of = new Map(plan.tasks.map(t => [t.id, t]));
      let over = 0;
      for (const task of input.tasks)
        for (const { id, lag = 0, hold = Infinity } of task.after ?? []) {
          const wait = (of.get(task.id)?.start ?? NaN) - (of.get(id)?.finish ?? NaN);
          expect(wait).toBeGreaterThanOrEqual(lag);
          over += Math.max(0, wait - hold);
        }
      expect(plan.objective[0]).toBe(over);
      expect(plan.violations.reduce((sum, v) => sum + v.minutes, 0)).toBe(over);
    },
  );

  property.prop([days, fc.infiniteStream(fc.nat())])(
    "the order the jobs come in is of no matter",
    (input, noise) => {
      const shuffled = input.tasks
        .map(task => ({ task, at: noise.next().value }))
        .sort((a, b) => a.at - b.at)
        .map(({ task }) => task);
      expect(planned({ ...input, tasks: shuffled })).toEqual(planned(input));
    },
  );

  property.prop([days])(
    "K-7 no day is shorter than its longest way, or than what a resource has to carry",
    input => {
      const plan = planned(input);
      const way = new Map<string, number>();
      for (const task of input.tasks)
        way.set(
          task.id,
          lengthOf(task) + Math.max(0, ...(task.after ?? []).map(a => (way.get(a.id) ?? 0) + (a.lag ?? 0))),
        );
      expect(plan.objective[1]).toBeGreaterThanOrEqual(Math.max(...way.values()));
      for (const [resource, units] of Object.entries(CAPACITY)) {
        const carried = input.tasks
          .flatMap(t => t.segments)
          .reduce((sum, s) => sum + s.minutes * (s.use[resource] ?? 0), 0);
        expect(plan.objective[1]).toBeGreaterThanOrEqual(carried / units);
      }
    },
  );
});
