import { type Problem } from "./result";

/** What things of a kitchen may be called. The limits are those of the columns that keep them. */
export const LONGEST_ID = 40;
export const LONGEST_NAME = 120;
/** Sources, remarks: a sentence or two. */
export const LONGEST_WORDS = 300;

/** Words that pages of this application go by; a thing of that id could never be opened. */
const TAKEN: ReadonlySet<string> = new Set(["new", "import", "figures", "readings", "versions"]);

/** An id made of a name: small letters, digits and hyphens. Never one that a page goes by. */
export function idFor(name: string): string {
  const id =
    name
      .toLowerCase()
      .normalize("NFD")
      .replace(/\p{M}/gu, "")
      .replace(/[^a-z0-9]+/g, "-")
      .slice(0, LONGEST_ID)
      .replace(/^-+|-+$/g, "") || "ingredient";
  return TAKEN.has(id) ? `${id}-1` : id;
}

/**
 * What is wrong with an id that came from outside.
 * @errors OUT_OF_RANGE longer than 40 · NOT_UNDERSTOOD other signs than letters, digits and hyphens, or a page’s own word
 */
export function checkId(id: string, field = "id"): Problem[] {
  if (id.length > LONGEST_ID)
    return [
      {
        code: "OUT_OF_RANGE",
        field,
        value: id.slice(0, LONGEST_ID),
        allowed: LONGEST_ID,
        message: `The id “${id.slice(0, LONGEST_ID)}…” is longer than ${LONGEST_ID} signs.`,
      },
    ];
  if (!/^[a-z0-9](?:[a-z0-9-]*[a-z0-9])?$/i.test(id) || TAKEN.has(id.toLowerCase()))
    return [
      {
        code: "NOT_UNDERSTOOD",
        field,
        value: id,
        message: `“${id}” cannot be an id: letters, digits and hyphens, and no word that a page goes by (${[...TAKEN].join(", ")}).`,
      },
    ];
  return [];
}

/** @errors MISSING · OUT_OF_RANGE longer than the column */
export function checkName(name: string, field = "name", longest = LONGEST_NAME): Problem[] {
  if (!name.trim()) return [{ code: "MISSING", field, message: "What is it called?" }];
  return checkLength(name, field, "The name", longest);
}

/** @errors OUT_OF_RANGE longer than `longest` · NOT_UNDERSTOOD half a character */
export function checkLength(text: string, field: string, label: string, longest = LONGEST_WORDS): Problem[] {
  if (!text.isWellFormed())
    return [{ code: "NOT_UNDERSTOOD", field, message: `${label} holds half a character. Type it again.` }];
  return text.length <= longest
    ? []
    : [
        {
          code: "OUT_OF_RANGE",
          field,
          value: `${text.slice(0, 40)}…`,
          allowed: longest,
          message: `${label} has ${text.length} signs; ${longest} fit. Shorten it.`,
        },
      ];
}
