import { type SQL, and, asc, count, desc, eq, gte, inArray, isNotNull, isNull, lt, sql } from "drizzle-orm";
import { ulid } from "ulid";
import { type BatchRecord, type Felt, PAYLOAD_VERSION, type RunEvent, type WeighedLine } from "../core/run";
import { type KitchenData, type PaceReading, paceReadingSchema } from "../core/formula";
import { recordAudit } from "./audit";
import { keepBasis } from "./basis";
import type { Database, Queries } from "./connection";
import { inserted, isDeadlock, isDuplicate } from "./database-errors";
import { shelve } from "./formulas";
import {
  type Rehearsal,
  batch,
  batchLine,
  formula,
  formulaVersion,
  kitchen,
  person,
  run,
  runEvent,
  runLog,
} from "./schema";
import { toEvent } from "./run-rows";
import { canonical } from "./seen";

export interface StoredRun {
  readonly id: string;
  readonly formulaId: string;
  readonly formulaVersionId: string;
  readonly baseG: number;
  readonly burnerId: string;
  readonly startedBy: string;
  readonly startedAt: Date;
  readonly finishedAt: Date | null;
  /** What it is walked in; `null` for a run from before that was kept. */
  readonly basisHash: string | null;
  /** Cooked on the simulated stove. */
  readonly rehearsal: Rehearsal | null;
}

const columns = {
  id: run.id,
  formulaId: run.formulaId,
  formulaVersionId: run.formulaVersionId,
  baseG: run.baseG,
  burnerId: run.burnerId,
  startedBy: person.name,
  startedAt: run.startedAt,
  finishedAt: run.finishedAt,
  basisHash: run.basisHash,
  rehearsal: run.rehearsal,
};

/**
 * Puts a version on the fire: from here on the version does not change. Whoever sends it names the run: sent twice because
 * an answer got lost, it is one pot.
 */
export async function startRun(
  db: Database,
  input: {
    id?: string;
    kitchenId: string;
    formulaId: string;
    formulaVersionId: string;
    baseG: number;
    burnerId: string;
    personId: string;
    now: Date;
    /** What it is walked in from now on: all that `basisOf` finds. */
    basis: KitchenData;
    /** A rehearsal uses no version up. */
    rehearsal?: Rehearsal;
  },
): Promise<string> {
  const {
    id = ulid(),
    kitchenId,
    formulaId,
    formulaVersionId,
    baseG,
    burnerId,
    personId,
    now,
    basis,
    rehearsal = null,
  } = input;
  await db.transaction(async tx => {
    const basisHash = await keepBasis(tx, basis);
    const made = await inserted(
      tx.insert(run).values({
        id,
        kitchenId,
        formulaId,
        formulaVersionId,
        baseG,
        burnerId,
        startedBy: personId,
        startedAt: now,
        basisHash,
        rehearsal,
      }),
    );
    if (!made) return;
    if (!rehearsal) await useUp(tx, formulaVersionId, basisHash, now);
    const started: RunEvent = {
      id: ulid(),
      at: now.toISOString(),
      clockOffsetMs: 0,
      personId,
      payload: { kind: "started", burnerId },
    };
    await insertEvents(tx, { kitchenId, runId: id, events: [started], now });
    await recordAudit(tx, {
      kitchenId,
      personId,
      now,
      what: "run.started",
      subject: id,
      detail: { formulaVersionId, baseG },
    });
  });
  return id;
}

/** A version that was cooked does not change any more, and stands in the Book. */
async function useUp(tx: Queries, versionId: string, basisHash: string, now: Date): Promise<void> {
  await tx
    .update(formulaVersion)
    .set({ frozenAt: now })
    .where(and(eq(formulaVersion.id, versionId), isNull(formulaVersion.frozenAt)));
  await shelve(tx, versionId, now);
  await tx
    .update(formulaVersion)
    .set({ basisHash })
    .where(and(eq(formulaVersion.id, versionId), isNull(formulaVersion.basisHash)));
}

