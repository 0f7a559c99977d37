import { parseAmount, parseTemperature, readNumber } from "~/core/quantity";
import { parseReductionTarget } from "~/core/reduction";
import { type Problem, type Result, ok, refuse } from "~/core/result";
import type { SumField } from "./sum-fields";

const bad = (field: SumField, text: string, message: string): Result<never> =>
  refuse({ code: "NOT_UNDERSTOOD", field: field.name, value: text, message });

/** Reads what was typed in a field. An empty one is left out. */
export function readField(field: SumField, text: string): Result<unknown> {
  const typed = text.trim();
  if (!typed) return ok(undefined);
  if (/^[[{]/.test(typed)) {
    const json = readJson(field, typed);
    // Lists may have one such entry a line.
    if (json.ok || field.kind !== "lines") return json;
  }
  switch (field.kind) {
    case "choice":
    case "text":
      return ok(typed);
    case "yes-no":
      return ok(/^(y|yes|true|1|on)$/i.test(typed));
    case "target":
      return readTarget(field, typed);
    case "vessel":
      return readVessel(field, typed);
    case "heat":
      return readHeat(field, typed);
    case "lines":
      return readLines(field, typed);
    case "number":
      return readQuantity(field, typed);
  }
}

function readJson(field: SumField, text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text) as unknown);
  } catch {
    return bad(field, text, `${field.label}: a bracket or a comma is missing.`);
  }
}

/** A number in the field's own unit, or with a unit that can be turned into it. */
function readQuantity(field: SumField, text: string): Result<unknown> {
  const number = readNumber(text, field.name);
  if (!number.ok) return number;
  const unit = number.value.rest.trim();
  if (!unit) return ok(number.value.value);
  if (/C$/.test(field.name) && /^°?\s*[CF]$/i.test(unit)) {
    const t = parseTemperature(text, field.name);
    return t.ok ? ok(t.value.exactC as number) : t;
  }
  if (/Min$|^minutes$/.test(field.name)) {
    if (/^min/i.test(unit)) return ok(number.value.value);
    if (/^h/i.test(unit)) return ok(number.value.value * 60);
  }
  if (/Mm$/.test(field.name) && /^(mm|cm)$/i.test(unit))
    return ok(number.value.value * (/^cm$/i.test(unit) ? 10 : 1));
  if (/^%$/.test(unit)) return ok(/Pct$/.test(field.name) ? number.value.value : number.value.value / 100);
  if (/(G|Ml)$/.test(field.name)) {
    const amount = parseAmount(text, { field: field.name });
    if (!amount.ok) return amount;
    const wanted = /Ml$/.test(field.name) ? "volume" : "mass";
    if (amount.value.kind === wanted)
      return ok(
        amount.value.kind === "volume" ? amount.value.volumeMl : (amount.value as { massG: number }).massG,
      );
    return bad(
      field,
      text,
      `${field.label}: this wants ${wanted === "mass" ? "a weight in g or kg" : "a volume in ml or l"}.`,
    );
  }
  if (/^(h|m|w|pa|hpa|°?c)$/i.test(unit)) return ok(number.value.value * (/^hpa$/i.test(unit) ? 100 : 1));
  return bad(field, text, `${field.label}: “${unit}” is not its unit.`);
}

/** What a sauce can be aimed at, as it is said: "salt 0.9", "body 45". */
const AIMS: Readonly<Record<string, string>> = {
  body: "thickness",
  salt: "saltPct",
  acid: "acidPct",
  fat: "fatPct",
};

