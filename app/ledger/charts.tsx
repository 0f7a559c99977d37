import { Link } from "react-router";
import { CHARTED } from "~/core/control";
import { printNumber } from "~/core/ground/quantity";
import type { Route } from "./+types/charts";
import { LedgerHead } from "./ledger-head";

export { loader } from "./charts.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Charts · Ledger · Hondaro" }];

const STATES = {
  drifts: { mark: "▲", words: "drifts", className: "text-beet" },
  odd: { mark: "▲", words: "out of the ordinary", className: "text-saffron-ink" },
  quiet: { mark: "✓", words: "quiet", className: "text-faded" },
} as const;

/** What wanders, sauce by sauce. */
export default function Charts({ loaderData: { sauces, weeks } }: Route.ComponentProps) {
  return (
    <main className="mx-auto max-w-6xl px-4 py-8 sm:px-6">
      <LedgerHead title="Charts" />
      <p className="mt-1 max-w-prose text-faded">
        The last {weeks} weeks, batch by batch. What drifts stands first: it is seen here before a guest
        tastes it.
      </p>
      {sauces.length === 0 && (
        <p className="mt-8 text-faded">Nothing was finished yet: a chart begins with the second batch.</p>
      )}
      <ul className="mt-6 divide-y divide-rule border-y border-rule">
        {sauces.map(sauce => (
          <li key={sauce.id} className="grid gap-x-6 gap-y-2 py-4 md:grid-cols-[16rem_minmax(0,1fr)]">
            <div>
              <Link
                to={`/ledger/charts/${sauce.id}`}
                className="text-lg font-semibold underline underline-offset-4 hover:text-copper"
              >
                {sauce.name}
              </Link>
              <p className="text-sm text-faded">
                {printNumber(sauce.batches)} {sauce.batches === 1 ? "batch" : "batches"}
              </p>
            </div>
            <ul className="flex flex-wrap gap-x-6 gap-y-3">
              {sauce.figures.map(({ figure, state, values, band, said }) => {
                const { mark, words, className } = STATES[state];
                return (
                  <li key={figure}>
                    <Link
                      to={`/ledger/charts/${sauce.id}?figure=${figure}`}
                      title={said.join(" ")}
                      className="block hover:opacity-70"
                    >
                      <Spark values={values} band={band} />
                      <span className="text-sm">{CHARTED[figure].label}</span>{" "}
                      <span className={`text-sm ${className}`}>
                        {mark} {words}
                      </span>
                    </Link>
                  </li>
                );
              })}
            </ul>
          </li>
        ))}
      </ul>
    </main>
  );
}

const WIDTH = 132;
const HEIGHT = 34;
const PAD = 3;

/** The values as a small line in what is wanted of them. */
function Spark({
  values,
  band,
}: {
  values: readonly number[];
  band: { readonly low: number | null; readonly high: number | null } | null;
}) {
  const all = [...values, ...(band ? [band.low, band.high] : [])].filter((v): v is number => v !== null);
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const y = (v: number) => HEIGHT - PAD - ((v - least) / Math.max(1e-9, most - least)) * (HEIGHT - 2 * PAD);
  const x = (i: number) => PAD + (i / Math.max(1, values.length - 1)) * (WIDTH - 2 * PAD);
  const last = values.at(-1) ?? 0;
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden="true">
      {band && band.low !== null && band.high !== null && (
        <rect x={0} y={y(band.high)} width={WIDTH} height={y(band.low) - y(band.high)} fill="#ede5d6" />
      )}
      <path
        d={values.map((v, i) => `${i ? "L" : "M"}${x(i)},${y(v)}`).join("")}
        fill="none"
        stroke="#4a2a12"
        strokeWidth={1.5}
      />
      <circle cx={x(values.length - 1)} cy={y(last)} r={3} fill="#a9502a" />
    </svg>
  );
}
