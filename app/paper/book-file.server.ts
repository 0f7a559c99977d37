import { data } from "react-router";
import { shelfAsked, cardsFor } from "../book/book.server";
import { readCard } from "../book/card-data.server";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/book-file";
import { paperIn, printOf } from "./card-file.server";
import { writeCard } from "./card-paper.server";
import { FADED, Sheet, pdfAnswer } from "./sheet.server";

/** More than this nobody prints at once. */
const MOST_CARDS = 80;
const ROWS_TO_A_PAGE = 40;

/** The cards of the Book that were looked for, standards unless others are asked for, as one PDF with its contents. */
export async function loader({ context, request }: Route.LoaderArgs): Promise<Response> {
  const section = requirePerson(context, request);
  const url = new URL(request.url);
  const query = url.searchParams;
  const shelf = shelfAsked(query);
  const { ingredients, name, demo } = await snapshotOf(section);
  const words = (query.get("q") ?? "").slice(0, 120);
  const { cards, of } = await cardsFor(
    section,
    { words, from: 0, most: MOST_CARDS },
    { ...shelf, state: shelf.state ?? "standard" },
    ingredients,
  );
  if (!cards.length)
    throw data("No card like that is the standard yet. Choose a state, or sign one first.", { status: 404 });
  const title = `${name}: ${shelf.state ?? "standard"} recipes`;
  const sheet = new Sheet(paperIn(query), title);
  const pages = Math.ceil(cards.length / ROWS_TO_A_PAGE);
  for (let i = 1; i < pages; i++) sheet.nextPage();
  const contents: { readonly what: string; readonly page: number }[] = [];
  for (const { versionId } of cards) {
    const read = await readCard(section, versionId, { base: null, asOfToday: false, columns: null });
    const print = printOf(read, { origin: url.origin, reasons: false, wall: false });
    sheet.nextPage();
    contents.push({ what: `${print.card.name}, version ${print.version.number}`, page: sheet.pages });
    writeCard(sheet, print);
  }
  contents.forEach(({ what, page }, i) => {
    if (i % ROWS_TO_A_PAGE === 0) {
      sheet.turnTo(i / ROWS_TO_A_PAGE);
      sheet.line(title, { face: "display", size: 18 }, 4);
      if (demo) sheet.line("DEMO, invented", { colour: FADED }, 4);
      if (of > cards.length)
        sheet.line(
          `The first ${cards.length} of ${of} cards: narrow them down for the others.`,
          { colour: FADED },
          4,
        );
    }
    sheet.leader(what, String(page));
  });
  return pdfAnswer(await sheet.done(title), title);
}
