import { type RefObject, useEffect, useEffectEvent, useRef } from "react";

/** What a cook typed into a field before the page was alive: it stands there, and is heard as soon as somebody listens. */
export function useTypedEarly<E extends HTMLInputElement | HTMLTextAreaElement>(
  onTyped: (text: string) => void,
): RefObject<E | null> {
  const field = useRef<E>(null);
  const heard = useEffectEvent(onTyped);
  useEffect(() => {
    const text = field.current?.value;
    if (text) heard(text);
  }, []);
  return field;
}
