import { and, desc, eq, ne } from "drizzle-orm";
import { ulid } from "ulid";
import type { FormulaDocument, KitchenData } from "../core/formula";
import type { BatchRecord } from "../core/run";
import { recordAudit } from "./audit";
import { keepBasis } from "./basis";
import type { Queries, Transacting } from "./connection";
import { findVersion, shelve } from "./formulas";
import { batch, formulaVersion, person, signature } from "./schema";

export type SignedState = "trial" | "standard" | "retired";

/** A signature under a version, the latest of which says what the version is. */
export interface Signature {
  readonly state: SignedState;
  readonly by: string;
  readonly at: Date;
  readonly reason: string;
  /** Readiness when it was signed, 0–100; `null` where no batch was measured. */
  readonly score: number | null;
}

/** The signatures under a version, the latest first. */
export const signaturesOf = (db: Queries, kitchenId: string, versionId: string): Promise<Signature[]> =>
  db
    .select({
      state: signature.state,
      by: person.name,
      at: signature.at,
      reason: signature.reason,
      score: signature.score,
    })
    .from(signature)
    .innerJoin(person, eq(person.id, signature.personId))
    .where(and(eq(signature.kitchenId, kitchenId), eq(signature.formulaVersionId, versionId)))
    .orderBy(desc(signature.at), desc(signature.id));

/** What batches before these were like says nothing of a sauce of today. */
const MOST_RECORDS = 200;

/** Records of the latest batches of a version, in the order they were made. */
export async function recordsOf(db: Queries, kitchenId: string, versionId: string): Promise<BatchRecord[]> {
  const rows = await db
    .select({ record: batch.record })
    .from(batch)
    .where(and(eq(batch.kitchenId, kitchenId), eq(batch.formulaVersionId, versionId)))
    .orderBy(desc(batch.finishedAt))
    .limit(MOST_RECORDS);
  return rows.map(({ record }) => record).reverse();
}

/** The version of a formula that is the standard now; `null` while none is. */
export async function standardOf(
  db: Queries,
  kitchenId: string,
  formulaId: string,
): Promise<{ readonly versionId: string; readonly number: number } | null> {
  const [found] = await db
    .select({ versionId: formulaVersion.id, number: formulaVersion.number })
    .from(formulaVersion)
    .where(
      and(
        eq(formulaVersion.kitchenId, kitchenId),
        eq(formulaVersion.formulaId, formulaId),
        eq(formulaVersion.state, "standard"),
      ),
    )
    .orderBy(desc(formulaVersion.number))
    .limit(1);
  return found ?? null;
}

/**
 * Signs a version as trial, standard or retired. It does not change any more from then on; a new standard retires the one
 * before it. Sent twice under one id it is signed once.
 * @param input.id of the signature, a ULID made by whoever signs
 * @param input.basis what a document is walked in, kept with it
 * @returns `null` where there is no such version
 */
export async function signVersion(
  db: Transacting,
  input: {
    readonly id: string;
    readonly kitchenId: string;
    readonly versionId: string;
    readonly state: SignedState;
    readonly personId: string;
    readonly now: Date;
    readonly reason: string;
    readonly score: number | null;
    readonly basis: (document: FormulaDocument) => KitchenData;
  },
): Promise<Signature[] | null> {
  const { kitchenId, versionId, state, personId, now, reason } = input;
  const signed = await db.transaction(async tx => {
    const version = await findVersion(tx, kitchenId, versionId);
    if (!version) return false;
    const [known] = await tx
      .select({ id: signature.id })
      .from(signature)
      .where(eq(signature.id, input.id))
      .for("update");
    if (known) return true;
    const sign = (id: string, of: string, as: SignedState, why: string, score: number | null) =>
      tx
        .insert(signature)
        .values({ id, kitchenId, formulaVersionId: of, state: as, personId, at: now, reason: why, score });
    if (state === "standard") {
      const before = await tx
        .select({ id: formulaVersion.id })
        .from(formulaVersion)
        .where(
          and(
            eq(formulaVersion.kitchenId, kitchenId),
            eq(formulaVersion.formulaId, version.id),
            eq(formulaVersion.state, "standard"),
            ne(formulaVersion.id, versionId),
          ),
        )
        .for("update");
      for (const { id } of before) {
        await tx.update(formulaVersion).set({ state: "retired" }).where(eq(formulaVersion.id, id));
        await sign(ulid(), id, "retired", `Version ${version.number} took its place.`, null);
      }
    }
    const basisHash = version.basisHash ?? (await keepBasis(tx, input.basis(version.document)));
    await tx
      .update(formulaVersion)
      .set({ state, basisHash, ...(!version.frozen && { frozenAt: now }) })
      .where(eq(formulaVersion.id, versionId));
    await shelve(tx, versionId, now);
    await sign(input.id, versionId, state, reason, input.score);
    await recordAudit(tx, {
      kitchenId,
      personId,
      now,
      what: "version.signed",
      subject: versionId,
      detail: { state, reason, number: version.number },
    });
    return true;
  });
  return signed ? signaturesOf(db, kitchenId, versionId) : null;
}
