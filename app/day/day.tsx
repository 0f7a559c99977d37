import { useMemo, useState } from "react";
import { Link, useFetcher, useSubmit } from "react-router";
import { type DayView, type JobView, type ScheduleInput, clockOf, spoken } from "~/core/day";
import { printNumber } from "~/core/ground/quantity";
import type { Route } from "./+types/day";
import { useKitchenWith } from "../kitchen/context";
import { useMay } from "../people/use-may";
import { Button } from "../ui/button";
import { useSchedule } from "../workers/use-schedule";
import { Board, type Column, type Moved } from "./board";
import { dayInWords, weekdayOf } from "./calendar-day";
import { ClosedTimes } from "./closed-times";
import { DayForm } from "./day-form";
import { DayTabs } from "./day-tabs";
import { Menu } from "./menu";

export { action, loader } from "./day.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ params }) => [{ title: `${dayInWords(params.date)} · Hondaro` }];

const NO_FORMULAS = {} as const;

/** Where jobs would come to stand if one were moved. */
interface Tried {
  readonly of: DayView;
  readonly times: ReadonlyMap<string, { readonly start: number; readonly finish: number }>;
}

export default function Day({ loaderData }: Route.ComponentProps) {
  const { date, kept, menu, plan, problems, nowMin, people, formulas, portions, cooked } = loaderData;
  const kitchen = useKitchenWith(NO_FORMULAS);
  const weekday = weekdayOf(date);
  const mayEdit = useMay("edit");
  const [chosen, setChosen] = useState<string | null>(null);
  const submit = useSubmit();
  const tryPlan = useSchedule();
  // Of this plan only: the next one says for itself where everything stands.
  const [tried, setTried] = useState<Tried | null>(null);
  const trial = tried?.of === plan ? tried.times : null;
  const columns = useMemo<Column[]>(
    () => [
      ...kitchen.burners.map(b => ({
        id: b.id,
        name: b.name,
        kind: "burner" as const,
        gone: kept.without.includes(b.id),
      })),
      ...kitchen.appliances
        .filter(a => a.kind === "oven" || a.kind === "cold place")
        .map(a => ({
          id: a.id,
          name: a.name,
          kind: a.kind === "oven" ? ("oven" as const) : ("cold" as const),
          gone: kept.without.includes(a.id),
        })),
      ...kept.cooks.map(id => ({
        id,
        name: people.find(p => p.id === id)?.name.split(" ")[0] ?? id,
        kind: "hands" as const,
        gone: false,
      })),
    ],
    [kitchen, kept, people],
  );
  const move = (moved: Moved): void => {
    setChosen(moved.job);
    if (plan)
      void tryPlan(withMoved(plan, moved)).then(found => {
        if (found)
          setTried({
            of: plan,
            times: new Map(found.tasks.map(t => [t.id, { start: t.start, finish: t.finish }])),
          });
      });
    void submit(
      {
        intent: "pin",
        job: moved.job,
        startMin: String(moved.startMin),
        ...(moved.minutes !== undefined && { minutes: String(moved.minutes) }),
      },
      { method: "post", navigate: false, fetcherKey: "pin" },
    );
  };
  const job = plan?.jobs.find(j => j.id === chosen) ?? null;
  const pins = plan?.jobs.filter(j => j.pinned && !cooked[j.id]).length ?? 0;
  return (
    <main className="mx-auto max-w-[1500px] px-4 py-5 sm:px-6">
      <DayTabs date={date}>
        <a
          href={`/day/${date}/plan.ics`}
          download
          className="text-sm text-faded underline underline-offset-4 hover:text-copper"
        >
          As a calendar
        </a>
      </DayTabs>
      {problems.map(problem => (
        <p key={problem} role="alert" className="mt-3 rounded-md bg-beet-wash px-3 py-2 text-beet">
          ✕ {problem}
        </p>
      ))}
      {plan && menu.length > 0 && (
        <p
          role="status"
          className={`mt-3 rounded-md px-3 py-2 ${plan.lateMin || plan.broken.length ? "bg-saffron-wash text-saffron-ink" : "bg-linen"}`}
        >
          {plan.verdict}
        </p>
      )}
      <div className="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1fr)_18rem]">
        <div className="min-w-0">
          {plan && plan.jobs.length > 0 ? (
            <Board
              plan={plan}
              columns={columns}
              weekday={weekday}
              nowMin={nowMin}
              chosen={chosen}
              onChoose={setChosen}
              onMove={mayEdit ? move : null}
              trial={trial}
              locked={new Set(Object.keys(cooked))}
            />
          ) : (
            <div className="rounded-xl border border-dashed border-rule px-6 py-14 text-center text-faded">
              {menu.length
                ? "All of it stands in the cold already. Nothing has to be made."
                : "Say on the right what is served, and to how many: the day is planned backwards from it."}
            </div>
          )}
          {plan && plan.jobs.length > 0 && (
            <p className="mt-2 text-xs text-faded">
              As wide as its litres, as long as its time.{" "}
              {mayEdit && "Drag a pot, or its lower edge; or use ↑ ↓, with Shift for its length. "}● stands
              where somebody put it. ✕ breaks a limit. Dark rim: decides the day.
            </p>
          )}
          <div className="mt-6 grid items-start gap-6 md:grid-cols-2">
            {plan && plan.chain.length > 0 && (
              <details className="text-sm" open>
                <summary className="cursor-pointer font-semibold">What decides the day</summary>
                <ol className="mt-1 list-decimal space-y-1 pl-5 text-faded">
                  {plan.chain.map(words => (
                    <li key={words}>{words}</li>
                  ))}
                </ol>
              </details>
            )}
            <div className="flex flex-col gap-4">
              <ClosedTimes
                closed={loaderData.closed}
                timeZone={loaderData.timeZone}
                columns={columns}
                mayEdit={mayEdit}
              />
              <DayForm key={date} kept={kept} people={people} columns={columns} mayEdit={mayEdit} />
            </div>
          </div>
        </div>
        <div className="flex min-w-0 flex-col gap-5">
          {job && plan && (
            <Chosen
              job={job}
              plan={plan}
              weekday={weekday}
              cook={id => people.find(p => p.id === id)?.name ?? id}
              where={id => columns.find(c => c.id === id)?.name ?? id}
              run={cooked[job.id]?.runId ?? null}
              mayEdit={mayEdit}
            />
          )}
          {plan && plan.broken.length > 0 && (
            <section
              aria-label="Limits that are broken"
              className="rounded-xl border border-saffron bg-saffron-wash p-3 text-sm text-saffron-ink"
            >
              <h2 className="text-lg text-ink">To be settled</h2>
              {plan.broken.map(words => (
                <p key={words} className="mt-1">
                  ✕ {words}
                </p>
              ))}
            </section>
          )}
          <Menu
            menu={menu}
            formulas={formulas}
            portions={portions}
            needs={plan?.needs ?? []}
            mayEdit={mayEdit}
          />
          {pins > 0 && mayEdit && <Loose n={pins} />}
        </div>
      </div>
    </main>
  );
}

