import { Form, Link } from "react-router";
import type { Route } from "./+types/people";
import { RANKS, RANK_WORDS } from "~/core/things/rank";
import { useKitchen } from "../kitchen/context";
import { dayOf } from "../text/format";
import { Button, buttonClass } from "../ui/button";
import { PlainField } from "./plain-field";
import { Said } from "./said";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./people.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "People · Hondaro" }];

export default function People({ loaderData, actionData }: Route.ComponentProps) {
  const { people, me, tablets } = loaderData;
  const { timeZone } = useKitchen();
  const here = people.filter(p => !p.left);
  const left = people.filter(p => p.left);
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 sm:px-6">
      <div className="flex flex-wrap items-baseline gap-4">
        <h1 className="grow text-4xl">People</h1>
        <Link to="/people/changes" className={buttonClass("plain")}>
          Who changed what
        </Link>
        <a href="/kitchen.ndjson" download className={buttonClass("plain")}>
          Take the whole kitchen away
        </a>
      </div>
      <Said reply={useKeptReply(actionData)} />
      <ul aria-label="Who works here" className="mt-6 divide-y divide-rule border-y border-rule">
        {here.map(person => (
          <li key={person.id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
            <span className="min-w-48 grow">
              <b className="text-lg">{person.name}</b>
              {person.id === me && <span className="text-faded"> (you)</span>}
              <span className="block text-sm text-faded">
                {person.role}, signs in as {person.login}
              </span>
            </span>
            <Form method="post" className="flex flex-wrap items-center gap-2">
              <input type="hidden" name="person" value={person.id} />
              <select
                key={person.rank}
                name="rank"
                defaultValue={person.rank}
                aria-label={`What ${person.name} may do`}
                className="h-11 rounded-lg border border-ink bg-enamel px-2"
              >
                {RANKS.map(rank => (
                  <option key={rank}>{rank}</option>
                ))}
              </select>
              <Button type="submit" name="intent" value="rank" className="min-h-11">
                Set
              </Button>
              {/* Two presses: neither is done by a slip of the thumb. */}
              <details className="relative">
                <summary className={buttonClass("plain", "min-h-11 cursor-pointer")}>More …</summary>
                <span className="absolute right-0 z-10 mt-1 flex flex-col gap-2 rounded-xl border border-rule bg-paper p-3 shadow-lg">
                  <Button type="submit" name="intent" value="password" className="min-h-11">
                    New password
                  </Button>
                  <Button type="submit" name="intent" value="leaves" className="min-h-11 text-beet">
                    Leaves the kitchen
                  </Button>
                </span>
              </details>
            </Form>
          </li>
        ))}
      </ul>
      <dl className="mt-4 grid gap-x-6 gap-y-1 text-sm text-faded sm:grid-cols-2">
        {RANKS.map(rank => (
          <div key={rank}>
            <dt className="inline font-bold">{rank}:</dt> <dd className="inline">{RANK_WORDS[rank]}</dd>
          </div>
        ))}
      </dl>
      {left.length > 0 && (
        <p className="mt-4 text-sm text-faded">Has left: {left.map(p => p.name).join(", ")}.</p>
      )}
      <div className="mt-8 grid gap-5 md:grid-cols-2">
        <Form
          method="post"
          aria-label="Somebody new"
          className="space-y-3 rounded-2xl border border-rule bg-enamel p-5"
        >
          <h2 className="text-lg">Somebody new</h2>
          <PlainField label="Name" name="name" autoComplete="off" maxLength={120} />
          <PlainField label="Post, such as saucier" name="role" autoComplete="off" maxLength={60} />
          <label className="block">
            <span className="block text-sm text-faded">May</span>
            <select
              name="rank"
              defaultValue="trainee"
              className="mt-1 h-12 w-full rounded-lg border border-ink bg-enamel px-2"
            >
              {RANKS.map(rank => (
                <option key={rank} value={rank}>
                  {rank}: {RANK_WORDS[rank]}
                </option>
              ))}
            </select>
          </label>
          <Button type="submit" name="intent" value="add" look="act" className="min-h-11">
            Take into the kitchen
          </Button>
        </Form>
        <section
          aria-label="Shared devices"
          className="space-y-3 rounded-2xl border border-rule bg-enamel p-5"
        >
          <h2 className="text-lg">Shared devices</h2>
          {tablets.length === 0 && (
            <p className="text-faded">None. A device becomes one where somebody signs in and says so.</p>
          )}
          <ul className="divide-y divide-rule">
            {tablets.map(tablet => (
              <li key={tablet.id} className="flex items-center justify-between gap-3 py-2">
                <span>
                  {tablet.name}
                  <span className="block text-sm text-faded">
                    since {dayOf(tablet.addedAt, timeZone)}, by {tablet.by}
                  </span>
                </span>
                <Form method="post">
                  <input type="hidden" name="tablet" value={tablet.id} />
                  <Button type="submit" name="intent" value="tablet" className="min-h-11">
                    Share no more
                  </Button>
                </Form>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </main>
  );
}
