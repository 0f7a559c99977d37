import Fuse from "fuse.js";
import { FAMILIES } from "~/core/families";
import { ALLERGENS, ALLERGEN_IDS, type Ingredient, plainName } from "~/core/things/larder";
import type { MeantWord } from "~/data";

/** A shorter word is in too many names to mean one of them. */
const SHORTEST = 3;

const wordsOf = (words: string): string[] => words.split(/\s+/).filter(Boolean);

/** What each word may mean besides a part of a name: a family, a thing that goes in, an allergen that it holds. */
export function meantBy(words: string, ingredients: readonly Ingredient[]): MeantWord[] {
  return wordsOf(words).map(word => {
    const bears = bearing(word);
    const allergens = ALLERGEN_IDS.filter(id => bears(ALLERGENS[id]) || bears(id));
    return {
      word,
      formulas: [],
      families: FAMILIES.filter(family => bears(family.name)).map(family => family.id),
      ingredients: ingredients
        .filter(i => [i.name, ...i.aliases].some(bears) || i.allergens?.some(a => allergens.includes(a)))
        .map(i => i.id),
    };
  });
}

/** Whether a name bears a word, however it is accented. */
export function bearing(word: string): (name: string) => boolean {
  const plain = plainName(word);
  return name => plain.length >= SHORTEST && plainName(name).includes(plain);
}

/** Further off than this it is another word, not a slip: 0 the same, 1 nothing alike. */
const SLIP = 0.4;

/** The words of a kitchen’s names, ready to be looked through. */
export interface KnownWords {
  readonly words: readonly string[];
  readonly near: Fuse<string>;
}

/** @param names what things and formulas of this kitchen are called */
export function knownWords(names: readonly string[]): KnownWords {
  const words = [...new Set(names.flatMap(name => plainName(name).match(/[\p{L}]{3,}/gu) ?? []))];
  return { words, near: new Fuse(words, { threshold: SLIP, includeScore: true, ignoreLocation: true }) };
}

/**
 * The words as they were probably meant, where one is misspelt or misheard: “mirpoy” is mirepoix.
 * @returns `null` where nothing is near
 */
export function probablyMeant(words: string, { words: known, near }: KnownWords): string | null {
  const meant = wordsOf(words).map(word => {
    const plain = plainName(word);
    return known.some(name => name.startsWith(plain)) ? word : (near.search(plain)[0]?.item ?? word);
  });
  const said = meant.join(" ");
  return said === wordsOf(words).join(" ") ? null : said;
}
