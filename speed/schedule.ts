import highsLoader from "highs";
import { mean, median } from "simple-statistics";
import { type ScheduleInput, type Segment, type Task, lengthOf, schedule } from "../core/day/schedule";

/**
 * How good and how fast the schedule is: days of eight jobs beside the exact optimum of a mixed-integer programme, and 200 jobs
 * over two days. Wanted: within 5 % on average, never shorter than the bound, 200 jobs in less than 100 ms.
 */

/** The same numbers everywhere: Park and Miller’s generator. */
function numbers(seed: number): (most: number) => number {
  let state = seed;
  return most => {
    state = (state * 48_271) % 2_147_483_647;
    return state % most;
  };
}

const CAPACITY = { cook: 1, burner: 2, blender: 1 } as const;

function job(i: number, next: (most: number) => number, longest: number, waits: number): Task {
  const segments: Segment[] = Array.from({ length: 1 + next(3) }, () => ({
    minutes: 1 + next(longest),
    use: { cook: next(2), burner: next(3) ? 1 : 0, ...(next(5) ? {} : { blender: 1 }) },
  }));
  const before = [...new Set(Array.from({ length: next(waits + 1) }, () => next(Math.max(1, i))))];
  return {
    id: `j${String(i).padStart(3, "0")}`,
    segments,
    after: i ? before.map(b => ({ id: `j${String(b).padStart(3, "0")}` })) : [],
  };
}

/** The shortest day there is, by a programme with a yes or no for every job and minute. */
function optimum(highs: Awaited<ReturnType<typeof highsLoader>>, input: ScheduleInput): number {
  const { tasks, due } = input;
  const starts = tasks.map(task => Array.from({ length: due - lengthOf(task) + 1 }, (_, s) => s));
  const x = (i: number, s: number): string => `x${i}_${s}`;
  const at = (i: number, sign = 1): string =>
    (starts[i] ?? [])
      .filter(s => s > 0)
      .map(s => `${sign < 0 ? "-" : "+"} ${s} ${x(i, s)}`)
      .join(" ");
  const rows: string[] = tasks.map((_, i) => `${(starts[i] ?? []).map(s => x(i, s)).join(" + ")} = 1`);
  tasks.forEach((task, i) => {
    rows.push(`len ${at(i)} >= ${due}`);
    for (const { id } of task.after ?? []) {
      const j = tasks.findIndex(t => t.id === id);
      rows.push(`${at(i)} ${at(j, -1)} >= ${lengthOf(tasks[j] as Task)}`);
    }
  });
  for (const [resource, units] of Object.entries(CAPACITY))
    for (let minute = 0; minute < due; minute++) {
      const uses: string[] = [];
      tasks.forEach((task, i) => {
        let offset = 0;
        for (const { minutes, use } of task.segments) {
          for (let k = 0; k < minutes; k++, offset++) {
            const s = minute - offset;
            if ((use[resource] ?? 0) > 0 && (starts[i] ?? []).includes(s))
              uses.push(`${use[resource]} ${x(i, s)}`);
          }
        }
      });
      if (uses.length) rows.push(`${uses.join(" + ")} <= ${units}`);
    }
  const model = `Minimize\n obj: len\nSubject To\n${rows.map((row, i) => ` r${i}: ${row}`).join("\n")}\nBounds\n 0 <= len <= ${due}\nBinary\n ${starts.flatMap((all, i) => all.map(s => x(i, s))).join(" ")}\nEnd`;
  const solved = highs.solve(model);
  if (solved.Status !== "Optimal") throw new Error(`No optimum: ${solved.Status}`);
  return Math.round(solved.ObjectiveValue);
}

const highs = await highsLoader();
const over: number[] = [];
for (let n = 0; n < 30; n++) {
  const next = numbers(1000 + 7 * n);
  const input: ScheduleInput = {
    capacity: CAPACITY,
    due: 70,
    tasks: Array.from({ length: 8 }, (_, i) => job(i, next, 4, 2)),
  };
  const found = schedule(input);
  if (!found.ok) throw new Error(found.problems[0]?.message);
  const best = optimum(highs, input);
  const length = found.value.objective[1];
  if (length < best) throw new Error(`Day ${n} is shorter than the bound: ${length} under ${best}.`);
  over.push(length / best - 1);
}
console.log(
  `30 days of eight jobs beside their optimum: ${(100 * mean(over)).toFixed(1)} % longer on average (wanted: 5 %), ${(100 * Math.max(...over)).toFixed(0)} % at most, ${over.filter(o => o === 0).length} of 30 optimal`,
);

const next = numbers(42);
const large: ScheduleInput = {
  capacity: { cook: 4, burner: 8, blender: 2 },
  due: 2880,
  tasks: Array.from({ length: 200 }, (_, i) => job(i, next, 40, 1)),
};
schedule(large);
const times = Array.from({ length: 5 }, () => {
  const from = performance.now();
  const found = schedule(large);
  if (!found.ok) throw new Error(found.problems[0]?.message);
  return performance.now() - from;
});
console.log(`200 jobs over two days, warm: ${median(times).toFixed(0)} ms (wanted: 100)`);
