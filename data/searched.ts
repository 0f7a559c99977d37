import { type SQL, sql } from "drizzle-orm";
import type { FormulaDocument } from "../core/formula";
import { linesOf } from "../core/formula";
import { plainName } from "../core/things/larder";
import { formulaVersion } from "./schema";

/**
 * What a version is found by, as words of a full-text index: those of its name, its base, its school and its family, and
 * what goes into it by id. Each begins with a letter that says what it is, so that no word is too short or too common to be
 * looked for.
 */
export const KINDS = { word: "w", family: "f", larder: "i", formula: "s" } as const;
type Kind = keyof typeof KINDS;

/** Letters and digits only: whatever else an id has would part the word. */
export const token = (kind: Kind, id: string): string =>
  `${KINDS[kind]}_${id.toLowerCase().replace(/[^a-z0-9]/g, "_")}`;

export const wordsIn = (text: string): string[] => plainName(text).match(/[\p{L}\p{N}]+/gu) ?? [];

/** The words a document is found by. */
export function searchedOf(document: FormulaDocument): string {
  const words = [document.name, document.base.name, document.school].flatMap(wordsIn);
  return [
    ...new Set([
      ...words.map(word => `${KINDS.word}_${word}`),
      token("family", document.family),
      ...linesOf(document).map(({ of }) =>
        "larder" in of ? token("larder", of.larder) : token("formula", of.formula),
      ),
    ]),
  ].join(" ");
}

/** A word somebody types, with what it may mean besides a word of a name. */
export interface SearchWord {
  readonly word: string;
  readonly families: readonly string[];
  readonly ingredients: readonly string[];
  readonly formulas: readonly string[];
}

/** What must be in, and what must not. */
export interface Search {
  readonly words: readonly SearchWord[];
  readonly family: string | null;
  /** Things of the larder and formulas that must not go in. */
  readonly without: { readonly ingredients: readonly string[]; readonly formulas: readonly string[] };
}

/** Words and what must not be in, as MariaDB’s full text reads it; `null` where everything is found. */
export function matches({ words, without }: Search): SQL | null {
  const all = words.map(
    ({ word, families, ingredients, formulas }) =>
      `+(${[
        ...wordsIn(word).map(part => `${KINDS.word}_${part}*`),
        ...families.map(id => token("family", id)),
        ...ingredients.map(id => token("larder", id)),
        ...formulas.map(id => token("formula", id)),
      ].join(" ")})`,
  );
  const none = [
    ...without.ingredients.map(id => token("larder", id)),
    ...without.formulas.map(id => token("formula", id)),
  ];
  const against = (query: string) =>
    sql`match(${formulaVersion.searched}) against (${query} in boolean mode)`;
  // A search of nothing but exclusions finds nothing there: it is asked the other way round.
  if (!all.length) return none.length ? sql`not ${against(none.join(" "))}` : null;
  return against([...all, ...none.map(word => `-${word}`)].join(" "));
}
