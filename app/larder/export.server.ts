import type { Route } from "./+types/export";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { larderAsCsv, larderAsJson } from "./exchange.server";

/** The whole larder as a file: CSV for the spreadsheet, JSON for another Hondaro. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { ingredients } = await snapshotOf(section);
  const csv = new URL(request.url).pathname.endsWith(".csv");
  return new Response(csv ? larderAsCsv(ingredients) : larderAsJson(ingredients), {
    headers: {
      "Content-Type": csv ? "text/csv; charset=utf-8" : "application/json; charset=utf-8",
      "Content-Disposition": `attachment; filename="larder.${csv ? "csv" : "json"}"`,
    },
  });
}
