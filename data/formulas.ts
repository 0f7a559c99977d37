import { createHash } from "node:crypto";
import { and, asc, count, desc, eq, inArray, isNotNull, isNull, like, max, or, sql } from "drizzle-orm";
import { ulid } from "ulid";
import { type FormulaDocument, readFormula } from "../core/formula";
import { valueOf } from "../core/ground/result";
import { recordAudit } from "./audit";
import { inserted } from "./database-errors";
import { raiseNames } from "./in-kitchen";
import type { Database, Queries } from "./connection";
import { batch, formula, formulaVersion, person, run } from "./schema";
import { type Search, matches, searchedOf } from "./searched";

export interface StoredFormula {
  readonly id: string;
  readonly versionId: string;
  readonly number: number;
  readonly state: "draft" | "trial" | "standard" | "retired";
  /** The number an edit must name. */
  readonly rowVersion: number;
  readonly document: FormulaDocument;
  /** Of the document: tells a printed card from what stands here now. */
  readonly checksum: string;
  readonly editedBy: string;
  readonly editedAt: Date;
  readonly frozen: boolean;
  /** What it was walked in when it was kept or first cooked. */
  readonly basisHash: string | null;
  /** Why this version was kept, restored or branched. */
  readonly reason: string | null;
  readonly parentId: string | null;
}

/** A document with what is derived from it, as it is kept. */
export const contentOf = (document: FormulaDocument) => ({
  document,
  checksum: checksumOf(document),
  searched: searchedOf(document),
});

export const checksumOf = (document: FormulaDocument): string =>
  createHash("sha256").update(JSON.stringify(document)).digest("hex");

const joined = (db: Queries) =>
  db
    .select({
      id: formula.id,
      rowVersion: formula.rowVersion,
      versionId: formulaVersion.id,
      number: formulaVersion.number,
      state: formulaVersion.state,
      document: formulaVersion.document,
      checksum: formulaVersion.checksum,
      editedBy: person.name,
      editedAt: formulaVersion.editedAt,
      frozenAt: formulaVersion.frozenAt,
      basisHash: formulaVersion.basisHash,
      reason: formulaVersion.reason,
      parentId: formulaVersion.parentId,
      current: formula.currentVersionId,
    })
    .from(formulaVersion)
    .innerJoin(formula, eq(formula.id, formulaVersion.formulaId))
    .innerJoin(person, eq(person.id, formulaVersion.editedBy));

type Row = Awaited<ReturnType<typeof joined>>[number];

const toStored = ({ frozenAt, current: _current, ...row }: Row): StoredFormula => ({
  ...row,
  document: valueOf(readFormula(row.document)),
  frozen: frozenAt !== null,
});

/** The formula at its current version; `null` if there is none. */
export async function findFormula(db: Queries, kitchenId: string, id: string): Promise<StoredFormula | null> {
  const [row] = await joined(db).where(
    and(
      eq(formula.kitchenId, kitchenId),
      eq(formula.id, id),
      eq(formulaVersion.id, formula.currentVersionId),
    ),
  );
  return row ? toStored(row) : null;
}

/** One version, current or not. */
export async function findVersion(
  db: Queries,
  kitchenId: string,
  versionId: string,
): Promise<StoredFormula | null> {
  const [row] = await joined(db).where(
    and(eq(formula.kitchenId, kitchenId), eq(formulaVersion.id, versionId)),
  );
  return row ? toStored(row) : null;
}

/** So many formulas of the kitchen whose names hold some words, at their current version, by name; and how many there are. */
export async function listFormulas(
  db: Queries,
  kitchenId: string,
  {
    words = "",
    meant = [],
    from = 0,
    most = 1000,
  }: { words?: string; meant?: readonly MeantWord[]; from?: number; most?: number } = {},
): Promise<{ readonly formulas: readonly StoredFormula[]; readonly of: number }> {
  const found = meant.length ? meant.map(word => holds(word)) : namedLike(words);
  const mine = and(eq(formula.kitchenId, kitchenId), ...found);
  const [rows, [counted]] = await Promise.all([
    joined(db)
      .where(and(mine, eq(formulaVersion.id, formula.currentVersionId)))
      .orderBy(asc(formula.name))
      .limit(most)
      .offset(from),
    db.select({ n: count() }).from(formula).where(mine),
  ]);
  return { formulas: rows.map(toStored), of: counted?.n ?? 0 };
}

