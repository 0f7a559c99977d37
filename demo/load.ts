import { type Database, insertFormula, insertKitchen, onlyKitchenId } from "../data";
import { DEMO_FORMULAS } from "./formulas";
import { DEMO_KITCHEN, DEMO_PEOPLE, KITCHEN_ID } from "./kitchen";

/**
 * Writes the demo kitchen into an empty database, all or nothing. A database that holds a kitchen is left as it is.
 * @returns whether anything was written
 */
export async function loadDemo(db: Database, now: Date): Promise<boolean> {
  return db.transaction(async tx => {
    if (await onlyKitchenId(tx)) return false;
    await insertKitchen(tx, { ...DEMO_KITCHEN, demo: true }, DEMO_PEOPLE);
    for (const [id, document] of Object.entries(DEMO_FORMULAS))
      await insertFormula(tx, { id, kitchenId: KITCHEN_ID, document, personId: "tomas", now });
    return true;
  });
}
