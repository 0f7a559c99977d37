import { ulid } from "ulid";
import { type YieldReading, checkYield } from "~/core/learning";
import { type Result, ok } from "~/core/ground/result";
import { must, number, oneOf, readForm } from "../form.server";

/** What came of so much of an ingredient. @errors each field that cannot be read, and more trimmed than there was */
export function readYieldForm(form: FormData, ingredientId: string): Result<YieldReading> {
  const read = readForm(
    form,
    {
      yieldFrom: must(number("What it was"), "How much was it?"),
      yieldGot: must(number("What it gave"), "What did it give, in grams?"),
      yieldWhat: must(oneOf(["trimmed", "per piece"]), "Say whether it was weighed or counted."),
    },
    ({ yieldFrom = 0, yieldGot = 0, yieldWhat = "trimmed" }) =>
      checkYield({ what: yieldWhat, from: yieldFrom ?? 0, gotG: yieldGot ?? 0 }),
  );
  if (!read.ok) return read;
  const { yieldFrom, yieldGot, yieldWhat } = read.value;
  return ok({ id: ulid(), ingredientId, what: yieldWhat, from: yieldFrom, gotG: yieldGot });
}
