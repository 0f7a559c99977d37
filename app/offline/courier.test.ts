import "fake-indexeddb/auto";
import { afterEach, expect, test, vi } from "vitest";
import type { RunEvent } from "~/core/run";
import { carryFor, hurry, onDelivery, startCourier } from "./courier";
import { enqueue, forget, keptOf } from "./queue";

const reading = (n: number): RunEvent => ({
  id: `01HZZZZZZZZZZZZZZZZZZZZZZ${n}`,
  at: "2026-11-23T08:00:00.000Z",
  clockOffsetMs: 0,
  personId: "noor",
  payload: { kind: "weighed", stepId: "s1", netG: n },
});

afterEach(async () => {
  for (const run of ["a", "b"]) await forget((await keptOf(run)).map(e => e.id));
  vi.unstubAllGlobals();
});

test("readings of every run leave from whichever page is open", async () => {
  const sent: string[] = [];
  vi.stubGlobal("fetch", (url: string, init?: RequestInit) => {
    if (init?.method === "POST") sent.push(url);
    return Promise.resolve(new Response(JSON.stringify({ ok: true, serverNow: Date.now() })));
  });
  await enqueue("a", reading(1));
  await enqueue("b", reading(2));
  const heard = vi.fn<(runId: string, reached: boolean) => void>();
  const deaf = onDelivery(heard);
  const leave = startCourier();
  await vi.waitFor(() => expect(heard.mock.calls).toHaveLength(2));
  expect(sent.sort()).toEqual(["/api/runs/a/events", "/api/runs/b/events"]);
  expect(heard.mock.calls.every(([, reached]) => reached)).toBe(true);
  await enqueue("a", reading(3));
  hurry();
  await vi.waitFor(() => expect(heard.mock.calls).toHaveLength(3));
  deaf();
  leave();
});

test("readings go out under the name of the cook who logged them, and wait for that cook", async () => {
  const sent: string[] = [];
  vi.stubGlobal("fetch", (_url: string, init?: RequestInit) => {
    if (init?.method === "POST")
      sent.push(...(JSON.parse(init.body as string) as { events: RunEvent[] }).events.map(e => e.personId));
    return Promise.resolve(new Response(JSON.stringify({ ok: true, serverNow: Date.now() })));
  });
  await enqueue("a", reading(4), "kelder");
  await enqueue("a", { ...reading(5), personId: "tomas" }, "kelder");
  carryFor({ kitchenId: "kelder", personId: "tomas" });
  const leave = startCourier();
  await vi.waitFor(() => expect(sent).toEqual(["tomas"]));
  carryFor({ kitchenId: "elsewhere", personId: "noor" });
  carryFor({ kitchenId: "kelder", personId: "noor" });
  await vi.waitFor(() => expect(sent).toEqual(["tomas", "noor"]));
  leave();
});
