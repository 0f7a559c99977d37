import { costOf, nutritionPerPortion } from "~/core/formula";
import { g, printKilograms, printMass, printNumber } from "~/core/ground/quantity";
import { nutritionWords } from "../../text/nutrition";
import { readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import type { PanelProps } from "./panel-props";

/** What it costs: food, and apart from it hands and fire. */
export function CostPanel({ formula, kitchen, walked }: PanelProps) {
  const { document, edit } = formula;
  const cost = costOf(document, walked, kitchen.data.house);
  const money = (x: number | null, decimals = 2) =>
    x === null ? "–" : `${printNumber(x, decimals)} ${cost.currency}`;
  const nutrition = nutritionPerPortion(document, walked);
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[1fr_20rem]">
      <table className="w-full self-start text-sm">
        <thead>
          <tr className="text-left text-xs text-faded">
            <th className="font-normal">line</th>
            <th className="text-right font-normal">in the pot</th>
            <th className="text-right font-normal">to buy</th>
            <th className="text-right font-normal">costs</th>
          </tr>
        </thead>
        <tbody className="divide-y divide-rule">
          {cost.lines.map((line, i) => (
            <tr key={`${line.name}-${i}`}>
              <td className="py-1">{line.name}</td>
              <td className="text-right">{printMass(g(line.massG))}</td>
              <td className="text-right">
                {line.purchasedG - line.massG > 0.5 ? printMass(g(line.purchasedG)) : ""}
              </td>
              <td className="text-right">{line.cost === null ? "no price entered" : money(line.cost)}</td>
            </tr>
          ))}
          {cost.credits.map(credit => (
            <tr key={credit.what} className="text-sorrel">
              <td className="py-1">
                {credit.what}, for {credit.use}
              </td>
              <td className="text-right">{printMass(g(credit.massG))}</td>
              <td />
              <td className="text-right">−{money(credit.worth)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div>
        <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
          <Row label={`food, ${printKilograms(walked.finishedG)}`}>{money(cost.foodCost)}</Row>
          <Row label="a kg">{money(cost.perKg)}</Row>
          <Row label={`a portion of ${printMass(g(document.portionG))}, ${cost.portions} of them`}>
            {money(cost.perPortion, 3)}
          </Row>
          <Row label={`hands on, ${printNumber(cost.handsOnMin)} min`}>{money(cost.labour)}</Row>
          <Row label={`fire, ${printNumber(cost.flameH, 1)} h`}>{money(cost.flame)}</Row>
        </dl>
        <p className="mt-1 text-xs text-faded">
          Hands and fire stand apart from food, at this kitchen’s own rates; how long hands are on a step is
          our estimate.
        </p>
        <div className="mt-4 flex gap-3">
          <TypedField
            label="price on the menu"
            shown={document.price?.menu === undefined ? "" : printNumber(document.price.menu, 2)}
            read={readWithin("The price", cost.currency, 0.01, 100_000)}
            onRead={menu => edit(d => ({ ...d, price: { ...d.price, menu } }), "menu")}
            width="w-24"
          />
          <TypedField
            label="food may be, of it"
            shown={document.price?.sharePct === undefined ? "" : `${document.price.sharePct} %`}
            read={readWithin("The share", "%", 0.1, 99)}
            onRead={sharePct => edit(d => ({ ...d, price: { ...d.price, sharePct } }), "share")}
            width="w-24"
          />
        </div>
        <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
          {cost.shareOfMenuPct !== null && (
            <Row label="food of the price">{printNumber(cost.shareOfMenuPct, 1)} %</Row>
          )}
          {cost.priceAtShare !== null && <Row label="price at that share">{money(cost.priceAtShare)}</Row>}
        </dl>
        {cost.unpriced.length > 0 && (
          <p className="mt-3 rounded-md bg-saffron-wash p-2 text-sm text-saffron-ink">
            ▲ Left out, no price entered: {cost.unpriced.join(", ")}.
          </p>
        )}
        {nutrition && (
          <p className="mt-4 text-sm text-faded">
            A portion of {printMass(g(nutrition.portionG))} brings {nutritionWords(nutrition).join(" ")}
          </p>
        )}
      </div>
    </div>
  );
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <>
      <dt className="text-faded">{label}</dt>
      <dd className="text-right font-semibold whitespace-nowrap">{children}</dd>
    </>
  );
}
