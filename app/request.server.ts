import { data } from "react-router";
import { readJson } from "~/core/ground/json";

/** The form of a request. What did not arrive whole is refused with a sentence, never a broken page. */
export async function formOf(request: Request): Promise<FormData> {
  const form = await request.formData().catch(() => null);
  if (!form) throw data("This did not arrive whole. Nothing was changed; send it again.", { status: 400 });
  return form;
}

/** The JSON of a request, checked as `readJson` does. */
export async function jsonOf(request: Request): Promise<unknown> {
  const read = readJson(await request.text().catch(() => ""));
  if (!read.ok) throw data(read.problems[0]?.message, { status: 400 });
  return read.value;
}

/** The fields of a form as text, the last of a name; under names of its own only. */
export const fieldsOf = (form: FormData): Record<string, string> =>
  Object.fromEntries([...form.entries()].map(([key, value]) => [key, String(value)]));

/** Every field of a form as text, with all values of a name. */
export function listsOf(form: FormData): Record<string, string[]> {
  const lists = new Map<string, string[]>();
  for (const [key, value] of form.entries())
    if (typeof value === "string") lists.set(key, [...(lists.get(key) ?? []), value]);
  return Object.fromEntries(lists);
}
