import { Form, Link } from "react-router";
import { type RunState, asCooked, batchRecord, draftOf, isImprovised } from "~/core/run";
import type { Person } from "~/data";
import type { LiveRun } from "../range/live-run.server";
import { BatchFigures } from "../batch/batch-figures";
import { clockTime, dayOf } from "../text/format";
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
  const card = `/book/${live.run.formulaVersionId}?base=${Math.round(live.run.baseG)}${encodeURIComponent(" g")}`;
  return (
    <main className="mx-auto max-w-4xl px-4 py-8 sm:px-6">
      {live.run.rehearsal && (
        <p className="mb-3 rounded-lg bg-saffron-wash px-3 py-2 font-bold tracking-wide text-saffron-ink">
          REHEARSAL: it counts as no batch, and teaches the kitchen nothing.
        </p>
      )}
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
      <BatchFigures record={record} people={people} />
      <div className="mt-8 flex flex-wrap gap-3">
        <Link to={card} className={buttonClass("act")}>
          The card of this batch
        </Link>
        <Link to="/" className={buttonClass("plain")}>
          To the Range
        </Link>
        {!live.run.rehearsal && state.abandoned === null && <NewVersion live={live} state={state} />}
        <Button look="quiet" onClick={onReopen}>
          Undo “{state.abandoned === null ? "finished" : "given up"}”
        </Button>
      </div>
    </main>
  );
}

/** What was cooked as the formula from now on: as a draft, and said beforehand. */
function NewVersion({ live, state }: { live: LiveRun; state: RunState }) {
  const from = isImprovised(live.document);
  const { changes } = from ? draftOf(state, live.document) : asCooked(state, live.document);
  if (!changes.length) return null;
  return (
    <Form
      method="post"
      action={`/batch/${live.run.id}`}
      className="basis-full rounded-xl border border-rule bg-enamel p-4"
    >
      <h2 className="text-lg">{from ? "A draft of what was cooked" : "What differs from the formula"}</h2>
      <ul className="mt-1 list-inside list-disc text-sm">
        {changes.map(change => (
          <li key={change}>{change}</li>
        ))}
      </ul>
      <Button type="submit" className="mt-3">
        {from ? "Make it a formula" : "Make this the new version"}
      </Button>
    </Form>
  );
}
