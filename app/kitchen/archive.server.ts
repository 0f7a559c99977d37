import { archiveLines, database } from "~/data";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/archive";

/** The whole kitchen as one file, without anybody’s secrets: taken away by a chef, brought into an empty house. */
export function loader({ context, request }: Route.LoaderArgs): Response {
  requirePerson(context, request);
  const now = new Date();
  const lines = archiveLines(database().db, now, false);
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { done, value } = await lines.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
    async cancel() {
      await lines.return(undefined);
    },
  });
  return new Response(body, {
    headers: {
      "Content-Type": "application/x-ndjson; charset=utf-8",
      "Content-Disposition": `attachment; filename="hondaro-${now.toISOString().slice(0, 10)}.ndjson"`,
    },
  });
}
