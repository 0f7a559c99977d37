import { useEffect } from "react";
import { ring } from "./bell";

/** How often what nobody has heard rings again, ms. */
const AGAIN_MS = 3000;

/** Rings for each of these names, again and again while they stand. */
export function useBell(names: readonly string[]): void {
  const all = names.join("\n");
  useEffect(() => {
    if (!all) return;
    const sound = () => all.split("\n").forEach((name, i) => setTimeout(() => ring(name), 700 * i));
    sound();
    const timer = setInterval(sound, AGAIN_MS);
    return () => clearInterval(timer);
  }, [all]);
}

/** Keeps the screen awake while the page is looked at, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const hold = () => {
      if (document.visibilityState === "visible" && "wakeLock" in navigator)
        void navigator.wakeLock
          .request("screen")
          .then(got => (lock = got))
          .catch(() => {});
    };
    hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      document.removeEventListener("visibilitychange", hold);
      void lock?.release();
    };
  }, []);
}
