import { Form, Link } from "react-router";
import { FAMILIES, type FamilyGroup } from "~/core/families";
import { Button } from "../../ui/button";
import type { Route } from "./+types/choose";
import { useKeptReply } from "../../ui/use-kept-reply";

export { action, loader } from "./choose.server";
export { PageError as ErrorBoundary } from "../../ui/page-error";

const GROUPS: readonly FamilyGroup[] = ["stocks", "sauces", "emulsions", "purées and soups", "components"];

export const meta: Route.MetaFunction = () => [{ title: "New formula · Hondaro" }];

export default function Choose({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <p>
        <Link to="/bench" className="text-faded hover:text-copper">
          ← Bench
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">New formula</h1>
      <p className="mt-1 max-w-2xl text-faded">
        Begin with a method of the house and choose the school; or{" "}
        <Link to="/bench/new/words" className="text-copper underline underline-offset-4">
          with the words of a recipe
        </Link>
        , or{" "}
        <Link to="/bench/new/file" className="text-copper underline underline-offset-4">
          with a file
        </Link>
        , or with a blank line.
      </p>
      <div className="mt-6 gap-x-12 md:columns-2">
        {GROUPS.map(group => (
          <section key={group} aria-label={group} className="mb-7 break-inside-avoid-column">
            <h2 className="border-b-2 border-ink pb-1 text-xl first-letter:uppercase">{group}</h2>
            <ul>
              {FAMILIES.filter(family => family.group === group).map(family => (
                <li key={family.id} className="break-inside-avoid border-b border-rule">
                  <Link to={`/bench/new/${family.id}`} className="group block py-2">
                    <span className="font-semibold group-hover:text-copper">{family.name}</span>
                    <span className="block text-sm leading-snug text-faded">{family.method}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
        <section aria-label="just cook" className="mb-7 break-inside-avoid">
          <h2 className="border-b-2 border-ink pb-1 text-xl">Just cook</h2>
          <Form method="post" className="mt-2">
            <input type="hidden" name="intent" value="just-cook" />
            <p className="mb-2 text-sm text-faded">
              A pot without a formula: log what goes in, and a draft is made of it at the end.
            </p>
            <Button type="submit">Put a pot on</Button>
          </Form>
        </section>
        <section aria-label="a blank line" className="mb-7 break-inside-avoid">
          <h2 className="border-b-2 border-ink pb-1 text-xl">A blank line</h2>
          <Form method="post" className="mt-2 flex flex-wrap items-end gap-3">
            <input type="hidden" name="id" value={loaderData.newId} />
            <label className="grow">
              <span className="block text-xs text-faded">its name</span>
              <input
                name="name"
                maxLength={120}
                autoComplete="off"
                className="w-full rounded-md border border-rule bg-enamel px-2 py-1.5"
              />
            </label>
            <Button type="submit">Begin with nothing</Button>
            {reply?.problem && (
              <p role="alert" className="basis-full text-beet">
                ✕ {reply.problem}
              </p>
            )}
          </Form>
        </section>
      </div>
    </main>
  );
}
