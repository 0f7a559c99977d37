import { type Database, insertFormula, insertKitchen, onlyKitchenId, savePrice } from "../data";
import { DEMO_FORMULAS } from "./formulas";
import { CURRENCY, DEMO_PRICES, EARLIER_PRICES, WATCHED } from "./prices";
import { DEMO_KITCHEN, DEMO_PEOPLE, KITCHEN_ID } from "./kitchen";

/**
 * Writes the demo kitchen into an empty database, all or nothing. A database that holds a kitchen is left as it is.
 * @returns whether anything was written
 */
export async function loadDemo(db: Database, now: Date): Promise<boolean> {
  return db.transaction(async tx => {
    if (await onlyKitchenId(tx)) return false;
    await insertKitchen(tx, { ...DEMO_KITCHEN, demo: true }, DEMO_PEOPLE);
    for (const id of WATCHED)
      for (const [since, share] of EARLIER_PRICES)
        await savePrice(tx, { kitchenId: KITCHEN_ID, personId: "ilse", now }, id, {
          since,
          perKg: Math.round((DEMO_PRICES[id] ?? 0) * share * 100) / 100,
          currency: CURRENCY,
          source: { mark: "E", text: "demo price, invented" },
        });
    for (const [id, document] of Object.entries(DEMO_FORMULAS))
      await insertFormula(tx, { id, kitchenId: KITCHEN_ID, document, personId: "tomas", now });
    return true;
  });
}
