import {
  type SQL,
  and,
  asc,
  avg,
  count,
  desc,
  eq,
  gt,
  gte,
  inArray,
  isNotNull,
  lt,
  lte,
  or,
  sql,
  sum,
} from "drizzle-orm";
import type { ChartedBatch } from "../core/control";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import { batch, batchCause, formula, formulaVersion, lot, lotMovement, person } from "./schema";

/** What was made: finished batches by page, in groups, and in order for a chart. */

export interface LedgerFilter {
  readonly formulaId?: string | null;
  readonly personId?: string | null;
  readonly burnerId?: string | null;
  readonly from?: Date | null;
  /** Not later than this. */
  readonly to?: Date | null;
  /** With something gone wrong, or off its plan by more than this share. */
  readonly only?: "incidents" | "off plan" | null;
}

/** Off plan: by more than a tenth in yield. */
const OFF_PLAN = 0.1;

export const LEDGER_SORTS = ["newest", "oldest", "least yield", "most yield", "slowest"] as const;
export type LedgerSort = (typeof LEDGER_SORTS)[number];

const ORDER = {
  newest: { by: batch.finishedAt, down: true },
  oldest: { by: batch.finishedAt, down: false },
  "least yield": { by: batch.yieldOff, down: false },
  "most yield": { by: batch.yieldOff, down: true },
  slowest: { by: batch.timeOff, down: true },
} as const;

const columns = {
  runId: batch.runId,
  finishedAt: batch.finishedAt,
  formulaId: batch.formulaId,
  personId: batch.personId,
  versionId: batch.formulaVersionId,
  burnerId: batch.burnerId,
  baseG: batch.baseG,
  plannedMl: batch.plannedMl,
  actualMl: batch.actualMl,
  plannedG: batch.plannedG,
  actualG: batch.actualG,
  plannedMin: batch.plannedMin,
  actualMin: batch.actualMin,
  yieldOff: batch.yieldOff,
  timeOff: batch.timeOff,
  brixPlanned: batch.brixPlanned,
  brix: batch.brix,
  ph: batch.ph,
  saltPlanned: batch.saltPlanned,
  salt: batch.salt,
  bodyPlanned: batch.bodyPlanned,
  body: batch.body,
  score: batch.score,
  cost: batch.cost,
  incidents: batch.incidents,
  lostCost: batch.lostCost,
};

/**
 * The names of what batches refer to, looked up once their page is known: joined, the database begins at the names and sorts
 * every batch there is.
 */
async function withNames<T extends { formulaId: string; versionId: string; personId: string }>(
  db: Queries,
  rows: readonly T[],
): Promise<(T & { name: string; version: number; by: string })[]> {
  if (!rows.length) return [];
  const of = (which: (row: T) => string) => [...new Set(rows.map(which))];
  const [sauces, versions, people] = await Promise.all([
    db
      .select({ id: formula.id, name: formula.name })
      .from(formula)
      .where(
        inArray(
          formula.id,
          of(row => row.formulaId),
        ),
      ),
    db
      .select({ id: formulaVersion.id, number: formulaVersion.number })
      .from(formulaVersion)
      .where(
        inArray(
          formulaVersion.id,
          of(row => row.versionId),
        ),
      ),
    db
      .select({ id: person.id, name: person.name })
      .from(person)
      .where(
        inArray(
          person.id,
          of(row => row.personId),
        ),
      ),
  ]);
  const name = new Map(sauces.map(one => [one.id, one.name]));
  const number = new Map(versions.map(one => [one.id, one.number]));
  const by = new Map(people.map(one => [one.id, one.name]));
  return rows.map(row => ({
    ...row,
    name: name.get(row.formulaId) ?? "",
    version: number.get(row.versionId) ?? 0,
    by: by.get(row.personId) ?? "",
  }));
}

const bare = (db: Queries) => db.select(columns).from(batch);
type LedgerRow = Awaited<ReturnType<typeof bare>>[number] & {
  readonly name: string;
  readonly version: number;
  readonly by: string;
};

/** The batches of these runs, in this order. */
async function inOrder(db: Queries, runIds: readonly string[]) {
  if (!runIds.length) return [];
  const rows = new Map(
    (await bare(db).where(inArray(batch.runId, [...runIds]))).map(row => [row.runId, row]),
  );
  return runIds.flatMap(id => rows.get(id) ?? []);
}

