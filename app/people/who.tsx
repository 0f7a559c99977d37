import { Form, redirect } from "react-router";
import type { Route } from "./+types/who";
import { sectionContext } from "../context.server";
import { Wordmark } from "../ui/wordmark";
import { personCookie } from "./person.server";
import { formOf } from "../request.server";
import { inside } from "./inside";

export function loader({ context, request }: Route.LoaderArgs) {
  const { people } = context.get(sectionContext);
  return { people, to: inside(new URL(request.url).searchParams.get("to")) };
}

export async function action({ context, request }: Route.ActionArgs) {
  const { people } = context.get(sectionContext);
  const form = await formOf(request);
  const person = people.find(p => p.id === form.get("person"));
  if (!person) return { problem: "Nobody of that name works in this kitchen. Choose a name from the list." };
  return redirect(inside(String(form.get("to") ?? "/")), {
    headers: { "Set-Cookie": await personCookie.serialize(person.id) },
  });
}

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
