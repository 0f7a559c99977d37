import { type Conflict, type FormulaDocument, mergeDocuments } from "../formula";
import { type Result, ok } from "../ground/result";
import { type Family, type TemplateKitchen, formulaOf } from "./family";

export interface ChangedSchool {
  readonly document: FormulaDocument;
  /** Edits of this formula that the other school had no place for. */
  readonly gaveWay: readonly Conflict[];
}

/** What somebody wrote for himself is no school's to write over. */
const IN_OWN_WORDS: ReadonlySet<string> = new Set(["name", "notes"]);

/**
 * The formula with another school taken: what the two templates differ in changes, what was worked out by hand stays.
 * Where both want the same place the school wins, and it is said.
 * @errors those of `mergeDocuments`
 */
export function changeSchool(
  document: FormulaDocument,
  family: Family,
  choiceId: string,
  schoolId: string,
  kitchen: TemplateKitchen,
): Result<ChangedSchool> {
  const before = formulaOf(family, document.choices, kitchen);
  const after = formulaOf(family, { ...document.choices, [choiceId]: schoolId }, kitchen);
  const first = mergeDocuments(before, document, after);
  if (!first.ok) return first;
  const conflicts = first.value.conflicts.filter(c => !IN_OWN_WORDS.has(c.at));
  if (!conflicts.length) return ok({ document: first.value.document, gaveWay: [] });
  const picks = Object.fromEntries(conflicts.map(c => [c.at, "theirs" as const]));
  const joined = mergeDocuments(before, document, after, picks);
  return joined.ok ? ok({ document: joined.value.document, gaveWay: conflicts }) : joined;
}
