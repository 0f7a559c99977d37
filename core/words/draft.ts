import { type KitchenData, madeIn } from "../formula";
import { plainName } from "../things/larder";
import { withSaltDoubts } from "./doubts";
import { asIngredients } from "./house-formulas";
import { Lexicon } from "./lexicon/things";
import type { DraftPiece } from "./piece";
import { plainText } from "./text/plain-text";
import { tokensOf } from "./text/tokens";
import type { WordFate } from "./reading/account";
import { type Chunk, chunksOf } from "./reading/chunks";
import { clausesOf } from "./reading/clauses";
import { type Said, layoutOf } from "./reading/layout";
import { Reader } from "./reading/reader";

/** More than any recipe; a book is pasted recipe by recipe. */
export const LONGEST_RECIPE = 12_000;
/** No sentence of a recipe is as long, and no word; such a stretch is kept as it stands and read as nothing. */
const LONGEST_SENTENCE = 2500;
const LONGEST_WORD = 60;

export interface RecipeDraft {
  readonly name: string;
  readonly pieces: readonly DraftPiece[];
  /** The text as it was read: of a web page or recipe data, its words. */
  readonly text: string;
  /** What became of each of its words. */
  readonly words: readonly WordFate[];
  /** Words no step was found in. */
  readonly unread: readonly string[];
  /** Signs at the end that were not looked at, because the text is longer than `LONGEST_RECIPE`. */
  readonly leftOut: number;
}

/**
 * Reads a dictated or typed recipe into steps with their lines, temperatures, times and ends.
 *
 * Rules only, no network. What is missing is asked, never filled in silently: a usual amount stands as assumed.
 *
 * @param kitchen names are looked up in its larder and among its own formulas
 * @param id      makes a new id each time
 */
export function draftRecipe(
  text: string,
  kitchen: Pick<KitchenData, "ingredients" | "formulas" | "madeHere">,
  id: () => string,
): RecipeDraft {
  const larder = [...asIngredients(madeIn(kitchen)), ...kitchen.ingredients];
  const looked = upTo(text, LONGEST_RECIPE);
  const readable = plainText(looked);
  const { name, said, titles } = layoutOf(readable);
  const lexicon = new Lexicon(larder);
  const reader = new Reader(lexicon, at => readable.slice(at), id);
  reader.wholeText = readable;
  reader.title = readable.split("\n")[0] ?? "";
  const narrated =
    /\b(?:i|we) (?:\w+ed|took|put|made|brought|let|kept|cooked|went)\b|\bwent in\b|\bnobody \w+ed\b/i.test(
      readable,
    );
  const lists = listedIn(said, lexicon, narrated);
  said.forEach((one, i) => {
    if (!isSentence(one)) {
      reader.unread.push(one.text);
      return;
    }
    reader.useTokens(one.tokens);
    const chunks = chunksOf(one.tokens, lexicon);
    if (lists.has(i))
      reader.list(
        clausesOf(readable, one.tokens, asItems(chunks), narrated),
        one.text,
        one.heading,
        !one.wholeLine,
      );
    else reader.read(clausesOf(readable, one.tokens, chunks, narrated), one.heading);
  });
  const pieces = withSaltDoubts(reader.finish());
  const words = [
    ...titles.flatMap(([from, to]) => reader.wordsOf(tokensIn(readable, from, to), true)),
    ...said.flatMap(one => reader.wordsOf(one.tokens)),
  ].sort((a, b) => a.at - b.at);
  return {
    name,
    text: readable,
    pieces,
    words,
    unread: reader.unread,
    leftOut: text.length - looked.length,
  };
}

const tokensIn = (text: string, from: number, to: number) =>
  tokensOf(text.slice(from, to)).map(token => ({ ...token, at: token.at + from, end: token.end + from }));

/** So much of a text, to the end of a line or sentence: half a sentence may say something else. */
function upTo(text: string, most: number): string {
  if (text.length <= most) return text;
  const start = text.slice(0, most);
  return start.slice(0, 1 + Math.max(start.lastIndexOf("\n"), start.lastIndexOf(". ")));
}

const isSentence = ({ text, tokens }: Said): boolean =>
  text.length <= LONGEST_SENTENCE && !tokens.some(token => token.text.length > LONGEST_WORD);

