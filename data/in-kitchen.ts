import { eq, sql } from "drizzle-orm";
import type { Queries, Transacting } from "./connection";
import { kitchen } from "./schema";

/**
 * A change of what a kitchen’s snapshot holds: done in one transaction with the raising of its revision, so that nobody
 * reads the one without the other. The kitchen’s row is held from the start: two changes follow one another.
 *
 * @param work     what is changed; `false` for `changed` of what it returns leaves the revision as it is
 */
export function inKitchen<T>(
  db: Transacting,
  kitchenId: string,
  work: (tx: Queries) => Promise<T>,
  changed: (done: T) => boolean = () => true,
): Promise<T> {
  return db.transaction(async tx => {
    const mine = eq(kitchen.id, kitchenId);
    await tx.select({ id: kitchen.id }).from(kitchen).where(mine).for("update");
    const done = await work(tx);
    if (changed(done))
      await tx
        .update(kitchen)
        .set({ revision: sql`${kitchen.revision} + 1` })
        .where(mine);
    return done;
  });
}

/** A formula has come, or goes by another name: lists of names are to be read anew. */
export async function raiseNames(tx: Queries, kitchenId: string): Promise<void> {
  await tx
    .update(kitchen)
    .set({ namesRevision: sql`${kitchen.namesRevision} + 1` })
    .where(eq(kitchen.id, kitchenId));
}
