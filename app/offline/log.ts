import { monotonicFactory } from "ulid";
import type { RunEvent, RunPayload } from "~/core/run";
import { type PageClock, REAL_TIME } from "../ui/clock";
import { hurry } from "./courier";
import { deviceClock } from "./device-clock";
import { type Owner, enqueue } from "./queue";

/** The queue is sent in the order of the ids: of two readings of one moment the later has the greater. */
const nextId = monotonicFactory();

type Listener = (runId: string, event: RunEvent) => void;
const listeners = new Set<Listener>();

/** Hears of what is logged on this page, before it has reached anybody. */
export function onLogged(listener: Listener): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Logs something of a run: it is kept on the device, and goes to the server as soon as there is one. */
export function logHere(
  runId: string,
  payload: RunPayload,
  { personId, kitchenId }: Owner,
  clock: PageClock = REAL_TIME,
): RunEvent {
  const offset = deviceClock.offset;
  const real = Date.now();
  const event: RunEvent = {
    id: nextId(),
    // What the clock of a rehearsal adds is part of its time, not of this device’s error.
    at: new Date(real + Math.round(clock.at(real + offset) - (real + offset))).toISOString(),
    clockOffsetMs: offset,
    personId,
    payload,
  };
  for (const listener of listeners) listener(runId, event);
  void enqueue(runId, event, kitchenId).then(hurry);
  return event;
}
