import { clockOf } from "~/core/day";
import { printNumber } from "~/core/ground/quantity";
import { Button } from "../ui/button";
import type { Route } from "./+types/paper";
import { dayInWords, weekdayOf } from "./calendar-day";
import { LabelsForm } from "../batch/labels-form";
import { DayTabs } from "./day-tabs";

export { loader } from "./paper.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ params }) => [
  { title: `On paper: ${dayInWords(params.date)} · Hondaro` },
];

/** The day for the wall: a sheet for each cook, and one for the stations. */
export default function Paper({ loaderData }: Route.ComponentProps) {
  const { date, kitchen, demo, note, midnightMin, dueMin, verdict, cooks, stations } = loaderData;
  const weekday = weekdayOf(date);
  const at = (min: number): string => clockOf(min, { midnightMin }, weekday);
  const head = (title: string) => (
    <header className="flex items-baseline justify-between border-b-2 border-ink pb-1">
      <h2 className="text-2xl">{title}</h2>
      <p className="text-sm">
        {dayInWords(date)}, service {at(dueMin)} · {kitchen}
        {demo && " · demo"}
      </p>
    </header>
  );
  return (
    <main className="mx-auto max-w-4xl px-4 py-5 sm:px-6 print:max-w-none print:p-0">
      <DayTabs date={date}>
        <Button look="act" onClick={() => window.print()}>
          Print
        </Button>
      </DayTabs>
      <p className="mt-3 text-faded print:hidden">{verdict}</p>
      {cooks.map(cook => (
        <section key={cook.name} aria-label={cook.name} className="mt-6 break-after-page">
          {head(cook.name)}
          {note && <p className="mt-1 italic">{note}</p>}
          {!cook.jobs.length && <p className="mt-2 text-faded">Nothing is planned for these hands.</p>}
          <ol className="mt-2">
            {cook.jobs.map(job => (
              <li key={job.id} className="break-inside-avoid border-b border-rule py-2">
                <p className="flex items-baseline gap-3">
                  <span
                    className="inline-block size-4 shrink-0 self-center rounded-sm border-2 border-ink"
                    aria-hidden
                  />
                  <span className="w-24 shrink-0 font-semibold tabular-nums">{at(job.from)}</span>
                  <span className="grow font-semibold">{job.title}</span>
                  <span className="tabular-nums">{printNumber(job.massG / 1000, 2)} kg</span>
                </p>
                <p className="ml-31 text-sm">
                  {job.vessels.join(", ")}
                  {job.vessels.length > 0 && ". "}
                  {job.steps
                    .map(step => `${at(job.start + Math.round(step.fromMin))} ${step.title}`)
                    .join("; ")}
                  . Ends {at(job.finish)}.
                </p>
              </li>
            ))}
          </ol>
        </section>
      ))}
      <section aria-label="Stations" className="mt-6">
        {head("Stations")}
        <div className="mt-2 gap-8 sm:columns-2">
          {stations.map(station => (
            <div key={station.name} className="mb-4 break-inside-avoid">
              <h3 className="text-lg">{station.name}</h3>
              <ul className="text-sm">
                {station.jobs.map(job => (
                  <li key={`${job.title}${job.from}`} className="flex gap-3 border-b border-linen py-0.5">
                    <span className="w-32 shrink-0 tabular-nums">
                      {at(job.from)} – {at(job.to)}
                    </span>
                    {job.title}
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </div>
      </section>
      <LabelsForm of={`/day/${date}`} title="Labels for what was finished on this day, each batch" each={2} />
    </main>
  );
}
