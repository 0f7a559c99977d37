import { type Remote, releaseProxy, wrap } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { FormulaDocument, KitchenData, StepIntervals } from "~/core/formula";
import type { IntervalJobs } from "./intervals.worker";

/** Typing pauses this long before the intervals are asked for, ms. */
const PAUSE_MS = 120;

/**
 * Intervals along the line, worked out beside the page. While new ones are on their way the old ones stand; `fresh`
 * says whether they belong to this very document.
 */
export function useIntervals(
  document: FormulaDocument,
  kitchen: KitchenData,
  burnerId: string,
): { intervals: readonly StepIntervals[]; fresh: boolean } {
  const worker = useRef<{ remote: Remote<IntervalJobs>; end: () => void } | null>(null);
  const [answer, setAnswer] = useState<{
    of: FormulaDocument | null;
    on: string;
    intervals: readonly StepIntervals[];
  }>({
    of: null,
    on: "",
    intervals: [],
  });

  useEffect(() => {
    const thread = new Worker(new URL("./intervals.worker.ts", import.meta.url), { type: "module" });
    const remote = wrap<IntervalJobs>(thread);
    worker.current = {
      remote,
      end: () => {
        remote[releaseProxy]();
        thread.terminate();
      },
    };
    return () => {
      worker.current?.end();
      worker.current = null;
    };
  }, []);

  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(() => {
      void worker.current?.remote.intervals(document, kitchen, burnerId).then(intervals => {
        if (wanted) setAnswer({ of: document, on: burnerId, intervals });
      });
    }, PAUSE_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [document, kitchen, burnerId]);

  return { intervals: answer.intervals, fresh: answer.of === document && answer.on === burnerId };
}
