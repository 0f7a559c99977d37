import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import clsx from "clsx";
import { GripVertical } from "lucide-react";
import { type ReactNode, memo } from "react";

/**
 * The frame of a row that can be dragged along the line, by pointer or by keyboard. It knows nothing of what the row
 * holds, so that a key typed in one row does not wake the dragging of all.
 */
export const SortableRow = memo(function SortableRow({
  id,
  index,
  open,
  children,
}: {
  id: string;
  index: number;
  open: boolean;
  children: ReactNode;
}) {
  const { setNodeRef, transform, transition, attributes, listeners, setActivatorNodeRef, isDragging } =
    useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      data-row={id}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx(
        "group relative -ml-4 pl-4",
        isDragging ? "z-10 bg-enamel shadow-xl" : !open && "skipped-out-of-view",
      )}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move step ${index + 1}: drag, or space and arrows`}
        className="absolute top-2 bottom-2 left-0 flex w-5 cursor-grab touch-none items-start pt-1 text-transparent group-hover:text-faded focus-visible:text-faded"
      >
        <GripVertical aria-hidden="true" className="size-4" />
      </button>
      {children}
    </li>
  );
});
