import { g, printDuration, printMass, printNumber, s } from "~/core/ground/quantity";
import { type BatchRecord, type Compared, touchMap } from "~/core/run";
import type { Person } from "~/data";
import { useKitchenIfAny } from "../kitchen/context";
import { deviationText } from "../text/format";
import { costInWords, currencyOf } from "../text/money";

/** What was planned beside what came out, for the whole and step by step. */
export function BatchFigures({ record, people }: { record: BatchRecord; people: readonly Person[] }) {
  return (
    <>
      <div className="mt-5 grid gap-4 sm:grid-cols-3">
        <Headline compared={record.yieldMl} label="yield" />
        <Headline compared={record.minutes} label="whole run" />
        <div className="rounded-xl border border-rule bg-enamel p-4">
          <p className="text-sm text-faded">out of the strainer</p>
          <p className="font-display text-2xl font-semibold">
            {record.strainYield === null ? "no jug read" : `${printNumber(record.strainYield * 100, 1)} %`}
          </p>
          <p className="text-sm text-faded">of the liquor that was in the pot</p>
        </div>
      </div>
      <Told record={record} />
      <table className="mt-7 w-full">
        <caption className="sr-only">Planned against actual, step by step</caption>
        <thead>
          <tr className="border-b border-ink/70 text-left text-sm text-faded">
            <th className="py-1 pr-4 font-normal">step</th>
            <th className="pr-4 font-normal">what</th>
            <th className="pr-4 text-right font-normal">planned</th>
            <th className="pr-4 text-right font-normal">actual</th>
            <th className="text-right font-normal">off plan</th>
          </tr>
        </thead>
        <tbody>
          {record.steps.flatMap((step, i) =>
            step.figures.map((figure, j) => (
              <tr
                key={`${step.stepId}${j}`}
                className={j === 0 ? "border-t border-rule align-top" : "align-top"}
              >
                <th scope="row" className="py-1 pr-4 text-left font-semibold">
                  {j === 0 && (
                    <>
                      {i + 1} {step.title}
                      {step.status === "skipped" && (
                        <span className="font-normal text-faded"> (skipped)</span>
                      )}
                      {step.notes.map(note => (
                        <span key={note.text} className="block text-sm font-normal italic">
                          “{note.text}” {people.find(p => p.id === note.personId)?.name.split(" ")[0]}
                        </span>
                      ))}
                    </>
                  )}
                </th>
                <td className="py-1 pr-4">{figure.what}</td>
                <td className="py-1 pr-4 text-right whitespace-nowrap">{shown(figure, figure.planned)}</td>
                <td className="py-1 pr-4 text-right font-bold whitespace-nowrap">
                  {shown(figure, figure.actual)}
                </td>
                <td className="py-1 text-right whitespace-nowrap text-faded">
                  {figure.deviation === null ? "" : deviationText(figure.deviation)}
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
    </>
  );
}

function shown(figure: Compared, value: number | null): string {
  if (value === null) return figure.unit === "min" ? "not timed" : "not read";
  if (figure.unit === "min") return printDuration(s(value * 60));
  if (figure.unit === "ml") return `${printNumber(value / 1000, 2)} l`;
  return `${printNumber(value, figure.unit === "°C" ? 1 : 0)} ${figure.unit}`;
}

function Headline({ compared, label }: { compared: Compared; label: string }) {
  return (
    <div className="rounded-xl border border-rule bg-enamel p-4">
      <p className="text-sm text-faded">{label}</p>
      <p className="font-display text-2xl font-semibold">
        {compared.actual === null && compared.unit !== "min"
          ? "not weighed"
          : shown(compared, compared.actual)}
      </p>
      <p className="text-sm text-faded">
        {compared.planned ? `planned ${shown(compared, compared.planned)}` : "nothing was planned"}
        {compared.deviation !== null && `, ${deviationText(compared.deviation)}`}
      </p>
    </div>
  );
}

/** How it tasted, what it took by taste, and what went wrong. */
function Told({
  record: { score, seasoned = [], incidents = [], paces = [], touches = [] },
}: {
  record: BatchRecord;
}) {
  const kitchen = useKitchenIfAny()?.snapshot;
  const called = (list: readonly { id: string; name: string }[] = [], id: string) =>
    list.find(one => one.id === id)?.name ?? "what is not here any more";
  const byTaste = seasoned.filter(one => one.doses.length > 1);
  if (score === undefined && !byTaste.length && !incidents.length && !paces.length && !touches.length)
    return null;
  return (
    <ul className="mt-5 space-y-1">
      {score !== undefined && (
        <li>
          Tasted at the end: <b>{score} of 10</b>
        </li>
      )}
      {byTaste.map(one => (
        <li key={one.ingredientId}>
          {one.name}: <b>{printMass(g(one.totalG))}</b>{" "}
          <span className="text-faded">
            ({one.doses.map(dose => printNumber(dose.massG, 1)).join(" + ")}; {printNumber(one.pctOfPot, 2)} %
            {one.perLitreG !== null && `, ${printNumber(one.perLitreG, 1)} g per litre`})
          </span>
          . Next time {printMass(g(one.nextFirstG))} first, then taste.
        </li>
      ))}
      {paces.map(({ burnerId, vesselId, pace, muUsed }) => (
        <li key={burnerId + vesselId}>
          {called(kitchen?.vessels, vesselId)} on {called(kitchen?.burners, burnerId)} went at{" "}
          <b>{printNumber(pace * Math.exp(muUsed), 2)}</b> times the pace of the sums; the next forecast
          counts on it.
        </li>
      ))}
      {touchMap(touches).map(({ touch, count, meanC }) => (
        <li key={touch}>
          {touch} under the finger at {printNumber(meanC, 1)} °C{count > 1 && `, on average of ${count}`}
        </li>
      ))}
      {incidents.map(({ words, cost }) => (
        <li key={words} className="text-beet">
          ▲ {words}
          {cost != null && `, about ${costInWords(cost, currencyOf(kitchen?.ingredients ?? []))}`}
        </li>
      ))}
    </ul>
  );
}