/** Formulas whose name has all of these words. */
const namedLike = (words: string) =>
  words
    .split(/\s+/)
    .filter(Boolean)
    .map(word => like(formula.name, `%${escaped(word)}%`));

/** A word somebody looks for, and what it may mean besides a part of a name. */
export interface MeantWord {
  readonly word: string;
  /** Families called so. */
  readonly families: readonly string[];
  /** Ingredients called so, or that hold an allergen called so. */
  readonly ingredients: readonly string[];
  /** Formulas it fits for what they make. */
  readonly formulas: readonly string[];
}

/** Whether a formula bears a word: by its name, its base, its school, its family, or something that goes into it. */
function holds({ word, families, ingredients, formulas }: MeantWord) {
  const part = `%${escaped(word)}%`;
  const at = (path: string) => sql`json_unquote(json_extract(${formulaVersion.document}, ${path}))`;
  const inside = sql`exists (select 1 from ${formulaVersion} where ${formulaVersion.id} = ${formula.currentVersionId} and (
    ${at("$.base.name")} like ${part} or ${at("$.school")} like ${part}
    ${families.length ? sql`or ${at("$.family")} in ${families}` : sql``}
    ${ingredients.length ? sql`or ${formulaVersion.document} regexp ${`"larder": ?"(${ingredients.join("|")})"`}` : sql``}
  ))`;
  return or(
    like(formula.name, part),
    inside,
    formulas.length ? inArray(formula.id, [...formulas]) : undefined,
  );
}

