import { Link } from "react-router";
import { g, printKilograms } from "~/core/ground/quantity";
import type { Route } from "./+types/batch";
import { useKitchen } from "../kitchen/context";
import { SinceThen } from "../book/since-then";
import { clockTime, dayOf } from "../text/format";
import { buttonClass } from "../ui/button";
import { LabelsForm } from "./labels-form";
import { BatchFigures } from "./batch-figures";
import { TimeLine } from "./time-line";

export { action, loader } from "./batch.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Batch: ${(loaderData as { name: string } | undefined)?.name ?? ""} · Hondaro` },
];

export default function Batch({ loaderData }: Route.ComponentProps) {
  const { batch, name, versionNumber, since, people, chapters, cooling, held, mayEdit } = loaderData;
  const { timeZone, demo } = useKitchen();
  const card = `/book/${batch.formulaVersionId}?base=${Math.round(batch.baseG)}${encodeURIComponent(" g")}`;
  return (
    <main className="mx-auto max-w-4xl px-4 py-8 sm:px-6">
      <p className="text-sm text-faded">
        {demo && "demo kitchen · "}version {versionNumber} · from {printKilograms(g(batch.baseG))} · begun by{" "}
        {batch.startedBy}, finished {dayOf(batch.finishedAt, timeZone)} at{" "}
        {clockTime(batch.finishedAt, timeZone)}
      </p>
      <h1 className="text-3xl">{name}: the batch</h1>
      <SinceThen since={since} card={card} />
      <BatchFigures record={batch.record} people={people} />
      <TimeLine
        chapters={chapters}
        cooled={cooling}
        held={held}
        people={people}
        timeZone={timeZone}
        mayEdit={mayEdit}
      />
      <LabelsForm of={`/batch/${batch.runId}`} title="Labels for its containers" />
      <div className="mt-8 flex flex-wrap gap-3">
        <Link to={card} className={buttonClass("act")}>
          The card of this batch
        </Link>
        <Link to={`/stove/${batch.runId}`} className={buttonClass("plain")}>
          At the Stove
        </Link>
      </div>
    </main>
  );
}
