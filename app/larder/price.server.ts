import { LONGEST_WORDS, checkLength } from "~/core/ground/names";
import { checkPrice } from "~/core/things/larder";
import { type Result, ok, refuse } from "~/core/ground/result";
import type { PricePoint } from "~/data";
import { numberInForm } from "../number-in-form.server";

/** A price from a day on. @errors each field that cannot be read */
export function readPriceForm(form: FormData): Result<PricePoint> {
  const text = (field: string) => String(form.get(field) ?? "").trim();
  const number = numberInForm(form, "perKg", "The price");
  const perKg = (number.ok ? number.value : null) ?? NaN;
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
