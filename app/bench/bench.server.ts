import { data, redirect } from "react-router";
import { ulid } from "ulid";
import { database, findFormula, lineWeighings } from "~/data";
import type { Route } from "./+types/bench";
import { drawnOnBy } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { cook, saveEdit } from "./save.server";
import { formOf, jsonOf } from "../request.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const { db } = database();
  const [stored, weighed] = await Promise.all([
    findFormula(db, kitchenId, params.formulaId),
    lineWeighings(db, kitchenId, params.formulaId),
  ]);
  if (!stored) throw data("There is no such formula in this kitchen.", { status: 404 });
  const drawnOn = await drawnOnBy(section, [stored.document]);
  // A draft that waits on a device is one cook’s.
  const whose = `${kitchenId}.${person.id}.${stored.id}`;
  return { drawnOn, stored, weighed, whose, newRunId: ulid() };
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  if (request.headers.get("Content-Type")?.includes("json")) {
    const { reply, status } = await saveEdit(section, params.formulaId, await jsonOf(request));
    return data(reply, { status });
  }
  const form = await formOf(request);
  const reply = await cook(section, params.formulaId, form);
  return "runId" in reply ? redirect(`/stove/${reply.runId}`) : data(reply, { status: 422 });
}
