import { parseAmount, parseTemperature, readNumber } from "../ground/quantity";
import {
  BURNER_KINDS,
  BURNER_LABELS,
  parseReductionTarget,
  reductionTargetSchema,
  targetInWords,
} from "../laws/reduction";
import { type Problem, type Result, ok, refuse } from "../ground/result";
import type { Vessel } from "../things/vessel";
import { type SumField, labelOf } from "./field";

/** What a cook types in a field of a sum, and what stands there when its value is known already. */

/** Pots that can be named. */
export interface TypedWorld {
  readonly vessels: readonly Pick<Vessel, "id" | "name">[];
}

/** Between the cells of one row of a list: nothing a cook types. */
export const CELL = "\t";

const bad = (field: SumField, text: string, message: string): Result<never> =>
  refuse({
    code: "NOT_UNDERSTOOD",
    field: field.name,
    value: text,
    message: `${labelOf(field)}: ${message}`,
  });

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

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

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

/** What a sauce can be aimed at, as it is said: "salt 0.9", "body 45". */
const AIMS = { body: "thickness", salt: "saltPct", acid: "acidPct", fat: "fatPct" } as const;

function readAim(field: SumField, text: string): Result<unknown> {
  const aim = /^(body|salt|acid|fat)\s*(?:to\s*)?([\d.,]+)\s*%?$/i.exec(text);
  const what = aim?.[1]?.toLowerCase() as keyof typeof AIMS | undefined;
  const number = aim && readNumber(aim[2] ?? "", field.name);
  return what && number?.ok
    ? ok({ [AIMS[what]]: number.value.value })
    : bad(field, text, "say salt 0.9, body 45, acid 0.3 or fat 12.");
}

function readTarget(field: SumField, text: string): Result<unknown> {
  const brix = /^(?:to\s*)?([\d.,]+)\s*°?\s*(?:bx|brix)$/i.exec(text);
  if (brix) {
    const number = readNumber(brix[1] ?? "", field.name);
    return number.ok ? ok({ brix: number.value.value }) : number;
  }
  return parseReductionTarget(
    text,
    amount => {
      const fraction = /^(\d+)\s*\/\s*(\d+)$/.exec(amount.trim());
      if (fraction) return ok({ share: Number(fraction[1]) / Number(fraction[2]) });
      const read = parseAmount(amount, { field: field.name });
      if (!read.ok) return read;
      return read.value.kind === "share" ? ok({ share: read.value.pct / 100 }) : ok(read.value);
    },
    field.name,
  );
}

/** "× 2", "8 kg finished", "8 kg of the base", "40 × 60 g". */
function readSize(field: SumField, text: string): Result<unknown> {
  const times = /^(?:×|x)?\s*([\d.,/½¼¾⅓⅔]+)\s*(?:times|×|x)?$/i.exec(text);
  if (times) {
    const factor = readNumber(times[1] ?? "", field.name);
    return factor.ok ? ok({ factor: factor.value.value }) : factor;
  }
  const covers = /^(\d+)\s*(?:covers\s*(?:of|at|à)?|×|x)\s*(.+)$/i.exec(text);
  const of = /^(.+?)\s*(finished|(?:of the )?base)$/i.exec(text);
  const read = parseAmount(covers?.[2] ?? of?.[1] ?? text, { field: field.name });
  if (!read.ok || read.value.kind !== "mass" || (!covers && !of))
    return bad(field, text, "× 2, 8 kg finished, 8 kg of the base, or 40 × 60 g.");
  const massG = read.value.massG as number;
  if (covers) return ok({ covers: Number(covers[1]), portionG: massG });
  return ok(/finished/i.test(of?.[2] ?? "") ? { finishedG: massG } : { baseG: massG });
}