export async function findRun(db: Queries, kitchenId: string, id: string): Promise<StoredRun | null> {
  const [found] = await db
    .select(columns)
    .from(run)
    .innerJoin(person, eq(person.id, run.startedBy))
    .where(and(eq(run.kitchenId, kitchenId), eq(run.id, id)));
  return found ?? null;
}

const unfinished = (db: Queries, kitchenId: string, which: SQL) =>
  db
    .select(columns)
    .from(run)
    .innerJoin(person, eq(person.id, run.startedBy))
    .where(and(eq(run.kitchenId, kitchenId), isNull(run.finishedAt), which))
    .orderBy(asc(run.startedAt));

/** Runs that are on the fire now, oldest first; a rehearsal is on no fire. */
export const liveRuns = (db: Queries, kitchenId: string): Promise<StoredRun[]> =>
  unfinished(db, kitchenId, isNull(run.rehearsal));

/** Rehearsals somebody has begun since. */
export const liveRehearsals = (
  db: Queries,
  kitchenId: string,
  personId: string,
  since: Date,
): Promise<StoredRun[]> =>
  unfinished(
    db,
    kitchenId,
    sql`${run.rehearsal} is not null and ${run.startedBy} = ${personId} and ${run.startedAt} > ${since}`,
  );

/** Writes events with the next numbers of their kitchen. */
async function insertEvents(
  tx: Queries,
  {
    kitchenId,
    runId,
    events,
    now,
  }: { kitchenId: string; runId: string; events: readonly RunEvent[]; now: Date },
): Promise<void> {
  await tx
    .insert(runLog)
    .values({ kitchenId, seq: events.length })
    .onDuplicateKeyUpdate({ set: { seq: sql`${runLog.seq} + ${events.length}` } });
  const [last] = await tx.select().from(runLog).where(eq(runLog.kitchenId, kitchenId));
  const first = (last?.seq ?? events.length) - events.length + 1;
  await tx.insert(runEvent).values(
    events.map((event, i) => ({
      id: event.id,
      runId,
      kitchenId,
      at: new Date(event.at),
      clockOffsetMs: event.clockOffsetMs,
      personId: event.personId,
      kind: event.payload.kind,
      payload: event.payload,
      payloadVersion: PAYLOAD_VERSION,
      seq: first + i,
      receivedAt: now,
    })),
  );
}

/** The events of some runs, by run. */
export async function eventsOf(db: Queries, runIds: readonly string[]): Promise<Record<string, RunEvent[]>> {
  if (!runIds.length) return {};
  const rows = await db
    .select()
    .from(runEvent)
    .where(inArray(runEvent.runId, [...runIds]))
    .orderBy(asc(runEvent.at));
  const events: Record<string, RunEvent[]> = Object.fromEntries(runIds.map(id => [id, []]));
  for (const row of rows) events[row.runId]?.push(toEvent(row));
  return events;
}

/** So many weighings back a line remembers how much the hand puts in. */
const MOST_WEIGHINGS = 2000;

/** What was weighed in for the lines of a formula in its finished batches, the latest first. */
export const lineWeighings = (db: Queries, kitchenId: string, formulaId: string): Promise<WeighedLine[]> =>
  db
    .select({ lineId: batchLine.lineId, massG: batchLine.massG, baseG: batchLine.baseG })
    .from(batchLine)
    .where(and(eq(batchLine.kitchenId, kitchenId), eq(batchLine.formulaId, formulaId)))
    .orderBy(desc(batchLine.at))
    .limit(MOST_WEIGHINGS);

export type AppendOutcome =
  | { readonly ok: true }
  | { readonly ok: false; readonly conflicting: string }
  | { readonly ok: false; readonly full: number };

/** A batch of sauce has some hundred readings; what sends thousands is no cook, and the page would choke on it. */
const MOST_READINGS = 5000;

/** Deliveries that cross are looked at again this often. */
const MOST_ATTEMPTS = 4;

