import { Form } from "react-router";
import { Button } from "../ui/button";
import { useKeptReply } from "../ui/use-kept-reply";
import { Wordmark } from "../ui/wordmark";
import type { Route } from "./+types/taste";

export { action, loader } from "./taste.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Tasting · Hondaro" }];

const FIELD = "mt-1 block h-14 w-full rounded-xl border border-rule bg-enamel px-4 text-xl text-ink";

/** A taster’s own page, on a phone: the code, a name, the cups, and nothing of what is in them. */
export default function Taste({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col px-5 py-6">
      <Wordmark />
      {loaderData.state === "code" && (
        <Form method="post" action="/taste" className="mt-10 space-y-4">
          <h1 className="text-3xl">A tasting</h1>
          {loaderData.wrong && (
            <p role="alert" className="text-beet">
              ✕ No tasting is open under “{loaderData.code}”. Look at it once more.
            </p>
          )}
          <label className="block text-faded">
            the code you were given
            <input
              name="code"
              autoComplete="off"
              autoCapitalize="characters"
              maxLength={12}
              className={`${FIELD} tracking-widest uppercase`}
            />
          </label>
          <Button type="submit" look="act" className="min-h-14 w-full text-xl">
            Go in
          </Button>
        </Form>
      )}
      {loaderData.state === "name" && (
        <Form method="post" className="mt-10 space-y-4">
          <h1 className="text-3xl">{loaderData.name}</h1>
          <label className="block text-faded">
            your name, if you like
            <input name="name" autoComplete="off" maxLength={60} className={FIELD} />
          </label>
          <Button type="submit" look="act" className="min-h-14 w-full text-xl">
            Take a place
          </Button>
        </Form>
      )}
      {loaderData.state === "cups" && <Cups sheet={loaderData} />}
      {loaderData.state === "done" && (
        <section className="mt-10">
          <h1 className="text-3xl">Thank you</h1>
          <p className="mt-2 text-lg text-faded">
            Your answer is sealed. It is opened with all the others when the tasting is closed.
          </p>
        </section>
      )}
      {reply?.problem && (
        <p role="alert" className="mt-4 text-lg text-beet">
          ✕ {reply.problem}
        </p>
      )}
    </main>
  );
}

type Sheet = Extract<Route.ComponentProps["loaderData"], { state: "done" | "cups" }>;

function Cups({ sheet: { name, place, kind, asks, cups } }: { sheet: Sheet }) {
  const open = cups.filter(cup => !cup.reference);
  const choice = kind !== "scores" && kind !== "ranking";
  return (
    <Form method="post" className="mt-6 flex grow flex-col gap-4">
      <p className="text-faded">
        {name}
        <span className="block">Your place is number {place}.</span>
      </p>
      <h1 className="text-3xl">{asks}</h1>
      <p className="text-faded">
        Taste from left to right{cups.some(cup => cup.reference) && ", R first"}; take water between. A guess
        is an answer.
      </p>
      {choice ? (
        <fieldset className="grid gap-3">
          <legend className="sr-only">{asks}</legend>
          {cups.map(cup =>
            cup.reference ? (
              <p key="R" className="rounded-xl border border-dashed border-rule p-4 text-center text-2xl">
                R
              </p>
            ) : (
              <label
                key={cup.code}
                className="flex min-h-16 cursor-pointer items-center justify-center gap-4 rounded-xl border border-rule bg-enamel font-display text-3xl font-semibold tabular-nums has-checked:border-copper has-checked:bg-saffron-wash"
              >
                <input
                  type="radio"
                  name="chosen"
                  value={cup.code}
                  required
                  className="size-6 accent-copper"
                />
                {cup.code}
              </label>
            ),
          )}
          {kind === "paired preference" && (
            <label className="flex min-h-14 items-center justify-center gap-3 rounded-xl border border-rule">
              <input type="radio" name="chosen" value="none" className="size-6 accent-copper" />
              neither more than the other
            </label>
          )}
        </fieldset>
      ) : (
        <div className="grid gap-3">
          {open.map(cup => (
            <label key={cup.code} className="flex items-center gap-4">
              <span className="w-24 font-display text-3xl font-semibold tabular-nums">{cup.code}</span>
              {kind === "scores" ? (
                <input
                  name={`cup ${cup.code}`}
                  type="number"
                  min={0}
                  max={10}
                  step={0.5}
                  required
                  inputMode="decimal"
                  placeholder="0–10"
                  className={FIELD}
                />
              ) : (
                <select name={`cup ${cup.code}`} required defaultValue="" className={FIELD}>
                  <option value="" disabled>
                    place
                  </option>
                  {open.map((_, i) => (
                    <option key={i} value={i + 1}>
                      {i + 1}
                      {i === 0 ? ", the best" : ""}
                    </option>
                  ))}
                </select>
              )}
            </label>
          ))}
        </div>
      )}
      <label className="block text-faded">
        a word about it, if you like
        <input name="words" maxLength={300} autoComplete="off" className={FIELD} />
      </label>
      <Button type="submit" look="act" className="min-h-14 text-xl">
        Send it
      </Button>
    </Form>
  );
}
