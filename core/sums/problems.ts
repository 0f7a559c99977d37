import type { z } from "zod";
import type { Problem } from "../ground/result";
import { choicesAt, named } from "./field";

/** What a schema found wrong, in a cook’s words. */

type Issue = z.core.$ZodIssue;

const fieldOf = (path: readonly PropertyKey[]): string => path.map(String).join(".") || "input";

const valueAt = (input: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>(
    (at, key) =>
      typeof at === "object" && at !== null ? (at as Record<PropertyKey, unknown>)[key] : undefined,
    input,
  );

/** All problems of an input, each with its field; a choice among several shapes reports the nearest one. */
export function problemsOf(issues: readonly Issue[], input: unknown, schema: z.ZodType): Problem[] {
  return issues.flatMap(issue => problemOf(issue, input, schema));
}

function problemOf(issue: Issue, input: unknown, schema: z.ZodType): Problem[] {
  const field = fieldOf(issue.path);
  const label = named(schema, issue.path);
  const value = valueAt(input, issue.path);
  const base = { field, value };
  switch (issue.code) {
    case "invalid_type":
      if (value === undefined)
        return [{ ...base, code: "MISSING", message: `${capital(label)} is missing.` }];
      if (issue.expected === "number")
        return [{ ...base, code: "NOT_FINITE", message: `${capital(label)}: please enter a number.` }];
      return [
        { ...base, code: "NOT_UNDERSTOOD", message: `${capital(label)} should be ${aKind(issue.expected)}.` },
      ];
    case "too_small": {
      const least = Number(issue.minimum);
      if (issue.origin === "number" && typeof value === "number" && value < 0 && least >= 0)
        return [
          {
            ...base,
            code: "NEGATIVE",
            allowed: { min: least },
            message: `${capital(label)} cannot be negative: type 0 or more.`,
          },
        ];
      if (issue.origin === "array" || issue.origin === "string")
        return [{ ...base, code: "EMPTY", message: `${capital(label)} is empty.` }];
      return [
        {
          ...base,
          code: "OUT_OF_RANGE",
          allowed: { min: least },
          message: `${capital(label)} is ${String(value)}; it must be ${issue.inclusive === false ? "more than" : "at least"} ${least}.`,
        },
      ];
    }
    case "too_big":
      return [
        {
          ...base,
          code: "OUT_OF_RANGE",
          allowed: { max: Number(issue.maximum) },
          message:
            issue.origin === "number"
              ? `${capital(label)} is ${String(value)}; it must be ${issue.inclusive === false ? "less than" : "at most"} ${String(issue.maximum)}.`
              : `${capital(label)} has too many entries; at most ${String(issue.maximum)}.`,
        },
      ];
    case "invalid_value":
      return [
        {
          ...base,
          code: "UNKNOWN_ID",
          allowed: issue.values,
          message: `${capital(label)}: “${String(value)}” is not one of ${wordsOf(issue, schema)}.`,
        },
      ];
    case "unrecognized_keys":
      return issue.keys.map(key => ({
        field: fieldOf([...issue.path, key]),
        value: valueAt(input, [...issue.path, key]),
        code: "NOT_UNDERSTOOD" as const,
        message: `This sum knows nothing called “${key}”.`,
      }));
    case "invalid_union":
      return nearest(issue, input, schema);
    default:
      return [{ ...base, code: "NOT_UNDERSTOOD", message: `${capital(label)} was not understood.` }];
  }
}

/** Of several shapes the one with the fewest complaints is what was meant. */
function nearest(
  issue: Extract<Issue, { code: "invalid_union" }>,
  input: unknown,
  schema: z.ZodType,
): Problem[] {
  const label = named(schema, issue.path);
  const value = valueAt(input, issue.path);
  if (value === undefined)
    return [{ code: "MISSING", field: fieldOf(issue.path), message: `${capital(label)} is missing.` }];
  const asShape = (issue.errors ?? []).map(errors =>
    errors.map(error => ({ ...error, path: [...issue.path, ...error.path] }) as Issue),
  );
  const weight = (errors: readonly Issue[]) =>
    errors.reduce(
      (sum, e) =>
        sum +
        (e.code === "unrecognized_keys" ? 2 * e.keys.length : e.path.length > issue.path.length ? 1 : 4),
      0,
    );
  const [best] = asShape.sort((a, b) => weight(a) - weight(b));
  if (!best || typeof value !== "object")
    return [
      {
        code: "NOT_UNDERSTOOD",
        field: fieldOf(issue.path),
        value,
        message: `${capital(label)} was not understood.`,
      },
    ];
  return problemsOf(best, input, schema);
}

/** The choices in a cook’s words, each with what is sent for it where that differs. */
function wordsOf(issue: Extract<Issue, { code: "invalid_value" }>, schema: z.ZodType): string {
  const words = new Map(choicesAt(schema, issue.path));
  return issue.values
    .map(value => {
      const said = words.get(value as string) ?? String(value);
      return said === String(value) ? said : `${said} (${String(value)})`;
    })
    .join(", ");
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const aKind = (expected: string): string =>
  ({ string: "a text", boolean: "yes or no", array: "a list", object: "a group of fields" })[expected] ??
  expected;
