import { data } from "react-router";
import { ulid } from "ulid";
import { LONGEST_NAME } from "~/core/ground/names";
import { type KnownAs, knownFromNow } from "~/core/words";
import { database, findStoredIngredient, saveIngredient } from "~/data";
import { snapshotOf } from "../../kitchen/kitchen.server";
import { requirePerson } from "../../people/person.server";
import type { Route } from "./+types/from-words";
import { createFormula, documentIn } from "./create.server";
import { formOf } from "../../request.server";

/** Whether a thing that nobody knew is known now. */
export interface Learned {
  readonly known?: string;
  readonly problem?: string;
}

/** Remembers what a recipe named and the larder did not know: as another name, or as an entry of its own. */
async function know(section: ReturnType<typeof requirePerson>, form: FormData) {
  const name = String(form.get("name") ?? "")
    .trim()
    .toLowerCase();
  const { ingredients } = await snapshotOf(section);
  const like = ingredients.find(i => i.id === form.get("like"));
  if (!name || name.length > LONGEST_NAME || !like)
    return data<Learned>(
      { problem: "Say what it is, or what it is like, by a name of the larder." },
      { status: 422 },
    );
  const as: KnownAs = form.get("as") === "a new entry" ? "a new entry" : "another name";
  const of = knownFromNow(name, like, as, new Set(ingredients.map(i => i.id)));
  const { db } = database();
  const before = await findStoredIngredient(db, section.kitchenId, of.id);
  const change = { kitchenId: section.kitchenId, personId: section.person.id, now: new Date() };
  const done = await saveIngredient(db, change, of, as === "a new entry" ? 0 : (before?.rowVersion ?? 0));
  return done === "saved"
    ? data<Learned>({ known: of.name })
    : data<Learned>(
        { problem: `Somebody changed ${like.name} meanwhile. Say it once more.` },
        { status: 409 },
      );
}

export function loader({ context, request }: Route.LoaderArgs) {
  requirePerson(context, request);
  return { newId: ulid() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  if (form.get("intent") === "know") return know(section, form);
  const document = documentIn(String(form.get("document") ?? ""));
  if (!document.ok) return data({ problem: document.problems[0]?.message }, { status: 422 });
  return createFormula(section, document.value, form);
}
