import {
  DAYS_AHEAD,
  type Closed,
  type DayInput,
  type DayView,
  type InStock,
  type Pinned,
  lotState,
} from "~/core/day";
import type { KitchenData } from "~/core/formula";
import type { Result } from "~/core/ground/result";
import { may } from "~/core/things/rank";
import { USUAL_HOURS } from "~/core/things/house";
import { UNKNOWN_BAND, forecastOf } from "~/core/run";
import { type DayOf, type StoredDay, closedBetween, database, documentsOf, findDay, listLots } from "~/data";
import type { SectionWithPerson } from "../people/person.server";
import { kitchenFor, snapshotOf } from "../kitchen/kitchen.server";
import { foldLive, loadLiveRuns } from "../range/live-run.server";
import { dayInPool } from "../workers/pool.server";
import { dayIn, minuteOfMoment, momentOfMinute, weekdayOf } from "./calendar-day";

/** Service at six, for four hours, until somebody says otherwise. */
const USUAL_SERVICE = { serviceMin: 18 * 60, lastsMin: 240 };
/** A plan is worked out anew so often while its day runs. */
const EVERY_MIN = 5;
/** Lots older than this are looked at by nobody any more. */
export const LOTS_DAYS = 120;

export interface PlannedDay {
  readonly date: string;
  readonly kept: StoredDay;
  readonly menu: DayOf["menu"];
  readonly pinned: DayOf["pinned"];
  /** Jobs that are on the fire or done, by what was logged. */
  readonly cooked: Readonly<Record<string, Pinned & { readonly runId: string; readonly done: boolean }>>;
  readonly plan: Result<DayView>;
  readonly nowMin: number | null;
  readonly kitchen: KitchenData;
}

/** Everything a day’s screens and papers are drawn from. */
export async function plannedDay(section: SectionWithPerson, date: string): Promise<PlannedDay> {
  const { db } = database();
  const { kitchenId } = section;
  const [found, snapshot] = await Promise.all([findDay(db, kitchenId, date), snapshotOf(section)]);
  const kept = found.day ?? {
    date,
    ...USUAL_SERVICE,
    cooks: usualCooks(section),
    without: [],
    atNight: false,
    note: "",
  };
  const formulas = await documentsOf(db, kitchenId, [...new Set(found.menu.map(line => line.formulaId))]);
  const drawn = await kitchenFor(section, Object.values(formulas));
  const kitchen = { ...drawn, formulas: { ...drawn.formulas, ...formulas } };
  const { timeZone } = snapshot;
  const now = minuteOfMoment(date, Date.now(), timeZone);
  const dueMin = DAYS_AHEAD * 1440 + kept.serviceMin;
  const nowMin = now > 0 && now < dueMin ? now - (now % EVERY_MIN) : null;
  const input: DayInput = {
    menu: found.menu,
    serviceMin: kept.serviceMin,
    cooks: kept.cooks.length ? kept.cooks : usualCooks(section),
    stock: await stockOn(section, date, timeZone),
    without: kept.without,
    house: kept.atNight ? null : (snapshot.house.hours ?? USUAL_HOURS),
    closed: await closedIn(kitchenId, date, timeZone, kept.cooks.length || 1, snapshot.burners),
    pinned: found.pinned,
    nowMin,
  };
  const weekday = weekdayOf(date);
  const asked = await dayInPool(input, kitchen, weekday);
  const cooked = asked.ok ? await cookedOf(section, asked.value, date, timeZone) : {};
  const plan = Object.keys(cooked).length
    ? await dayInPool({ ...input, pinned: { ...found.pinned, ...pinsOf(cooked) } }, kitchen, weekday)
    : asked;
  return {
    date,
    kept: { ...kept, cooks: input.cooks },
    menu: found.menu,
    pinned: found.pinned,
    cooked,
    plan,
    nowMin,
    kitchen,
  };
}

const pinsOf = (cooked: PlannedDay["cooked"]): Record<string, Pinned> =>
  Object.fromEntries(
    Object.entries(cooked).map(([id, { startMin, minutes }]) => [
      id,
      { startMin, ...(minutes !== undefined && { minutes }) },
    ]),
  );

