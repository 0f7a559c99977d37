import { type RunEvent, readKept } from "../core/run";
import type { runEvent } from "./schema";

/** An event as its row holds it. */
export const toEvent = (row: typeof runEvent.$inferSelect): RunEvent =>
  readKept(
    {
      id: row.id,
      at: row.at.toISOString(),
      clockOffsetMs: row.clockOffsetMs,
      personId: row.personId,
      payload: row.payload,
    },
    row.payloadVersion,
  );
