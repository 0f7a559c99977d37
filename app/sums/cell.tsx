import clsx from "clsx";
import { useId } from "react";
import type { Problem } from "~/core/ground/result";
import { type SumField, labelOf } from "~/core/sums";

const INPUT = "w-full min-w-0 rounded-md border bg-enamel";

/** A field of one value: a choice in its words, all else one line of text. */
export function Cell({
  field,
  text,
  problem,
  label = "plain",
  name,
  focused = false,
  isExample = false,
  suggestions,
  onText,
}: {
  field: SumField;
  text: string;
  problem?: Problem | undefined;
  label?: "plain" | "small" | "hidden";
  /** What a screen reader calls it, where its label alone would not tell it from others. */
  name?: string | undefined;
  focused?: boolean;
  /** What stands there is only an example. */
  isExample?: boolean;
  suggestions: (field: SumField) => readonly string[];
  onText: (text: string) => void;
}) {
  const id = useId();
  const note = problem ? `✕ ${problem.message}` : label === "plain" ? field.hint : undefined;
  const list = suggestions(field);
  const common = {
    id,
    className: clsx(
      INPUT,
      label === "plain" ? "px-2.5 py-1.5" : "px-2 py-1",
      problem
        ? "border-beet"
        : isExample
          ? "border-dashed border-saffron-ink/60"
          : "border-rule hover:border-faded",
      isExample && "text-faded italic",
    ),
    value: text,
    "aria-label": name,
    "aria-invalid": problem ? true : undefined,
    "aria-describedby": note ? `${id}-note` : undefined,
    // The cook opened the sum to type in its first field.
    autoFocus: focused,
  };
  return (
    <div>
      <label
        htmlFor={id}
        className={clsx(
          label === "hidden" ? "sr-only" : "mb-0.5 block text-faded",
          label === "small" ? "truncate text-xs" : "text-sm",
        )}
      >
        {labelOf(field)}
        {isExample && text !== "" && <span className="ml-2 text-xs text-saffron-ink">an example</span>}
      </label>
      {field.typed === "choice" ? (
        <select {...common} onChange={event => onText(event.currentTarget.value)}>
          <option value="">…</option>
          {field.choices.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      ) : field.typed === "yes-no" ? (
        <select {...common} onChange={event => onText(event.currentTarget.value)}>
          <option value="">…</option>
          <option>yes</option>
          <option>no</option>
        </select>
      ) : field.typed === "json" ? (
        <textarea {...common} rows={4} onChange={event => onText(event.currentTarget.value)} />
      ) : (
        <input
          {...common}
          type="text"
          autoComplete="off"
          spellCheck={false}
          list={list.length ? `${id}-list` : undefined}
          onFocus={event => event.currentTarget.select()}
          onChange={event => onText(event.currentTarget.value)}
        />
      )}
      {list.length > 0 && (
        <datalist id={`${id}-list`}>
          {list.map(value => (
            <option key={value} value={value} />
          ))}
        </datalist>
      )}
      {note && (
        <p
          id={`${id}-note`}
          role={problem ? "alert" : undefined}
          className={clsx("mt-0.5 text-xs", problem ? "text-beet" : "text-faded")}
        >
          {note}
        </p>
      )}
    </div>
  );
}
