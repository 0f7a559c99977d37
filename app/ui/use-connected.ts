import { useSyncExternalStore } from "react";
import { isLive, onNews } from "../live/stream";
import { isKept } from "../offline/kept";

const listen = (changed: () => void): (() => void) => {
  const deaf = onNews(news => news.kind === "state" && changed());
  addEventListener("online", changed);
  addEventListener("offline", changed);
  return () => {
    deaf();
    removeEventListener("online", changed);
    removeEventListener("offline", changed);
  };
};

/** Whether the kitchen can be reached, as far as this page knows. */
export const useConnected = (): boolean =>
  useSyncExternalStore(
    listen,
    () => isLive() || (navigator.onLine && !isKept()),
    () => true,
  );
