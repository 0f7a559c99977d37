import { and, asc, eq } from "drizzle-orm";
import type { KitchenData } from "../core/formula";
import { type Display, USUAL_DISPLAY, displaySchema } from "../core/house";
import type { Queries } from "./connection";
import { listBodyReadings } from "./body-readings";
import { currentDocuments } from "./formulas";
import { houseOf, loadKit } from "./kit";
import { loadLarder } from "./larder";
import { appliance, burner, ingredient, ingredientPrice, kitchen, person, vessel } from "./schema";

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  /** How this cook wants amounts shown. */
  readonly display?: Display;
}

/** The kitchen with its larder, kit and formulas; `null` if there is none. Documents are checked on the way out. */
export async function loadKitchen(
  db: Queries,
  kitchenId: string,
): Promise<(KitchenData & { demo: boolean }) | null> {
  const [found] = await db.select().from(kitchen).where(eq(kitchen.id, kitchenId));
  if (!found) return null;
  const [ingredients, kit, formulas, bodyReadings] = await Promise.all([
    loadLarder(db, kitchenId),
    loadKit(db, kitchenId),
    currentDocuments(db, kitchenId),
    listBodyReadings(db, kitchenId),
  ]);
  return { ...found, bodyReadings, house: houseOf(found.house), ingredients, ...kit, formulas };
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
  return rows.map(({ id, name, role, display }) => ({ id, name, role, display: displayOf(display) }));
}

function displayOf(stored: unknown): Display {
  const read = displaySchema.safeParse(stored);
  return read.success ? read.data : USUAL_DISPLAY;
}

/** Keeps how a cook wants amounts shown. */
export async function saveDisplay(
  db: Queries,
  kitchenId: string,
  personId: string,
  display: Display,
): Promise<void> {
  await db
    .update(person)
    .set({ display })
    .where(and(eq(person.id, personId), eq(person.kitchenId, kitchenId)));
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
