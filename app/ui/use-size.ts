import { useEffect, useRef, useState } from "react";

/** Width of an element as it is laid out; `fallback` until it is. */
export function useWidth<T extends HTMLElement>(fallback: number) {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(fallback);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => entry && setWidth(Math.round(entry.contentRect.width)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { ref, width };
}
