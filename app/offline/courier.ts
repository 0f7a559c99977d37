import { deviceClock } from "./device-clock";
import { type SentForm, sendForms } from "./forms-waiting";
import { plainFetch } from "./patient-fetch";
import { type Owner, deliver, runsWaiting } from "./queue";

/**
 * Takes every reading that waits on this device to the server, from whichever page is open. One round at a time; what is
 * logged meanwhile goes with the next.
 */

const TRY_AGAIN_MS = 4000;

type Listener = (runId: string, reached: boolean) => void;
const listeners = new Set<Listener>();
let pages = 0;
/** Whose readings go: the server books them under who is signed in. Nobody’s while nobody is. */
let owner: Owner | undefined;
let stop: () => void = () => {};
let round: Promise<void> | null = null;
let again = false;

async function go(): Promise<void> {
  do {
    again = false;
    const whose = owner;
    for (const runId of await runsWaiting(whose)) {
      const outcome = await deliver(runId, undefined, undefined, whose);
      if (outcome.kind === "delivered" && outcome.serverNow !== null) deviceClock.heard(outcome.serverNow);
      for (const listener of listeners) listener(runId, outcome.kind === "delivered");
    }
    if (whose)
      for (const form of await sendForms(whose, plainFetch)) for (const hear of formListeners) hear(form);
    if (deviceClock.jumped) await askTheTime();
  } while (again);
}

/** The date of any answer will do: a second more or less is no matter, hours are. */
async function askTheTime(): Promise<void> {
  const response = await fetch("/healthz").catch(() => null);
  const date = Date.parse(response?.headers.get("Date") ?? "");
  if (Number.isFinite(date)) deviceClock.heard(date);
}

/** Something may be delivered now. */
export function hurry(): void {
  if (round) again = true;
  else
    round = go()
      .catch(() => {})
      .finally(() => (round = null));
}

/** Hears of each run whose readings were taken or could not be. */
export function onDelivery(listener: Listener): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

const formListeners = new Set<(sent: SentForm) => void>();
/** Hears of each form that a page before this one had left waiting. */
export function onFormSent(listener: (sent: SentForm) => void): () => void {
  formListeners.add(listener);
  return () => void formListeners.delete(listener);
}

/** Who is cooking here; `null` while nobody is. */
export const personHere = (): string | null => owner?.personId ?? null;

/** Somebody else cooks at this device from now on: what they logged before goes now. */
export function carryFor(next: Owner): void {
  owner = next;
  hurry();
}

/** A page is open: readings are delivered as long as any is. */
export function startCourier(): () => void {
  if (pages++ === 0) {
    const timer = setInterval(hurry, TRY_AGAIN_MS);
    addEventListener("online", hurry);
    document.addEventListener("visibilitychange", hurry);
    stop = () => {
      clearInterval(timer);
      removeEventListener("online", hurry);
      document.removeEventListener("visibilitychange", hurry);
    };
    hurry();
  }
  return () => {
    if (--pages === 0) stop();
  };
}
