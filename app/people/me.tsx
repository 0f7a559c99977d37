import { Form, Link } from "react-router";
import type { Route } from "./+types/me";
import { RANK_WORDS } from "~/core/things/rank";
import { useKitchen } from "../kitchen/context";
import { clockTime, dayOf } from "../text/format";
import { Button } from "../ui/button";
import { PlainField } from "./plain-field";
import { Said } from "./said";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./me.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Yours · Hondaro" }];

export default function Me({ loaderData, actionData }: Route.ComponentProps) {
  const { person, hasPin, shared, sessions } = loaderData;
  const { timeZone } = useKitchen();
  return (
    <main className="mx-auto max-w-4xl px-4 py-8 sm:px-6">
      <h1 className="text-4xl">{person.name}</h1>
      <p className="mt-2 text-faded">
        {person.role}, signs in as <b>{person.login}</b>. Rank {person.rank}: {RANK_WORDS[person.rank]}.
      </p>
      <Said reply={useKeptReply(actionData)} />
      <div className="mt-6 grid gap-5 md:grid-cols-2">
        <Form method="post" aria-label="Password" className={CARD}>
          <h2 className="text-lg">Password</h2>
          <PlainField
            label="Present password"
            name="password"
            type="password"
            autoComplete="current-password"
          />
          <PlainField label="New password" name="next" type="password" autoComplete="new-password" />
          <Button type="submit" name="intent" value="password" className="min-h-11">
            Change password
          </Button>
        </Form>
        <Form method="post" aria-label="PIN" className={CARD}>
          <h2 className="text-lg">PIN for shared devices</h2>
          <PlainField
            label="Present password, to be sure"
            name="password"
            type="password"
            autoComplete="current-password"
          />
          <PlainField
            label={hasPin ? "New PIN; empty takes it away" : "PIN, four to eight digits"}
            name="pin"
            type="password"
            inputMode="numeric"
            autoComplete="off"
          />
          <Button type="submit" name="intent" value="pin" className="min-h-11">
            {hasPin ? "Change PIN" : "Set PIN"}
          </Button>
        </Form>
        <section aria-label="Signed in" className={CARD}>
          <h2 className="text-lg">Signed in</h2>
          <ul className="divide-y divide-rule border-y border-rule">
            {sessions.map(of => (
              <li key={of.key} className="flex justify-between gap-3 py-2">
                <span>
                  {of.tablet ?? "a device of your own"}
                  {of.here && <b> (this one)</b>}
                </span>
                <span className="text-sm text-faded">
                  {dayOf(of.seenAt, timeZone)} {clockTime(of.seenAt.getTime(), timeZone)}, by {of.way}
                </span>
              </li>
            ))}
          </ul>
          <Form method="post">
            <Button type="submit" name="intent" value="everywhere" className="min-h-11">
              Sign out everywhere
            </Button>
          </Form>
        </section>
        <Form method="post" aria-label="This device" className={CARD}>
          <h2 className="text-lg">This device</h2>
          {shared ? (
            <>
              <p className="text-faded">
                Several cooks share it: whoever has a PIN changes to their name, and a session ends after half
                a day.
              </p>
              <Button type="submit" name="intent" value="unshare" className="min-h-11">
                Share it no more
              </Button>
            </>
          ) : (
            <>
              <p className="text-faded">
                Yours alone. On a shared one cooks change to their names with a PIN.
              </p>
              <PlainField label="Called" name="name" defaultValue="Pass tablet" maxLength={60} />
              <Button type="submit" name="intent" value="share" className="min-h-11">
                Let several cooks share it
              </Button>
            </>
          )}
        </Form>
      </div>
      {person.rank === "chef" && (
        <p className="mt-6">
          <Link to="/people" className="underline underline-offset-4 hover:text-copper">
            People of this kitchen
          </Link>
        </p>
      )}
    </main>
  );
}

const CARD = "space-y-3 rounded-2xl border border-rule bg-enamel p-5";
