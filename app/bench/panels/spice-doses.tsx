import { useState } from "react";
import type { Walk } from "~/core/formula";
import { firstDose, scaleClassOf } from "~/core/laws/seasoning";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";

/** Strong things for more of the sauce: plain multiplication, and how much of it goes in before the first taste. */
export function SpiceDoses({ walked }: { walked: Walk }) {
  const [times, setTimes] = useState(6);
  const wholeG = Math.max(0, ...walked.states.map(state => state.massG));
  const strong = walked.states.flatMap(state =>
    state.lines.flatMap(l => {
      const source = state.sources.get(l.lineId);
      if (!source || l.massG <= 0 || scaleClassOf(source) !== "strong") return [];
      const massG = l.massG * times;
      return [{ ...l, massG, first: firstDose(source, massG, wholeG * times, times) }];
    }),
  );
  const reasons = [...new Set(strong.flatMap(l => l.first?.why ?? []))];
  return (
    <div role="group" aria-label="Strong things, for more of it" className="mt-6 max-w-xl text-sm">
      <h3 className="font-semibold">Strong things, for more of it</h3>
      {strong.length === 0 ? (
        <p className="mt-1 text-faded">No spice, garlic, spirit or sharp acid is on this line.</p>
      ) : (
        <>
          <TypedField
            label="times the recipe"
            shown={printNumber(times, 1)}
            read={readWithin("Times the recipe", "×", 0.05, 500)}
            onRead={setTimes}
            width="w-20"
          />
          <table className="mt-1 w-full">
            <tbody className="divide-y divide-rule">
              {strong.map(l => (
                <tr key={l.lineId}>
                  <th scope="row" className="py-1 text-left font-normal">
                    {l.name}
                  </th>
                  <td className="text-right text-faded">{printMass(g(l.massG))} multiplied</td>
                  <td className="pl-3 text-right font-semibold">
                    {printMass(g(l.first?.massG ?? l.massG))} {l.first ? "first" : "at once"}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 text-faded">
            {times < 0.5
              ? "Weigh to 0.1 g; a little of it is soon too much."
              : reasons.join(" ") || "Up to twice the recipe it is simply multiplied."}
          </p>
        </>
      )}
    </div>
  );
}
