import { useRef } from "react";
import { Form, Link, useSubmit } from "react-router";
import type { Verdict } from "~/core/laws/cooling";
import { printDuration, printNumber, s } from "~/core/ground/quantity";
import { clockTime, dayOf, deviationText } from "../text/format";
import { costInWords } from "../text/money";
import { Button } from "../ui/button";
import type { Route } from "./+types/ledger";
import { Groups } from "./groups";
import { LedgerHead } from "./ledger-head";
import { Rack } from "./rack";

export { loader } from "./ledger.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Ledger · Hondaro" }];

const FIELD = "h-11 max-w-36 rounded-md border border-rule bg-enamel px-2";
const SORTS = [
  ["newest", "newest first"],
  ["oldest", "oldest first"],
  ["least yield", "least yield first"],
  ["most yield", "most yield first"],
  ["slowest", "slowest first"],
] as const;
const GROUPS = [
  ["", "one by one"],
  ["sauce", "by sauce"],
  ["cook", "by cook"],
  ["burner", "by burner"],
  ["month", "by month"],
] as const;

type Loaded = Route.ComponentProps["loaderData"];

/** Every batch, planned beside weighed. */
export default function Ledger({ loaderData }: Route.ComponentProps) {
  const { said, rows, next, first, group, groups, timeZone, currency } = loaderData;
  const query = new URLSearchParams(said).toString();
  return (
    <main className="mx-auto max-w-7xl px-4 py-8 sm:px-6">
      <LedgerHead title="Ledger">
        <a
          href={`/batches.csv${query ? `?${query}` : ""}`}
          download
          className="ml-auto text-sm text-faded underline underline-offset-4 hover:text-copper"
        >
          These batches as a table
        </a>
      </LedgerHead>
      <Asked loaded={loaderData} />
      {group ? (
        <Groups rows={groups} group={group} said={said} currency={currency} />
      ) : rows.length === 0 ? (
        <p className="mt-8 max-w-prose text-faded">
          {Object.keys(said).length
            ? "No batch is like that. Ask for less."
            : "Nothing was finished yet. What is cooked on the Stove to its end stands here, planned beside weighed."}
        </p>
      ) : (
        <>
          {first && (
            <Rack
              batches={[...rows].reverse().map(row => ({
                runId: row.runId,
                name: row.name,
                day: dayOf(new Date(row.finishedAt), timeZone),
                yieldOff: row.yieldOff,
                incidents: row.incidents,
              }))}
            />
          )}
          <Rows loaded={loaderData} />
          <nav aria-label="Pages" className="mt-4 flex gap-5">
            {!first && <Link to={`?${query}`}>↑ To the first page</Link>}
            {next && (
              <Link to={`?${new URLSearchParams({ ...said, after: next }).toString()}`}>The next ones →</Link>
            )}
          </nav>
        </>
      )}
    </main>
  );
}

