import { redirect } from "react-router";
import { type FormulaDocument, readFormula } from "~/core/formula";
import { database, insertFormula } from "~/data";
import type { SectionWithPerson } from "../../people/person.server";

/** Longest document that is taken in, characters. */
const MOST = 400_000;

/** Reads a document a form sent along as text. */
export function documentIn(text: string): ReturnType<typeof readFormula> {
  if (text.length <= MOST)
    try {
      return readFormula(JSON.parse(text));
    } catch {
      // Said below.
    }
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

/** Puts a new formula on the Bench and goes there. */
export async function createFormula(section: SectionWithPerson, document: FormulaDocument) {
  const id = await insertFormula(database().db, {
    kitchenId: section.kitchenId,
    document,
    personId: section.person.id,
    now: new Date(),
  });
  return redirect(`/bench/${id}`);
}
