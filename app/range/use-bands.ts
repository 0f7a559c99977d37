import { useEffect, useRef } from "react";
import { useRevalidator } from "react-router";
import { isKept } from "../offline/kept";
import type { LiveRun } from "./live-run.server";

const AGAIN_MS = 3000;
/** What is not worked out by then fails at the server; the pots stand without their widths. */
const MOST_TRIES = 20;

/** Asks again for the widths of pots that the server was still working out. */
export function useBands(runs: readonly Pick<LiveRun, "bands" | "document">[]): void {
  const { revalidate, state } = useRevalidator();
  const tries = useRef(0);
  const missing = runs.some(({ bands, document }) => !bands.length && document.steps.length > 0);
  useEffect(() => {
    if (!missing || state !== "idle" || isKept() || tries.current >= MOST_TRIES) return;
    const timer = setTimeout(() => {
      tries.current += 1;
      void revalidate();
    }, AGAIN_MS);
    return () => clearTimeout(timer);
  }, [missing, revalidate, state]);
}
