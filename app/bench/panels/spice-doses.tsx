import { useState } from "react";
import { type Walk, firstDoseShare, scaleClassOf } from "~/core/formula";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";

/** Strong things for more of the sauce: plain multiplication, and how much of it goes in before the first taste. */
export function SpiceDoses({ walked }: { walked: Walk }) {
  const [times, setTimes] = useState(6);
  const share = firstDoseShare(times);
  const strong = walked.states.flatMap(state =>
    state.lines.filter(l => {
      const source = state.sources.get(l.lineId);
      return source && l.massG > 0 && scaleClassOf(source) === "strong";
    }),
  );
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
                  <td className="text-right text-faded">{printMass(g(l.massG * times))} multiplied</td>
                  <td className="pl-3 text-right font-semibold">
                    {printMass(g(l.massG * times * share))} first
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 text-faded">
            {share < 1
              ? `${printNumber(100 * share)} % goes in, then taste: strong things add up faster than the pot grows.`
              : times < 0.5
                ? "Weigh to 0.1 g; a little of it is soon too much."
                : "Up to twice the recipe it is simply multiplied."}
          </p>
        </>
      )}
    </div>
  );
}
