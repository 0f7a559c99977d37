import { createHash } from "node:crypto";
import { type AnyMySqlTable, getTableConfig } from "drizzle-orm/mysql-core";
import { type SQL, asc, getTableColumns, getTableName } from "drizzle-orm";
import { type Problem, type Result, ok, refuse } from "../core/ground/result";
import { completeBatches } from "./complete-batches";
import type { Database, Queries } from "./connection";
import { firstKitchen } from "./kitchens";
import * as schema from "./schema";

/**
 * A kitchen whole, as lines of JSON: a head, a line to each row, a foot with how many there are and the SHA-256 of all lines
 * before it. Nothing that can be worked out anew is in it, nobody’s session, and secrets only where they are asked for.
 */
const FORMAT = "hondaro-kitchen";
const VERSION = 1;

/** In the order in which they are written: what is referred to comes first. */
const TABLES: readonly AnyMySqlTable[] = [
  schema.kitchen,
  schema.person,
  schema.ingredient,
  schema.ingredientPrice,
  schema.vessel,
  schema.burner,
  schema.appliance,
  schema.frozenPart,
  schema.frozenBasis,
  schema.formula,
  schema.formulaVersion,
  schema.signature,
  schema.run,
  schema.runEvent,
  schema.runLog,
  schema.batch,
  schema.batchLine,
  schema.batchCause,
  schema.bodyReading,
  schema.learnedMark,
  schema.yieldReading,
  schema.device,
  schema.photo,
  schema.referencePhoto,
  schema.day,
  schema.menuLine,
  schema.dayPin,
  schema.closedTime,
  schema.dayTick,
  schema.lot,
  schema.lotMovement,
  schema.parLevel,
  schema.coldLog,
  schema.coldEntry,
  schema.leftOver,
  schema.tasting,
  schema.tastingSeat,
  schema.trial,
  schema.audit,
];
const SECRET_TABLES: readonly AnyMySqlTable[] = [schema.credential];
/** What an instrument proves itself with stays behind where secrets do: it is connected anew. */
const NOT_WITHOUT_SECRETS: ReadonlySet<AnyMySqlTable> = new Set([schema.device]);

/** So many rows are read at once: a ledger of years does not stand in memory. */
const ROWS_AT_ONCE = 500;

type Row = Record<string, unknown>;

const isTime = (value: unknown): value is { $time: string } =>
  typeof value === "object" && value !== null && "$time" in value && typeof value.$time === "string";
const isBytes = (value: unknown): value is { $bytes: string } =>
  typeof value === "object" && value !== null && "$bytes" in value && typeof value.$bytes === "string";

const packed = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      value instanceof Date
        ? { $time: value.toISOString() }
        : Buffer.isBuffer(value)
          ? { $bytes: value.toString("base64") }
          : value,
    ]),
  );

const unpacked = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      isTime(value) ? new Date(value.$time) : isBytes(value) ? Buffer.from(value.$bytes, "base64") : value,
    ]),
  );

/** Columns that tell rows apart, for reading them page by page. */
function orderOf(table: AnyMySqlTable): SQL[] {
  const columns = Object.values(getTableColumns(table));
  const key = columns.filter(column => column.primary);
  const { primaryKeys } = getTableConfig(table);
  return (key.length ? key : (primaryKeys[0]?.columns ?? columns)).map(column => asc(column));
}

/** What is kept of a table: what the database works out by itself is not. */
const columnsOf = (table: AnyMySqlTable) =>
  Object.fromEntries(Object.entries(getTableColumns(table)).filter(([, column]) => !column.generated));

/** The lines of an archive of this installation, one after the other. @param secrets passwords, PINs and instruments too */
export async function* archiveLines(db: Queries, now: Date, secrets: boolean): AsyncGenerator<string> {
  const sum = createHash("sha256");
  let rows = 0;
  const said = (line: object): string => {
    const text = `${JSON.stringify(line)}\n`;
    sum.update(text);
    return text;
  };
  yield said({ format: FORMAT, version: VERSION, at: now.toISOString(), secrets });
  const tables = [...TABLES, ...(secrets ? SECRET_TABLES : [])].filter(
    table => secrets || !NOT_WITHOUT_SECRETS.has(table),
  );
  for (const table of tables) {
    const name = getTableName(table);
    for (let from = 0; ; from += ROWS_AT_ONCE) {
      const part: Row[] = await db
        .select(columnsOf(table))
        .from(table)
        .orderBy(...orderOf(table))
        .limit(ROWS_AT_ONCE)
        .offset(from);
      for (const row of part) {
        rows += 1;
        yield said({ table: name, row: packed(row) });
      }
      if (part.length < ROWS_AT_ONCE) break;
    }
  }
  yield `${JSON.stringify({ end: true, rows, sha256: sum.digest("hex") })}\n`;
}

