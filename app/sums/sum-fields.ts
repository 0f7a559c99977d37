import { type AnySum, choicesOf, labelOf } from "~/core/sums";
import { type Problem, type Result, ok, refuse } from "~/core/result";
import { readField } from "./read-field";

/** How a field of a sum is typed: as a cook would say it, one line of text each. */
export type FieldKind = "number" | "choice" | "yes-no" | "vessel" | "heat" | "target" | "text" | "lines";

export interface SumField {
  readonly name: string;
  readonly label: string;
  readonly kind: FieldKind;
  readonly choices: readonly string[];
  /** What a line looks like, for lists and shapes. */
  readonly hint: string | undefined;
}

const HINTS: Readonly<Record<string, string>> = {
  readings: "one a line: minutes, then the reading",
  items: "one a line: veal-bones 9000",
  vessels: "pots of the kit, with commas; or 320 × 300 mm",
  parts: "2 1 1, or one a line: yolk 36",
  thickeners: "one a line: flour 60",
  amounts: "with spaces: 101.2 33.3 14.8",
  stillToCome: "one a line: grams, then its salt in per cent",
  acids: "citric 0.08, acetic 0.1",
  puree: "grams, then the solids in it",
  perLitre: "yolks, then grams of cream",
  umami: "glutamate, then nucleotides, per cent",
  names: "with commas",
  composition: "water 87, fat 3.5, protein 3.3 …",
  steps: "",
  previous: "gelatin g, solids g",
  events: "",
};

const TITLES = (sum: AnySum): Record<string, { title?: string }> => {
  const shape =
    (sum.input as unknown as { shape?: Record<string, { meta?: () => { title?: string } | undefined }> })
      .shape ?? {};
  return Object.fromEntries(Object.entries(shape).map(([key, schema]) => [key, titleOf(schema)]));
};

/** The title of a field, also under its optional and default wrappings. */
function titleOf(schema: unknown): { title?: string } {
  let at = schema as
    { meta?: () => { title?: string } | undefined; def?: { innerType?: unknown } } | undefined;
  for (let depth = 0; at && depth < 4; depth++) {
    const title = at.meta?.()?.title;
    if (title) return { title };
    at = at.def?.innerType as typeof at;
  }
  return {};
}

function kindOf(name: string, schema: unknown): FieldKind {
  if (choicesOf(schema)) return "choice";
  if (name === "vessel") return "vessel";
  if (name === "heat") return "heat";
  if (name === "target") return "target";
  if (
    [
      "readings",
      "items",
      "vessels",
      "parts",
      "names",
      "composition",
      "steps",
      "events",
      "previous",
      "thickeners",
      "amounts",
      "stillToCome",
      "acids",
      "puree",
      "perLitre",
      "umami",
    ].includes(name)
  )
    return "lines";
  const type = innermost(schema);
  return type === "boolean"
    ? "yes-no"
    : type === "string"
      ? "text"
      : name === "foaming"
        ? "yes-no"
        : "number";
}

function innermost(schema: unknown): string {
  let at = schema as { type?: string; def?: { type?: string; innerType?: unknown } } | undefined;
  for (let depth = 0; at?.def?.innerType && depth < 4; depth++) at = at.def.innerType as typeof at;
  return at?.def?.type ?? "";
}

/** The fields of a sum, what is asked first first. */
export function fieldsOf(sum: AnySum): { asked: SumField[]; more: SumField[] } {
  const shape = (sum.input as unknown as { shape: Record<string, unknown> }).shape;
  const titles = TITLES(sum);
  const field = (name: string): SumField => ({
    name,
    label: titles[name]?.title ?? labelOf([name]),
    kind: kindOf(name, shape[name]),
    choices: choicesOf(shape[name]) ?? [],
    hint: HINTS[name] || undefined,
  });
  const rest = Object.keys(shape).filter(name => !sum.asks.includes(name));
  return { asked: sum.asks.map(field), more: rest.map(field) };
}

/** What a pair of numbers in `readings` means in a sum. */
const READING_KEYS: Readonly<Record<string, readonly [string, string]>> = {
  "reduce-track": ["min", "netG"],
  plateau: ["min", "brix"],
  "drained-yet": ["min", "g"],
};

/** All that was typed, as the input of the sum; every field that cannot be read is told. Pots of the kit go by name. */
export function readInput(
  sum: AnySum,
  fields: readonly SumField[],
  texts: Readonly<Record<string, string>>,
  vessels: readonly { readonly id: string; readonly name: string }[] = [],
): Result<Record<string, unknown>> {
  const input: Record<string, unknown> = {};
  const problems: Problem[] = [];
  for (const field of fields) {
    const text = texts[field.name] ?? "";
    const named =
      field.kind === "vessel" && vessels.find(v => v.name.toLowerCase() === text.trim().toLowerCase());
    const read = named ? ok({ id: named.id }) : readField(field, text);
    if (!read.ok) problems.push(...read.problems.map(p => ({ ...p, field: field.name })));
    else if (read.value !== undefined) input[field.name] = read.value;
  }
  if (problems.length) return refuse(...problems);
  const keys = READING_KEYS[sum.name] ?? ["min", "c"];
  if (Array.isArray(input.readings))
    input.readings = input.readings.map((r: unknown) =>
      Array.isArray(r) ? { [keys[0]]: r[0] as number, [keys[1]]: r[1] as number } : r,
    );
  return ok(input);
}
