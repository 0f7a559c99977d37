import { act, cleanup, render, screen, waitFor } from "@testing-library/react";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { RunEvent } from "~/core/run";
import { useHeard, useLive } from "./use-live";

/** A stream that says what the test wants. */
class Source extends EventTarget {
  static readonly CLOSED = 2;
  static open: Source[] = [];
  readyState = 1;
  constructor(readonly url: string) {
    super();
    Source.open.push(this);
  }
  close() {
    this.readyState = Source.CLOSED;
  }
  say(kind: string, data: unknown, lastEventId = "") {
    act(() => void this.dispatchEvent(new MessageEvent(kind, { data: JSON.stringify(data), lastEventId })));
  }
  breaks(closed = false) {
    if (closed) this.close();
    act(() => void this.dispatchEvent(new Event("error")));
  }
}

const event = (id: string, kind: "noted" | "step-begun"): RunEvent => ({
  id: id.padStart(26, "0"),
  at: "2026-11-24T08:00:00.000Z",
  clockOffsetMs: 0,
  personId: "noor",
  payload: kind === "noted" ? { kind, stepId: "s", text: id } : { kind, stepId: "s" },
});

let reads = 0;
function Page() {
  useLive();
  const [run] = useHeard([{ run: { id: "r1" }, events: [event("A", "noted")] }]);
  return <p>{run?.events.map(e => e.id.replace(/^0+/, "")).join(" ")}</p>;
}
const open = async () => {
  const Stub = createRoutesStub([
    {
      path: "/",
      Component: Page,
      loader: () => {
        reads += 1;
        return null;
      },
      HydrateFallback: () => null,
    },
  ]);
  render(<Stub />);
  await screen.findByText("A");
};
/** Longer than several readings at once are waited for. */
const settle = () => act(() => new Promise(done => setTimeout(done, 300)));

beforeEach(() => {
  reads = 0;
  Source.open = [];
  vi.stubGlobal("EventSource", Source);
  vi.stubGlobal("BroadcastChannel", undefined);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test("a reading of somebody else stands on the page without reading it anew; a step begun reads it anew, once for several", async () => {
  await open();
  const [stream] = Source.open;
  stream?.say("here", { seq: 4 }, "4");
  await settle();
  const before = reads;
  stream?.say("log", [{ runId: "r1", event: event("B", "noted") }], "5");
  await screen.findByText("B A");
  await settle();
  expect(reads).toBe(before);
  stream?.say("log", [{ runId: "r2", event: event("C", "step-begun") }], "6");
  stream?.say("log", [{ runId: "r2", event: event("D", "step-begun") }], "7");
  await settle();
  expect(reads).toBe(before + 1);
});

test("a stream that the server refuses is opened again where it stood, and the page read anew", async () => {
  await open();
  Source.open[0]?.say("here", { seq: 4 }, "4");
  Source.open[0]?.say("log", [{ runId: "r1", event: event("B", "noted") }], "5");
  await settle();
  const before = reads;
  Source.open[0]?.breaks(true);
  await waitFor(() => expect(Source.open[1]?.url).toBe("/api/live?since=5"), { timeout: 4000 });
  Source.open[1]?.say("here", { seq: 9 }, "9");
  await settle();
  expect(reads).toBe(before + 1);
});
