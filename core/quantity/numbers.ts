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
