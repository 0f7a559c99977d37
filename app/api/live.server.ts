import type { Route } from "./+types/live";
import { sectionContext } from "../context.server";
import { streamOf } from "../live/stream.server";

/** What is logged in this kitchen, as it is kept: `GET /api/live?since=<number>`, server-sent events. */
export function loader({ context, request }: Route.LoaderArgs): Response {
  const { kitchenId, person } = context.get(sectionContext);
  // A stream that is led to a page of names would only break again.
  if (!person) return new Response("Say who is cooking first.", { status: 401 });
  const said = request.headers.get("Last-Event-ID") ?? new URL(request.url).searchParams.get("since");
  const since = said === null || !/^\d{1,15}$/.test(said) ? null : Number(said);
  return streamOf(kitchenId, since, request.signal);
}
