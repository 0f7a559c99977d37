import { Link } from "react-router";
import type { Route } from "./+types/book";
import { StateBadge } from "./state-badge";
import { buttonClass } from "../ui/button";
import { ListSearch, Pager } from "../ui/pager";

export { loader } from "./book.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Book · Hondaro" }];

export default function Book({ loaderData }: Route.ComponentProps) {
  const { cards, words, page, pages, of } = loaderData;
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 sm:px-6">
      <h1 className="text-3xl">Book</h1>
      <p className="mt-1 text-faded">
        A card for every version that was cooked or signed. It says what was cooked and never changes.
      </p>
      <ListSearch
        words={words}
        page={page}
        pages={pages}
        of={of}
        what={["card", "cards"]}
        placeholder="stock, glace, pan sauce …"
      />
      {cards.length === 0 && (words || page > 1) ? (
        <p className="mt-8">
          {words ? `No card here is called “${words}”.` : "The list ends before this page."}
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
      <Pager words={words} page={page} pages={pages} />
    </main>
  );
}