function readTarget(field: SumField, text: string): Result<unknown> {
  const aim = /^(body|salt|acid|fat)\s*(?:to\s*)?([\d.,]+)\s*%?$/i.exec(text);
  const key = AIMS[aim?.[1]?.toLowerCase() ?? ""];
  if (aim?.[2] && key) return ok({ [key]: Number(aim[2].replace(",", ".")) });
  const brix = /^(?:to\s*)?([\d.,]+)\s*°?\s*(?:bx|brix)$/i.exec(text);
  if (brix) return ok({ brix: Number((brix[1] ?? "").replace(",", ".")) });
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

/** "tall-1" of the kit, or "320 × 300 mm" for a straight pot. */
function readVessel(field: SumField, text: string): Result<unknown> {
  const measures = /^(\d+(?:[.,]\d+)?)\s*(?:x|×|by|\/)\s*(\d+(?:[.,]\d+)?)\s*(mm|cm)?$/i.exec(text);
  if (measures) {
    const factor = measures[3]?.toLowerCase() === "cm" ? 10 : 1;
    const [d, h] = [measures[1], measures[2]].map(n => Number((n ?? "").replace(",", ".")) * factor);
    return ok({ shape: "cylinder", diameterMm: d, heightMm: h });
  }
  if (/^[a-z0-9-]+$/.test(text)) return ok({ id: text });
  return bad(
    field,
    text,
    `${field.label}: choose a vessel of the kit, or type a straight one as 320 × 300 mm.`,
  );
}

/** "gas-pro 60 %", "1200 W", "88 °C", "40 g/min". */
function readHeat(field: SumField, text: string): Result<unknown> {
  const burner = /^([a-z]+(?:-[a-z]+)+|radiant)\s*(?:(?:at\s*)?(\d+)\s*%)?$/i.exec(text);
  if (burner) return ok({ burner: burner[1], ...(burner[2] && { setting: Number(burner[2]) / 100 }) });
  const number = readNumber(text, field.name);
  if (!number.ok)
    return bad(field, text, `${field.label}: a burner with its share, 1200 W, 88 °C or 40 g/min.`);
  const unit = number.value.rest.trim().toLowerCase();
  if (/^w(atts?)?$/.test(unit)) return ok({ watts: number.value.value });
  if (/^°?\s*c$/.test(unit)) return ok({ holdC: number.value.value });
  if (/^g\s*\/\s*min$/.test(unit)) return ok({ boilsOffGPerMin: number.value.value });
  return bad(field, text, `${field.label}: say W, °C, g/min, or a burner.`);
}

/** One entry a line: numbers, or a word and a number. */
function readLines(field: SumField, text: string): Result<unknown> {
  const lines = text
    .split(/[\n;]/)
    .map(line => line.trim())
    .filter(Boolean);
  const problems: Problem[] = [];
  const numbers = (line: string) => line.split(/[\s,]+/).map(n => Number(n.replace(",", ".")));
  if (field.name === "composition" || field.name === "acids") return readComposition(field, text);
  const pair = PAIRS[field.name];
  if (pair) {
    const [first, second] = numbers(text.trim());
    if (!Number.isFinite(first) || !Number.isFinite(second))
      return bad(field, text, `${field.label}: two numbers, ${field.hint ?? ""}.`);
    return ok({ [pair[0]]: first, [pair[1]]: second });
  }
  const word = NAMED[field.name];
  if (word && /[a-z]/i.test(text)) return readNamed(field, text, word);
  const entries = lines.map((line, i): unknown => {
    const wrong = () =>
      problems.push({
        code: "NOT_UNDERSTOOD",
        field: field.name,
        value: line,
        message: `${field.label}, line ${i + 1}: “${line}” was not understood (${field.hint ?? ""}).`,
      });
    if (line.startsWith("{")) {
      const read = readJson(field, line);
      if (read.ok) return read.value;
      wrong();
      return null;
    }
    if (field.name === "stillToCome") {
      const [massG, saltPct] = numbers(line);
      if (!Number.isFinite(massG) || !Number.isFinite(saltPct)) wrong();
      return { massG, saltPct };
    }
    if (field.name === "vessels") {
      const read = readVessel(field, line);
      if (read.ok) return read.value;
      wrong();
      return null;
    }
    if (field.name === "items") {
      const [kind, mass] = [line.split(/\s+/)[0], Number(line.split(/\s+/)[1])];
      if (!kind || !Number.isFinite(mass)) wrong();
      return { kind, massG: mass };
    }
    const values = numbers(line);
    if (values.some(v => !Number.isFinite(v)) || values.length < 2) wrong();
    return values;
  });
  if (field.name === "parts" || field.name === "amounts") return ok(numbers(text));
  if (field.name === "names")
    return ok(
      text
        .split(/[,;\n]/)
        .map(n => n.trim())
        .filter(Boolean),
    );
  return problems.length ? refuse(...problems) : ok(entries);
}

/** Fields of two numbers, and what each of them is. */
const PAIRS: Readonly<Record<string, readonly [string, string]>> = {
  puree: ["massG", "solidsG"],
  perLitre: ["yolks", "creamG"],
  umami: ["msgPct", "impPct"],
};

/** Lists of a name and its grams, and what the name is called. */
const NAMED: Readonly<Record<string, string>> = { thickeners: "id", parts: "ingredient" };

/** "yolk 36, wine vinegar 30": names with their grams, one a line or with commas between. */
function readNamed(field: SumField, text: string, key: string): Result<unknown> {
  const problems: Problem[] = [];
  const entries = text
    .split(/[\n;]|,(?!\d)/)
    .map(entry => entry.trim())
    .filter(Boolean)
    .map((entry, i) => {
      const found = /^(.+?)[\s:=]+([\d.,]+)\s*g?$/.exec(entry);
      const massG = Number((found?.[2] ?? "").replace(",", "."));
      if (!found?.[1] || !Number.isFinite(massG))
        problems.push({
          code: "NOT_UNDERSTOOD",
          field: field.name,
          value: entry,
          message: `${field.label}, ${i + 1}: “${entry}” should be a name and its grams, such as ${key === "id" ? "flour 60" : "yolk 36"}.`,
        });
      return { [key]: found?.[1] ?? entry, massG };
    });
  return problems.length ? refuse(...problems) : ok(entries);
}

/** "water 87, fat 3.5": a part and its grams per 100 g each. */
function readComposition(field: SumField, text: string): Result<unknown> {
  const pairs = text.split(/[,\n]/).map(pair => pair.trim().split(/\s+/));
  const odd = pairs.find(([name, grams, ...more]) => !name || !Number.isFinite(Number(grams)) || more.length);
  if (odd)
    return bad(
      field,
      text,
      `${field.label}: “${odd.join(" ")}” should be a part and its grams, such as fat 3.5.`,
    );
  return ok(Object.fromEntries(pairs.map(([name, grams]) => [name, Number(grams)])));
}
