import type { Result } from "~/core/ground/result";

/** A form as a browser sends it; a list becomes several fields of one name. */
export function form(fields: Readonly<Record<string, string | readonly string[]>>): FormData {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields))
    for (const one of typeof value === "string" ? [value] : value) data.append(name, one);
  return data;
}

/** Every refusal as "field CODE". */
export const refusals = (result: Result<unknown>): string[] =>
  result.ok ? [] : result.problems.map(p => `${p.field} ${p.code}`);
