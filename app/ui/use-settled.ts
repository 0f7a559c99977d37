import { startTransition, useEffect, useState } from "react";

/** A value as it stood once nothing had changed for a moment: for drawings nobody reads while typing. */
export function useSettled<T>(value: T, pauseMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setSettled(() => value)), pauseMs);
    return () => clearTimeout(timer);
  }, [value, pauseMs]);
  return settled;
}
