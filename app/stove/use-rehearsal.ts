import { useEffect, useRef, useState } from "react";
import type { RunPayload, RunState } from "~/core/run";
import type { RehearsalNow } from "../api/rehearsal.server";
import type { Shown } from "./shown";

/** How often the instruments are looked at, ms. */
const LOOK_MS = 1500;

/** The instruments of the simulated stove; what goes wrong on it is logged as it happens. */
export function useRehearsal(
  runId: string,
  on: boolean,
  state: RunState,
  log: (payload: RunPayload) => void,
): readonly Shown[] {
  const [shown, setShown] = useState<readonly Shown[]>([]);
  const latest = useRef({ state, log });
  useEffect(() => {
    latest.current = { state, log };
  }, [state, log]);
  const over = state.finishedAt !== null;
  useEffect(() => {
    if (!on || over) return;
    const told = new Set<string>();
    const look = async () => {
      const answer = await fetch(`/api/rehearsals/${runId}`).catch(() => null);
      if (!answer?.ok) return;
      const now = (await answer.json()) as RehearsalNow;
      setShown(now.shown.map(one => ({ ...one, name: `the ${one.instrument}` })));
      for (const { stepId, what, lostG, words } of now.wrong) {
        const key = `${stepId} ${what}`;
        const known = latest.current.state.told.incidents.some(i => `${i.stepId} ${i.what}` === key);
        if (known || told.has(key)) continue;
        told.add(key);
        latest.current.log({ kind: "incident", stepId, what, words, ...(lostG > 0 && { lostG }) });
        if (lostG > 0 && what === "boiled over")
          latest.current.log({ kind: "taken-out", stepId, what: "poured off", massG: lostG });
      }
    };
    void look();
    const timer = setInterval(() => void look(), LOOK_MS);
    return () => clearInterval(timer);
  }, [on, over, runId]);
  return shown;
}
