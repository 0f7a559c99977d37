import { data } from "react-router";
import { ulid } from "ulid";
import { database, findFormula } from "~/data";
import { drawnOnBy } from "../../kitchen/kitchen.server";
import { requirePerson } from "../../people/person.server";
import type { Route } from "./+types/other-main";
import { createFormula, documentIn } from "./create.server";
import { formOf } from "../../request.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const stored = await findFormula(database().db, section.kitchenId, params.formulaId);
  if (!stored) throw data("There is no such formula in this kitchen.", { status: 404 });
  return { drawnOn: await drawnOnBy(section, [stored.document]), stored, newId: ulid() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  const document = documentIn(String(form.get("document") ?? ""));
  if (!document.ok) return data({ problem: document.problems[0]?.message }, { status: 422 });
  return createFormula(section, document.value, form);
}
