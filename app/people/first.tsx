import { Form } from "react-router";
import type { Route } from "./+types/first";
import { Button } from "../ui/button";
import { Wordmark } from "../ui/wordmark";
import { PlainField } from "./plain-field";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./first.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "A new kitchen · Hondaro" }];

const SAID: Readonly<Record<string, string>> = {
  formula: "formulas",
  formula_version: "versions",
  ingredient: "things of the larder",
  run: "pots",
  batch: "batches",
  photo: "pictures",
  person: "people",
};
const told = (rows: Readonly<Record<string, number>>): string =>
  Object.entries(SAID)
    .map(([table, words]) => `${rows[table] ?? 0} ${words}`)
    .join(", ");

/** The first page of an empty installation. */
export default function First({ actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const typed: Readonly<Record<string, string>> = reply?.typed ?? {};
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center px-6 py-12">
      <Wordmark />
      <h1 className="mt-10 text-4xl">A new kitchen</h1>
      <p className="mt-3 text-lg text-faded">
        It begins with the compositions of the larder, one burner and one pot. Your own pots, prices and
        people come next.
      </p>
      {reply?.problem && (
        <p role="alert" className="mt-4 font-semibold text-beet">
          {reply.problem}
        </p>
      )}
      <Form method="post" className="mt-8 grid gap-4 sm:grid-cols-2">
        <PlainField
          label="What the kitchen is called"
          name="kitchen"
          defaultValue={typed.kitchen}
          maxLength={120}
        />
        <PlainField
          label="How high it stands, m"
          name="altitudeM"
          inputMode="decimal"
          defaultValue={typed.altitudeM ?? "0"}
        />
        <PlainField
          label="Time zone, such as Europe/Paris"
          name="timeZone"
          defaultValue={typed.timeZone ?? "UTC"}
        />
        <span className="hidden sm:block" />
        <PlainField
          label="Your name"
          name="name"
          defaultValue={typed.name}
          autoComplete="name"
          maxLength={120}
        />
        <PlainField
          label="You sign in as"
          name="login"
          defaultValue={typed.login}
          autoComplete="username"
          autoCapitalize="none"
        />
        <PlainField
          label="Your password, 8 signs or more"
          name="password"
          type="password"
          autoComplete="new-password"
        />
        <Button type="submit" look="act" className="min-h-12 self-end">
          Open this kitchen
        </Button>
      </Form>
      <Form
        method="post"
        encType="multipart/form-data"
        aria-label="A kitchen that was taken away"
        className="mt-10 grid gap-4 border-t border-rule pt-6 sm:order-last"
      >
        <input type="hidden" name="intent" value="bring back" />
        <h2 className="text-xl">Or a kitchen that was taken away</h2>
        <PlainField label="Its file" name="file" type="file" accept=".ndjson" />
        {reply?.coming && (
          <div role="status" className="rounded-xl border border-rule bg-enamel p-4">
            <p>
              <b>{reply.coming.kitchens.join(", ")}</b> comes in: {told(reply.coming.rows)}.
            </p>
            {!reply.coming.secrets && (
              <p className="mt-1">
                It holds no passwords. {reply.coming.chef} signs in as “{reply.coming.login}” with the one
                typed here, and gives the others theirs.
              </p>
            )}
            <label className="mt-2 flex min-h-11 items-center gap-3">
              <input type="checkbox" name="sure" className="size-6 accent-copper" />
              Bring it in; choose the file once more
            </label>
          </div>
        )}
        <PlainField
          label="A password for its chef, 8 signs or more"
          name="password"
          type="password"
          autoComplete="new-password"
        />
        <Button type="submit" className="min-h-12">
          {reply?.coming ? "Bring it in" : "Look it over"}
        </Button>
      </Form>
      <p className="mt-4 text-sm text-faded">You are its chef: you sign recipes and take in the others.</p>
    </main>
  );
}