/** When formulas were last cooked, by their ids. */
export async function lastCooked(
  db: Queries,
  kitchenId: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Date>> {
  if (!ids.length) return new Map();
  const rows = await db
    .select({ id: run.formulaId, at: max(run.startedAt) })
    .from(run)
    .where(and(eq(run.kitchenId, kitchenId), inArray(run.formulaId, [...ids])))
    .groupBy(run.formulaId);
  return new Map(rows.flatMap(({ id, at }) => (at ? [[id, at] as const] : [])));
}

/** What LIKE takes for any sign is meant as it stands. */
const escaped = (word: string): string => word.replace(/[\\%_]/g, sign => `\\${sign}`);

/** What every formula of the kitchen is called, by its id. */
export async function formulaNames(
  db: Queries,
  kitchenId: string,
): Promise<Record<string, { readonly name: string }>> {
  const rows = await db
    .select({ id: formula.id, name: formula.name })
    .from(formula)
    .where(eq(formula.kitchenId, kitchenId))
    .orderBy(asc(formula.name));
  return Object.fromEntries(rows.map(({ id, name }) => [id, { name }]));
}

/** Some formulas at their current version, by id; those that are not here are left out. */
export async function documentsOf(
  db: Queries,
  kitchenId: string,
  ids: readonly string[],
): Promise<Record<string, FormulaDocument>> {
  if (!ids.length) return {};
  const rows = await db
    .select({ id: formula.id, document: formulaVersion.document })
    .from(formula)
    .innerJoin(formulaVersion, eq(formulaVersion.id, formula.currentVersionId))
    .where(and(eq(formula.kitchenId, kitchenId), inArray(formula.id, [...ids])));
  return Object.fromEntries(rows.map(row => [row.id, valueOf(readFormula(row.document))]));
}

/** A card of the Book, as its list shows it. */
export interface CookedVersion {
  readonly versionId: string;
  readonly formulaId: string;
  readonly name: string;
  readonly number: number;
  readonly state: StoredFormula["state"];
  readonly editedBy: string;
  /** Finished ones. */
  readonly batches: number;
}

/**
 * Versions that were cooked or signed, by name: the standard of each first, what is retired last, else the newest first.
 */
export async function listCooked(
  db: Queries,
  kitchenId: string,
  {
    search,
    state = null,
    from = 0,
    most = 1000,
  }: { search?: Search; state?: StoredFormula["state"] | null; from?: number; most?: number } = {},
): Promise<{ readonly cards: readonly CookedVersion[]; readonly of: number }> {
  const mine = and(
    eq(formulaVersion.kitchenId, kitchenId),
    isNotNull(formulaVersion.shelvedAt),
    (search && matches(search)) ?? undefined,
    state === null ? undefined : eq(formulaVersion.state, state),
    search?.family ? eq(formulaVersion.family, search.family) : undefined,
  );
  const found = await db
    .select({
      versionId: formulaVersion.id,
      formulaId: formula.id,
      name: formula.name,
      number: formulaVersion.number,
      state: formulaVersion.state,
      editedBy: person.name,
      // Counted on the way: the index is not asked twice.
      of: sql<number>`count(*) over ()`.mapWith(Number),
    })
    .from(formulaVersion)
    .innerJoin(formula, eq(formula.id, formulaVersion.formulaId))
    .innerJoin(person, eq(person.id, formulaVersion.editedBy))
    .where(mine)
    .orderBy(
      asc(formula.name),
      sql`field(${formulaVersion.state}, 'standard', 'trial', 'draft', 'retired')`,
      desc(formulaVersion.number),
    )
    .limit(most)
    .offset(from);
  const shown = found.map(({ of: _, ...card }) => card);
  const of =
    found[0]?.of ??
    (from ? ((await db.select({ n: count() }).from(formulaVersion).where(mine))[0]?.n ?? 0) : 0);
  // Of those on the page only: a ledger of many batches is not read.
  const cooked = await batchesOfEach(
    db,
    shown.map(card => card.versionId),
  );
  return {
    cards: shown.map(card => ({ ...card, batches: cooked.get(card.versionId) ?? 0 })),
    of,
  };
}

async function batchesOfEach(db: Queries, versionIds: readonly string[]): Promise<Map<string, number>> {
  if (!versionIds.length) return new Map();
  const rows = await db
    .select({ of: batch.formulaVersionId, n: count() })
    .from(batch)
    .where(inArray(batch.formulaVersionId, [...versionIds]))
    .groupBy(batch.formulaVersionId);
  return new Map(rows.map(({ of, n }) => [of, n]));
}

/** From now on a version stands in the Book; one that stands there already keeps its day. */
export async function shelve(tx: Queries, versionId: string, now: Date): Promise<void> {
  await tx
    .update(formulaVersion)
    .set({ shelvedAt: now })
    .where(and(eq(formulaVersion.id, versionId), isNull(formulaVersion.shelvedAt)));
}

/** Writes down what versions of before that was kept are found by. */
export async function fillSearched(db: Queries): Promise<void> {
  for (;;) {
    const rows = await db
      .select({ id: formulaVersion.id, document: formulaVersion.document })
      .from(formulaVersion)
      .where(isNull(formulaVersion.searched))
      .limit(200);
    if (!rows.length) return;
    for (const { id, document } of rows) {
      const read = readFormula(document);
      await db
        .update(formulaVersion)
        .set({ searched: read.ok ? searchedOf(read.value) : "" })
        .where(eq(formulaVersion.id, id));
    }
  }
}

/**
 * Writes a new formula as its version 1. Whoever sends it names its id: sent twice because an answer got lost, it is
 * made once.
 * @returns its id; nothing is written where the kitchen has one of that id
 */
export async function insertFormula(
  db: Queries,
  input: { id?: string; kitchenId: string; document: FormulaDocument; personId: string; now: Date },
): Promise<string> {
  const id = input.id ?? ulid();
  const versionId = ulid();
  const { kitchenId, document, personId, now } = input;
  const made = await inserted(
    db
      .insert(formula)
      .values({ id, kitchenId, name: document.name, currentVersionId: versionId, rowVersion: 1 }),
  );
  if (!made) return id;
  await raiseNames(db, kitchenId);
  await db.insert(formulaVersion).values({
    id: versionId,
    kitchenId,
    formulaId: id,
    number: 1,
    state: "draft",
    parentId: null,
    ...contentOf(document),
    editedBy: personId,
    editedAt: now,
    frozenAt: null,
  });
  await recordAudit(db, {
    kitchenId,
    personId,
    now,
    what: "formula.created",
    subject: id,
    detail: { name: document.name },
  });
  return id;
}

export type SaveOutcome =
  | { readonly ok: true; readonly saved: StoredFormula }
  | { readonly ok: false; readonly current: StoredFormula };

/**
 * Saves an edit that started from `rowVersion`. A version that was cooked stays as it is: the edit becomes the next
 * version. If somebody else saved meanwhile nothing is written and their version comes back; an edit that is there already,
 * because it was sent again when its answer got lost, is saved.
 */
export async function saveFormula(
  db: Database,
  input: {
    kitchenId: string;
    id: string;
    rowVersion: number;
    document: FormulaDocument;
    personId: string;
    now: Date;
  },
): Promise<SaveOutcome | null> {
  const { kitchenId, id, document, personId, now } = input;
  const done = await db.transaction(async tx => {
    const [before] = await tx.select({ name: formula.name }).from(formula).where(eq(formula.id, id));
    const [locked] = await tx
      .update(formula)
      .set({ rowVersion: input.rowVersion + 1, name: document.name })
      .where(
        and(eq(formula.id, id), eq(formula.kitchenId, kitchenId), eq(formula.rowVersion, input.rowVersion)),
      );
    if (locked.affectedRows === 0) return false;
    const current = await findFormula(tx, kitchenId, id);
    if (!current) return false;
    if (before?.name !== document.name) await raiseNames(tx, kitchenId);
    const content = { ...contentOf(document), editedBy: personId, editedAt: now };
    if (current.frozen) {
      const versionId = ulid();
      await tx.insert(formulaVersion).values({
        ...content,
        id: versionId,
        kitchenId,
        formulaId: id,
        number: await nextNumber(tx, id),
        state: "draft",
        parentId: current.versionId,
        frozenAt: null,
      });
      await tx.update(formula).set({ currentVersionId: versionId }).where(eq(formula.id, id));
    } else await tx.update(formulaVersion).set(content).where(eq(formulaVersion.id, current.versionId));
    await recordAudit(tx, {
      kitchenId,
      personId,
      now,
      what: "formula.saved",
      subject: id,
      detail: { rowVersion: input.rowVersion + 1 },
    });
    return true;
  });
  const stored = await findFormula(db, kitchenId, id);
  if (!stored) return null;
  const there =
    stored.rowVersion === input.rowVersion + 1 && checksumOf(stored.document) === checksumOf(document);
  return done || there ? { ok: true, saved: stored } : { ok: false, current: stored };
}

/** Numbers run on, whichever version one starts from. */
export async function nextNumber(db: Queries, formulaId: string): Promise<number> {
  const [row] = await db
    .select({ most: sql<number>`max(${formulaVersion.number})`.mapWith(Number) })
    .from(formulaVersion)
    .where(eq(formulaVersion.formulaId, formulaId));
  return (row?.most ?? 0) + 1;
}

/** Every version of a formula, newest first. */
export async function listVersions(db: Queries, kitchenId: string, id: string): Promise<StoredFormula[]> {
  const rows = await joined(db)
    .where(and(eq(formula.kitchenId, kitchenId), eq(formula.id, id)))
    .orderBy(desc(formulaVersion.number));
  return rows.map(toStored);
}
