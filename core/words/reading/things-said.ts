import { printNumber } from "../../ground/quantity";
import { type Ingredient, NO_COMPOSITION } from "../../things/larder";
import { likeness } from "../lexicon/likeness";
import type { Lexicon } from "../lexicon/things";
import type { SaidAmount } from "../text/amounts";
import { weigh } from "../text/measures";
import type { Token } from "../text/tokens";
import type { ThingChunk } from "./chunks";
import type { SaidIngredient } from "./pool";

/** What counts a thing nobody knows by the piece, g. Common practice, no source. */
const A_PIECE_G = 100;

/** "a spoon of capers": the amount of a thing in grams, with what has to be said of it. */
export function sayThing(
  chunk: ThingChunk,
  tokens: readonly Token[],
  lexicon: Lexicon,
): SaidIngredient | null {
  const { named } = chunk;
  const words = (amount: SaidAmount | null) =>
    amount ? tokens.slice(amount.from, amount.to).map(t => t.text).join(" ").replace(/ (?=[.,%])/g, "") : ""; // prettier-ignore
  const like = named.ingredient ?? likeness(named.name, lexicon.larder);
  const unknown = named.ingredient ? null : named.name;
  const base: SaidIngredient = {
    ingredient: like ?? nothingLike(named.name),
    said: words(chunk.amount),
    name: named.name,
    massG: null,
    guessed: false,
    unknown,
    relation: null,
    asks: [],
    doubts: unknown
      ? [
          `${chunk.amount && (chunk.amount.unit || chunk.amount.number.inFigures) ? `${words(chunk.amount)} of ` : ""}“${unknown}”: the larder has nothing called that.${like ? ` Counted as ${like.name} until you say what it is.` : " It is left out of the sums until you say what it is."}`,
        ]
      : [],
  };
  if (!chunk.amount) return base;
  return amounted(
    base,
    chunk.amount,
    chunk.also,
    lexicon,
    words(chunk.amount),
    words(chunk.also),
    chunk.amount.from > chunk.from,
  );
}

function amounted(
  base: SaidIngredient,
  amount: SaidAmount,
  also: SaidAmount | null,
  lexicon: Lexicon,
  said: string,
  second: string,
  nounFirst: boolean,
): SaidIngredient {
  const { ingredient } = base;
  const name = base.unknown ?? ingredient.name;
  if (amount.unit?.kind === "part") return { ...base, said, parts: amount.number.value };
  // "shall 60", "wh wine 500": behind the name and so many, nobody counts; a ticket weighs.
  const weighed = asGrams(amount, ingredient, nounFirst);
  if (weighed !== null)
    return {
      ...base,
      said,
      massG: weighed,
      guessed: true,
      asks: [`“${said}” of ${name}, of what? ${printNumber(weighed)} g is taken.`],
      doubts: base.doubts,
    };
  const main = weigh(amount, ingredient, lexicon.larder);
  const other = also ? weigh(also, ingredient, lexicon.larder) : null;
  const ambiguous = amount.number.ambiguous
    ? [
        `“${said}”: ${printNumber(amount.number.value)} or ${printNumber(amount.number.value / 1000, 3)}? ${printNumber(amount.number.value)} is taken.`,
      ]
    : [];
  const backwards = amount.number.lo > amount.number.hi ? [`“${said}” runs backwards.`] : [];
  const doubts = [...base.doubts, ...ambiguous, ...backwards];
  // "2 steaks, about 220 g each"; "1 tin (400 ml)": what was weighed counts before what was counted.
  if (other && also) {
    const each = also.each ? amount.number.value : 1;
    const isCount = amount.unit === null || amount.unit.kind === "count";
    if (isCount)
      return { ...base, said: `${said} (${second})`, massG: other.massG * each, guessed: true, doubts };
    if (main && Math.abs(main.massG / other.massG - 1) > TWO_FIGURES)
      return {
        ...base,
        said,
        massG: main.massG,
        guessed: true,
        doubts: [...doubts, `“${said}” and “${second}” for ${name}: which is meant? ${said} is taken.`],
      };
  }
  // Nobody measures a splash: it is taken, and asked.
  const poured =
    amount.unit?.vague && /^(?:splash|glug)$/.test(amount.unit.name) && main
      ? [`A ${amount.unit.name} of ${name}: how much? ${printNumber(main.massG)} g is taken.`]
      : [];
  if (main)
    return {
      ...base,
      asks: [...base.asks, ...poured],
      said,
      massG: main.massG,
      guessed: main.guessed || base.unknown !== null,
      doubts,
    };
  // "butter 250": nobody counts it by the piece, so it is grams.
  if (amount.unit === null && amount.number.inFigures && amount.number.value >= LEAST_GRAMS && !base.unknown)
    return {
      ...base,
      said,
      massG: amount.number.value,
      guessed: true,
      asks: [`“${said}” of ${name}, of what? ${printNumber(amount.number.value)} g is taken.`],
      doubts,
    };
  if (amount.unit?.kind === "count" || amount.unit === null) {
    if (base.unknown)
      return { ...base, said, massG: amount.number.value * pieceOf(base.unknown), guessed: true, doubts };
    return {
      ...base,
      said,
      doubts,
      asks: [`How heavy is “${said || "a piece"}” of ${name}? Nobody has weighed it yet.`],
    };
  }
  return { ...base, said, doubts };
}

/** From here on a bare number behind a name is grams, whatever comes by the piece. */
const NOBODY_COUNTS = 20;
/** What weighs less than this a piece is never counted on a ticket, g. */
const NEVER_COUNTED_G = 0.1;

function asGrams({ unit, number }: SaidAmount, { measures }: Ingredient, nounFirst: boolean): number | null {
  if (!nounFirst || unit !== null || !number.inFigures) return null;
  const piece = measures.find(m => m.name === "piece");
  const light = piece !== undefined && piece.massG < NEVER_COUNTED_G;
  return number.value >= NOBODY_COUNTS || light ? number.value : null;
}

/** Two figures for one thing may be off by so much. */
const TWO_FIGURES = 0.06;
/** Fewer than so many without a unit are no grams. */
const LEAST_GRAMS = 5;

const pieceOf = (name: string): number =>
  /\b(?:pearl|button|berry|berries|shrimps?|mussels?)\b/.test(name)
    ? 12
    : /\b(?:chicken|duck|rabbit)$/.test(name)
      ? 1600
      : /\bshanks?\b/.test(name)
        ? 400
        : A_PIECE_G;

/** Stands where a thing is like nothing the larder has: it weighs nothing and brings nothing. */
const nothingLike = (name: string): Ingredient => ({
  id: NOTHING,
  name,
  aliases: [],
  composition: { ...NO_COMPOSITION, other: 100 },
  compositionSource: { mark: "E", text: "unknown" },
  phase: "solids",
  ediblePct: 100,
  edibleSource: { mark: "E", text: "unknown" },
  allergens: null,
  diet: [],
  measures: [],
});
export const NOTHING = "unknown-thing";
