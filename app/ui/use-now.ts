import { useContext, useEffect, useState } from "react";
import { deviceClock } from "../offline/device-clock";
import { isKept } from "../offline/kept";
import { ClockContext } from "./clock";

/** The time on the page: the server's at first, then running on by itself. */
export function useNow(first: number, tickMs = 5000): number {
  const [now, setNow] = useState(first);
  useEffect(() => {
    // A page that was kept on the tablet says a time that is long past.
    const ahead = isKept() ? deviceClock.offset : first - Date.now();
    const tick = () => setNow(Date.now() + ahead);
    if (isKept()) tick();
    const timer = setInterval(tick, tickMs);
    return () => clearInterval(timer);
  }, [first, tickMs]);
  return useContext(ClockContext).at(Math.max(now, first));
}
