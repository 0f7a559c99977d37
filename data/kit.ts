import { and, asc, eq, sql } from "drizzle-orm";
import type { FactId } from "../core/ground/facts";
import { type House, USUAL_HOUSE, houseSchema } from "../core/things/house";
import { type Appliance, applianceSchema } from "../core/kit";
import { type Burner, burnerSchema } from "../core/laws/reduction";
import { InvariantError } from "../core/ground/result";
import { type Vessel, vesselSchema } from "../core/things/vessel";
import { recordAudit } from "./audit";
import { inserted } from "./database-errors";
import type { Database, Queries } from "./connection";
import { type Change, changeRow } from "./change-row";
import type { SaveOutcome } from "./larder";
import { inKitchen } from "./in-kitchen";
import { appliance, burner, kitchen, vessel } from "./schema";
import { type Kept, markOf } from "./seen";

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

/**
 * @param rowVersion the version the edit started from; 0 for a new one
 * @returns `stale` too where two make the same new one at once: the second finds the first one's
 */
export async function saveVessel(
  db: Database,
  change: Change,
  of: Vessel,
  rowVersion: number,
): Promise<SaveOutcome> {
  return inKitchen(
    db,
    change.kitchenId,
    async tx => {
      if (rowVersion === 0) {
        const made = await inserted(
          tx.insert(vessel).values({ kitchenId: change.kitchenId, id: of.id, position: LAST, document: of }),
        );
        if (!made) return "stale";
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
    },
    done => done === "saved",
  );
}

/** Where a burner stands on the hob, mm from its left front corner. */
export interface BurnerPlace {
  readonly xMm: number;
  readonly yMm: number;
}

/**
 * Puts a burner where it stands on the hob.
 * @param seen mark of where it stood before whoever moves it
 * @returns `null`: there is none of that id
 */
export async function moveBurner(
  db: Database,
  change: Change,
  id: string,
  to: BurnerPlace,
  seen?: string,
): Promise<Kept<BurnerPlace> | null> {
  const mine = and(eq(burner.kitchenId, change.kitchenId), eq(burner.id, id));
  const [there] = await db.select({ id: burner.id }).from(burner).where(mine);
  if (!there) return null;
  const standing = async (tx: Queries) => {
    const [row] = await tx.select().from(burner).where(mine).for("update");
    if (!row) throw new InvariantError("A burner went while it was moved.");
    return burnerSchema.parse(row.document);
  };
  return changeRow(db, change, {
    read: async tx => {
      const { xMm, yMm } = await standing(tx);
      return { xMm, yMm };
    },
    seen,
    write: async tx =>
      tx
        .update(burner)
        .set({ document: { ...(await standing(tx)), ...to }, rowVersion: sql`${burner.rowVersion} + 1` })
        .where(mine),
    verb: "burner moved",
    subject: id,
    detail: from => ({ from, to }),
  });
}

/** Sets a new burner down; `stale` where one of its id stands there already. */
export async function addBurner(db: Database, change: Change, of: Burner): Promise<SaveOutcome> {
  return inKitchen(
    db,
    change.kitchenId,
    async tx => {
      const made = await inserted(
        tx.insert(burner).values({ kitchenId: change.kitchenId, id: of.id, position: LAST, document: of }),
      );
      if (!made) return "stale";
      await recordAudit(tx, { ...change, what: "burner", subject: of.id, detail: { burner: of } });
      return "saved";
    },
    done => done === "saved",
  );
}

/**
 * Writes a new appliance or the changed one of the same id.
 * @param seen mark of the appliance the form was filled from; of `null` for a new one
 */
export async function saveAppliance(
  db: Database,
  change: Change,
  of: Appliance,
  seen: string,
): Promise<Kept<Appliance>> {
  return changeRow<Appliance | null>(db, change, {
    read: async tx => {
      const mine = and(eq(appliance.kitchenId, change.kitchenId), eq(appliance.id, of.id));
      const [row] = await tx.select().from(appliance).where(mine).for("update");
      return row ? applianceSchema.parse(row.document) : null;
    },
    seen,
    write: tx =>
      tx
        .insert(appliance)
        .values({ kitchenId: change.kitchenId, id: of.id, position: LAST, document: of })
        .onDuplicateKeyUpdate({ set: { document: of, rowVersion: sql`${appliance.rowVersion} + 1` } }),
    verb: "appliance",
    subject: of.id,
    detail: () => ({ appliance: of }),
  });
}

export interface KitchenFigures {
  readonly altitudeM: number;
  readonly pressurePa: number | null;
  readonly ambientC: number;
  readonly humidity: number;
}

/**
 * Keeps a kitchen's own value of a fact the sums rest on; `null` goes back to the usual one.
 * @param seen mark of the own value the form was filled from
 */
export async function saveFact(
  db: Database,
  change: Change,
  id: FactId,
  value: number | null,
  seen: string,
): Promise<Kept<number | null>> {
  return inKitchen(
    db,
    change.kitchenId,
    async tx => {
      const row = await kitchenRow(tx, change.kitchenId);
      const { [id]: before, ...others } = row.facts;
      if (markOf(before) !== seen) return { kept: false, theirs: before ?? null };
      const facts = value === null ? others : { ...others, [id]: value };
      await changeKitchen(tx, change.kitchenId, { facts });
      await recordAudit(tx, {
        ...change,
        what: "fact",
        subject: id,
        detail: { before: before ?? null, after: value },
      });
      return { kept: true };
    },
    done => done.kept,
  );
}

/** Where the kitchen stands and what air it has. @param seen mark of the figures the form was filled from */
export async function saveKitchenFigures(
  db: Database,
  change: Change,
  figures: KitchenFigures,
  seen: string,
): Promise<Kept<KitchenFigures>> {
  return changeRow<KitchenFigures>(db, change, {
    read: async tx => figuresOf(await kitchenRow(tx, change.kitchenId)),
    seen,
    write: tx => changeKitchen(tx, change.kitchenId, figures),
    verb: "kitchen figures",
    subject: change.kitchenId,
    detail: () => ({ ...figures }),
  });
}

/** Keeps the house's words and rates. @param seen mark of those the form was filled from */
export async function saveHouse(
  db: Database,
  change: Change,
  house: House,
  seen: string,
): Promise<Kept<House>> {
  return changeRow<House>(db, change, {
    read: async tx => houseOf((await kitchenRow(tx, change.kitchenId)).house),
    seen,
    write: tx => changeKitchen(tx, change.kitchenId, { house }),
    verb: "house",
    subject: change.kitchenId,
    detail: () => ({ house }),
  });
}

/** The figures of a kitchen alone. */
export const figuresOf = ({ altitudeM, pressurePa, ambientC, humidity }: KitchenFigures): KitchenFigures => ({
  altitudeM,
  pressurePa,
  ambientC,
  humidity,
});

export function houseOf(stored: unknown): House {
  const read = houseSchema.safeParse(stored);
  return read.success ? read.data : USUAL_HOUSE;
}

async function kitchenRow(tx: Queries, kitchenId: string) {
  const [row] = await tx.select().from(kitchen).where(eq(kitchen.id, kitchenId)).for("update");
  if (!row) throw new InvariantError("The kitchen of this request is gone.");
  return row;
}

const changeKitchen = (tx: Queries, kitchenId: string, values: Partial<typeof kitchen.$inferInsert>) =>
  tx
    .update(kitchen)
    .set({ ...values, rowVersion: sql`${kitchen.rowVersion} + 1` })
    .where(eq(kitchen.id, kitchenId));
