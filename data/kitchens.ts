import { asc, eq } from "drizzle-orm";
import type { KitchenData } from "../core/formula";
import type { Queries } from "./connection";
import { currentDocuments } from "./formulas";
import { loadKit } from "./kit";
import { loadLarder } from "./larder";
import { appliance, burner, ingredient, ingredientPrice, kitchen, person, vessel } from "./schema";

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: string;
}

/** The kitchen with its larder, kit and formulas; `null` if there is none. Documents are checked on the way out. */
export async function loadKitchen(
  db: Queries,
  kitchenId: string,
): Promise<(KitchenData & { demo: boolean }) | null> {
  const [found] = await db.select().from(kitchen).where(eq(kitchen.id, kitchenId));
  if (!found) return null;
  const [ingredients, kit, formulas] = await Promise.all([
    loadLarder(db, kitchenId),
    loadKit(db, kitchenId),
    currentDocuments(db, kitchenId),
  ]);
  return { ...found, ingredients, ...kit, formulas };
}

/** The one kitchen this installation serves, or `null` before anything was loaded. */
export async function onlyKitchenId(db: Queries): Promise<string | null> {
  const [found] = await db.select({ id: kitchen.id }).from(kitchen).limit(1);
  return found?.id ?? null;
}

export async function listPeople(db: Queries, kitchenId: string): Promise<Person[]> {
  const rows = await db
    .select()
    .from(person)
    .where(eq(person.kitchenId, kitchenId))
    .orderBy(asc(person.position));
  return rows.map(({ id, name, role }) => ({ id, name, role }));
}

/** Writes a kitchen whole, in one go; used to set one up. */
export async function insertKitchen(
  db: Queries,
  data: KitchenData & { demo: boolean },
  people: readonly Person[],
): Promise<void> {
  const kitchenId = data.id;
  const { id, name, altitudeM, pressurePa, ambientC, humidity, timeZone, defaultBurnerId, facts, demo } =
    data;
  await db
    .insert(kitchen)
    .values({ id, name, altitudeM, pressurePa, ambientC, humidity, timeZone, defaultBurnerId, facts, demo });
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
