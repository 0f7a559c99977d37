import type { Problem } from "~/core/ground/result";

/** A labelled field of a plain form; its refusal stands under it, what was typed stays. */
export function TextField({
  name,
  label,
  value,
  hint,
  problem,
  wide = false,
}: {
  name: string;
  label: string;
  value: string;
  hint?: string | undefined;
  problem?: Problem | undefined;
  wide?: boolean;
}) {
  const note = problem ? `✕ ${problem.message}` : hint;
  return (
    <div className={wide ? "col-span-full" : ""}>
      <label htmlFor={`k-${name}`} className="block text-sm text-faded">
        {label}
      </label>
      <input
        id={`k-${name}`}
        name={name}
        key={value}
        defaultValue={value}
        autoComplete="off"
        inputMode={wide ? "text" : "decimal"}
        aria-invalid={problem ? true : undefined}
        aria-describedby={note ? `k-${name}-note` : undefined}
        className={`w-full min-w-0 rounded-md border bg-enamel px-2 py-1 ${problem ? "border-beet" : "border-rule hover:border-faded"}`}
      />
      {note && (
        <p
          id={`k-${name}-note`}
          role={problem ? "alert" : undefined}
          className={`mt-0.5 text-xs ${problem ? "text-beet" : "text-faded"}`}
        >
          {note}
        </p>
      )}
    </div>
  );
}
