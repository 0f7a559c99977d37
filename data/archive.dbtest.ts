import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { openKitchen, walk } from "../core/formula";
import { KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import { type Connection, archiveLines, checkArchive, openDatabase, restoreArchive } from ".";
import { freshDatabase } from "./testing/fresh";
import { loadKitchen } from "./testing/kitchen";

const NOW = new Date("2026-11-25T08:00:00Z");
let from: Connection;
let to: Connection;
let lines: string[];

beforeAll(async () => {
  from = openDatabase(await freshDatabase());
  to = openDatabase(await freshDatabase());
  await loadDemo(from.db, NOW, true);
  lines = await taken(true);
}, 120_000);
afterAll(() => Promise.all([from.close(), to.close()]));

async function taken(secrets: boolean, of = from): Promise<string[]> {
  const all: string[] = [];
  for await (const line of archiveLines(of.db, NOW, secrets)) all.push(line.trimEnd());
  return all;
}
async function* each(all: readonly string[]): AsyncGenerator<string> {
  yield* all;
}

test("a kitchen that worked comes into an empty house whole: it is taken away from there the same", async () => {
  const contents = await checkArchive(each(lines));
  expect(contents).toMatchObject({
    ok: true,
    value: { kitchens: ["Kelder Pass Station"], secrets: true, chefs: [{ login: "ilse" }] },
  });
  expect(await restoreArchive(to.db, each(lines))).toBe(true);
  expect(await taken(true, to)).toEqual(lines);
});

test("every formula walks there to the same end, to the last digit", async () => {
  const [was, is] = [await loadKitchen(from.db, KITCHEN_ID), await loadKitchen(to.db, KITCHEN_ID)];
  if (!was || !is) throw new Error("A kitchen is missing.");
  const [openedWas, openedIs] = [openKitchen(was), openKitchen(is)];
  expect(Object.keys(is.formulas)).toEqual(Object.keys(was.formulas));
  for (const [id, document] of Object.entries(was.formulas)) {
    const there = is.formulas[id];
    if (!there) throw new Error(`${id} did not come along.`);
    const [a, b] = [walk(document, openedWas), walk(there, openedIs)];
    expect([b.finishedG, b.totalS, b.problems], id).toEqual([a.finishedG, a.totalS, a.problems]);
  }
});

test("a house that has a kitchen is never written over", async () => {
  expect(await restoreArchive(to.db, each(lines))).toBe(false);
  expect(await taken(true, to)).toEqual(lines);
});

test("without secrets nobody’s password and no instrument goes along", async () => {
  const said = (await taken(false)).join("\n");
  expect(said).not.toContain("argon2");
  expect(said).not.toContain('"table":"device"');
});

describe("an archive that is not whole is refused with its line", () => {
  const spoilt = (all: string[]) => checkArchive(each(all));
  test.each([
    ["cut off", () => lines.slice(0, -1), /cut off/],
    ["cut within a line", () => [...lines.slice(0, 5), lines[5]?.slice(0, 20) ?? ""], /Line 6 .*spoiled/],
    ["a row missing", () => [...lines.slice(0, 3), ...lines.slice(4)], /rows were written/],
    ["a word changed", () => lines.map(l => l.replace("Kelder Pass", "Keller Pass")), /sum does not hold/],
    ["of another kind", () => ["{}", ...lines.slice(1)], /Line 1 .*no kitchen/],
    [
      "of a later version",
      () => [lines[0]?.replace('"version":1', '"version":9') ?? "", ...lines.slice(1)],
      /\(9\)/,
    ],
    ["nothing", () => [], /cut off/],
  ])("%s", async (_what, made, why) => {
    const read = await spoilt(made());
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.problems[0]?.message).toMatch(why);
  });
});

test("batches of an older archive, which say neither sauce nor cook nor what was weighed in, come in with all of it", async () => {
  const older = openDatabase(await freshDatabase());
  const left = ["formulaId", "personId", "burnerId"];
  const stripped = lines.flatMap(line => {
    const said = JSON.parse(line) as { table?: string; row?: Record<string, unknown> };
    if (said.table === "batch_line") return [];
    if (said.table !== "batch" || !said.row) return [line];
    const row = Object.fromEntries(Object.entries(said.row).filter(([name]) => !left.includes(name)));
    return [JSON.stringify({ ...said, row })];
  });
  expect(stripped.length).toBeLessThan(lines.length);
  await restoreArchive(older.db, each(stripped));
  const weighed = (all: readonly string[]) =>
    all
      .filter(line => line.includes('"table":"batch_line"'))
      .map(line => (JSON.parse(line) as { row: { lineId: string; massG: number; runId: string } }).row)
      .map(({ runId, lineId, massG }) => `${runId} ${lineId} ${massG}`)
      .sort();
  const back = await taken(true, older);
  expect(weighed(back)).toEqual(weighed(lines));
  const of = (all: readonly string[]) =>
    all
      .filter(line => line.includes('"table":"batch",'))
      .map(line => (JSON.parse(line) as { row: Record<string, unknown> }).row)
      .map(row => left.map(name => row[name]).join());
  expect(of(back)).toEqual(of(lines));
  await older.close();
});
