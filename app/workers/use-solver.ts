import { type Remote, releaseProxy, wrap } from "comlink";
import { useCallback, useEffect, useRef } from "react";
import type { SolverJobs } from "./solver-jobs";

/** The long sums of the Bench, beside the page: made at the first question, ended with the page. */
export function useSolver(): () => Remote<SolverJobs> {
  const made = useRef<{ remote: Remote<SolverJobs>; end: () => void } | null>(null);
  useEffect(
    () => () => {
      made.current?.end();
      made.current = null;
    },
    [],
  );
  return useCallback(() => {
    if (!made.current) {
      const thread = new Worker(new URL("./solver.worker.ts", import.meta.url), { type: "module" });
      const remote = wrap<SolverJobs>(thread);
      made.current = {
        remote,
        end: () => {
          remote[releaseProxy]();
          thread.terminate();
        },
      };
    }
    return made.current.remote;
  }, []);
}
