import { database, findPhoto } from "~/data";
import type { Route } from "./+types/photo";
import { sectionContext } from "../context.server";

/** A kept picture: it never changes, and is for this kitchen only. */
export async function loader({ context, params }: Route.LoaderArgs): Promise<Response> {
  const { kitchenId, person } = context.get(sectionContext);
  const jpeg = person && (await findPhoto(database().db, kitchenId, params.photoId));
  if (!jpeg) return new Response("There is no such picture in this kitchen.", { status: 404 });
  return new Response(new Uint8Array(jpeg), {
    headers: { "Content-Type": "image/jpeg", "Cache-Control": "private, max-age=31536000, immutable" },
  });
}
