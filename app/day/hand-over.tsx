import { Link } from "react-router";
import { clockOf } from "~/core/day";
import { printNumber } from "~/core/ground/quantity";
import { VERDICT_WORDS } from "~/core/laws/cooling";
import { Button } from "../ui/button";
import type { Route } from "./+types/hand-over";
import { dayInWords, weekdayOf } from "./calendar-day";
import { DayTabs } from "./day-tabs";

export { loader } from "./hand-over.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ params }) => [
  { title: `Hand-over ${dayInWords(params.date)} · Hondaro` },
];

const NONE = "text-faded";

/** One page for whoever comes on. */
export default function HandOver({ loaderData }: Route.ComponentProps) {
  const { date, note, midnightMin, pots, next, cooling, mustGo, broken } = loaderData;
  const weekday = weekdayOf(date);
  return (
    <main className="mx-auto max-w-4xl px-4 py-5 sm:px-6 print:p-0">
      <DayTabs date={date}>
        <Button onClick={() => window.print()}>Print</Button>
      </DayTabs>
      {note && <p className="mt-3 rounded-md bg-linen px-3 py-2 italic">{note}</p>}
      <section aria-label="On the fire" className="mt-5">
        <h2 className="text-xl">On the fire now</h2>
        {!pots.length && <p className={NONE}>Nothing.</p>}
        <ul>
          {pots.map(pot => (
            <li key={pot.id} className="border-b border-linen py-2">
              <p className="flex flex-wrap items-baseline gap-x-3">
                <Link
                  to={`/stove/${pot.id}`}
                  className="font-semibold underline underline-offset-4 hover:text-copper"
                >
                  {pot.name}
                </Link>
                <span className="text-sm text-faded">{pot.burner}</span>
                <span className="ml-auto tabular-nums">
                  {pot.ready ? `ready ${pot.ready}` : "waits for a cook"}
                </span>
              </p>
              <p className="text-sm">
                {pot.watch && <strong>Stay with it. </strong>}
                {pot.step}
                {pot.then && `. Then: ${pot.then.toLowerCase()}`}. {pot.owner} put it on.
              </p>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="Next" className="mt-5">
        <h2 className="text-xl">Next</h2>
        {!next.length && <p className={NONE}>Nothing more is planned.</p>}
        <ul>
          {next.map(job => (
            <li key={job.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-linen py-1.5">
              <span className="w-24 font-semibold tabular-nums">
                {clockOf(job.start, { midnightMin }, weekday)}
              </span>
              <span className="grow">{job.title}</span>
              <span className="text-sm text-faded">
                {[...job.vessels, job.who.join(" and ")].filter(Boolean).join(" · ")}
              </span>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="To watch" className="mt-5">
        <h2 className="text-xl">To watch</h2>
        {!cooling.length && !mustGo.length && !broken.length && (
          <p className={NONE}>Nothing out of the way.</p>
        )}
        <ul className="space-y-1">
          {cooling.map(log => (
            <li key={log.id}>
              <Link to={`/cold/${log.id}`} className="underline underline-offset-4 hover:text-copper">
                {log.name}, {log.kind}
              </Link>
              {log.last?.c !== null &&
                log.last !== null &&
                `: ${printNumber(log.last.c ?? 0, 1)} °C at the last reading`}
              {log.verdict && `. ${VERDICT_WORDS[log.verdict]}`}
            </li>
          ))}
          {mustGo.map(lot => (
            <li key={lot.id} className={lot.over ? "text-beet" : ""}>
              {lot.over ? "✕ " : ""}
              {lot.name}, {printNumber(lot.massG / 1000, 2)} kg{lot.place && `, ${lot.place}`}:{" "}
              {lot.over ? "past its day" : "today is its last day"}
            </li>
          ))}
          {broken.map(words => (
            <li key={words} className="text-saffron-ink">
              ✕ {words}
            </li>
          ))}
        </ul>
      </section>
    </main>
  );
}
