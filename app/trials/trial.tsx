import { Form, Link, useNavigation } from "react-router";
import { type TrialRow, letterOf } from "~/core/trial";
import { printNumber } from "~/core/ground/quantity";
import { ChangeList } from "../bench/versions/change-list";
import { dayOf } from "../text/format";
import { Button, buttonClass } from "../ui/button";
import { useKeptReply } from "../ui/use-kept-reply";
import type { Route } from "./+types/trial";
import { TrialPicture } from "./trial-picture";

export { action, loader } from "./trial.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `${(loaderData as { trial?: { name: string } } | undefined)?.trial?.name ?? "Trial"} · Trials · Hondaro`,
  },
];

/** So many of its last batches are named. */
const SHOWN = 3;

/** A trial: its variants, what is foreseen, what was cooked, what was decided. */
export default function TrialPage({ loaderData, actionData }: Route.ComponentProps) {
  const { trial, variants, rows, tastings, mayDecide, timeZone } = loaderData;
  const reply = useKeptReply(actionData as { problem: string; typed: string } | undefined);
  const cooked = variants.some(v => v.batches.length > 0);
  const differing = Math.max(0, ...variants.map(v => v.changes.length));
  const [a, b] = variants;
  return (
    <main className="mx-auto max-w-6xl px-4 py-8 sm:px-6">
      <p>
        <Link to="/ledger/trials" className="text-faded hover:text-copper">
          ← Trials
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">{trial.name}</h1>
      <p className="max-w-prose">
        {trial.formulaName}: <b>{trial.difference}</b>
        <span className="text-faded">
          {" "}
          · {trial.by}, {dayOf(new Date(trial.at), timeZone)}
        </span>
      </p>
      {trial.decidedAt && (
        <p className="mt-3 max-w-prose rounded-lg border border-sorrel p-3">
          ✓ {trial.decision}{" "}
          <span className="text-faded">
            {trial.adopted
              ? `Version ${variants.find(v => v.versionId === trial.adopted)?.number ?? ""} was taken up.`
              : "None was taken up."}
          </span>
        </p>
      )}
      <ul className="mt-5 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {variants.map((variant, i) => (
          <li key={variant.versionId} className="rounded-xl border border-rule bg-enamel p-4">
            <h2 className="text-xl">
              {letterOf(i)}: version {variant.number}
            </h2>
            <p className="text-sm text-faded">{variant.reason ?? variant.state}</p>
            <p className="mt-1">
              {variant.batches.length === 0 ? (
                <span className="text-saffron-ink">▲ not cooked yet</span>
              ) : (
                <>
                  {variant.batches.length === 1 ? "one batch" : `${variant.batches.length} batches`}:{" "}
                  {variant.batches.length > SHOWN && "… "}
                  {variant.batches.slice(-SHOWN).map(({ runId, at }, j) => (
                    <span key={runId}>
                      {j > 0 && ", "}
                      <Link to={`/batch/${runId}`} className="underline underline-offset-2 hover:text-copper">
                        {dayOf(new Date(at), timeZone)}
                      </Link>
                    </span>
                  ))}
                </>
              )}
            </p>
            <p className="mt-2">
              <Link to={`/book/${variant.versionId}`} className={buttonClass("plain")}>
                Its card
              </Link>
            </p>
          </li>
        ))}
      </ul>
      <div className="mt-8 grid gap-10 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <section aria-label="Side by side" className="min-w-0">
          <h2 className="text-xl">Side by side</h2>
          <p className="text-sm text-faded">
            {cooked
              ? "A letter is the middle of what was cooked, a small dot one batch, a ring what the sums foresee."
              : "Nothing is cooked yet: rings are what the sums foresee."}
          </p>
          <div className="mt-3">
            <TrialPicture rows={rows} />
          </div>
          <TrialTable rows={rows} />
        </section>
        <div className="space-y-8">
          <section aria-label="What differs">
            <h2 className="text-xl">What differs</h2>
            {differing > 1 && (
              <p className="mt-1 rounded-lg bg-saffron-wash p-3 text-saffron-ink">
                ▲ {printNumber(differing)} things differ. What is found may come of any of them.
              </p>
            )}
            {variants.map(
              (variant, i) =>
                i > 0 && (
                  <div key={variant.versionId} className="mt-2">
                    <h3 className="font-sans font-semibold">{letterOf(i)} beside A</h3>
                    <ChangeList changes={variant.changes} />
                  </div>
                ),
            )}
          </section>
          <section aria-label="Tasted">
            <h2 className="text-xl">Tasted</h2>
            <ul>
              {tastings.map(t => (
                <li key={t.id} className="py-1">
                  <Link
                    to={`/tastings/${t.id}`}
                    className="font-semibold underline underline-offset-4 hover:text-copper"
                  >
                    {t.name}
                  </Link>
                  <span className="block text-sm text-faded">
                    {t.closed ? t.decision || "closed" : "open: answers are sealed"}
                  </span>
                </li>
              ))}
            </ul>
            {a && b && (
              <Link
                to={`/tastings?a=${a.versionId}&b=${b.versionId}`}
                className="text-sm underline underline-offset-4 hover:text-copper"
              >
                Taste {letterOf(0)} against {letterOf(1)} blind
              </Link>
            )}
          </section>
          {mayDecide && (
            <Decide
              key={reply ? "refused" : "new"}
              variants={variants}
              problem={reply?.problem ?? null}
              typed={reply?.typed ?? trial.decision}
              adopted={trial.adopted}
            />
          )}
        </div>
      </div>
    </main>
  );
}

