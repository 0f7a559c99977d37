import { parseAmount, parseTemperature, readNumber } from "../ground/quantity";
import { type Problem, type Result, ok, refuse } from "../ground/result";
import { type SumField, labelOf } from "./field";
import {
  type TypedWorld,
  bad,
  readAim,
  readHeat,
  readSize,
  readTarget,
  readVessel,
  same,
} from "./typed-values";

/** What a cook types in a field of a sum, and what stands there when its value is known already. */

/** Between the cells of one row of a list: nothing a cook types. */
export const CELL = "\t";

/** Reads what was typed in a field. An empty one is left out. */
export function readTyped(field: SumField, text: string, world: TypedWorld): Result<unknown> {
  const typed = text.trim();
  if (!typed) return ok(undefined);
  if (field.typed === "list") return readRows(field, text, world);
  if (field.typed === "json" || /^[[{]/.test(typed)) return readJson(field, typed);
  switch (field.typed) {
    case "choice":
      return readChoice(field, typed);
    case "text":
    case "ingredient":
      return ok(typed);
    case "yes-no":
      return readYesNo(field, typed);
    case "target":
      return readTarget(field, typed);
    case "aim":
      return readAim(field, typed);
    case "size":
      return readSize(field, typed);
    case "vessel":
      return readVessel(field, typed, world);
    case "heat":
      return readHeat(field, typed);
    case "group":
      return readRow(field, text, world);
    case "pairs":
      return readPairs(field, typed);
    case "names":
      return ok(
        typed
          .split(/[,;\n]/)
          .map(name => name.trim())
          .filter(Boolean),
      );
    case "numbers":
      return readNumbers(field, typed);
    case "number":
      return readQuantity(field, typed);
  }
}

function readJson(field: SumField, text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text) as unknown);
  } catch {
    return bad(field, text, "a bracket or a comma is missing.");
  }
}

function readChoice(field: SumField, text: string): Result<unknown> {
  const found = field.choices.find(([value, words]) => same(String(value), text) || same(words, text));
  // What is none of them is for the sum to refuse: it knows them all.
  return ok(found ? found[0] : text);
}

const YES = /^(y|yes|true|1|on)$/i;
const NO = /^(n|no|false|0|off)$/i;
const readYesNo = (field: SumField, text: string): Result<boolean> =>
  YES.test(text) ? ok(true) : NO.test(text) ? ok(false) : bad(field, text, "yes or no?");

/** Units that mean another in which a field may be typed as well, and how many of the field’s own one of them is. */
const ALSO: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  min: { min: 1, mins: 1, minutes: 1, h: 60, hours: 60, hour: 60 },
  h: { h: 1, hours: 1, hour: 1, min: 1 / 60, minutes: 1 / 60 },
  mm: { mm: 1, cm: 10 },
  "0–1": { "%": 0.01 },
  Pa: { pa: 1, hpa: 100 },
};

/** A number in the field's own unit, or with a unit that can be turned into it. */
function readQuantity(field: SumField, text: string): Result<unknown> {
  const number = readNumber(text, field.name);
  if (!number.ok) return number;
  const { value } = number.value;
  const unit = number.value.rest.trim();
  if (!unit || (field.unit && same(unit, field.unit))) return ok(value);
  if (field.unit === "°C" && /^°?\s*[CF]$/i.test(unit)) {
    const t = parseTemperature(text, field.name);
    return t.ok ? ok(t.value.exactC as number) : t;
  }
  const times = ALSO[field.unit ?? ""]?.[unit.toLowerCase()];
  if (times !== undefined) return ok(value * times);
  if (field.unit === "g" || field.unit === "ml") {
    const amount = parseAmount(text, { field: field.name });
    if (!amount.ok) return amount;
    if (field.unit === "g" && amount.value.kind === "mass") return ok(amount.value.massG as number);
    if (field.unit === "ml" && amount.value.kind === "volume") return ok(amount.value.volumeMl as number);
    return bad(
      field,
      text,
      `this wants ${field.unit === "g" ? "a weight in g or kg" : "a volume in ml or l"}.`,
    );
  }
  if (field.said.some(word => same(word, unit))) return ok(value);
  return bad(field, text, `“${unit}” is not its unit${field.unit ? `; type it in ${field.unit}` : ""}.`);
}

function readNumbers(field: SumField, text: string): Result<number[]> {
  const numbers: number[] = [];
  for (const word of text.split(/\s+|;|,(?=\s)/).filter(Boolean)) {
    const read = readNumber(word, field.name);
    if (!read.ok || read.value.rest.trim()) return bad(field, text, `“${word}” is no number.`);
    numbers.push(read.value.value);
  }
  return ok(numbers);
}

