import { data } from "react-router";
import { create } from "qrcode";
import { atSize, openKitchen } from "~/core/formula";
import { g } from "~/core/ground/quantity";
import { labelFor } from "~/core/standard";
import { type BookedBatch, batchesBetween, database, findBatch, findVersion } from "~/data";
import { dayIn, momentOfMinute } from "../day/calendar-day";
import { askedDay } from "../day/day.server";
import { basisAt, kitchenFor, snapshotOf } from "../kitchen/kitchen.server";
import { type SectionWithPerson, requirePerson } from "../people/person.server";
import { codeOf } from "./code.server";
import { type LabelRun, labelsPaper } from "./labels-paper.server";
import { pdfAnswer } from "./sheet.server";
import { MOST_LABELS, STOCKS } from "./stocks";

const DAY_MIN = 24 * 60;

/** Labels for the containers of a batch, or of all that was finished on a day, as a PDF. */
export async function loader({
  context,
  params,
  request,
}: {
  readonly context: Parameters<typeof requirePerson>[0];
  readonly params: { readonly runId?: string; readonly date?: string };
  readonly request: Request;
}): Promise<Response> {
  const section = requirePerson(context, request);
  const url = new URL(request.url);
  const query = url.searchParams;
  const whole = (name: string, usual: number, most: number): number =>
    Math.min(most, Math.max(0, Math.trunc(Number(query.get(name) ?? usual)) || 0));
  const stock = STOCKS.find(s => s.id === query.get("stock")) ?? STOCKS[0];
  if (!stock) throw data("There is no such label.", { status: 404 });
  const count = Math.max(1, whole("count", 1, MOST_LABELS));
  const kept = query.get("kept") === "frozen" ? ("frozen" as const) : ("chilled" as const);
  const batches = await batchesAsked(section, params);
  const runs: LabelRun[] = [];
  for (const batch of batches) {
    const label = await labelOfBatch(section, batch, kept);
    if (label)
      runs.push({
        label,
        count: Math.min(count, MOST_LABELS),
        code: codeOf(create(`${url.origin}/batch/${batch.runId}`, { errorCorrectionLevel: "M" })),
      });
  }
  const [only] = runs;
  if (!only) throw data("There is no such batch in this kitchen.", { status: 404 });
  const title = params.date ? `Labels ${params.date}` : `${only.label.name} ${only.label.lot}`;
  const { name, demo } = await snapshotOf(section);
  const paper = await labelsPaper(runs, title, { stock, skip: whole("skip", 0, 100), kitchen: name, demo });
  if (!paper.ok) throw data(paper.problems[0]?.message, { status: 422 });
  return pdfAnswer(paper.value, title);
}

/** The batch that is asked for, or all of a day. */
async function batchesAsked(
  section: SectionWithPerson,
  params: { readonly runId?: string; readonly date?: string },
): Promise<BookedBatch[]> {
  const { db } = database();
  if (params.runId) {
    const batch = await findBatch(db, section.kitchenId, params.runId);
    return batch ? [batch] : [];
  }
  const date = askedDay(params);
  const { timeZone } = await snapshotOf(section);
  const found = await batchesBetween(db, section.kitchenId, {
    from: momentOfMinute(date, 0, timeZone),
    to: momentOfMinute(date, DAY_MIN, timeZone),
  });
  if (!found.length)
    throw data("Nothing was finished on this day: there is nothing to label.", { status: 404 });
  return found;
}

async function labelOfBatch(section: SectionWithPerson, batch: BookedBatch, kept: "chilled" | "frozen") {
  const version = await findVersion(database().db, section.kitchenId, batch.formulaVersionId);
  if (!version) return null;
  const kitchen = batch.basisHash
    ? await basisAt(batch.basisHash)
    : await kitchenFor(section, [version.document]);
  return labelFor(atSize(version.document, g(batch.baseG)), openKitchen(kitchen), {
    runId: batch.runId,
    madeOn: dayIn(batch.finishedAt, kitchen.timeZone),
    record: batch.record,
    kept,
  });
}
