import { data, redirect } from "react-router";
import { database, importIngredients } from "~/data";
import type { Route } from "./+types/import";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { previewImport } from "./exchange.server";
import { formOf } from "../request.server";

export function loader({ context, request }: Route.LoaderArgs) {
  requirePerson(context, request);
  return null;
}

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const form = await formOf(request);
  const file = form.get("file");
  const pasted = String(form.get("text") ?? "");
  const text = file instanceof File && file.size > 0 ? await file.text() : pasted;
  const { ingredients } = await snapshotOf(section);
  const preview = previewImport(text, ingredients);
  const refused = preview.rows.filter(row => !row.ingredient);
  const known = new Set(ingredients.map(i => i.id));
  const ready = preview.rows.flatMap(row => (row.ingredient ? [row.ingredient] : []));
  if (form.get("intent") === "import" && ready.length && !refused.length && !preview.broken) {
    await importIngredients(database().db, { kitchenId, personId: person.id, now: new Date() }, ready);
    return redirect("/larder");
  }
  return data(
    { preview, pasted, changes: ready.filter(i => known.has(i.id)).length },
    { status: preview.broken || refused.length ? 422 : 200 },
  );
}
