import type { Route } from "./+types/world";
import { kitchenOf } from "../kitchen.server";
import { requirePerson } from "../people/person.server";

/** Larder, kit and air for the quick sums of a page; fetched once it is at rest. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  return Response.json(await kitchenOf(kitchenId));
}
