import { redirect } from "react-router";
import { isValid, ulid } from "ulid";
import { readJson } from "~/core/ground/json";
import { type FormulaDocument, readFormula } from "~/core/formula";
import { database, insertFormula } from "~/data";
import type { SectionWithPerson } from "../../people/person.server";

/** Longest document that is taken in, characters. */
const MOST = 400_000;

/** Reads a document a form sent along as text. */
export function documentIn(text: string): ReturnType<typeof readFormula> {
  const sent = text.length <= MOST ? readJson(text) : null;
  if (sent?.ok) return readFormula(sent.value);
  return {
    ok: false,
    problems: [
      {
        code: "NOT_UNDERSTOOD",
        field: "document",
        message: "The formula did not arrive whole. Load the page again.",
      },
    ],
  };
}

/** Puts a new formula on the Bench and goes there. A form that is sent twice makes one: it names the id. */
export async function createFormula(section: SectionWithPerson, document: FormulaDocument, form: FormData) {
  const named = String(form.get("id") ?? "");
  const id = await insertFormula(database().db, {
    id: isValid(named) ? named : ulid(),
    kitchenId: section.kitchenId,
    document,
    personId: section.person.id,
    now: new Date(),
  });
  return redirect(`/bench/${id}`);
}
