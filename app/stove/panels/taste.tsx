import { useState } from "react";
import {
  MOST_SCORE,
  TASTES,
  VERDICTS,
  type RunPayload,
  type Taste,
  type Tasting,
  tastingInWords,
} from "~/core/run";
import { CHOICE, Choices, FIELD, Panel } from "./frame";

/** Asked first; the others on request. */
const FIRST: readonly Taste[] = ["salt", "sour", "body"];

/** A spoonful tasted: a verdict for each taste, how good it is so far, and whether it is enough. */
export function TastePanel({
  stepId,
  before,
  onLog,
  onClose,
}: {
  stepId: string;
  before: readonly Tasting[];
  onLog: (payload: RunPayload) => void;
  onClose: () => void;
}) {
  const [verdicts, setVerdicts] = useState<Partial<Record<Taste, number>>>({});
  const [score, setScore] = useState<number | null>(null);
  const [words, setWords] = useState("");
  const [all, setAll] = useState(false);
  const said = Object.keys(verdicts).length > 0 || score !== null || words.trim() !== "";
  const log = (stop: boolean) =>
    onLog({
      kind: "tasted",
      stepId,
      verdicts,
      ...(score !== null && { score }),
      ...(words.trim() && { words: words.trim() }),
      stop,
    });
  return (
    <Panel
      title="How does it taste?"
      onClose={onClose}
      submit={{ label: "Log it: more to come", run: said ? () => log(false) : null }}
    >
      <div className="grid gap-2 xl:grid-cols-2">
        {(all ? TASTES : FIRST).map(taste => (
          <Choices
            key={taste}
            label={taste}
            of={VERDICTS}
            value={verdicts[taste] ?? null}
            onChange={verdict => setVerdicts({ ...verdicts, [taste]: verdict })}
          />
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-2.5">
        {!all && (
          <button type="button" className={CHOICE} onClick={() => setAll(true)}>
            sweet, bitter, savoury …
          </button>
        )}
        <span className="flex items-center gap-2" role="group" aria-label="how good so far">
          <button
            type="button"
            aria-label="less good"
            className={`${CHOICE} min-w-14`}
            onClick={() => setScore(Math.max(0, (score ?? 6) - 1))}
          >
            −
          </button>
          <span className="min-w-20 text-center font-display text-xl font-bold">
            {score === null ? "– of 10" : `${score} of 10`}
          </span>
          <button
            type="button"
            aria-label="better"
            className={`${CHOICE} min-w-14`}
            onClick={() => setScore(Math.min(MOST_SCORE, (score ?? 4) + 1))}
          >
            +
          </button>
        </span>
        <input
          aria-label="a word for it"
          placeholder="a word for it"
          maxLength={200}
          autoComplete="off"
          value={words}
          onChange={event => setWords(event.currentTarget.value)}
          className={`${FIELD} min-w-0 grow`}
        />
        <button type="button" onClick={() => log(true)} className={`${CHOICE} border-leaf text-leaf`}>
          Enough: nothing more goes in
        </button>
      </div>
      {before.length > 0 && (
        <p className="text-sm text-lamp-faded">
          Before:{" "}
          {before
            .slice(-3)
            .map(t => tastingInWords(t))
            .join(" · ")}
        </p>
      )}
    </Panel>
  );
}
