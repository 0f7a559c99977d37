import { parse } from "csv-parse/sync";
import { stringify } from "csv-stringify/sync";
import {
  ALLERGEN_IDS,
  COMPOSITION_TOTALS,
  type Carries,
  DIET_FLAGS,
  type Ingredient,
  checkIngredient,
  ingredientSchema,
} from "~/core/things/larder";
import { readJson } from "~/core/ground/json";
import { idFor } from "~/core/ground/names";
import { type Problem } from "~/core/ground/result";

/** The larder in open formats: one row an ingredient as CSV, whole entries as JSON. Described in docs/formats.md. */

const PARTS = [...COMPOSITION_TOTALS, "collagen", "volatileAcid"] as const;
const COLUMNS = [
  "id",
  "name",
  "aliases",
  ...PARTS,
  "phase",
  "solidKind",
  "densityGPerMl",
  "ediblePct",
  "juicePct",
  "boughtStock",
  "packName",
  "packG",
  "allergens",
  "diet",
  "measures",
  "carries",
  "pricePerKg",
  "currency",
  "priceSince",
  "sourceMark",
  "source",
] as const;
const LIST = "; ";
const NOT_ENTERED = "not entered";

const rowOf = (i: Ingredient): Record<(typeof COLUMNS)[number], string | number> => ({
  id: i.id,
  name: i.name,
  aliases: i.aliases.join(LIST),
  ...(Object.fromEntries(PARTS.map(part => [part, i.composition[part]])) as Record<
    (typeof PARTS)[number],
    number
  >),
  phase: i.phase,
  solidKind: i.solidKind ?? "",
  densityGPerMl: i.densityGPerMl ?? "",
  ediblePct: i.ediblePct,
  juicePct: i.juicePct ?? "",
  boughtStock: i.boughtStock ? "yes" : "",
  packName: i.pack?.name ?? "",
  packG: i.pack?.massG ?? "",
  allergens: i.allergens === null ? NOT_ENTERED : i.allergens.join(LIST),
  diet: i.diet.join(LIST),
  measures: i.measures.map(m => `${m.name}=${m.massG}(${m.loG}-${m.hiG})`).join(LIST),
  carries: carriesInWords(i.carries),
  pricePerKg: i.price?.perKg ?? "",
  currency: i.price?.currency ?? "",
  priceSince: i.price?.on ?? "",
  sourceMark: i.compositionSource.mark,
  source: i.compositionSource.text,
});

/** What keeps its own nature, as `key=value` each: "thickener=corn", "phase=vinegar; acids=malic:0.7+citric:0.3". */
const carriesInWords = (carries: Carries | undefined): string =>
  Object.entries(carries ?? {})
    .map(([key, value]) =>
      typeof value === "object"
        ? `${key}=${Object.entries(value)
            .map(([acid, share]) => `${acid}:${share}`)
            .join("+")}`
        : `${key}=${value === true ? "yes" : value}`,
    )
    .join(LIST);

/** The same read back; what it may hold is checked with the whole entry. */
function carriesFrom(words: readonly string[]): Record<string, unknown> | undefined {
  const entries = words.map((word): [string, unknown] => {
    const [key = "", value = ""] = word.split("=").map(part => part.trim());
    if (key === "acids")
      return [
        key,
        Object.fromEntries(
          value.split("+").map(pair => {
            const [acid = "", share] = pair.split(":").map(part => part.trim());
            return [acid, Number(share)];
          }),
        ),
      ];
    if (key === "milk" || key === "puree" || key === "neutral" || key === "whole")
      return [key, /^(yes|true|1)$/i.test(value)];
    return [key, key === "yolkPct" ? Number(value.replace(",", ".")) : value];
  });
  return entries.length ? Object.fromEntries(entries) : undefined;
}

/** CSV with a byte-order mark; what a spreadsheet would take for a formula is quoted. */
export const larderAsCsv = (larder: readonly Ingredient[]): string =>
  stringify(larder.map(rowOf), { header: true, columns: [...COLUMNS], bom: true, escape_formulas: true });

export const larderAsJson = (larder: readonly Ingredient[]): string =>
  JSON.stringify({ format: "hondaro-larder", version: 1, ingredients: larder }, null, 2);

