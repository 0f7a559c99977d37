import { redirect } from "react-router";
import type { Route } from "./+types/who";
import { sectionContext } from "../context.server";
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
