import { Link } from "react-router";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import { type Loaded, FIELD, Problems, useDone } from "./parts";

/** Batches that stand somewhere and are booked nowhere; the rest behind a word. */
const SHOWN = 2;

export function Waiting({
  waiting,
  mayLog,
  timeZone,
}: {
  waiting: Loaded["waiting"];
  mayLog: boolean;
  timeZone: string;
}) {
  const row = (batch: Loaded["waiting"][number]) => (
    <li key={batch.runId} className="rounded-xl border border-saffron bg-saffron-wash p-3">
      <PutAway batch={batch} mayLog={mayLog} timeZone={timeZone} />
    </li>
  );
  if (!waiting.length) return null;
  return (
    <>
      <ul className="mt-2 space-y-2">{waiting.slice(0, SHOWN).map(row)}</ul>
      {waiting.length > SHOWN && (
        <details className="mt-2">
          <summary className="cursor-pointer text-sm text-saffron-ink">
            {waiting.length - SHOWN} more that are not put away
          </summary>
          <ul className="mt-2 space-y-2">{waiting.slice(SHOWN).map(row)}</ul>
        </details>
      )}
    </>
  );
}

function PutAway({
  batch,
  mayLog,
  timeZone,
}: {
  batch: Loaded["waiting"][number];
  mayLog: boolean;
  timeZone: string;
}) {
  const fetcher = useDone();
  return (
    <OnceForm fetcher={fetcher} className="flex flex-wrap items-center gap-2">
      <input type="hidden" name="runId" value={batch.runId} />
      <p className="grow">
        <Link
          to={`/batch/${batch.runId}`}
          className="font-semibold underline underline-offset-4 hover:text-copper"
        >
          {batch.name}
        </Link>
        <span className="block text-sm text-saffron-ink">
          finished {dayOf(new Date(batch.finishedAt), timeZone)}, not put away yet
          {batch.measured ? "" : "; nobody weighed it"}
        </span>
      </p>
      {mayLog && (
        <>
          <input
            name="massG"
            inputMode="decimal"
            aria-label={`grams of ${batch.name} put away`}
            defaultValue={batch.massG ? Math.round(batch.massG) : ""}
            className={`${FIELD} w-24`}
          />
          g
          <input name="place" placeholder="where" aria-label="where" className={`${FIELD} w-32`} />
          <Button type="submit" name="intent" value="put-away" look="act">
            Put away
          </Button>
        </>
      )}
      <Problems of={fetcher.data?.problems} />
    </OnceForm>
  );
}