/** A row as it would come in, or why it cannot. */
export interface ImportRow {
  /** Counted from 1, the header aside. */
  readonly row: number;
  readonly name: string;
  readonly ingredient: Ingredient | null;
  readonly problems: readonly Problem[];
  readonly doubts: readonly string[];
}

export interface ImportPreview {
  readonly rows: readonly ImportRow[];
  /** The file itself could not be read. */
  readonly broken: string | null;
}

const MOST_ROWS = 2000;

/**
 * Reads a larder from CSV or JSON without writing anything.
 * @param larder what is there already: a table that says nothing of what an entry carries, or of how it is sold, leaves that as it is
 */
export function previewImport(text: string, larder: readonly Ingredient[] = []): ImportPreview {
  const trimmed = text.replace(/^\uFEFF/, "").trim();
  if (!trimmed) return { rows: [], broken: "There is nothing in it. Paste a CSV or JSON, or choose a file." };
  return /^[[{]/.test(trimmed) ? fromJson(trimmed) : fromCsv(trimmed, larder);
}

function fromJson(text: string): ImportPreview {
  const read = readJson(text);
  if (!read.ok) return { rows: [], broken: read.problems[0]?.message ?? "This is not JSON." };
  const data = read.value;
  const list = Array.isArray(data)
    ? (data as unknown[])
    : (data as { ingredients?: unknown } | null)?.ingredients;
  if (!Array.isArray(list)) return { rows: [], broken: "There is no list “ingredients” in this JSON." };
  if (list.length > MOST_ROWS) return tooMany(list.length);
  return limited(
    list.map((raw: unknown, i): ImportRow => {
      const name = nameOf(raw, i);
      const parsed = ingredientSchema.safeParse(raw);
      if (!parsed.success)
        return {
          row: i + 1,
          name,
          ingredient: null,
          doubts: [],
          problems: parsed.error.issues.slice(0, 5).map(issue => ({
            code: "NOT_UNDERSTOOD",
            field: issue.path.join("."),
            message: `${issue.path.join(".") || "the entry"}: ${issue.message}.`,
          })),
        };
      return checked(i + 1, name, parsed.data);
    }),
  );
}

const nameOf = (raw: unknown, i: number): string =>
  typeof raw === "object" && raw !== null && "name" in raw && typeof raw.name === "string"
    ? raw.name
    : `entry ${i + 1}`;

function fromCsv(text: string, larder: readonly Ingredient[]): ImportPreview {
  const firstLine = text.slice(0, text.indexOf("\n") < 0 ? undefined : text.indexOf("\n"));
  const delimiter = [";", "\t", ","].find(d => firstLine.split(d).length > 3) ?? ",";
  let records: Record<string, string>[];
  try {
    records = parse(text, {
      columns: true,
      delimiter,
      skip_empty_lines: true,
      trim: true,
      relax_column_count: true,
      // Counted before they are converted: what is too much costs nothing.
      to: MOST_ROWS + 1,
    });
  } catch (error) {
    return {
      rows: [],
      broken: `This is not a table: ${error instanceof Error ? error.message : "it cannot be read"}.`,
    };
  }
  if (records.length > MOST_ROWS) return tooMany(records.length);
  if (!records.length) return { rows: [], broken: "There is a heading, but no row." };
  if (!("name" in (records[0] ?? {})))
    return { rows: [], broken: "The first row must name the columns, “name” and “water” among them." };
  const known = new Map(larder.map(i => [i.id, i]));
  return limited(records.map((record, i) => csvRow(record, i + 1, id => known.get(id))));
}

const tooMany = (rows: number): ImportPreview => ({
  rows: [],
  broken: `${rows > MOST_ROWS + 1 ? rows : `More than ${MOST_ROWS}`} rows are too many at once; at most ${MOST_ROWS}. Bring them in by parts.`,
});

function limited(rows: readonly ImportRow[]): ImportPreview {
  const seen = new Map<string, number>();
  return {
    broken: null,
    rows: rows.map(row => {
      if (!row.ingredient) return row;
      const before = seen.get(row.ingredient.id);
      seen.set(row.ingredient.id, row.row);
      if (before === undefined) return row;
      const message = `Row ${before} has the same id “${row.ingredient.id}”.`;
      return { ...row, ingredient: null, problems: [{ code: "DUPLICATE", field: "id", message }] };
    }),
  };
}

function csvRow(
  record: Readonly<Record<string, string>>,
  row: number,
  before: (id: string) => Ingredient | undefined,
): ImportRow {
  const problems: Problem[] = [];
  const text = (column: string) => (record[column] ?? "").replace(/^'(?=[=+\-@])/, "").trim();
  const number = (column: string): number | undefined => {
    const value = text(column);
    if (!value) return undefined;
    const read = Number(value.replace(",", "."));
    if (!Number.isFinite(read))
      problems.push({
        code: "NOT_FINITE",
        field: column,
        value,
        message: `${column}: “${value}” is not a number.`,
      });
    return read;
  };
  const list = (column: string) =>
    text(column)
      .split(/[;|]/)
      .map(word => word.trim())
      .filter(Boolean);
  const among = (column: string, all: readonly string[]) =>
    list(column).filter(word => {
      if (all.includes(word)) return true;
      problems.push({
        code: "UNKNOWN_ID",
        field: column,
        value: word,
        message: `${column}: “${word}” is not known; it may be ${all.join(", ")}.`,
      });
      return false;
    });
  const name = text("name");
  if (!name) problems.push({ code: "MISSING", field: "name", message: "name: it is empty." });
  const source = { mark: text("sourceMark") || "measured", text: text("source") || "brought in from a file" };
  const density = number("densityGPerMl");
  const juice = number("juicePct");
  const packG = number("packG");
  const perKg = number("pricePerKg");
  const measures = list("measures").flatMap(word => {
    const found = /^(.+?)=([\d.]+)(?:\(([\d.]+)-([\d.]+)\))?$/.exec(word);
    if (!found?.[1]) {
      problems.push({
        code: "NOT_UNDERSTOOD",
        field: "measures",
        value: word,
        message: `measures: “${word}” should look like piece=150(90-230).`,
      });
      return [];
    }
    const massG = Number(found[2]);
    return [
      {
        name: found[1].trim(),
        massG,
        loG: Number(found[3] ?? massG * 0.75),
        hiG: Number(found[4] ?? massG * 1.25),
        source,
      },
    ];
  });
  const id = text("id") || idFor(name);
  const carries = "carries" in record ? carriesFrom(list("carries")) : before(id)?.carries;
  const pack =
    "packG" in record
      ? packG !== undefined && { name: text("packName") || "pack", massG: packG }
      : before(id)?.pack;
  const raw = {
    id,
    name,
    aliases: list("aliases"),
    composition: Object.fromEntries(PARTS.map(part => [part, number(part) ?? 0])),
    compositionSource: source,
    phase: text("phase") || "liquor",
    ...(text("solidKind") && { solidKind: text("solidKind") }),
    ...(density !== undefined && { densityGPerMl: density, densitySource: source }),
    ediblePct: number("ediblePct") ?? 100,
    edibleSource: source,
    ...(juice !== undefined && { juicePct: juice, juiceSource: source }),
    allergens:
      text("allergens") === NOT_ENTERED || (text("allergens") === "" && !("allergens" in record))
        ? null
        : among("allergens", ALLERGEN_IDS),
    diet: among("diet", DIET_FLAGS),
    measures,
    ...(carries && { carries }),
    ...(text("boughtStock") && { boughtStock: /^(yes|true|1)$/i.test(text("boughtStock")) }),
    ...(pack && { pack }),
    ...(perKg !== undefined && {
      price: {
        perKg,
        currency: text("currency") || "EUR",
        on: text("priceSince") || "1970-01-01",
        source,
      },
    }),
  };
  if (problems.length) return { row, name: name || `row ${row}`, ingredient: null, problems, doubts: [] };
  const parsed = ingredientSchema.safeParse(raw);
  if (!parsed.success)
    return {
      row,
      name,
      ingredient: null,
      doubts: [],
      problems: parsed.error.issues.slice(0, 5).map(issue => ({
        code: "OUT_OF_RANGE",
        field: issue.path.join("."),
        message: `${issue.path.join(".")}: ${issue.message}.`,
      })),
    };
  return checked(row, name, parsed.data);
}

function checked(row: number, name: string, of: Ingredient): ImportRow {
  const found = checkIngredient(of);
  return found.ok
    ? { row, name, ingredient: found.value, problems: [], doubts: found.warnings.map(w => w.message) }
    : { row, name, ingredient: null, problems: found.problems, doubts: [] };
}
