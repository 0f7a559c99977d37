import type { DndContextProps } from "@dnd-kit/core";

/** What a screen reader says while a step is carried along the line: places are counted as they stand on the page. */
export function dragWords(ids: readonly string[]): NonNullable<DndContextProps["accessibility"]> {
  const place = (id: string | number) => ids.indexOf(String(id)) + 1;
  return {
    screenReaderInstructions: {
      draggable:
        "Space picks the step up, the arrows carry it, Space puts it down, Escape puts it back where it was.",
    },
    announcements: {
      onDragStart: ({ active }) => `Step ${place(active.id)} of ${ids.length} is picked up.`,
      onDragOver: ({ over }) => (over ? `It would be step ${place(over.id)}.` : "It is beside the line."),
      onDragEnd: ({ over }) => (over ? `It is step ${place(over.id)} now.` : "It stays where it was."),
      onDragCancel: ({ active }) => `It is step ${place(active.id)} as before.`,
    },
  };
}
