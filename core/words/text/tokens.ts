import { ABBREVIATIONS } from "../lexicon/abbreviations";
import { verbCalled } from "../lexicon/verbs";

/** A word, number or sign of a text, and where it stands there. */
export interface Token {
  readonly kind: "word" | "number" | "mark" | "break";
  /** As it was written. */
  readonly text: string;
  /** Lower case without accents, abbreviations written out: how words are compared. */
  readonly plain: string;
  readonly at: number;
  readonly end: number;
  /** Of a number. */
  readonly value: number;
  /** "1,200" may be twelve hundred, or one and a fifth. */
  readonly ambiguous: boolean;
  /** Nothing stands between it and the token before. */
  readonly tight: boolean;
}

const FRACTION_SIGNS: Readonly<Record<string, number>> = {
  "½": 1 / 2, "⅓": 1 / 3, "⅔": 2 / 3, "¼": 1 / 4, "¾": 3 / 4, "⅕": 1 / 5, "⅖": 2 / 5, "⅗": 3 / 5, "⅘": 4 / 5,
  "⅙": 1 / 6, "⅚": 5 / 6, "⅛": 1 / 8, "⅜": 3 / 8, "⅝": 5 / 8, "⅞": 7 / 8,
}; // prettier-ignore
const SIGNS = Object.keys(FRACTION_SIGNS).join("");

const PIECE = new RegExp(
  [
    "\\r?\\n",
    // A fraction, alone or after its whole: 1/2, ½. The list 750/450/300 is none.
    `(?<![\\d/])\\d{1,2}\\/\\d{1,2}(?![\\d/])`,
    `[${SIGNS}]`,
    `\\d+(?:[.,]\\d+)*`,
    "[\\p{L}][\\p{L}\\p{M}]*(?:['’_][\\p{L}]+)*",
    "->|=>|\\+\\/-|--|\\S",
  ].join("|"),
  "giu",
);

/** Largest under part of a fraction that a cook writes. */
const MOST_PARTS = 16;

/** The words, numbers and signs of a text in order. */
export function tokensOf(text: string): Token[] {
  const found: Token[] = [];
  let hyphen = false;
  for (const match of text.replace(/\b(bone|skin|shell|head)-(in|on|off)\b/gi, "$1_$2").matchAll(PIECE)) {
    const at = match.index;
    const written = match[0].replace("_", "-");
    const last = found.at(-1);
    // A hyphen between two words is none of its own; the second stands tight against the first.
    const tight = last?.end === at || hyphen;
    hyphen = false;
    const base = { text: written, at, end: at + written.length, value: NaN, ambiguous: false, tight };
    if (/^\r?\n$/.test(written)) found.push({ ...base, kind: "break", plain: "\n" });
    else if (/^[\d½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/.test(written)) found.push(...numbersIn(written, base));
    else if (/^\p{L}/u.test(written)) {
      // "Tbsp." and "shall." end no sentence; the stop goes with the word.
      const short = shortOf(written, last, text.slice(base.end));
      if (short) found.push({ ...base, kind: "word", plain: short });
      else found.push({ ...base, kind: "word", plain: plainWord(written) });
    } else if (
      /^['’′]$/.test(written) &&
      tight &&
      last?.kind === "number" &&
      !/^\p{L}/u.test(text.slice(base.end))
    )
      // "35' lid on" is minutes.
      found.push({ ...base, kind: "word", plain: "minute" });
    else if (written === "." && isShortened(last, text.slice(base.end))) continue;
    else if (written === "-" && tight && /^\p{L}/u.test(text.slice(base.end)) && last?.kind === "word")
      hyphen = true;
    else found.push({ ...base, kind: "mark", plain: MARKS[written] ?? written });
  }
  return found;
}

const MARKS: Readonly<Record<string, string>> = {
  "->": "→", "=>": "→", "–": "-", "—": "—", "--": "—", "•": "•", "·": "•", "“": '"', "”": '"', "＋": "+", "+/-": "±",
}; // prettier-ignore

function numbersIn(written: string, base: Omit<Token, "kind" | "plain">): Token[] {
  const sign = FRACTION_SIGNS[written];
  const [over = 0, under = 0] = written.includes("/") ? written.split("/").map(Number) : [];
  const number = (value: number, ambiguous = false): Token => ({
    ...base,
    kind: "number",
    plain: written,
    value,
    ambiguous,
  });
  if (sign !== undefined) return [number(sign)];
  if (under > 0 && over < under && under <= MOST_PARTS) return [number(over / under)];
  if (under > 0) {
    // "100/80" are two numbers.
    const cut = written.indexOf("/");
    return [
      { ...number(over), text: written.slice(0, cut), end: base.at + cut },
      {
        ...number(NaN),
        kind: "mark",
        plain: "/",
        text: "/",
        at: base.at + cut,
        end: base.at + cut + 1,
        tight: true,
      },
      { ...number(under), text: written.slice(cut + 1), at: base.at + cut + 1, tight: true },
    ];
  }
  const thousands = /^[1-9]\d{0,2},\d{3}$/.test(written);
  const value = thousands ? Number(written.replace(",", "")) : Number(written.replace(",", "."));
  return [number(Number.isFinite(value) ? value : Number(written.replace(/[.,]/g, "")), thousands)];
}

export const plainWord = (word: string): string =>
  word
    .toLowerCase()
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .replace(/œ/g, "oe")
    // "d'échalotes", "l'oignon"
    .replace(/^[dl]['’](?=[aeiouh])/, "")
    .replace(/['’]/g, "");

/** "2 T butter", "1/2 c flour", "1 t salt": capitals tell a tablespoon from a teaspoon. */
function shortOf(written: string, last: Token | undefined, rest: string): string | null {
  if (last?.kind === "number") {
    if (written === "T") return "tablespoon";
    if (written === "t") return "teaspoon";
    if (/^c$/i.test(written) && last.value <= 12 && !/^\s*$/.test(rest)) return "cup";
    if (written === "k") return "kg";
  }
  // "vin rouge" is wine, "vin." vinegar; "2 l ww" is white wine only behind an amount.
  if (/^vin$/i.test(written) && /^\s*(?:rouge|blanc)/i.test(rest)) return null;
  // "red. 1/2", "red. till it binds".
  if (/^red$/i.test(written) && /^\.?\s*(?:\d|by\b|to\b|till\b|until\b|[½⅓⅔¼¾])/.test(rest)) return "reduce";
  if (written === "S" && /^\s*[+&]\s*P\b/.test(rest)) return "salt";
  if (written === "P" && last?.kind === "mark" && /[+&]/.test(last.plain)) return "pepper";
  return ABBREVIATIONS.get(plainWord(written)) ?? null;
}

/** A stop after a word cut short, such as "tbsp.", or between a number and what it counts, ends no sentence. */
function isShortened(last: Token | undefined, rest: string): boolean {
  if (last?.kind !== "word") return false;
  if (rest.trim() === "" || /^\s*\n/.test(rest)) return false;
  // "Lemon, 1 tsp. Serve at once": an order in capitals begins anew.
  const next = /^\s+(\p{Lu}\p{L}+)/u.exec(rest)?.[1];
  if (next && verbCalled(plainWord(next)) !== null) return false;
  return (
    ABBREVIATIONS.has(plainWord(last.text)) ||
    (last.plain === "reduce" && /^red$/i.test(last.text)) ||
    (/^[Ttc]$/.test(last.text) && last.plain.length > 1)
  );
}
