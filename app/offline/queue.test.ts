import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "vitest";
import type { RunEvent } from "~/core/run";
import { deliver, enqueue, forget, keptOf, pendingOf, refusedOf, runsWaiting } from "./queue";

const reading = (n: number): RunEvent => ({
  id: `01HZZZZZZZZZZZZZZZZZZZZZZ${n}`,
  at: "2026-11-23T08:00:00.000Z",
  clockOffsetMs: 0,
  personId: "noor",
  payload: { kind: "weighed", stepId: "s1", netG: n },
});
const answer = (status: number, body: unknown) => () =>
  Promise.resolve(new Response(JSON.stringify(body), { status }));

beforeEach(async () => {
  for (const run of ["a", "b"])
    await forget([...(await keptOf(run)), ...(await refusedOf(run)).map(r => r.event)].map(e => e.id));
});

/** What is not in the queue yet; the device’s clock has a place of its own there. */
const jottings = () => Object.keys(localStorage).filter(key => key.startsWith("hondaro.reading."));

describe("readings on their way to the server", () => {
  test("wait in order, each run for itself", async () => {
    await enqueue("a", reading(2));
    await enqueue("a", reading(1));
    await enqueue("b", reading(3));
    expect((await pendingOf("a")).map(e => e.id.at(-1))).toEqual(["1", "2"]);
    expect(await pendingOf("b")).toHaveLength(1);
  });
  test("are jotted down before the queue is open, so that a page left at once loses nothing", async () => {
    const writing = enqueue("a", reading(1));
    const jotted = jottings();
    expect(jotted).toHaveLength(1);
    const text = localStorage.getItem(jotted[0] ?? "");
    await writing;
    expect(jottings()).toEqual([]);

    // What a page leaves behind that was closed between the two.
    await forget([reading(1).id]);
    localStorage.setItem(jotted[0] ?? "", text ?? "");
    expect(await pendingOf("a")).toEqual([reading(1)]);
    expect(jottings()).toEqual([]);
  });
  test("a spoiled jotting keeps no other from the queue", async () => {
    localStorage.setItem("hondaro.reading.x", "{not a reading");
    localStorage.setItem("hondaro.reading.y", JSON.stringify({ runId: "a", event: reading(2) }));
    expect(await pendingOf("a")).toEqual([reading(2)]);
    expect(jottings()).toEqual([]);
  });
  test("stay on the device after delivery until a page has been told them", async () => {
    await enqueue("a", reading(1));
    await deliver("a", answer(200, { ok: true, serverNow: 5 }));
    expect(await pendingOf("a")).toEqual([]);
    expect(await keptOf("a")).toEqual([reading(1)]);
    await forget([reading(1).id]);
    expect(await keptOf("a")).toEqual([]);
  });
  test("leave the queue only when the server has them", async () => {
    await enqueue("a", reading(1));
    expect(await deliver("a", answer(503, {}))).toEqual({ kind: "unreachable" });
    expect(await deliver("a", () => Promise.reject(new TypeError("no network")))).toEqual({
      kind: "unreachable",
    });
    expect(await pendingOf("a")).toHaveLength(1);
    expect(await deliver("a", answer(200, { ok: true, serverNow: 5 }))).toEqual({
      kind: "delivered",
      serverNow: 5,
    });
    expect(await pendingOf("a")).toEqual([]);
  });
  test("without an answer they wait, and are sent again", async () => {
    await enqueue("a", reading(1));
    const silent: typeof fetch = (_url, init) =>
      new Promise((_, reject) =>
        init?.signal?.addEventListener("abort", () => reject(new Error("no answer"))),
      );
    expect(await deliver("a", silent, 20)).toEqual({ kind: "unreachable" });
    expect(await pendingOf("a")).toHaveLength(1);
    expect((await deliver("a", answer(200, { serverNow: 7 }))).kind).toBe("delivered");
  });
  test("one that is refused stands aside with its reason, and keeps none of the others waiting", async () => {
    for (const n of [1, 2, 3]) await enqueue("a", reading(n));
    const picky: typeof fetch = (_url, init) => {
      const { events } = JSON.parse(init?.body as string) as { events: RunEvent[] };
      return events.some(e => e.id === reading(2).id)
        ? answer(422, { detail: "The note has more than 500 signs." })()
        : answer(200, { serverNow: 5 })();
    };
    expect(await deliver("a", picky)).toEqual({ kind: "delivered", serverNow: 5 });
    expect(await pendingOf("a")).toEqual([]);
    expect(await keptOf("a")).toEqual([reading(1), reading(3)]);
    expect(await refusedOf("a")).toEqual([
      { event: reading(2), reason: "The note has more than 500 signs." },
    ]);
    expect(await runsWaiting()).toEqual([]);
  });
  test("a refusal of the way it was sent says nothing of the reading", async () => {
    await enqueue("b", reading(4));
    expect(await deliver("b", answer(403, {}))).toEqual({ kind: "unreachable" });
    expect(await runsWaiting()).toEqual(["b"]);
  });
  test("too many at once is no refusal: they are sent again later", async () => {
    await enqueue("a", reading(1));
    expect(await deliver("a", answer(429, {}))).toEqual({ kind: "unreachable" });
  });
});
