import { data } from "react-router";
import { changedSince, deltaOf, atSize } from "~/core/formula";
import { USUAL_DISPLAY, displaySchema } from "~/core/things/house";
import { g } from "~/core/ground/quantity";
import { batchesOf, database, findVersion, saveDisplay } from "~/data";
import type { Route } from "./+types/card";
import { basisAt, kitchenFor } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { readMass } from "../ui/read";
import { must, number, readForm, words } from "../form.server";
import { formOf } from "../request.server";
import { intervalsInPool } from "../workers/pool.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const { db } = database();
  const version = await findVersion(db, kitchenId, params.versionId);
  if (!version) throw data("There is no such card in the Book.", { status: 404 });
  const [today, kept] = await Promise.all([
    kitchenFor(section, [version.document]),
    version.basisHash ? basisAt(version.basisHash) : null,
  ]);
  const query = new URL(request.url).searchParams;
  const asOfToday = query.get("in") === "today";
  const kitchen = asOfToday || !kept ? today : kept;
  const asked = query.get("base");
  const size = asked === null ? null : readMass("The batch size", "kg")(asked);
  const batches = await batchesOf(db, version.versionId);
  const baseG = size?.ok ? size.value : (batches[0]?.baseG ?? version.document.base.massG);
  const document = atSize(version.document, g(baseG));
  const intervals = await intervalsInPool(document, kitchen);
  return {
    basis: deltaOf(kitchen, today),
    asOfToday,
    since: kept ? changedSince(kept, today, today.formulas) : [],
    version: { ...version, document },
    baseG,
    times: baseG / version.document.base.massG,
    asked,
    refusal: size && !size.ok ? (size.problems[0]?.message ?? null) : null,
    batches,
    intervals,
    display: person.display ?? USUAL_DISPLAY,
    now: Date.now(),
  };
}

/** Keeps how this cook wants amounts shown. */
export async function action({ context, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const read = readForm(await formOf(request), {
    units: words("Units"),
    roundG: must(number("Rounding"), "Rounded to how many grams?"),
  });
  const display = displaySchema.safeParse(read.ok ? read.value : null);
  if (display.success) await saveDisplay(database().db, kitchenId, person.id, display.data);
  return null;
}
