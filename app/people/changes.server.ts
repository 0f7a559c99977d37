import { listChanges, database } from "~/data";
import type { Route } from "./+types/changes";
import { requirePerson } from "./person.server";

const ON_A_PAGE = 100;

/** Who changed what in this kitchen, the latest first. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId, people } = requirePerson(context, request);
  const query = new URL(request.url).searchParams;
  const by = people.find(p => p.id === query.get("by"))?.id;
  const before = query.get("before")?.slice(0, 26) || undefined;
  const found = await listChanges(database().db, kitchenId, {
    ...(by !== undefined && { by }),
    ...(before !== undefined && { before }),
    most: ON_A_PAGE + 1,
  });
  const changes = found.slice(0, ON_A_PAGE);
  return {
    changes: changes.map(({ detail, ...of }) => ({ ...of, detail: inWords(detail) })),
    people,
    by: by ?? null,
    earlier: found.length > ON_A_PAGE ? (changes.at(-1)?.id ?? null) : null,
  };
}

const MOST_SIGNS = 160;

/** What a change was about, in a line; nothing secret is ever kept there. */
function inWords(detail: Record<string, unknown>): string {
  const words = Object.entries(detail)
    .filter(([, value]) => value !== null && value !== undefined && value !== "")
    .map(
      ([key, value]) =>
        `${key} ${typeof value === "object" ? JSON.stringify(value) : String(value as string)}`,
    )
    .join(", ");
  return words.length > MOST_SIGNS ? `${words.slice(0, MOST_SIGNS)} …` : words;
}
