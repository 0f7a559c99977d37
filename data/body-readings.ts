import { and, asc, eq, isNull } from "drizzle-orm";
import { type BodyReading, bodyReadingSchema } from "../core/formula";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import type { Change } from "./change-row";
import { inKitchen } from "./in-kitchen";
import { bodyReading, person } from "./schema";

/** Readings of body that count, oldest first. */
export async function listBodyReadings(db: Queries, kitchenId: string): Promise<BodyReading[]> {
  const rows = await db
    .select({ row: bodyReading, by: person.name })
    .from(bodyReading)
    .innerJoin(person, eq(person.id, bodyReading.personId))
    .where(and(eq(bodyReading.kitchenId, kitchenId), isNull(bodyReading.undoneAt)))
    .orderBy(asc(bodyReading.at), asc(bodyReading.id));
  return rows.map(({ row, by }) =>
    bodyReadingSchema.parse({
      id: row.id,
      family: row.family,
      formulaName: row.formulaName,
      forecast: row.forecast,
      test: row.test,
      reading: row.reading,
      temperatureC: row.temperatureC,
      measured: row.measured,
      at: row.at.toISOString(),
      by,
    }),
  );
}

/** Keeps a reading. The same id twice is one reading. */
export async function addBodyReading(
  db: Database,
  change: Change,
  formulaId: string,
  reading: Omit<BodyReading, "at" | "by">,
): Promise<void> {
  await inKitchen(db, change.kitchenId, async tx => {
    await tx
      .insert(bodyReading)
      .ignore()
      .values({
        ...reading,
        formulaId,
        kitchenId: change.kitchenId,
        personId: change.personId,
        at: change.now,
      });
    await recordAudit(tx, {
      ...change,
      what: "body-reading",
      subject: reading.id,
      detail: { measured: reading.measured },
    });
  });
}

/** Takes a reading back; it stays in the table and no longer counts. */
export async function undoBodyReading(db: Database, change: Change, id: string): Promise<void> {
  await inKitchen(db, change.kitchenId, async tx => {
    const [undone] = await tx
      .update(bodyReading)
      .set({ undoneAt: change.now })
      .where(
        and(
          eq(bodyReading.id, id),
          eq(bodyReading.kitchenId, change.kitchenId),
          isNull(bodyReading.undoneAt),
        ),
      );
    if (undone.affectedRows === 0) return;
    await recordAudit(tx, { ...change, what: "body-reading-undone", subject: id, detail: {} });
  });
}
