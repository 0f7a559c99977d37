import { DropdownMenu } from "radix-ui";
import { Columns3 } from "lucide-react";
import { FIGURES, FIGURE_IDS, type FigureId } from "~/core/formula";
import { MOST_THREADS, THREAD_COLOUR } from "./threads";

/** Chooses which quantities run down the page. */
export function ThreadPicker({
  threads,
  onThreads,
}: {
  threads: readonly FigureId[];
  onThreads: (threads: readonly FigureId[]) => void;
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        className="inline-flex items-center gap-1 hover:text-copper"
        aria-label="Choose what runs down the page"
      >
        <Columns3 aria-hidden="true" className="size-3.5" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-30 min-w-64 rounded-xl border border-rule bg-enamel p-2 text-sm shadow-2xl"
        >
          <DropdownMenu.Label className="px-2 pb-1 text-faded">
            Threads beside the steps, up to {MOST_THREADS}
          </DropdownMenu.Label>
          {FIGURE_IDS.filter(id => id !== "minutes").map(id => {
            const chosen = threads.includes(id);
            return (
              <DropdownMenu.CheckboxItem
                key={id}
                checked={chosen}
                disabled={(!chosen && threads.length >= MOST_THREADS) || (chosen && threads.length === 1)}
                onSelect={event => event.preventDefault()}
                onCheckedChange={on => onThreads(on ? [...threads, id] : threads.filter(t => t !== id))}
                className="flex cursor-pointer items-center gap-2 rounded-md px-2 py-1 outline-none data-disabled:text-faded data-highlighted:bg-linen"
              >
                <span
                  aria-hidden="true"
                  className="h-4 rounded-full"
                  style={{ width: chosen ? 8 : 2, background: THREAD_COLOUR[id] }}
                />
                <span className={chosen ? "font-bold" : ""}>{FIGURES[id].words}</span>
                {chosen && <span className="ml-auto">✓</span>}
              </DropdownMenu.CheckboxItem>
            );
          })}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
