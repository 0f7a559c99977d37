import { Link } from "react-router";
import { familyById } from "~/core/families";
import type { Route } from "./+types/formulas";
import { useMay } from "../people/use-may";
import { useKitchen } from "../kitchen/context";
import { dayOf } from "../text/format";
import { buttonClass } from "../ui/button";
import { ListSearch, Pager } from "../ui/pager";

export { loader } from "./formulas.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Bench · Hondaro" }];

export default function Formulas({ loaderData }: Route.ComponentProps) {
  const { timeZone } = useKitchen();
  const mayEdit = useMay("edit");
  const { words, page, pages, of } = loaderData;
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 sm:px-6">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <div className="mr-auto">
          <h1 className="text-3xl">Bench</h1>
          <p className="mt-1 text-faded">Choose what to work out, or begin something new.</p>
        </div>
        <a href="/api/formulas" download className="py-2 text-sm text-faded hover:text-copper">
          Take all away
        </a>
        {mayEdit && (
          <>
            <Link to="/bench/new/file" className="py-2 text-sm text-faded hover:text-copper">
              Bring in
            </Link>
            <Link to="/bench/new/words" className={buttonClass("plain")}>
              From words
            </Link>
            <Link to="/bench/new" className={buttonClass("act")}>
              New formula
            </Link>
          </>
        )}
      </div>
      <ListSearch
        words={words}
        page={page}
        pages={pages}
        of={of}
        what={["formula", "formulas"]}
        placeholder="name, family, main thing, allergen, body …"
      />
      {loaderData.bodiesLeft > 0 && (
        <p role="status" className="mt-3 text-sm text-faded">
          The bodies of {loaderData.bodiesLeft} formulas are not worked out yet: look again in a moment.
        </p>
      )}
      {loaderData.formulas.length === 0 && (
        <p className="mt-8">
          {words
            ? `No formula here bears “${words}”.`
            : page > 1
              ? "The list ends before this page."
              : "There is no formula in this kitchen yet."}
        </p>
      )}
      <ul className="mt-6 divide-y divide-rule border-y border-rule">
        {loaderData.formulas.map(formula => (
          <li key={formula.id}>
            <Link
              to={`/bench/${formula.id}`}
              className="group grid gap-x-6 gap-y-1 py-4 sm:grid-cols-[1fr_auto]"
            >
              <span>
                <span className="font-display text-xl font-semibold group-hover:text-copper">
                  {formula.name}
                </span>
                <span className="block text-sm text-faded">
                  {familyById(formula.family)?.name ?? "own method"} · {formula.school} · version{" "}
                  {formula.number}, {formula.editedBy}, {dayOf(formula.editedAt, timeZone)}
                </span>
              </span>
              <span className="self-center sm:text-right">
                <span className="font-semibold">{formula.finished ?? formula.base}</span>
                {formula.body && <span className="text-faded"> · {formula.body}</span>}
                <span className="block text-sm text-faded">
                  {formula.finished ? `from ${formula.base}` : "does not walk to its end yet"}
                  {formula.cookedAt && ` · cooked ${dayOf(formula.cookedAt, timeZone)}`}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <Pager asked={words ? { q: words } : {}} page={page} pages={pages} />
    </main>
  );
}