/** Whoever may log is a pair of hands: the first two, until the day says who is on. */
const usualCooks = ({ people }: SectionWithPerson): string[] =>
  people
    .filter(person => !person.left && may(person, "log"))
    .slice(0, 2)
    .map(person => person.id);

/** What stands in the cold and is good on a day. */
async function stockOn(section: SectionWithPerson, date: string, timeZone: string): Promise<InStock[]> {
  const lots = await listLots(database().db, section.kitchenId, lotsSince(date));
  const byId = new Map(lots.map(lot => [lot.id, lot]));
  return lots.flatMap(lot => {
    const state = lotState(lot, byId, at => dayIn(at, timeZone));
    return lot.formulaId && state.massG > 0 && !state.frozen && state.useBy >= date
      ? [{ formulaId: lot.formulaId, massG: state.massG }]
      : [];
  });
}

export const lotsSince = (date: string): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) - LOTS_DAYS * 86_400_000).toISOString().slice(0, 10);

/** More than any oven has trays, or any cold place litres. */
const WHOLE = 20_000;

/** Closed times of a plan; of cooks, as many as are away. */
async function closedIn(
  kitchenId: string,
  date: string,
  timeZone: string,
  cooks: number,
  burners: readonly { id: string }[],
): Promise<Closed[]> {
  const times = await closedBetween(
    database().db,
    kitchenId,
    momentOfMinute(date, 0, timeZone),
    momentOfMinute(date, 3 * 1440, timeZone),
  );
  return times.map(time => ({
    // A burner is one of many; an oven or a cold place is gone as a whole.
    resource:
      time.resource === "everybody"
        ? "cook"
        : burners.some(b => b.id === time.resource)
          ? "burner"
          : time.resource,
    units: time.resource === "everybody" ? cooks : burners.some(b => b.id === time.resource) ? 1 : WHOLE,
    from: Math.max(0, minuteOfMoment(date, time.startsAt, timeZone)),
    to: Math.max(0, minuteOfMoment(date, time.endsAt, timeZone)),
    why: time.why,
  }));
}

/** How far the pots on the fire have come along the jobs that are theirs. */
async function cookedOf(
  section: SectionWithPerson,
  plan: DayView,
  date: string,
  timeZone: string,
): Promise<PlannedDay["cooked"]> {
  const cooked: Record<string, Pinned & { runId: string; done: boolean }> = {};
  const taken = new Set<string>();
  const now = Date.now();
  const at = (ms: number): number => minuteOfMoment(date, ms, timeZone);
  for (const loaded of await loadLiveRuns(section)) {
    const { run, bands } = loaded.live;
    // A pot of another day is not this day’s.
    if (at(run.startedAt.getTime()) < 0) continue;
    const batchId = plan.jobs.find(j => j.formulaId === run.formulaId && !taken.has(j.batchId))?.batchId;
    if (batchId === undefined) continue;
    taken.add(batchId);
    const state = foldLive(loaded);
    const forecast = forecastOf(state, now, i => bands[i] ?? UNKNOWN_BAND);
    for (const job of plan.jobs.filter(j => j.batchId === batchId)) {
      const steps = state.steps.filter(s => job.steps.some(own => own.id === s.step.id));
      const begun = steps.map(s => s.begunAt).find(ms => ms !== null);
      if (begun === undefined || begun === null) continue;
      const left = steps.filter(s => s.status === "waiting").reduce((sum, s) => sum + s.planned.durationS, 0);
      const done = steps.every(s => s.status === "done" || s.status === "skipped");
      const live = steps.some(s => s.status === "live");
      const ends = done
        ? Math.max(...steps.map(s => s.doneAt ?? begun))
        : (live && forecast ? Math.max(now, forecast.endsAt) : now) + left * 1000;
      cooked[job.id] = {
        startMin: at(begun),
        minutes: Math.max(1, at(ends) - at(begun)),
        runId: run.id,
        done,
      };
    }
  }
  return cooked;
}
