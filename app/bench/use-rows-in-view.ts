import { type RefObject, useEffect, useState } from "react";

/** Rows this far outside the window count as in view, so that scrolling finds them drawn. */
const MARGIN = "40px";

/** What comes before a scroll, and the scroll itself. */
const SCROLLING = ["wheel", "touchmove", "scroll"] as const;

/**
 * Ids of the rows of a list that can be seen; `null` until it is known, when all of them count. Rows carry their id as
 * `data-row`; those out of view are marked `data-far`, and the list `data-typing` while somebody types in one of its
 * fields, until the page is scrolled or the field left; both without drawing anything again.
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
      entries => {
        for (const { target, isIntersecting } of entries) target.toggleAttribute("data-far", !isIntersecting);
        setSeen(before => {
          const next = new Set(before);
          for (const { target, isIntersecting } of entries) {
            const id = (target as HTMLElement).dataset.row ?? "";
            if (isIntersecting) next.add(id);
            else next.delete(id);
          }
          return next;
        });
      },
      { rootMargin: MARGIN },
    );
    for (const row of rows.querySelectorAll("[data-row]")) watcher.observe(row);
    const typing = ({ target }: Event) => {
      if (target instanceof HTMLInputElement) rows.toggleAttribute("data-typing", true);
    };
    const done = () => rows.toggleAttribute("data-typing", false);
    rows.addEventListener("focusin", typing);
    // On its way down: a field keeps what is typed in it to itself.
    rows.addEventListener("input", typing, true);
    rows.addEventListener("focusout", done);
    for (const event of SCROLLING) addEventListener(event, done, { passive: true });
    return () => {
      watcher.disconnect();
      rows.removeEventListener("focusin", typing);
      rows.removeEventListener("input", typing, true);
      rows.removeEventListener("focusout", done);
      for (const event of SCROLLING) removeEventListener(event, done);
    };
  }, [list, order]);
  return seen;
}
