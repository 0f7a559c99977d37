import "fake-indexeddb/auto";
import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { RunEvent } from "~/core/run";
import { enqueue, forget, keptOf, pendingOf, refusedOf } from "../offline/queue";
import { useRunEvents } from "./use-run-events";

const RUN = "run-a";
const NOOR = { kitchenId: "kelder", personId: "noor" };
const NOW = Date.UTC(2026, 10, 23, 8);
let online = true;
let answer: () => Response = () => new Response(JSON.stringify({ ok: true, serverNow: NOW }));
const sent: RunEvent[] = [];

beforeEach(async () => {
  online = true;
  answer = () => new Response(JSON.stringify({ ok: true, serverNow: NOW }));
  sent.length = 0;
  await forget([...(await keptOf(RUN)), ...(await refusedOf(RUN)).map(r => r.event)].map(e => e.id));
  vi.stubGlobal("fetch", (_url: string, init: RequestInit) => {
    if (!online) return Promise.reject(new TypeError("no network"));
    const response = answer();
    if (response.ok) sent.push(...(JSON.parse(init.body as string) as { events: RunEvent[] }).events);
    return Promise.resolve(response);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const weighed = (netG: number) => ({ kind: "weighed", stepId: "s1", netG }) as const;
function opened(told: readonly RunEvent[] = []) {
  const delivered = vi.fn();
  const view = renderHook(
    ({ from }: { from: readonly RunEvent[] }) => useRunEvents(RUN, from, NOOR, NOW, delivered),
    { initialProps: { from: told } },
  );
  return { view, delivered, now: () => view.result.current };
}

describe("readings of a run on this device", () => {
  test("what is logged stands at once, and goes to the server", async () => {
    const { now, delivered } = opened();
    act(() => now().log(weighed(5000)));
    expect(now().events).toHaveLength(1);
    expect(now().events[0]).toMatchObject({ personId: "noor", payload: weighed(5000) });
    await waitFor(() => expect(now().waiting).toBe(0));
    expect(sent.map(e => e.payload)).toEqual([weighed(5000)]);
    expect(delivered).toHaveBeenCalled();
  });
  test("without a network it waits, stands all the same, and goes when the network is back", async () => {
    online = false;
    const { now } = opened();
    act(() => now().log(weighed(4000)));
    act(() => now().log(weighed(3900)));
    await waitFor(async () => expect(await pendingOf(RUN)).toHaveLength(2));
    expect(now().events).toHaveLength(2);
    expect(now().waiting).toBe(2);
    expect(now().refused).toEqual([]);
    online = true;
    act(() => void window.dispatchEvent(new Event("online")));
    await waitFor(() => expect(now().waiting).toBe(0));
    expect(sent.map(e => e.payload)).toEqual([weighed(4000), weighed(3900)]);
  });
  test("what is logged in one moment goes in the order it was logged", async () => {
    vi.useFakeTimers({ now: NOW, toFake: ["Date"] });
    online = false;
    const masses = Array.from({ length: 12 }, (_, i) => weighed(5000 - 100 * i));
    const { now } = opened();
    act(() => masses.forEach(mass => now().log(mass)));
    await waitFor(async () => expect(await pendingOf(RUN)).toHaveLength(masses.length));
    online = true;
    act(() => void window.dispatchEvent(new Event("online")));
    await waitFor(() => expect(now().waiting).toBe(0));
    expect(sent.map(e => e.payload)).toEqual(masses);
  });
  test("a reading the server does not take stands aside with the reason, until the cook drops it", async () => {
    answer = () => new Response(JSON.stringify({ detail: "This pot was finished." }), { status: 409 });
    const { now } = opened();
    act(() => now().log(weighed(3000)));
    await waitFor(() => expect(now().refused.map(r => r.reason)).toEqual(["This pot was finished."]));
    expect(now().events).toEqual([]);
    expect(now().waiting).toBe(0);
    const [aside] = now().refused;
    act(() => now().drop(aside?.event.id ?? ""));
    await waitFor(async () => expect(await refusedOf(RUN)).toEqual([]));
  });
  test("a page that was left finds its readings again, and sends what was not sent", async () => {
    const left: RunEvent = {
      id: "01HZZZZZZZZZZZZZZZZZZZZZZ1",
      at: new Date(NOW).toISOString(),
      clockOffsetMs: 0,
      personId: "noor",
      payload: weighed(2000),
    };
    await enqueue(RUN, left);
    const { now } = opened();
    await waitFor(() => expect(now().events).toEqual([left]));
    await waitFor(() => expect(sent).toEqual([left]));
  });
  test("what the server tells and what is here are one reading, and the device need not keep it", async () => {
    const { now, view } = opened();
    act(() => now().log(weighed(1000)));
    await waitFor(() => expect(now().waiting).toBe(0));
    const [event] = now().events;
    view.rerender({ from: event ? [event] : [] });
    expect(now().events).toHaveLength(1);
    await waitFor(async () => expect(await keptOf(RUN)).toEqual([]));
  });
  test("the clock of the server is noted beside that of the device", async () => {
    const { now } = opened();
    const before = Date.now();
    act(() => now().log(weighed(500)));
    const [event] = now().events;
    const offset = NOW - before;
    expect(Math.abs((event?.clockOffsetMs ?? 0) - offset)).toBeLessThan(5000);
    await waitFor(() => expect(now().waiting).toBe(0));
  });
});
