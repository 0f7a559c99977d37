import { CARDINAL, cardinal } from "../ground/quantity";

const SAID = new RegExp(CARDINAL, "gi");

const PARTS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:an?|1)\s+(hour|minute)\s+and\s+a\s+half\b/gi, "1.5 $1s"],
  [/\b(?:an?|1)\s+(hour|minute)\s+and\s+a\s+quarter\b/gi, "1.25 $1s"],
  [/\b(?:an?|1)\s+(hour|minute)\s+and\s+(?:3|three)\s+quarters\b/gi, "1.75 $1s"],
  [/\b(\d+)\s+(hour|minute)s?\s+and\s+a\s+half\b/gi, "$1.5 $2s"],
  [/\b(\d+)\s+and\s+a\s+half\s+(hour|minute)s?\b/gi, "$1.5 $2s"],
  [/\b(?:3|three)\s+quarters\s+of\s+an?\s+(hour|minute)\b/gi, "0.75 $1s"],
  [/\b(?:a\s+)?quarter\s+of\s+an?\s+(hour|minute)\b/gi, "0.25 $1s"],
  [/\ba\s+couple\s+of\s+(hour|minute)s\b/gi, "2 $1s"],
];

/** "1½ hours", "1 1/2 hours", "3/4 hour". */
const BROKEN =
  /(?:(\d+)\s*)?(½|¼|¾|\b1\/2|\b1\/4|\b3\/4)(?=\s*(?:of an? )?(?:h\b|hrs?\b|hours?\b|mins?\b|minutes?\b))/gi;
const QUARTERS: Readonly<Record<string, number>> = { "¼": 1, "1/4": 1, "½": 2, "1/2": 2, "¾": 3, "3/4": 3 };

/**
 * Numbers said in words as figures, for reading times and temperatures of dictated text: "forty-five minutes",
 * "an hour and a half", "two hundred and twenty degrees". The rest of the text stays as it is.
 *
 * @example inFigures("simmer for two and a half hours") // "simmer for 2.5 hours"
 */
export function inFigures(text: string): string {
  const figures = text
    .replace(SAID, said => String(cardinal(said)))
    .replace(BROKEN, (_said, whole: string | undefined, part: string) =>
      String(Number(whole ?? 0) + (QUARTERS[part] ?? 0) / 4),
    );
  return PARTS.reduce((said, [pattern, as]) => said.replace(pattern, as), figures);
}

/**
 * The numbers in words that have an "and" of their own as figures, where an "and" divides what goes in:
 * "a hundred and twenty grams of shallots and thyme" // "120 grams of shallots and thyme"
 */
export const longNumbersInFigures = (text: string): string =>
  text.replace(SAID, said => (/\sand\s/i.test(said) ? String(cardinal(said)) : said));
