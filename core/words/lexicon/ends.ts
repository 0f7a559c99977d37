/** Where a reduction or a thickening ends, as it is said of the spoon, the pan or the eye. */
export type SaidEnd =
  | { readonly body: number }
  | { readonly dry: "au sec" | "gone" | "hisses" }
  | { readonly share: number; readonly way: "by" | "to" | "bare" };

/** Searched in the plain words of a clause; the first that is found counts. Bodies are common practice, no source. */
const TABLE: readonly (readonly [words: RegExp, end: SaidEnd])[] = [
  [
    /\b(?:begins? to|until (?:it|the pan)|till (?:it|the pan)|starts? to) hiss(?:es)?\b|\bhiss(?:es|ing)?\b/,
    { dry: "hisses" },
  ],
  [
    /\bau sec\b|\ba sec\b|\b(?:almost|nearly|practically|virtually|just about) (?:dry|gone|nothing)\b|\ball but gone\b/,
    { dry: "au sec" },
  ],
  [
    /\b(?:liquid|liquor|wine|water|it|that|they|drop|drops|moisture|juice|sherry|brandy) (?:has|have|is|s|had) (?:all |completely |just |but |too )*(?:gone|evaporated|cooked off|boiled away|disappeared)\b|\b(?:gone|evaporated)(?: as well| too)?$|\bthats gone\b|\bcook(?:ed)? (?:it |that |them )?(?:off|dry)\b|\bwater out of\b|\btaken it back\b|\bboil(?:ed)? (?:it |that )?away\b|\buntil gone\b|\btill (?:its |it is )?gone\b/,
    { dry: "gone" },
  ],
  [
    /\b(?:until|till|fried until|cook|cooked|reduce|reduced|let go) (?:it is |its |it |they are |completely |quite )?dry\b|\bdry again\b|(?:^|- |, |and )dry$|\bits dry\b/,
    { dry: "gone" },
  ],
  [/\bonly a glaze (?:was |is )?left\b|\ba film\b/, { dry: "au sec" }],
  [/\bmound(?:s|ed|ing)?\b|\bholds? its shape\b|\bstays? in (?:a )?(?:heap|mound)\b/, { body: 57 }],
  [/\bto (?:a )?(?:glaze|glace)\b|\bmeat glaze consistency\b/, { body: 54 }],
  [/\bdrops? off the spoon in a sheet\b|\bin a sheet\b|\bsheets off\b/, { body: 46 }],
  [
    /\bjust (?:barely )?(?:coats?|naps?|covers?) (?:a|the|the back of (?:a|the)) spoon\b|\bjust coats?\b|\blight(?:ly)? (?:nappe|coats?|naps?)\b/,
    { body: 40 },
  ],
  [
    /\bnappe\b|\bnap(?:s|e)\b|\bcoats? (?:a|the|the back of (?:a|the)|back of (?:a|the)) (?:back of (?:a|the) )?spoon\b|\bit coats\b|\bcoats? it\b|\buntil it coats?\b|\bcoating consistency\b/,
    { body: 45 },
  ],
  [/\bdraw a line\b|\bline (?:on|across|stays|holds)\b|\bleaves? a (?:line|trail)\b/, { body: 42 }],
  [/\bsyrup(?:y)?\b|\bsticky\b/, { body: 43 }],
];

const SHARE_WORDS: Readonly<Record<string, number>> = {
  half: 1 / 2, third: 1 / 3, "one third": 1 / 3, "a third": 1 / 3, "two thirds": 2 / 3, quarter: 1 / 4, "a quarter": 1 / 4,
  "one quarter": 1 / 4, "three quarters": 3 / 4, "one half": 1 / 2, "a half": 1 / 2, "a fifth": 1 / 5, "a tenth": 1 / 10,
  "two fifths": 2 / 5, "four fifths": 4 / 5, "nine tenths": 0.9,
}; // prettier-ignore

const SHARE =
  /\b(by|to|down to|a) ?(?:about |around |roughly |nearly |almost |another |more than |just over )?(?:(a half|one half|half|one third|two thirds|third|one quarter|three quarters|quarter|fifth|tenth|two fifths|four fifths|nine tenths|a third|a quarter)\b|(\d+(?:[.,]\d+)?) ?(?:%|percent|per cent)|(\d+) ?\/ ?(\d+)\b|([½⅓⅔¼¾]))/;
const SIGN: Readonly<Record<string, number>> = { "½": 1 / 2, "⅓": 1 / 3, "⅔": 2 / 3, "¼": 1 / 4, "¾": 3 / 4 };
const BARE =
  /\b(?:reduced?|reduse|red|boil(?:ed)? down|down|goes? down|cook(?:ed)? down)[ .]+(?:it |that |this |them |again |the \w+ )?(?:about |around |roughly )?(?:(half|a half|one third|two thirds|a third|a quarter|three quarters)\b|(\d+) ?\/ ?(\d+)\b|([½⅓⅔¼¾])|(\d+) ?(?:%|percent|per cent))/;

/** The share a clause tells; `way` is "bare" where neither by nor to was said. */
export function shareIn(
  plain: string,
): { readonly end: Extract<SaidEnd, { share: number }>; readonly at: number; readonly to: number } | null {
  const bare = BARE.exec(plain);
  const match = SHARE.exec(plain);
  if (match && !(bare && bare.index < match.index)) {
    const [all, prep = "", word, percent, over, under, sign] = match;
    const share = word ? (SHARE_WORDS[word.replace(/^a (?=half|third|quarter)/, "")] ?? SHARE_WORDS[word] ?? NaN)
      : percent ? Number(percent.replace(",", ".")) / 100
      : over ? Number(over) / Number(under) : (SIGN[sign ?? ""] ?? NaN); // prettier-ignore
    if (share > 0 && share < 1 && prep !== "a")
      return {
        end: { share, way: prep === "by" ? "by" : "to" },
        at: match.index,
        to: match.index + all.length,
      };
  }
  if (bare) {
    const [all, word, over, under, sign, percent] = bare;
    const share = word
      ? (SHARE_WORDS[word] ?? NaN)
      : over
        ? Number(over) / Number(under)
        : sign
          ? (SIGN[sign] ?? NaN)
          : Number(percent) / 100;
    if (share > 0 && share < 1)
      return { end: { share, way: "bare" }, at: bare.index, to: bare.index + all.length };
  }
  return null;
}

/** The body or dryness a clause tells. */
export function endIn(
  plain: string,
): { readonly end: SaidEnd; readonly at: number; readonly to: number } | null {
  for (const [words, end] of TABLE) {
    const match = words.exec(plain);
    if (match) return { end, at: match.index, to: match.index + match[0].length };
  }
  return null;
}
