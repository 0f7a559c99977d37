import { ulid } from "ulid";
import type { Queries } from "./connection";
import { audit } from "./schema";

/** Notes who changed what. */
export async function recordAudit(
  db: Queries,
  entry: {
    kitchenId: string;
    personId: string;
    now: Date;
    what: string;
    subject: string;
    detail: Record<string, unknown>;
  },
): Promise<void> {
  const { now, ...rest } = entry;
  await db.insert(audit).values({ id: ulid(), at: now, ...rest });
}
