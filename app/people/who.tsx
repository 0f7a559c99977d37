import { Form } from "react-router";
import type { Route } from "./+types/who";
import { Wordmark } from "../ui/wordmark";

export { action, loader } from "./who.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Who is cooking? · Hondaro" }];

export default function Who({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center px-6 py-12">
      <Wordmark />
      <h1 className="mt-10 text-4xl">Who is cooking?</h1>
      <p className="mt-3 text-lg text-faded">Every weight and change is kept under this name.</p>
      {actionData?.problem && (
        <p role="alert" className="mt-4 text-beet">
          {actionData.problem}
        </p>
      )}
      <Form method="post" className="mt-8 grid gap-3 sm:grid-cols-2">
        <input type="hidden" name="to" value={loaderData.to} />
        {loaderData.people.map(person => (
          <button
            key={person.id}
            name="person"
            value={person.id}
            className="rounded-xl border-2 border-ink bg-enamel px-5 py-4 text-left hover:border-copper hover:bg-saffron-wash"
          >
            <span className="block font-display text-xl font-semibold">{person.name}</span>
            <span className="text-faded">{person.role}</span>
          </button>
        ))}
      </Form>
    </main>
  );
}
