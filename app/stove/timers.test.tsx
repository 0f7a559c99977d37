import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import type { RunEvent, RunPayload } from "~/core/run";
import { RingingElsewhere, TimerPanel, TimerStrip } from "./timers";

afterEach(cleanup);

const NOW = Date.UTC(2026, 10, 30, 9);
const set = (secondsAgo: number, name: string, seconds: number, every = false): RunEvent => ({
  id: `01HTMR${name.toUpperCase().padStart(20, "0")}`,
  at: new Date(NOW - 1000 * secondsAgo).toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload: { kind: "timer-set", stepId: "s", timerId: name, name, seconds, every },
});

test("one that runs says how long, one that rings is heard with one tap, each can be stopped", async () => {
  const [heard, stopped] = [vi.fn(), vi.fn()];
  const events = [set(60, "skim", 1200, true), set(70, "roux", 60)];
  render(<TimerStrip events={events} alarms={[]} now={NOW} onHeard={heard} onStop={stopped} />);
  const strip = screen.getByRole("list", { name: "Timers" });
  expect(strip.textContent).toMatch(/rouxnow: heard.*skimin 19:00, every 20/);
  await userEvent.click(screen.getByRole("button", { name: /roux.*heard/ }));
  expect(heard.mock.calls[0]?.[0]).toMatchObject({ id: "roux" });
  await userEvent.click(screen.getByRole("button", { name: "Stop the timer “skim”" }));
  expect(stopped.mock.calls[0]?.[0]).toMatchObject({ id: "skim" });
});

test("what is usual is one tap; anything else has a name, minutes and may come again", async () => {
  const logged: RunPayload[] = [];
  const usual = [{ name: "skim", minutes: 20, every: true }];
  render(<TimerPanel usual={usual} stepId="s" onLog={p => logged.push(p)} onClose={() => {}} />);
  await userEvent.click(screen.getByRole("button", { name: /skim every 20/ }));
  expect(logged[0]).toMatchObject({
    kind: "timer-set",
    stepId: "s",
    name: "skim",
    seconds: 1200,
    every: true,
  });
  fireEvent.change(screen.getByLabelText("what for"), { target: { value: "bread" } });
  fireEvent.input(screen.getByLabelText("in, or every"), { target: { value: "1 h 30" } });
  await userEvent.click(screen.getByRole("button", { name: "Set it" }));
  expect(logged[1]).toMatchObject({ name: "bread", seconds: 5400, every: false });
});

test("what rings in another pot leads there; what only runs there is left alone", () => {
  const other = (id: string, events: RunEvent[]) =>
    ({ run: { id }, document: { name: `Pot ${id}` }, events }) as never;
  const runs = [other("r1", [set(90, "turn", 60)]), other("r2", [set(10, "baste", 60)])];
  const Stub = createRoutesStub([
    { path: "/", Component: () => <RingingElsewhere runs={runs} now={NOW} className="" /> },
  ]);
  render(<Stub />);
  const links = screen.getAllByRole("link");
  expect(links.map(l => [l.textContent, l.getAttribute("href")])).toEqual([
    ["Pot r1: turn now", "/stove/r1"],
  ]);
});
