import { type Ingredient, ingredientCalled, plainName, readMeasure } from "../things/larder";
import { CARDINAL } from "../ground/quantity";
import { isFormula } from "./house-formulas";

/** An ingredient found in a clause, with the amount said for it. */
export interface SaidIngredient {
  readonly ingredient: Ingredient;
  /** As it was said: "2 knobs", empty where no amount was. */
  readonly said: string;
  readonly massG: number | null;
  /** A spoon, a knob, a piece: a guess until it is weighed. */
  readonly guessed: boolean;
  readonly understood: string;
  /** Whether "the" stood before it: it may be what went in before. */
  readonly definite: boolean;
  /** A share of it that was said, or what is left of it. */
  readonly part: number | "rest" | null;
  /** A share of something that was not said, per cent: "10 % butter". */
  readonly pct: number | null;
}

/** Most words an ingredient's name has, a comma counted as one. */
const LONGEST_NAME = 6;
const LONGEST_AMOUNT = 6;
/** Words that are names of ingredients too, but mean something else in a clause. */
const NOT_MEANT: ReadonlySet<string> = new Set(["stock", "liquor", "cover", "oil the", "season", "peppers"]);

/** Single words that are enough to name an ingredient in this recipe. */
export type ShortNames = ReadonlyMap<string, Ingredient>;
const NONE: ShortNames = new Map();

/**
 * Ingredients of a clause with what was said of their amounts, in order.
 * @param shortNames count before single words of the larder: "oil" is the oil of this recipe
 */
export function ingredientsSaid(
  clause: string,
  larder: readonly Ingredient[],
  shortNames: ShortNames = NONE,
): SaidIngredient[] {
  const words = clause
    .replace(/[;:()]/g, " , ")
    .replace(/,/g, " , ")
    .split(/\s+/)
    .filter(Boolean);
  const found: SaidIngredient[] = [];
  let from = 0;
  for (let i = 0; i < words.length; i++) {
    const named = nameAt(words, i, larder);
    const hit = named && named.length > 1 ? named : (shortNameAt(words, i, shortNames) ?? named);
    if (!hit || isMeasureOfNext(words, i, hit, larder) || isRindOf(words, i)) continue;
    const head: string[] = [];
    let definite = false;
    for (let j = i - 1; j >= Math.max(from, i - LONGEST_AMOUNT); j--) {
      const word = (words[j] ?? "").toLowerCase();
      const ofThe = word === "the" && words[j - 1]?.toLowerCase() === "of";
      definite ||= word === "the";
      if (ofThe) continue;
      if (word === "," || /^(and|with|then|the|in)$/.test(word)) break;
      head.unshift(words[j] ?? "");
    }
    const before = words.slice(Math.max(from, i - LONGEST_AMOUNT), i).join(" ");
    found.push({
      ...amountOf(head, words.slice(i + hit.length), hit, larder),
      definite,
      part: partSaid(before),
      pct: percentSaid(before),
    });
    i += hit.length - 1;
    from = i + 1;
  }
  return found.filter(
    (one, i) =>
      one.massG !== null ||
      (found.findIndex(f => f.ingredient.id === one.ingredient.id) === i &&
        !found.some(f => f.ingredient.id === one.ingredient.id && f.massG !== null)),
  );
}

/** What was said of how much: before the name, or else after it. */
function amountOf(
  head: readonly string[],
  tail: readonly string[],
  hit: Named,
  larder: readonly Ingredient[],
): SaidIngredient {
  const before = juiceOf(head, hit, larder) ?? amountBefore(head, hit.ingredient, hit.name, larder);
  if (before.massG !== null) return before;
  const [, after] = AMOUNT_AFTER.exec(tail.join(" ")) ?? [];
  return after ? amountBefore(after.split(" "), hit.ingredient, hit.name, larder) : before;
}

/** "butter 70 g, flour 70 g": nothing but the amount until the next thing. */
const AMOUNT_AFTER =
  /^(?:[:–-]\s*)?(\d[\d.,/]*\s*(?:k?g|ml|cl|dl|l|lit(?:re|er)s?|oz|lbs?|tbsp|tsp|cups?|pcs|pieces?))(?=\s*(?:$|[,.;]|(?:and|with|in|to|until|then)\b))/i;

/** "half the vinegar", "the rest of the oil": a share of what the recipe lists, `"rest"` for what is left of it. */
function partSaid(before: string): SaidIngredient["part"] {
  if (/\b(?:remaining|rest of(?: the)?|other half(?: of)?(?: the)?)\s*$/i.test(before)) return "rest";
  const [, share = ""] = /\b(half|a third|a quarter)\s+(?:of\s+)?(?:the\s*)?$/i.exec(before) ?? [];
  return PARTS[share.toLowerCase()] ?? null;
}
const PARTS: Readonly<Record<string, number>> = { half: 1 / 2, "a third": 1 / 3, "a quarter": 1 / 4 };

