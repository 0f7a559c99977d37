import { data } from "react-router";
import { create } from "qrcode";
import { atSize, openKitchen } from "~/core/formula";
import { g } from "~/core/ground/quantity";
import { labelFor } from "~/core/standard";
import { database, findBatch, findVersion } from "~/data";
import { basisAt, kitchenFor } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/labels-file";
import { codeOf } from "./code.server";
import { labelsPaper } from "./labels-paper.server";
import { pdfAnswer } from "./sheet.server";
import { MOST_LABELS, STOCKS } from "./stocks";

/** Labels for the containers of a batch, as a PDF. */
export async function loader({ context, params, request }: Route.LoaderArgs): Promise<Response> {
  const section = requirePerson(context, request);
  const { db } = database();
  const batch = await findBatch(db, section.kitchenId, params.runId);
  const version = batch && (await findVersion(db, section.kitchenId, batch.formulaVersionId));
  if (!batch || !version) throw data("There is no such batch in this kitchen.", { status: 404 });
  const url = new URL(request.url);
  const query = url.searchParams;
  const whole = (name: string, usual: number, most: number): number =>
    Math.min(most, Math.max(0, Math.trunc(Number(query.get(name) ?? usual)) || 0));
  const stock = STOCKS.find(s => s.id === query.get("stock")) ?? STOCKS[0];
  if (!stock) throw data("There is no such label.", { status: 404 });
  const today = await kitchenFor(section, [version.document]);
  const kitchen = batch.basisHash ? await basisAt(batch.basisHash) : today;
  const label = labelFor(atSize(version.document, g(batch.baseG)), openKitchen(kitchen), {
    runId: batch.runId,
    madeOn: dayIn(batch.finishedAt, kitchen.timeZone),
    record: batch.record,
    kept: query.get("kept") === "frozen" ? "frozen" : "chilled",
  });
  const paper = await labelsPaper(label, {
    stock,
    count: Math.max(1, whole("count", 1, MOST_LABELS)),
    skip: whole("skip", 0, 100),
    code: codeOf(create(`${url.origin}/batch/${batch.runId}`, { errorCorrectionLevel: "M" })),
    kitchen: kitchen.name,
    demo: today.demo,
  });
  if (!paper.ok) throw data(paper.problems[0]?.message, { status: 422 });
  return pdfAnswer(paper.value, `${label.name} ${label.lot}`);
}

/** The day of a moment in a kitchen, YYYY-MM-DD. */
const dayIn = (at: Date, timeZone: string): string =>
  new Intl.DateTimeFormat("sv-SE", { timeZone, dateStyle: "short" }).format(at);