/** In a list what was done to a thing is said of it and is no order: "40 g arrowroot, slaked in 80 ml cold water". */
const asItems = (chunks: readonly Chunk[]): Chunk[] =>
  chunks.map(chunk => (chunk.type === "verb" ? { ...chunk, form: "part" as const } : chunk));

const LIST_HEADING = /^(?:ingredients?|you need|what you need|you'll need)/i;
/** A list shares at least so many of its things with what is told to be done. */
const NAMED_LATER = 0.3;
const LEAST_LINES = 2;
const LEAST_ON_A_LINE = 4;

/** Which lines only list what the method tells what to do with. */
function listedIn(said: readonly Said[], lexicon: Lexicon, narrated: boolean): ReadonlySet<number> {
  const listed = new Set<number>();
  const items = said.map(one => (isSentence(one) ? itemsOf(one, lexicon, narrated) : null));
  for (let i = 0; i < said.length; i++) {
    const here = said[i];
    if (!items[i] || here === undefined) continue;
    if (LIST_HEADING.test(here.heading)) {
      if (items[i]) listed.add(i);
      continue;
    }
    let to = i;
    while (
      to < said.length &&
      items[to] &&
      (said[to]?.numbered ?? false) === here.numbered &&
      (to === i || said[to]?.heading === here.heading || said[to]?.bullet || said[to]?.labelled)
    )
      to += 1;
    const run = said.slice(i, to);
    const names = items.slice(i, to).flatMap(one => one ?? []);
    const rest = plainName(
      said
        .slice(to)
        .flatMap(one => one.tokens.map(t => t.plain))
        .join(" "),
    );
    const again = names.filter(name => mentions(rest, name)).length;
    const all = /\b(?:everything|all (?:in|together|into)|combine|whisk all|mix all)\b/.test(rest);
    const lines = run.filter(one => one.wholeLine).length;
    const isList =
      !here.numbered &&
      rest.length > 10 &&
      names.length > 0 &&
      (again / names.length >= NAMED_LATER || (all && names.length > 1)) &&
      (lines >= LEAST_LINES ||
        names.length >= LEAST_ON_A_LINE ||
        (i === 0 && names.length > 1) ||
        run.some(one => one.bullet) ||
        again === names.length);
    if (isList) for (let k = i; k < to; k++) listed.add(k);
    i = Math.max(i, to - 1);
  }
  return listed;
}

/** Whether a text names a thing, if only by the last word of its name. */
function mentions(rest: string, name: string): boolean {
  const words = plainName(name).split(" ");
  const last = words.at(-1) ?? "";
  const found = new RegExp(`\\b${last.replace(/[^a-z0-9]/g, "")}\\b`).test(rest);
  return (
    found ||
    (words.length > 1 &&
      new RegExp(`\\b${(words[0] ?? "").replace(/[^a-z0-9]/g, "")}\\b`).test(rest) &&
      (words[0]?.length ?? 0) > 3)
  );
}

/** The names of a line that only names things, with or without amounts; `null` where it tells what to do. */
function itemsOf({ tokens }: Said, lexicon: Lexicon, narrated: boolean): string[] | null {
  const chunks = chunksOf(tokens, lexicon);
  const things = chunks.flatMap(chunk => (chunk.type === "thing" ? [chunk.named.name] : []));
  if (!things.length) return null;
  let brackets = 0;
  for (const [i, chunk] of chunks.entries()) {
    if (chunk.type === "mark" && chunk.mark === "(") brackets += 1;
    if (chunk.type === "mark" && chunk.mark === ")") brackets -= 1;
    if (brackets > 0) continue;
    if (chunk.type === "time" || chunk.type === "temperature" || chunk.type === "until") return null;
    if (chunk.type === "mark" && chunk.mark === "→") return null;
    if (chunk.type !== "verb") continue;
    const before = chunks[i - 1];
    const isModifier = before?.type === "mark" || before?.type === "thing";
    if (
      chunk.form === "gerund" ||
      chunk.form === "part" ||
      (chunk.form === "past" && (!narrated || isModifier))
    )
      continue;
    if (before?.type === "word" && /^(?:to|for|well|the|a)$/.test(before.plain)) continue;
    if (/^(?:help|aside)$/.test(chunk.verb.sense) && i > 0 && !narrated) continue;
    if (chunk.verb.sense === "prepare" && i > 0) continue;
    return null;
  }
  return things;
}
