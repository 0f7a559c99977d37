import { useMemo, useRef } from "react";
import { Form, Link, useSubmit } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import type { Route } from "./+types/book";
import { StateBadge } from "./state-badge";
import { Button, buttonClass } from "../ui/button";
import { type ScreenCommand, useCommands } from "../ui/commands";
import { Pager } from "../ui/pager";

export { loader } from "./book.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Book · Hondaro" }];

const FIELD = "h-11 max-w-52 rounded-md border border-rule bg-enamel px-2";

export default function Book({ loaderData }: Route.ComponentProps) {
  const { cards, words, page, pages, of, meant, family, state, without, families, allergens } = loaderData;
  const asked = {
    ...(words && { q: words }),
    ...(family && { family }),
    ...(state && { state }),
    ...(without && { without }),
  };
  const narrowed = Object.keys(asked).length > 0;
  const submit = useSubmit();
  const box = useRef<HTMLInputElement>(null);
  const commands = useMemo<ScreenCommand[]>(
    () => [
      { id: "look", label: "Look for a card", group: "Book", keys: "/", run: () => box.current?.select() },
    ],
    [],
  );
  useCommands(commands);
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 sm:px-6">
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2">
        <h1 className="grow text-3xl">Book</h1>
        <a
          href="/batches.csv"
          download
          className="text-sm text-faded underline underline-offset-4 hover:text-copper"
        >
          All batches as a table
        </a>
        {of > 0 && (
          <a
            href={`/book.pdf?${new URLSearchParams(asked)}`}
            className="text-sm text-faded underline underline-offset-4 hover:text-copper"
          >
            These cards as one PDF, with contents
          </a>
        )}
      </div>
      <p className="mt-1 text-faded">
        A card for every version that was cooked or signed. It says what was cooked and never changes.
      </p>
      <Form
        method="get"
        role="search"
        onChange={event => {
          if (event.target instanceof HTMLSelectElement) void submit(event.currentTarget);
        }}
        className="mt-5 flex flex-wrap items-center gap-3"
      >
        <input
          ref={box}
          type="search"
          name="q"
          defaultValue={words}
          key={words}
          aria-label="Look for a card"
          placeholder="stock, butter, glaze …"
          className={`${FIELD} px-3`}
        />
        <select
          name="family"
          aria-label="Family"
          defaultValue={family ?? ""}
          key={`f${family}`}
          className={FIELD}
        >
          <option value="">every family</option>
          {families.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <select
          name="state"
          aria-label="State"
          defaultValue={state ?? ""}
          key={`s${state}`}
          className={FIELD}
        >
          <option value="">every state</option>
          {["standard", "trial", "draft", "retired"].map(one => (
            <option key={one}>{one}</option>
          ))}
        </select>
        <select
          name="without"
          aria-label="Without a recorded allergen"
          defaultValue={without ?? ""}
          key={`w${without}`}
          className={FIELD}
        >
          <option value="">whatever is in it</option>
          {allergens.map(({ id, name }) => (
            <option key={id} value={id}>
              without recorded {name}
            </option>
          ))}
        </select>
        <Button type="submit" className="min-h-11">
          Look
        </Button>
        <span role="status" className="text-faded">
          {printNumber(of)} {of === 1 ? "card" : "cards"}
          {pages > 1 && `, page ${page} of ${pages}`}
        </span>
      </Form>
      {meant && (
        <p className="mt-3">
          Nothing here is called “{words}”. This is what “<b>{meant}</b>” finds.
        </p>
      )}
      {without && (
        <p className="mt-3 text-sm text-saffron-ink">
          ▲ As recorded in the ingredients, never free from anything: cross-contact in the kitchen is not seen
          here.
        </p>
      )}
      {cards.length === 0 && (narrowed || page > 1) ? (
        <p className="mt-8">
          {narrowed ? "No card here is like that." : "The list ends before this page."}{" "}
          <Link to="/book" className="underline underline-offset-4">
            The whole Book
          </Link>
        </p>
      ) : cards.length === 0 ? (
        <>
          <p className="mt-8">No card yet: a formula gets its card when it goes on the fire.</p>
          <Link to="/bench" className={buttonClass("act", "mt-4")}>
            To the Bench
          </Link>
        </>
      ) : (
        <ul className="mt-6 divide-y divide-rule border-y border-rule">
          {cards.map(card => (
            <li key={card.versionId}>
              <Link
                to={`/book/${card.versionId}`}
                className="group flex flex-wrap items-baseline justify-between gap-x-6 py-4"
              >
                <span className="font-display text-xl font-semibold group-hover:text-copper">
                  {card.name} <StateBadge state={card.state} />
                  {card.notKnown && (
                    <span className="ml-2 font-sans text-sm font-normal text-saffron-ink">
                      allergens not known
                    </span>
                  )}
                </span>
                <span className="text-sm text-faded">
                  version {card.number} · {card.editedBy} ·{" "}
                  {card.batches === 0
                    ? "no finished batch yet"
                    : card.batches === 1
                      ? "1 batch"
                      : `${card.batches} batches`}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      <Pager asked={asked} page={page} pages={pages} />
    </main>
  );
}
