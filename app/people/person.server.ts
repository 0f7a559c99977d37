import { type RouterContextProvider, createCookie, redirect } from "react-router";
import type { Person } from "~/data";
import { type Section, sectionContext } from "../context.server";

const A_YEAR_S = 365 * 24 * 3600;

/** Who is cooking on this device. Picked by name; signing in comes later. */
export const personCookie = createCookie("hondaro_person", {
  httpOnly: true,
  sameSite: "lax",
  path: "/",
  maxAge: A_YEAR_S,
});

type Context = Readonly<Pick<RouterContextProvider, "get">>;

export type SectionWithPerson = Section & { readonly person: Person };

const hasPerson = (section: Section): section is SectionWithPerson => section.person !== null;

/** The section with the person at work, the same to every loader of a request; sends anybody unnamed to say who they are first. */
export function requirePerson(context: Context, request: Request): SectionWithPerson {
  const section = context.get(sectionContext);
  if (hasPerson(section)) return section;
  const url = new URL(request.url);
  throw redirect(`/who?to=${encodeURIComponent(url.pathname + url.search)}`);
}
