import { Printer } from "lucide-react";
import { Form, data } from "react-router";
import {
  type StateAfterStep,
  type StepIntervals,
  intervalsAlong,
  kindOf,
  labelOf,
  openKitchen,
  relationInWords,
  walk,
  withBase,
} from "~/core/formula";
import { ALLERGENS } from "~/core/larder";
import { dissolvedPct } from "~/core/pot";
import {
  g,
  printDuration,
  printKilograms,
  printLength,
  printMass,
  printNumber,
  printVolume,
  s,
} from "~/core/quantity";
import { grossTarget } from "~/core/vessel";
import { batchesOf, database, findVersion } from "~/data";
import type { Route } from "./+types/card";
import { kitchenOf } from "../kitchen.server";
import { requirePerson } from "../people/person.server";
import { bandText, dayOf, durationBandText } from "../text/format";
import { Button } from "../ui/button";
import { PotSection, snugHeight } from "../ui/pot-section";
import { readMass } from "../ui/read";
import { vesselInWords } from "../bench/pot-panel";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const { db } = database();
  const [kitchen, version] = await Promise.all([
    kitchenOf(kitchenId),
    findVersion(db, kitchenId, params.versionId),
  ]);
  if (!version) throw data("There is no such card in the Book.", { status: 404 });
  const asked = new URL(request.url).searchParams.get("base");
  const size = asked === null ? null : readMass("The batch size")(asked);
  const batches = await batchesOf(db, version.versionId);
  const baseG = size?.ok ? size.value : (batches[0]?.baseG ?? version.document.base.massG);
  const document = withBase(version.document, g(baseG));
  const intervals = intervalsAlong(document, kitchen);
  return {
    kitchen,
    version: { ...version, document },
    baseG,
    asked,
    refusal: size && !size.ok ? (size.problems[0]?.message ?? null) : null,
    batches,
    intervals,
    now: Date.now(),
  };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `Card: ${(loaderData as { version: { document: { name: string } } } | undefined)?.version.document.name ?? ""} · Hondaro`,
  },
];

export default function Card({ loaderData }: Route.ComponentProps) {
  const { kitchen, version, batches, intervals, refusal, asked } = loaderData;
  const { document } = version;
  const walked = walk(document, openKitchen(kitchen));
  const label = labelOf(walked);
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
              {kitchen.demo && " · DEMO, invented"} · version {version.number} · {version.editedBy},{" "}
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
        {walked.problems.map(problem => (
          <p key={problem.code} role="alert" className="mt-3 text-beet">
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
              relation={id => relationOf(id, document)}
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
            <p className="text-sm text-faded">
              Contains {label.diet.join(", ") || "nothing flagged"}. Cross-contact in the kitchen is not seen
              here.
            </p>
          </div>
          <div>
            <h2 className="text-lg">Keeping</h2>
            <p>
              {document.storage.days} days at {document.storage.keepC} °C, day of making is day 1 (proposed by
              class, to be confirmed). {document.storage.words}
            </p>
            <p className="text-sm text-faded">Follow your local food code.</p>
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

function relationOf(
  lineId: string,
  document: Route.ComponentProps["loaderData"]["version"]["document"],
): string {
  const line = document.steps.flatMap(step => step.lines).find(l => l.id === lineId);
  return line ? relationInWords(line.amount, document.base.name, document.groups) : "";
}

const bracketed = (text: string): string => text && `(${text})`;

function Figure({ label, band, children }: { label: string; band?: string; children: React.ReactNode }) {
  return (
    <div>
      <dt className="text-xs text-faded">{label}</dt>
      <dd className="font-display text-xl font-semibold whitespace-nowrap">{children}</dd>
      {band && <dd className="text-xs text-faded">{band}</dd>}
    </div>
  );
}

function CardStep({
  state,
  index,
  interval,
  relation,
}: {
  state: StateAfterStep;
  interval: StepIntervals | undefined;
  index: number;
  relation: (lineId: string) => string;
}) {
  const kind = kindOf(state.step);
  return (
    <li className="keep grid grid-cols-[1.75rem_minmax(0,1fr)] gap-x-2 border-b border-rule py-2.5 sm:grid-cols-[1.75rem_minmax(0,1fr)_17rem] print:grid-cols-[1.75rem_minmax(0,1fr)_17rem]">
      <span className="font-display font-semibold text-faded">{index + 1}</span>
      <div>
        <p>
          <strong>
            {kind.title(
              state.step,
              state.lines.map(l => l.name),
            )}
          </strong>{" "}
          {kind.detail(state.step)}
        </p>
        {state.step.remark && <p className="italic">{state.step.remark}</p>}
        <p className="text-sm text-faded">
          {(state.step.cue ?? kind.cue) && `until: ${state.step.cue ?? kind.cue} · `}about{" "}
          {printDuration(s(state.durationS))} {bracketed(durationBandText(interval?.durationS))}
          {state.mark && state.vessel && (
            <strong className="text-ink">
              {" "}
              · stop at {printLength(state.mark.markMm)} {bracketed(bandText(interval?.markMm, 1, 0))} on the
              stick, or {printMass(grossTarget(g(state.vessel.tareG), state.massG))} on the scale with{" "}
              {state.vessel.name}
            </strong>
          )}
        </p>
        {kind.cautions(state.step).map(caution => (
          <p key={caution} className="text-sm text-saffron-ink">
            ▲ {caution}
          </p>
        ))}
      </div>
      <dl className="col-start-2 text-sm sm:col-start-auto print:col-start-auto">
        {state.lines.map(line => (
          <div key={line.lineId} className="flex items-baseline justify-between gap-3">
            <dt>
              {line.name}
              <span className="block text-xs text-faded">
                {relation(line.lineId)}
                {line.purchasedG - line.massG > 0.5 && `, from ${printMass(line.purchasedG)} bought`}
              </span>
            </dt>
            <dd className={`font-bold whitespace-nowrap ${line.certainty === "assumed" ? "is-assumed" : ""}`}>
              {printMass(line.massG)}
              {line.certainty === "assumed" && " (assumed)"}
            </dd>
          </div>
        ))}
        {state.computed
          .filter(c => c.way === "in")
          .map(computed => (
            <div key={computed.what} className="flex items-baseline justify-between gap-3">
              <dt>
                {computed.what}, about
                <span className="block text-xs text-faded">
                  {bandText(interval?.computedG[computed.what], 1000, 1)} kg
                </span>
              </dt>
              <dd className="font-bold whitespace-nowrap">{printMass(computed.massG)}</dd>
            </div>
          ))}
      </dl>
    </li>
  );
}

function Mark({ state, index }: { state: StateAfterStep; index: number }) {
  const { vessel, mark } = state;
  if (!vessel) return null;
  const level = mark?.markMm ?? state.levelMm;
  return (
    <figure className="keep">
      <PotSection
        className="w-full"
        vessel={vessel}
        levelMm={mark ? mark.startMm : state.levelMm}
        bulkMm={state.pot.solids.length ? (state.bulkLevelMm ?? 0) : 0}
        dissolvedPct={dissolvedPct(state.pot.liquor)}
        mark={level === null ? null : { levelMm: level, label: `${printNumber(level)} mm` }}
        stick
        width={250}
        height={snugHeight(vessel, 250, 170, 70)}
        gutter={70}
        title={`Step ${index + 1}: ${vessel.name}, mark at ${printNumber(level ?? 0)} mm`}
      />
      <figcaption className="text-center text-sm">
        <strong>step {index + 1}</strong> · {vessel.name}
        <span className="block text-xs text-faded">{vesselInWords(vessel)}</span>
      </figcaption>
    </figure>
  );
}