function Decide({
  variants,
  problem,
  typed,
  adopted,
}: {
  variants: Route.ComponentProps["loaderData"]["variants"];
  problem: string | null;
  typed: string;
  adopted: string | null;
}) {
  const busy = useNavigation().state === "submitting";
  return (
    <Form method="post" className="rounded-xl border border-rule bg-enamel p-4">
      <h2 className="text-xl">Decide</h2>
      <fieldset className="mt-2">
        <legend className="text-sm text-faded">taken up as the newest version</legend>
        {variants.map((variant, i) => (
          <label key={variant.versionId} className="flex min-h-11 items-center gap-3">
            <input
              type="radio"
              name="adopted"
              value={variant.versionId}
              defaultChecked={adopted === variant.versionId}
              className="size-5"
            />
            {letterOf(i)}, version {variant.number}
          </label>
        ))}
        <label className="flex min-h-11 items-center gap-3">
          <input type="radio" name="adopted" value="" defaultChecked={adopted === null} className="size-5" />
          none: it stays as it is
        </label>
      </fieldset>
      <label className="mt-2 block text-sm text-faded">
        what, and why
        <textarea
          name="decision"
          rows={3}
          maxLength={300}
          defaultValue={typed}
          className="mt-0.5 block w-full rounded-md border border-rule bg-enamel p-2 text-base text-ink"
        />
      </label>
      {problem && (
        <p role="alert" className="mt-2 text-beet">
          ✕ {problem}
        </p>
      )}
      <Button type="submit" look="act" className="mt-3" disabled={busy}>
        Write it down
      </Button>
    </Form>
  );
}

function TrialTable({ rows }: { rows: readonly TrialRow[] }) {
  const count = rows[0]?.variants.length ?? 0;
  const cell = (value: number | null | undefined, decimals: number) =>
    value == null ? "–" : printNumber(value, decimals);
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full text-sm">
        <caption className="sr-only">Foreseen and cooked, variant by variant</caption>
        <thead>
          <tr className="border-b border-ink/70 text-right text-faded">
            <th className="text-left font-normal">figure</th>
            {Array.from({ length: count }, (_, i) => (
              <th key={i} className="pl-3 font-normal">
                {letterOf(i)}, sums
              </th>
            ))}
            {Array.from({ length: count }, (_, i) => (
              <th key={i} className="pl-3 font-normal">
                {letterOf(i)}, cooked
              </th>
            ))}
            <th className="pl-3 font-normal">told apart</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(row => (
            <tr key={row.label} className="border-b border-linen text-right">
              <th scope="row" className="py-1.5 text-left font-semibold">
                {row.label} <span className="font-normal text-faded">{row.unit}</span>
              </th>
              {row.variants.map((v, i) => (
                <td key={i} className="pl-3 text-faded">
                  {cell(v.foreseen, row.decimals)}
                </td>
              ))}
              {row.variants.map((v, i) => (
                <td key={i} className="pl-3 font-semibold">
                  {cell(v.cooked?.value, row.decimals)}
                  {v.cooked && v.cooked.n > 1 && (
                    <span className="font-normal text-faded"> of {v.cooked.n}</span>
                  )}
                </td>
              ))}
              <td className="pl-3 text-faded">
                {row.apart === null ? "too few batches" : row.apart ? "yes" : "no"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
