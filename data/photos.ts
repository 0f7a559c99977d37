import { and, desc, eq, isNull, ne } from "drizzle-orm";
import type { Queries } from "./connection";
import { photo, run } from "./schema";

export async function keepPhoto(db: Queries, kept: typeof photo.$inferInsert): Promise<void> {
  await db.insert(photo).ignore().values(kept);
}

export async function findPhoto(db: Queries, kitchenId: string, id: string): Promise<Buffer | null> {
  const [found] = await db
    .select({ jpeg: photo.jpeg })
    .from(photo)
    .where(and(eq(photo.kitchenId, kitchenId), eq(photo.id, id)));
  return found?.jpeg ?? null;
}

/** Pictures of the same step in other batches of a formula, the latest first. */
export const photosBefore = (
  db: Queries,
  of: {
    readonly kitchenId: string;
    readonly formulaId: string;
    readonly stepId: string;
    readonly runId: string;
  },
  most: number,
): Promise<{ id: string; at: Date }[]> =>
  db
    .select({ id: photo.id, at: photo.at })
    .from(photo)
    .innerJoin(run, eq(run.id, photo.runId))
    .where(
      and(
        eq(photo.kitchenId, of.kitchenId),
        eq(photo.formulaId, of.formulaId),
        eq(photo.stepId, of.stepId),
        ne(photo.runId, of.runId),
        isNull(run.rehearsal),
      ),
    )
    .orderBy(desc(photo.at))
    .limit(most);
