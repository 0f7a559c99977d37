import { data, redirect } from "react-router";
import { offeredTo } from "~/core/things/larder/reference/offered";
import { database, importIngredients } from "~/data";
import type { Route } from "./+types/larder";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { formOf } from "../request.server";

/** How much the reference larder has that this kitchen has not. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const { entries, named } = offeredTo((await snapshotOf(requirePerson(context, request))).ingredients);
  return { entries: entries.length, named: named.length };
}

/** Takes over what the reference larder has and this kitchen lacks; its own values stay as they are. */
export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  if (form.get("intent") !== "take over")
    return data({ problem: "That is nothing the larder can do." }, { status: 422 });
  const { entries, named } = offeredTo((await snapshotOf(section)).ingredients);
  const change = { kitchenId: section.kitchenId, personId: section.person.id, now: new Date() };
  if (entries.length + named.length) await importIngredients(database().db, change, [...entries, ...named]);
  return redirect("/larder");
}
