import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type Connection, ledgerGroups, ledgerPage } from "~/data";
import { KITCHEN_ID } from "~/demo/kitchen";
import { putToWork } from "~/demo/load";
import { answered, argsFor, get, openDemo, sentForm } from "../testing/asked.server";
import * as batchTable from "../batch/export.server";
import * as chart from "./chart.server";
import * as charts from "./charts.server";
import * as ledger from "./ledger.server";
import * as losses from "./losses.server";

let connection: Connection;
const SAUCES = ["morel-cream", "smoked-trout-veloute", "cider-juniper-pan-sauce"];
beforeAll(async () => {
  connection = await openDemo();
  await putToWork(connection.db, new Date(), run => SAUCES.includes(run.formulaId));
}, 180_000);
afterAll(() => connection.close());

const pageOf = async (query = "", as = "noor") => ledger.loader(await argsFor(get(`ledger${query}`), {}, as));

describe("the ledger", () => {
  test.each(["newest", "oldest", "least yield", "most yield", "slowest"] as const)(
    "%s: pages follow each other without a gap, and none stands twice",
    async sort => {
      const all = await ledgerPage(connection.db, KITCHEN_ID, {}, { sort, after: null, most: 1000 });
      expect(all.next).toBeNull();
      const paged: string[] = [];
      let after: Awaited<ReturnType<typeof ledgerPage>>["next"] = null;
      do {
        const page: Awaited<ReturnType<typeof ledgerPage>> = await ledgerPage(
          connection.db,
          KITCHEN_ID,
          {},
          {
            sort,
            after,
            most: 7,
          },
        );
        paged.push(...page.rows.map(row => row.runId));
        after = page.next;
      } while (after);
      expect(paged).toEqual(all.rows.map(row => row.runId));
      expect(new Set(paged).size).toBe(paged.length);
    },
  );
  test("groups add up to the batches there are, however they are made", async () => {
    const { rows } = await ledgerPage(
      connection.db,
      KITCHEN_ID,
      {},
      { sort: "newest", after: null, most: 1000 },
    );
    for (const by of ["sauce", "cook", "burner", "month"] as const) {
      const groups = await ledgerGroups(connection.db, KITCHEN_ID, {}, by);
      expect(groups.reduce((sum, g) => sum + g.batches, 0)).toBe(rows.length);
      expect(groups.reduce((sum, g) => sum + g.incidents, 0)).toBe(rows.reduce((s, r) => s + r.incidents, 0));
    }
  });
  test("a cook who salts high stands out by his salt", async () => {
    const { groups } = await pageOf("?by=cook&sauce=smoked-trout-veloute");
    const salt = (id: string) => groups.find(g => g.key === id)?.saltOff ?? 0;
    expect(salt("petr") - salt("noor")).toBeGreaterThan(0.08);
  });
  test("asked for one sauce it shows no other; nonsense in its address is left out", async () => {
    const { rows } = await pageOf("?sauce=morel-cream&sort=hottest&from=yesterday&after=x~");
    expect(rows.length).toBeGreaterThan(10);
    expect(rows.every(row => row.formulaId === "morel-cream")).toBe(true);
  });
  test("who sees no prices sees no costs, in the table taken away neither", async () => {
    expect((await pageOf("", "noor")).rows.some(row => row.cost !== null)).toBe(true);
    expect((await pageOf("", "petr")).rows.every(row => row.cost === null)).toBe(true);
    const csv = async (as: string) =>
      String((await answered(batchTable.loader(await argsFor(get("batches.csv"), {}, as)))).body);
    expect(await csv("noor")).toContain(",cost,");
    expect(await csv("petr")).not.toContain(",cost,");
  });
});

describe("charts", () => {
  test("the sauce that drifts stands first", async () => {
    const { sauces } = await charts.loader(await argsFor(get()));
    expect(sauces[0]?.id).toBe("morel-cream");
    expect(sauces[0]?.figures.find(f => f.figure === "yield")?.state).toBe("drifts");
    // The old cider sauce and the new one are two phases, and its own new one is quiet.
    expect(sauces.find(s => s.id === "cider-juniper-pan-sauce")?.figures.length).toBeGreaterThan(1);
  });
  test("a cause that is said sets its batch aside; taken back it counts again", async () => {
    const of = async () => chart.loader(await argsFor(get("x?figure=yield"), { formulaId: "morel-cream" }));
    const odd = (await of()).series.points.find(point => point.alarms.length > 0);
    if (!odd) throw new Error("Nothing is out of the ordinary.");
    const say = async (words: string) =>
      answered(
        chart.action(
          await argsFor(sentForm({ run: odd.runId, figure: "yield", words }), { formulaId: "morel-cream" }),
        ),
      );
    const cause = async () => (await of()).series.points.find(p => p.runId === odd.runId)?.cause;
    expect((await say("pot left on while the pass was short")).status).toBe(200);
    expect(await cause()).toBe("pot left on while the pass was short");
    await say("");
    expect(await cause()).toBeNull();
    expect((await say("x".repeat(201))).status).toBe(422);
  });
  test("what was lost is told by cause, with its cost", async () => {
    const { incidents } = await losses.loader(await argsFor(get()));
    expect(incidents.map(i => i.cause).sort()).toEqual(["boiled over", "burnt"]);
    expect(incidents.every(i => (i.cost ?? 0) > 0)).toBe(true);
  });
});