/** Same event, whatever the order of its keys on the way. */
const sameEvent = (a: RunEvent, b: RunEvent): boolean => canonical(a) === canonical(b);
/** Where a run stands: at its end since then, with the figures of its batch; or live, or live again. */
export interface RunEnd {
  readonly finishedAt: Date | null;
  readonly abandoned: boolean;
  readonly record: BatchRecord;
}

/**
 * Adds events to a run, and marks it finished or live again, in one go. An event that is there already changes nothing; the same id with another content is refused
 * and nothing of the batch is written.
 */
export async function appendEvents(
  db: Database,
  input: {
    kitchenId: string;
    runId: string;
    events: readonly RunEvent[];
    now: Date;
    /** Judges from all its events whether the run is at its end; left out where that cannot have changed. */
    endOf?: (events: readonly RunEvent[]) => RunEnd;
  },
  attempt = 0,
): Promise<AppendOutcome> {
  const { kitchenId, runId, now } = input;
  const events: RunEvent[] = [];
  for (const event of input.events) {
    const twin = events.find(e => e.id === event.id);
    if (twin && !sameEvent({ ...twin, clockOffsetMs: 0 }, { ...event, clockOffsetMs: 0 }))
      return { ok: false, conflicting: event.id };
    if (!twin) events.push(event);
  }
  if (!events.length) return { ok: true };
  try {
    return await db.transaction(async tx => {
      // One batch after another: whether a run is at its end is judged by all that is logged of it.
      await tx.select({ id: run.id }).from(run).where(eq(run.id, runId)).for("update");
      const rows = await tx
        .select()
        .from(runEvent)
        .where(
          inArray(
            runEvent.id,
            events.map(e => e.id),
          ),
        );
      const known = new Map(rows.map(row => [row.id, row]));
      for (const event of events) {
        const row = known.get(event.id);
        if (!row) continue;
        const stored = toEvent(row);
        // The offset is measured again at each contact; it does not make another event.
        const same =
          row.runId === runId &&
          sameEvent(
            { ...stored, clockOffsetMs: 0 },
            { ...event, clockOffsetMs: 0, at: new Date(event.at).toISOString() },
          );
        if (!same) return { ok: false as const, conflicting: event.id };
      }
      const fresh = events.filter(event => !known.has(event.id));
      if (!fresh.length) return { ok: true as const };
      const [held] = await tx.select({ n: count() }).from(runEvent).where(eq(runEvent.runId, runId));
      if ((held?.n ?? 0) + fresh.length > MOST_READINGS) return { ok: false as const, full: MOST_READINGS };
      await insertEvents(tx, { kitchenId, runId, events: fresh, now });
      if (input.endOf) await settle(tx, input.kitchenId, runId, input.endOf);
      return { ok: true as const };
    });
  } catch (error) {
    // Two deliveries of one queue may cross: another look then finds the first one's rows.
    if ((isDuplicate(error) || isDeadlock(error)) && attempt < MOST_ATTEMPTS)
      return appendEvents(db, input, attempt + 1);
    throw error;
  }
}

/** Figures of a record a ledger sorts and draws by. */
function figuresIn({ measured, thickness, score, cost, incidents = [] }: BatchRecord) {
  const lost = incidents.flatMap(({ lostG }) => (lostG === null ? [] : [lostG]));
  const costs = incidents.flatMap(one => (one.cost == null ? [] : [one.cost]));
  const sum = (of: readonly number[]): number | null => (of.length ? of.reduce((a, b) => a + b, 0) : null);
  return {
    brixPlanned: measured?.brix.planned ?? null,
    brix: measured?.brix.actual ?? null,
    ph: measured?.ph.actual ?? null,
    saltPlanned: measured?.saltPct.planned ?? null,
    salt: measured?.saltPct.actual ?? null,
    bodyPlanned: thickness?.planned ?? null,
    body: thickness?.actual ?? null,
    score: score ?? null,
    cost: cost ?? null,
    incidents: incidents.length,
    lostG: sum(lost),
    lostCost: sum(costs),
  };
}

