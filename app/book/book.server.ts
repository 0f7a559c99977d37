import { database, listCooked } from "~/data";
import type { Route } from "./+types/book";
import { pageAsked, pagesOf, partOf } from "../page.server";
import { requirePerson } from "../people/person.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const asked = pageAsked(request);
  const { cards, of } = await listCooked(database().db, kitchenId, partOf(asked));
  return { ...asked, of, pages: pagesOf(of), cards };
}
