import type { ReactNode } from "react";
import { Form, Link } from "react-router";
import type { Route } from "./+types/who";
import type { Person } from "~/data";
import { Button, buttonClass } from "../ui/button";
import { Wordmark } from "../ui/wordmark";
import { PlainField } from "./plain-field";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./who.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Who is cooking? · Hondaro" }];

export default function Who({ loaderData, actionData }: Route.ComponentProps) {
  const { person, tablet, chosen, demo, to } = loaderData;
  const reply = useKeptReply(actionData);
  const problem = reply?.problem && (
    <p role="alert" className="mt-4 font-semibold text-beet">
      {reply.problem}
    </p>
  );
  if (chosen) return <Pin person={chosen} to={to} problem={problem} />;
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center px-6 py-12">
      <Wordmark />
      <h1 className="mt-10 text-4xl">Who is cooking?</h1>
      <p className="mt-3 text-lg text-faded">Every weight and change is kept under this name.</p>
      {person && (
        <Form method="post" className="mt-5 flex flex-wrap items-center gap-3">
          <p className="grow">
            Now: <b>{person.name}</b>, {person.role}
          </p>
          <Link to="/me" className={buttonClass("plain")}>
            Password, PIN, devices
          </Link>
          {person.rank === "chef" && (
            <Link to="/people" className={buttonClass("plain")}>
              People
            </Link>
          )}
          <Button type="submit" name="intent" value="out">
            Sign out
          </Button>
        </Form>
      )}
      {problem}
      {tablet && tablet.people.length > 0 && (
        <nav aria-label="Change to" className="mt-8 grid gap-3 sm:grid-cols-2">
          {tablet.people.map(p => (
            <Link
              key={p.id}
              to={`/who?as=${encodeURIComponent(p.id)}&to=${encodeURIComponent(to)}`}
              className={CARD}
            >
              <Named person={p} />
            </Link>
          ))}
        </nav>
      )}
      {demo && !tablet && (
        <section aria-label="Demo people" className="mt-8">
          <p className="text-faded">
            This is the demo: sign in as anybody. Their password is <b>{demo.password}</b>, their PIN{" "}
            <b>{demo.pin}</b>.
          </p>
          <div className="mt-3 grid gap-3 sm:grid-cols-2">
            {demo.people.map(p => (
              <Form key={p.id} method="post">
                <input type="hidden" name="to" value={to} />
                <input type="hidden" name="login" value={p.login} />
                <input type="hidden" name="password" value={demo.password} />
                <button className={`${CARD} w-full`}>
                  <Named person={p} />
                </button>
              </Form>
            ))}
          </div>
        </section>
      )}
      <Form
        method="post"
        aria-label="Sign in"
        className="mt-8 grid gap-3 border-t border-rule pt-6 sm:grid-cols-2"
      >
        <input type="hidden" name="to" value={to} />
        <PlainField label="Sign-in name" name="login" autoComplete="username" autoCapitalize="none" />
        <PlainField label="Password" name="password" type="password" autoComplete="current-password" />
        {!tablet && (
          <label className="flex min-h-11 items-center gap-3 sm:col-span-2">
            <input type="checkbox" name="shares" className="size-6 accent-copper" />
            Several cooks share this device: change names with a PIN
          </label>
        )}
        <Button type="submit" look="act" className="min-h-12 sm:col-span-2">
          Sign in
        </Button>
      </Form>
    </main>
  );
}

const CARD =
  "block rounded-xl border-2 border-ink bg-enamel px-5 py-4 text-left hover:border-copper hover:bg-saffron-wash";

const Named = ({ person }: { person: Person }) => (
  <>
    <span className="block font-display text-xl font-semibold">{person.name}</span>
    <span className="text-faded">{person.role}</span>
  </>
);

function Pin({ person, to, problem }: { person: Person; to: string; problem: ReactNode }) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center px-6 py-12">
      <h1 className="text-4xl">{person.name}</h1>
      {problem}
      <Form method="post" className="mt-6 grid gap-4">
        <input type="hidden" name="intent" value="pin" />
        <input type="hidden" name="person" value={person.id} />
        <input type="hidden" name="to" value={to} />
        <PlainField
          label="PIN"
          name="pin"
          type="password"
          inputMode="numeric"
          autoComplete="off"
          className="h-16 text-3xl tracking-[0.4em]"
        />
        <Button type="submit" look="act" className="min-h-14 text-lg">
          That is me
        </Button>
        <Link to={`/who?to=${encodeURIComponent(to)}`} className={buttonClass("plain", "min-h-14")}>
          Somebody else
        </Link>
      </Form>
    </main>
  );
}
