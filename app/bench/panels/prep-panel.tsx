import { useMemo } from "react";
import { type PrepList, prepList, vesselPath } from "~/core/formula";
import { g, printDuration, printKilograms, printMass, s } from "~/core/ground/quantity";
import { daysText } from "../../text/format";
import type { PanelProps } from "./panel-props";

/** Everything to get ready: components made ahead, one list of what to weigh, the pots it goes through. */
export function PrepPanel({ formula, kitchen, walked }: PanelProps) {
  const list = useMemo(
    () => prepList(formula.document, walked, kitchen),
    [formula.document, walked, kitchen],
  );
  const pots = vesselPath(walked);
  return (
    <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[1fr_20rem]">
      <table className="w-full self-start text-sm">
        <thead>
          <tr className="text-left text-xs text-faded">
            <th className="font-normal">to weigh</th>
            <th className="text-right font-normal">net</th>
            <th className="text-right font-normal">to buy</th>
            <th className="pl-4 font-normal">for</th>
          </tr>
        </thead>
        <tbody className="divide-y divide-rule">
          {list.items.map(item => (
            <tr key={item.ingredientId}>
              <td className="py-1 font-semibold">{item.name}</td>
              <td className="text-right whitespace-nowrap">{printMass(g(item.netG))}</td>
              <td className="text-right whitespace-nowrap">
                {item.purchasedG - item.netG > 0.5 ? printMass(g(item.purchasedG)) : ""}
              </td>
              <td className="pl-4 text-faded">
                {item.uses.length > 1
                  ? item.uses.map(use => `${use.component} ${printMass(g(use.massG))}`).join(", ")
                  : item.uses[0]?.component}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div>
        <h3 className="font-semibold">Made ahead</h3>
        {list.components.length === 0 ? (
          <p className="text-sm text-faded">Nothing: it draws on no other formula.</p>
        ) : (
          <Tree components={list.components} />
        )}
        <h3 className="mt-4 font-semibold">Pots and pans</h3>
        <p className="text-sm">{pots.path.map(p => p.name).join(" → ") || "none chosen yet"}</p>
        <p className="text-sm text-faded">
          {pots.washUp} to wash up
          {pots.changes > 0 ? `, ${pots.changes} ${pots.changes === 1 ? "change" : "changes"}` : ""}.
        </p>
      </div>
    </div>
  );
}

function Tree({ components }: { components: PrepList["components"] }) {
  return (
    <ul className="mt-1 space-y-1 border-l-2 border-rule pl-3 text-sm">
      {components.map((component, i) => (
        <li key={`${component.formulaId}-${i}`}>
          <span className="font-semibold">{component.name}</span> {printKilograms(g(component.needG))}
          <span className="block text-xs text-faded">
            {printDuration(s(component.minutes * 60))}; keeps {daysText(component.keeps.days)} at{" "}
            {component.keeps.atC} °C
          </span>
          {component.parts.length > 0 && <Tree components={component.parts} />}
        </li>
      ))}
    </ul>
  );
}
