import { LONGEST_WORDS, checkLength } from "~/core/ground/names";
import { checkPrice } from "~/core/things/larder";
import { readNumber } from "~/core/ground/quantity";
import { type Result, ok, refuse } from "~/core/ground/result";
import type { PricePoint } from "~/data";

/** A price from a day on. @errors each field that cannot be read */
export function readPriceForm(form: FormData): Result<PricePoint> {
  const text = (field: string) => String(form.get(field) ?? "").trim();
  const number = readNumber(text("perKg") || "-", "perKg");
  const perKg = number.ok && !number.value.rest.trim() ? number.value.value : NaN;
  const since = text("since");
  const currency = text("currency").toUpperCase();
  const source = text("sourceText");
  const problems = [
    ...checkPrice({ perKg, currency, on: since }),
    ...checkLength(source, "sourceText", "The source", LONGEST_WORDS),
  ];
  if (problems.length) return refuse(...problems);
  return ok({ perKg, since, currency, source: { mark: "measured", text: source || "as invoiced" } });
}
