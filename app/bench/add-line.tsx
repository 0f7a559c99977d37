import { memo, useId, useState } from "react";
import { ulid } from "ulid";
import { type Kitchen, addLine, madeIn, parseLine, relationInWords, namesIn } from "~/core/formula";
import type { Editing } from "./use-formula";
import { NAMES_LIST } from "./ingredient-field";

/** A line typed in one go: "2 parts onion", "60 g/l butter", "a knob of butter". It is read back while typing. */
export const AddLine = memo(function AddLine({
  stepId,
  inGroup,
  typed: documentNow,
  edit,
  kitchen,
}: Pick<Editing, "edit" | "typed"> & {
  stepId: string;
  /** The group whose parts the other lines are. */
  inGroup: string | undefined;
  kitchen: Kitchen;
}) {
  const id = useId();
  const [text, setText] = useState("");
  const read = text.trim()
    ? parseLine(text, {
        document: documentNow(),
        larder: kitchen.data.ingredients,
        formulas: madeIn(kitchen.data),
        ...(inGroup && { inGroup }),
        field: "line",
      })
    : null;
  return (
    <form
      className="mt-2"
      onSubmit={event => {
        event.preventDefault();
        if (!read?.ok) return;
        const { of, relation, typed, certainty = "stated" } = read.value;
        edit(d =>
          addLine(d, stepId, { id: ulid(), of, amount: relation, certainty, ...(typed && { typed }) }),
        );
        setText("");
      }}
    >
      <label htmlFor={id} className="block text-xs text-faded">
        Add a line, as you would say it
      </label>
      <div className="mt-0.5 flex gap-2">
        <input
          id={id}
          value={text}
          onChange={event => setText(event.currentTarget.value)}
          list={text.trim().length > 1 ? NAMES_LIST : undefined}
          autoComplete="off"
          placeholder="2 parts onion · 60 g/l butter · to 0.8 % salt"
          aria-invalid={read && !read.ok ? true : undefined}
          className="w-full rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink"
        />
        <button
          type="submit"
          disabled={!read?.ok}
          className="rounded-md border border-ink bg-enamel px-3 text-xs font-semibold whitespace-nowrap text-ink disabled:border-rule disabled:text-faded"
        >
          Put in
        </button>
      </div>
      {read && (
        <p role="status" className={`mt-1 text-xs ${read.ok ? "text-faded" : "text-beet"}`}>
          {read.ok
            ? `understood: ${read.value.name}, ${read.value.understood ?? relationInWords(read.value.relation, namesIn(documentNow(), undefined, kitchen))}${read.value.certainty === "assumed" ? ", assumed until weighed" : ""}`
            : `✕ ${read.problems[0]?.message}`}
        </p>
      )}
    </form>
  );
});
