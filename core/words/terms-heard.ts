import type { House } from "../things/house";
import { letterDistance, plainName } from "../things/larder";
import { printNumber } from "../ground/quantity";
import { type Term, VOCABULARY } from "./vocabulary";

/** A word of the trade found in what was said, where it needs a word of its own. */
export interface HeardTerm {
  /** As it was said. */
  readonly said: string;
  readonly term: Term;
  /** What it is taken to mean in this house. */
  readonly meaning: string;
  /** Meanings between which somebody has to choose. */
  readonly senses: readonly string[];
}

/** Shorter words are too easily something else. */
const SHORTEST_MISHEARD = 5;

/**
 * Words of the trade that were misspelt, misheard or mean more than one thing. A word written as it should be, with
 * one meaning, is not reported.
 * @param house its own definitions are taken without asking
 */
export function termsHeard(text: string, house: House): HeardTerm[] {
  const words = text.split(/[\s,;:.()]+/).filter(Boolean);
  const heard = new Map<string, HeardTerm>();
  for (let i = 0; i < words.length; i++)
    for (let length = Math.min(3, words.length - i); length > 0; length--) {
      const said = words.slice(i, i + length).join(" ");
      const term = named(said) ?? (length === 1 ? misheard(said) : null);
      if (!term) continue;
      if (term.id === "demi-glace") heard.set(term.id, { said, term, meaning: demiGlace(house), senses: [] });
      else if (term.senses) heard.set(term.id, { said, term, meaning: term.meaning, senses: term.senses });
      else if (!plainName(term.term).includes(plainName(said)) && !isInflected(said, term.term))
        heard.set(term.id, { said, term, meaning: term.meaning, senses: [] });
      i += length - 1;
      break;
    }
  return [...heard.values()];
}

/** Words in a name that this house has settled for itself, each with what it means here: for cards and labels. */
export const houseTermsIn = (name: string, house: House): string[] =>
  termsHeard(name, house)
    .filter(({ term }) => term.id === "demi-glace")
    .map(({ term, meaning }) => `${term.term} ${meaning}`);

const demiGlace = ({ demiGlace }: House): string =>
  `in this house: unsalted brown stock to ${printNumber(100 * demiGlace.to)}\u00a0%, ${demiGlace.bound ? "bound" : "unbound"}`;

const named = (said: string): Term | undefined =>
  VOCABULARY.find(term => [term.term, ...term.also].some(name => plainName(name) === plainName(said)));

const misheard = (said: string): Term | undefined => {
  const word = plainName(said);
  if (word.length < SHORTEST_MISHEARD) return undefined;
  return VOCABULARY.find(term =>
    [term.term, ...term.also].some(
      name =>
        !name.includes(" ") &&
        plainName(name)[0] === word[0] &&
        Math.abs(name.length - word.length) <= 2 &&
        letterDistance(plainName(name), word) === 1,
    ),
  );
};

/** “roasted”, “roasting” and “roasts” are the word “roast”. */
const isInflected = (said: string, term: string): boolean => stem(said) === stem(term);
const stem = (word: string): string => plainName(word).replace(/(ing|ed|es|s|d|e)$/, "");