/** The plan’s own input with a job somewhere else. */
function withMoved({ input }: DayView, { job, startMin, minutes }: Moved): ScheduleInput {
  return {
    ...input,
    tasks: input.tasks.map(task => {
      if (task.id !== job) return task;
      const length = task.segments.reduce((sum, s) => sum + s.minutes, 0);
      const longest = task.segments.reduce(
        (best, s, i) => (s.minutes > (task.segments[best]?.minutes ?? 0) ? i : best),
        0,
      );
      const more = minutes === undefined ? 0 : minutes - length;
      return {
        ...task,
        fixedAt: startMin,
        segments: task.segments.map((s, i) =>
          i === longest ? { ...s, minutes: Math.max(1, s.minutes + more) } : s,
        ),
      };
    }),
  };
}

/** The job somebody looks at: when, where, by whom, and why then. */
function Chosen({
  job,
  plan,
  weekday,
  cook,
  where,
  run,
  mayEdit,
}: {
  job: JobView;
  plan: DayView;
  weekday: number;
  cook: (id: string) => string;
  where: (id: string) => string;
  run: string | null;
  mayEdit: boolean;
}) {
  const fetcher = useFetcher();
  const cooks = [...new Set(job.hands.map(h => cook(h.personId)))];
  const places = [...new Set(job.stands.map(s => where(s.at)))];
  return (
    <section aria-label="The chosen job" className="rounded-xl border border-copper bg-enamel p-4">
      <h2 className="text-xl leading-tight">{job.title}</h2>
      <p className="mt-1 font-display text-2xl tabular-nums">
        {clockOf(job.start, plan, weekday)} – {clockOf(job.finish, plan, weekday)}
      </p>
      <p className="mt-1 text-sm text-faded">
        {[`${printNumber(job.massG / 1000, 2)} kg in all`, ...job.vessels, ...places, cooks.join(" and ")]
          .filter(Boolean)
          .join(" · ")}
      </p>
      <p className="mt-2">{job.why}</p>
      {job.slackMin > 0 && (
        <p className="mt-1 text-sm text-faded">It could begin up to {spoken(job.slackMin)} earlier.</p>
      )}
      <ol className="mt-2 space-y-0.5 text-sm">
        {job.steps.map(step => (
          <li key={step.id} className="flex gap-2">
            <span className="w-14 shrink-0 text-faded tabular-nums">
              {clockOf(job.start + Math.round(step.fromMin), plan, weekday)}
            </span>
            {step.title}
          </li>
        ))}
      </ol>
      <div className="mt-3 flex flex-wrap gap-2">
        {run ? (
          <Link to={`/stove/${run}`} className="font-semibold text-copper underline underline-offset-4">
            On the fire: to its Stove
          </Link>
        ) : (
          <Link
            to={`/bench/${job.formulaId}`}
            className="text-sm text-faded underline underline-offset-4 hover:text-copper"
          >
            To its formula
          </Link>
        )}
        {mayEdit && !run && (
          <fetcher.Form method="post">
            <input type="hidden" name="job" value={job.id} />
            <input type="hidden" name="startMin" value={job.start} />
            <Button type="submit" name="intent" value={job.pinned ? "unpin" : "pin"} look="quiet">
              {job.pinned ? "Let it find its own time" : "Lock it here"}
            </Button>
          </fetcher.Form>
        )}
      </div>
    </section>
  );
}

function Loose({ n }: { n: number }) {
  const fetcher = useFetcher();
  return (
    <fetcher.Form method="post">
      <Button type="submit" name="intent" value="unpin">
        Let all go again ({n} locked)
      </Button>
    </fetcher.Form>
  );
}