/** A pot of the kit by the name on its handle or its id, or "320 × 300 mm" for a straight one. */
function readVessel(field: SumField, text: string, { vessels }: TypedWorld): Result<unknown> {
  const own = vessels.find(v => same(v.name, text) || v.id === text);
  if (own) return ok({ id: own.id });
  const measures = /^(\d+(?:[.,]\d+)?)\s*(?:x|×|by|\/)\s*(\d+(?:[.,]\d+)?)\s*(mm|cm)?$/i.exec(text);
  if (measures) {
    const factor = same(measures[3] ?? "mm", "cm") ? 10 : 1;
    const [d, h] = [measures[1], measures[2]].map(n => Number((n ?? "").replace(",", ".")) * factor);
    return ok({ shape: "cylinder", diameterMm: d, heightMm: h });
  }
  const flared = /^(\d+)\s*[–-]\s*(\d+)\s*(?:x|×)\s*(\d+)\s*(?:mm)?$/i.exec(text);
  if (flared) {
    const [baseMm, rimMm, heightMm] = flared.slice(1).map(Number);
    return ok({ shape: "frustum", baseMm, rimMm, heightMm });
  }
  return bad(
    field,
    text,
    "choose a vessel of the kit, or type a straight one as 320 × 300 mm, a flared one as 220–300 × 80 mm.",
  );
}

