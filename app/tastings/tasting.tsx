import { useEffect } from "react";
import { Form, Link, useRevalidator } from "react-router";
import { KINDS } from "~/core/tasting";
import { printNumber } from "~/core/ground/quantity";
import { EditForm } from "../people/edit-form";
import { useMay } from "../people/use-may";
import { clockTime, dayOf } from "../text/format";
import { Button } from "../ui/button";
import { useKeptReply } from "../ui/use-kept-reply";
import type { Route } from "./+types/tasting";

export { action, loader } from "./tasting.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.tasting.name ?? "Tasting"} · Hondaro` },
];

const ANEW_MS = 4000;

/** One tasting: its code while it is open, what it says once it is closed. */
export default function TastingPage({ loaderData, actionData }: Route.ComponentProps) {
  const { tasting, names, counts, open, address, qr, told, problem, seats, timeZone } = loaderData;
  const mayEdit = useMay("edit");
  const reply = useKeptReply(actionData);
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (!open) return;
    const again = setInterval(() => void revalidate(), ANEW_MS);
    return () => clearInterval(again);
  }, [open, revalidate]);
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 sm:px-6">
      <p className="print:hidden">
        <Link to="/tastings" className="text-faded hover:text-copper">
          ← Tastings
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">{tasting.name}</h1>
      <p className="text-faded">
        {KINDS[tasting.kind].label}: {names.join(" · ")}. {dayOf(new Date(tasting.at), timeZone)}
        {tasting.demo && " · DEMO, invented"}
      </p>
      {told && (
        <section aria-label="What it says" className="mt-5 rounded-2xl border border-rule bg-enamel p-6">
          <p className={`font-display text-2xl font-semibold ${told.shown ? "text-sorrel" : ""}`}>
            {told.shown ? "✓ " : "○ "}
            {told.verdict}
          </p>
          <ul className="mt-3 max-w-prose list-disc space-y-1 pl-5">
            {told.more.map(words => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <p className="mt-3 text-xs text-faded">
            Exact for independent answers, one a taster. Temperature, order and salt of the cups can still
            lead a panel.
          </p>
        </section>
      )}
      {problem && (
        <p role="alert" className="mt-5 text-beet">
          ✕ {problem}
        </p>
      )}
      {tasting.closedAt ? (
        <EditForm className="mt-5 flex flex-wrap items-end gap-3 print:hidden">
          <label className="min-w-72 grow text-sm text-faded">
            What was decided, and why
            <input
              name="decision"
              defaultValue={tasting.decision}
              maxLength={300}
              className="mt-0.5 block h-11 w-full rounded-md border border-rule bg-enamel px-2 text-base text-ink"
            />
          </label>
          <Button type="submit">Note it</Button>
          {reply?.problem && (
            <p role="alert" className="basis-full text-beet">
              ✕ {reply.problem}
            </p>
          )}
        </EditForm>
      ) : (
        <section
          aria-label="Open"
          className="mt-5 flex flex-wrap items-center gap-8 rounded-2xl border border-rule bg-enamel p-6"
        >
          {qr && (
            <svg
              viewBox={`-2 -2 ${qr.size + 4} ${qr.size + 4}`}
              className="size-40"
              role="img"
              aria-label={`Code that opens ${address}`}
            >
              <path d={qr.path} fill="#231f2b" />
            </svg>
          )}
          <div className="grow">
            <p className="text-sm text-faded">Tasters open this on their phones, without an account:</p>
            <p className="font-display text-4xl font-semibold tracking-widest">{tasting.code}</p>
            <p className="text-sm text-faded">
              {address} · good until {clockTime(new Date(tasting.codeUntil), timeZone)}
            </p>
            <p className="mt-3 text-xl" role="status">
              <b>{printNumber(counts.answered)}</b> of {printNumber(seats.length)} have answered
              {counts.taken > counts.answered &&
                `, ${printNumber(counts.taken - counts.answered)} are tasting`}
            </p>
            <p className="text-sm text-faded">
              {open
                ? "What they say is sealed, to you too, until you close it."
                : "Its time is over: close it to see what was said."}
            </p>
          </div>
          {mayEdit && (
            <Form method="post">
              <input type="hidden" name="intent" value="close" />
              <Button type="submit" look="act" disabled={counts.answered === 0}>
                Close it and open the answers
              </Button>
            </Form>
          )}
        </section>
      )}
      <details className="mt-6" open={tasting.closedAt !== null}>
        <summary className="cursor-pointer text-xl">Who gets which cups, in this order</summary>
        <p className="mt-1 text-sm text-faded">
          For whoever pours: {names.map((name, i) => `${String.fromCharCode(65 + i)} is ${name}`).join(", ")}.
          Keep it out of the tasters’ sight.
        </p>
        <ol aria-label="Cups" className="mt-2 columns-1 gap-8 text-sm sm:columns-2 lg:columns-3">
          {seats.map(seat => (
            <li key={seat.place} className="flex break-inside-avoid gap-3 border-b border-linen py-1">
              <span className="w-6 text-right text-faded">{seat.place + 1}</span>
              <span className="grow font-semibold tabular-nums">
                {seat.cups.map(cup => `${cup.reference ? "R" : cup.code} ${cup.key}`).join(" · ")}
              </span>
              <span className="max-w-24 truncate text-faded">{seat.name || (seat.taken ? "taken" : "")}</span>
            </li>
          ))}
        </ol>
      </details>
      {seats.some(seat => seat.words) && (
        <section aria-label="What they said" className="mt-6">
          <h2 className="text-xl">What they said</h2>
          <ul className="mt-1 space-y-1">
            {seats
              .filter(seat => seat.words)
              .map(seat => (
                <li key={seat.place}>
                  “{seat.words}” <span className="text-faded">{seat.name}</span>
                </li>
              ))}
          </ul>
        </section>
      )}
    </main>
  );
}