function asked(kitchenId: string, filter: LedgerFilter): SQL | undefined {
  const { formulaId, personId, burnerId, from, to, only } = filter;
  return and(
    eq(batch.kitchenId, kitchenId),
    formulaId ? eq(batch.formulaId, formulaId) : undefined,
    personId ? eq(batch.personId, personId) : undefined,
    burnerId ? eq(batch.burnerId, burnerId) : undefined,
    from ? gte(batch.finishedAt, from) : undefined,
    to ? lt(batch.finishedAt, to) : undefined,
    only === "incidents" ? gt(batch.incidents, 0) : undefined,
    only === "off plan" ? or(gt(batch.yieldOff, OFF_PLAN), lt(batch.yieldOff, -OFF_PLAN)) : undefined,
  );
}

/** Where a page ended: what it was sorted by, and which batch it was. */
export interface LedgerCursor {
  readonly value: string;
  readonly runId: string;
}

/**
 * A page of batches; each begins where the last one ended, so that the thousandth costs what the first does.
 * @returns the rows, and where the next page begins; `null` at the end
 */
export async function ledgerPage(
  db: Queries,
  kitchenId: string,
  filter: LedgerFilter,
  {
    sort,
    after,
    most,
  }: { readonly sort: LedgerSort; readonly after: LedgerCursor | null; readonly most: number },
): Promise<{ readonly rows: LedgerRow[]; readonly next: LedgerCursor | null }> {
  const { by, down } = ORDER[sort];
  const time = by === batch.finishedAt;
  const value = after && (time ? new Date(after.value) : Number(after.value));
  const beyond = down ? lt : gt;
  // Which batches first, from the index alone; what they say only for those of the page.
  const ids = await db
    .select({ runId: batch.runId })
    .from(batch)
    .where(
      and(
        asked(kitchenId, filter),
        time ? undefined : isNotNull(by),
        after && value !== null
          ? and(
              // The bound alone lets the database begin there; the rest settles what stands at the same value.
              (down ? lte : gte)(by, value as never),
              or(beyond(by, value as never), and(eq(by, value as never), beyond(batch.runId, after.runId))),
            )
          : undefined,
      ),
    )
    .orderBy(down ? desc(by) : asc(by), down ? desc(batch.runId) : asc(batch.runId))
    .limit(most + 1);
  const shown = await inOrder(
    db,
    ids.slice(0, most).map(({ runId }) => runId),
  );
  const last = shown.at(-1);
  const key =
    last &&
    (time ? last.finishedAt.toISOString() : String(by === batch.yieldOff ? last.yieldOff : last.timeOff));
  return {
    rows: await withNames(db, shown),
    next: ids.length > most && last && key ? { value: key, runId: last.runId } : null,
  };
}

export const LEDGER_GROUPS = ["sauce", "cook", "burner", "month"] as const;
export type LedgerGroup = (typeof LEDGER_GROUPS)[number];

const GROUP = {
  sauce: sql<string>`${batch.formulaId}`,
  cook: sql<string>`${batch.personId}`,
  burner: sql<string>`${batch.burnerId}`,
  month: sql<string>`date_format(${batch.finishedAt}, '%Y-%m')`,
} as const;

/** Batches summed up: how many, how far off plan and how widely, what went wrong and what it cost. */
export async function ledgerGroups(db: Queries, kitchenId: string, filter: LedgerFilter, group: LedgerGroup) {
  const key = GROUP[group];
  const rows = await db
    .select({
      key,
      batches: count(),
      weighed: count(batch.actualG),
      yieldOff: avg(batch.yieldOff),
      yieldSd: sql<number | null>`stddev_samp(${batch.yieldOff})`,
      timeOff: avg(batch.timeOff),
      salt: avg(sql`${batch.salt} / nullif(${batch.saltPlanned}, 0) - 1`),
      score: avg(batch.score),
      incidents: sum(batch.incidents),
      lostCost: sum(batch.lostCost),
    })
    .from(batch)
    .where(asked(kitchenId, filter))
    .groupBy(key)
    .orderBy(group === "month" ? desc(key) : desc(count()));
  const number = (text: string | number | null): number | null => (text === null ? null : Number(text));
  return rows.map(row => ({
    key: String(row.key),
    batches: row.batches,
    weighed: row.weighed,
    yieldOff: number(row.yieldOff),
    yieldSd: number(row.yieldSd),
    timeOff: number(row.timeOff),
    saltOff: number(row.salt),
    score: number(row.score),
    incidents: Number(row.incidents ?? 0),
    lostCost: number(row.lostCost),
  }));
}

/** More batches than a chart shows points. */
const MOST_CHARTED = 1500;

export interface LedgerPoint extends ChartedBatch {
  readonly formulaId: string;
  readonly personId: string;
}

