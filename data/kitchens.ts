import { eq } from "drizzle-orm";
import { type KitchenData, pairKey } from "../core/formula";
import { type GroupId, counted, habitsOf } from "../core/learning";
import type { Queries, Transacting } from "./connection";
import { listBodyReadings } from "./body-readings";
import { houseOf, loadKit } from "./kit";
import { loadLarder } from "./larder";
import { learnedMarks, standings } from "./learned";
import type { Person } from "./people";
import { paceReadings } from "./runs";
import { appliance, burner, ingredient, ingredientPrice, kitchen, person, vessel } from "./schema";

/** A kitchen without its formulas, which are read one at a time. Never changes: another revision is another snapshot. */
export interface KitchenSnapshot extends Omit<KitchenData, "formulas" | "madeHere"> {
  readonly demo: boolean;
  readonly revision: number;
}

/** Which kitchen, and how often it has changed. */
export interface KitchenHead {
  readonly id: string;
  readonly revision: number;
  readonly namesRevision: number;
}

/** The first kitchen of this installation, or `null` before anything was loaded. */
export async function firstKitchen(db: Queries): Promise<(KitchenHead & { readonly demo: boolean }) | null> {
  const { id, revision, namesRevision, demo } = kitchen;
  const [found] = await db.select({ id, revision, namesRevision, demo }).from(kitchen).limit(1);
  return found ?? null;
}

/**
 * Larder with prices of today, kit, facts, house words and readings at one revision; `null` if there is no such kitchen.
 * All of it is read at one moment. Documents are checked on the way out.
 */
export async function readSnapshot(db: Transacting, kitchenId: string): Promise<KitchenSnapshot | null> {
  return db.transaction(async tx => {
    const [found] = await tx.select().from(kitchen).where(eq(kitchen.id, kitchenId));
    if (!found) return null;
    const { rowVersion: _row, namesRevision: _names, house, ...own } = found;
    const ingredients = await loadLarder(tx, kitchenId);
    const kit = await loadKit(tx, kitchenId);
    const marks = await learnedMarks(tx, kitchenId);
    const standing = standings(marks);
    const counts = (group: GroupId, key: string, at: number): boolean =>
      counted([{ at }], standing(group, key)).length > 0;
    const bodyReadings = (await listBodyReadings(tx, kitchenId)).filter(reading =>
      counts("body", reading.family, Date.parse(reading.at)),
    );
    const paces = await paceReadings(tx, kitchenId, ({ burnerId, vesselId }, at) =>
      counts("pace", pairKey(burnerId, vesselId), at),
    );
    return {
      ...own,
      house: houseOf(house),
      ingredients,
      ...kit,
      bodyReadings,
      paceReadings: paces,
      habits: habitsOf(marks),
    };
  });
}

/** Writes a kitchen whole, in one go; used to set one up. */
export async function insertKitchen(
  db: Queries,
  data: KitchenData & { demo: boolean },
  people: readonly Person[],
): Promise<void> {
  const kitchenId = data.id;
  const {
    id,
    name,
    altitudeM,
    pressurePa,
    ambientC,
    humidity,
    timeZone,
    defaultBurnerId,
    facts,
    demo,
    house,
  } = data;
  await db.insert(kitchen).values({
    id,
    name,
    altitudeM,
    pressurePa,
    ambientC,
    humidity,
    timeZone,
    defaultBurnerId,
    facts,
    demo,
    house,
  });
  await db.insert(person).values(people.map((p, position) => ({ ...p, kitchenId, position })));
  if (data.ingredients.length)
    await db.insert(ingredient).values(
      data.ingredients.map(({ price: _price, ...i }) => ({
        kitchenId,
        id: i.id,
        name: i.name,
        document: i,
      })),
    );
  const prices = data.ingredients.flatMap(i => (i.price ? [{ ingredientId: i.id, ...i.price }] : []));
  if (prices.length)
    await db
      .insert(ingredientPrice)
      .values(prices.map(({ on, ...price }) => ({ kitchenId, since: on, ...price })));
  if (data.vessels.length)
    await db
      .insert(vessel)
      .values(data.vessels.map((v, position) => ({ kitchenId, id: v.id, position, document: v })));
  if (data.burners.length)
    await db
      .insert(burner)
      .values(data.burners.map((b, position) => ({ kitchenId, id: b.id, position, document: b })));
  if (data.appliances.length)
    await db
      .insert(appliance)
      .values(data.appliances.map((a, position) => ({ kitchenId, id: a.id, position, document: a })));
}
