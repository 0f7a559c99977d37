import { type RefObject, useEffect, useState } from "react";

/** Rows this far outside the window count as in view, so that scrolling finds them drawn. */
const MARGIN = "40px";
/** Rows farther than this share of the window from it are far: scrolling does not reach them at once. */
const FAR = "40%";

/**
 * Ids of the rows of a list that can be seen; `null` until it is known, when all of them count. Rows carry their id as
 * `data-row`; those that are far are marked `data-far`, and the list `data-typing` while somebody types in it, both
 * without drawing anything again.
 * @param order changes when the rows do
 */
export function useRowsInView(
  list: RefObject<HTMLElement | null>,
  order: string,
): ReadonlySet<string> | null {
  const [seen, setSeen] = useState<ReadonlySet<string> | null>(null);
  useEffect(() => {
    const rows = list.current;
    if (!rows) return;
    const watcher = new IntersectionObserver(
      entries =>
        setSeen(before => {
          const next = new Set(before);
          for (const { target, isIntersecting } of entries) {
            const id = (target as HTMLElement).dataset.row ?? "";
            if (isIntersecting) next.add(id);
            else next.delete(id);
          }
          return next;
        }),
      { rootMargin: MARGIN },
    );
    const far = new IntersectionObserver(
      entries => {
        for (const { target, isIntersecting } of entries) target.toggleAttribute("data-far", !isIntersecting);
      },
      { rootMargin: FAR },
    );
    for (const row of rows.querySelectorAll("[data-row]")) {
      watcher.observe(row);
      far.observe(row);
    }
    const entered = ({ target }: FocusEvent) =>
      rows.toggleAttribute("data-typing", target instanceof HTMLInputElement);
    const left = () => rows.toggleAttribute("data-typing", false);
    rows.addEventListener("focusin", entered);
    rows.addEventListener("focusout", left);
    return () => {
      watcher.disconnect();
      far.disconnect();
      rows.removeEventListener("focusin", entered);
      rows.removeEventListener("focusout", left);
    };
  }, [list, order]);
  return seen;
}
