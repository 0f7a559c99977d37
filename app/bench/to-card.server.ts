import { data, redirect } from "react-router";
import { database, findFormula } from "~/data";
import type { Route } from "./+types/to-card";
import { requirePerson } from "../people/person.server";

/** The card of what stands on the Bench now: which version that is changes with every first edit of a frozen one. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const formula = await findFormula(database().db, kitchenId, params.formulaId);
  if (!formula) throw data("There is no such formula on this Bench.", { status: 404 });
  return redirect(`/book/${formula.versionId}`);
}
