import { Printer } from "lucide-react";
import { useMemo } from "react";
import { Form, Link, useSearchParams } from "react-router";
import { basisFrom, openKitchen } from "~/core/formula";
import { batchYield, cardOf } from "~/core/standard";
import { massFor, textFor } from "~/core/things/house";
import { g, s, printDuration, printKilograms, printNumber, printVolume } from "~/core/ground/quantity";
import type { Route } from "./+types/card";
import { useKitchen } from "../kitchen/context";
import { yieldWords } from "../text/batch-yield";
import { nutritionWords } from "../text/nutrition";
import { costInWords } from "../text/money";
import { bandText, daysText, dayOf, durationBandText } from "../text/format";
import { Button } from "../ui/button";
import { CardStep, Figure, Mark } from "./card-parts";
import { Columns } from "./columns";
import { OnTheWall } from "./on-the-wall";
import { PaperForm } from "./paper-form";
import { DisplayForm } from "./display-form";
import { Signatures } from "./signatures";
import { SinceThen } from "./since-then";
import { StateBadge } from "./state-badge";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./card.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `Card: ${(loaderData as { version: { document: { name: string } } } | undefined)?.version.document.name ?? ""} · Hondaro`,
  },
];

/** So many differences are read on a card; the Versions page has them all. */
const MOST_CHANGES = 6;

