import { data } from "react-router";
import { database, tick, ticksOf } from "~/data";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/lists";
import { askedDay } from "./day.server";
import { plannedDay } from "./day-plan.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const [{ plan }, ticks] = await Promise.all([
    plannedDay(section, date),
    ticksOf(database().db, section.kitchenId, date),
  ]);
  return {
    date,
    lists: plan.ok ? plan.value.lists : null,
    problems: plan.ok ? [] : plan.problems.map(p => p.message),
    ticks,
    people: section.people,
  };
}

const LONGEST_ITEM = 160;

/** Ticks one thing off, or back on; the moment is the one at which it was pressed, whenever the network brings it. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const form = await request.formData();
  const item = String(form.get("item") ?? "").slice(0, LONGEST_ITEM);
  const at = new Date(Number(form.get("at")) || Date.now());
  if (!item || Number.isNaN(at.getTime())) throw data("Nothing was ticked.", { status: 400 });
  const now = new Date();
  await tick(database().db, { kitchenId: section.kitchenId, personId: section.person.id, now }, date, {
    item,
    done: form.get("done") === "yes",
    // A clock that runs ahead must not hold later ticks back.
    at: at > now ? now : at,
  });
  return { done: true };
}
