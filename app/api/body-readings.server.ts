import { data } from "react-router";
import { ulid } from "ulid";
import { z } from "zod";
import { openKitchen, sauceOf, servedAtC, walk, finalState } from "~/core/formula";
import type { Problem } from "~/core/ground/result";
import { TEST_IDS, movedTo, readAtC, readThickness } from "~/core/laws/texture";
import { addBodyReading, database, findFormula, undoBodyReading } from "~/data";
import type { Route } from "./+types/body-readings";
import { kitchenFor } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { formOf } from "../request.server";

export interface ReadingReply {
  readonly problems: readonly Problem[];
  readonly said?: string;
}

const number = z.string().transform(text => Number(text.replace(",", ".")));

const readingForm = z.object({
  test: z.enum(TEST_IDS),
  reading: number,
  temperatureC: number,
  newtonian: z.string().optional(),
});

/** Keeps a kitchen test of what a formula makes, beside what the sums had said; or takes one back. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const { db } = database();
  const form = await formOf(request);
  const change = { kitchenId, personId: person.id, now: new Date() };
  if (form.get("intent") === "undo") {
    await undoBodyReading(db, change, String(form.get("id")));
    return data<ReadingReply>({ problems: [], said: "Taken back." });
  }
  const refuse = (...problems: readonly Problem[]) => data<ReadingReply>({ problems }, { status: 422 });
  const stored = await findFormula(db, kitchenId, params.formulaId);
  if (!stored) throw data("There is no such formula in this kitchen.", { status: 404 });
  const kitchen = await kitchenFor(section, [stored.document]);
  const sent = readingForm.safeParse(Object.fromEntries(form));
  if (!sent.success)
    return refuse({
      code: "MISSING",
      field: "reading",
      message: "Say which test, what it read, and how warm it was.",
    });
  const { test, reading, temperatureC, newtonian } = sent.data;
  const read = readThickness({
    test,
    reading,
    options: { temperatureC, ...(newtonian && { newtonian: true }) },
  });
  if (!read.ok) return refuse(...read.problems);
  const opened = openKitchen(kitchen);
  const last = finalState(walk(stored.document, opened).states);
  if (!last?.body)
    return refuse({
      code: "EMPTY",
      field: "reading",
      message: "This formula makes nothing whose body could be read.",
    });
  const sauce = last.body.body ? { state: sauceOf(last.pot, opened.facts), facts: opened.facts } : undefined;
  const moved = movedTo(
    { thickness: read.value.thickness, sd: read.value.sd, atC: readAtC(test, temperatureC, sauce) },
    servedAtC(stored.document),
    sauce,
  );
  await addBodyReading(db, change, params.formulaId, {
    id: ulid(),
    family: stored.document.family,
    formulaName: stored.document.name,
    forecast: last.body.forecast,
    test,
    reading,
    temperatureC,
    measured: Math.min(100, Math.max(0, moved.thickness)),
  });
  return data<ReadingReply>({ problems: [], said: "Kept." });
}
