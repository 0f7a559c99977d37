import { and, desc, eq, lt, sql } from "drizzle-orm";
import { ulid } from "ulid";
import type { Queries } from "./connection";
import { audit, formula, formulaVersion, person, run } from "./schema";

/** What can be done, as the audit names it. */
export const AUDIT_VERBS = [
  "appliance",
  "body-reading",
  "body-reading-undone",
  "burner",
  "burner moved",
  "cause",
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
  "learned",
  "kitchen.founded",
  "password",
  "person",
  "pin",
  "tablet",
  "tasting",
  "price",
  "reference photo",
  "run.started",
  "device.connected",
  "device.disconnected",
  "day",
  "log",
  "lot",
  "menu",
  "par",
  "trial",
  "version.signed",
  "vessel",
  "yield-reading",
  "yield-reading-undone",
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

export interface Change {
  readonly id: string;
  readonly at: Date;
  readonly by: string;
  readonly what: string;
  readonly subject: string;
  /** The formula it is about, where it is about one, or about a run or a version of one. */
  readonly formulaId: string | null;
  readonly detail: Record<string, unknown>;
}

/** What was changed in a kitchen, the latest first. @param before the last entry of the page before */
export const listChanges = (
  db: Queries,
  kitchenId: string,
  {
    before,
    by,
    what,
    most,
  }: { readonly before?: string; readonly by?: string; readonly what?: string; readonly most: number },
): Promise<Change[]> =>
  db
    .select({
      id: audit.id,
      at: audit.at,
      by: person.name,
      what: audit.what,
      subject: audit.subject,
      formulaId: sql<string | null>`coalesce(${formula.id}, ${run.formulaId}, ${formulaVersion.formulaId})`,
      detail: audit.detail,
    })
    .from(audit)
    .innerJoin(person, eq(person.id, audit.personId))
    .leftJoin(formula, eq(formula.id, audit.subject))
    .leftJoin(run, eq(run.id, audit.subject))
    .leftJoin(formulaVersion, eq(formulaVersion.id, audit.subject))
    .where(
      and(
        eq(audit.kitchenId, kitchenId),
        before === undefined ? undefined : lt(audit.id, before),
        by === undefined ? undefined : eq(audit.personId, by),
        what === undefined ? undefined : eq(audit.what, what),
      ),
    )
    .orderBy(desc(audit.id))
    .limit(most);
