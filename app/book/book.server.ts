import { database, listCooked } from "~/data";
import type { Route } from "./+types/book";
import { requirePerson } from "../people/person.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const cooked = await listCooked(database().db, kitchenId);
  return {
    cards: cooked.map(c => ({
      versionId: c.versionId,
      name: c.document.name,
      number: c.number,
      state: c.state,
      editedBy: c.editedBy,
      batches: c.batches,
    })),
  };
}
