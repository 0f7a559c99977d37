import { and, asc, desc, eq, gt, lt, sql } from "drizzle-orm";
import type { MenuLine, Pinned } from "../core/day";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import { closedTime, day, dayPin, dayTick, leftOver, menuLine } from "./schema";

/** A day of service as it is kept; its plan is worked out, not stored. */

export interface StoredDay {
  readonly date: string;
  readonly serviceMin: number;
  readonly lastsMin: number;
  readonly cooks: readonly string[];
  readonly without: readonly string[];
  readonly atNight: boolean;
  readonly note: string;
}

export interface DayOf {
  readonly day: StoredDay | null;
  readonly menu: readonly MenuLine[];
  readonly pinned: Readonly<Record<string, Pinned>>;
}

interface Change {
  readonly kitchenId: string;
  readonly personId: string;
  readonly now: Date;
}

export async function findDay(db: Queries, kitchenId: string, date: string): Promise<DayOf> {
  const [days, menu, pins] = await Promise.all([
    db
      .select()
      .from(day)
      .where(and(eq(day.kitchenId, kitchenId), eq(day.date, date))),
    db
      .select()
      .from(menuLine)
      .where(and(eq(menuLine.kitchenId, kitchenId), eq(menuLine.date, date)))
      .orderBy(asc(menuLine.id)),
    db
      .select()
      .from(dayPin)
      .where(and(eq(dayPin.kitchenId, kitchenId), eq(dayPin.date, date))),
  ]);
  return {
    day: days[0] ?? null,
    menu,
    pinned: Object.fromEntries(
      pins.map(({ jobId, startMin, minutes }) => [jobId, { startMin, ...(minutes !== null && { minutes }) }]),
    ),
  };
}

/** Days with a menu, the latest first. */
export const plannedDays = (db: Queries, kitchenId: string, most: number): Promise<{ date: string }[]> =>
  db
    .select({ date: day.date })
    .from(day)
    .where(eq(day.kitchenId, kitchenId))
    .orderBy(desc(day.date))
    .limit(most);

export const saveDay = (db: Database, change: Change, kept: StoredDay): Promise<void> =>
  db.transaction(async tx => {
    const { date, ...rest } = kept;
    await tx
      .insert(day)
      .values({ kitchenId: change.kitchenId, date, ...rest })
      .onDuplicateKeyUpdate({ set: rest });
    await recordAudit(tx, { ...change, what: "day", subject: date, detail: { ...rest } });
  });

export const saveMenuLine = (
  db: Database,
  change: Change,
  date: string,
  { id, ...line }: MenuLine,
): Promise<void> =>
  db.transaction(async tx => {
    await tx
      .insert(menuLine)
      .values({ id, kitchenId: change.kitchenId, date, ...line })
      // An id of another kitchen’s line changes nothing.
      .onDuplicateKeyUpdate({
        set: Object.fromEntries(
          Object.entries(line).map(([name, value]) => [
            name,
            sql`if(${menuLine.kitchenId} = ${change.kitchenId}, ${value}, ${menuLine[name as keyof typeof line]})`,
          ]),
        ),
      });
    await recordAudit(tx, { ...change, what: "menu", subject: date, detail: { ...line } });
  });

export const dropMenuLine = (db: Database, change: Change, date: string, id: string): Promise<void> =>
  db.transaction(async tx => {
    await tx.delete(menuLine).where(and(eq(menuLine.kitchenId, change.kitchenId), eq(menuLine.id, id)));
    await recordAudit(tx, { ...change, what: "menu", subject: date, detail: { dropped: id } });
  });

export async function pinJob(
  db: Queries,
  change: Change,
  date: string,
  jobId: string,
  pin: Pinned,
): Promise<void> {
  const values = {
    startMin: pin.startMin,
    minutes: pin.minutes ?? null,
    personId: change.personId,
    at: change.now,
  };
  await db
    .insert(dayPin)
    .values({ kitchenId: change.kitchenId, date, jobId, ...values })
    .onDuplicateKeyUpdate({ set: values });
}

