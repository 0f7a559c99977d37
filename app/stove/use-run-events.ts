import { useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import type { RunEvent, RunPayload } from "~/core/run";
import { hurry, onDelivery, startCourier } from "../offline/courier";
import { deviceClock } from "../offline/device-clock";
import { ClockContext } from "../ui/clock";
import { isKept } from "../offline/kept";
import { logHere } from "../offline/log";
import { type Owner, type Refused, forget, keptOf, pendingOf, refusedOf } from "../offline/queue";

export interface RunLog {
  readonly events: readonly RunEvent[];
  /** Readings that wait for the network. */
  readonly waiting: number;
  /** Those of them that somebody else logged here: they go when that cook is chosen again. */
  readonly ofOthers: readonly RunEvent[];
  /** Readings the server does not take: they count nowhere and wait for the cook's word. */
  readonly refused: readonly Refused[];
  readonly log: (payload: RunPayload) => void;
  /** Takes a refused reading off this device. */
  readonly drop: (id: string) => void;
}

/** The events of a run on this device: those the server has acknowledged, and those still on their way to it. */
export function useRunEvents(
  runId: string,
  acknowledged: readonly RunEvent[],
  { personId, kitchenId }: Owner,
  serverNow: number,
  onDelivered: () => void,
): RunLog {
  const [mine, setMine] = useState<readonly RunEvent[]>([]);
  const [waiting, setWaiting] = useState(0);
  const [ofOthers, setOfOthers] = useState<readonly RunEvent[]>([]);
  const [refused, setRefused] = useState<readonly Refused[]>([]);
  const delivered = useRef(onDelivered);
  useEffect(() => {
    delivered.current = onDelivered;
  }, [onDelivered]);
  useEffect(() => {
    // A page that was kept says a time that is long past.
    if (!isKept()) deviceClock.heard(serverNow);
  }, [serverNow]);
  useEffect(() => {
    void forget(acknowledged.map(event => event.id));
  }, [acknowledged]);

  useEffect(() => {
    let here = true;
    const look = async () => {
      const [kept, pending, aside] = await Promise.all([keptOf(runId), pendingOf(runId), refusedOf(runId)]);
      if (!here) return;
      const out = new Set(aside.map(r => r.event.id));
      setMine(all => merge(all, kept).filter(event => !out.has(event.id)));
      setWaiting(pending.length);
      setOfOthers(pending.filter(event => event.personId !== personId));
      setRefused(aside);
    };
    void look();
    const deaf = onDelivery((of, reached) => {
      if (of !== runId) return;
      if (reached) delivered.current();
      void look();
    });
    const leave = startCourier();
    hurry();
    return () => {
      here = false;
      deaf();
      leave();
    };
  }, [personId, runId]);

  const clock = useContext(ClockContext);
  const log = useCallback(
    (payload: RunPayload) => {
      const event = logHere(runId, payload, { kitchenId, personId }, clock);
      setMine(all => [...all, event]);
      setWaiting(n => n + 1);
    },
    [clock, kitchenId, personId, runId],
  );
  const drop = useCallback((id: string) => {
    setRefused(all => all.filter(r => r.event.id !== id));
    void forget([id]);
  }, []);

  const events = useMemo(() => merge(acknowledged, mine), [acknowledged, mine]);
  return { events, waiting, ofOthers, refused, log, drop };
}

const merge = (a: readonly RunEvent[], b: readonly RunEvent[]): RunEvent[] => [
  ...new Map([...b, ...a].map(e => [e.id, e])).values(),
];
