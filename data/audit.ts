import { ulid } from "ulid";
import type { Queries } from "./connection";
import { audit } from "./schema";

/** What can be done, as the audit names it. */
export const AUDIT_VERBS = [
  "appliance",
  "body-reading",
  "body-reading-undone",
  "burner",
  "burner moved",
  "fact",
  "formula.branched",
  "formula.brought in",
  "formula.created",
  "formula.kept",
  "formula.restored",
  "formula.saved",
  "house",
  "ingredient",
  "kitchen figures",
  "larder import",
  "price",
  "run.started",
  "device.connected",
  "device.disconnected",
  "version.signed",
  "vessel",
] as const;
export type AuditVerb = (typeof AUDIT_VERBS)[number];

/** Notes who changed what. */
export async function recordAudit(
  db: Queries,
  entry: {
    kitchenId: string;
    personId: string;
    now: Date;
    what: AuditVerb;
    subject: string;
    detail: Record<string, unknown>;
  },
): Promise<void> {
  const { now, ...rest } = entry;
  await db.insert(audit).values({ id: ulid(), at: now, ...rest });
}
