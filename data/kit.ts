import { and, asc, eq, sql } from "drizzle-orm";
import type { FactId } from "../core/facts";
import { type Appliance, applianceSchema } from "../core/kit";
import { type Burner, burnerSchema } from "../core/reduction";
import { type Vessel, vesselSchema } from "../core/vessel";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import type { Change, SaveOutcome } from "./larder";
import { appliance, burner, kitchen, vessel } from "./schema";

export interface Kit {
  readonly vessels: readonly Vessel[];
  readonly burners: readonly Burner[];
  readonly appliances: readonly Appliance[];
}

/** The kit in its order. */
export async function loadKit(db: Queries, kitchenId: string): Promise<Kit> {
  const [vessels, burners, appliances] = await Promise.all([
    db.select().from(vessel).where(eq(vessel.kitchenId, kitchenId)).orderBy(asc(vessel.position)),
    db.select().from(burner).where(eq(burner.kitchenId, kitchenId)).orderBy(asc(burner.position)),
    db.select().from(appliance).where(eq(appliance.kitchenId, kitchenId)).orderBy(asc(appliance.position)),
  ]);
  return {
    vessels: vessels.map(row => vesselSchema.parse(row.document)),
    burners: burners.map(row => burnerSchema.parse(row.document)),
    appliances: appliances.map(row => applianceSchema.parse(row.document)),
  };
}

/** One vessel with the number an edit must name. */
export async function findStoredVessel(
  db: Queries,
  kitchenId: string,
  id: string,
): Promise<{ vessel: Vessel; rowVersion: number } | null> {
  const [row] = await db
    .select()
    .from(vessel)
    .where(and(eq(vessel.kitchenId, kitchenId), eq(vessel.id, id)));
  return row ? { vessel: vesselSchema.parse(row.document), rowVersion: row.rowVersion } : null;
}

/** Last in the row of its kind: where a new thing goes. */
const LAST = 10_000;

/** @param rowVersion the version the edit started from; 0 for a new one */
export async function saveVessel(
  db: Database,
  change: Change,
  of: Vessel,
  rowVersion: number,
): Promise<SaveOutcome> {
  return db.transaction(async tx => {
    if (rowVersion === 0) {
      const [taken] = await tx
        .select({ id: vessel.id })
        .from(vessel)
        .where(and(eq(vessel.kitchenId, change.kitchenId), eq(vessel.id, of.id)));
      if (taken) return "stale";
      await tx
        .insert(vessel)
        .values({ kitchenId: change.kitchenId, id: of.id, position: LAST, document: of });
    } else {
      const [done] = await tx
        .update(vessel)
        .set({ document: of, rowVersion: sql`${vessel.rowVersion} + 1` })
        .where(
          and(
            eq(vessel.kitchenId, change.kitchenId),
            eq(vessel.id, of.id),
            eq(vessel.rowVersion, rowVersion),
          ),
        );
      if (done.affectedRows === 0) return "stale";
    }
    await recordAudit(tx, { ...change, what: "vessel", subject: of.id, detail: { vessel: of } });
    return "saved";
  });
}

/** Puts a burner where it stands on the hob. `false`: there is none of that id. */
export async function moveBurner(
  db: Database,
  change: Change,
  id: string,
  to: { xMm: number; yMm: number },
): Promise<boolean> {
  return db.transaction(async tx => {
    const [row] = await tx
      .select()
      .from(burner)
      .where(and(eq(burner.kitchenId, change.kitchenId), eq(burner.id, id)))
      .for("update");
    if (!row) return false;
    const moved = burnerSchema.parse({ ...row.document, ...to });
    await tx
      .update(burner)
      .set({ document: moved, rowVersion: sql`${burner.rowVersion} + 1` })
      .where(and(eq(burner.kitchenId, change.kitchenId), eq(burner.id, id)));
    await recordAudit(tx, { ...change, what: "burner moved", subject: id, detail: to });
    return true;
  });
}

/** Sets a new burner down. */
export async function addBurner(db: Queries, change: Change, of: Burner): Promise<void> {
  await db.insert(burner).values({ kitchenId: change.kitchenId, id: of.id, position: LAST, document: of });
  await recordAudit(db, { ...change, what: "burner", subject: of.id, detail: { burner: of } });
}

/** Writes a new appliance or the changed one of the same id. */
export async function saveAppliance(db: Queries, change: Change, of: Appliance): Promise<void> {
  await db
    .insert(appliance)
    .values({ kitchenId: change.kitchenId, id: of.id, position: LAST, document: of })
    .onDuplicateKeyUpdate({ set: { document: of, rowVersion: sql`${appliance.rowVersion} + 1` } });
  await recordAudit(db, { ...change, what: "appliance", subject: of.id, detail: { appliance: of } });
}

export interface KitchenFigures {
  readonly altitudeM: number;
  readonly pressurePa: number | null;
  readonly ambientC: number;
  readonly humidity: number;
}

/** Keeps a kitchen's own value of a fact the sums rest on; `null` goes back to the usual one. */
export async function saveFact(
  db: Database,
  change: Change,
  id: FactId,
  value: number | null,
): Promise<void> {
  await db.transaction(async tx => {
    const mine = eq(kitchen.id, change.kitchenId);
    const [row] = await tx.select({ facts: kitchen.facts }).from(kitchen).where(mine).for("update");
    if (!row) return;
    const { [id]: before, ...others } = row.facts;
    const facts = value === null ? others : { ...others, [id]: value };
    await tx
      .update(kitchen)
      .set({ facts, rowVersion: sql`${kitchen.rowVersion} + 1` })
      .where(mine);
    await recordAudit(tx, {
      ...change,
      what: "fact",
      subject: id,
      detail: { before: before ?? null, after: value },
    });
  });
}

/** Where the kitchen stands and what air it has. */
export async function saveKitchenFigures(
  db: Queries,
  change: Change,
  figures: KitchenFigures,
): Promise<void> {
  await db
    .update(kitchen)
    .set({ ...figures, rowVersion: sql`${kitchen.rowVersion} + 1` })
    .where(eq(kitchen.id, change.kitchenId));
  await recordAudit(db, {
    ...change,
    what: "kitchen figures",
    subject: change.kitchenId,
    detail: { ...figures },
  });
}
