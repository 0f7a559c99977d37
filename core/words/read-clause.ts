import { type StepKindName } from "../formula";
import { type Ingredient, ingredientCalled, readMeasure } from "../larder";
import { CARDINAL, parseTemperature, readNumber, saidNumber } from "../quantity";
import type { Result } from "../result";
import type { ReductionTarget } from "../reduction";
import { inFigures } from "./in-figures";

/** An ingredient found in a clause, with the amount said for it. */
export interface SaidIngredient {
  readonly ingredient: Ingredient;
  /** As it was said: "2 knobs", empty where no amount was. */
  readonly said: string;
  readonly massG: number | null;
  /** A spoon, a knob, a piece: a guess until it is weighed. */
  readonly guessed: boolean;
  readonly understood: string;
}

/** Verbs that tell a step; of two said at the same place the particular stands before the general. */
// prettier-ignore
const VERBS: readonly (readonly [RegExp, StepKindName])[] = [
  [/\b(set aside|reserve|keep back)\b/, "reserve"],
  [/\b(temper|liaison|yolks? and cream)\b/, "liaison"],
  [/\b(mount|monter|swirl in|whisk in (?:the )?(?:cold )?butter|finish with (?:cold )?butter)\b/, "mount"],
  [/\b(emulsif\w*|beat in (?:the )?oil|oil in a (?:thin )?(?:stream|thread)|drizzle in (?:the )?oil)\b/, "emulsify"],
  [/\b(thicken|bind|roux|slurry|dust with flour|beurre mani)/, "thicken"],
  [/\b(blanch|blanche)\b/, "blanch"],
  [/\b(soak|rehydrate)\b/, "soak"],
  [/\b(render|melt out)\b/, "render"],
  [/\b(roast|in the oven)\b/, "roast"],
  [/\b(sweat|soften)\b/, "sweat"],
  [/\b(flame|flamb)/, "flame"],
  [/\b(deglaze|de-glaze|lift the fond)/, "deglaze"],
  [/\b(brown|colou?r|sear|caramelise|caramelize|fry)\b/, "brown"],
  [/\b(degrease|defat|skim off the fat|lift the fat|take (?:off )?the fat)/, "degrease"],
  [/\b(skim)\b/, "skim"],
  [/\b(steep|infuse)\b/, "steep"],
  [/\b(lift out|take out the|remove the (?:herb|bay|thyme|bundle))/, "lift"],
  [/\b(reduce|boil down|almost dry|au sec)\b/, "reduce"],
  [/\b(strain|chinois)\b/, "strain"],
  [/\b(pass|sieve|through a (?:fine )?sieve)\b/, "pass"],
  [/\b(drain)\b/, "drain"],
  [/\b(blend|liquidise|liquidize|purée|puree|blitz)\b/, "blend"],
  [/\b(cool|chill|ice bath)\b/, "cool"],
  [/\b(freeze)\b/, "freeze"],
  [/\b(thaw|defrost)\b/, "thaw"],
  [/\b(reheat|warm (?:it )?(?:up|through))\b/, "reheat"],
  [/\b(hold|keep warm|bain)\b/, "hold"],
  [/\b(rest)\b/, "rest"],
  [/\b(cure)\b/, "cure"],
  [/\bcover (?:it |them )?with (?:cold )?water\b/, "cover"],
  [/\b(simmer|cook|bring to|boil|bubble|stew)\b/, "simmer"],
  [/\b(season|salt to taste|check the salt)\b/, "season"],
  [/\b(dry|until it hisses)\b/, "dry"],
  [/\b(add|pour|put|stir in|tip in|in goes|top up)\b/, "add"],
];

/** The kind of step a clause tells: the verb said first; `null` where no verb is known. */
export function kindSaid(clause: string): StepKindName | null {
  const text = clause.toLowerCase();
  let first: { at: number; kind: StepKindName } | null = null;
  for (const [pattern, kind] of VERBS) {
    const at = pattern.exec(text)?.index;
    if (at !== undefined && (!first || at < first.at)) first = { at, kind };
  }
  return first?.kind ?? null;
}

/** Verbs that after an "and" begin a step of their own; words that may as well tell a kind of thing (brown, dry, rest) do not. */
const NEXT_DEED =
  /\s+and\s+(?=(?:reduce|boil down|bring|simmer|strain|pass|drain|skim|degrease|deglaze|flame|steep|infuse|thicken|bind|mount|whisk in|blend|blitz|season|cool|chill|freeze|sweat|roast)\b)/i;

