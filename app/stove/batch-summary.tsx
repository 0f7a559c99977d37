import { Link } from "react-router";
import { printDuration, printNumber, s } from "~/core/ground/quantity";
import { type Compared, type RunState, batchRecord } from "~/core/run";
import type { Person } from "~/data";
import type { LiveRun } from "../range/live-run.server";
import { clockTime, dayOf, deviationText } from "../text/format";
import { Button, buttonClass } from "../ui/button";

/** What was planned beside what came out. */
export function BatchSummary({
  state,
  live,
  people,
  timeZone,
  demo,
  onReopen,
  waiting,
}: {
  state: RunState;
  live: LiveRun;
  people: readonly Person[];
  timeZone: string;
  demo: boolean;
  onReopen: () => void;
  waiting: number;
}) {
  const record = batchRecord(state);
  const card = `/book/${live.run.formulaVersionId}?base=${Math.round(live.run.baseG)}`;
  return (
    <main className="mx-auto max-w-4xl px-4 py-8 sm:px-6">
      <p className="text-sm text-faded">
        {demo && "demo kitchen · "}version {live.versionNumber} · begun by {live.run.startedBy}
        {record.finishedAt !== null &&
          `, ${state.abandoned === null ? "finished" : "given up"} ${dayOf(record.finishedAt, timeZone)} at ${clockTime(record.finishedAt, timeZone)}`}
        {waiting > 0 &&
          ` · ${waiting === 1 ? "1 reading waits" : `${waiting} readings wait`} for the network`}
      </p>
      <h1 className="text-3xl">
        {live.document.name}: {state.abandoned === null ? "the batch" : "given up"}
      </h1>
      {state.abandoned !== null && (
        <p className="mt-1 text-lg text-beet">“{state.abandoned}” It counts as no batch.</p>
      )}
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
      <div className="mt-8 flex flex-wrap gap-3">
        <Link to={card} className={buttonClass("act")}>
          The card of this batch
        </Link>
        <Link to="/" className={buttonClass("plain")}>
          To the Range
        </Link>
        <Button look="quiet" onClick={onReopen}>
          Undo “{state.abandoned === null ? "finished" : "given up"}”
        </Button>
      </div>
    </main>
  );
}

function shown(figure: Compared, value: number | null): string {
  if (value === null) return "not read";
  if (figure.unit === "min") return printDuration(s(value * 60));
  if (figure.unit === "ml") return `${printNumber(value / 1000, 2)} l`;
  return `${printNumber(value, figure.unit === "°C" ? 1 : 0)} ${figure.unit}`;
}

function Headline({ compared, label }: { compared: Compared; label: string }) {
  return (
    <div className="rounded-xl border border-rule bg-enamel p-4">
      <p className="text-sm text-faded">{label}</p>
      <p className="font-display text-2xl font-semibold">
        {compared.actual === null ? "not weighed" : shown(compared, compared.actual)}
      </p>
      <p className="text-sm text-faded">
        planned {shown(compared, compared.planned)}
        {compared.deviation !== null && `, ${deviationText(compared.deviation)}`}
      </p>
    </div>
  );
}
