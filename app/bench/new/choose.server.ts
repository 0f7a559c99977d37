import { data, redirect } from "react-router";
import { ulid } from "ulid";
import { basisOf, blankFormula } from "~/core/formula";
import { improvisedFormula } from "~/core/run";
import { database, findFormula, insertFormula, startRun } from "~/data";
import { kitchenFor } from "../../kitchen/kitchen.server";
import { clockTime, dayOf } from "../../text/format";
import { checkName } from "~/core/ground/names";
import { type SectionWithPerson, requirePerson } from "../../people/person.server";
import type { Route } from "./+types/choose";
import { createFormula } from "./create.server";
import { formOf } from "../../request.server";

export function loader({ context, request }: Route.LoaderArgs) {
  requirePerson(context, request);
  return { newId: ulid() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  if (form.get("intent") === "just-cook") return justCook(section);
  const name = String(form.get("name") ?? "").trim();
  const problem = name ? checkName(name)[0] : undefined;
  if (problem) return data({ problem: problem.message }, { status: 422 });
  const blank = blankFormula(name || "New formula", { name: "base", massG: 1000 });
  return createFormula(section, blank, form);
}

/** A pot without a formula: what is logged of it becomes one. */
async function justCook(section: SectionWithPerson) {
  const { kitchenId, person } = section;
  const { db } = database();
  const now = new Date();
  const kitchen = await kitchenFor(section, []);
  const document = improvisedFormula(
    `Improvised, ${dayOf(now, kitchen.timeZone)} ${clockTime(now, kitchen.timeZone)}`,
  );
  const id = await insertFormula(db, { id: ulid(), kitchenId, document, personId: person.id, now });
  const stored = await findFormula(db, kitchenId, id);
  if (!stored) throw data("The formula was not kept.", { status: 500 });
  const runId = await startRun(db, {
    kitchenId,
    formulaId: id,
    formulaVersionId: stored.versionId,
    baseG: document.base.massG,
    burnerId: kitchen.defaultBurnerId,
    personId: person.id,
    now,
    basis: basisOf(document, kitchen),
  });
  return redirect(`/stove/${runId}`);
}
