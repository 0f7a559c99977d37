/** What a recipe says is not to be done: kept in the cook’s own words, and never read as an order. */

/** Words after which something is told off: as far as a comma, a full stop or what happens instead, and never further than a short phrase. */
const TOLD_OFF =
  /\b(?:(?:you |we |i )?(?:do|does|did|must|should|may|can|will|would) ?n(?:o|’|')?t|don[’']?t|do not|must not|never|without|no need to|nothing to|not)\b(?! (?:longer|only|yet|until|forget|quite)\b)(?: (?!but\b|then\b|and\b|or\b|with\b|when\b|you\b|i\b)[^\s,;.]+){0,6}/gi;

/** "No salt", "no colour whatsoever", "no gills": a thing that is not there. */
const NOT_THERE =
  /\bno (?!longer\b|more than\b|less than\b|\d)[a-zé-]+(?: (?:at all|whatsoever|in it|of any kind))?/gi;

/** A clause with what it tells off taken out of it. */
export interface Apart {
  readonly rest: string;
  /** What is not to be, as it was said. */
  readonly nots: readonly string[];
}

/** Takes what is told off out of a clause. @example "Sweat until soft, no colour" → "Sweat until soft", "no colour" */
export function negationsApart(clause: string): Apart {
  const nots: string[] = [];
  const cut = (text: string, pattern: RegExp): string =>
    text.replace(pattern, said => {
      nots.push(said.trim());
      return " ";
    });
  const rest = cut(cut(clause, TOLD_OFF), NOT_THERE);
  return nots.length ? { rest: tidied(rest), nots } : { rest: clause, nots };
}

/** Blanks and marks that stood around what was taken out. */
const tidied = (text: string): string =>
  text
    .replace(/\s+/g, " ")
    .replace(/\s*([,;])(?:\s*[,;])+/g, "$1")
    .replace(/^[\s,;.!]+|[\s,;.!]+$/g, "")
    .replace(/\b(?:and|but|or)$/i, "")
    .trim();