/** "the zest of an orange" is no orange. */
const isRindOf = (words: readonly string[], i: number): boolean =>
  /\b(?:zest|peel|rind) of(?: the| an?| half an?| \S+)?$/i.test(words.slice(Math.max(0, i - 4), i).join(" "));

function percentSaid(before: string): number | null {
  const [, said] =
    /(\d+(?:[.,]\d+)?)\s*(?:%|per ?cent)\s*(?:of\s+)?(?:[a-z-]+\s+){0,2}$/i.exec(`${before} `) ?? [];
  return said === undefined ? null : Number(said.replace(",", "."));
}

/** "2 cloves garlic", "a head of celery": no cloves. */
function isMeasureOfNext(
  words: readonly string[],
  i: number,
  { name, length }: Named,
  larder: readonly Ingredient[],
): boolean {
  const next = i + length + (words[i + length]?.toLowerCase() === "of" ? 1 : 0);
  const thing = nameAt(words, next, larder)?.ingredient;
  return !!thing?.measures.some(measure => plainName(measure.name) === plainName(name));
}

/** "the juice of half a lemon": the larder counts the juice by its fruit. */
function juiceOf(
  head: readonly string[],
  { ingredient }: Named,
  larder: readonly Ingredient[],
): SaidIngredient | null {
  const [, count] = /\bjuice of\s+(.*)$/i.exec(head.join(" ")) ?? [];
  const [fruit = ""] = ingredient.name.split(",");
  const juice = count === undefined ? null : ingredientCalled(larder, `${fruit} juice`);
  const read = juice && amountBefore((count ?? "").split(/\s+/), juice, fruit, larder);
  return read && { ...read, guessed: true };
}

interface Named {
  readonly ingredient: Ingredient;
  /** As it stands in the clause. */
  readonly name: string;
  /** So many words, a comma counted as one. */
  readonly length: number;
}

function shortNameAt(words: readonly string[], i: number, shortNames: ShortNames): Named | null {
  const name = (words[i] ?? "").replace(/[.]$/, "");
  const ingredient = shortNames.get(plainName(name));
  return ingredient ? { ingredient, name, length: 1 } : null;
}

function nameAt(words: readonly string[], i: number, larder: readonly Ingredient[]): Named | null {
  for (let length = Math.min(LONGEST_NAME, words.length - i); length > 0; length--) {
    const name = words
      .slice(i, i + length)
      .join(" ")
      .replaceAll(" ,", ",")
      .replace(/[.]$/, "");
    if (/^,|,$/.test(name) || name.length < 3 || NOT_MEANT.has(name.toLowerCase())) continue;
    const ingredient = ingredientCalled(larder, name);
    if (ingredient) return { ingredient, name, length };
  }
  return null;
}

const A_NUMBER = new RegExp(`\\d|½|¼|⅓|¾|\\b(?:an?|half|point|some|pinch|knob)\\b|${CARDINAL}`, "i");

/** The longest stretch before a name that reads as an amount; words such as "fresh" or "cold" may stand between. */
function amountBefore(
  head: readonly string[],
  ingredient: Ingredient,
  name: string,
  larder: readonly Ingredient[],
): SaidIngredient {
  for (let from = 0; from < head.length; from++)
    for (let to = head.length; to > from; to--) {
      const said = head
        .slice(from, to)
        .join(" ")
        .replace(/\s+of$/i, "");
      // "½ cup" of what nobody has measured by the cup is not half a piece.
      if (!A_NUMBER.test(said) || A_UNIT.test(head[to] ?? "")) continue;
      // "2 lemons" is an amount of their juice, "2" is none.
      const asSaid = to === head.length ? [said, `${said} ${name}`] : [said];
      for (const amount of asSaid) {
        const read = readMeasure(amount, larder, ingredient, "text");
        if (read.ok && read.value.massG !== null && read.value.massG > 0)
          return {
            ...UNSAID,
            ingredient,
            said,
            massG: read.value.massG,
            guessed: read.value.loG !== read.value.hiG || (isFormula(ingredient) && !A_WEIGHT.test(said)),
            understood: read.value.understood,
          };
      }
    }
  return { ...UNSAID, ingredient };
}

const A_UNIT =
  /^(?:cups?|tbsp|tablespoons?|tsp|teaspoons?|pints?|quarts?|ounces?|oz|pounds?|lbs?|k?g|grams?|ml|cl|dl|l|lit(?:re|er)s?|tins?|cans?|packets?|bunch(?:es)?|handfuls?)$/i;
/** What was weighed needs no density. */
const A_WEIGHT = /(?:k?g|grams?|kilos?|oz|ounces?|lbs?|pounds?)$/i;

const UNSAID = {
  said: "",
  massG: null,
  guessed: false,
  understood: "",
  definite: false,
  part: null,
  pct: null,
} as const;