function Asked({ loaded: { said, sauces, cooks, burners, sort, group } }: { loaded: Loaded }) {
  const submit = useSubmit();
  const form = useRef<HTMLFormElement>(null);
  const choice = (name: string, label: string, all: string, of: readonly { id: string; name: string }[]) => (
    <select name={name} aria-label={label} defaultValue={said[name] ?? ""} className={FIELD}>
      <option value="">{all}</option>
      {of.map(({ id, name: words }) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
  return (
    <Form
      ref={form}
      method="get"
      key={new URLSearchParams(said).toString()}
      aria-label="Which batches"
      onChange={() => void submit(form.current)}
      className="mt-4 flex flex-wrap items-center gap-2"
    >
      {choice("sauce", "sauce", "every sauce", sauces)}
      {choice("cook", "cook", "every cook", cooks)}
      {choice("burner", "burner", "every burner", burners)}
      <select name="only" aria-label="which" defaultValue={said.only ?? ""} className={FIELD}>
        <option value="">all of them</option>
        <option value="incidents">something went wrong</option>
        <option value="off plan">a tenth off plan, or more</option>
      </select>
      <label className="flex items-center gap-1 text-sm text-faded">
        from
        <input type="date" name="from" defaultValue={said.from ?? ""} className={FIELD} />
      </label>
      <label className="flex items-center gap-1 text-sm text-faded">
        to
        <input type="date" name="to" defaultValue={said.to ?? ""} className={FIELD} />
      </label>
      <select name="by" aria-label="in groups" defaultValue={group ?? ""} className={FIELD}>
        {GROUPS.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
      {!group && (
        <select name="sort" aria-label="in which order" defaultValue={sort} className={FIELD}>
          {SORTS.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      )}
      <noscript>
        <Button type="submit">Look</Button>
      </noscript>
      {Object.keys(said).length > 0 && (
        <Link to="?" className="text-sm text-faded underline underline-offset-4 hover:text-copper">
          everything
        </Link>
      )}
    </Form>
  );
}

const COOLED: Readonly<Record<Verdict, string>> = {
  pass: "inside its limits",
  "pass-marginal": "only just inside",
  fail: "✕ outside its limits",
  pending: "still cooling",
  unknown: "not read often enough",
};

const kg = (g: number | null): string => (g === null ? "–" : `${printNumber(g / 1000, 2)}`);

function Rows({ loaded: { rows, cooling, timeZone, currency } }: { loaded: Loaded }) {
  return (
    <div className="mt-5 overflow-x-auto">
      <table className="w-full min-w-[60rem]">
        <caption className="sr-only">Batches, planned beside weighed</caption>
        <thead>
          <tr className="border-b border-ink/70 text-left text-sm text-faded">
            <th className="py-1 pr-3 font-normal">finished</th>
            <th className="pr-3 font-normal">sauce</th>
            <th className="pr-3 font-normal">cook, burner</th>
            <th className="pr-3 text-right font-normal">planned → weighed, kg</th>
            <th className="pr-3 text-right font-normal">off</th>
            <th className="pr-3 text-right font-normal">time</th>
            <th className="pr-3 text-right font-normal">salt %</th>
            <th className="pr-3 text-right font-normal">body</th>
            <th className="pr-3 text-right font-normal">°Bx · pH</th>
            <th className="pr-3 text-right font-normal">tasted</th>
            <th className="pr-3 text-right font-normal">cost</th>
            <th className="font-normal">cooled · went wrong</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(row => {
            const log = cooling[row.runId];
            const at = new Date(row.finishedAt);
            return (
              <tr key={row.runId} className="border-b border-linen align-baseline hover:bg-linen/60">
                <td className="py-2 pr-3 text-sm whitespace-nowrap">
                  {dayOf(at, timeZone)} <span className="text-faded">{clockTime(at, timeZone)}</span>
                </td>
                <th scope="row" className="pr-3 text-left font-semibold">
                  <Link to={`/batch/${row.runId}`} className="underline underline-offset-4 hover:text-copper">
                    {row.name}
                  </Link>{" "}
                  <span className="text-sm font-normal text-faded">v{row.version}</span>
                </th>
                <td className="pr-3 text-sm">
                  {row.by.split(" ")[0]}
                  <span className="text-faded">{row.burner && `, ${row.burner}`}</span>
                </td>
                <td className="pr-3 text-right whitespace-nowrap">
                  {kg(row.plannedG)} → <b>{kg(row.actualG)}</b>
                </td>
                <td className="pr-3 text-right whitespace-nowrap">
                  {row.yieldOff === null ? "" : deviationText(row.yieldOff)}
                </td>
                <td className="pr-3 text-right whitespace-nowrap">
                  {row.actualMin === null ? "–" : printDuration(s(60 * row.actualMin))}
                  <span className="text-sm text-faded">
                    {row.timeOff === null ? "" : ` ${deviationText(row.timeOff)}`}
                  </span>
                </td>
                <td className="pr-3 text-right">{row.salt === null ? "" : printNumber(row.salt, 2)}</td>
                <td className="pr-3 text-right">{row.body === null ? "" : printNumber(row.body)}</td>
                <td className="pr-3 text-right whitespace-nowrap">
                  {[
                    row.brix === null ? null : printNumber(row.brix, 1),
                    row.ph === null ? null : printNumber(row.ph, 2),
                  ]
                    .map(x => x ?? "–")
                    .join(" · ")
                    .replace("– · –", "")}
                </td>
                <td className="pr-3 text-right">{row.score === null ? "" : printNumber(row.score)}</td>
                <td className="pr-3 text-right">{row.cost === null ? "" : printNumber(row.cost, 2)}</td>
                <td className="text-sm">
                  {log && (
                    <Link to={`/cold/${log.id}`} className="underline underline-offset-4 hover:text-copper">
                      {COOLED[log.verdict]}
                    </Link>
                  )}
                  {row.incidents > 0 && (
                    <span className="block text-beet">
                      ▲ {row.incidents} {row.incidents === 1 ? "incident" : "incidents"}
                      {row.lostCost !== null && `, ${costInWords(row.lostCost, currency)}`}
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
