import { type RouterContextProvider, redirect } from "react-router";
import type { Person } from "~/data";
import { type Right, may, refusedWords } from "~/core/things/rank";
import { problemJson } from "../api/problem.server";
import { type Section, sectionContext } from "../context.server";
import { asksIntent, needOf } from "./who-may";

type Context = Readonly<Pick<RouterContextProvider, "get">>;

export type SectionWithPerson = Section & { readonly person: Person };

const hasPerson = (section: Section): section is SectionWithPerson => section.person !== null;

/** The section with the person at work, the same to every loader of a request; sends anybody unknown to sign in first. */
export function requirePerson(context: Context, request: Request): SectionWithPerson {
  const section = context.get(sectionContext);
  if (hasPerson(section)) return section;
  throw toSignIn(request);
}

/** What somebody unknown is answered: pages lead to signing in and back, programs are told. */
function toSignIn(request: Request): Response {
  const url = new URL(request.url);
  if (url.pathname.startsWith("/api/"))
    return problemJson(401, "Nobody is signed in", "Sign in first; what waits on this device goes then.");
  const back = request.method === "GET" ? url.pathname.replace(/\.data$/, "") + url.search : "/";
  return redirect(`/who?to=${encodeURIComponent(back)}`);
}

const refused = (request: Request, status: number, sentence: string): Response =>
  new URL(request.url).pathname.startsWith("/api/")
    ? problemJson(status, "Not taken", sentence)
    : new Response(sentence, { status });

/** What a request wants of a route that takes several things, read from a copy of it. */
async function intentOf(request: Request): Promise<string | null> {
  const copy = request.clone();
  if (copy.headers.get("Content-Type")?.includes("json")) {
    const body: unknown = await copy.json().catch(() => null);
    const intent = body && typeof body === "object" && "intent" in body ? body.intent : null;
    return typeof intent === "string" ? intent : null;
  }
  const intent = await copy.formData().then(
    form => form.get("intent"),
    () => null,
  );
  return typeof intent === "string" ? intent : null;
}

/** Lets a request go on to its route, or says why not. Throws a response. */
export async function admit({
  request,
  pattern: joined,
  context,
}: {
  readonly request: Request;
  readonly pattern: string;
  readonly context: Context;
}): Promise<void> {
  // The router joins the parts of its routes without the stroke in front.
  const pattern = `/${joined.replace(/^\/+/, "")}`;
  const intent = request.method === "POST" && asksIntent(pattern) ? await intentOf(request) : null;
  const need = needOf(pattern, request.method, intent);
  if (need === null) throw refused(request, 405, "That is not taken here.");
  if (need === "open") return;
  const { person } = context.get(sectionContext);
  if (!person) throw toSignIn(request);
  if (!may(person, need)) throw refused(request, 403, refusedWords(need));
}

/** Whether who is signed in holds a right, for what a page shows. */
export const holds = (section: SectionWithPerson, right: Right): boolean => may(section.person, right);
