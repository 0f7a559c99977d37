import { checkPrice } from "~/core/things/larder";
import { type Result, ok } from "~/core/ground/result";
import type { PricePoint } from "~/data";
import { must, number, readForm, words } from "../form.server";

/** A price from a day on. @errors each field that cannot be read */
export function readPriceForm(form: FormData): Result<PricePoint> {
  const read = readForm(
    form,
    {
      perKg: must(number("The price"), "What does a kilogram cost?"),
      since: words("The day"),
      currency: words("The currency"),
      sourceText: words("The source"),
    },
    ({ perKg, since = "", currency = "" }) =>
      // What could not be read is said already.
      checkPrice({ perKg: perKg ?? 0, currency: currency.toUpperCase(), on: since }),
  );
  if (!read.ok) return read;
  const { perKg, since, currency, sourceText } = read.value;
  return ok({
    perKg,
    since,
    currency: currency.toUpperCase(),
    source: { mark: "measured", text: sourceText || "as invoiced" },
  });
}