/** Lets a job find its own time again; every job of the day without one. */
export async function unpin(db: Queries, kitchenId: string, date: string, jobId?: string): Promise<void> {
  await db
    .delete(dayPin)
    .where(
      and(
        eq(dayPin.kitchenId, kitchenId),
        eq(dayPin.date, date),
        jobId === undefined ? undefined : eq(dayPin.jobId, jobId),
      ),
    );
}

export interface ClosedTime {
  readonly id: string;
  readonly resource: string;
  readonly startsAt: Date;
  readonly endsAt: Date;
  readonly why: string;
  readonly uid: string | null;
}

export const closedBetween = (db: Queries, kitchenId: string, from: Date, to: Date): Promise<ClosedTime[]> =>
  db
    .select()
    .from(closedTime)
    .where(and(eq(closedTime.kitchenId, kitchenId), lt(closedTime.startsAt, to), gt(closedTime.endsAt, from)))
    .orderBy(asc(closedTime.startsAt));

/** Takes times in; one of a calendar that was brought in before is the same, with its new times. */
export async function addClosed(db: Queries, kitchenId: string, times: readonly ClosedTime[]): Promise<void> {
  for (const time of times) {
    const { startsAt, endsAt, why, resource } = time;
    await db
      .insert(closedTime)
      .values({ ...time, kitchenId })
      .onDuplicateKeyUpdate({ set: { startsAt, endsAt, why, resource } });
  }
}

export async function dropClosed(db: Queries, kitchenId: string, id: string): Promise<void> {
  await db.delete(closedTime).where(and(eq(closedTime.kitchenId, kitchenId), eq(closedTime.id, id)));
}

/** What of a day’s lists is ticked, by item. */
export async function ticksOf(
  db: Queries,
  kitchenId: string,
  date: string,
): Promise<Readonly<Record<string, { by: string; at: Date }>>> {
  const rows = await db
    .select()
    .from(dayTick)
    .where(and(eq(dayTick.kitchenId, kitchenId), eq(dayTick.date, date), eq(dayTick.done, true)));
  return Object.fromEntries(rows.map(({ item, personId, at }) => [item, { by: personId, at }]));
}

/** A tick that was made later counts, in whatever order the network brings them. */
export async function tick(
  db: Queries,
  change: Change,
  date: string,
  { item, done, at }: { readonly item: string; readonly done: boolean; readonly at: Date },
): Promise<void> {
  const { kitchenId, personId } = change;
  const newer = sql`${dayTick.at} <= ${sql.param(at, dayTick.at)}`;
  await db
    .insert(dayTick)
    .values({ kitchenId, date, item, done, personId, at })
    .onDuplicateKeyUpdate({
      set: {
        done: sql`if(${newer}, ${done}, ${dayTick.done})`,
        personId: sql`if(${newer}, ${personId}, ${dayTick.personId})`,
        at: sql`greatest(${dayTick.at}, ${sql.param(at, dayTick.at)})`,
      },
    });
}

export interface LeftOver {
  readonly id: string;
  readonly formulaId: string;
  readonly at: Date;
  readonly massG: number;
}

/** What was left at moments of a service, the earliest first. */
export const leftOf = (db: Queries, kitchenId: string, date: string): Promise<LeftOver[]> =>
  db
    .select({ id: leftOver.id, formulaId: leftOver.formulaId, at: leftOver.at, massG: leftOver.massG })
    .from(leftOver)
    .where(and(eq(leftOver.kitchenId, kitchenId), eq(leftOver.date, date)))
    .orderBy(asc(leftOver.at));

export async function noteLeft(db: Queries, change: Change, date: string, left: LeftOver): Promise<void> {
  const { kitchenId, personId } = change;
  await db
    .insert(leftOver)
    .ignore()
    .values({ ...left, kitchenId, personId, date });
}
