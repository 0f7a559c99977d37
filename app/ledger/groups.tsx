import { Link } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import { deviationText } from "../text/format";
import { costInWords } from "../text/money";

interface GroupRow {
  readonly key: string;
  readonly name: string;
  readonly batches: number;
  readonly weighed: number;
  readonly yieldOff: number | null;
  readonly yieldSd: number | null;
  readonly timeOff: number | null;
  readonly saltOff: number | null;
  readonly score: number | null;
  readonly incidents: number;
  readonly lostCost: number | null;
}

/** How a group is asked for one by one. */
const NAMES = { sauce: "sauce", cook: "cook", burner: "burner" } as const;

const lastOf = (month: string): string => {
  const [year = 0, number = 1] = month.split("-").map(Number);
  return new Date(Date.UTC(year, number, 0)).toISOString().slice(0, 10);
};

/** Batches summed up by what is asked. */
export function Groups({
  rows,
  group,
  said,
  currency,
}: {
  rows: readonly GroupRow[];
  group: "sauce" | "cook" | "burner" | "month";
  said: Readonly<Record<string, string>>;
  currency: string;
}) {
  const { by: _by, ...rest } = said;
  const to = (key: string): string =>
    `?${new URLSearchParams(
      group === "month" ? { ...rest, from: `${key}-01`, to: lastOf(key) } : { ...rest, [NAMES[group]]: key },
    ).toString()}`;
  return (
    <div className="mt-6 overflow-x-auto">
      <table className="w-full min-w-[48rem]">
        <caption className="sr-only">Batches by {group}</caption>
        <thead>
          <tr className="border-b border-ink/70 text-left text-sm text-faded">
            <th className="py-1 pr-3 font-normal">{group}</th>
            <th className="pr-3 text-right font-normal">batches</th>
            <th className="pr-3 text-right font-normal">yield against plan</th>
            <th className="pr-3 text-right font-normal">time against plan</th>
            <th className="pr-3 text-right font-normal">salt against plan</th>
            <th className="pr-3 text-right font-normal">tasted</th>
            <th className="pr-3 text-right font-normal">went wrong</th>
            <th className="text-right font-normal">lost</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(row => (
            <tr key={row.key} className="border-b border-linen hover:bg-linen/60">
              <th scope="row" className="py-2 pr-3 text-left font-semibold">
                <Link to={to(row.key)} className="underline underline-offset-4 hover:text-copper">
                  {row.name}
                </Link>
                {group === "sauce" && (
                  <Link
                    to={`/ledger/charts/${row.key}`}
                    className="ml-3 text-sm font-normal text-faded underline underline-offset-4 hover:text-copper"
                  >
                    chart
                  </Link>
                )}
              </th>
              <td className="pr-3 text-right">
                {printNumber(row.batches)}
                {row.weighed < row.batches && (
                  <span className="text-sm text-faded"> ({printNumber(row.weighed)} weighed)</span>
                )}
              </td>
              <td className="pr-3 text-right">
                {row.yieldOff === null ? "–" : deviationText(row.yieldOff)}
                {row.yieldSd !== null && (
                  <span className="text-sm text-faded"> ± {printNumber(100 * row.yieldSd, 1)}</span>
                )}
              </td>
              <td className="pr-3 text-right">{row.timeOff === null ? "–" : deviationText(row.timeOff)}</td>
              <td className="pr-3 text-right">{row.saltOff === null ? "–" : deviationText(row.saltOff)}</td>
              <td className="pr-3 text-right">{row.score === null ? "–" : printNumber(row.score, 1)}</td>
              <td className={`pr-3 text-right ${row.incidents > 0 ? "text-beet" : ""}`}>
                {row.incidents > 0 ? `▲ ${printNumber(row.incidents)}` : "–"}
              </td>
              <td className="text-right">
                {row.lostCost === null ? "–" : costInWords(row.lostCost, currency)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length === 0 && <p className="mt-4 text-faded">No batch is like that. Ask for less.</p>}
    </div>
  );
}
