import { type Ingredient, ingredientCalled, readMeasure } from "../things/larder";
import { CARDINAL, printNumber } from "../ground/quantity";
import { VOCABULARY } from "./vocabulary";

/** Words that stand for several ingredients, with their parts. Common practice, no source. */
interface Bundle {
  /** The word of the trade, by the id of its entry in the vocabulary. */
  readonly term: string;
  readonly parts: readonly (readonly [name: string, parts: number])[];
  /** How it is said what was taken. */
  readonly words: string;
}
const BUNDLES: readonly Bundle[] = [
  {
    term: "white mirepoix",
    parts: [
      ["onion", 1],
      ["leek", 1],
      ["celery", 1],
    ],
    words: "onion, leek and celery alike",
  },
  {
    term: "mirepoix",
    parts: [
      ["onion", 2],
      ["carrot", 1],
      ["celery", 1],
    ],
    words: "two parts onion, one carrot, one celery",
  },
  {
    term: "bouquet garni",
    parts: [
      ["parsley stems", 1],
      ["thyme", 1],
      ["bay leaf", 1],
    ],
    words: "parsley stems, thyme and bay, tied; it comes out again",
  },
];

const AMOUNT = `(?:\\d[\\d.,/½¼¾]*|half a|an?|${CARDINAL})\\s*(?:kg|kilos?|g|grams?|oz|ounces?|lbs?|pounds?)`;

const saysOf = (term: string): string =>
  [term, ...(VOCABULARY.find(entry => entry.term === term)?.also ?? [])].join("|");

/** A clause with the words that stand for several things put as these things, and what is asked of each. */
export interface Unbundled {
  readonly clause: string;
  readonly questions: readonly string[];
}

/**
 * Puts the things themselves for what stands for several of them: "1 kg mirepoix" → "500 g onion, 250 g carrot, 250 g
 * celery". A clause that names the parts itself stays, and so does a bundle that went in before.
 * @param opened the bundles that went in before; this one is added
 */
export function unbundled(clause: string, larder: readonly Ingredient[], opened: Set<string>): Unbundled {
  for (const { term, parts, words } of BUNDLES) {
    const said = new RegExp(
      `(?:(${AMOUNT})\\s+(?:of\\s+)?(?:[a-z-]+\\s+){0,2}?)?(?:(?:a|the)\\s+)?\\b(?:${saysOf(term)})\\b`,
      "i",
    );
    const match = said.exec(clause);
    if (!match || parts.some(([name]) => clause.toLowerCase().includes(name))) continue;
    const [heard, amount] = match;
    if (!amount && opened.has(term)) return { clause, questions: [] };
    opened.add(term);
    const read = amount ? readMeasure(amount, larder, null, "text") : null;
    const massG = read?.ok ? read.value.massG : null;
    const whole = parts.reduce((sum, [, part]) => sum + part, 0);
    const things = parts
      .filter(([name]) => ingredientCalled(larder, name))
      .map(([name, part]) => (massG === null ? name : `${((massG * part) / whole).toFixed(1)} g ${name}`));
    return {
      clause: clause.replace(heard, things.join(", ")),
      // Without a weight each of its parts is asked for anyway.
      questions: massG === null ? [] : [`What is in ${printNumber(massG)} g of ${term}? Taken: ${words}.`],
    };
  }
  return { clause, questions: [] };
}
