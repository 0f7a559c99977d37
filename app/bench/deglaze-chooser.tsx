import { useMemo, useState } from "react";
import { type Kitchen, type Step, deglazeChoices, walk } from "~/core/formula";
import { g, printDuration, printMass, printNumber, printVolume } from "~/core/ground/quantity";
import type { Editing } from "./use-formula";

/** What could lift the fond here, how much the pan floor takes, and what each liquid makes of the sauce. */
export function DeglazeChooser({
  step,
  formula,
  kitchen,
}: {
  step: Step;
  formula: Editing;
  kitchen: Kitchen;
}) {
  const [open, setOpen] = useState(false);
  const { document } = formula;
  const found = useMemo(
    () => (open ? deglazeChoices(document, step.id, walk(document, kitchen), kitchen) : null),
    [open, document, step.id, kitchen],
  );
  return (
    <div className="text-sm">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="text-copper underline underline-offset-4"
      >
        What to lift it with …
      </button>
      {open && !found && (
        <p className="mt-1 text-faded">Put a liquid in first; then the others can be held against it.</p>
      )}
      {found && (
        <div className="mt-2">
          <p>
            The floor of {found.panName} ({printNumber(found.panMm / 10)} cm) takes about{" "}
            <strong>{printVolume(found.floorMl)}</strong>; here it is {printVolume(found.nowMl)}.
            {found.longerS > 30 && ` What is over boils off in ${printDuration(found.longerS)} more.`}
          </p>
          <table className="mt-2 w-full">
            <thead>
              <tr className="text-right text-xs text-faded">
                <th className="text-left font-normal">in that amount</th>
                <th className="font-normal">the line takes</th>
                <th className="font-normal">acid, %</th>
                <th className="font-normal">alcohol, %</th>
                <th className="font-normal">sugar, %</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {found.choices.map(choice => (
                <tr key={choice.liquid} className="border-t border-rule align-top">
                  <th scope="row" className="py-1 text-left font-normal">
                    {choice.name} <strong>{printMass(g(choice.massG))}</strong>
                    <span className="block text-xs text-faded">{choice.brings}</span>
                  </th>
                  <td className="py-1 text-right">{printDuration(choice.totalS)}</td>
                  <td className="py-1 text-right">{printNumber(choice.outcome.acid, 2)}</td>
                  <td className="py-1 text-right">{printNumber(choice.outcome.alcohol, 2)}</td>
                  <td className="py-1 text-right">{printNumber(choice.outcome.sugar, 1)}</td>
                  <td className="py-1 pl-3 text-right">
                    <button
                      type="button"
                      onClick={() => formula.edit(() => choice.document)}
                      className="text-copper underline underline-offset-4"
                      aria-label={`Take ${choice.name}`}
                    >
                      Take
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </div>
  );
}