/** The steps that one clause tells: "deglaze with cider and reduce by half" is two, "bring to the boil and simmer" one. */
export function deedsOf(clause: string): string[] {
  const and = NEXT_DEED.exec(clause);
  if (!and) return [clause];
  const head = clause.slice(0, and.index);
  const [next = "", ...rest] = deedsOf(clause.slice(and.index + and[0].length));
  const kind = kindSaid(head);
  return kind && kind !== kindSaid(next) ? [head, next, ...rest] : [`${head}${and[0]}${next}`, ...rest];
}

/** Minutes said in a clause, the middle of a range; `null` without one. */
export function minutesSaid(clause: string): { min: number; range: readonly [number, number] | null } | null {
  const match =
    /(\d+(?:[.,]\d+)?|½|an?|half an?)\s*(?:(?:–|-|to)\s*(\d+(?:[.,]\d+)?)\s*)?(hours?|hrs?|h\b|minutes?|mins?|min\b)(?:\s*(?:and\s*)?(\d+)\s*(?:minutes?|mins?|min\b))?/i.exec(
      inFigures(clause),
    );
  if (!match) return null;
  const one =
    /^half/i.test(match[1] ?? "") || match[1] === "½"
      ? 0.5
      : /^an?$/i.test(match[1] ?? "")
        ? 1
        : Number((match[1] ?? "").replace(",", "."));
  const unit = /^h/i.test(match[3] ?? "") ? 60 : 1;
  const two = match[2] ? Number(match[2].replace(",", ".")) : null;
  const extra = Number(match[4] ?? 0);
  return two === null
    ? { min: one * unit + extra, range: null }
    : { min: ((one + two) / 2) * unit, range: [one * unit, two * unit] };
}

/** Temperature said in a clause, °C, with the doubt of a pair that does not fit. */
export function temperatureSaid(clause: string): { c: number; doubt: string | null } | null {
  const said = inFigures(clause);
  const match =
    /(\d{2,3}(?:[.,]\d)?)\s*(?:°|degrees?)?\s*([CF])\b(?:\s*\/\s*\d{2,3}\s*°?\s*[CF]\b)?/.exec(said) ??
    /(\d{2,3})\s*degrees?\b/i.exec(said);
  if (!match) return null;
  const text = /[CF]\b/.test(match[0]) ? match[0].replace(/degrees?/i, "°") : `${match[1]} °C`;
  const read = parseTemperature(text, "text");
  return read.ok ? { c: Math.round(read.value.exactC), doubt: read.warnings[0]?.message ?? null } : null;
}

const SHARE_WORDS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  "a half": 1 / 2,
  "one half": 1 / 2,
  "a third": 1 / 3,
  "one third": 1 / 3,
  third: 1 / 3,
  "two thirds": 2 / 3,
  "a quarter": 1 / 4,
  "one quarter": 1 / 4,
  quarter: 1 / 4,
  "three quarters": 3 / 4,
};

/** End of a reduction. Where neither by nor to was said, it asks: the two differ much. */
export function reductionSaid(clause: string): { target: ReductionTarget; question: string | null } | null {
  const text = clause.toLowerCase();
  if (/almost dry|nearly dry|au sec|until dry/.test(text)) return { target: { by: 0.85 }, question: null };
  const match =
    /\b(by|to)?\s*(?:about\s+)?((?:one |two |three |a )?(?:half|thirds?|quarters?)|\d+\s*%|\d+\s*\/\s*\d+|[½⅓⅔¼¾])/.exec(
      text,
    );
  if (match) {
    const word = (match[2] ?? "").replace(/\s+/g, " ").trim();
    const percent = /(\d+)\s*%/.exec(word);
    const number = percent ? null : readNumber(word, "text");
    const share =
      SHARE_WORDS[word] ?? (percent ? Number(percent[1]) / 100 : number?.ok ? number.value.value : NaN);
    if (!(share > 0 && share < 1)) return null;
    if (match[1] === "by") return { target: { by: share }, question: null };
    if (match[1] === "to") return { target: { to: share }, question: null };
    return {
      target: { to: share },
      question: `“${word}”: by or to? By ${word} leaves ${Math.round(100 * (1 - share))} %, to ${word} leaves ${Math.round(100 * share)} %. Taken as “to” until you say.`,
    };
  }
  const end = /\bto\s+(?:about\s+)?(\d+(?:[.,]\d+)?)\s*(ml|l|litres?|g|kg)\b/.exec(text);
  if (!end) return null;
  const value = Number((end[1] ?? "").replace(",", "."));
  const unit = end[2] ?? "";
  return {
    target:
      unit === "g"
        ? { endG: value }
        : unit === "kg"
          ? { endG: 1000 * value }
          : { endMl: unit === "ml" ? value : 1000 * value },
    question: null,
  };
}

