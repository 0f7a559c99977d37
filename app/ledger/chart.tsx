import { Link, useFetcher } from "react-router";
import { CHARTED, RULES } from "~/core/control";
import { printNumber } from "~/core/ground/quantity";
import { useMay } from "../people/use-may";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import type { Route } from "./+types/chart";
import { ControlChartFigure } from "./control-chart";
import { LedgerHead } from "./ledger-head";

export { action, loader } from "./chart.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? "Chart"} · Ledger · Hondaro` },
];

const SPAN_WORDS: Readonly<Record<string, string>> = {
  "12": "12 weeks",
  "26": "half a year",
  "52": "a year",
  all: "all of them",
};

type Loaded = Route.ComponentProps["loaderData"];

/** Whether one figure of a sauce wanders, with its limits, and what its alarms came from. */
export default function ChartPage({ loaderData }: Route.ComponentProps) {
  const { name, formulaId, figure, figures, span, spans, series, said, ready, timeZone } = loaderData;
  const link = (to: { figure?: string; weeks?: string }): string =>
    `?${new URLSearchParams({ figure, weeks: span, ...to }).toString()}`;
  const odd = series.points.filter(p => p.alarms.length > 0 || p.cause !== null).reverse();
  return (
    <main className="mx-auto max-w-6xl px-4 py-8 sm:px-6">
      <LedgerHead title={name}>
        <Link
          to={`/ledger?sauce=${formulaId}`}
          className="ml-auto text-sm text-faded underline underline-offset-4 hover:text-copper"
        >
          Its batches
        </Link>
      </LedgerHead>
      <div className="mt-4 flex flex-wrap items-center justify-between gap-3">
        <nav aria-label="Figures" className="flex flex-wrap gap-1">
          {figures.map(({ id, measured }) => (
            <Link
              key={id}
              to={link({ figure: id })}
              aria-current={id === figure ? "page" : undefined}
              className={`rounded-md px-3 py-1.5 ${id === figure ? "bg-copper text-enamel" : measured ? "hover:bg-linen" : "text-faded hover:bg-linen"}`}
            >
              {CHARTED[id].label}
              {!measured && <span className="sr-only"> (nobody measured it)</span>}
            </Link>
          ))}
        </nav>
        <nav aria-label="How far back" className="flex flex-wrap gap-1 text-sm">
          {spans.map(each => (
            <Link
              key={each}
              to={link({ weeks: each })}
              aria-current={each === span ? "page" : undefined}
              className={`rounded-md px-2 py-1 ${each === span ? "bg-linen font-semibold" : "text-faded hover:bg-linen"}`}
            >
              {SPAN_WORDS[each]}
            </Link>
          ))}
        </nav>
      </div>
      <section aria-label="What it says" className="mt-4 rounded-2xl border border-rule bg-enamel p-5">
        <ul className="max-w-prose space-y-1">
          {said.map((words, i) => (
            <li key={words} className={i === 0 ? "text-lg font-semibold" : ""}>
              {series.drift?.drifting && words.includes("a batch") && words.startsWith("It ") ? (
                <span className="text-beet">▲ {words}</span>
              ) : (
                words
              )}
            </li>
          ))}
        </ul>
        {series.points.length > 1 && (
          <div className="mt-4">
            <ControlChartFigure series={series} figure={figure} timeZone={timeZone} />
            <p className="mt-1 text-xs text-faded">
              Solid: the middle of a version. Dashed: the limits of ordinary wobble. Dotted: what is wanted. ▲
              out of the ordinary, ◇ its cause is known: it sets no limits. A press on a point opens its
              batch.
            </p>
          </div>
        )}
      </section>
      {odd.length > 0 && (
        <section aria-label="Out of the ordinary" className="mt-6">
          <h2 className="text-xl">Out of the ordinary</h2>
          <p className="max-w-prose text-sm text-faded">
            Say what it came from: the batch stays on the chart, and its limits are drawn without it.
          </p>
          <ul className="mt-2 divide-y divide-rule border-y border-rule">
            {odd.map(point => (
              <Odd key={point.runId} point={point} figure={figure} timeZone={timeZone} />
            ))}
          </ul>
        </section>
      )}
      {ready && (
        <section aria-label="Ready to be the standard" className="mt-6">
          <h2 className="text-xl">Ready to be the standard</h2>
          <p className="max-w-prose">
            Its newest version stands at <b>{printNumber(ready.score)} of 100</b>
            {ready.ready
              ? ": enough, and steady."
              : `; ${printNumber(ready.missing)} more good ${ready.missing === 1 ? "batch" : "batches"} in a row would make it ready (90).`}
          </p>
          <ul className="mt-1 text-sm text-faded">
            {ready.attributes.map(a => (
              <li key={a.name}>
                {a.name}: {a.inside} of {a.n} inside
                {a.alarm && ", the last one out of the ordinary"}
              </li>
            ))}
          </ul>
        </section>
      )}
      <details className="mt-6">
        <summary className="cursor-pointer text-faded">The chart as a table</summary>
        <table className="mt-2 w-full max-w-3xl text-sm">
          <thead>
            <tr className="border-b border-ink/70 text-left text-faded">
              <th className="py-1 pr-3 font-normal">finished</th>
              <th className="pr-3 font-normal">version</th>
              <th className="pr-3 font-normal">cook</th>
              <th className="pr-3 text-right font-normal">{CHARTED[figure].label}</th>
              <th className="font-normal">what</th>
            </tr>
          </thead>
          <tbody>
            {[...series.points].reverse().map(point => (
              <tr key={point.runId} className="border-b border-linen">
                <td className="py-1 pr-3">
                  <Link to={`/batch/${point.runId}`} className="underline underline-offset-4">
                    {dayOf(point.at, timeZone)}
                  </Link>
                </td>
                <td className="pr-3">{point.version}</td>
                <td className="pr-3">{point.by}</td>
                <td className="pr-3 text-right">{printNumber(point.value, CHARTED[figure].decimals)}</td>
                <td>{point.cause ?? point.alarms.map(rule => RULES[rule]).join("; ")}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </main>
  );
}

function Odd({
  point,
  figure,
  timeZone,
}: {
  point: Loaded["series"]["points"][number];
  figure: Loaded["figure"];
  timeZone: string;
}) {
  const fetcher = useFetcher<{ problem: string | null }>();
  const mayEdit = useMay("edit");
  const { label, unit, decimals } = CHARTED[figure];
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2">
      <span className="min-w-64 grow">
        <Link
          to={`/batch/${point.runId}`}
          className="font-semibold underline underline-offset-4 hover:text-copper"
        >
          {dayOf(point.at, timeZone)}
        </Link>
        , {point.by.split(" ")[0]}: {label} {printNumber(point.value, decimals)} {unit}
        <span className={`block text-sm ${point.cause === null ? "text-beet" : "text-faded"}`}>
          {point.cause === null ? "▲ " : "◇ "}
          {point.alarms.map(rule => RULES[rule]).join("; ") || "set aside"}
        </span>
      </span>
      {mayEdit ? (
        <fetcher.Form method="post" className="flex flex-wrap items-center gap-2">
          <input type="hidden" name="run" value={point.runId} />
          <input type="hidden" name="figure" value={figure} />
          <input
            name="words"
            defaultValue={point.cause ?? ""}
            placeholder="what it came from"
            aria-label={`what ${dayOf(point.at, timeZone)} came from`}
            maxLength={200}
            className="h-11 w-64 rounded-md border border-rule bg-enamel px-2"
          />
          <Button type="submit">Note the cause</Button>
        </fetcher.Form>
      ) : (
        point.cause !== null && <span>{point.cause}</span>
      )}
      {fetcher.data?.problem && (
        <p role="alert" className="basis-full text-sm text-beet">
          ✕ {fetcher.data.problem}
        </p>
      )}
    </li>
  );
}
