import { data } from "react-router";
import { ulid } from "ulid";
import { blankFormula } from "~/core/formula";
import { checkName } from "~/core/ground/names";
import { requirePerson } from "../../people/person.server";
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
  const name = String(form.get("name") ?? "").trim();
  const problem = name ? checkName(name)[0] : undefined;
  if (problem) return data({ problem: problem.message }, { status: 422 });
  const blank = blankFormula(name || "New formula", { name: "base", massG: 1000 });
  return createFormula(section, blank, form);
}
