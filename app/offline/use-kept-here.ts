import { useEffect, useMemo, useState } from "react";
import type { RunEvent } from "~/core/run";
import { together } from "../live/use-live";
import { onDelivery, startCourier } from "./courier";
import { heardOf } from "./heard";
import { isKept } from "./kept";
import { onLogged } from "./log";
import { keptOf } from "./queue";

interface Run {
  readonly run: { readonly id: string };
  readonly events: readonly RunEvent[];
}
type ByRun = ReadonlyMap<string, readonly RunEvent[]>;

const idsOf = (runs: readonly Run[]): string => runs.map(({ run }) => run.id).join(" ");

function merged<R extends Run>(runs: readonly R[], more: ByRun): readonly R[] {
  return runs.map(one => {
    const here = more.get(one.run.id);
    return here?.length ? { ...one, events: together(one.events, here) } : one;
  });
}

/** Runs with what this tablet heard of them before, where the page was kept and nobody can be reached. The server has it all. */
export function useHeardBefore<R extends Run>(runs: readonly R[]): readonly R[] {
  const [before, setBefore] = useState<ByRun>(() => new Map());
  const ids = idsOf(runs);
  useEffect(() => {
    let open = true;
    if (isKept())
      void heardOf(ids.split(" "))
        .then(heard => open && setBefore(heard))
        .catch(() => {});
    return () => {
      open = false;
    };
  }, [ids]);
  return useMemo(() => merged(runs, before), [before, runs]);
}

/**
 * Runs with what was logged of them on this device and has not come back from the server yet. Not for a page that tells the
 * queue what has arrived: it would take these for arrived.
 */
export function useKeptHere<R extends Run>(runs: readonly R[]): readonly R[] {
  const [here, setHere] = useState<ByRun>(() => new Map());
  const ids = idsOf(runs);
  useEffect(() => {
    let open = true;
    const look = async (runId: string) => {
      const kept = await keptOf(runId);
      if (open) setHere(all => new Map(all).set(runId, kept));
    };
    for (const id of ids.split(" ").filter(Boolean)) void look(id);
    const deaf = onDelivery(runId => void look(runId));
    const quiet = onLogged((runId, event) =>
      setHere(all => new Map(all).set(runId, [...(all.get(runId) ?? []), event])),
    );
    const leave = startCourier();
    return () => {
      open = false;
      deaf();
      quiet();
      leave();
    };
  }, [ids]);
  return useMemo(() => merged(runs, here), [here, runs]);
}
