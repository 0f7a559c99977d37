import { type ReactNode, useEffect } from "react";

/** Faces of what is tapped with a wet thumb. */
export const CHOICE =
  "min-h-14 rounded-xl border-2 border-night-rule px-3 font-bold hover:border-ember disabled:opacity-45 aria-pressed:border-ember aria-pressed:bg-ember aria-pressed:text-night";
export const FIELD =
  "min-h-14 rounded-xl border-2 border-lamp-faded bg-night px-3 font-display text-xl text-lamp";

/** A panel at the foot of the Stove: what it asks, and one button that logs it. */
export function Panel({
  title,
  children,
  onClose,
  submit,
}: {
  title: string;
  children: ReactNode;
  onClose: () => void;
  /** What the large button does; none where each choice logs by itself. */
  submit?: { readonly label: string; readonly run: (() => void) | null };
}) {
  useEffect(() => {
    const leave = (event: KeyboardEvent) => event.key === "Escape" && onClose();
    addEventListener("keydown", leave);
    return () => removeEventListener("keydown", leave);
  }, [onClose]);
  return (
    <form
      aria-label={title}
      className="sticky bottom-0 max-h-[70dvh] space-y-3 overflow-y-auto border-t-2 border-ember bg-night-raised px-4 py-3 sm:px-5"
      onSubmit={event => {
        event.preventDefault();
        submit?.run?.();
      }}
    >
      <h2 className="text-lg font-bold">{title}</h2>
      {children}
      <div className="flex gap-2.5">
        {submit && (
          <button
            type="submit"
            disabled={submit.run === null}
            className="min-h-14 grow rounded-xl bg-ember px-6 text-lg font-bold text-night disabled:opacity-45"
          >
            {submit.label}
          </button>
        )}
        <button
          type="button"
          onClick={onClose}
          className="min-h-14 rounded-xl border-2 border-night-rule px-5 text-lg font-bold"
        >
          Close
        </button>
      </div>
    </form>
  );
}

/** Some choices in a row, one of which is taken. */
export function Choices<T extends string | number>({
  label,
  of,
  value,
  onChange,
  hideLabel = false,
}: {
  label: string;
  of: readonly (readonly [T, string])[];
  value: T | null;
  onChange: (value: T) => void;
  hideLabel?: boolean;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap items-center gap-2">
      {!hideLabel && <span className="w-20 text-lamp-faded">{label}</span>}
      {of.map(([one, words]) => (
        <button
          key={one}
          type="button"
          aria-pressed={value === one}
          onClick={() => onChange(one)}
          className={CHOICE}
        >
          {words}
        </button>
      ))}
    </div>
  );
}
