import { Printer } from "lucide-react";
import { useMemo } from "react";
import { Form, Link } from "react-router";
import {
  type FormulaDocument,
  type StateAfterStep,
  basisFrom,
  labelOf,
  misnamed,
  namesIn,
  openKitchen,
  relationInWords,
  shareLeft,
  walk,
  keepsDays,
} from "~/core/formula";
import { letDown } from "~/core/things/house";
import { ALLERGENS } from "~/core/things/larder";
import {
  g,
  printDuration,
  printKilograms,
  printMass,
  printNumber,
  printVolume,
} from "~/core/ground/quantity";
import type { Route } from "./+types/card";
import { useKitchen } from "../kitchen/context";
import { bandText, daysText, dayOf, durationBandText } from "../text/format";
import { Button } from "../ui/button";
import { CardStep, Figure, Mark } from "./card-parts";
import { DisplayForm } from "./display-form";

export { action, loader } from "./card.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `Card: ${(loaderData as { version: { document: { name: string } } } | undefined)?.version.document.name ?? ""} · Hondaro`,
  },
];

export default function Card({ loaderData }: Route.ComponentProps) {
  const { basis, asOfToday, since, version, batches, intervals, refusal, asked, display } = loaderData;
  const today = useKitchen();
  const kitchen = useMemo(() => basisFrom(basis, today), [basis, today]);
  const { document } = version;
  const opened = openKitchen(kitchen);
  const walked = walk(document, opened);
  const label = labelOf(walked);
  const days = keepsDays(document, walked, opened.facts);
  const wrongName = misnamed(document, walked);
  const left = shareLeft(walked);
  const last = intervals.at(-1);
  const yieldBand = bandText(last?.volumeMl, 1000, walked.finishedMl < 2000 ? 2 : 1);
  const marked = walked.states
    .map((state, index) => ({ state, index }))
    .filter(
      ({ state }) =>
        state.vessel && state.vessel.use !== "tray" && (state.mark || state.step.kind === "cover"),
    );
  return (
    <main className="mx-auto max-w-4xl px-4 py-6 sm:px-6 print:max-w-none print:p-0">
      <div className="no-print mb-5 flex flex-wrap items-end gap-3">
        <Form method="get" className="flex items-end gap-2">
          <label className="text-xs text-faded">
            for a batch from
            <input
              name="base"
              defaultValue={asked ?? `${printNumber(document.base.massG / 1000, 2)} kg`}
              key={document.base.massG}
              aria-invalid={refusal ? true : undefined}
              className="mt-0.5 block w-32 rounded-md border border-rule bg-enamel px-2 py-1.5 text-base text-ink"
            />
          </label>
          <Button type="submit">Show this size</Button>
        </Form>
        <DisplayForm display={display} />
        <Button look="act" onClick={() => window.print()}>
          <Printer aria-hidden="true" className="size-4" /> Print
        </Button>
        {refusal && (
          <p role="alert" className="basis-full text-sm text-beet">
            ✕ {refusal}
          </p>
        )}
      </div>
      <article className="rounded-2xl border border-rule bg-enamel p-5 sm:p-8 print:rounded-none print:border-0 print:p-0">
        <header className="flex flex-wrap items-start justify-between gap-x-8 gap-y-3 border-b-2 border-ink pb-4">
          <div>
            <h1 className="text-3xl">{document.name}</h1>
            <p className="text-sm text-faded">
              {kitchen.name}
              {today.demo && " · DEMO, invented"} · version {version.number} · {version.editedBy},{" "}
              {dayOf(version.editedAt, kitchen.timeZone)}
            </p>
          </div>
          <dl className="flex gap-x-7">
            <Figure label="from">
              {printKilograms(g(document.base.massG))}{" "}
              <span className="text-base font-normal">{document.base.name}</span>
            </Figure>
            <Figure label="gives" band={yieldBand && `${yieldBand} l`}>
              {printVolume(walked.finishedMl)}
            </Figure>
            <Figure label="in" band={durationBandText(last?.clockS)}>
              {printDuration(walked.totalS)}
            </Figure>
          </dl>
        </header>
        <SinceThen since={since} asOfToday={asOfToday} base={asked} />
        {walked.problems.map(problem => (
          <p key={problem.code + problem.message} role="alert" className="mt-3 text-beet">
            ✕ At this size: {problem.message}
          </p>
        ))}
        <ol className="mt-2">
          {walked.states.map((state, index) => (
            <CardStep
              key={state.step.id}
              interval={intervals[index]}
              state={state}
              index={index}
              display={display}
              relation={id => relationOf(id, document, state)}
            />
          ))}
        </ol>
        {marked.length > 0 && (
          <section className="keep mt-5 border-t border-rule pt-4">
            <h2 className="text-lg">Marks</h2>
            <div className="mt-2 grid grid-cols-2 items-end gap-6 lg:grid-cols-3 print:grid-cols-3">
              {marked.map(
                ({ state, index }) =>
                  state.vessel && <Mark key={state.step.id} state={state} index={index} />,
              )}
            </div>
          </section>
        )}
        <section className="keep mt-5 grid gap-x-8 gap-y-3 border-t border-rule pt-4 sm:grid-cols-2 print:grid-cols-2">
          <div>
            <h2 className="text-lg">Allergens recorded</h2>
            <p>
              {label.known
                ? label.allergens.map(a => ALLERGENS[a]).join(", ") || "none recorded in these ingredients"
                : `not known: ${label.notEntered.join(", ")} not entered`}
            </p>
            {label.egg && <p className="font-bold">For guests: {label.egg}</p>}
            {wrongName && <p className="font-bold text-beet">✕ {wrongName}</p>}
            <p className="text-sm text-faded">
              Contains {label.diet.join(", ") || "nothing flagged"}. Cross-contact in the kitchen is not seen
              here.
            </p>
          </div>
          <div>
            <h2 className="text-lg">Keeping</h2>
            <p>
              {daysText(days)} at {document.storage.keepC} °C, day of making is day 1 (proposed by class, to
              be confirmed). {document.storage.words}
            </p>
            <p className="text-sm text-faded">Follow your local food code.</p>
            {left !== null && (
              <p>
                <strong>× {printNumber(letDown(left).times, 1)}</strong>: 1 part and{" "}
                {printNumber(letDown(left).waterParts, 1)} parts of water give the {document.base.name} back.
              </p>
            )}
          </div>
          <div>
            <h2 className="text-lg">Yield</h2>
            <p>
              {printVolume(walked.finishedMl)}, {printKilograms(walked.finishedG)}:{" "}
              {Math.floor(walked.finishedG / document.portionG)} portions of {printMass(g(document.portionG))}
            </p>
          </div>
          <div>
            <h2 className="text-lg">Batches of this version</h2>
            {batches.length === 0 ? (
              <p>None finished yet.</p>
            ) : (
              <ul>
                {batches.slice(0, 5).map(batch => (
                  <li key={batch.runId}>
                    {dayOf(batch.finishedAt, kitchen.timeZone)}: from {printKilograms(g(batch.baseG))},{" "}
                    {batch.actualMl === null ? "not weighed" : `${printNumber(batch.actualMl / 1000, 2)} l`}{" "}
                    <span className="text-faded">
                      planned {batch.plannedMl === null ? "–" : `${printNumber(batch.plannedMl / 1000, 2)} l`}
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </div>
        </section>
        {document.notes && (
          <p className="mt-4 border-t border-rule pt-3 text-sm text-faded">{document.notes}</p>
        )}
      </article>
    </main>
  );
}

/** A card says what it said when it was kept. What has changed in the kitchen since is said in one line. */
function SinceThen({
  since,
  asOfToday,
  base,
}: {
  since: readonly string[];
  asOfToday: boolean;
  base: string | null;
}) {
  if (!since.length) return null;
  const query = new URLSearchParams({ ...(base && { base }), ...(!asOfToday && { in: "today" }) });
  const shown = since.slice(0, MOST_SINCE).join(", ");
  const more = since.length - MOST_SINCE;
  return (
    <p className="no-print mt-3 rounded-md bg-saffron-wash px-3 py-2 text-sm">
      <strong>{asOfToday ? "In the kitchen of today." : "As it was kept."}</strong> Changed in the kitchen
      since: {shown}
      {more > 0 && ` and ${more} more`}.{" "}
      <Link to={`?${query.toString()}`} className="text-copper underline underline-offset-4">
        {asOfToday ? "Show it as it was kept" : "Compare: show it in the kitchen of today"}
      </Link>
    </p>
  );
}

/** So many changes are named; the others are counted. */
const MOST_SINCE = 5;

function relationOf(lineId: string, document: FormulaDocument, state: StateAfterStep): string {
  const line = document.steps.flatMap(step => step.lines).find(l => l.id === lineId);
  return line ? relationInWords(line.amount, namesIn(document, state)) : "";
}
