import { and, asc, desc, eq, isNotNull } from "drizzle-orm";
import { ulid } from "ulid";
import type { FormulaDocument, KitchenData } from "../core/formula";
import { type AuditVerb, recordAudit } from "./audit";
import { keepBasis } from "./basis";
import type { Queries, Transacting } from "./connection";
import {
  type SaveOutcome,
  type StoredFormula,
  contentOf,
  findFormula,
  findVersion,
  nextNumber,
} from "./formulas";
import { raiseNames } from "./in-kitchen";
import { formula, formulaVersion } from "./schema";

interface VersionInput {
  readonly kitchenId: string;
  readonly id: string;
  readonly rowVersion: number;
  readonly reason: string;
  readonly personId: string;
  readonly now: Date;
}

/**
 * Keeps the formula as it stands as a version with its reason: from now on it does not change, the next edit makes a
 * new one. Nothing happens when somebody saved meanwhile; their version comes back.
 * @param input.basis what a document is walked in, kept with it
 */
export async function keepVersion(
  db: Transacting,
  input: VersionInput & { readonly basis: (document: FormulaDocument) => KitchenData },
): Promise<SaveOutcome | null> {
  return changeVersion(db, input, "formula.kept", async (tx, current) => {
    const basisHash = current.basisHash ?? (await keepBasis(tx, input.basis(current.document)));
    await tx
      .update(formulaVersion)
      .set({ reason: input.reason, frozenAt: input.now, basisHash })
      .where(eq(formulaVersion.id, current.versionId));
  });
}

/**
 * Goes on from another version: its document becomes the newest version, as a trial branch or restored.
 * The versions in between stay.
 */
export async function goOnFrom(
  db: Transacting,
  input: VersionInput & { readonly fromVersionId: string; readonly as: "draft" | "trial" },
): Promise<SaveOutcome | null> {
  return changeVersion(
    db,
    input,
    input.as === "trial" ? "formula.branched" : "formula.restored",
    async (tx, current) => {
      const from = await findVersion(tx, input.kitchenId, input.fromVersionId);
      if (from?.id !== input.id) return;
      await putOnTop(tx, current, {
        ...input,
        state: input.as,
        document: from.document,
        parentId: from.versionId,
      });
    },
  );
}

/** A formula that came from outside becomes the newest version; the one that stood here stays among the versions. */
export async function bringInVersion(
  db: Transacting,
  input: Omit<VersionInput, "rowVersion"> & { readonly document: FormulaDocument },
): Promise<SaveOutcome | null> {
  const standing = await findFormula(db, input.kitchenId, input.id);
  if (!standing) return null;
  return changeVersion(
    db,
    { ...input, rowVersion: standing.rowVersion },
    "formula.brought in",
    (tx, current) =>
      putOnTop(tx, current, {
        ...input,
        state: "draft",
        parentId: current.versionId,
      }),
  );
}

/** Makes a document the newest version; the one that stood until now does not change any more. */
async function putOnTop(
  tx: Queries,
  current: StoredFormula,
  next: Omit<VersionInput, "rowVersion"> & {
    readonly document: FormulaDocument;
    readonly state: "draft" | "trial";
    readonly parentId: string;
  },
): Promise<void> {
  if (!current.frozen)
    await tx
      .update(formulaVersion)
      .set({ frozenAt: next.now })
      .where(eq(formulaVersion.id, current.versionId));
  const versionId = ulid();
  await tx.insert(formulaVersion).values({
    id: versionId,
    kitchenId: next.kitchenId,
    formulaId: next.id,
    number: await nextNumber(tx, next.id),
    state: next.state,
    parentId: next.parentId,
    ...contentOf(next.document),
    reason: next.reason,
    editedBy: next.personId,
    editedAt: next.now,
    frozenAt: null,
  });
  await tx
    .update(formula)
    .set({ currentVersionId: versionId, name: next.document.name })
    .where(eq(formula.id, next.id));
  if (next.document.name !== current.document.name) await raiseNames(tx, next.kitchenId);
}

async function changeVersion(
  db: Transacting,
  input: VersionInput,
  what: AuditVerb,
  work: (tx: Queries, current: StoredFormula) => Promise<void>,
): Promise<SaveOutcome | null> {
  const { kitchenId, id, personId, now } = input;
  const done = await db.transaction(async tx => {
    const [locked] = await tx
      .update(formula)
      .set({ rowVersion: input.rowVersion + 1 })
      .where(
        and(eq(formula.id, id), eq(formula.kitchenId, kitchenId), eq(formula.rowVersion, input.rowVersion)),
      );
    if (locked.affectedRows === 0) return false;
    const current = await findFormula(tx, kitchenId, id);
    if (!current) return false;
    await work(tx, current);
    await recordAudit(tx, { kitchenId, personId, now, what, subject: id, detail: { reason: input.reason } });
    return true;
  });
  const stored = await findFormula(db, kitchenId, id);
  if (!stored) return null;
  return done ? { ok: true, saved: stored } : { ok: false, current: stored };
}

/** Versions that were cooked or signed, by name, the latest of each first. */
export const listVersionsByName = (
  db: Queries,
  kitchenId: string,
): Promise<{ versionId: string; name: string; number: number }[]> =>
  db
    .select({ versionId: formulaVersion.id, name: formula.name, number: formulaVersion.number })
    .from(formulaVersion)
    .innerJoin(formula, eq(formula.id, formulaVersion.formulaId))
    .where(and(eq(formulaVersion.kitchenId, kitchenId), isNotNull(formulaVersion.shelvedAt)))
    .orderBy(asc(formula.name), desc(formulaVersion.number));
