import { useEffect, useMemo, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import type { RunEvent } from "~/core/run";
import { type LiveEntry, isLive, onNews, startLive } from "./stream";

/** What a page has not read itself: a pot put on or taken off, or a step that begins or ends. */
const MOVES: ReadonlySet<string> = new Set([
  "started",
  "finished",
  "abandoned",
  "undone",
  "step-begun",
  "step-done",
  "moved",
]);
/** Without a stream a page looks for itself this often, ms. */
const LOOK_AGAIN_MS = 15_000;
/** Several readings at once are one look. */
const TOGETHER_MS = 150;

/** Keeps what a page has read in step with the kitchen; `follows` tells which readings it has to be read anew for. */
export function useLive(
  follows: (entry: LiveEntry) => boolean = ({ event }) => MOVES.has(event.payload.kind),
): void {
  const { revalidate } = useRevalidator();
  const wanted = useRef(follows);
  useEffect(() => {
    wanted.current = follows;
  }, [follows]);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const again = () => {
      clearTimeout(timer);
      timer = setTimeout(() => void revalidate(), TOGETHER_MS);
    };
    let was = isLive();
    const deaf = onNews(news => {
      if (news.kind === "anew") again();
      else if (news.kind === "log" && news.entries.some(entry => wanted.current(entry))) again();
      else if (news.kind === "state") {
        // What was logged while the stream was broken may have been missed.
        if (news.live && !was) again();
        was = news.live;
      }
    });
    const leave = startLive();
    const poll = setInterval(() => {
      if (!isLive() && navigator.onLine) again();
    }, LOOK_AGAIN_MS);
    return () => {
      deaf();
      leave();
      clearTimeout(timer);
      clearInterval(poll);
    };
  }, [revalidate]);
}

/** Readings of some runs that came after the page was read, by run. */
export function useLiveEvents(): ReadonlyMap<string, readonly RunEvent[]> {
  const [events, setEvents] = useState<ReadonlyMap<string, readonly RunEvent[]>>(() => new Map());
  useEffect(
    () =>
      onNews(news => {
        if (news.kind !== "log") return;
        setEvents(all => {
          const more = new Map(all);
          for (const { runId, event } of news.entries) more.set(runId, [...(more.get(runId) ?? []), event]);
          return more;
        });
      }),
    [],
  );
  return events;
}

/** Read and heard together, each event once. */
export const together = (read: readonly RunEvent[], heard: readonly RunEvent[] = []): readonly RunEvent[] =>
  heard.length ? [...new Map([...heard, ...read].map(event => [event.id, event])).values()] : read;

/** The runs of a page with what was heard of them since; a run nothing was heard of stays the same object. */
export function useHeard<
  R extends { readonly run: { readonly id: string }; readonly events: readonly RunEvent[] },
>(runs: readonly R[]): readonly R[] {
  const heard = useLiveEvents();
  return useMemo(
    () =>
      runs.map(one => {
        const more = heard.get(one.run.id);
        return more ? { ...one, events: together(one.events, more) } : one;
      }),
    [heard, runs],
  );
}
