import { CHARTED_IDS, seriesInWords, seriesOf } from "~/core/control";
import { type LedgerPoint, causesSince, chartedBatches, database, ledgerSauces } from "~/data";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/charts";
import { causesFor } from "./causes.server";

/** So far back an overview looks. */
const WEEKS = 26;
const WEEK_MS = 7 * 24 * 3600_000;

/** Every sauce with what its charts say: what drifts first, then what is out of the ordinary. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const { db } = database();
  const since = new Date(Date.now() - WEEKS * WEEK_MS);
  const [points, causes, sauces] = await Promise.all([
    chartedBatches(db, kitchenId, { formulaId: null, since }),
    causesSince(db, kitchenId, since),
    ledgerSauces(db, kitchenId),
  ]);
  const own = new Map<string, LedgerPoint[]>();
  for (const point of points) own.set(point.formulaId, [...(own.get(point.formulaId) ?? []), point]);
  const found = sauces.flatMap(({ id, name }) => {
    const batches = own.get(id);
    if (!batches) return [];
    const figures = CHARTED_IDS.flatMap(figure => {
      const series = seriesOf(batches, figure, causesFor(causes, figure));
      if (!series.points.length) return [];
      const state = series.drift?.drifting
        ? ("drifts" as const)
        : series.open
          ? ("odd" as const)
          : ("quiet" as const);
      return [
        {
          figure,
          state,
          said: seriesInWords(series, figure),
          values: series.points.map(({ value }) => value),
          band: series.band,
        },
      ];
    });
    return [{ id, name, batches: batches.length, figures }];
  });
  const rank = (sauce: (typeof found)[number]): number =>
    Math.min(...sauce.figures.map(f => ["drifts", "odd", "quiet"].indexOf(f.state)), 3);
  return { weeks: WEEKS, sauces: found.sort((a, b) => rank(a) - rank(b) || b.batches - a.batches) };
}
