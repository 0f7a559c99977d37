import { type Remote, releaseProxy, wrap } from "comlink";
import { startTransition, useEffect, useRef, useState } from "react";
import type { FormulaDocument, KitchenData, StepIntervals } from "~/core/formula";
import type { IntervalJobs } from "./interval-jobs";

/** Typing pauses this long before the intervals are asked for, ms. */
const PAUSE_MS = 500;

/**
 * Intervals along the line, worked out beside the page. While new ones are on their way the old ones stand, as long as
 * the steps are the same; `fresh` says whether they belong to this very document.
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

  // The larder and the kit are large: they go over once, not with every key.
  useEffect(() => {
    void worker.current?.remote.kitchen(kitchen);
  }, [kitchen]);

  // Whoever has just opened the page types nothing yet, and waits for nothing.
  const asked = useRef(false);
  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(
      () => {
        asked.current = true;
        void worker.current?.remote.intervals(document, burnerId).then(intervals => {
          if (wanted) startTransition(() => setAnswer({ of: document, on: burnerId, intervals }));
        });
      },
      asked.current ? PAUSE_MS : 0,
    );
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [document, kitchen, burnerId]);

  const fresh = answer.of === document && answer.on === burnerId;
  return { intervals: fresh || sameSteps(answer.of, document) ? answer.intervals : NONE, fresh };
}

const NONE: readonly StepIntervals[] = [];

/** Whether the old intervals can still stand beside the steps they belong to. */
const sameSteps = (before: FormulaDocument | null, now: FormulaDocument): boolean =>
  before?.steps.length === now.steps.length && before.steps.every((step, i) => step.id === now.steps[i]?.id);
