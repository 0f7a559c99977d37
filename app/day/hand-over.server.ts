import { judgeCooling, lotState } from "~/core/day";
import { kindOf } from "~/core/formula";
import { UNKNOWN_BAND, forecastOf, isImprovised } from "~/core/run";
import { database, listLogs, listLots } from "~/data";
import { requirePerson } from "../people/person.server";
import { foldLive, loadLiveRuns } from "../range/live-run.server";
import { betweenTimes, momentOf } from "../text/format";
import type { Route } from "./+types/hand-over";
import { dayIn, minuteOfMoment } from "./calendar-day";
import { askedDay } from "./day.server";
import { lotsSince, plannedDay } from "./day-plan.server";

const MOST_LOGS = 40;
const NEXT_JOBS = 10;

/** One page for whoever comes on: pots on, what is next, what is running, what must go. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const { db } = database();
  const [{ plan, kept, kitchen, cooked }, live, logs, lots] = await Promise.all([
    plannedDay(section, date),
    loadLiveRuns(section),
    listLogs(db, section.kitchenId, MOST_LOGS),
    listLots(db, section.kitchenId, lotsSince(date)),
  ]);
  const { timeZone } = kitchen;
  const now = Date.now();
  const nowMin = minuteOfMoment(date, now, timeZone);
  const nameOf = (id: string): string => section.people.find(p => p.id === id)?.name ?? id;
  const byId = new Map(lots.map(lot => [lot.id, lot]));
  const today = dayIn(now, timeZone);
  return {
    date,
    note: kept.note,
    midnightMin: plan.ok ? plan.value.midnightMin : 0,
    broken: plan.ok ? plan.value.broken : plan.problems.map(p => p.message),
    pots: live.map(loaded => {
      const { run, document, bands } = loaded.live;
      const state = foldLive(loaded);
      const progress = state.steps[state.current];
      const after = state.steps[state.current + 1];
      const forecast = isImprovised(document) ? null : forecastOf(state, now, i => bands[i] ?? UNKNOWN_BAND);
      const kind = progress ? kindOf(progress.step) : null;
      return {
        id: run.id,
        name: document.name,
        burner: kitchen.burners.find(b => b.id === run.burnerId)?.name ?? "",
        step: kind && progress ? `${kind.label}: ${progress.step.cue ?? kind.cue}` : "all done",
        ready: forecast
          ? `${momentOf(forecast.endsAt, now, timeZone)} (${betweenTimes(forecast, now, timeZone)})`
          : null,
        watch: kind?.attention === "watch",
        then: after ? kindOf(after.step).label : null,
        owner: nameOf(run.startedBy),
      };
    }),
    next: (plan.ok ? plan.value.jobs : [])
      .filter(job => !cooked[job.id] && job.finish > nowMin)
      .slice(0, NEXT_JOBS)
      .map(job => ({
        id: job.id,
        title: job.title,
        start: job.start,
        who: [...new Set(job.hands.map(h => nameOf(h.personId)))],
        vessels: job.vessels,
      })),
    cooling: logs
      .filter(({ entries }) => !entries.some(e => e.kind === "closed"))
      .map(({ log, entries }) => {
        const probe = entries.flatMap(e =>
          e.kind === "probe" && e.c !== null
            ? [{ min: (e.at.getTime() - log.startedAt.getTime()) / 60_000, c: e.c }]
            : [],
        );
        return {
          id: log.id,
          name: log.name,
          kind: log.kind,
          last: entries.findLast(e => e.kind === "probe") ?? null,
          verdict: log.kind === "cooling" ? judgeCooling(probe, log.profile, 2, 60, 1).verdict : null,
        };
      }),
    mustGo: lots
      .map(lot => ({ lot, state: lotState(lot, byId, at => dayIn(at, timeZone)) }))
      .filter(({ state }) => state.massG > 0 && state.useBy <= today)
      .map(({ lot, state }) => ({
        id: lot.id,
        name: lot.name,
        massG: state.massG,
        place: state.place,
        over: state.useBy < today,
      })),
  };
}