/** Marks a run as finished (or live again) and keeps the figures of its batch; what was given up is no batch. */
async function settle(
  tx: Queries,
  kitchenId: string,
  runId: string,
  endOf: (events: readonly RunEvent[]) => RunEnd,
): Promise<void> {
  const rows = await tx.select().from(runEvent).where(eq(runEvent.runId, runId)).orderBy(asc(runEvent.at));
  const { finishedAt, abandoned, record } = endOf(rows.map(toEvent));
  const [own] = await tx.select().from(run).where(eq(run.id, runId));
  if (!own) return;
  await tx.update(run).set({ finishedAt, abandoned }).where(eq(run.id, runId));
  const [booked] = await tx.select({ paces: batch.paces }).from(batch).where(eq(batch.runId, runId));
  await tx.delete(batch).where(eq(batch.runId, runId));
  await tx.delete(batchLine).where(eq(batchLine.runId, runId));
  // What is learned of a pot on a burner is part of the kitchen.
  const teaches = finishedAt && !abandoned && !own.rehearsal && record.paces?.length ? record.paces : null;
  if (booked?.paces || teaches)
    await tx
      .update(kitchen)
      .set({ revision: sql`${kitchen.revision} + 1` })
      .where(eq(kitchen.id, kitchenId));
  if (!finishedAt || abandoned || own.rehearsal) return;
  await tx.insert(batch).values({
    runId,
    kitchenId,
    formulaVersionId: own.formulaVersionId,
    baseG: own.baseG,
    plannedMl: record.yieldMl.planned,
    actualMl: record.yieldMl.actual,
    plannedG: record.yieldG.planned,
    actualG: record.yieldG.actual,
    plannedMin: record.minutes.planned,
    actualMin: record.minutes.actual,
    finishedAt,
    record,
    paces: teaches,
    formulaId: own.formulaId,
    personId: own.startedBy,
    burnerId: own.burnerId,
    vesselId: record.vesselId ?? null,
    ...figuresIn(record),
  });
  const { weighed = [] } = record;
  if (weighed.length)
    await tx.insert(batchLine).values(
      weighed.map((line, place) => ({
        ...line,
        runId,
        place,
        kitchenId,
        formulaId: own.formulaId,
        baseG: own.baseG,
        at: finishedAt,
      })),
    );
}

/** So many batches back a kitchen remembers how its pots went and how things felt. */
const MOST_REMEMBERED = 400;

/** How fast pots on burners went, the oldest first; those that count. */
export async function paceReadings(
  db: Queries,
  kitchenId: string,
  counts: (reading: PaceReading, at: number) => boolean,
): Promise<PaceReading[]> {
  const rows = await db
    .select({ paces: batch.paces, at: batch.finishedAt })
    .from(batch)
    .where(and(eq(batch.kitchenId, kitchenId), isNotNull(batch.paces)))
    .orderBy(desc(batch.finishedAt))
    .limit(MOST_REMEMBERED);
  return rows.reverse().flatMap(({ paces, at }) =>
    paceReadingSchema
      .array()
      .parse(paces ?? [])
      .filter(reading => counts(reading, at.getTime())),
  );
}

export interface StoredBatch {
  readonly runId: string;
  readonly baseG: number;
  readonly plannedMl: number | null;
  readonly actualMl: number | null;
  readonly finishedAt: Date;
}

/** The driver hands JSON back read or as text; a batch from before touches were kept has none. */
const feltIn = (value: unknown): readonly Felt[] =>
  ((typeof value === "string" ? JSON.parse(value) : value) ?? []) as readonly Felt[];

