import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { monotonicFactory } from "ulid";
import type { RunEvent, RunPayload } from "~/core/run";
import { deliver, enqueue, forget, keptOf, pendingOf } from "../offline/queue";

const TRY_AGAIN_MS = 4000;

/** The queue is sent in the order of the ids: of two readings of one moment the later has the greater. */
const nextId = monotonicFactory();

export interface RunLog {
  readonly events: readonly RunEvent[];
  /** Readings that wait for the network. */
  readonly waiting: number;
  readonly refusal: string | null;
  readonly log: (payload: RunPayload) => void;
}

/** The events of a run on this device: those the server has told, and those still on their way to it. */
export function useRunEvents(
  runId: string,
  told: readonly RunEvent[],
  personId: string,
  serverNow: number,
  onDelivered: () => void,
): RunLog {
  const [mine, setMine] = useState<readonly RunEvent[]>([]);
  const [waiting, setWaiting] = useState(0);
  const [refusal, setRefusal] = useState<string | null>(null);
  const offset = useRef(0);
  const delivered = useRef(onDelivered);
  useEffect(() => {
    delivered.current = onDelivered;
  }, [onDelivered]);
  useEffect(() => {
    offset.current = Math.round(serverNow - Date.now());
  }, [serverNow]);

  useEffect(() => {
    void forget(told.map(event => event.id));
  }, [told]);

  // One delivery at a time; what is logged meanwhile goes with the next.
  const sending = useRef(false);
  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      while ((await pendingOf(runId)).length > 0) {
        const outcome = await deliver(runId);
        setRefusal(outcome.kind === "refused" ? outcome.message : null);
        if (outcome.kind !== "delivered") break;
        offset.current = Math.round(outcome.serverNow - Date.now());
        delivered.current();
      }
    } finally {
      sending.current = false;
      setWaiting((await pendingOf(runId)).length);
    }
  }, [runId]);

  useEffect(() => {
    void keptOf(runId).then(found => {
      setMine(all => merge(all, found));
      void send();
    });
    const again = () => void send();
    const timer = setInterval(again, TRY_AGAIN_MS);
    window.addEventListener("online", again);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", again);
    };
  }, [runId, send]);

  const log = useCallback(
    (payload: RunPayload) => {
      const event: RunEvent = {
        id: nextId(),
        at: new Date().toISOString(),
        clockOffsetMs: offset.current,
        personId,
        payload,
      };
      setMine(all => [...all, event]);
      setWaiting(n => n + 1);
      void enqueue(runId, event).then(send);
    },
    [personId, runId, send],
  );

  const events = useMemo(() => merge(told, mine), [told, mine]);
  return { events, waiting, refusal, log };
}

const merge = (a: readonly RunEvent[], b: readonly RunEvent[]): RunEvent[] => [
  ...new Map([...b, ...a].map(e => [e.id, e])).values(),
];
