import { useFetcher } from "react-router";
import { Button } from "../ui/button";
import type { Column } from "./board";

const two = (n: number): string => String(n).padStart(2, "0");

/** When service is, who is on, and what is not to be had. */
export function DayForm({
  kept,
  people,
  columns,
  mayEdit,
}: {
  kept: {
    readonly serviceMin: number;
    readonly lastsMin: number;
    readonly cooks: readonly string[];
    readonly without: readonly string[];
    readonly atNight: boolean;
    readonly note: string;
  };
  people: readonly { id: string; name: string }[];
  columns: readonly Column[];
  mayEdit: boolean;
}) {
  const fetcher = useFetcher<{ problems: readonly { message: string }[] }>();
  const gear = columns.filter(c => c.kind !== "hands");
  return (
    <details className="rounded-xl border border-rule bg-enamel p-4">
      <summary className="cursor-pointer text-lg">Service, hands and gear</summary>
      <fetcher.Form method="post" className="mt-3">
        <fieldset disabled={!mayEdit} className="grid grid-cols-2 gap-3">
          <label className="text-sm text-faded">
            service at
            <input
              name="serviceMin"
              defaultValue={`${two(Math.floor(kept.serviceMin / 60))}:${two(kept.serviceMin % 60)}`}
              className="h-10 w-full rounded-md border border-rule px-2 text-ink"
            />
          </label>
          <label className="text-sm text-faded">
            lasts, min
            <input
              name="lastsMin"
              inputMode="numeric"
              defaultValue={kept.lastsMin}
              className="h-10 w-full rounded-md border border-rule px-2 text-ink"
            />
          </label>
          <fieldset className="col-span-2">
            <legend className="text-sm text-faded">Who is on</legend>
            {people.map(person => (
              <label key={person.id} className="mr-4 inline-flex items-center gap-2 py-1">
                <input
                  type="checkbox"
                  name="cooks"
                  value={person.id}
                  defaultChecked={kept.cooks.includes(person.id)}
                  className="size-4 accent-copper"
                />
                {person.name}
              </label>
            ))}
          </fieldset>
          <fieldset className="col-span-2">
            <legend className="text-sm text-faded">
              What is to be had (take the tick away from what is not)
            </legend>
            {gear.map(c => (
              <label key={c.id} className="mr-4 inline-flex items-center gap-2 py-1 text-sm">
                <input
                  type="checkbox"
                  name="there"
                  value={c.id}
                  defaultChecked={!kept.without.includes(c.id)}
                  className="size-4 accent-copper"
                />
                {c.name}
              </label>
            ))}
          </fieldset>
          <label className="col-span-2 inline-flex items-center gap-2">
            <input
              type="checkbox"
              name="atNight"
              defaultChecked={kept.atNight}
              className="size-4 accent-copper"
            />
            hands may be wanted at night too
          </label>
          <label className="col-span-2 text-sm text-faded">
            note for all
            <textarea
              name="note"
              rows={2}
              defaultValue={kept.note}
              className="w-full rounded-md border border-rule px-2 py-1 text-ink"
            />
          </label>
          <Button type="submit" name="intent" value="day">
            Plan with this
          </Button>
        </fieldset>
        {fetcher.data?.problems.map(p => (
          <p key={p.message} role="alert" className="mt-2 text-sm text-beet">
            ✕ {p.message}
          </p>
        ))}
      </fetcher.Form>
    </details>
  );
}
