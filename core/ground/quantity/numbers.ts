import { CARDINAL, DECIMALS, cardinal, decimals } from "./cardinals";
import { type Failure, type Result, ok, refuse } from "../result";

/** Vulgar fractions a keyboard or a pasted recipe may hold. */
// prettier-ignore
const FRACTIONS: Readonly<Record<string, string>> = {
  "½": "1/2", "⅓": "1/3", "⅔": "2/3", "¼": "1/4", "¾": "3/4", "⅕": "1/5", "⅖": "2/5", "⅗": "3/5",
  "⅘": "4/5", "⅙": "1/6", "⅚": "5/6", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8", "⅞": "7/8",
};

const NUMBER = /^[-+−]?(?:\d{1,3}(?: \d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d+)?|[.,]\d+)?(?:\s*(\d+)\s*\/\s*(\d+))?/;

const notANumber = (text: string, field: string): Failure =>
  refuse({
    code: "NOT_UNDERSTOOD",
    field,
    value: text,
    message: `“${text.trim()}” is not an amount. Type a number, such as 2.5 or 1½.`,
  });

/**
 * Reads the number at the start of a text: "1½", "1 1/2", "2,5", "8 600", ".5".
 *
 * @returns the number and the rest of the text
 * @errors NOT_UNDERSTOOD no number there · AMBIGUOUS "1,200" may be 1.2 or 1200 · NOT_FINITE division by zero
 */
export function readNumber(text: string, field = "amount"): Result<{ value: number; rest: string }> {
  const spelled = text
    .trim()
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, f => ` ${FRACTIONS[f] ?? f}`)
    .replace(/[\u00a0\u2009\u202f]/g, " ")
    .trim();
  const sign = /^[-−]/.test(spelled) ? -1 : 1;
  const body = spelled.replace(/^[-+−]\s*/, "");

  const loneFraction = /^(\d+)\s*\/\s*(\d+)/.exec(body);
  const mixed = /^(\d+)\s+(\d+)\s*\/\s*(\d+)/.exec(body);
  const parts = mixed ?? (loneFraction ? [loneFraction[0], "0", loneFraction[1], loneFraction[2]] : null);
  if (parts) {
    const [whole = "", units = "0", over = "0", under = "1"] = parts;
    if (Number(under) === 0)
      return refuse({ code: "NOT_FINITE", field, value: text, message: `“${whole}” divides by nothing.` });
    return ok({
      value: sign * (Number(units) + Number(over) / Number(under)),
      rest: body.slice(whole.length),
    });
  }

  const match = NUMBER.exec(body)?.[0]?.trimEnd();
  if (!match) return notANumber(text, field);
  if (/^\d{1,3},\d{3}$/.test(match) && !match.startsWith("0"))
    return refuse({
      code: "AMBIGUOUS",
      field,
      value: text,
      message: `“${match}” can be read two ways. Type ${match.replace(",", "")} or ${match.replace(",", ".")}.`,
    });
  const value = Number(match.replace(/ /g, "").replace(",", "."));
  return Number.isFinite(value)
    ? ok({ value: sign * value, rest: body.slice(match.length) })
    : notANumber(text, field);
}

const COUNT = `(an?(?!\\s+(?:hundred|thousand)\\b)\\b|${CARDINAL})`;
const counted = (said: string): number => (/^an?$/i.test(said) ? 1 : cardinal(said));

/** "two point five", "point eight". */
const POINT = new RegExp(`^(?:(${CARDINAL})\\s+|(?:nought|oh|zero)\\s+)?point\\s+(${DECIMALS})`, "i");

/** Parts of one thing, and what is counted by the dozen; they go before the numbers that they begin with. */
const PARTS: readonly (readonly [RegExp, number])[] = [
  [/^half\s+a\s+dozen\b/i, 6],
  [/^(?:a|one)\s+dozen\b/i, 12],
  [/^(?:half|(?:a|one)\s+half\s+of)\s+an?\b/i, 1 / 2],
  [/^(?:a|one)\s+third\s+of\s+an?\b/i, 1 / 3],
  [/^two\s+thirds\s+of\s+an?\b/i, 2 / 3],
  [/^(?:a|one)\s+quarter\s+of\s+an?\b/i, 1 / 4],
  [/^three\s+quarters\s+of\s+an?\b/i, 3 / 4],
];

/** What may follow a number: "two and a half". */
const AND_A_PART: readonly (readonly [RegExp, number])[] = [
  [new RegExp(`^${COUNT}\\s+and\\s+a\\s+half\\b`, "i"), 1 / 2],
  [new RegExp(`^${COUNT}\\s+and\\s+a\\s+quarter\\b`, "i"), 1 / 4],
  [new RegExp(`^${COUNT}\\s+and\\s+three\\s+quarters\\b`, "i"), 3 / 4],
  [new RegExp(`^${COUNT}`, "i"), 0],
];

/**
 * The number at the start of a text that is said in words: "a", "half a", "two and a half", "three quarters of a",
 * "half a dozen", "two hundred and fifty", "two point five".
 *
 * @returns the number and the rest of the text; `null` where there is none
 */
export function saidNumber(text: string): { value: number; rest: string } | null {
  const said = text.trim();
  const point = POINT.exec(said);
  if (point)
    return {
      value: cardinal(point[1] ?? "") + decimals(point[2] ?? ""),
      rest: said.slice(point[0].trimEnd().length),
    };
  for (const [pattern, value] of PARTS) {
    const match = pattern.exec(said);
    if (match) return { value, rest: said.slice(match[0].length) };
  }
  for (const [pattern, part] of AND_A_PART) {
    const match = pattern.exec(said);
    if (match) return { value: counted(match[1] ?? "") + part, rest: said.slice(match[0].length) };
  }
  return null;
}
