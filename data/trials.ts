import { and, desc, eq, gte, inArray } from "drizzle-orm";
import type { Change } from "./change-row";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import { batch, formula, person, tasting, trial } from "./schema";

/** Trials: versions of a sauce with one thing different, and what came of each. */

export interface StoredTrial {
  readonly id: string;
  readonly formulaId: string;
  readonly formulaName: string;
  readonly name: string;
  readonly difference: string;
  /** In the order of their letters. */
  readonly versionIds: readonly string[];
  readonly by: string;
  readonly at: Date;
  readonly decidedAt: Date | null;
  readonly adopted: string | null;
  readonly decision: string;
  readonly demo: boolean;
}

const columns = {
  id: trial.id,
  formulaId: trial.formulaId,
  formulaName: formula.name,
  name: trial.name,
  difference: trial.difference,
  versionIds: trial.versionIds,
  by: person.name,
  at: trial.at,
  decidedAt: trial.decidedAt,
  adopted: trial.adopted,
  decision: trial.decision,
  demo: trial.demo,
};

/** The driver hands JSON back read or as text. */
const readIds = (row: Omit<StoredTrial, "versionIds"> & { versionIds: unknown }): StoredTrial => ({
  ...row,
  versionIds: (typeof row.versionIds === "string"
    ? JSON.parse(row.versionIds)
    : row.versionIds) as readonly string[],
});

const MOST_TRIALS = 300;

/** Trials of a kitchen, the latest first. */
export async function listTrials(db: Queries, kitchenId: string): Promise<StoredTrial[]> {
  const rows = await db
    .select(columns)
    .from(trial)
    .innerJoin(formula, and(eq(formula.id, trial.formulaId), eq(formula.kitchenId, trial.kitchenId)))
    .innerJoin(person, eq(person.id, trial.personId))
    .where(eq(trial.kitchenId, kitchenId))
    .orderBy(desc(trial.at))
    .limit(MOST_TRIALS);
  return rows.map(readIds);
}

export async function findTrial(db: Queries, kitchenId: string, id: string): Promise<StoredTrial | null> {
  const [row] = await db
    .select(columns)
    .from(trial)
    .innerJoin(formula, and(eq(formula.id, trial.formulaId), eq(formula.kitchenId, trial.kitchenId)))
    .innerJoin(person, eq(person.id, trial.personId))
    .where(and(eq(trial.kitchenId, kitchenId), eq(trial.id, id)));
  return row ? readIds(row) : null;
}

/** Keeps a trial. The same id twice is one trial. */
export const addTrial = (
  db: Database,
  change: Change,
  of: Pick<StoredTrial, "id" | "formulaId" | "name" | "difference" | "versionIds"> & {
    readonly demo?: boolean;
  },
): Promise<void> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    await tx
      .insert(trial)
      .ignore()
      .values({ ...of, kitchenId, personId, at: now });
    await recordAudit(tx, { ...change, what: "trial", subject: of.id, detail: { name: of.name } });
  });

/** Writes down what was made of it. */
export const decideTrial = (
  db: Database,
  change: Change,
  id: string,
  of: { readonly adopted: string | null; readonly decision: string },
): Promise<void> =>
  db.transaction(async tx => {
    await tx
      .update(trial)
      .set({ ...of, decidedAt: change.now })
      .where(and(eq(trial.id, id), eq(trial.kitchenId, change.kitchenId)));
    await recordAudit(tx, { ...change, what: "trial", subject: id, detail: { ...of } });
  });

/** Finished batches of some versions since a moment, with their figures, the oldest first. */
export const batchesOfVersions = (
  db: Queries,
  kitchenId: string,
  versionIds: readonly string[],
  since: Date,
) =>
  db
    .select({
      runId: batch.runId,
      versionId: batch.formulaVersionId,
      at: batch.finishedAt,
      baseG: batch.baseG,
      actualG: batch.actualG,
      plannedG: batch.plannedG,
      actualMin: batch.actualMin,
      body: batch.body,
      brix: batch.brix,
      salt: batch.salt,
      ph: batch.ph,
      score: batch.score,
      cost: batch.cost,
    })
    .from(batch)
    .where(
      and(
        eq(batch.kitchenId, kitchenId),
        inArray(batch.formulaVersionId, [...versionIds]),
        gte(batch.finishedAt, since),
      ),
    )
    .orderBy(batch.finishedAt);

/** Tastings of a kitchen, to be looked through for those with the versions of a trial. */
export const sampledTastings = (db: Queries, kitchenId: string) =>
  db
    .select({
      id: tasting.id,
      name: tasting.name,
      kind: tasting.kind,
      samples: tasting.samples,
      at: tasting.at,
      closedAt: tasting.closedAt,
      decision: tasting.decision,
    })
    .from(tasting)
    .where(eq(tasting.kitchenId, kitchenId))
    .orderBy(desc(tasting.at))
    .limit(MOST_TRIALS);
