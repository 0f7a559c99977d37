// prettier-ignore
const UNITS = [
  "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve", "thirteen",
  "fourteen", "fifteen", "sixteen", "seventeen", "eighteen", "nineteen",
];
const TENS = ["twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"];

const unit = UNITS.toSorted((a, b) => b.length - a.length).join("|");
const belowHundred = `(?:(?:${TENS.join("|")})(?:[-\\s](?:${UNITS.slice(0, 9).join("|")}))?|${unit})\\b`;
const more = `(?:\\s+(?:and\\s+)?${belowHundred})?`;
const belowThousand = `(?:(?:(?:a|${belowHundred})\\s+)?hundred\\b${more}|${belowHundred})`;

/**
 * Pattern of a whole number said in words, 1 to 999 999: "forty-five", "two hundred and fifty", "fifteen hundred",
 * "a thousand two hundred". It begins and ends at the edge of a word; a bare "a" is not one.
 */
export const CARDINAL = `\\b(?:(?:(?:a|${belowThousand})\\s+)?thousand\\b(?:\\s+(?:and\\s+)?${belowThousand})?|${belowThousand})`;

const WORTH = new Map<string, number>([
  ...UNITS.map((word, i) => [word, i + 1] as const),
  ...TENS.map((word, i) => [word, 10 * (i + 2)] as const),
]);

/** Pattern of the figures after a decimal point, one word each: "two five". */
export const DECIMALS = `(?:(?:nought|oh|zero|${UNITS.slice(0, 9).join("|")})\\b\\s*)+`;

/** What a text that matches `DECIMALS` says: a share of one. */
export function decimals(words: string): number {
  const figures = words
    .toLowerCase()
    .trim()
    .split(/\s+/)
    .map(word => WORTH.get(word) ?? 0);
  return Number(`0.${figures.join("")}`);
}

/** What a text that matches `CARDINAL` says. */
export function cardinal(words: string): number {
  let thousands = 0;
  let rest = 0;
  for (const word of words.toLowerCase().split(/[-\s]+/)) {
    if (word === "thousand") {
      thousands = 1000 * (rest || 1);
      rest = 0;
    } else if (word === "hundred") rest = 100 * (rest || 1);
    else rest += WORTH.get(word) ?? 0;
  }
  return thousands + rest;
}