/** "open burner 60 %", "1200 W", "88 °C", "40 g/min". */
function readHeat(field: SumField, text: string): Result<unknown> {
  const [, name = text, percent] = /^(.*?)\s*(?:\bat\s*)?(\d+)\s*%$/i.exec(text) ?? [];
  const burner = BURNER_KINDS.find(kind => same(kind, name) || same(BURNER_LABELS[kind], name));
  if (burner) return ok({ burner, ...(percent && { setting: Number(percent) / 100 }) });
  const number = readNumber(text, field.name);
  const unit = number.ok ? number.value.rest.trim().toLowerCase() : "";
  if (number.ok) {
    const { value } = number.value;
    if (/^w(atts?)?$/.test(unit)) return ok({ watts: value });
    if (/^°?\s*c$/.test(unit)) return ok({ holdC: value });
    if (/^g\s*\/\s*min$/.test(unit)) return ok({ boilsOffGPerMin: value });
  }
  return bad(field, text, "a burner with its share, 1200 W, 88 °C or 40 g/min.");
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
export const rowsOf = (text: string): string[] =>
  text.split(text.includes(CELL) ? "\n" : /[\n;]|,(?=\s*\p{L})/u).filter(row => row.trim());

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

/** A value of an input as the text it is typed as. */
export function textOf(field: SumField, value: unknown, world: TypedWorld): string {
  if (value === undefined || value === null) return "";
  const { typed } = field;
  if (typed === "list" && Array.isArray(value))
    return value.map(entry => rowText(field, entry, world)).join("\n");
  if (typed === "group") return rowText(field, value, world);
  if (typed === "choice") return String(value);
  if (typeof value === "number") return String(Number(value.toFixed(6)));
  if (typeof value === "string") return value;
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (Array.isArray(value)) return value.join(typed === "names" ? ", " : " ");
  const object = value as Record<string, unknown>;
  switch (typed) {
    case "vessel":
      return vesselText(object, world);
    case "heat":
      return heatText(object);
    case "target":
      return targetText(object);
    case "aim":
      return (
        Object.entries(AIMS)
          .filter(([, key]) => key in object)
          .map(([words, key]) => `${words} ${String(object[key])}`)[0] ?? JSON.stringify(value)
      );
    case "size":
      return sizeText(object);
    case "pairs":
      return Object.entries(object)
        .map(([name, x]) => `${name} ${String(x)}`)
        .join(", ");
    default:
      return JSON.stringify(value);
  }
}

/** An entry as its cells; one that holds more than the columns show is JSON. */
function rowText(field: SumField, entry: unknown, world: TypedWorld): string {
  const shown = field.columns.map(column => {
    const value = column.path.reduce<unknown>(
      (at, key) => (at as Record<string, unknown> | undefined)?.[key],
      entry,
    );
    return [value, textOf(column, value, world)] as const;
  });
  const leaves = countLeaves(entry, field);
  return leaves > shown.filter(([value]) => value !== undefined).length
    ? JSON.stringify(entry)
    : shown
        .map(([, text]) => text)
        .join(CELL)
        .replace(/\t+$/, "");
}

/** How many values of an entry there are to show: what one column holds is one. */
function countLeaves(entry: unknown, field: SumField, path: readonly string[] = []): number {
  if (field.columns.some(c => c.path.join(".") === path.join("."))) return 1;
  if (typeof entry !== "object" || entry === null) return 1;
  return Object.entries(entry).reduce(
    (sum, [key, value]) => sum + countLeaves(value, field, [...path, key]),
    0,
  );
}

function targetText(target: Record<string, unknown>): string {
  const share = reductionTargetSchema.safeParse(target);
  if (share.success && ("by" in share.data || "to" in share.data))
    return targetInWords(share.data).replace(/ \(.*/, "");
  if (typeof target.endG === "number") return `to ${target.endG} g`;
  if (typeof target.endMl === "number") return `to ${target.endMl} ml`;
  if (typeof target.brix === "number") return `to ${target.brix} °Bx`;
  return JSON.stringify(target);
}

function vesselText(vessel: Record<string, unknown>, { vessels }: TypedWorld): string {
  if (typeof vessel.id === "string") return vessels.find(v => v.id === vessel.id)?.name ?? vessel.id;
  if (vessel.shape === "cylinder") return `${String(vessel.diameterMm)} × ${String(vessel.heightMm)} mm`;
  if (vessel.shape === "frustum")
    return `${String(vessel.baseMm)}–${String(vessel.rimMm)} × ${String(vessel.heightMm)} mm`;
  return JSON.stringify(vessel);
}

function heatText(heat: Record<string, unknown>): string {
  const burner = BURNER_KINDS.find(kind => kind === heat.burner);
  if (burner && heat.overlap !== undefined && heat.overlap !== 1) return JSON.stringify(heat);
  if (burner)
    return `${BURNER_LABELS[burner]}${typeof heat.setting === "number" && heat.setting < 1 ? ` ${Math.round(heat.setting * 100)} %` : ""}`;
  if (typeof heat.watts === "number") return `${heat.watts} W`;
  if (typeof heat.holdC === "number") return `${heat.holdC} °C`;
  if (typeof heat.boilsOffGPerMin === "number") return `${heat.boilsOffGPerMin} g/min`;
  return JSON.stringify(heat);
}

function sizeText(to: Record<string, unknown>): string {
  if (typeof to.factor === "number") return `× ${to.factor}`;
  if (typeof to.finishedG === "number") return `${to.finishedG} g finished`;
  if (typeof to.baseG === "number") return `${to.baseG} g of the base`;
  return typeof to.covers === "number" && to.overagePct === undefined
    ? `${to.covers} × ${String(to.portionG)} g`
    : JSON.stringify(to);
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

/** The input of an example as texts, each in the field it belongs to. */
export const textsOf = (
  fields: readonly SumField[],
  input: Readonly<Record<string, unknown>>,
  world: TypedWorld,
): Record<string, string> =>
  Object.fromEntries(
    fields.flatMap(field =>
      input[field.name] === undefined ? [] : [[field.name, textOf(field, input[field.name], world)] as const],
    ),
  );

/** What stands in for what was not said: nothing that says again, in another way, what was. */
export const besides = (
  fields: readonly SumField[],
  example: Readonly<Record<string, unknown>>,
  said: Readonly<Record<string, unknown>>,
): Record<string, unknown> => {
  const answered = new Set(fields.flatMap(f => (f.oneOf && said[f.name] !== undefined ? [f.oneOf] : [])));
  const taken = fields.filter(f => f.oneOf && answered.has(f.oneOf)).map(f => f.name);
  return {
    ...Object.fromEntries(Object.entries(example).filter(([name]) => !taken.includes(name))),
    ...said,
  };
};
