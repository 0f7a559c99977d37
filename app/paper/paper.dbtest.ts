import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { GLACE_ID } from "~/demo/formulas";
import { KITCHEN_ID } from "~/demo/kitchen";
import { loadDemo } from "~/demo/load";
import { type Connection, batchesOf, database, findFormula, listCooked } from "~/data";
import { freshDatabase } from "~/data/testing/fresh";
import { answered, argsFor } from "../testing/asked.server";
import * as bookFile from "./book-file.server";
import * as cardFile from "./card-file.server";
import * as labelsFile from "./labels-file.server";

let connection: Connection;
let versionId: string;
beforeAll(async () => {
  process.env.DATABASE_URL = await freshDatabase();
  connection = database();
  await loadDemo(connection.db, new Date("2026-11-23T08:00:00Z"), true);
  versionId = (await findFormula(connection.db, KITCHEN_ID, GLACE_ID))?.versionId ?? "";
}, 120_000);
afterAll(() => connection.close());

/** The text of a PDF as a reader selects it, a page to each entry, and the width of its pages in points. */
async function read(answer: Response): Promise<{ pages: string[]; width: number }> {
  expect(answer.headers.get("Content-Type")).toBe("application/pdf");
  const data = new Uint8Array(await answer.arrayBuffer());
  const pdf = await getDocument({ data, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const { items } = await (await pdf.getPage(n)).getTextContent();
    pages.push(
      items
        .map(item => ("str" in item ? item.str : ""))
        .join(" ")
        .replace(/\s+/g, " "),
    );
  }
  const [, , width = 0] = (await pdf.getPage(1)).view;
  return { pages, width };
}
const at = (path: string) => new Request(`http://hondaro.test/${path}`);
const card = async (query: string, as = "ilse") =>
  read(await cardFile.loader(await argsFor(at(`book/x/card.pdf?${query}`), { versionId }, as)));

describe("a card on paper", () => {
  test("says what the card says, in text that can be selected", async () => {
    const { pages, width } = await card("paper=A4&reasons=yes");
    const [first = ""] = pages;
    expect(Math.round(width)).toBe(595);
    for (const words of [
      "Guinea-fowl glace",
      "DRAFT",
      "Reduce to a third",
      "stop at 27 mm",
      "Why:",
      "Low pot 36",
    ])
      expect(first).toContain(words);
    const all = pages.join(" ");
    for (const words of ["celery", "Follow your local food code", "kJ", "Cost"]) expect(all).toContain(words);
    expect(all).not.toMatch(/NaN|undefined|null|\[object/);
  });
  test("four batch sizes stand side by side with their own marks", async () => {
    const { pages } = await card("columns=2+kg;8+kg;Tall+pot+No+2;x3&paper=A4");
    const all = pages.join(" ");
    for (const title of ["2 kg", "8 kg", "Tall pot No 2, 40 kg", "× 3"]) expect(all).toContain(title);
    expect(all.match(/\d+ mm/g)?.length).toBeGreaterThan(9);
    expect(all).toContain("multiplied plainly");
  });
  test("on A5 and Letter, and large for the wall", async () => {
    expect(Math.round((await card("paper=A5")).width)).toBe(420);
    const wall = await card("paper=Letter&look=wall");
    expect(Math.round(wall.width)).toBe(612);
    expect(wall.pages.length).toBeGreaterThan(1);
    expect(wall.pages.join(" ")).not.toContain("Cost");
  });
  test("what it costs is left out for who may not see it", async () => {
    expect((await card("", "petr")).pages.join(" ")).not.toContain("EUR");
    expect((await card("", "noor")).pages.join(" ")).toContain("EUR");
  });
});

test("the section’s book has a card to each standard, found by its contents", async () => {
  const { pages } = await read(await bookFile.loader(await argsFor(at("book.pdf"), {}, "sana")));
  const [contents = ""] = pages;
  const { cards } = await listCooked(connection.db, KITCHEN_ID, { state: "standard" });
  expect(cards.length).toBeGreaterThan(2);
  for (const { name, number } of cards) {
    const page = new RegExp(`${name}, version ${number} (\\d+)`).exec(contents)?.[1];
    expect(pages[Number(page) - 1]).toContain(name);
  }
  const none = await answered(bookFile.loader(await argsFor(at("book.pdf?q=xylophone"), {}, "sana")));
  expect(none.status).toBe(404);
});

describe("labels", () => {
  const labels = async (query: string) => {
    const runId = (await batchesOf(connection.db, versionId))[0]?.runId ?? "";
    return labelsFile.loader(await argsFor(at(`batch/${runId}/labels.pdf?${query}`), { runId }, "petr"));
  };
  test("say what is in the container, when it was made and how long it keeps, once for each", async () => {
    const { pages } = await read(await labels("stock=70x37&count=26&skip=2"));
    expect(pages).toHaveLength(2);
    const all = pages.join(" ");
    expect(all.match(/Guinea-fowl glace/g)).toHaveLength(26);
    for (const words of ["USE BY", "made", "L-11", "Recorded allergens: celery", "parts of water", "DEMO"])
      expect(all).toContain(words);
  });
  test("frozen they say so, one to a page from a roll", async () => {
    const { pages, width } = await read(await labels("stock=62x40&count=3&kept=frozen"));
    expect(pages).toHaveLength(3);
    expect(width).toBeCloseTo((62 / 25.4) * 72, 0);
    expect(pages[0]).toContain("FROZEN at -18");
  });
  test("of no batch there are none", async () => {
    const got = await answered(
      labelsFile.loader(await argsFor(at("batch/x/labels.pdf"), { runId: "nothing" })),
    );
    expect(got.status).toBe(404);
  });
});
