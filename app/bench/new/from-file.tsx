import { useSyncExternalStore } from "react";
import { Form, Link } from "react-router";
import type { Arrival } from "~/core/exchange";
import { Button, buttonClass } from "../../ui/button";
import type { Route } from "./+types/from-file";
import { useKeptReply } from "../../ui/use-kept-reply";

export { action, loader } from "./from-file.server";
export { PageError as ErrorBoundary } from "../../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Bring in · Bench · Hondaro" }];

const KIND_WORDS: Record<Arrival["kind"], string> = {
  new: "new here",
  same: "already here, the same; left alone",
  newer: "differs from the one here: it becomes the next version, the one here stays in its versions",
};

export default function FromFile({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const arrivals = reply?.arrivals;
  const words = reply?.words;
  // The words are handed on by script: before it runs the link would lose them.
  const alive = useSyncExternalStore(
    () => () => undefined,
    () => true,
    () => false,
  );
  const coming = arrivals?.formulas.filter(f => f.kind !== "same") ?? [];
  return (
    <main className="mx-auto max-w-5xl px-4 py-6 sm:px-6">
      <p>
        <Link to="/bench/new" className="text-faded hover:text-copper">
          ← All methods
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">Bring formulas in</h1>
      <p className="mt-1 max-w-2xl text-faded">
        What another kitchen, or this one, took away; a recipe of another program (JSON-LD), in Markdown, as a
        table of lines or in plain words. You see what it would do first; what is here is never overwritten.
      </p>
      <Form method="post" encType="multipart/form-data" className="mt-5">
        <input type="hidden" name="id" value={loaderData.newId} />
        <label className="block">
          <span className="text-sm text-faded">A file</span>
          <input
            type="file"
            name="file"
            accept=".json,.jsonld,.md,.csv,.txt,application/json,application/ld+json,text/*"
            className="mt-1 block w-full max-w-xl rounded-md border border-rule bg-enamel p-2 file:mr-3 file:rounded-md file:border-0 file:bg-linen file:px-3 file:py-1.5 file:font-semibold"
          />
        </label>
        <label className="mt-4 block">
          <span className="text-sm text-faded">or pasted here</span>
          <textarea
            name="text"
            rows={8}
            spellCheck={false}
            defaultValue={reply?.pasted}
            className="mt-1 w-full rounded-md border border-rule bg-enamel p-3 font-mono text-sm"
          />
        </label>
        <Button type="submit" look={arrivals ? "plain" : "act"} className="mt-3">
          Look it over
        </Button>
        {reply?.problems.map(problem => (
          <p key={problem} role="alert" className="mt-3 text-beet">
            ✕ {problem}
          </p>
        ))}
        {words && (
          <section aria-label="What it is" className="mt-6 max-w-2xl">
            <h2 className="text-xl">It is {words.as}</h2>
            <p className="mt-1">
              Its words have to be understood first: every step is shown, what is missing is asked.
              {words.notes && " What has no place in a formula goes into its notes."}
            </p>
            <pre className="mt-2 max-h-64 overflow-y-auto rounded-md border border-rule bg-enamel p-3 font-sans whitespace-pre-wrap">
              {words.text}
            </pre>
            {alive && (
              <Link
                to="/bench/new/words"
                state={{ text: words.text, notes: words.notes }}
                className={buttonClass("act", "mt-3")}
              >
                Read its words
              </Link>
            )}
          </section>
        )}
        {arrivals && (
          <section aria-label="What would come in" className="mt-6">
            <h2 className="text-xl">What would come in</h2>
            <ul className="mt-2 divide-y divide-rule border-y border-rule">
              {arrivals.formulas.map(arrival => (
                <li key={arrival.id} className="py-2">
                  <span className="font-semibold">{arrival.document.name}</span>
                  <span
                    className={`block text-sm ${arrival.kind === "newer" ? "text-saffron-ink" : "text-faded"}`}
                  >
                    {arrival.kind === "newer" && "▲ "}
                    {KIND_WORDS[arrival.kind]}
                  </span>
                </li>
              ))}
            </ul>
            {arrivals.ingredients.length > 0 && (
              <p className="mt-2 text-sm text-faded">
                New in the Larder with them: {arrivals.ingredients.map(i => i.name).join(", ")}.
              </p>
            )}
            {coming.length > 0 ? (
              <Button type="submit" name="intent" value="bring in" look="act" className="mt-4">
                Bring {coming.length === 1 ? "it" : `these ${coming.length}`} in
              </Button>
            ) : (
              <p className="mt-4 font-semibold text-sorrel">✓ Everything in it is here already.</p>
            )}
          </section>
        )}
      </Form>
    </main>
  );
}
