import { checkLength, checkName } from "~/core/ground/names";
import { readNumber } from "~/core/ground/quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "~/core/ground/result";

/**
 * What a form asks, said once: a name to each field and how its text is read.
 *
 *     readForm(form, { altitudeM: must(number("Altitude"), "How high does it stand?"), … })
 *
 * Numbers go through the one reader of the house (comma or point, a fraction; “1,200” is asked about), and every
 * field that is wrong is named at once. The forms are read at the server, so that they work before any script has come.
 */
export type Field<T> = (form: FormData, name: string) => Result<T>;

type Values<F> = { [K in keyof F]: F[K] extends Field<infer T> ? T : never };

const textIn = (form: FormData, name: string): string => {
  const value = form.get(name);
  return typeof value === "string" ? value.trim() : "";
};

/**
 * The values of all fields, or all that is wrong.
 * @param also - what only shows when fields are seen together; a field that could not be read is missing there
 */
export function readForm<const F extends Readonly<Record<string, Field<unknown>>>>(
  form: FormData,
  fields: F,
  also?: (values: Partial<Values<F>>) => readonly Problem[],
): Result<Values<F>> {
  const problems: Problem[] = [];
  const values: Record<string, unknown> = {};
  for (const [name, field] of Object.entries(fields)) {
    const read = field(form, name);
    if (read.ok) values[name] = read.value;
    else problems.push(...read.problems);
  }
  // Each value came from the field of its name.
  const typed = values as Values<F>;
  problems.push(...(also?.(typed) ?? []));
  return problems.length ? refuse(...problems) : ok(typed);
}

/** One text as a number. @errors NOT_FINITE · NOT_UNDERSTOOD something stands behind it · AMBIGUOUS as `readNumber` */
export function numberOf(text: string, field: string, label: string): Result<number> {
  const read = readNumber(text, field);
  if (read.ok && !read.value.rest.trim()) return ok(read.value.value, read.warnings);
  if (!read.ok && read.problems[0]?.code === "AMBIGUOUS") return read;
  return refuse({
    code: read.ok ? "NOT_UNDERSTOOD" : "NOT_FINITE",
    field,
    value: text,
    message: `${label}: “${text}” is not a number.`,
  });
}

/** A number within its limits. An empty field is `null`, never 0. @errors those of `numberOf` · NEGATIVE · OUT_OF_RANGE */
export const number =
  (label: string, limits?: { min?: number; max?: number; unit?: string }): Field<number | null> =>
  (form, name) => {
    const text = textIn(form, name);
    if (!text) return ok(null);
    const read = numberOf(text, name, label);
    if (!read.ok || !limits) return read;
    const problems = checkNumber(read.value, name, label, limits);
    return problems.length ? refuse(...problems) : read;
  };

/** A field that may not stay empty, and what is asked if it does. @errors MISSING */
export const must =
  <T>(field: Field<T | null>, question: string): Field<T> =>
  (form, name) => {
    const read = field(form, name);
    if (!read.ok) return read;
    return read.value === null
      ? refuse({ code: "MISSING", field: name, message: question })
      : ok(read.value, read.warnings);
  };

/** What counts where nothing was typed. */
export const usually =
  <T>(field: Field<T | null>, value: T): Field<T> =>
  (form, name) => {
    const read = field(form, name);
    return read.ok ? ok(read.value ?? value, read.warnings) : read;
  };

/** What a thing is called. @errors MISSING · OUT_OF_RANGE */
export const calledBy =
  (longest?: number): Field<string> =>
  (form, name) => {
    const text = textIn(form, name);
    const problems = checkName(text, name, longest);
    return problems.length ? refuse(...problems) : ok(text);
  };

/** Free words. @errors OUT_OF_RANGE */
export const words =
  (label: string, longest?: number): Field<string> =>
  (form, name) => {
    const text = textIn(form, name);
    const problems = checkLength(text, name, label, longest);
    return problems.length ? refuse(...problems) : ok(text);
  };

/** A time of the day in minutes, as "18:00" or "7.30"; `null` where nothing is typed. @errors NOT_UNDERSTOOD */
export const timeOfDay =
  (label: string): Field<number | null> =>
  (form, name) => {
    const text = textIn(form, name);
    if (!text) return ok(null);
    const found = /^(\d{1,2})[:.](\d{2})$/.exec(text);
    const minutes = found && Number(found[2]) < 60 ? Number(found[1]) * 60 + Number(found[2]) : NaN;
    return minutes >= 0 && minutes <= 1440
      ? ok(minutes)
      : refuse({
          code: "NOT_UNDERSTOOD",
          field: name,
          value: text,
          message: `${label}: “${text}” is no time of the day. Type it as 18:00.`,
        });
  };

/** One of a list; `null` for anything else. */
export const oneOf =
  <const T extends string>(all: readonly T[]): Field<T | null> =>
  (form, name) =>
    ok(all.find(known => known === form.get(name)) ?? null);

/** Those of a list that are ticked. */
export const anyOf =
  <const T extends string>(all: readonly T[]): Field<readonly T[]> =>
  (form, name) => {
    const ticked = form.getAll(name);
    return ok(all.filter(known => ticked.includes(known)));
  };

/** A box that is ticked or not. */
export const ticked: Field<boolean> = (form, name) => ok(["on", "yes"].includes(textIn(form, name)));

/** Words parted by commas, semicolons or lines. */
export const list: Field<readonly string[]> = (form, name) =>
  ok(
    textIn(form, name)
      .split(/[,;\n]/)
      .map(word => word.trim())
      .filter(Boolean),
  );
