import { useEffect, useState } from "react";

/** The time on the page: the server's at first, then running on by itself. */
export function useNow(first: number, tickMs = 5000): number {
  const [now, setNow] = useState(first);
  useEffect(() => {
    const ahead = first - Date.now();
    const tick = () => setNow(Date.now() + ahead);
    const timer = setInterval(tick, tickMs);
    return () => clearInterval(timer);
  }, [first, tickMs]);
  return Math.max(now, first);
}
