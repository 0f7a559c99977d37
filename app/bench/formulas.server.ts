import { printKilograms, g } from "~/core/ground/quantity";
import { database, listFormulas } from "~/data";
import type { Route } from "./+types/formulas";
import { pageAsked, pagesOf, partOf } from "../page.server";
import { requirePerson } from "../people/person.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const asked = pageAsked(request);
  const { formulas, of } = await listFormulas(database().db, kitchenId, partOf(asked));
  return {
    ...asked,
    of,
    pages: pagesOf(of),
    formulas: formulas.map(f => ({
      id: f.id,
      name: f.document.name,
      school: f.document.school,
      family: f.document.family,
      number: f.number,
      base: `${printKilograms(g(f.document.base.massG))} ${f.document.base.name}`,
      editedBy: f.editedBy,
      editedAt: f.editedAt,
    })),
  };
}
