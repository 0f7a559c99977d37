import { useEffect, useState } from "react";
import { onNews } from "../live/stream";
import type { Shown } from "./shown";

/** What the connected instruments of the kitchen show, as it changes. */
export function useInstruments(): readonly Shown[] {
  const [shown, setShown] = useState<readonly Shown[]>([]);
  useEffect(() => {
    let here = true;
    void fetch("/api/devices")
      .then(async answer => {
        if (here && answer.ok) setShown((await answer.json()) as Shown[]);
      })
      .catch(() => {});
    const deaf = onNews(news => news.kind === "shown" && setShown(news.shown));
    return () => {
      here = false;
      deaf();
    };
  }, []);
  return shown;
}
