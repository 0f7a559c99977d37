import { redirect } from "react-router";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/first-day";
import { firstDay } from "./day.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  return redirect(`/day/${await firstDay(requirePerson(context, request))}`);
}
