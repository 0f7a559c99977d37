import { and, asc, desc, eq, sql } from "drizzle-orm";
import { type Change, changeRow } from "./change-row";
import { type Ingredient, REFERENCE_BY_ID, ingredientSchema } from "../core/things/larder";
import { recordAudit } from "./audit";
import { inserted } from "./database-errors";
import type { Database, Queries, Transacting } from "./connection";
import { inKitchen } from "./in-kitchen";
import { ingredient, ingredientPrice } from "./schema";
import { type Kept } from "./seen";

/**
 * An ingredient as it was stored. What was entered before starch, yolk and milk were told apart takes that from the
 * reference entry it was made from.
 */
function readIngredient(document: unknown): Ingredient {
  const stored = ingredientSchema.parse(document);
  const carries = stored.carries ?? REFERENCE_BY_ID.get(stored.id)?.carries;
  return carries ? { ...stored, carries } : stored;
}

export interface StoredIngredient {
  readonly ingredient: Ingredient;
  readonly rowVersion: number;
}

export interface PricePoint {
  readonly since: string;
  readonly perKg: number;
  readonly currency: string;
  readonly source: Ingredient["compositionSource"];
}

/** `stale`: somebody saved it since; nothing was written. */
export type SaveOutcome = "saved" | "stale";

/** One ingredient with its price of today; `null` if the larder has none of that id. */
export async function findStoredIngredient(
  db: Queries,
  kitchenId: string,
  id: string,
): Promise<StoredIngredient | null> {
  const [row] = await db
    .select()
    .from(ingredient)
    .where(and(eq(ingredient.kitchenId, kitchenId), eq(ingredient.id, id)));
  if (!row) return null;
  const [price] = await priceHistory(db, kitchenId, id);
  return { ingredient: withPrice(readIngredient(row.document), price), rowVersion: row.rowVersion };
}

/** Prices of an ingredient, the latest first. */
export async function priceHistory(db: Queries, kitchenId: string, id: string): Promise<PricePoint[]> {
  return db
    .select({
      since: ingredientPrice.since,
      perKg: ingredientPrice.perKg,
      currency: ingredientPrice.currency,
      source: ingredientPrice.source,
    })
    .from(ingredientPrice)
    .where(and(eq(ingredientPrice.kitchenId, kitchenId), eq(ingredientPrice.ingredientId, id)))
    .orderBy(desc(ingredientPrice.since));
}

const withPrice = (of: Ingredient, price: PricePoint | undefined): Ingredient =>
  price
    ? {
        ...of,
        price: { perKg: price.perKg, currency: price.currency, on: price.since, source: price.source },
      }
    : of;

/** The whole larder by name, each with its price of today. */
export async function loadLarder(db: Queries, kitchenId: string): Promise<Ingredient[]> {
  const [rows, prices] = await Promise.all([
    db.select().from(ingredient).where(eq(ingredient.kitchenId, kitchenId)).orderBy(asc(ingredient.name)),
    db
      .select()
      .from(ingredientPrice)
      .where(eq(ingredientPrice.kitchenId, kitchenId))
      .orderBy(asc(ingredientPrice.since)),
  ]);
  const latest = new Map(prices.map(price => [price.ingredientId, price]));
  return rows.map(row => withPrice(readIngredient(row.document), latest.get(row.id)));
}

/** What is kept of an ingredient: everything but its price, which has a history of its own. */
const documentOf = ({ price: _price, ...rest }: Ingredient): Ingredient => rest;

/**
 * Saves one ingredient.
 * @param rowVersion the version the edit started from; 0 for a new one
 */
export async function saveIngredient(
  db: Database,
  change: Change,
  of: Ingredient,
  rowVersion: number,
): Promise<SaveOutcome> {
  return inKitchen(
    db,
    change.kitchenId,
    tx => writeIngredient(tx, change, of, rowVersion),
    done => done === "saved",
  );
}

/** As `saveIngredient`, within a change of more. */
export async function writeIngredient(
  tx: Queries,
  change: Change,
  of: Ingredient,
  rowVersion: number,
): Promise<SaveOutcome> {
  const values = { name: of.name, document: documentOf(of) };
  if (rowVersion === 0) {
    const made = await inserted(
      tx.insert(ingredient).values({ kitchenId: change.kitchenId, id: of.id, ...values }),
    );
    if (!made) return "stale";
  } else {
    const [done] = await tx
      .update(ingredient)
      .set({ ...values, rowVersion: sql`${ingredient.rowVersion} + 1` })
      .where(
        and(
          eq(ingredient.kitchenId, change.kitchenId),
          eq(ingredient.id, of.id),
          eq(ingredient.rowVersion, rowVersion),
        ),
      );
    if (done.affectedRows === 0) return "stale";
  }
  await recordAudit(tx, { ...change, what: "ingredient", subject: of.id, detail: { name: of.name } });
  return "saved";
}

/**
 * Notes a price from a day on; a second one for the same day replaces the first.
 * @param seen mark of the prices whoever notes it was shown; left out where nobody was, as when a kitchen is set up
 * @returns the prices as they stand where somebody has noted one since
 */
export async function savePrice(
  db: Transacting,
  change: Change,
  id: string,
  price: PricePoint,
  seen?: string,
): Promise<Kept<readonly PricePoint[]>> {
  return changeRow<readonly PricePoint[]>(db, change, {
    read: tx => priceHistory(tx, change.kitchenId, id),
    seen,
    write: tx =>
      tx
        .insert(ingredientPrice)
        .values({ kitchenId: change.kitchenId, ingredientId: id, ...price })
        .onDuplicateKeyUpdate({
          set: { perKg: price.perKg, currency: price.currency, source: price.source },
        }),
    verb: "price",
    subject: id,
    detail: () => ({ ...price }),
  });
}

/** Takes many ingredients in at once, new and changed: all of them or none. */
export async function importIngredients(
  db: Transacting,
  change: Change,
  many: readonly Ingredient[],
): Promise<void> {
  await inKitchen(db, change.kitchenId, async tx => {
    for (const of of many) {
      const document = documentOf(of);
      await tx
        .insert(ingredient)
        .values({ kitchenId: change.kitchenId, id: of.id, name: of.name, document })
        .onDuplicateKeyUpdate({
          set: { name: of.name, document, rowVersion: sql`${ingredient.rowVersion} + 1` },
        });
      if (of.price)
        await tx
          .insert(ingredientPrice)
          .values({
            kitchenId: change.kitchenId,
            ingredientId: of.id,
            since: of.price.on,
            perKg: of.price.perKg,
            currency: of.price.currency,
            source: of.price.source,
          })
          .onDuplicateKeyUpdate({ set: { perKg: of.price.perKg, currency: of.price.currency } });
    }
    await recordAudit(tx, {
      ...change,
      what: "larder import",
      subject: change.kitchenId,
      detail: { count: many.length, ids: many.map(i => i.id).slice(0, 200) },
    });
  });
}
