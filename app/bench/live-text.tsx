import type { Askable } from "~/core/formula";
import { Ask } from "../ui/ask";
import type { LineNow } from "./line-now";
import { useLiveRow, useLiveText } from "./live-row";

/**
 * A number of the row that can be asked. How it is called follows with the page: nobody is told a name at every key, and
 * writing it costs as much as the number.
 */
export function LiveAsk({
  asked,
  of,
  called,
}: {
  asked: Askable;
  of: (line: LineNow, index: number) => string;
  called: (line: LineNow, index: number) => string;
}) {
  const { line, index } = useLiveRow();
  const { ref, text } = useLiveText<HTMLButtonElement>(of);
  return (
    <Ask of={asked} label={called(line(), index)} ref={ref}>
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
  const { ref, text } = useLiveText<HTMLSpanElement>(of);
  return (
    <span ref={ref} {...face}>
      {text}
    </span>
  );
}
