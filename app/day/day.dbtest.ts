import ICAL from "ical.js";
import { ulid } from "ulid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { DayView } from "~/core/day";
import { type Connection, findDay, listLots } from "~/data";
import { GLACE_ID, STOCK_ID } from "~/demo/formulas";
import { KITCHEN_ID } from "~/demo/kitchen";
import * as runEvents from "../api/run-events.server";
import * as cold from "../cold/cold.server";
import * as log from "../cold/log.server";
import { answered, argsFor, get, openDemo, putOnFire, sentForm, sentJson } from "../testing/asked.server";
import { closePool } from "../workers/pool.server";
import * as sheet from "./day.server";
import * as lists from "./lists.server";
import * as planFile from "./plan-file.server";
import * as service from "./service.server";

let connection: Connection;
beforeAll(async () => {
  connection = await openDemo();
}, 120_000);
afterAll(async () => {
  await closePool();
  await connection.close();
});

/** Far enough ahead that no clock of a test run is in it. */
const date = "2027-06-05";
const send = async (
  to: { action: (args: never) => Promise<unknown> },
  fields: Record<string, string>,
  params: Record<string, string> = { date },
) => answered(to.action(await argsFor(sentForm(fields), params, "noor")));
const plan = async () => {
  const loaded = await sheet.loader(await argsFor(get(), { date }));
  if (!loaded.plan) throw new Error(loaded.problems.join());
  return { ...loaded, plan: loaded.plan };
};
const put = (formulaId: string, covers: number) =>
  send(sheet, { intent: "line", formulaId, covers: String(covers) });

describe("a day", () => {
  test("what is put on its menu is planned down to its stock", async () => {
    await put(GLACE_ID, 30);
    await put("verjus-butter-sauce", 20);
    const { plan: found } = await plan();
    expect(found.needs.map(n => n.formulaId)).toContain(STOCK_ID);
    expect(found.broken).toEqual([]);
  });
  test("covers that are none, and a sauce of nobody, are refused in words", async () => {
    expect((await put(GLACE_ID, 0)).status).toBe(422);
    const nobody = await send(sheet, { intent: "line", formulaId: "constructor", covers: "3" });
    expect(nobody.body).toMatchObject({ problems: [{ message: "Choose a sauce of this kitchen." }] });
  });
  test("a job stays where it was put, and its limit is told; let go, it finds its own time", async () => {
    const job = "verjus-butter-sauce/1/1";
    await send(sheet, { intent: "pin", job, startMin: String(2880 + 15 * 60) });
    const { plan: pinned } = await plan();
    expect(pinned.jobs.find(j => j.id === job)).toMatchObject({ start: 2880 + 15 * 60, pinned: true });
    expect(pinned.broken).toHaveLength(1);
    await send(sheet, { intent: "unpin", job });
    expect((await plan()).plan.broken).toEqual([]);
  });
  test("a burner less is a plan of another shape; nobody on is refused", async () => {
    const there = ["oven-left", "ice-sink", "walk-in", "jar-blender", "plate-hot"];
    const form = new FormData();
    for (const [name, value] of [
      ["intent", "day"],
      ["serviceMin", "18:30"],
      ["cooks", "noor"],
      ...there.map(id => ["there", id]),
    ] as [string, string][])
      form.append(name, value);
    const request = new Request("http://hondaro.test/", { method: "POST", body: form });
    await sheet.action(await argsFor(request, { date }, "noor"));
    const { plan: less, kept } = await plan();
    expect(kept.serviceMin).toBe(18 * 60 + 30);
    expect(new Set(less.jobs.flatMap(j => j.hands.map(h => h.personId)))).toEqual(new Set(["noor"]));
    expect(less.jobs.flatMap(j => j.stands.map(s => s.at)).every(at => there.includes(at))).toBe(true);
    expect((await send(sheet, { intent: "day", serviceMin: "18:00" })).status).toBe(422);
  });
  test("its calendar is read by another reader, job by job, and service is in it", async () => {
    const { plan: found } = await plan();
    const answer = await planFile.loader(await argsFor(get(`day/${date}/plan.ics`), { date }));
    const events = new ICAL.Component(ICAL.parse(await answer.text()) as unknown as unknown[])
      .getAllSubcomponents("vevent")
      .map(event => new ICAL.Event(event));
    expect(events).toHaveLength(found.jobs.length + 1);
    const first = found.jobs[0] as DayView["jobs"][number];
    const same = events.find(e => e.summary === first.title);
    expect(same?.duration.toSeconds()).toBe(60 * (first.finish - first.start));
    expect(
      events
        .find(e => e.summary === "Service")
        ?.startDate.toJSDate()
        .toISOString(),
    ).toBe("2027-06-05T16:30:00.000Z");
  });
  test("a tick that comes late over the network does not undo a later one", async () => {
    const tick = (done: string, at: number) => send(lists, { item: "buy shallot", done, at: String(at) });
    await tick("yes", 2_000_000);
    await tick("no", 1_000_000);
    const loaded = await lists.loader(await argsFor(get(), { date }));
    expect(loaded.ticks["buy shallot"]).toMatchObject({ by: "noor" });
  });
  test("what is left in service is counted in ladles, once however often it is sent", async () => {
    const id = "01J0000000000000000000SAME";
    for (let i = 0; i < 2; i++)
      await send(service, { id, formulaId: "verjus-butter-sauce", left: "3", gPerUnit: "96" });
    const { sauces } = await service.loader(await argsFor(get(), { date }));
    expect(sauces.find(s => s.formulaId === "verjus-butter-sauce")).toMatchObject({
      readings: 1,
      last: { massG: 288 },
    });
  });
  test("another kitchen’s day is not this one’s", async () => {
    expect((await findDay(connection.db, "elsewhere", date)).menu).toEqual([]);
  });
});

