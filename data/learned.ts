import { and, asc, desc, eq, isNull } from "drizzle-orm";
import { ulid } from "ulid";
import type { FactId } from "../core/ground/facts";
import type { Ingredient } from "../core/things/larder";
import {
  type GroupId,
  type KeptMark,
  type SeasonedBatch,
  type Standing,
  type TeachingBatch,
  type YieldReading,
  markKey,
  standingOf,
  yieldReadingSchema,
} from "../core/learning";
import { grouped } from "../core/ground/grouped";
import { recordAudit } from "./audit";
import type { Change } from "./change-row";
import type { Database, Queries } from "./connection";
import { inKitchen } from "./in-kitchen";
import { writeIngredient } from "./larder";
import { batch, formula, kitchen, learnedMark, person, yieldReading } from "./schema";

/** What batches and readings teach a kitchen, and what its chef has said of it. */

/** So many batches back a kitchen learns from. */
const MOST_BATCHES = 600;

/** Finished batches with what they teach, the oldest first. */
export async function teachingBatches(db: Queries, kitchenId: string): Promise<TeachingBatch[]> {
  const rows = await db
    .select({
      runId: batch.runId,
      formulaId: batch.formulaId,
      name: formula.name,
      at: batch.finishedAt,
      plannedG: batch.plannedG,
      actualG: batch.actualG,
      plannedMin: batch.plannedMin,
      actualMin: batch.actualMin,
      score: batch.score,
      incidents: batch.incidents,
      record: batch.record,
      paces: batch.paces,
    })
    .from(batch)
    .innerJoin(formula, and(eq(formula.id, batch.formulaId), eq(formula.kitchenId, batch.kitchenId)))
    .where(eq(batch.kitchenId, kitchenId))
    .orderBy(desc(batch.finishedAt), desc(batch.runId))
    .limit(MOST_BATCHES);
  return rows.reverse().map(({ record, at, paces, formulaId, ...row }) => ({
    ...row,
    formulaId: formulaId ?? "",
    at: at.getTime(),
    seasoned: record.seasoned ?? [],
    taught: record.taught ?? [],
    paces: paces ?? [],
  }));
}

/** The last batches of a sauce with their seasonings, the latest first. */
export async function seasonedBatches(
  db: Queries,
  kitchenId: string,
  formulaId: string,
  most = 12,
): Promise<(SeasonedBatch & { readonly at: number })[]> {
  const rows = await db
    .select({ baseG: batch.baseG, score: batch.score, record: batch.record, at: batch.finishedAt })
    .from(batch)
    .where(and(eq(batch.kitchenId, kitchenId), eq(batch.formulaId, formulaId)))
    .orderBy(desc(batch.finishedAt))
    .limit(most);
  return rows.map(({ record, at, ...row }) => ({
    ...row,
    at: at.getTime(),
    seasoned: record.seasoned ?? [],
  }));
}

/** What was said of learned values, the oldest first. */
export async function learnedMarks(db: Queries, kitchenId: string): Promise<KeptMark[]> {
  const rows = await db
    .select()
    .from(learnedMark)
    .where(eq(learnedMark.kitchenId, kitchenId))
    .orderBy(asc(learnedMark.at), asc(learnedMark.id));
  return rows.map(({ about, of, kind, value, at }) => ({
    group: about as GroupId,
    key: of,
    kind,
    value,
    at: at.getTime(),
  }));
}

/** How the marks stand, by value. */
export function standings(marks: readonly KeptMark[]): (group: GroupId, key: string) => Standing {
  const of = grouped(marks, mark => markKey(mark.group, mark.key));
  return (group, key) => standingOf(of.get(markKey(group, key)) ?? []);
}

/** What a mark moves besides itself: figures of the sums, or an entry of the larder. */
export interface Taken {
  /** `null`: back to the usual figure. */
  readonly facts?: readonly { readonly id: FactId; readonly value: number | null }[];
  readonly ingredient?: { readonly of: Ingredient; readonly rowVersion: number };
}

/**
 * Keeps what a chef says of a value and moves what hangs on it, all or nothing.
 * @returns whether it was kept; not where the ingredient was changed by somebody since
 */
export const markLearned = (
  db: Database,
  change: Change,
  mark: { group: GroupId; key: string; kind: KeptMark["kind"]; value: number | null },
  { facts = [], ingredient }: Taken = {},
): Promise<boolean> =>
  inKitchen(
    db,
    change.kitchenId,
    async tx => {
      if (ingredient) {
        const saved = await writeIngredient(tx, change, ingredient.of, ingredient.rowVersion);
        if (saved === "stale") return false;
      }
      if (facts.length) {
        const mine = eq(kitchen.id, change.kitchenId);
        const [row] = await tx.select({ facts: kitchen.facts }).from(kitchen).where(mine);
        const moved = Object.fromEntries(
          Object.entries({ ...row?.facts, ...Object.fromEntries(facts.map(f => [f.id, f.value])) }).filter(
            (entry): entry is [string, number] => typeof entry[1] === "number",
          ),
        );
        await tx.update(kitchen).set({ facts: moved }).where(mine);
      }
      await tx.insert(learnedMark).values({
        id: ulid(),
        kitchenId: change.kitchenId,
        personId: change.personId,
        at: change.now,
        about: mark.group,
        of: mark.key,
        kind: mark.kind,
        value: mark.value,
      });
      await recordAudit(tx, {
        ...change,
        what: "learned",
        subject: mark.key.slice(0, 40),
        detail: { ...mark, ...Object.fromEntries(facts.map(f => [f.id, f.value])) },
      });
      return true;
    },
    kept => kept,
  );

export interface KeptYield extends YieldReading {
  readonly at: number;
  readonly by: string;
}

/** Weighings of what came of something, the oldest first: of one thing, or of all. */
export async function yieldReadings(
  db: Queries,
  kitchenId: string,
  ingredientId?: string,
): Promise<KeptYield[]> {
  const rows = await db
    .select({ row: yieldReading, by: person.name })
    .from(yieldReading)
    .innerJoin(person, eq(person.id, yieldReading.personId))
    .where(
      and(
        eq(yieldReading.kitchenId, kitchenId),
        isNull(yieldReading.undoneAt),
        ingredientId === undefined ? undefined : eq(yieldReading.ingredientId, ingredientId),
      ),
    )
    .orderBy(asc(yieldReading.at), asc(yieldReading.id));
  return rows.map(({ row: { id, ingredientId: of, what, from, gotG, at }, by }) => ({
    ...yieldReadingSchema.parse({ id, ingredientId: of, what, from, gotG }),
    at: at.getTime(),
    by,
  }));
}

/** Keeps a weighing. The same id twice is one weighing. */
export const addYieldReading = (db: Database, change: Change, reading: YieldReading): Promise<void> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    await tx
      .insert(yieldReading)
      .ignore()
      .values({ ...reading, kitchenId, personId, at: now });
    await recordAudit(tx, { ...change, what: "yield-reading", subject: reading.id, detail: { ...reading } });
  });

/** Takes a weighing back; it stays in the table and no longer counts. */
export const undoYieldReading = (db: Database, change: Change, id: string): Promise<void> =>
  db.transaction(async tx => {
    const [undone] = await tx
      .update(yieldReading)
      .set({ undoneAt: change.now })
      .where(
        and(
          eq(yieldReading.id, id),
          eq(yieldReading.kitchenId, change.kitchenId),
          isNull(yieldReading.undoneAt),
        ),
      );
    if (undone.affectedRows === 0) return;
    await recordAudit(tx, { ...change, what: "yield-reading-undone", subject: id, detail: {} });
  });
