import { monitorEventLoopDelay } from "node:perf_hooks";
import type { Express } from "express";

/** Finer than this nothing is told apart, ms. */
const RESOLUTION_MS = 5;

/** Tells measures how long nobody else was answered since it was asked last: the longest hold of the event loop, ms. */
export function watchLoop(app: Express): void {
  const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
  delay.enable();
  app.get("/healthz/held", (_request, response) => {
    const heldMs = delay.max / 1e6;
    delay.reset();
    response.json({ heldMs });
  });
}
