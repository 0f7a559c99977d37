import { data } from "react-router";
import { ulid } from "ulid";
import { requirePerson } from "../../people/person.server";
import type { Route } from "./+types/from-words";
import { createFormula, documentIn } from "./create.server";
import { formOf } from "../../request.server";

export function loader({ context, request }: Route.LoaderArgs) {
  requirePerson(context, request);
  return { newId: ulid() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  const document = documentIn(String(form.get("document") ?? ""));
  if (!document.ok) return data({ problem: document.problems[0]?.message }, { status: 422 });
  return createFormula(section, document.value, form);
}
