import { useFetcher } from "react-router";
import { clockTime, dayOf } from "../text/format";
import { Button } from "../ui/button";
import type { Column } from "./board";

/** When nobody is there, or some gear is not: out of a calendar, one at a time to be taken off again. */
export function ClosedTimes({
  closed,
  timeZone,
  columns,
  mayEdit,
}: {
  closed: readonly { id: string; resource: string; startsAt: Date; endsAt: Date; why: string }[];
  timeZone: string;
  columns: readonly Column[];
  mayEdit: boolean;
}) {
  const fetcher = useFetcher<{ problems: readonly { message: string }[] }>();
  const gear = columns.filter(c => c.kind !== "hands");
  if (!mayEdit && !closed.length) return null;
  return (
    <details className="rounded-xl border border-rule bg-enamel p-4" open={closed.length > 0}>
      <summary className="cursor-pointer text-lg">Closed times</summary>
      <ul className="mt-2 text-sm">
        {closed.map(time => (
          <li key={time.id} className="flex items-baseline gap-2 border-b border-linen py-1">
            <span className="grow">
              <strong>{time.why}</strong>, {gear.find(c => c.id === time.resource)?.name ?? "everybody"}:{" "}
              {dayOf(new Date(time.startsAt), timeZone)} {clockTime(new Date(time.startsAt), timeZone)} to{" "}
              {clockTime(new Date(time.endsAt), timeZone)}
            </span>
            {mayEdit && (
              <fetcher.Form method="post">
                <input type="hidden" name="id" value={time.id} />
                <Button type="submit" name="intent" value="open" look="quiet">
                  Take off
                </Button>
              </fetcher.Form>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && (
        <fetcher.Form
          method="post"
          encType="multipart/form-data"
          className="mt-2 flex flex-wrap items-center gap-2"
        >
          <input
            type="file"
            name="file"
            accept=".ics,text/calendar"
            aria-label="calendar with closed times"
            className="w-full text-sm"
          />
          <select
            name="resource"
            aria-label="who or what is away"
            className="h-10 max-w-40 rounded-md border border-rule bg-enamel px-2"
          >
            <option value="everybody">everybody</option>
            {gear.map(c => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
          </select>
          <Button type="submit" name="intent" value="closed">
            Take it in
          </Button>
        </fetcher.Form>
      )}
      {fetcher.data?.problems.map(p => (
        <p key={p.message} role="alert" className="mt-1 text-sm text-beet">
          ✕ {p.message}
        </p>
      ))}
    </details>
  );
}
