import { type EmulsionTool, oilSchedule } from "~/core/laws/emulsion";
import type { FactValues } from "~/core/ground/facts";
import type { StateAfterStep } from "~/core/formula";
import { type PotState, liquorMass } from "~/core/things/pot";
import { g, printDuration, printMass, s } from "~/core/ground/quantity";

/** How many seconds of the beat before this dose went in. */
function beginsAt(phaseG: number, fromG: number, gPerS: number): number {
  return Math.log((phaseG + fromG) / phaseG) / gPerS;
}

/**
 * The oil, dose by dose, as time passes: which one goes in now, and how much of its time is left. The bar is the beat.
 */
export function OilPace({
  from,
  foreseen,
  tool,
  facts,
  sinceS,
}: {
  from: PotState;
  foreseen: StateAfterStep;
  tool: EmulsionTool;
  facts: FactValues;
  /** Seconds since the step was begun; `null` before. */
  sinceS: number | null;
}) {
  const oilG = foreseen.lines
    .filter(l => (foreseen.sources.get(l.lineId)?.composition.fat ?? 0) > 90)
    .reduce((m, l) => m + l.massG, 0);
  const others = foreseen.lines.reduce((m, l) => m + l.massG, 0) - oilG;
  const phaseG = liquorMass(from) + others;
  const plan = oilSchedule(phaseG, oilG, tool, facts);
  if (!plan.ok) return null;
  const pace = plan.value.startGPerS / phaseG;
  const at = sinceS ?? 0;
  const starts = plan.value.doses.map(d => beginsAt(phaseG, d.fromG, pace));
  const index = Math.max(
    0,
    starts.findLastIndex(t => at >= t),
  );
  const dose = plan.value.doses[index];
  if (!dose) return null;
  const end = starts[index + 1] ?? plan.value.seconds;
  const begun = starts[index] ?? 0;
  const share = Math.min(1, Math.max(0, (at - begun) / Math.max(0.1, end - begun)));
  const over = sinceS !== null && at >= plan.value.seconds;
  return (
    <section aria-label="The oil" className="rounded-lg border border-night-rule bg-night-raised p-3">
      <p className="text-lg font-bold">
        {over
          ? "All the oil is in"
          : `Dose ${index + 1} of ${plan.value.doses.length}: ${printMass(g(dose.doseG))}`}
      </p>
      <p className="text-sm text-lamp-faded">
        {printMass(g(dose.toG))} of {printMass(g(oilG))} in all; {printDuration(s(plan.value.seconds))} by{" "}
        {tool}
      </p>
      <span className="mt-2 block h-3 rounded-full bg-night">
        <span
          className="block h-full rounded-full bg-glow"
          style={{ width: `${100 * (over ? 1 : sinceS === null ? 0 : share)}%` }}
        />
      </span>
    </section>
  );
}
