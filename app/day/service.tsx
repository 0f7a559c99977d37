import { useEffect } from "react";
import { useFetcher, useRevalidator } from "react-router";
import { clockOf, spoken } from "~/core/day";
import { printNumber } from "~/core/ground/quantity";
import { useMay } from "../people/use-may";
import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import type { Route } from "./+types/service";
import { dayInWords, weekdayOf } from "./calendar-day";
import { DayTabs } from "./day-tabs";

export { action, loader } from "./service.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ params }) => [
  { title: `Service ${dayInWords(params.date)} · Hondaro` },
];

const ANEW_MS = 60_000;
const kg = (g: number): string => (g >= 1000 ? `${printNumber(g / 1000, 2)} kg` : `${printNumber(g, 0)} g`);

/** What is left of each sauce, how many guests that is, and when the next pot has to go on. */
export default function Service({ loaderData }: Route.ComponentProps) {
  const { date, sauces, problems, dueMin, midnightMin, lastsMin, nowMin, measures } = loaderData;
  const weekday = weekdayOf(date);
  const at = (min: number): string => clockOf(Math.round(min), { midnightMin }, weekday);
  const { revalidate } = useRevalidator();
  useEffect(() => {
    const again = setInterval(() => void revalidate(), ANEW_MS);
    return () => clearInterval(again);
  }, [revalidate]);
  const runs = nowMin >= dueMin && nowMin < dueMin + lastsMin;
  return (
    <main className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <DayTabs date={date} />
      <p className="mt-2 text-faded">
        Service {at(dueMin)} to {at(dueMin + lastsMin)}.{" "}
        {runs
          ? ""
          : nowMin < dueMin
            ? "It has not begun: this is how it begins."
            : "It is over: this is how it ended."}
      </p>
      {problems.map(problem => (
        <p key={problem} role="alert" className="mt-3 text-beet">
          ✕ {problem}
        </p>
      ))}
      {!sauces.length && !problems.length && (
        <p className="mt-6 text-faded">No sauce is on the menu of this day.</p>
      )}
      <ul className="mt-4 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {sauces.map(sauce => {
          const share = Math.min(1, sauce.madeG > 0 ? sauce.now.leftG / sauce.madeG : 0);
          const short = sauce.now.emptyMin !== null;
          return (
            <li
              key={sauce.formulaId}
              className={`rounded-xl border bg-enamel p-4 ${short ? "border-saffron" : "border-rule"}`}
            >
              <h2 className="text-lg leading-tight">{sauce.name}</h2>
              <div className="mt-2 flex items-end gap-4">
                <div
                  aria-hidden
                  className="relative h-20 w-14 shrink-0 overflow-hidden rounded-b-xl border-2 border-t-0 border-ink"
                >
                  <div
                    className="absolute inset-x-0 bottom-0 bg-broth"
                    style={{ height: `${100 * share}%` }}
                  />
                </div>
                <div>
                  <p className="font-display text-3xl leading-none tabular-nums">
                    {sauce.now.covers} <span className="text-base">covers</span>
                  </p>
                  <p className="mt-1 text-sm text-faded tabular-nums">
                    {kg(sauce.now.leftG)} of {kg(sauce.madeG)}, {printNumber(sauce.portionG, 0)} g each
                  </p>
                </div>
              </div>
              <p className={`mt-2 text-sm ${short ? "text-saffron-ink" : "text-faded"}`}>
                {short && sauce.now.emptyMin !== null && sauce.now.nextOnMin !== null
                  ? sauce.now.nextOnMin < nowMin
                    ? `Empty at ${at(sauce.now.emptyMin)} at this pace, and another pot takes longer than that: tell the pass.`
                    : `Empty at ${at(sauce.now.emptyMin)} at this pace. Another pot must be on by ${at(sauce.now.nextOnMin)}.`
                  : "Lasts to the end of service."}
                {!sauce.now.counted && " Nothing weighed yet: taken to go evenly, as the menu says."}
                {sauce.last &&
                  ` Last: ${kg(sauce.last.massG)}, ${spoken(Math.max(0, Math.round(nowMin - sauce.last.min)))} ago.`}
              </p>
              <Left formulaId={sauce.formulaId} gPerMl={sauce.gPerMl} measures={measures} />
            </li>
          );
        })}
      </ul>
    </main>
  );
}

function Left({
  formulaId,
  gPerMl,
  measures,
}: {
  formulaId: string;
  gPerMl: number;
  measures: readonly { id: string; name: string; holdsMl: number }[];
}) {
  const fetcher = useFetcher<{ problems: string[] }>();
  const mayLog = useMay("log");
  if (!mayLog) return null;
  return (
    <OnceForm fetcher={fetcher} className="mt-3 flex flex-wrap items-center gap-2">
      <input type="hidden" name="formulaId" value={formulaId} />
      <input
        name="left"
        inputMode="decimal"
        aria-label="What is left"
        placeholder="left"
        autoComplete="off"
        className="h-11 w-20 rounded-md border border-rule px-2 text-lg"
      />
      <select
        name="gPerUnit"
        aria-label="counted in"
        className="h-11 min-w-0 max-w-36 rounded-md border border-rule bg-enamel px-1"
      >
        <option value="1">g</option>
        <option value="1000">kg</option>
        {measures.map(m => (
          <option key={m.id} value={m.holdsMl * gPerMl}>
            × {m.name}
          </option>
        ))}
      </select>
      <Button type="submit">Note</Button>
      {fetcher.data?.problems.map(p => (
        <p key={p} role="alert" className="basis-full text-sm text-beet">
          ✕ {p}
        </p>
      ))}
    </OnceForm>
  );
}
