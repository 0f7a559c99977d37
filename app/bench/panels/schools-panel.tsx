import { useEffect, useState } from "react";
import { changeSchool, familyById } from "~/core/families";
import type { Kitchen } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";
import type { SchoolOutcome } from "../../workers/solver-jobs";
import { useSolver } from "../../workers/use-solver";
import { conflictWords } from "../conflict-words";
import type { Formula } from "../use-formula";

/** Where cooks differ: each way with its reason and what it would change here. */
export function SchoolsPanel({
  formula,
  kitchen,
  burnerId,
}: {
  formula: Formula;
  kitchen: Kitchen;
  burnerId: string;
}) {
  const { document, edit } = formula;
  const family = familyById(document.family);
  const solver = useSolver();
  const [outcomes, setOutcomes] = useState<readonly SchoolOutcome[]>([]);
  const [gaveWay, setGaveWay] = useState<readonly string[]>([]);
  useEffect(() => {
    let wanted = true;
    void solver()
      .schools(document, kitchen.data, burnerId)
      .then(found => wanted && setOutcomes(found));
    return () => {
      wanted = false;
    };
  }, [burnerId, document, kitchen.data, solver]);
  if (!family)
    return (
      <p className="text-faded">
        This formula follows no family of this house, so it has no schools to choose from.
      </p>
    );
  const template = { boilsC: kitchen.boilsC, demiGlace: kitchen.data.house.demiGlace };
  return (
    <div>
      <p className="text-sm text-faded">{family.method}</p>
      <div className="mt-3 grid gap-x-8 gap-y-5 md:grid-cols-2">
        {family.choices.map(choice => (
          <fieldset key={choice.id}>
            <legend className="font-semibold">{choice.label}</legend>
            {choice.schools.map(school => {
              const taken = (document.choices[choice.id] ?? choice.usual) === school.id;
              const outcome = outcomes.find(o => o.choice === choice.id && o.school === school.id);
              return (
                <label key={school.id} className="mt-1.5 flex cursor-pointer items-start gap-2 leading-snug">
                  <input
                    type="radio"
                    name={choice.id}
                    checked={taken}
                    onChange={() => {
                      const changed = changeSchool(document, family, choice.id, school.id, template);
                      if (!changed.ok) return;
                      const sides = { mine: document, theirs: changed.value.document };
                      const words = changed.value.gaveWay.map(c => conflictWords(c, sides, kitchen));
                      setGaveWay(words.map(({ where, mine }) => `${where} (${mine})`));
                      edit(() => changed.value.document);
                    }}
                    className="mt-1 accent-copper"
                  />
                  <span>
                    <span className={taken ? "font-bold" : ""}>{school.label}</span>
                    {school.id === choice.usual && (
                      <span className="text-xs text-faded"> · house default</span>
                    )}
                    <span className="block text-sm text-faded">{school.why}</span>
                    {!taken && outcome && outcome.moved.length > 0 && (
                      <span className="block text-xs">
                        {outcome.moved
                          .map(m =>
                            `${m.what} ${m.by > 0 ? "+" : "−"}${printNumber(Math.abs(m.by), m.decimals)} ${m.unit}`.trim(),
                          )
                          .join(" · ")}
                      </span>
                    )}
                  </span>
                </label>
              );
            })}
          </fieldset>
        ))}
      </div>
      {gaveWay.length > 0 && (
        <p role="status" className="mt-4 rounded-md bg-saffron-wash p-2 text-sm text-saffron-ink">
          ▲ Your own changes gave way to the school at: {gaveWay.join("; ")}. Undo brings them back.
        </p>
      )}
    </div>
  );
}
