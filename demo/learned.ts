import { ulid } from "ulid";
import type { YieldReading } from "../core/learning";
import { type Database, addTrial, addYieldReading, listVersions } from "../data";
import { KITCHEN_ID } from "./kitchen";

/** Weighings of what is left of things, and a trial of two versions. Invented. */

const DAY_MS = 24 * 3600_000;

const LEEK = [5200, 4100, 6000, 4800].map((from, i) => ({ from, gotG: from * (0.41 + 0.012 * i) }));
const LEMON = [
  { from: 12, gotG: 468 },
  { from: 10, gotG: 372 },
  { from: 16, gotG: 616 },
];

export async function loadLearned(db: Database, now: Date): Promise<void> {
  const weighed = async (
    ingredientId: string,
    what: YieldReading["what"],
    readings: readonly { readonly from: number; readonly gotG: number }[],
  ) => {
    for (const [i, { from, gotG }] of readings.entries()) {
      const at = new Date(now.getTime() - (20 - 4 * i) * DAY_MS);
      await addYieldReading(
        db,
        { kitchenId: KITCHEN_ID, personId: "petr", now: at },
        { id: ulid(at.getTime()), ingredientId, what, from, gotG: Math.round(gotG) },
      );
    }
  };
  await weighed("leek", "trimmed", LEEK);
  await weighed("lemon-juice", "per piece", LEMON);
  const [later, earlier] = await listVersions(db, KITCHEN_ID, "cider-juniper-pan-sauce");
  if (!later || !earlier) return;
  const at = new Date(now.getTime() - 22 * DAY_MS);
  await addTrial(
    db,
    { kitchenId: KITCHEN_ID, personId: "ilse", now: at },
    {
      id: ulid(at.getTime()),
      formulaId: "cider-juniper-pan-sauce",
      name: "Cider sauce, old and new",
      difference: "how far it is reduced, and the juniper",
      versionIds: [earlier.versionId, later.versionId],
      demo: true,
    },
  );
}
