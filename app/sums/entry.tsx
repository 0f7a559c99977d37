import type { ComponentProps } from "react";
import { Cell } from "./cell";
import { Rows } from "./rows";

/** One field of a sum: a list or a group as rows, all else as one value. */
export function Entry(props: ComponentProps<typeof Cell>) {
  const { field, text, problem, focused = false, suggestions, onText } = props;
  if (field.typed !== "list" && field.typed !== "group") return <Cell {...props} />;
  const note = problem ? `✕ ${problem.message}` : field.hint;
  return (
    <div>
      <Rows field={field} text={text} focused={focused} suggestions={suggestions} onText={onText} />
      {note && (
        <p
          role={problem ? "alert" : undefined}
          className={problem ? "mt-0.5 text-xs text-beet" : "mt-0.5 text-xs text-faded"}
        >
          {note}
        </p>
      )}
    </div>
  );
}
