import { useState } from "react";
import { Link, useActionData } from "react-router";
import { FACTS, FACT_GROUPS, type Fact, type FactId, NOMINAL_FACTS } from "~/core/ground/facts";
import type { Route } from "./+types/figures";
import { sourceWords } from "../larder/source-words";
import { Button } from "../ui/button";
import { factText } from "./fact-text";
import type { KitReply } from "./kit-reply";
import { TextField } from "./text-field";
import { EditForm } from "../people/edit-form";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./figures.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Figures · Hondaro" }];

/** Every figure the sums rest on that is no law of nature: what it is, where it comes from, and the kitchen's own. */
export default function Figures({ loaderData: { facts, open } }: Route.ComponentProps) {
  const reply = useKeptReply(useActionData() as KitReply | undefined);
  const [asked, setAsked] = useState("");
  const [onlyOwn, setOnlyOwn] = useState(false);
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean);
  // The figure just answered stays, with what was said of it, also when it is the usual one again.
  const shown = (id: FactId) =>
    (!onlyOwn || facts[id] !== undefined || reply?.values.id === id) &&
    words.every(word => FACTS[id].label.toLowerCase().includes(word));
  const groups = FACT_GROUPS.map(group => ({ ...group, ids: group.ids.filter(shown) })).filter(
    group => group.ids.length > 0,
  );
  const own = Object.keys(facts).length;
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <p className="text-sm">
        <Link to="/kit" className="text-copper underline">
          Kit
        </Link>
      </p>
      <h1 className="text-3xl">Figures the sums rest on</h1>
      <p className="mt-1 max-w-prose text-faded">
        What is no law of nature is a figure with a range. Where this kitchen has measured its own, type it:
        every sum counts with it.{" "}
        {own > 0
          ? `${own} of them ${own === 1 ? "is" : "are"} this kitchen’s own.`
          : "So far all are the usual ones."}
      </p>
      <div className="mt-4 flex flex-wrap items-center gap-x-6 gap-y-2">
        <input
          type="search"
          aria-label="Look for a figure"
          placeholder="starch, veal, lid …"
          value={asked}
          onChange={event => setAsked(event.currentTarget.value)}
          className="w-64 rounded-md border border-rule bg-enamel px-3 py-2"
        />
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            checked={onlyOwn}
            onChange={event => setOnlyOwn(event.currentTarget.checked)}
            className="size-4 accent-copper"
          />
          only this kitchen’s own
        </label>
      </div>
      {groups.length === 0 && <p className="mt-6 text-faded">No figure is called that here.</p>}
      {groups.map(group => (
        <section key={group.id} aria-label={group.label} className="mt-8">
          <h2 className="text-xl">{group.label}</h2>
          <ul className="mt-2 grid gap-x-10 border-t border-rule lg:grid-cols-2">
            {group.ids.map(id => (
              <Figure
                key={id}
                id={id}
                own={facts[id]}
                seen={open?.id === id ? open.seen : null}
                reply={reply?.values.id === id ? reply : undefined}
              />
            ))}
          </ul>
        </section>
      ))}
    </main>
  );
}

function Figure({
  id,
  own,
  seen,
  reply,
}: {
  id: FactId;
  own: number | undefined;
  /** Mark of the own value as it is shown, where the figure is open to be changed. */
  seen: string | null;
  reply: KitReply | undefined;
}) {
  const fact: Fact = FACTS[id];
  const usual = factText(NOMINAL_FACTS[id]);
  const refused = reply?.problems.length ? reply : undefined;
  return (
    <li className="border-b border-rule">
      <Link
        to={seen === null ? `?figure=${id}` : "?"}
        preventScrollReset
        replace
        aria-expanded={seen !== null}
        className="flex min-h-10 items-baseline justify-between gap-4 py-2 hover:text-copper"
      >
        <span>{fact.label}</span>
        <span className={`whitespace-nowrap ${own === undefined ? "" : "font-bold text-copper"}`}>
          {factText(own ?? fact.value)} <span className="text-sm font-normal text-faded">{fact.unit}</span>
        </span>
      </Link>
      {seen !== null && (
        <div className="pb-3">
          <p className="text-sm text-faded">
            Usually {usual}
            {fact.lo !== fact.hi && `, from ${factText(fact.lo)} to ${factText(fact.hi)}`} {fact.unit};{" "}
            {sourceWords({ mark: fact.mark, text: fact.source })}.
          </p>
          <EditForm preventScrollReset className="mt-2 flex flex-wrap items-end gap-3">
            <input type="hidden" name="id" value={id} />
            <input type="hidden" name="seen" value={seen} />
            <TextField
              name={`own-${id}`}
              label={`In this kitchen${fact.unit ? ` (${fact.unit})` : ""}`}
              value={refused ? (refused.values[`own-${id}`] ?? "") : own === undefined ? "" : factText(own)}
              hint="empty: the usual one"
              problem={refused?.problems[0]}
            />
            <Button type="submit" className="mb-5">
              Keep
            </Button>
          </EditForm>
          {reply?.said && (
            <p role="status" className="text-sm text-sorrel">
              ✓ {reply.said}
            </p>
          )}
        </div>
      )}
    </li>
  );
}
