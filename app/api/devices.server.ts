import { database, listDevices } from "~/data";
import type { Route } from "./+types/devices";
import { sectionContext } from "../context.server";
import { shownNow } from "../live/shown-now";

/** What the instruments of this kitchen show now. */
export async function loader({ context }: Route.LoaderArgs): Promise<Response> {
  const { kitchenId, person } = context.get(sectionContext);
  if (!person) return new Response("Say who is cooking first.", { status: 401 });
  return Response.json(shownNow(await listDevices(database().db, kitchenId), Date.now()), {
    headers: { "Cache-Control": "no-store" },
  });
}
