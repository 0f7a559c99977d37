import { afterAll, beforeAll, expect, test } from "vitest";
import { loadDemo } from "~/demo/load";
import { type Connection, database } from "~/data";
import { freshDatabase } from "~/data/testing/fresh";
import { answered, argsFor, get } from "../testing/asked.server";
import * as book from "./book.server";

let connection: Connection;
beforeAll(async () => {
  process.env.DATABASE_URL = await freshDatabase();
  connection = database();
  await loadDemo(connection.db, new Date("2026-11-23T08:00:00Z"), true);
}, 120_000);
afterAll(() => connection.close());

const look = async (query: string) => {
  const { body } = await answered(book.loader(await argsFor(get(`book?${query}`))));
  const { cards, meant } = body as {
    cards: readonly { name: string; state: string; notKnown: boolean }[];
    meant: string | null;
  };
  return { names: [...new Set(cards.map(c => c.name))], cards, meant };
};

test("a card is found by words of its name, accents or not, and by what goes into it", async () => {
  expect((await look("q=VELOUTE")).names).toEqual(["Smoked-trout velouté"]);
  expect((await look("q=guinea+gla")).names).toEqual(["Guinea-fowl glace"]);
  expect((await look("q=cider")).names).toEqual(["Cider and juniper pan sauce"]);
  expect((await look("q=yolk")).names).toContain("Walnut-oil mayonnaise");
  expect((await look("q=pan+%2B%22*(")).names).toContain("Cider and juniper pan sauce");
});

test("by state and family", async () => {
  const { cards } = await look("state=standard");
  expect(cards.length).toBeGreaterThan(0);
  expect(new Set(cards.map(c => c.state))).toEqual(new Set(["standard"]));
  expect((await look("family=mayonnaise")).names).toEqual(["Walnut-oil mayonnaise"]);
});

test("without a recorded allergen: what draws on a formula that holds it is out too", async () => {
  const { names } = await look("without=celery");
  // Celery goes into the stock; the glace is made of that stock.
  expect(names).not.toContain("Guinea-fowl brown stock");
  expect(names).not.toContain("Guinea-fowl glace");
  expect(names).toContain("Walnut-oil mayonnaise");
});

test("a slip of the key finds what was meant, and says so", async () => {
  const { names, meant } = await look("q=mayonaise");
  expect(names).toEqual(["Walnut-oil mayonnaise"]);
  expect(meant).toBe("mayonnaise");
  expect(await look("q=xylophone")).toMatchObject({ names: [], meant: null });
});