describe("the cold", () => {
  const lots = async () => listLots(connection.db, KITCHEN_ID, "2020-01-01");
  test("something left over is booked once, poured together, and never more than there is", async () => {
    const id = "01J0000000000000000000L0TA";
    for (let i = 0; i < 2; i++)
      await send(cold, { intent: "lot", id, name: "Mushroom trimmings", massG: "800" }, {});
    await send(cold, { intent: "lot", name: "Leek tops", massG: "500", keepDays: "1" }, {});
    const [leek, mushroom] = [...(await lots())].sort((a, b) => (a.name < b.name ? -1 : 1));
    await send(cold, { intent: "pour", lot: leek?.id ?? "", into: mushroom?.id ?? "", massG: "500" }, {});
    const loaded = await cold.loader(await argsFor(get("cold")));
    expect(loaded.lots).toMatchObject([{ name: "Mushroom trimmings", massG: 1300, allergens: null }]);
    // As old as its oldest part: leek tops keep a day.
    expect(loaded.lots[0]?.useBy).toBe(loaded.today);
    expect(loaded.lots[0]?.usedIn).toContain("mushroom");
  });
  test("a finished batch stands in the cold by itself, once, and leaves it where the pot goes on after all", async () => {
    const runId = await putOnFire(GLACE_ID);
    const event = (payload: object) => ({
      id: ulid(),
      at: new Date().toISOString(),
      clockOffsetMs: 0,
      personId: "noor",
      payload,
    });
    const sendEvents = async (...events: object[]) =>
      runEvents.action(await argsFor(sentJson({ events }), { runId }));
    const own = async () => (await lots()).filter(lot => lot.runId === runId);
    const finished = event({ kind: "finished" });
    for (let i = 0; i < 2; i++) expect((await sendEvents(finished)).status).toBe(200);
    expect(await own()).toMatchObject([
      { formulaId: GLACE_ID, movements: [{ kind: "made", note: "as planned, not weighed" }] },
    ]);
    await sendEvents(event({ kind: "undone", eventId: finished.id }));
    expect(await own()).toEqual([]);
  });
  test("a movement of a container that is not here is refused", async () => {
    expect(
      (await send(cold, { intent: "move", lot: "01J0000000000000000000NONE", kind: "used", massG: "5" }, {}))
        .status,
    ).toBe(422);
  });
  test("a cooling that misses its first gate is outside, and signed it takes no more readings", async () => {
    const begun = await send(
      cold,
      {
        intent: "log",
        name: "Brown stock",
        kind: "cooling",
        method: "room",
        massG: "9000",
        vesselId: "tall-1",
      },
      {},
    );
    const logId = begun.to?.split("/").at(-1) ?? "";
    const enter = (fields: Record<string, string>) => send(log, fields, { logId });
    expect((await enter({ intent: "probe", c: "81" })).status).toBe(200);
    expect((await enter({ intent: "probe", c: "hot" })).status).toBe(422);
    expect((await enter({ intent: "action", words: "Moved into the ice sink" })).status).toBe(200);
    await enter({ intent: "close" });
    expect((await enter({ intent: "probe", c: "4" })).status).toBe(422);
    const loaded = await log.loader(await argsFor(get(), { logId }));
    expect(loaded.entries.map(e => e.kind)).toEqual(["probe", "action", "closed"]);
    expect(loaded.profile.id).toBe("fda");
  });
});
