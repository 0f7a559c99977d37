import type { z } from "zod";

/** How a field of a sum is typed, where its schema alone does not say it. */
export type Typed =
  | "number"
  | "choice"
  | "yes-no"
  | "text"
  | "ingredient"
  | "vessel"
  | "heat"
  | "target"
  | "aim"
  | "size"
  | "list"
  | "group"
  | "pairs"
  | "names"
  | "numbers"
  | "json";

/** What a field says of itself to whoever asks for it: panel, palette, command line, interface. */
export interface FieldMeta {
  /** In a cook’s words, without the unit. */
  readonly title?: string;
  readonly unit?: string;
  readonly typed?: Typed;
  /** What an entry looks like. */
  readonly hint?: string;
  /** A cook’s words for each choice. */
  readonly words?: Readonly<Record<string, string>>;
  /** Fields of one name say the same thing in different ways: one of them is given, never two. */
  readonly oneOf?: string;
  /** Columns of a list or group, in the order they are asked; all of its entries’ own where it says nothing. */
  readonly columns?: readonly string[];
  /** Words that after a number mean this field: "40 covers". */
  readonly said?: readonly string[];
}

declare module "zod" {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface GlobalMeta extends FieldMeta {}
}

/** A field with all that is known of it. */
export interface SumField {
  readonly name: string;
  /** Where its value stands: its name, or for a column the way to it from its row. */
  readonly path: readonly string[];
  readonly title: string;
  readonly unit: string | undefined;
  readonly typed: Typed;
  readonly hint: string | undefined;
  readonly choices: readonly (readonly [value: string | number, words: string])[];
  readonly oneOf: string | undefined;
  readonly columns: readonly SumField[];
  readonly said: readonly string[];
  readonly optional: boolean;
}

type Schema = z.ZodType & {
  readonly shape?: Readonly<Record<string, Schema>>;
  readonly element?: Schema;
  readonly options?: readonly unknown[];
};

/** A schema without its optional and default wrappings. */
function bare(schema: Schema): Schema {
  let at = schema;
  for (let inner = innerOf(at); inner; inner = innerOf(at)) at = inner;
  return at;
}
const innerOf = (schema: Schema): Schema | undefined => (schema.def as { innerType?: Schema }).innerType;

/** What a field says of itself, on whichever of its wrappings. */
function metaOf(schema: Schema): FieldMeta {
  let meta: FieldMeta = {};
  for (let at: Schema | undefined = schema; at; at = innerOf(at)) meta = { ...at.meta(), ...meta };
  return meta;
}

const plainWords = (choice: string): string => choice.replaceAll("-", " ");

function choicesIn(schema: Schema, words: FieldMeta["words"]): SumField["choices"] {
  const { type } = schema.def;
  const options =
    type === "enum"
      ? (schema.options as readonly string[])
      : type === "literal"
        ? (schema.def as unknown as { values: readonly (string | number)[] }).values
        : type === "union"
          ? (schema.options as readonly Schema[]).flatMap(o =>
              choicesIn(o, undefined).map(([value]) => value),
            )
          : [];
  return options.map(value => [value, words?.[String(value)] ?? plainWords(String(value))] as const);
}

function typedAs(schema: Schema): Typed {
  const { type } = schema.def;
  switch (type) {
    case "boolean":
      return "yes-no";
    case "string":
      return "text";
    case "enum":
    case "literal":
      return "choice";
    case "object":
      return "group";
    case "record":
      return "pairs";
    case "array": {
      const of = schema.element && bare(schema.element).def.type;
      return of === "number" ? "numbers" : of === "string" ? "names" : "list";
    }
    case "union":
      return choicesIn(schema, undefined).length ? "choice" : "json";
    case "number":
      return "number";
    default:
      return "json";
  }
}

/** Every value an entry of a list holds, those of its groups too, each with the way to it. */
function columnsOf(schema: Schema, path: readonly string[] = []): SumField[] {
  const { shape } = schema;
  if (!shape) return [fieldOf("", path, schema)];
  return Object.entries(shape).flatMap(([name, inner]) => {
    const at = [...path, name];
    return bare(inner).def.type === "object" && !metaOf(inner).typed
      ? columnsOf(bare(inner), at)
      : [fieldOf(name, at, inner)];
  });
}

function fieldOf(name: string, path: readonly string[], schema: Schema): SumField {
  const meta = metaOf(schema);
  const inner = bare(schema);
  const typed = meta.typed ?? typedAs(inner);
  const within =
    typed === "list" && inner.element
      ? columnsOf(bare(inner.element))
      : typed === "group"
        ? columnsOf(inner)
        : [];
  const { columns } = meta;
  return {
    name,
    path,
    title: meta.title ?? plainWords(name),
    unit: meta.unit,
    typed,
    hint: meta.hint,
    choices: choicesIn(inner, meta.words),
    oneOf: meta.oneOf,
    columns: columns
      ? columns.flatMap(wanted => within.find(c => c.path.join(".") === wanted) ?? [])
      : within,
    said: meta.said ?? [],
    optional: schema.safeParse(undefined).success,
  };
}

const known = new WeakMap<z.ZodType, readonly SumField[]>();

/** The fields of an input, in the order they are written. */
export function fieldsOf(input: z.ZodType): readonly SumField[] {
  const found = known.get(input);
  if (found) return found;
  const fields = Object.entries((input as Schema).shape ?? {}).map(([name, schema]) =>
    fieldOf(name, [name], schema),
  );
  known.set(input, fields);
  return fields;
}

/** What stands in front of a field: "Bones, g". */
export const labelOf = ({ title, unit }: Pick<SumField, "title" | "unit">): string =>
  unit ? `${title}, ${unit}` : title;

/** A field in a sentence: "bones (g)"; the last of a path that has a name. */
export function named(input: z.ZodType, path: readonly PropertyKey[]): string {
  let at: Schema | undefined = input as Schema;
  let words = "the input";
  for (const key of path) {
    const inner: Schema | undefined = at && bare(at);
    at = typeof key === "number" ? inner?.element : shapeOf(inner)?.[String(key)];
    if (typeof key === "number") continue;
    const meta = at ? metaOf(at) : {};
    const title = (meta.title ?? plainWords(String(key))).replace(/^or /i, "");
    words = meta.unit ? `${title} (${meta.unit})` : title;
  }
  return words.charAt(0).toLowerCase() + words.slice(1);
}

/** Of several shapes all names are known: which was meant is not. */
function shapeOf(schema: Schema | undefined): Readonly<Record<string, Schema>> | undefined {
  if (schema?.def.type !== "union") return schema?.shape;
  return Object.assign(
    {},
    ...(schema.options as readonly Schema[]).map(option => shapeOf(bare(option)) ?? {}),
  ) as Record<string, Schema>;
}

/** The words of the choices a field has, where it has any. */
export function choicesAt(input: z.ZodType, path: readonly PropertyKey[]): SumField["choices"] {
  let at: Schema | undefined = input as Schema;
  for (const key of path) {
    const inner: Schema | undefined = at && bare(at);
    at = typeof key === "number" ? inner?.element : shapeOf(inner)?.[String(key)];
  }
  return at ? choicesIn(bare(at), metaOf(at).words) : [];
}
