import { cardAsked, cardFrom, readCard, type CardRead } from "../book/card-data.server";
import { batchYield } from "~/core/standard";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/card-file";
import { type CardPrint, writeCard } from "./card-paper.server";
import { codeOf, qrOf } from "./code.server";
import { PAPERS, type Paper } from "./papers";
import { Sheet, pdfAnswer } from "./sheet.server";

/** Type on the wall is read from two metres, that of a card from a hand. */
const WALL_SCALE = 1.55;

export const paperIn = (query: URLSearchParams): Paper => PAPERS.find(p => p === query.get("paper")) ?? "A4";

/** What was read of a card, as it is written on paper. */
export function printOf(
  read: CardRead,
  of: { readonly origin: string; readonly reasons: boolean; readonly wall: boolean },
): CardPrint {
  const { version, signatures, standard, kitchen, today } = read;
  const signed = signatures[0];
  return {
    card: cardFrom(read),
    columns: read.columns,
    display: read.display,
    code: codeOf(qrOf(of.origin, version)),
    kitchen: kitchen.name,
    timeZone: kitchen.timeZone,
    demo: today.demo,
    version,
    signed: signed && signed.state === version.state ? signed : null,
    newer: standard && standard.versionId !== version.versionId ? standard.number : null,
    cost: read.cost,
    lastVersion: read.lastVersion ?? null,
    shown: batchYield(read.batches, read.document.base.massG),
    reasons: of.reasons,
    wall: of.wall,
  };
}

/** A card of the Book as a PDF: the size, columns and units that the page was asked for. */
export async function loader({ context, params, request }: Route.LoaderArgs): Promise<Response> {
  const section = requirePerson(context, request);
  const url = new URL(request.url);
  const query = url.searchParams;
  const read = await readCard(section, params.versionId, cardAsked(query));
  const wall = query.get("look") === "wall";
  const reasons = query.get("reasons") === "yes";
  const print = printOf(read, { origin: url.origin, reasons, wall });
  const sheet = new Sheet(paperIn(query), print.card.name, wall ? WALL_SCALE : 1);
  writeCard(sheet, print);
  const foot = `${print.kitchen} · ${print.card.name}, version ${print.version.number}, ${print.version.state}`;
  return pdfAnswer(await sheet.done(foot), `${print.card.name} v${print.version.number}`);
}
