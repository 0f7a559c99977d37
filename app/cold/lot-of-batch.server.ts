import { atSize, labelOf, openKitchen, walk } from "~/core/formula";
import { daysBetween } from "~/core/day";
import { g } from "~/core/ground/quantity";
import { labelFor } from "~/core/standard";
import { type NewLot, database, findBatch, findVersion } from "~/data";
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
  const version = batch && (await findVersion(db, section.kitchenId, batch.formulaVersionId));
  if (!batch || !version) return null;
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
