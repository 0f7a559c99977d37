import { CARDINAL, cardinal } from "../quantity";

const SAID = new RegExp(CARDINAL, "gi");

const PARTS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:an?|1)\s+(hour|minute)\s+and\s+a\s+half\b/gi, "1.5 $1s"],
  [/\b(?:an?|1)\s+(hour|minute)\s+and\s+a\s+quarter\b/gi, "1.25 $1s"],
  [/\b(?:an?|1)\s+(hour|minute)\s+and\s+(?:3|three)\s+quarters\b/gi, "1.75 $1s"],
  [/\b(\d+)\s+(hour|minute)s?\s+and\s+a\s+half\b/gi, "$1.5 $2s"],
  [/\b(\d+)\s+and\s+a\s+half\s+(hour|minute)s?\b/gi, "$1.5 $2s"],
  [/\b(?:3|three)\s+quarters\s+of\s+an?\s+(hour|minute)\b/gi, "0.75 $1s"],
  [/\b(?:a\s+)?quarter\s+of\s+an?\s+(hour|minute)\b/gi, "0.25 $1s"],
];

/**
 * Numbers said in words as figures, for reading times and temperatures of dictated text: "forty-five minutes",
 * "an hour and a half", "two hundred and twenty degrees". The rest of the text stays as it is.
 *
 * @example inFigures("simmer for two and a half hours") // "simmer for 2.5 hours"
 */
export function inFigures(text: string): string {
  const figures = text.replace(SAID, said => String(cardinal(said)));
  return PARTS.reduce((said, [pattern, as]) => said.replace(pattern, as), figures);
}

/**
 * The numbers in words that have an "and" of their own as figures, where an "and" divides what goes in:
 * "a hundred and twenty grams of shallots and thyme" // "120 grams of shallots and thyme"
 */
export const longNumbersInFigures = (text: string): string =>
  text.replace(SAID, said => (/\sand\s/i.test(said) ? String(cardinal(said)) : said));
