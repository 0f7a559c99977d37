import { and, asc, count, desc, eq, gte, inArray } from "drizzle-orm";
import { ulid } from "ulid";
import type { Lot, Movement, MovementKind } from "../core/day/lots";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import { lot, lotMovement, parLevel } from "./schema";

/** What stands in the cold, with its movements. */

interface Change {
  readonly kitchenId: string;
  readonly personId: string;
  readonly now: Date;
}

export interface StoredLot extends Lot {
  readonly runId: string | null;
  readonly movements: readonly (Movement & { readonly note: string })[];
}

async function withMovements(db: Queries, rows: readonly (typeof lot.$inferSelect)[]): Promise<StoredLot[]> {
  if (!rows.length) return [];
  const movements = await db
    .select()
    .from(lotMovement)
    .where(
      inArray(
        lotMovement.lotId,
        rows.map(row => row.id),
      ),
    )
    .orderBy(asc(lotMovement.at), asc(lotMovement.id));
  const by = new Map<string, (typeof lotMovement.$inferSelect)[]>();
  for (const m of movements) by.set(m.lotId, [...(by.get(m.lotId) ?? []), m]);
  return rows.map(row => ({ ...row, movements: by.get(row.id) ?? [] }));
}

/** Lots made since a day, the latest first. */
export const listLots = async (db: Queries, kitchenId: string, madeSince: string): Promise<StoredLot[]> =>
  withMovements(
    db,
    await db
      .select()
      .from(lot)
      .where(and(eq(lot.kitchenId, kitchenId), gte(lot.madeOn, madeSince)))
      .orderBy(desc(lot.madeOn), desc(lot.id)),
  );

export interface NewLot {
  readonly id: string;
  readonly name: string;
  readonly formulaId: string | null;
  readonly runId: string | null;
  readonly madeOn: string;
  readonly keepDays: number;
  readonly keepC: number;
  readonly allergens: readonly string[] | null;
  readonly massG: number;
  readonly place: string | null;
}

/** Puts something in the cold; a batch stands there once. */
export const addLot = (db: Database, change: Change, made: NewLot): Promise<void> =>
  db.transaction(async tx => {
    const { massG, place, ...row } = made;
    const { kitchenId, personId, now } = change;
    const [done] = await tx
      .insert(lot)
      .ignore()
      .values({ ...row, kitchenId, personId, at: now });
    if (!done.affectedRows) return;
    await tx.insert(lotMovement).values({
      id: made.id,
      kitchenId,
      lotId: made.id,
      at: now,
      kind: "made",
      massG,
      place,
      personId,
    });
    await recordAudit(tx, { ...change, what: "lot", subject: made.id, detail: { name: made.name, massG } });
  });

/**
 * Books a finished batch into the cold by itself, or out again where its run goes on after all. What somebody has moved since is left
 * alone: it is his word now.
 */
export const settleLot = (
  db: Database,
  change: Change,
  runId: string,
  made: (Omit<NewLot, "id"> & { readonly note: string }) | null,
): Promise<void> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    const [own] = await tx
      .select({ id: lot.id, moved: count(lotMovement.id) })
      .from(lot)
      .leftJoin(lotMovement, eq(lotMovement.lotId, lot.id))
      .where(and(eq(lot.kitchenId, kitchenId), eq(lot.runId, runId)))
      .groupBy(lot.id);
    if (own && own.moved > 1) return;
    if (own) {
      await tx.delete(lotMovement).where(eq(lotMovement.lotId, own.id));
      await tx.delete(lot).where(eq(lot.id, own.id));
    }
    if (!made) return;
    const { massG, place, note, ...row } = made;
    const id = own?.id ?? ulid();
    const [done] = await tx
      .insert(lot)
      .ignore()
      .values({ ...row, id, kitchenId, personId, at: now });
    if (done.affectedRows)
      await tx
        .insert(lotMovement)
        .values({ id, kitchenId, lotId: id, at: now, kind: "made", massG, place, personId, note });
  });

export interface NewMovement {
  readonly id: string;
  readonly lotId: string;
  readonly kind: MovementKind;
  readonly massG: number;
  readonly place: string | null;
  readonly note: string;
}

/** Notes what became of a lot; sent twice it happened once. @returns whether the lot is this kitchen’s */
export async function moveLot(db: Database, change: Change, moved: NewMovement): Promise<boolean> {
  const { kitchenId, personId, now } = change;
  const [own] = await db
    .select({ id: lot.id })
    .from(lot)
    .where(and(eq(lot.kitchenId, kitchenId), eq(lot.id, moved.lotId)));
  if (!own) return false;
  await db
    .insert(lotMovement)
    .ignore()
    .values({ ...moved, kitchenId, personId, at: now });
  return true;
}

/** Pours one lot into another: it leaves the one and stands in the other, both or neither. */
export const pourLot = (
  db: Database,
  change: Change,
  poured: { readonly id: string; readonly from: string; readonly into: string; readonly massG: number },
): Promise<boolean> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    const { id, from, into, massG } = poured;
    const own = await tx
      .select({ id: lot.id })
      .from(lot)
      .where(and(eq(lot.kitchenId, kitchenId), inArray(lot.id, [from, into])));
    if (own.length !== 2) return false;
    const row = { kitchenId, personId, at: now, massG };
    await tx
      .insert(lotMovement)
      .ignore()
      .values([
        { ...row, id, lotId: from, kind: "poured out" as const, otherLotId: into },
        // Its own sign follows from the first: both are written once.
        {
          ...row,
          id: `${id.slice(0, -1)}${id.endsWith("Z") ? "Y" : "Z"}`,
          lotId: into,
          kind: "poured in" as const,
          otherLotId: from,
        },
      ]);
    return true;
  });

export const listPars = (
  db: Queries,
  kitchenId: string,
): Promise<{ formulaId: string; parG: number; batchG: number | null }[]> =>
  db
    .select({ formulaId: parLevel.formulaId, parG: parLevel.parG, batchG: parLevel.batchG })
    .from(parLevel)
    .where(eq(parLevel.kitchenId, kitchenId));

/** Sets how much is to stand ready; nothing is none. */
export const savePar = (
  db: Database,
  change: Change,
  par: { readonly formulaId: string; readonly parG: number; readonly batchG: number | null },
): Promise<void> =>
  db.transaction(async tx => {
    const { kitchenId } = change;
    const { formulaId, parG, batchG } = par;
    if (parG > 0)
      await tx
        .insert(parLevel)
        .values({ kitchenId, formulaId, parG, batchG })
        .onDuplicateKeyUpdate({ set: { parG, batchG } });
    else
      await tx
        .delete(parLevel)
        .where(and(eq(parLevel.kitchenId, kitchenId), eq(parLevel.formulaId, formulaId)));
    await recordAudit(tx, { ...change, what: "par", subject: formulaId, detail: { parG, batchG } });
  });