/** "water 87, fat 3,5": a name and its number each. */
function readPairs(field: SumField, text: string): Result<unknown> {
  const pairs: [string, number][] = [];
  for (const pair of text
    .split(/[\n;]|,(?!\d)/)
    .map(p => p.trim())
    .filter(Boolean)) {
    const found = /^([\p{L} ]+?)[\s:=]+([\d.,]+)\s*(?:%|g)?$/u.exec(pair);
    const number = found && readNumber(found[2] ?? "", field.name);
    if (!found?.[1] || !number?.ok)
      return bad(field, text, `“${pair}” should be a part and its number, such as fat 3.5.`);
    pairs.push([found[1], number.value.value]);
  }
  return ok(Object.fromEntries(pairs));
}

/** The rows of a list: one a line, or behind a semicolon. */
export const rowsOf = (text: string): string[] => {
  // "0 60, 120 21,4": a comma and a blank part the readings, a comma alone is a decimal one.
  const pairs = /[\t\n;]/.test(text) ? [] : text.trim().split(/,\s+/);
  if (pairs.length > 1 && pairs.every(pair => /^-?[\d.,]*\d(?:\s+-?[\d.,]*\d)+$/.test(pair))) return pairs;
  return text.split(text.includes(CELL) ? "\n" : /[\n;]|,(?=\s*\p{L})/u).filter(row => row.trim());
};

/** The cells of a row, as the grid keeps them or as one types them in one line: "yolk 36", "0 85". */
export function cellsOf(field: SumField, row: string): string[] {
  if (row.includes(CELL)) return row.split(CELL).map(cell => cell.trim());
  const text = row.trim();
  if (field.columns.length < 2) return [text];
  const wordFirst = field.columns[0]?.typed !== "number";
  const named = wordFirst ? /^(.*?[^\s\d])[\s:=]+(\d[\d.,]*\s*\p{L}*)$/u.exec(text) : null;
  return named ? [named[1] ?? "", named[2] ?? ""] : wordFirst ? [text] : text.split(/\s+/);
}

function readRows(field: SumField, text: string, world: TypedWorld): Result<unknown[]> {
  const problems: Problem[] = [];
  const rows = rowsAsTyped(text).map((row, i) => {
    const read = readRow(field, row, world, `line ${i + 1}: `);
    if (!read.ok) problems.push(...read.problems);
    return read.ok ? read.value : null;
  });
  return problems.length ? refuse(...problems) : ok(rows);
}

/** A list that was pasted as JSON is taken as it is; entries in JSON may stand one a line. */
const rowsAsTyped = (text: string): string[] =>
  text.trim().startsWith("[")
    ? ((tryJson(text) as unknown[] | undefined)?.map(entry => JSON.stringify(entry)) ?? [text])
    : /^\s*\{/.test(text)
      ? text.split("\n").filter(row => row.trim())
      : rowsOf(text);

function tryJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** One entry: its cells in the order of the columns, or JSON. */
function readRow(field: SumField, row: string, world: TypedWorld, where = ""): Result<unknown> {
  const wrong = (said: string) =>
    refuse({
      code: "NOT_UNDERSTOOD",
      field: field.name,
      value: row,
      message: `${field.title}, ${where}“${row.replaceAll(CELL, " ").trim()}” ${said}`,
    });
  if (/^\s*[[{]/.test(row)) {
    const read = tryJson(row);
    return read === undefined ? wrong("has a bracket or a comma missing.") : ok(read);
  }
  const cells = cellsOf(field, row);
  if (cells.length > field.columns.length)
    return wrong(`says more than was asked: ${field.columns.map(labelOf).join(", then ")}.`);
  const entry: Record<string, unknown> = {};
  let whole: unknown = entry;
  for (const [i, column] of field.columns.entries()) {
    const cell = cells[i] ?? "";
    const read = readTyped(column, cell, world);
    if (!read.ok) return wrong(`was not understood. ${read.problems[0]?.message ?? ""}`);
    if (read.value === undefined) {
      if (!column.optional)
        return wrong(`lacks ${labelOf(column).toLowerCase()}${field.hint ? ` (${field.hint})` : ""}.`);
    } else if (column.path.length === 0) whole = read.value;
    else put(entry, column.path, read.value);
  }
  return ok(whole);
}

function put(entry: Record<string, unknown>, [key = "", ...rest]: readonly string[], value: unknown): void {
  if (rest.length === 0) entry[key] = value;
  else put((entry[key] ??= {}) as Record<string, unknown>, rest, value);
}

/** All that was typed, as the input of a sum; every field that cannot be read is told. */
export function readTexts(
  fields: readonly SumField[],
  texts: Readonly<Record<string, string>>,
  world: TypedWorld,
): Result<Record<string, unknown>> {
  const input: Record<string, unknown> = {};
  const problems: Problem[] = [];
  for (const field of fields) {
    const read = readTyped(field, texts[field.name] ?? "", world);
    if (!read.ok) problems.push(...read.problems.map(p => ({ ...p, field: field.name })));
    else if (read.value !== undefined) input[field.name] = read.value;
  }
  return problems.length ? refuse(...problems) : ok(input);
}
