import type { Askable } from "~/core/formula";
import { Ask, askLabel } from "../ui/ask";
import type { LineNow } from "./line-now";
import { useLiveText } from "./live-row";

/** A number of the row that can be asked, with how it is called. */
export function LiveAsk({
  asked,
  of,
}: {
  asked: Askable;
  of: (line: LineNow, index: number) => readonly [text: string, label: string];
}) {
  const { ref, text, label } = useLiveText<HTMLButtonElement>(of, askLabel);
  return (
    <Ask of={asked} label={label} ref={ref}>
      {text}
    </Ask>
  );
}

/** Words of the row. */
export function LiveWords({
  of,
  ...face
}: {
  of: (line: LineNow, index: number) => string;
  id?: string;
  title?: string | undefined;
  className?: string;
}) {
  const { ref, text } = useLiveText<HTMLSpanElement>((line, index) => [of(line, index)]);
  return (
    <span ref={ref} {...face}>
      {text}
    </span>
  );
}
