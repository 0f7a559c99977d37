import { Link } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import { dayOf } from "../text/format";
import { costInWords } from "../text/money";
import type { Route } from "./+types/losses";
import { LedgerHead } from "./ledger-head";

export { loader } from "./losses.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Losses · Ledger · Hondaro" }];

interface Sum {
  readonly n: number;
  readonly lostG: number;
  readonly cost: number;
  /** Without a weight or a price. */
  readonly unknown: number;
}
const NONE: Sum = { n: 0, lostG: 0, cost: 0, unknown: 0 };
const plus = (sum: Sum, one: { lostG: number | null; cost: number | null }): Sum => ({
  n: sum.n + 1,
  lostG: sum.lostG + (one.lostG ?? 0),
  cost: sum.cost + (one.cost ?? 0),
  unknown: sum.unknown + (one.cost === null ? 1 : 0),
});

const monthWords = (month: string): string =>
  new Intl.DateTimeFormat("en-GB", { month: "short", year: "numeric", timeZone: "UTC" }).format(
    new Date(`${month}-01T12:00:00Z`),
  );
const kg = (g: number): string => (g >= 1000 ? `${printNumber(g / 1000, 2)} kg` : `${printNumber(g)} g`);

/** What was lost, by cause and month. */
export default function Losses({
  loaderData: { incidents, wasted, currency, timeZone },
}: Route.ComponentProps) {
  const months = [...new Set([...incidents, ...wasted].map(i => i.month))].sort().reverse().slice(0, 12);
  const causes = [...new Set(incidents.map(i => i.cause))];
  const rows = [
    ...causes.map(cause => ({ cause, of: incidents.filter(i => i.cause === cause) })),
    ...(wasted.length ? [{ cause: "thrown away from the cold", of: wasted }] : []),
  ]
    .map(row => ({ ...row, all: row.of.reduce((sum, one) => plus(sum, one), NONE) }))
    .sort((a, b) => b.all.cost - a.all.cost || b.all.n - a.all.n);
  const total = rows.reduce((sum, row) => sum + row.all.cost, 0);
  const unknown = rows.reduce((sum, row) => sum + row.all.unknown, 0);
  return (
    <main className="mx-auto max-w-6xl px-4 py-8 sm:px-6">
      <LedgerHead title="Losses" />
      {rows.length === 0 ? (
        <p className="mt-8 max-w-prose text-faded">
          Nothing was logged as lost in a year. A pot that boils over, splits or burns is logged on the Stove;
          what is thrown away, in the Cold.
        </p>
      ) : (
        <>
          <p className="mt-1 max-w-prose">
            In a year <b>{costInWords(total, currency)}</b>, as purchased
            {unknown > 0 &&
              `, and ${printNumber(unknown)} ${unknown === 1 ? "loss" : "losses"} nobody weighed or that have no price`}
            .
          </p>
          <div className="mt-5 overflow-x-auto">
            <table className="w-full min-w-[40rem]">
              <caption className="sr-only">Losses by cause and month</caption>
              <thead>
                <tr className="border-b border-ink/70 text-left text-sm text-faded">
                  <th className="py-1 pr-3 font-normal">cause</th>
                  {months.map(month => (
                    <th key={month} className="pr-3 text-right font-normal">
                      {monthWords(month)}
                    </th>
                  ))}
                  <th className="text-right font-normal">all</th>
                </tr>
              </thead>
              <tbody>
                {rows.map(({ cause, of, all }) => (
                  <tr key={cause} className="border-b border-linen align-baseline">
                    <th scope="row" className="py-2 pr-3 text-left font-semibold">
                      {cause}
                    </th>
                    {months.map(month => (
                      <Cell
                        key={month}
                        sum={of.filter(one => one.month === month).reduce((s, one) => plus(s, one), NONE)}
                        currency={currency}
                      />
                    ))}
                    <Cell sum={all} currency={currency} bold />
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <section aria-label="One by one" className="mt-8">
            <h2 className="text-xl">One by one</h2>
            <ul className="mt-2 divide-y divide-linen border-y border-rule">
              {incidents.slice(0, 60).map((one, i) => (
                <li key={`${one.runId}${i}`} className="flex flex-wrap gap-x-4 py-2">
                  <span className="w-28 text-sm text-faded">{dayOf(new Date(one.at), timeZone)}</span>
                  <Link
                    to={`/batch/${one.runId}`}
                    className="min-w-48 font-semibold underline underline-offset-4 hover:text-copper"
                  >
                    {one.name}
                  </Link>
                  <span className="grow">{one.words}</span>
                  <span className="text-sm text-faded">{one.by.split(" ")[0]}</span>
                  <span className="w-24 text-right">
                    {one.cost === null ? "" : costInWords(one.cost, currency)}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        </>
      )}
    </main>
  );
}

function Cell({ sum, currency, bold = false }: { sum: Sum; currency: string; bold?: boolean }) {
  return (
    <td className={`pr-3 text-right last:pr-0 ${bold ? "font-bold" : ""}`}>
      {sum.n === 0 ? (
        <span className="text-faded">–</span>
      ) : (
        <>
          {sum.cost > 0 ? costInWords(sum.cost, currency) : sum.lostG > 0 ? "no price" : "not weighed"}
          <span className="block text-xs font-normal text-faded">
            {printNumber(sum.n)} ×{sum.lostG > 0 && `, ${kg(sum.lostG)}`}
          </span>
        </>
      )}
    </td>
  );
}
