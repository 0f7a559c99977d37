import clsx from "clsx";
import { Plus, X } from "lucide-react";
import { CELL, type SumField, cellsOf, labelOf, rowsOf } from "~/core/sums";
import { Cell } from "./cell";

/** More columns than this stand one under the other. */
const MOST_BESIDE = 3;

/** A list, or a group of figures, as rows of fields; kept as text, a row a line. */
export function Rows({
  field,
  text,
  focused,
  suggestions,
  onText,
}: {
  field: SumField;
  text: string;
  focused: boolean;
  suggestions: (field: SumField) => readonly string[];
  onText: (text: string) => void;
}) {
  const single = field.typed === "group";
  // What a row keeps as a whole, because it says more than the columns show, is not taken apart.
  const rows = text.trim() ? (single ? [text] : /^\s*[[{]/.test(text) ? text.split("\n") : rowsOf(text)) : [];
  const shown = rows.length ? rows : [""];
  const write = (next: readonly string[]) => onText(next.join("\n"));
  const beside = field.columns.length <= MOST_BESIDE;
  return (
    <fieldset className="rounded-md border border-rule p-2">
      <legend className="px-1 text-sm text-faded">{labelOf(field)}</legend>
      <div className="space-y-2">
        {shown.map((row, i) => {
          const cells = cellsOf(field, row);
          const set = (at: number, value: string) => {
            const next = field.columns.map((_, c) => (c === at ? value : (cells[c] ?? "")));
            write(shown.map((r, n) => (n === i ? next.join(CELL) : r)));
          };
          return (
            // Rows have no names of their own: they are told apart by where they stand.
            <div
              key={i}
              className={clsx("flex items-end gap-1.5", !beside && i > 0 && "border-t border-rule pt-2")}
            >
              {/^\s*[[{]/.test(row) ? (
                <textarea
                  aria-label={`${field.title}, ${i + 1}`}
                  value={row}
                  rows={2}
                  className="w-full rounded-md border border-rule bg-enamel px-2 py-1 text-sm"
                  onChange={event => write(shown.map((r, n) => (n === i ? event.currentTarget.value : r)))}
                />
              ) : (
                <div
                  className={beside ? "flex min-w-0 grow gap-1.5" : "grid min-w-0 grow grid-cols-2 gap-1.5"}
                >
                  {field.columns.map((column, c) => (
                    <div key={column.path.join(".")} className="min-w-0 grow basis-0">
                      <Cell
                        field={column}
                        text={cells[c] ?? ""}
                        label={beside && i > 0 ? "hidden" : "small"}
                        name={`${field.title}${single ? "" : ` ${i + 1}`}: ${labelOf(column)}`}
                        focused={focused && i === 0 && c === 0}
                        suggestions={suggestions}
                        onText={value => set(c, value)}
                      />
                    </div>
                  ))}
                </div>
              )}
              {!single && rows.length > 0 && (
                <button
                  type="button"
                  aria-label={`Take out ${i + 1} of ${field.title.toLowerCase()}`}
                  className="mb-1 rounded p-1 text-faded hover:text-beet"
                  onClick={() => write(shown.filter((_, n) => n !== i))}
                >
                  <X aria-hidden="true" className="size-4" />
                </button>
              )}
            </div>
          );
        })}
      </div>
      {!single && (
        <button
          type="button"
          className="mt-2 flex items-center gap-1 text-sm underline-offset-4 hover:underline"
          onClick={() => write([...shown, CELL])}
        >
          <Plus aria-hidden="true" className="size-4" /> one more
        </button>
      )}
    </fieldset>
  );
}
