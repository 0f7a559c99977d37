import { data } from "react-router";
import { FACT_IDS } from "~/core/ground/facts";
import { database, markOf, saveFact } from "~/data";
import type { Route } from "./+types/figures";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { readFactForm } from "./kitchen-forms.server";
import { changedMeanwhile } from "./meanwhile.server";
import { factText } from "./fact-text";
import type { KitReply } from "./kit-reply";
import { fieldsOf, formOf } from "../request.server";

/** The figures of the kitchen; one of them, `?figure=…`, is open to be changed. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const { facts } = await snapshotOf(requirePerson(context, request));
  const asked = new URL(request.url).searchParams.get("figure");
  const id = FACT_IDS.find(known => known === asked);
  return { facts, open: id ? { id, seen: markOf(facts[id]) } : null };
}

export async function action({ context, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const form = await formOf(request);
  const values = fieldsOf(form);
  const read = readFactForm(form);
  if (!read.ok) return data<KitReply>({ problems: read.problems, values }, { status: 422 });
  const { id, value } = read.value;
  const change = { kitchenId, personId: person.id, now: new Date() };
  const kept = await saveFact(database().db, change, id, value, String(form.get("seen") ?? ""));
  if (!kept.kept) {
    const said = (own: number | null) => (own === null ? "the usual figure" : factText(own));
    return data<KitReply>(
      { problems: [changedMeanwhile(`own-${id}`, said(kept.theirs), said(value))], values },
      { status: 409 },
    );
  }
  return data<KitReply>({
    problems: [],
    values: { id },
    said: value === null ? "Back to the usual figure." : "Kept. Every sum counts with it from now on.",
  });
}
