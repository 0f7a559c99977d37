import { useState } from "react";
import type { FactValues } from "~/core/ground/facts";
import { emulsionInputOf } from "~/core/formula";
import { g, printMass } from "~/core/ground/quantity";
import { type Rescue, rescueBroken } from "~/core/laws/emulsion";
import type { RunState, StepProgress } from "~/core/run";
import type { Mended } from "./mend-sheet";
import { CHOICE } from "./panels/frame";

/** From here on it is a warm emulsion, °C. */
const WARM_C = 35;

/** What a parted emulsion in this step is taken up with; `null` where none has parted, or it holds again. */
export function rescueIn(run: RunState, progress: StepProgress, facts: FactValues): Rescue | null {
  const splits = run.told.incidents.filter(i => i.what === "split" && i.stepId === progress.step.id);
  const fixed = run.told.fixes.findLast(fix => fix.fault === SPLIT && fix.stepId === progress.step.id);
  const last = splits.at(-1);
  if (!last || (fixed && fixed.at >= last.at) || !progress.foreseen) return null;
  const input = emulsionInputOf(progress.foreseen.pot);
  if (!input) return null;
  const kind = input.temperatureC > WARM_C ? "hollandaise" : "mayonnaise";
  const found = rescueBroken(input, { kind, failedBefore: splits.length > 1 }, facts);
  return found.ok ? found.value : null;
}

const SPLIT = "split";

/** The rescue as guided doses: what goes into the clean bowl, then the broken sauce, dose by dose. */
export function SplitRescue({
  rescue,
  onHolds,
  onAgain,
}: {
  rescue: Rescue;
  onHolds: (mended: Mended) => void;
  onAgain: () => void;
}) {
  const [dose, setDose] = useState(0);
  const doses = rescue.feed?.doses ?? [];
  const next = doses[dose];
  return (
    <section aria-label="Rescue" className="space-y-2 rounded-lg border-2 border-glow bg-night-raised p-3">
      <p className="font-bold text-glow">▲ It has split. Clean bowl, {rescue.startWith}.</p>
      {next ? (
        <button type="button" onClick={() => setDose(dose + 1)} className={`${CHOICE} w-full text-left`}>
          <span className="block text-2xl">
            Dose {dose + 1} of {doses.length}: {printMass(g(next.doseG))}
          </span>
          <span className="block text-sm font-normal text-lamp-faded">
            of the broken sauce; {printMass(g(next.toG))} in all. Tap when it is taken up.
          </span>
        </button>
      ) : (
        <p>All of it is in.</p>
      )}
      <ul className="list-inside list-disc text-sm text-lamp-faded">
        {rescue.steps.map(step => (
          <li key={step}>{step}</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          onClick={() =>
            onHolds({
              fault: SPLIT,
              remedy: `taken up onto ${rescue.startWith}, it holds`,
              brings: { water: rescue.waterG, ...(rescue.yolkG > 0 && { "egg-yolk": rescue.yolkG }) },
            })
          }
          className={`${CHOICE} border-leaf text-leaf`}
        >
          It holds again
        </button>
        <button type="button" onClick={onAgain} className={CHOICE}>
          It parted again
        </button>
      </div>
    </section>
  );
}