export default function Card({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const { signatures, standard, ready, maySign } = loaderData;
  const { basis, asOfToday, since, version, batches, intervals, refusals, asked, display, times } =
    loaderData;
  const { columns, columnsAsked, printed, code, lastVersion, cost, tastings } = loaderData;
  const [query] = useSearchParams();
  const reasons = query.get("reasons") === null ? loaderData.learning : query.get("reasons") === "yes";
  const wall = query.get("look") === "wall";
  const today = useKitchen();
  const kitchen = useMemo(() => basisFrom(basis, today), [basis, today]);
  const { document } = version;
  const card = useMemo(
    () => cardOf(document, openKitchen(kitchen), intervals, undefined, times),
    [document, kitchen, intervals, times],
  );
  const { label } = card;
  const shown = batchYield(batches, document.base.massG);
  const yieldBand = bandText(card.end?.volumeMl, 1000, card.finishedMl < 2000 ? 2 : 1);
  return (
    <main className="mx-auto max-w-4xl px-4 py-6 sm:px-6 print:max-w-none print:p-0">
      <div className="no-print mb-5 flex flex-wrap items-end gap-3">
        <Form method="get" className="flex flex-wrap items-end gap-2">
          <label className="text-xs text-faded">
            for a batch from
            <input
              name="base"
              defaultValue={asked ?? `${printNumber(document.base.massG / 1000, 2)} kg`}
              key={document.base.massG}
              aria-invalid={refusals.length ? true : undefined}
              className="mt-0.5 block w-32 rounded-md border border-rule bg-enamel px-2 py-1.5 text-base text-ink"
            />
          </label>
          <label className="text-xs text-faded">
            with columns for
            <input
              name="columns"
              defaultValue={columnsAsked ?? ""}
              key={columnsAsked}
              placeholder="our pots"
              title="Weights of the base, pots of this kitchen, multiples: 1.5 kg; Tall pot No 2; ×3. Empty: our own pots."
              className="mt-0.5 block w-44 rounded-md border border-rule bg-enamel px-2 py-1.5 text-base text-ink"
            />
          </label>
          <label className="text-xs text-faded">
            reasons
            <select
              name="reasons"
              defaultValue={reasons ? "yes" : "no"}
              className="mt-0.5 block rounded-md border border-rule bg-enamel px-2 py-2 text-base text-ink"
            >
              <option value="no">left out</option>
              <option value="yes">with each step</option>
            </select>
          </label>
          <label className="text-xs text-faded">
            type
            <select
              name="look"
              defaultValue={wall ? "wall" : "card"}
              className="mt-0.5 block rounded-md border border-rule bg-enamel px-2 py-2 text-base text-ink"
            >
              <option value="card">for the hand</option>
              <option value="wall">for the wall</option>
            </select>
          </label>
          <Button type="submit">Show it so</Button>
        </Form>
        <DisplayForm display={display} />
        <Button look="act" onClick={() => window.print()}>
          <Printer aria-hidden="true" className="size-4" /> Print
        </Button>
        <PaperForm versionId={version.versionId} query={query} />
        {refusals.map(refusal => (
          <p key={refusal} role="alert" className="basis-full text-sm text-beet">
            ✕ {refusal}
          </p>
        ))}
      </div>
      {printed && <OnTheWall printed={printed} standard={standard} version={version} />}
      <article
        className={`rounded-2xl border border-rule bg-enamel p-5 sm:p-8 print:rounded-none print:border-0 print:p-0 ${wall ? "card-for-the-wall" : ""}`}
      >
        <header className="flex flex-wrap items-start justify-between gap-x-8 gap-y-3 border-b-2 border-ink pb-4">
          <div>
            <h1 className="text-3xl">{card.name}</h1>
            <p className="text-sm">
              <StateBadge state={version.state} />
              {signatures[0] && version.state === signatures[0].state && (
                <span className="ml-2 text-faded">
                  signed by {signatures[0].by}, {dayOf(signatures[0].at, kitchen.timeZone)}
                </span>
              )}
            </p>
            <p className="text-sm text-faded">
              {kitchen.name}
              {today.demo && " · DEMO, invented"} · version {version.number} · {version.editedBy},{" "}
              {dayOf(version.editedAt, kitchen.timeZone)}
            </p>
          </div>
          <dl className="flex gap-x-7">
            <Figure label="from">
              {massFor(display, card.base.massG)}{" "}
              <span className="text-base font-normal">{card.base.name}</span>
            </Figure>
            <Figure label="gives" band={yieldBand && `${yieldBand} l`}>
              {printVolume(card.finishedMl)}
            </Figure>
            <Figure label="in" band={durationBandText(card.end?.clockS)}>
              {printDuration(card.totalS)}
            </Figure>
          </dl>
          <figure className="hidden text-center text-xs text-faded sm:block print:block">
            <svg
              viewBox={`0 0 ${code.size} ${code.size}`}
              role="img"
              aria-label="Code of this card"
              className="size-20"
            >
              <path d={code.path} fill="currentColor" className="text-ink" />
            </svg>
            still holds?
          </figure>
        </header>
        {standard && standard.versionId !== version.versionId && (
          <p role="status" className="mt-3 rounded-xl border-2 border-saffron bg-saffron-wash px-4 py-2">
            ▲ {version.state === "retired" ? "Out of date" : "Not the standard"}: version {standard.number} is
            the way it is done here.{" "}
            <Link to={`/book/${standard.versionId}`} className="no-print font-semibold underline">
              To its card
            </Link>
          </p>
        )}
        <SinceThen
          since={since}
          asOfToday={asOfToday}
          card={`?${new URLSearchParams({ ...(asked && { base: asked }) }).toString()}`}
        />
        {card.problems.map(problem => (
          <p key={problem} role="alert" className="mt-3 text-beet">
            ✕ At this size: {problem}
          </p>
        ))}
        <ol className="mt-2">
          {card.steps.map((step, index) => (
            <CardStep key={step.id} step={step} index={index} display={display} reasons={reasons} />
          ))}
        </ol>
        {columns.length > 0 && <Columns card={card} columns={columns} display={display} />}
        {card.marks.length > 0 && (
          <section className="keep mt-5 border-t border-rule pt-4">
            <h2 className="text-lg">Marks</h2>
            <div className="mt-2 grid grid-cols-2 items-end gap-6 lg:grid-cols-3 print:grid-cols-3">
              {card.marks.map(mark => (
                <Mark key={mark.stepId} {...mark} />
              ))}
            </div>
          </section>
        )}
        <section className="keep mt-5 grid gap-x-8 gap-y-3 border-t border-rule pt-4 sm:grid-cols-2 print:grid-cols-2">
          <div>
            <h2 className="text-lg">Allergens recorded</h2>
            <p>
              {label.allergens
                ? label.allergens.join(", ") || "none recorded in these ingredients"
                : `not known: ${label.notEntered.join(", ")} not entered`}
            </p>
            {label.guests && <p className="font-bold">For guests: {textFor(display, label.guests)}</p>}
            {label.wrongName && <p className="font-bold text-beet">✕ {label.wrongName}</p>}
            <p className="text-sm text-faded">
              Contains {label.diet.join(", ") || "nothing flagged"}. Cross-contact in the kitchen is not seen
              here.
            </p>
          </div>
          <div>
            <h2 className="text-lg">Keeping</h2>
            <p>
              {daysText(card.keeps.days)} at {textFor(display, `${card.keeps.atC} °C`)}, day of making is day
              1 (proposed by class, to be confirmed). {textFor(display, card.keeps.words)}
            </p>
            <p className="text-sm text-faded">Follow your local food code.</p>
            {card.houseTerms.map(term => (
              <p key={term}>{term}</p>
            ))}
            {card.letDown && (
              <p>
                <strong>× {printNumber(card.letDown.times, 1)}</strong>: 1 part and{" "}
                {printNumber(card.letDown.waterParts, 1)} parts of water give the {card.base.name} back.
              </p>
            )}
          </div>
          <div>
            <h2 className="text-lg">Yield</h2>
            <p>
              {printVolume(card.finishedMl)}, {massFor(display, card.finishedG)}: {card.portions} portions of{" "}
              {massFor(display, card.portionG)}
            </p>
            {shown && <p>{yieldWords(shown)}</p>}
          </div>
          <div>
            <h2 className="text-lg">Hands and pots</h2>
            <p>
              {printDuration(card.handsOnS)} hands on,{" "}
              {printDuration(s(Math.max(0, card.totalS - card.handsOnS)))} by itself.{" "}
              {card.equipment.join(", ")}.
            </p>
          </div>
          {card.limits.length > 0 && (
            <div>
              <h2 className="text-lg">To be reached and written down</h2>
              <ul>
                {card.limits.map(limit => (
                  <li key={limit}>{textFor(display, limit)}</li>
                ))}
              </ul>
            </div>
          )}
          {card.nutrition && (
            <div>
              <h2 className="text-lg">A portion of {massFor(display, card.portionG)} brings</h2>
              {nutritionWords(card.nutrition).map(words => (
                <p key={words} className="last:text-sm last:text-faded">
                  {words}
                </p>
              ))}
            </div>
          )}
          {cost && (
            <div>
              <h2 className="text-lg">Cost</h2>
              <p>
                {costInWords(cost.foodCost, cost.currency)}
                {cost.perKg !== null && `, ${costInWords(cost.perKg, cost.currency)} a kilogram`}
                {cost.perPortion !== null && `, ${costInWords(cost.perPortion, cost.currency)} a portion`}
                {cost.unpriced.length > 0 && ` (without ${cost.unpriced.join(", ")}: no price entered)`}
              </p>
            </div>
          )}
          {lastVersion && (
            <div>
              <h2 className="text-lg">Since version {lastVersion.number}</h2>
              {lastVersion.changes.length === 0 ? (
                <p>Nothing a cook would notice.</p>
              ) : (
                <ul>
                  {lastVersion.changes.slice(0, MOST_CHANGES).map(change => (
                    <li key={change}>{change}</li>
                  ))}
                  {lastVersion.changes.length > MOST_CHANGES && (
                    <li className="text-faded">and {lastVersion.changes.length - MOST_CHANGES} more</li>
                  )}
                </ul>
              )}
            </div>
          )}
          {tastings.length > 0 && (
            <div>
              <h2 className="text-lg">Tasted blind</h2>
              <ul>
                {tastings.map(tasting => (
                  <li key={tasting.id}>
                    <Link to={`/tastings/${tasting.id}`} className="underline underline-offset-4">
                      {tasting.name}
                    </Link>
                    {tasting.decision && <span className="block text-sm text-faded">{tasting.decision}</span>}
                  </li>
                ))}
              </ul>
            </div>
          )}
          <div>
            <h2 className="text-lg">Batches of this version</h2>
            {batches.length === 0 ? (
              <p>None finished yet.</p>
            ) : (
              <ul>
                {batches.slice(0, 5).map(batch => (
                  <li key={batch.runId}>
                    <Link to={`/batch/${batch.runId}`} className="underline underline-offset-4">
                      {dayOf(batch.finishedAt, kitchen.timeZone)}
                    </Link>
                    : from {printKilograms(g(batch.baseG))},{" "}
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
        {card.notes && <p className="mt-4 border-t border-rule pt-3 text-sm text-faded">{card.notes}</p>}
      </article>
      <Signatures
        state={version.state}
        signatures={signatures}
        ready={ready}
        maySign={maySign}
        refused={reply?.problem ?? null}
        timeZone={kitchen.timeZone}
      />
    </main>
  );
}
