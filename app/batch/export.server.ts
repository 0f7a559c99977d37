import { stringify } from "csv-stringify/sync";
import { database, listBatches } from "~/data";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/export";

const rounded = (value: number | null, digits: number): number | null =>
  value === null ? null : Number(value.toFixed(digits));

/** Every finished batch as a table, for a spreadsheet. What was not measured is an empty cell. */
export async function loader({ context, request }: Route.LoaderArgs): Promise<Response> {
  const { kitchenId } = requirePerson(context, request);
  const rows = (await listBatches(database().db, kitchenId)).map(row => ({
    run: row.runId,
    finishedAt: row.finishedAt.toISOString(),
    formula: row.name,
    version: row.version,
    by: row.by,
    fromG: rounded(row.baseG, 1),
    plannedMl: rounded(row.plannedMl, 0),
    actualMl: rounded(row.actualMl, 0),
    plannedG: rounded(row.plannedG, 0),
    actualG: rounded(row.actualG, 0),
    plannedMin: rounded(row.plannedMin, 1),
    actualMin: rounded(row.actualMin, 1),
  }));
  return new Response(stringify(rows, { header: true, bom: true, escape_formulas: true }), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="batches.csv"',
    },
  });
}
