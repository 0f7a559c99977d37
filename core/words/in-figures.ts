// prettier-ignore
const UNITS = [
  "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve", "thirteen",
  "fourteen", "fifteen", "sixteen", "seventeen", "eighteen", "nineteen",
];
const TENS = ["twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"];

const unit = UNITS.toSorted((a, b) => b.length - a.length).join("|");
const small = `(?:(?:${TENS.join("|")})(?:[-\\s](?:${UNITS.slice(0, 9).join("|")}))?|${unit})`;
const CARDINAL = new RegExp(
  `\\b(?:(a|${small})\\s+hundred(?:\\s+(?:and\\s+)?(${small}))?|(${small}))\\b`,
  "gi",
);

const WORTH = new Map<string, number>([
  ["a", 1],
  ...UNITS.map((word, i) => [word, i + 1] as const),
  ...TENS.map((word, i) => [word, 10 * (i + 2)] as const),
]);

/** "forty-five"; nothing said is nothing. */
const smallNumber = (words = ""): number =>
  words
    .toLowerCase()
    .split(/[-\s]/)
    .reduce((sum, word) => sum + (WORTH.get(word) ?? 0), 0);

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
 * "an hour and a half", "two hundred and twenty degrees". Up to 999; the rest of the text stays as it is.
 *
 * @example inFigures("simmer for two and a half hours") // "simmer for 2.5 hours"
 */
export function inFigures(text: string): string {
  const figures = text.replace(
    CARDINAL,
    (_, hundreds: string | undefined, more: string | undefined, alone: string | undefined) =>
      String(alone ? smallNumber(alone) : 100 * smallNumber(hundreds) + smallNumber(more)),
  );
  return PARTS.reduce((said, [pattern, as]) => said.replace(pattern, as), figures);
}
