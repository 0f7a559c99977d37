import clsx from "clsx";
import { type InputHTMLAttributes, useId } from "react";

/** A field of words that nothing reads until the form is sent: names, passwords. Works before any script has come. */
export function PlainField({
  label,
  className,
  ...rest
}: { label: string } & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm text-faded">
        {label}
      </label>
      <input
        id={id}
        className={clsx(
          "mt-1 w-full rounded-lg border border-ink bg-enamel px-3",
          className ?? "h-12 text-lg",
        )}
        {...rest}
      />
    </div>
  );
}
