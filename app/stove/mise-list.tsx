import { g, printMass } from "~/core/ground/quantity";
import { type MiseItem, readyWords } from "~/core/run";

/** What stands ready before the first step: one tap each, or one for all. */
export function MiseList({ items, onTick }: { items: readonly MiseItem[]; onTick: (what: string) => void }) {
  const open = items.filter(item => !item.ticked);
  if (!items.length) return null;
  return (
    <section aria-label="Mise en place" className="space-y-1.5">
      <h2 className="text-sm font-normal text-lamp-faded">
        Mise en place: {items.length - open.length} of {items.length}
      </h2>
      {open.length > 0 && (
        <button
          type="button"
          onClick={() => open.forEach(item => onTick(readyWords(item.what)))}
          className="min-h-14 w-full rounded-lg border-2 border-leaf px-3 text-left font-bold text-leaf hover:border-ember"
        >
          Everything stands ready
        </button>
      )}
      {open.length > 0 && (
        <ul className="max-h-80 overflow-y-auto border-y border-night-rule">
          {items.map(item => (
            <li key={item.what}>
              <button
                type="button"
                disabled={item.ticked}
                onClick={() => onTick(readyWords(item.what))}
                className={`flex min-h-14 w-full items-center gap-3 border-b border-night-rule px-2 text-left ${item.ticked ? "text-leaf" : item.critical ? "font-bold text-glow" : "hover:text-ember"}`}
              >
                <span
                  aria-hidden="true"
                  className={`flex size-6 shrink-0 items-center justify-center rounded border-2 ${item.ticked ? "border-leaf" : "border-current"}`}
                >
                  {item.ticked ? "✓" : ""}
                </span>
                <span className="grow">{item.what}</span>
                {item.massG !== null && (
                  <span className="font-display font-bold whitespace-nowrap">{printMass(g(item.massG))}</span>
                )}
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
