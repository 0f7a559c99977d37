import type { Route } from "./+types/larder";
import { requirePerson } from "../people/person.server";

export function loader({ context, request }: Route.LoaderArgs) {
  requirePerson(context, request);
  return null;
}
