import clsx from "clsx";
import type { ButtonHTMLAttributes } from "react";

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** `act` is the one thing this screen is for; `plain` everything else; `quiet` stands among text. */
  look?: "act" | "plain" | "quiet";
}

const LOOKS = {
  act: "bg-copper text-enamel border-copper hover:bg-copper-deep disabled:bg-rule disabled:border-rule disabled:text-faded",
  plain:
    "bg-enamel text-ink border-ink hover:border-copper hover:text-copper disabled:border-rule disabled:text-faded",
  quiet: "border-transparent text-faded hover:text-copper hover:bg-linen px-2",
};

export const buttonClass = (look: keyof typeof LOOKS = "plain", className?: string): string =>
  clsx(
    "inline-flex items-center justify-center gap-2 rounded-lg border px-4 py-2 font-semibold whitespace-nowrap disabled:cursor-not-allowed",
    LOOKS[look],
    className,
  );

export function Button({ look = "plain", className, type = "button", ...rest }: ButtonProps) {
  return <button type={type} className={buttonClass(look, className)} {...rest} />;
}
