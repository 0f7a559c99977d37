import { database, incidentsSince, wastedSince } from "~/data";
import { snapshotOf } from "../kitchen/kitchen.server";
import { holds, requirePerson } from "../people/person.server";
import { dayIn } from "../day/calendar-day";
import type { Route } from "./+types/losses";

const MONTHS = 12;

/** What went wrong and what was thrown away, by cause and month, with what it had cost. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const { db } = database();
  const kitchen = await snapshotOf(section);
  const { timeZone } = kitchen;
  // Who sees no prices sees no costs.
  const costs = holds(section, "cost");
  const since = new Date();
  since.setUTCMonth(since.getUTCMonth() - MONTHS);
  const [batches, wasted] = await Promise.all([
    incidentsSince(db, kitchenId, since),
    wastedSince(db, kitchenId, since),
  ]);
  const incidents = batches.flatMap(({ record, at, ...batch }) =>
    (record.incidents ?? []).map(one => ({
      ...batch,
      at,
      month: dayIn(at, timeZone).slice(0, 7),
      // Older batches say it in words only, the kind first.
      cause: one.what ?? one.words.split(",")[0] ?? "other",
      words: one.words,
      lostG: one.lostG,
      cost: costs ? (one.cost ?? null) : null,
    })),
  );
  return {
    incidents,
    wasted: wasted.map(({ at, ...row }) => ({
      ...row,
      cost: costs ? row.cost : null,
      at,
      month: dayIn(at, timeZone).slice(0, 7),
    })),
    currency: kitchen.ingredients.find(i => i.price)?.price?.currency ?? "",
    timeZone,
  };
}
