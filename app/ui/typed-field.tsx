import clsx from "clsx";
import { type FocusEvent, type ReactNode, useId, useState } from "react";
import type { Result } from "~/core/result";

export interface TypedFieldProps<T> {
  label: string;
  /** What stands in the field until somebody types. */
  shown: string;
  read: (text: string) => Result<T>;
  /** Called with every text that can be read. */
  onRead: (value: T) => void;
  hint?: ReactNode;
  className?: string;
  /** How wide the field is, as a class. */
  width?: string;
  /** Another face of the input, with a height of its own. */
  look?: string;
  hideLabel?: boolean;
  autoFocus?: boolean;
  /** Id of a list of names to offer. */
  list?: string;
  /** Id of what stands elsewhere and says more of the field. */
  describedBy?: string;
}

const selectAll = (event: FocusEvent<HTMLInputElement>) => event.currentTarget.select();

/**
 * A field that takes what a cook types and reads it back.
 *
 * It keeps what was typed, whatever happens: a refusal stands under the field and the last good value stays in force.
 */
export function TypedField<T>({
  label,
  shown,
  read,
  onRead,
  hint,
  className,
  width = "w-40",
  look = "h-8.5 rounded-md border bg-enamel px-2",
  hideLabel,
  autoFocus,
  list,
  describedBy,
}: TypedFieldProps<T>) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const result = typed === null ? null : read(typed);
  const problem = result && !result.ok ? result.problems[0] : undefined;
  const warning = result?.ok ? result.warnings[0] : undefined;
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? "sr-only" : "block text-xs text-faded"}>
        {label}
      </label>
      <div className={width}>
        <input
          id={id}
          // The one field that a cook opened on purpose may take the focus.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus={autoFocus}
          inputMode="text"
          autoComplete="off"
          list={list}
          spellCheck={false}
          value={typed ?? shown}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem || warning || hint ? `${id}-note` : describedBy}
          onFocus={selectAll}
          onChange={event => {
            const text = event.currentTarget.value;
            setTyped(text);
            const next = read(text);
            if (next.ok) onRead(next.value);
          }}
          onBlur={() => {
            if (!problem) setTyped(null);
          }}
          className={clsx(
            "stands-alone w-full",
            problem ? "border-beet" : "border-rule hover:border-faded",
            look,
          )}
        />
      </div>
      {(problem ?? warning ?? hint) && (
        <p
          id={`${id}-note`}
          role={problem ? "alert" : undefined}
          className={clsx(
            "mt-1 w-max max-w-60 text-xs",
            problem ? "text-beet" : warning ? "text-saffron-ink" : "text-faded",
          )}
        >
          {problem ? `✕ ${problem.message}` : warning ? `▲ ${warning.message}` : hint}
        </p>
      )}
    </div>
  );
}
