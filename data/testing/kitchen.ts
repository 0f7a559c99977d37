import type { KitchenData } from "../../core/formula";
import { type Database, type KitchenSnapshot, listFormulas, readSnapshot } from "..";

/** A kitchen as it stands in the database, with every formula it has; `null` if there is none. */
export async function loadKitchen(
  db: Database,
  kitchenId: string,
): Promise<(KitchenSnapshot & KitchenData) | null> {
  const snapshot = await readSnapshot(db, kitchenId);
  const { formulas } = await listFormulas(db, kitchenId);
  return snapshot && { ...snapshot, formulas: Object.fromEntries(formulas.map(f => [f.id, f.document])) };
}