/** What an archive holds, before anything of it is written. */
export interface ArchiveContents {
  readonly at: string;
  readonly secrets: boolean;
  readonly kitchens: readonly string[];
  /** Who may sign, by id: somebody has to be able to come in. */
  readonly chefs: readonly { readonly id: string; readonly name: string; readonly login: string }[];
  /** Rows by table. */
  readonly rows: Readonly<Record<string, number>>;
}

const BY_NAME = new Map([...TABLES, ...SECRET_TABLES].map(table => [getTableName(table), table]));

const broken = (line: number, why: string): Result<never> => {
  const problem: Problem = {
    code: "NOT_UNDERSTOOD",
    field: `line ${line}`,
    message: `Line ${line} of the archive: ${why} Nothing was brought in.`,
  };
  return refuse(problem);
};

const thing = (value: unknown): Row | null =>
  typeof value === "object" && value !== null && !Array.isArray(value) ? (value as Row) : null;

/**
 * Reads an archive through and through: every line, the count and the sum. Nothing is written.
 * @errors NOT_UNDERSTOOD with the line and why
 */
export async function checkArchive(lines: AsyncIterable<string>): Promise<Result<ArchiveContents>> {
  const sum = createHash("sha256");
  const rows: Record<string, number> = {};
  const kitchens: string[] = [];
  const chefs: ArchiveContents["chefs"][number][] = [];
  let head: Row | null = null;
  let total = 0;
  let n = 0;
  let ended = false;
  for await (const line of lines) {
    n += 1;
    if (ended) return broken(n, "something stands behind its end.");
    let value: Row | null;
    try {
      value = thing(JSON.parse(line));
    } catch {
      value = null;
    }
    if (!value) return broken(n, "it is no line of an archive; the file is cut off or spoiled.");
    if (!head) {
      if (value.format !== FORMAT) return broken(n, "this is no kitchen taken away from Hondaro.");
      if (value.version !== VERSION)
        return broken(
          n,
          `it was written by another version (${String(value.version)}); this one reads ${VERSION}.`,
        );
      head = value;
    } else if (value.end === true) {
      ended = true;
      if (value.rows !== total)
        return broken(n, `${String(value.rows)} rows were written, ${total} are there.`);
      if (value.sha256 !== sum.digest("hex"))
        return broken(n, "its sum does not hold: something in it was changed.");
      continue;
    } else {
      const table = String(value.table);
      const row = thing(value.row);
      if (!BY_NAME.has(table) || !row) return broken(n, `there is nothing called “${table}” in a kitchen.`);
      rows[table] = (rows[table] ?? 0) + 1;
      total += 1;
      if (table === "kitchen") kitchens.push(String(row.name));
      if (table === "person" && row.rank === "chef" && row.leftAt == null)
        chefs.push({ id: String(row.id), name: String(row.name), login: String(row.login) });
    }
    sum.update(`${line}\n`);
  }
  if (!head || !ended) return broken(n, "the file ends before its end; it is cut off.");
  if (!kitchens.length) return broken(n, "there is no kitchen in it.");
  return ok({ at: String(head.at), secrets: head.secrets === true, kitchens, chefs, rows });
}

/**
 * Writes a checked archive into an installation that has no kitchen yet, all of it or nothing.
 * @returns `false` where a kitchen is there already: nothing of it is overwritten
 */
export async function restoreArchive(db: Database, lines: AsyncIterable<string>): Promise<boolean> {
  return db.transaction(async tx => {
    if (await firstKitchen(tx)) return false;
    let waiting: Row[] = [];
    let of: AnyMySqlTable | null = null;
    const write = async () => {
      if (of && waiting.length) await tx.insert(of).values(waiting as never);
      waiting = [];
    };
    for await (const line of lines) {
      const { table, row } = JSON.parse(line) as { table?: string; row?: Row };
      const next = table === undefined ? null : (BY_NAME.get(table) ?? null);
      if (!next || !row) continue;
      if (next !== of || waiting.length >= ROWS_AT_ONCE / 5) {
        await write();
        of = next;
      }
      waiting.push(unpacked(row));
    }
    await write();
    await completeBatches(tx);
    return true;
  });
}
