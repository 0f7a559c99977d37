import { stringify } from "csv-stringify/sync";
import { type LedgerCursor, database, ledgerPage } from "~/data";
import { snapshotOf } from "../kitchen/kitchen.server";
import { ledgerAsked } from "../ledger/asked.server";
import { holds, requirePerson } from "../people/person.server";
import type { Route } from "./+types/export";

const rounded = (value: number | null, digits: number): number | null =>
  value === null ? null : Number(value.toFixed(digits));

const AT_ONCE = 1000;
/** More rows than a spreadsheet takes kindly. */
const MOST_ROWS = 100_000;

/** The batches that are asked for as a table, for a spreadsheet. What was not measured is an empty cell. */
export async function loader({ context, request }: Route.LoaderArgs): Promise<Response> {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const { timeZone, burners } = await snapshotOf(section);
  const { filter, sort } = ledgerAsked(new URL(request.url).searchParams, timeZone);
  const costs = holds(section, "cost");
  const burnerOf = new Map(burners.map(({ id, name }) => [id, name]));
  const rows: Record<string, string | number | null>[] = [];
  let after: LedgerCursor | null = null;
  do {
    const page: Awaited<ReturnType<typeof ledgerPage>> = await ledgerPage(database().db, kitchenId, filter, {
      sort,
      after,
      most: AT_ONCE,
    });
    for (const row of page.rows)
      rows.push({
        run: row.runId,
        finishedAt: row.finishedAt.toISOString(),
        formula: row.name,
        version: row.version,
        by: row.by,
        burner: burnerOf.get(row.burnerId) ?? row.burnerId,
        fromG: rounded(row.baseG, 1),
        plannedMl: rounded(row.plannedMl, 0),
        actualMl: rounded(row.actualMl, 0),
        plannedG: rounded(row.plannedG, 0),
        actualG: rounded(row.actualG, 0),
        plannedMin: rounded(row.plannedMin, 1),
        actualMin: rounded(row.actualMin, 1),
        plannedSaltPct: rounded(row.saltPlanned, 3),
        saltPct: rounded(row.salt, 3),
        plannedBody: rounded(row.bodyPlanned, 1),
        body: rounded(row.body, 1),
        plannedBrix: rounded(row.brixPlanned, 1),
        brix: rounded(row.brix, 1),
        pH: rounded(row.ph, 2),
        score: row.score,
        incidents: row.incidents,
        ...(costs && { cost: rounded(row.cost, 2), lost: rounded(row.lostCost, 2) }),
      });
    after = page.next;
  } while (after && rows.length < MOST_ROWS);
  return new Response(stringify(rows, { header: true, bom: true, escape_formulas: true }), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="batches.csv"',
    },
  });
}
