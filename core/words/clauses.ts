import { STEP_KINDS } from "../formula";
import { NEXT_VERBS, deedSaid, kindSaid } from "./verbs";

const CLAUSES = /(?:\r?\n)+|(?<=[\p{L}0-9%)])[.;]\s+|,?\s+\bthen\b\s+/iu;
const NUMBERING = /^\s*(?:\d+[.)]|[-•*–])\s+/;

const NEXT = NEXT_VERBS.join("|");
/**
 * Verbs that after an "and" or a comma begin a step of their own; words that may as well tell a kind of thing (brown,
 * dry, rest) do not. Who simmers skims meanwhile: a "skim" after a comma is no step.
 */
const NEXT_DEED = new RegExp(
  `(?:\\s+and\\s+(?=(?:${NEXT}|skim)\\b)|\\s*,\\s*(?:and\\s+)?(?=(?:${NEXT})\\b))`,
  "i",
);
/** What is put somewhere, though no verb says so: "4 yolks, a spoon of mustard". */
const AN_AMOUNT = /\d\s*(?:k?g|grams?|kilos?|ml|cl|dl|l|lit(?:re|er)s?|tbsp|tsp|cups?|yolks?|eggs?)\b/i;

/** The steps that one clause tells: "deglaze with cider and reduce by half" is two, "bring to the boil and simmer" one. */
export function deedsOf(clause: string): string[] {
  const between = NEXT_DEED.exec(clause);
  if (!between) return [clause];
  const head = clause.slice(0, between.index);
  const [next = "", ...rest] = deedsOf(clause.slice(between.index + between[0].length));
  const kind = kindSaid(head) ?? (AN_AMOUNT.test(head) ? "add" : null);
  const then = kindSaid(next);
  return kind &&
    then &&
    (kind !== then || kind === "add") &&
    !STEP_KINDS[kind].heard?.includes?.includes(then)
    ? [head, next, ...rest]
    : [`${head}${between[0]}${next}`, ...rest];
}

const LONGEST_TITLE = 60;
const MOST_TITLE_WORDS = 6;
/** Words a name has no need of. */
const IN_A_SENTENCE = /\b(?:the|in|with|until|to|for|from|at|over|it|them)\b/i;
/** Verbs that tell a kind of thing as well: "Brown stock", "Roast garlic purée". */
const KIND_OF_THING = /^(?:brown|roast|dry|blanch)\b/i;

/** Whether the first words of a recipe are its name, and not a step of it. */
function isTitle(words: string): boolean {
  // "Velouté (1 litre)" is one.
  const bare = words.replace(/\s*\([^)]*\)\s*$/, "");
  if (/[\d,]/.test(bare) || words.length >= LONGEST_TITLE) return false;
  const deed = deedSaid(words);
  if (!deed) return true;
  const spoken = words.trim().split(/\s+/);
  return (
    spoken.length > 1 &&
    spoken.length <= MOST_TITLE_WORDS &&
    !IN_A_SENTENCE.test(words) &&
    !/ly$/i.test(spoken[0] ?? "") &&
    (deed.at > 0 || KIND_OF_THING.test(words))
  );
}

/** "Beurre blanc: reduce the wine …" */
const NAMED = /^\s*([^\d:\r\n.]{3,59}):\s+(?=\S)/;

/** Headings that say nothing of the dish. */
const HEADING =
  /^[^\S\r\n]*(?:ingredients|method|directions|preparation|procedure|instructions|steps)\s*:?[^\S\r\n]*$/gim;
/** A line of a list: an amount, then what it is of, or the other way round; no time. */
const LISTED =
  /^(?:[-•*–]\s*)?(?:(?:\d[\d.,/]*|[½¼¾⅓⅔]|an?|half an?|some|pinch)\s*(?![\d.,)]|(?:min|hour|h\b|°|degree))[^.;]{2,70}|[^\d.;:]{3,40}[\s:–-]+\d[\d.,/]*\s*(?:k?g|ml|cl|dl|l|oz|lb|tbsp|tsp)\.?)$/i;
/** "Salt and pepper": what a list names last, without an amount. */
const JUST_NAMED = /^[^.;:!?]{3,40}$/;
/** Shorter lists are said in passing. */
const LEAST_LISTED = 2;

/** What a recipe is made of, as it was written. */
export interface Told {
  /** Empty where it has none. */
  readonly name: string;
  /** Lines of the list that stands before the method. */
  readonly listed: readonly string[];
  /** Each the words of one step. */
  readonly clauses: readonly string[];
}

/** The name of a recipe, the list of its ingredients and its clauses. */
export function clausesOf(text: string): Told {
  const { name, rest } = nameAndRest(text.replace(HEADING, "").replace(SHORTENED, "$1").trim());
  const { listed, method } = listAndMethod(rest);
  return { name, listed, clauses: clausesIn(method).flatMap(deedsOf) };
}

/** A full stop that ends no sentence: "2 Tbsp. butter". */
const SHORTENED = /\b(tbsp|tsp|oz|lbs?|approx|ca)\.(?=\s)/gi;

const clausesIn = (text: string): string[] =>
  text
    .split(CLAUSES)
    .map(clause => clause.replace(NUMBERING, "").trim())
    .filter(clause => clause.length > 2);

function nameAndRest(text: string): { name: string; rest: string } {
  const [before = "", called = ""] = NAMED.exec(text) ?? [];
  if (called.trim() && isTitle(called)) return { name: called.trim(), rest: text.slice(before.length) };
  const [first = ""] = text.split(CLAUSES);
  const name = first.replace(NUMBERING, "").trim();
  return name && isTitle(name)
    ? { name: name.replace(/[:.]$/, ""), rest: text.slice(first.length).replace(/^[.;]/, "") }
    : { name: "", rest: text };
}

/** The lines before the first that tells what to do, where they list amounts and something follows them. */
function listAndMethod(text: string): { listed: readonly string[]; method: string } {
  const lines = text.split(/\r?\n/).map(line => line.trim());
  const isListed = (line: string) => LISTED.test(line) && deedSaid(line)?.at !== 0;
  const isNamed = (line: string) => JUST_NAMED.test(line) && deedSaid(line) === null;
  const end = lines.findIndex(
    (line, i) => line !== "" && !isListed(line) && !(i >= LEAST_LISTED && isNamed(line)),
  );
  const listed = lines.slice(0, Math.max(0, end)).filter(Boolean);
  return listed.length < LEAST_LISTED
    ? { listed: [], method: text }
    : {
        listed: listed.map(line => line.replace(/^[-•*–]\s*/, "")),
        method: lines.slice(end).join("\n"),
      };
}
