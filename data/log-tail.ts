import { and, asc, eq, gt, sql } from "drizzle-orm";
import type { RunEvent } from "../core/run";
import type { Queries } from "./connection";
import { toEvent } from "./run-rows";
import { device, kitchen, runEvent, runLog } from "./schema";

/** What is new in the log of a kitchen: its events have numbers without a gap, given in the order they were kept. */

/** An event with the number it has in the log of its kitchen. */
export interface Logged {
  readonly seq: number;
  readonly runId: string;
  readonly event: RunEvent;
}

/** The number of the last event of a kitchen, the revision of its snapshot, and how often an instrument showed anything: all that a page waits for. */
export async function pulseOf(
  db: Queries,
  kitchenId: string,
): Promise<{ readonly seq: number; readonly revision: number; readonly shown: number }> {
  const [row] = await db
    .select({
      seq: runLog.seq,
      revision: kitchen.revision,
      // How often anything was shown by an instrument.
      shown: sql<number>`(select coalesce(sum(${device.readings}), 0) from ${device} where ${device.kitchenId} = ${kitchen.id})`,
    })
    .from(kitchen)
    .leftJoin(runLog, eq(runLog.kitchenId, kitchen.id))
    .where(eq(kitchen.id, kitchenId));
  return { seq: row?.seq ?? 0, revision: row?.revision ?? 0, shown: Number(row?.shown ?? 0) };
}

/** So many events of a kitchen that came after a number, in their order. */
export async function loggedSince(
  db: Queries,
  kitchenId: string,
  after: number,
  most: number,
): Promise<Logged[]> {
  const rows = await db
    .select()
    .from(runEvent)
    .where(and(eq(runEvent.kitchenId, kitchenId), gt(runEvent.seq, after)))
    .orderBy(asc(runEvent.seq))
    .limit(most);
  return rows.map(row => ({ seq: row.seq, runId: row.runId, event: toEvent(row) }));
}