/** How things gave under the finger in the latest batches of a kitchen. */
export async function feltLately(db: Queries, kitchenId: string): Promise<Felt[]> {
  const rows = await db
    .select({
      touches: sql<unknown>`json_extract(${batch.record}, '$.touches')`,
    })
    .from(batch)
    .where(eq(batch.kitchenId, kitchenId))
    .orderBy(desc(batch.finishedAt))
    .limit(MOST_REMEMBERED);
  return rows.flatMap(({ touches }) => feltIn(touches));
}

/** A finished batch with its record, as it was booked. */
export interface BookedBatch {
  readonly runId: string;
  readonly formulaVersionId: string;
  readonly baseG: number;
  readonly finishedAt: Date;
  readonly startedBy: string;
  readonly basisHash: string | null;
  readonly record: BatchRecord;
}

const bookedColumns = {
  runId: batch.runId,
  formulaVersionId: batch.formulaVersionId,
  baseG: batch.baseG,
  finishedAt: batch.finishedAt,
  startedBy: person.name,
  basisHash: run.basisHash,
  record: batch.record,
};

const booked = (db: Queries, kitchenId: string, which: SQL | undefined) =>
  db
    .select(bookedColumns)
    .from(batch)
    .innerJoin(run, eq(run.id, batch.runId))
    .innerJoin(person, eq(person.id, run.startedBy))
    .where(and(eq(batch.kitchenId, kitchenId), which))
    .orderBy(asc(batch.finishedAt));

/** What was finished from a moment on, up to another, the oldest first. */
export const batchesBetween = (
  db: Queries,
  kitchenId: string,
  { from, to }: { readonly from: Date; readonly to: Date },
): Promise<BookedBatch[]> =>
  booked(db, kitchenId, and(gte(batch.finishedAt, from), lt(batch.finishedAt, to)));

export async function findBatch(
  db: Queries,
  kitchenId: string,
  runId: string,
): Promise<BookedBatch | undefined> {
  const [found] = await booked(db, kitchenId, eq(batch.runId, runId));
  return found;
}

/** A finished batch as a row of a table. */
export interface BatchRow {
  readonly runId: string;
  readonly finishedAt: Date;
  readonly name: string;
  readonly version: number;
  readonly by: string;
  readonly baseG: number;
  readonly plannedMl: number | null;
  readonly actualMl: number | null;
  readonly plannedG: number | null;
  readonly actualG: number | null;
  readonly plannedMin: number | null;
  readonly actualMin: number | null;
}

/** Finished batches of a kitchen, newest first: all of them, or so many. */
export const listBatches = (
  db: Queries,
  kitchenId: string,
  { most = Number.MAX_SAFE_INTEGER }: { readonly most?: number } = {},
): Promise<BatchRow[]> =>
  db
    .select({
      runId: batch.runId,
      finishedAt: batch.finishedAt,
      name: formula.name,
      version: formulaVersion.number,
      by: person.name,
      baseG: batch.baseG,
      plannedMl: batch.plannedMl,
      actualMl: batch.actualMl,
      plannedG: batch.plannedG,
      actualG: batch.actualG,
      plannedMin: batch.plannedMin,
      actualMin: batch.actualMin,
    })
    .from(batch)
    .innerJoin(run, eq(run.id, batch.runId))
    .innerJoin(person, eq(person.id, run.startedBy))
    .innerJoin(formulaVersion, eq(formulaVersion.id, batch.formulaVersionId))
    .innerJoin(formula, eq(formula.id, formulaVersion.formulaId))
    .where(eq(batch.kitchenId, kitchenId))
    .orderBy(desc(batch.finishedAt))
    .limit(most);

/** Batches made of a version, newest first. */
export const batchesOf = (db: Queries, formulaVersionId: string): Promise<StoredBatch[]> =>
  db
    .select({
      runId: batch.runId,
      baseG: batch.baseG,
      plannedMl: batch.plannedMl,
      actualMl: batch.actualMl,
      finishedAt: batch.finishedAt,
    })
    .from(batch)
    .where(eq(batch.formulaVersionId, formulaVersionId))
    .orderBy(desc(batch.finishedAt));
