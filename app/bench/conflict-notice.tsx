import { useMemo, useState } from "react";
import {
  type FormulaDocument,
  type Kitchen,
  type Picks,
  diffFormulas,
  mergeDocuments,
  walk,
} from "~/core/formula";
import { Button } from "../ui/button";
import { conflictWords } from "./conflict-words";
import type { StoredHead } from "./replies";

/**
 * Two cooks saved at once. What each changed stands side by side and is joined line by line; only where both changed
 * the same thing somebody has to choose. Nothing is overwritten until then.
 */
export function ConflictNotice({
  base,
  mine,
  theirs,
  kitchen,
  onJoin,
  onTake,
}: {
  base: FormulaDocument;
  mine: FormulaDocument;
  theirs: StoredHead;
  kitchen: Kitchen;
  onJoin: (document: FormulaDocument) => void;
  onTake: () => void;
}) {
  const [picks, setPicks] = useState<Picks>({});
  const merged = useMemo(
    () => mergeDocuments(base, mine, theirs.document, picks),
    [base, mine, picks, theirs],
  );
  const walked = useMemo(
    () => ({ base: walk(base, kitchen), mine: walk(mine, kitchen), theirs: walk(theirs.document, kitchen) }),
    [base, mine, theirs, kitchen],
  );
  const changed = {
    mine: diffFormulas(base, mine, { before: walked.base, after: walked.mine }),
    theirs: diffFormulas(base, theirs.document, { before: walked.base, after: walked.theirs }),
  };
  const conflicts = merged.ok ? merged.value.conflicts : [];
  return (
    <section
      role="alert"
      className="mx-4 mb-3 rounded-xl border-2 border-saffron bg-saffron-wash p-4 sm:mx-6"
    >
      <h2 className="text-lg">▲ {theirs.editedBy} saved this formula while you were working on it</h2>
      <p className="text-sm">
        Nothing is lost: what each of you changed stands here, and is joined line by line.
      </p>
      <div className="mt-2 grid gap-4 sm:grid-cols-2">
        {(["mine", "theirs"] as const).map(side => (
          <div key={side}>
            <h3 className="text-sm font-semibold">
              {side === "mine" ? "You changed" : `${theirs.editedBy} changed`}
            </h3>
            <ul className="text-sm">
              {changed[side].length === 0 && <li className="text-faded">nothing in the amounts or steps</li>}
              {changed[side].map((change, i) => (
                <li key={i} className="py-0.5">
                  {change.where}: {change.before && <s className="text-faded">{change.before}</s>}{" "}
                  {change.after ? <strong>{change.after}</strong> : <strong>removed</strong>}
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
      {conflicts.length > 0 && (
        <fieldset className="mt-3 border-t border-saffron pt-3">
          <legend className="sr-only">Where both changed the same</legend>
          <p className="font-semibold">Both of you changed:</p>
          {conflicts.map(conflict => {
            const words = conflictWords(conflict, { mine, theirs: theirs.document }, kitchen);
            return (
              <div key={conflict.at} className="mt-1 flex flex-wrap items-baseline gap-x-5 text-sm">
                <span className="min-w-48">{words.where}</span>
                {(["mine", "theirs"] as const).map(side => (
                  <label key={side} className="flex items-baseline gap-1.5">
                    <input
                      type="radio"
                      name={conflict.at}
                      checked={(picks[conflict.at] ?? "mine") === side}
                      onChange={() => setPicks({ ...picks, [conflict.at]: side })}
                      className="accent-copper"
                    />
                    {side === "mine" ? "yours" : "theirs"}: <strong>{words[side]}</strong>
                  </label>
                ))}
              </div>
            );
          })}
        </fieldset>
      )}
      {!merged.ok && <p className="mt-2 text-beet">✕ {merged.problems[0]?.message} Choose one of the two.</p>}
      <div className="mt-3 flex gap-2">
        <Button look="act" disabled={!merged.ok} onClick={() => merged.ok && onJoin(merged.value.document)}>
          Join both
        </Button>
        <Button onClick={() => onJoin(mine)}>Keep mine</Button>
        <Button onClick={onTake}>Take theirs</Button>
      </div>
    </section>
  );
}
