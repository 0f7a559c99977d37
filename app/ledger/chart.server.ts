import { data } from "react-router";
import { CHARTED, CHARTED_IDS, seriesInWords, seriesOf } from "~/core/control";
import { attributesOf, readiness } from "~/core/standard";
import { causesSince, chartedBatches, database, findFormula, recordsOf, sayCause } from "~/data";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { formOf } from "../request.server";
import type { Route } from "./+types/chart";
import { causesFor } from "./causes.server";

const SPANS = { "12": 12, "26": 26, "52": 52, all: null } as const;
const WEEK_MS = 7 * 24 * 3600_000;

/** One figure of a sauce, batch by batch. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, people } = section;
  const { db } = database();
  const query = new URL(request.url).searchParams;
  const asked = CHARTED_IDS.find(id => id === query.get("figure"));
  const span = (Object.keys(SPANS) as (keyof typeof SPANS)[]).find(s => s === query.get("weeks")) ?? "52";
  const weeks = SPANS[span];
  const since = weeks === null ? null : new Date(Date.now() - weeks * WEEK_MS);
  const [stored, batches, causes, { timeZone }] = await Promise.all([
    findFormula(db, kitchenId, params.formulaId),
    chartedBatches(db, kitchenId, { formulaId: params.formulaId, since }),
    causesSince(db, kitchenId, since),
    snapshotOf(section),
  ]);
  if (!stored) throw data("There is no such sauce in this kitchen.", { status: 404 });
  const measured = CHARTED_IDS.filter(id => batches.some(batch => CHARTED[id].of(batch) !== null));
  const figure = asked ?? measured[0] ?? "yield";
  const series = seriesOf(batches, figure, causesFor(causes, figure));
  const ready = readiness(attributesOf(await recordsOf(db, kitchenId, stored.versionId)));
  const nameOf = new Map(people.map(({ id, name }) => [id, name]));
  const by = new Map(batches.map(batch => [batch.runId, nameOf.get(batch.personId) ?? ""]));
  return {
    formulaId: params.formulaId,
    name: stored.document.name,
    figure,
    figures: CHARTED_IDS.map(id => ({ id, measured: measured.includes(id) })),
    span,
    spans: Object.keys(SPANS),
    series: { ...series, points: series.points.map(point => ({ ...point, by: by.get(point.runId) ?? "" })) },
    said: seriesInWords(series, figure),
    ready: ready.ok ? ready.value : null,
    timeZone,
  };
}

const LONGEST_CAUSE = 200;

/** Says why a batch was out of the ordinary, or takes it back. */
export async function action({ context, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const form = await formOf(request);
  const figure = CHARTED_IDS.find(id => id === form.get("figure"));
  const words = String(form.get("words") ?? "").trim();
  if (!figure) return data({ problem: "That is no figure of a batch." }, { status: 422 });
  if (words.length > LONGEST_CAUSE)
    return data(
      { problem: `Say it in ${LONGEST_CAUSE} letters; the batch has room for notes.` },
      { status: 422 },
    );
  const own = await sayCause(
    database().db,
    { kitchenId, personId: person.id, now: new Date() },
    { runId: String(form.get("run") ?? ""), figure, words },
  );
  return own
    ? { problem: null }
    : data({ problem: "There is no such batch in this kitchen." }, { status: 404 });
}
