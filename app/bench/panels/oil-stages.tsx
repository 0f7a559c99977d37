import { type EmulsionTool, oilSchedule, oilStages } from "~/core/laws/emulsion";
import type { FactValues } from "~/core/ground/facts";
import { g, printDuration, printMass, s } from "~/core/ground/quantity";

/** How fast the oil goes in, stage by stage, and in how many doses. */
export function OilStages({
  phaseG,
  oilG,
  tool,
  facts,
}: {
  phaseG: number;
  oilG: number;
  tool: EmulsionTool;
  facts: FactValues;
}) {
  const plan = oilSchedule(phaseG, oilG, tool, facts);
  return (
    <div>
      <h3 className="font-semibold">How the oil goes in, by {tool}</h3>
      <table className="mt-1 w-full">
        <tbody className="divide-y divide-rule">
          {oilStages(phaseG, oilG, tool, facts).map(stage => (
            <tr key={stage.name}>
              <th scope="row" className="py-1 text-left font-normal">
                {stage.name}
              </th>
              <td className="text-right">to {printMass(g(stage.toG))}</td>
              <td className="text-right font-semibold">{printMass(g(stage.gPerMin))}/min</td>
            </tr>
          ))}
        </tbody>
      </table>
      {plan.ok && (
        <p className="mt-1 text-faded">
          {plan.value.doses.length} doses, {printDuration(s(plan.value.seconds))}; the first{" "}
          {printMass(g(plan.value.doses[0]?.doseG ?? 0))}.
        </p>
      )}
    </div>
  );
}
