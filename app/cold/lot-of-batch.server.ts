import { atSize, labelOf, openKitchen, walk } from "~/core/formula";
import { daysBetween } from "~/core/day";
import { g } from "~/core/ground/quantity";
import { labelFor } from "~/core/standard";
import { type BookedBatch, type NewLot, database, findBatch, findVersion, settleLot } from "~/data";
import { dayIn } from "../day/calendar-day";
import { basisAt, kitchenFor } from "../kitchen/kitchen.server";
import type { SectionWithPerson } from "../people/person.server";

/** A batch as it goes into the cold: with the days and the allergens of its label. */
export async function lotOfBatch(
  section: SectionWithPerson,
  runId: string,
): Promise<Omit<NewLot, "id" | "massG" | "place"> | null> {
  const { db } = database();
  const batch = await findBatch(db, section.kitchenId, runId);
  return batch ? lotOf(section, batch) : null;
}

/** What keeps for so long is a thing in stock: it goes into the cold by itself. What is for today is put away by hand. */
const IN_STOCK_DAYS = 2;

/** Books a run that has just ended into the cold, or out where it goes on. */
export async function bookIntoCold(section: SectionWithPerson, runId: string): Promise<void> {
  const { db } = database();
  const { kitchenId, person } = section;
  const batch = await findBatch(db, kitchenId, runId);
  const made = batch ? await lotOf(section, batch) : null;
  const { actual, planned } = batch?.record.yieldG ?? { actual: null, planned: null };
  const massG = actual ?? planned;
  await settleLot(
    db,
    { kitchenId, personId: person.id, now: new Date() },
    runId,
    made && massG !== null && massG > 0 && made.keepDays >= IN_STOCK_DAYS
      ? { ...made, massG, place: null, note: actual === null ? "as planned, not weighed" : "" }
      : null,
  );
}

async function lotOf(
  section: SectionWithPerson,
  batch: BookedBatch,
): Promise<Omit<NewLot, "id" | "massG" | "place"> | null> {
  const { runId } = batch;
  const version = await findVersion(database().db, section.kitchenId, batch.formulaVersionId);
  if (!version) return null;
  const data = batch.basisHash
    ? await basisAt(batch.basisHash)
    : await kitchenFor(section, [version.document]);
  const kitchen = openKitchen(data);
  const document = atSize(version.document, g(batch.baseG));
  const madeOn = dayIn(batch.finishedAt, data.timeZone);
  const label = labelFor(document, kitchen, { runId, madeOn, record: batch.record, kept: "chilled" });
  const allergens = labelOf(walk(document, kitchen));
  return {
    name: label.name,
    formulaId: version.id,
    runId,
    madeOn,
    keepDays: daysBetween(madeOn, label.useBy) + 1,
    keepC: label.keepC,
    allergens: allergens.known ? allergens.allergens : null,
  };
}
