import { coolingOf, database, ledgerGroups, ledgerPage, ledgerSauces } from "~/data";
import { openKitchen } from "~/core/formula";
import { verdictOf } from "../cold/cold.server";
import { snapshotOf } from "../kitchen/kitchen.server";
import { holds, requirePerson } from "../people/person.server";
import type { Route } from "./+types/ledger";
import { cursorText, ledgerAsked } from "./asked.server";

const ON_A_PAGE = 40;

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { db } = database();
  const { kitchenId, people } = section;
  const kitchen = await snapshotOf(section);
  const { filter, sort, group, after, said } = ledgerAsked(
    new URL(request.url).searchParams,
    kitchen.timeZone,
  );
  const [page, sauces, groups] = await Promise.all([
    group ? null : ledgerPage(db, kitchenId, filter, { sort, after, most: ON_A_PAGE }),
    ledgerSauces(db, kitchenId),
    group ? ledgerGroups(db, kitchenId, filter, group) : null,
  ]);
  const cooled = page
    ? await coolingOf(
        db,
        kitchenId,
        page.rows.map(row => row.runId),
      )
    : [];
  // Who sees no prices sees no costs.
  const costs = holds(section, "cost");
  const opened = openKitchen({ ...kitchen, formulas: {} });
  const nameOf: Record<string, string> = {
    ...Object.fromEntries(sauces.map(({ id, name }) => [id, name])),
    ...Object.fromEntries(people.map(({ id, name }) => [id, name])),
    ...Object.fromEntries(kitchen.burners.map(({ id, name }) => [id, name])),
  };
  return {
    said,
    sort,
    group,
    first: after === null,
    timeZone: kitchen.timeZone,
    currency: kitchen.ingredients.find(i => i.price)?.price?.currency ?? "",
    sauces,
    cooks: people.map(({ id, name }) => ({ id, name })),
    burners: kitchen.burners.map(({ id, name }) => ({ id, name })),
    rows:
      page?.rows.map(row => ({
        ...row,
        burner: nameOf[row.burnerId] ?? "",
        ...(!costs && { cost: null, lostCost: null }),
      })) ?? [],
    next: page?.next ? cursorText(page.next) : null,
    cooling: Object.fromEntries(
      cooled.map(({ log, entries }) => [
        log.runId ?? "",
        { id: log.id, verdict: verdictOf(log, entries, opened) },
      ]),
    ),
    groups:
      groups?.map(row => ({ ...row, name: nameOf[row.key] ?? row.key, ...(!costs && { lostCost: null }) })) ??
      [],
  };
}
