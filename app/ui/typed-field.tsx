import clsx from "clsx";
import {
  type FocusEvent,
  type FormEvent,
  type ReactNode,
  createContext,
  useContext,
  useEffectEvent,
  useId,
  useLayoutEffect,
  useRef,
  useState,
} from "react";
import type { Result } from "~/core/ground/result";

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

/** Whether fields stand in a form that is handed in as a whole: they have no form of their own then. */
export const InOneForm = createContext(false);

/** Nothing is handed in: what was typed counts at every key. */
const stay = (event: FormEvent) => event.preventDefault();

/** What stands under the field about its text. */
interface Said {
  readonly refused: boolean;
  readonly message: string;
}

function saidOf(result: Result<unknown>): Said | null {
  const said = result.ok ? result.warnings[0] : result.problems[0];
  return said ? { refused: !result.ok, message: said.message } : null;
}

/**
 * A field that takes what a cook types and reads it back.
 *
 * It keeps what was typed, whatever happens: a refusal stands under the field and the last good value stays in force.
 * The browser holds the text, so that a key draws the field again only when something else is to be said of it.
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
  // A browser that fills forms in reads at every key the whole form a field stands in; without one, the whole page.
  const Own = useContext(InOneForm) ? "div" : "form";
  const input = useRef<HTMLInputElement>(null);
  const typing = useRef(false);
  const [said, setSaid] = useState<Said | null>(null);
  const problem = said?.refused ? said : null;
  const warning = said?.refused ? null : said;

  const take = (text: string): boolean => {
    const result = read(text);
    const next = saidOf(result);
    setSaid(before =>
      before?.message === next?.message && before?.refused === next?.refused ? before : next,
    );
    if (result.ok) onRead(result.value);
    return result.ok;
  };
  const typed = useEffectEvent((event: Event) => {
    event.stopPropagation();
    typing.current = true;
    if (input.current) take(input.current.value);
  });
  // The browser itself tells of a key: on its way through the tree of the page React would look after the field, and
  // write its name anew, each time.
  useLayoutEffect(() => {
    const field = input.current;
    field?.addEventListener("input", typed);
    return () => field?.removeEventListener("input", typed);
  }, []);
  // What somebody typed before the page was alive stands there, and is read as soon as it is.
  const early = useEffectEvent(() => {
    const field = input.current;
    if (!field || field.value === field.defaultValue) return false;
    typing.current = document.activeElement === field;
    take(field.value);
    return true;
  });
  const born = useRef(false);
  useLayoutEffect(() => {
    const wasEarly = !born.current && early();
    born.current = true;
    if (input.current && !typing.current && !wasEarly) input.current.value = shown;
  }, [shown]);
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? "sr-only" : "block text-xs text-faded"}>
        {label}
      </label>
      <Own className={width} onSubmit={stay}>
        <input
          id={id}
          // The one field that a cook opened on purpose may take the focus.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus={autoFocus}
          inputMode="text"
          autoComplete="off"
          list={list}
          spellCheck={false}
          ref={input}
          defaultValue={shown}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem || warning || hint ? `${id}-note` : describedBy}
          onFocus={selectAll}
          onBlur={event => {
            // What was refused may be understood by now: another line may have been put in since.
            if (problem && !take(event.currentTarget.value)) return;
            typing.current = false;
            setSaid(null);
            event.currentTarget.value = shown;
          }}
          className={clsx(
            "stands-alone w-full",
            problem ? "border-beet" : "border-rule hover:border-faded",
            look,
          )}
        />
      </Own>
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
