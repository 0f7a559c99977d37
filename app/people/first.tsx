import { Form } from "react-router";
import type { Route } from "./+types/first";
import { Button } from "../ui/button";
import { Wordmark } from "../ui/wordmark";
import { PlainField } from "./plain-field";

export { action, loader } from "./first.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "A new kitchen · Hondaro" }];

/** The first page of an empty installation. */
export default function First({ actionData }: Route.ComponentProps) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center px-6 py-12">
      <Wordmark />
      <h1 className="mt-10 text-4xl">A new kitchen</h1>
      <p className="mt-3 text-lg text-faded">
        It begins with the compositions of the larder, one burner and one pot. Your own pots, prices and
        people come next.
      </p>
      {actionData?.problem && (
        <p role="alert" className="mt-4 font-semibold text-beet">
          {actionData.problem}
        </p>
      )}
      <Form method="post" className="mt-8 grid gap-4 sm:grid-cols-2">
        <PlainField label="What the kitchen is called" name="kitchen" maxLength={120} />
        <PlainField label="How high it stands, m" name="altitudeM" inputMode="decimal" defaultValue="0" />
        <PlainField label="Time zone, such as Europe/Paris" name="timeZone" defaultValue="UTC" />
        <span className="hidden sm:block" />
        <PlainField label="Your name" name="name" autoComplete="name" maxLength={120} />
        <PlainField label="You sign in as" name="login" autoComplete="username" autoCapitalize="none" />
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
      <p className="mt-4 text-sm text-faded">You are its chef: you sign recipes and take in the others.</p>
    </main>
  );
}
