import { printKilograms, g } from "~/core/ground/quantity";
import { database, listFormulas } from "~/data";
import type { Route } from "./+types/formulas";
import { requirePerson } from "../people/person.server";

const ON_A_PAGE = 60;

export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const query = new URL(request.url).searchParams;
  const words = (query.get("q") ?? "").trim().slice(0, 120);
  const page = Math.min(10_000, Math.max(1, Math.trunc(Number(query.get("page"))) || 1));
  const { formulas, of } = await listFormulas(database().db, kitchenId, {
    words,
    from: (page - 1) * ON_A_PAGE,
    most: ON_A_PAGE,
  });
  return {
    words,
    page,
    of,
    pages: Math.max(1, Math.ceil(of / ON_A_PAGE)),
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