/** The latest batches of a sauce, or of all of them, in the order they were made. */
export async function chartedBatches(
  db: Queries,
  kitchenId: string,
  { formulaId, since }: { readonly formulaId: string | null; readonly since: Date | null },
): Promise<LedgerPoint[]> {
  const rows = await db
    .select(columns)
    .from(batch)
    .where(asked(kitchenId, { formulaId, from: since }))
    .orderBy(desc(batch.finishedAt), desc(batch.runId))
    .limit(MOST_CHARTED);
  const named = await withNames(db, rows);
  return named.reverse().map(({ finishedAt, ...row }) => ({ ...row, at: finishedAt.getTime() }));
}

export interface Cause {
  readonly runId: string;
  readonly figure: string;
  readonly words: string;
}

/** Why figures of batches were out of the ordinary, as said since a day. */
export const causesSince = (db: Queries, kitchenId: string, since: Date | null): Promise<Cause[]> =>
  db
    .select({ runId: batchCause.runId, figure: batchCause.figure, words: batchCause.words })
    .from(batchCause)
    .innerJoin(batch, eq(batch.runId, batchCause.runId))
    .where(and(eq(batchCause.kitchenId, kitchenId), since ? gte(batch.finishedAt, since) : undefined));

/** Says why, or takes it back where nothing is said. @returns whether the batch is this kitchen’s */
export const sayCause = (
  db: Database,
  change: { readonly kitchenId: string; readonly personId: string; readonly now: Date },
  said: { readonly runId: string; readonly figure: string; readonly words: string },
): Promise<boolean> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    const { runId, figure, words } = said;
    const [own] = await tx
      .select({ runId: batch.runId })
      .from(batch)
      .where(and(eq(batch.kitchenId, kitchenId), eq(batch.runId, runId)));
    if (!own) return false;
    if (words)
      await tx
        .insert(batchCause)
        .values({ kitchenId, runId, figure, words, personId, at: now })
        .onDuplicateKeyUpdate({ set: { words, personId, at: now } });
    else await tx.delete(batchCause).where(and(eq(batchCause.runId, runId), eq(batchCause.figure, figure)));
    await recordAudit(tx, { ...change, what: "cause", subject: runId, detail: { figure, words } });
    return true;
  });

/** Sauces that have a finished batch, by name: one look into the index for each sauce, however many batches there are. */
export const ledgerSauces = (db: Queries, kitchenId: string): Promise<{ id: string; name: string }[]> =>
  db
    .select({ id: formula.id, name: formula.name })
    .from(formula)
    .where(
      and(
        eq(formula.kitchenId, kitchenId),
        // With a limit the database asks sauce by sauce instead of reading every batch.
        sql`(select ${batch.runId} from ${batch} where ${batch.kitchenId} = ${kitchenId} and ${batch.formulaId} = ${formula.id} limit 1) is not null`,
      ),
    )
    .orderBy(asc(formula.name));

/** More batches with incidents than a year has. */
const MOST_INCIDENTS = 3000;

/** What went wrong since a day, batch by batch, the latest first. */
export async function incidentsSince(db: Queries, kitchenId: string, since: Date) {
  const rows = await db
    .select({
      runId: batch.runId,
      at: batch.finishedAt,
      formulaId: batch.formulaId,
      versionId: batch.formulaVersionId,
      personId: batch.personId,
      record: batch.record,
    })
    .from(batch)
    .where(and(eq(batch.kitchenId, kitchenId), gt(batch.incidents, 0), gte(batch.finishedAt, since)))
    .orderBy(desc(batch.finishedAt))
    .limit(MOST_INCIDENTS);
  return withNames(db, rows);
}

/** What was thrown away from the cold since a day, with what its batch had cost a gram where that is known. */
export async function wastedSince(db: Queries, kitchenId: string, since: Date) {
  const rows = await db
    .select({
      id: lotMovement.id,
      at: lotMovement.at,
      name: lot.name,
      lostG: lotMovement.massG,
      cost: batch.cost,
      actualG: batch.actualG,
    })
    .from(lotMovement)
    .innerJoin(lot, eq(lot.id, lotMovement.lotId))
    .leftJoin(batch, eq(batch.runId, lot.runId))
    .where(
      and(eq(lotMovement.kitchenId, kitchenId), eq(lotMovement.kind, "wasted"), gte(lotMovement.at, since)),
    )
    .orderBy(desc(lotMovement.at))
    .limit(MOST_INCIDENTS);
  return rows.map(({ cost, actualG, ...row }) => ({
    ...row,
    cost: cost !== null && actualG ? (cost / actualG) * row.lostG : null,
  }));
}
