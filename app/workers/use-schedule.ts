import { type Remote, wrap } from "comlink";
import { useEffect, useRef } from "react";
import type { Schedule, ScheduleInput } from "~/core/day";
import type { scheduleWithBuffer } from "~/core/day";

interface Jobs {
  scheduleWithBuffer: typeof scheduleWithBuffer;
}

/** Plans in a thread beside the page; `null` where no plan is possible. */
export function useSchedule(): (input: ScheduleInput) => Promise<Schedule | null> {
  const worker = useRef<{ worker: Worker; jobs: Remote<Jobs> } | null>(null);
  useEffect(
    () => () => {
      worker.current?.worker.terminate();
      worker.current = null;
    },
    [],
  );
  return async input => {
    if (!worker.current) {
      const made = new Worker(new URL("./schedule.worker.ts", import.meta.url), { type: "module" });
      worker.current = { worker: made, jobs: wrap<Jobs>(made) };
    }
    const found = await worker.current.jobs.scheduleWithBuffer(input);
    return found.ok ? found.value.plan : null;
  };
}
