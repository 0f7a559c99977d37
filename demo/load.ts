import { type FormulaDocument, basisOf } from "../core/formula";
import {
  type Database,
  bringInVersion,
  insertFormula,
  insertKitchen,
  keepVersion,
  onlyKitchen,
  savePrice,
} from "../data";
import { EARLIER_VERSIONS } from "./earlier";
import { DEMO_FORMULAS } from "./formulas";
import { CURRENCY, DEMO_PRICES, EARLIER_PRICES, WATCHED } from "./prices";
import { DEMO_KITCHEN, DEMO_PEOPLE, KITCHEN_ID } from "./kitchen";

const DAY_MS = 24 * 3600 * 1000;

/**
 * Writes the demo kitchen into an empty database, all or nothing. A database that holds a kitchen is left as it is.
 * @returns whether anything was written
 */
export async function loadDemo(db: Database, now: Date): Promise<boolean> {
  return db.transaction(async tx => {
    if (await onlyKitchen(tx)) return false;
    await insertKitchen(tx, { ...DEMO_KITCHEN, demo: true }, DEMO_PEOPLE);
    for (const id of WATCHED)
      for (const [since, share] of EARLIER_PRICES)
        await savePrice(tx, { kitchenId: KITCHEN_ID, personId: "ilse", now }, id, {
          since,
          perKg: Math.round((DEMO_PRICES[id] ?? 0) * share * 100) / 100,
          currency: CURRENCY,
          source: { mark: "E", text: "demo price, invented" },
        });
    const basis = (document: FormulaDocument) =>
      basisOf(document, { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS });
    for (const [id, document] of Object.entries(DEMO_FORMULAS)) {
      const common = { id, kitchenId: KITCHEN_ID, personId: "tomas", now };
      const earlier = EARLIER_VERSIONS[id];
      if (!earlier) {
        await insertFormula(tx, { ...common, document });
        continue;
      }
      const then = new Date(now.getTime() - earlier.daysAgo * DAY_MS);
      await insertFormula(tx, { ...common, document: earlier.document, now: then });
      await keepVersion(tx, { ...common, rowVersion: 1, reason: earlier.kept, now: then, basis });
      await bringInVersion(tx, { ...common, document, reason: earlier.changedBecause });
    }
    return true;
  });
}
