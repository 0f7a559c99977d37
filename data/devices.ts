import { and, asc, eq, sql } from "drizzle-orm";
import type { DeviceKind } from "../core/kit";
import { recordAudit } from "./audit";
import type { Change } from "./change-row";
import type { Database, Queries } from "./connection";
import { inserted } from "./database-errors";
import { device } from "./schema";

/** Instruments that send what they show. What one showed last is kept; what a cook makes of it is logged in the run. */

export interface Device {
  readonly key: string;
  readonly name: string;
  readonly kind: DeviceKind;
  readonly value: number | null;
  readonly unit: string | null;
  readonly readAt: Date | null;
}

const columns = {
  key: device.key,
  name: device.name,
  kind: device.kind,
  value: device.value,
  unit: device.unit,
  readAt: device.readAt,
};

export const listDevices = (db: Queries, kitchenId: string): Promise<Device[]> =>
  db.select(columns).from(device).where(eq(device.kitchenId, kitchenId)).orderBy(asc(device.name));

/** @returns whether the key was free */
export async function connectDevice(
  db: Database,
  change: Change,
  { key, name, kind, secretHash }: { key: string; name: string; kind: DeviceKind; secretHash: string },
): Promise<boolean> {
  return db.transaction(async tx => {
    const made = await inserted(
      tx.insert(device).values({ kitchenId: change.kitchenId, key, name, kind, secretHash }),
    );
    if (made)
      await recordAudit(tx, { ...change, what: "device.connected", subject: key, detail: { name, kind } });
    return made;
  });
}

export async function disconnectDevice(db: Database, change: Change, key: string): Promise<void> {
  await db.transaction(async tx => {
    await tx.delete(device).where(and(eq(device.kitchenId, change.kitchenId), eq(device.key, key)));
    await recordAudit(tx, { ...change, what: "device.disconnected", subject: key, detail: {} });
  });
}

/** The instrument of a public name, with what its secret hashes to. */
export async function findDevice(
  db: Queries,
  key: string,
): Promise<{ readonly kitchenId: string; readonly kind: DeviceKind; readonly secretHash: string } | null> {
  const [found] = await db
    .select({ kitchenId: device.kitchenId, kind: device.kind, secretHash: device.secretHash })
    .from(device)
    .where(eq(device.key, key));
  return found ?? null;
}

export async function showReading(
  db: Queries,
  key: string,
  reading: { readonly value: number; readonly unit: string; readonly now: Date },
): Promise<void> {
  await db
    .update(device)
    .set({
      value: reading.value,
      unit: reading.unit,
      readAt: reading.now,
      readings: sql`${device.readings} + 1`,
    })
    .where(eq(device.key, key));
}
