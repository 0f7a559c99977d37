import { createContext, useContext } from "react";
import { type Line, updateLine, withLineMass } from "~/core/formula";
import { g, printMass } from "~/core/ground/quantity";
import { type WeighedLine, learnedWeight } from "~/core/run";
import { useLive, useLiveRow } from "./live-row";
import type { Editing } from "./use-formula";

/** What was weighed for the lines of this formula in its batches. */
export const WeighedContext = createContext<readonly WeighedLine[]>([]);

/** An assumed amount beside what hands have really put in; one tap makes it measured. */
export function Learned({ line, edit }: { line: Line; edit: Editing["edit"] }) {
  return line.certainty === "assumed" && <LearnedOfAssumed line={line} edit={edit} />;
}

function LearnedOfAssumed({ line, edit }: { line: Line; edit: Editing["edit"] }) {
  const weighed = useContext(WeighedContext);
  const [nowG, baseG] = useLive(useLiveRow(), (now, index) => [
    now.row(index).state?.lines.find(l => l.lineId === line.id)?.massG ?? 0,
    now.document.base.massG,
  ]);
  const learned = learnedWeight(weighed, line.id, baseG);
  if (!learned) return null;
  const range = learned.batches > 1 ? ` (${printMass(g(learned.loG))}–${printMass(g(learned.hiG))})` : "";
  return (
    <p className="col-span-full flex items-baseline gap-2 rounded-md bg-linen px-2 py-1 text-sm">
      <span>
        Weighed in {learned.batches === 1 ? "one batch" : `${learned.batches} batches`}:{" "}
        <strong>{printMass(g(learned.massG))}</strong>
        {range} at this size.
      </span>
      <button
        type="button"
        className="ml-auto whitespace-nowrap text-copper underline underline-offset-4"
        onClick={() =>
          edit(d =>
            updateLine(withLineMass(d, line.id, learned.massG, nowG), line.id, {
              certainty: "measured",
              question: undefined,
            }),
          )
        }
      >
        Take it
      </button>
    </p>
  );
}
