import { createHash } from "node:crypto";
import { eq, inArray } from "drizzle-orm";
import { type FormulaDocument, type KitchenData, readFormula } from "../core/formula";
import { InvariantError, valueOf } from "../core/ground/result";
import type { Queries } from "./connection";
import { type FrozenParts, forecast, frozenBasis, frozenPart } from "./schema";
import { canonical } from "./seen";

/** What a run or version was walked in, kept by content: what many of them share is kept once. */

const hashOf = (text: string): string => createHash("sha256").update(text).digest("base64url");

/** Keeps a basis and all its parts, unless they are there already. @returns its hash */
export async function keepBasis(tx: Queries, basis: KitchenData): Promise<string> {
  const { ingredients, vessels, burners, appliances, formulas, madeHere: _names, ...figures } = basis;
  const parts = new Map<string, unknown>();
  const keep = (part: unknown): string => {
    const hash = hashOf(canonical(part));
    parts.set(hash, part);
    return hash;
  };
  const of: FrozenParts = {
    figures: keep(figures),
    ingredients: ingredients.map(keep),
    vessels: vessels.map(keep),
    burners: burners.map(keep),
    appliances: appliances.map(keep),
    formulas: Object.fromEntries(Object.entries(formulas).map(([id, document]) => [id, keep(document)])),
  };
  const hash = hashOf(canonical(of));
  // What is there already is the same to the letter: its hash says so.
  await tx
    .insert(frozenPart)
    .ignore()
    .values([...parts].map(([key, body]) => ({ hash: key, body })));
  await tx.insert(frozenBasis).ignore().values({ hash, parts: of });
  return hash;
}

/** A basis as it was kept. @throws where a part of it is gone, which nothing of Hondaro does */
export async function readBasis(db: Queries, hash: string): Promise<KitchenData> {
  const [found] = await db.select().from(frozenBasis).where(eq(frozenBasis.hash, hash));
  if (!found) throw new InvariantError("What a run was walked in is gone.");
  const { figures, ingredients, vessels, burners, appliances, formulas } = found.parts;
  const hashes = [figures, ...ingredients, ...vessels, ...burners, ...appliances, ...Object.values(formulas)];
  const rows = await db
    .select()
    .from(frozenPart)
    .where(inArray(frozenPart.hash, [...new Set(hashes)]));
  const bodies = new Map(rows.map(row => [row.hash, row.body]));
  const part = <T>(key: string): T => {
    if (!bodies.has(key)) throw new InvariantError("A part of what a run was walked in is gone.");
    return bodies.get(key) as T;
  };
  return {
    ...part<Omit<KitchenData, "ingredients" | "vessels" | "burners" | "appliances" | "formulas">>(figures),
    ingredients: ingredients.map(key => part<KitchenData["ingredients"][number]>(key)),
    vessels: vessels.map(key => part<KitchenData["vessels"][number]>(key)),
    burners: burners.map(key => part<KitchenData["burners"][number]>(key)),
    appliances: appliances.map(key => part<KitchenData["appliances"][number]>(key)),
    formulas: Object.fromEntries(
      Object.entries(formulas).map(([id, key]) => [id, valueOf(readFormula(part<FormulaDocument>(key)))]),
    ),
  };
}

/** What was worked out from all that a hash stands for; `null` where nobody has yet. */
export async function findForecast(db: Queries, hash: string): Promise<unknown> {
  const [found] = await db.select({ body: forecast.body }).from(forecast).where(eq(forecast.hash, hash));
  return found?.body ?? null;
}

export async function keepForecast(db: Queries, hash: string, body: unknown, now: Date): Promise<void> {
  await db.insert(forecast).ignore().values({ hash, body, at: now });
}
