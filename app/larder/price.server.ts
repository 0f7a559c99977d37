import { z } from "zod";
import { readNumber } from "~/core/quantity";
import { type Problem, type Result, ok, refuse } from "~/core/result";
import type { PricePoint } from "~/data";

const DAY = z.iso.date();
const CURRENCY = /^[A-Z]{3}$/;

/** A price from a day on. @errors each field that cannot be read */
export function readPriceForm(form: FormData): Result<PricePoint> {
  const problems: Problem[] = [];
  const text = String(form.get("perKg") ?? "").trim();
  const number = readNumber(text || "-", "perKg");
  const perKg = number.ok && !number.value.rest.trim() ? number.value.value : NaN;
  if (!(perKg >= 0))
    problems.push({
      code: Number.isNaN(perKg) ? "NOT_FINITE" : "NEGATIVE",
      field: "perKg",
      value: text,
      message: Number.isNaN(perKg)
        ? `“${text}” is not a price. Type it per kilogram, such as 5.80.`
        : "A price cannot be negative.",
    });
  const since = String(form.get("since") ?? "").trim();
  if (!DAY.safeParse(since).success)
    problems.push({
      code: "NOT_UNDERSTOOD",
      field: "since",
      value: since,
      message: "From which day? Type it as 2026-11-23.",
    });
  const currency = String(form.get("currency") ?? "")
    .trim()
    .toUpperCase();
  if (!CURRENCY.test(currency))
    problems.push({
      code: "NOT_UNDERSTOOD",
      field: "currency",
      value: currency,
      message: "Three letters, such as EUR.",
    });
  if (problems.length) return refuse(...problems);
  const source = String(form.get("sourceText") ?? "").trim();
  return ok({ perKg, since, currency, source: { mark: "measured", text: source || "as invoiced" } });
}