/** The share that something is to reach, per cent: "salt to 0.8 %", "to point eight per cent"; `null` without one. */
export function shareSaid(clause: string): number | null {
  const [, words = ""] = /\bto\s+(?:about\s+)?([\w.,½¼¾ -]+?)\s*(?:%|per ?cent\b)/i.exec(clause) ?? [];
  const number = saidNumber(words) ?? valueOrNull(readNumber(words, "text"));
  return number && !number.rest.trim() && number.value > 0 && number.value <= 99 ? number.value : null;
}

const valueOrNull = <T>(result: Result<T>): T | null => (result.ok ? result.value : null);

/** Most words an ingredient's name has, a comma counted as one. */
const LONGEST_NAME = 6;
const LONGEST_AMOUNT = 6;
/** Words that are names of ingredients too, but mean something else in a clause. */
const NOT_MEANT: ReadonlySet<string> = new Set(["stock", "liquor", "cover", "oil the", "season"]);

/** Ingredients of a clause with what was said of their amounts, in order. */
export function ingredientsSaid(clause: string, larder: readonly Ingredient[]): SaidIngredient[] {
  const words = clause
    .replace(/[;:()]/g, " , ")
    .replace(/,/g, " , ")
    .split(/\s+/)
    .filter(Boolean);
  const found: SaidIngredient[] = [];
  let from = 0;
  for (let i = 0; i < words.length; i++) {
    const hit = nameAt(words, i, larder);
    if (!hit) continue;
    const head: string[] = [];
    for (let j = i - 1; j >= Math.max(from, i - LONGEST_AMOUNT); j--) {
      if (words[j] === "," || /^(and|with|then|the|in)$/i.test(words[j] ?? "")) break;
      head.unshift(words[j] ?? "");
    }
    found.push(amountBefore(head, hit.ingredient, larder));
    i += hit.length - 1;
    from = i + 1;
  }
  return found.filter(
    (one, i) => found.findIndex(f => f.ingredient.id === one.ingredient.id) === i || one.massG !== null,
  );
}

function nameAt(
  words: readonly string[],
  i: number,
  larder: readonly Ingredient[],
): { ingredient: Ingredient; length: number } | null {
  for (let length = Math.min(LONGEST_NAME, words.length - i); length > 0; length--) {
    const name = words
      .slice(i, i + length)
      .join(" ")
      .replaceAll(" ,", ",")
      .replace(/[.]$/, "");
    if (/^,|,$/.test(name) || name.length < 3 || NOT_MEANT.has(name.toLowerCase())) continue;
    const ingredient = ingredientCalled(larder, name);
    if (ingredient) return { ingredient, length };
  }
  return null;
}

const A_NUMBER = new RegExp(`\\d|½|¼|⅓|¾|\\b(?:an?|half|point|some|pinch|knob)\\b|${CARDINAL}`, "i");

function amountBefore(
  head: readonly string[],
  ingredient: Ingredient,
  larder: readonly Ingredient[],
): SaidIngredient {
  // The longest stretch before the name that reads as an amount; words such as "fresh" or "cold" may stand between.
  for (let from = 0; from < head.length; from++)
    for (let to = head.length; to > from; to--) {
      const said = head
        .slice(from, to)
        .join(" ")
        .replace(/\s+of$/i, "");
      if (!A_NUMBER.test(said)) continue;
      const read = readMeasure(said, larder, ingredient, "text");
      if (read.ok && read.value.massG !== null && read.value.massG > 0)
        return {
          ingredient,
          said,
          massG: read.value.massG,
          guessed: read.value.loG !== read.value.hiG,
          understood: read.value.understood,
        };
    }
  return { ingredient, said: "", massG: null, guessed: false, understood: "" };
}
