import { readNumber } from "~/core/ground/quantity";
import { type Result, ok, refuse } from "~/core/ground/result";

/**
 * A number as cooks type it in a form: comma or point, a fraction. An empty field is `null`, never 0.
 * @errors NOT_FINITE · NOT_UNDERSTOOD something stands behind it · AMBIGUOUS as `readNumber`
 */
export function numberInForm(form: FormData, field: string, label: string): Result<number | null> {
  const text = String(form.get(field) ?? "").trim();
  if (!text) return ok(null);
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
