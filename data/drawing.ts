import { and, eq, inArray, sql } from "drizzle-orm";
import type { Queries } from "./connection";
import { formula, formulaVersion } from "./schema";
import { KINDS, token } from "./searched";

/** What draws on what, asked of the index that formulas are found by. */

const bears = (words: string) => sql`match(${formulaVersion.searched}) against (${words} in boolean mode)`;

/** Formulas whose current version bears one of some words of the index. */
async function bearing(
  db: Queries,
  kitchenId: string,
  words: readonly string[],
  among?: readonly string[],
): Promise<string[]> {
  if (!words.length || among?.length === 0) return [];
  const rows = await db
    .select({ id: formula.id })
    .from(formula)
    .innerJoin(formulaVersion, eq(formulaVersion.id, formula.currentVersionId))
    .where(
      and(eq(formula.kitchenId, kitchenId), among && inArray(formula.id, [...among]), bears(words.join(" "))),
    );
  return rows.map(row => row.id);
}

/** Formulas that draw on some others, however far down, those themselves included. */
export async function drawingOn(db: Queries, kitchenId: string, ids: readonly string[]): Promise<string[]> {
  const all = new Set(ids);
  let wanted = [...ids];
  while (wanted.length) {
    const found = await bearing(
      db,
      kitchenId,
      wanted.map(id => token("formula", id)),
    );
    wanted = found.filter(id => !all.has(id));
    for (const id of wanted) all.add(id);
  }
  return [...all];
}

/**
 * Formulas that others draw on and into which some things of the larder go, of themselves or by what they draw on in turn.
 * Those nothing draws on are not asked for: what goes into them stands in the index itself.
 */
export async function mothersHolding(
  db: Queries,
  kitchenId: string,
  ingredients: readonly string[],
): Promise<string[]> {
  if (!ingredients.length) return [];
  const drawers = await db
    .select({
      id: formula.id,
      drawn: sql<string | null>`json_extract(${formulaVersion.document}, '$.steps[*].lines[*].of.formula')`,
    })
    .from(formula)
    .innerJoin(formulaVersion, eq(formulaVersion.id, formula.currentVersionId))
    .where(and(eq(formula.kitchenId, kitchenId), bears(`${KINDS.formula}_*`)));
  const draws = drawers.map(({ id, drawn }) => ({
    id,
    on: drawn === null ? [] : ((typeof drawn === "string" ? JSON.parse(drawn) : drawn) as string[]),
  }));
  const mothers = [...new Set(draws.flatMap(({ on }) => on))];
  const holding = new Set(
    await bearing(
      db,
      kitchenId,
      ingredients.map(id => token("larder", id)),
      mothers,
    ),
  );
  for (let before = -1; before < holding.size;) {
    before = holding.size;
    for (const { id, on } of draws)
      if (mothers.includes(id) && on.some(mother => holding.has(mother))) holding.add(id);
  }
  return [...holding];
}

/** Which of some versions hold any of some things, of themselves or by a formula that holds one. */
export async function versionsHolding(
  db: Queries,
  versionIds: readonly string[],
  held: { readonly ingredients: readonly string[]; readonly formulas: readonly string[] },
): Promise<ReadonlySet<string>> {
  if (!versionIds.length) return new Set();
  const words = new Set([
    ...held.ingredients.map(id => token("larder", id)),
    ...held.formulas.map(id => token("formula", id)),
  ]);
  const rows = await db
    .select({ id: formulaVersion.id, searched: formulaVersion.searched })
    .from(formulaVersion)
    .where(inArray(formulaVersion.id, [...versionIds]));
  return new Set(
    rows.flatMap(({ id, searched }) =>
      (searched ?? "").split(" ").some(word => words.has(word)) ? [id] : [],
    ),
  );
}
