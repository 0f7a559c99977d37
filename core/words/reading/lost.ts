import { type SaidAmount, amountAt } from "../text/amounts";
import { timeAt } from "../text/times";
import type { Token } from "../text/tokens";
import type { Reading } from "./in-reading";
import type { SaidIngredient } from "./pool";

/** Amounts of a sentence that came to nothing: the last net under the reader, so that no figure is lost without a word. */

/** What should come out, what is there, what is so much of another: figures that are told and not used. */
const ONLY_TOLD =
  /\b(?:should|makes?(?! it with)|making|yields?|gives?|gave|end(?:s|ed)? up|have|has|had|came|comes|left|leaves?|land|near|lose|loses|serves?|weighs?|hold|holds|pot|pan|kettle|of|per|every|each|a time|all but|keep|kept|want|wanted|on an?|no more than|not|never|as much as)\b/;
const WORDS_BEFORE = 4;
/** A bare number from here on may be grams. */
const BARE_GRAMS = 20;

/**
 * @param tokens of one sentence
 * @returns the amounts nothing was made of, as they were said
 */
export function lostAmounts(
  tokens: readonly Token[],
  pieces: readonly Reading[],
  listed: readonly SaidIngredient[],
): string[] {
  const said = [...pieces.flatMap(piece => piece.said), ...listed];
  const words = said.map(one => one.said).join(" | ");
  const numbers = [
    ...pieces.flatMap(piece => numbersIn(piece.fields)),
    ...said.flatMap(numbersOf),
    ...pieces.map(mirepoixOf),
  ];
  const told = [
    ...pieces.flatMap(piece => [...piece.doubts, ...piece.questions.map(q => q.ask)]),
    ...said.flatMap(one => [...one.asks, ...one.doubts]),
  ]
    .join(" ")
    .replace(/[\u00a0\u202f]/g, " ");
  const lost: string[] = [];
  for (let i = 0; i < tokens.length; i++) {
    const time = timeAt(tokens, i);
    if (time) {
      i = time.to - 1;
      continue;
    }
    const amount = amountAt(tokens, i);
    if (!amount) continue;
    const { unit, number } = amount;
    i = amount.to - 1;
    const isMeasured = unit?.kind === "mass" || unit?.kind === "volume";
    if (unit?.vague || !number.inFigures || !(isMeasured || (unit === null && number.value >= BARE_GRAMS)))
      continue;
    const text = tokens.slice(amount.from, amount.to).map(t => t.text).join(" "); // prettier-ignore
    const before = tokens.slice(Math.max(0, amount.from - WORDS_BEFORE), amount.from).map(t => t.plain).join(" "); // prettier-ignore
    const after = tokens.slice(amount.to, amount.to + 2).map(t => t.plain).join(" "); // prettier-ignore
    const value = number.value * (unit?.factor ?? 1);
    const isUsed =
      words.includes(text) ||
      told.includes(text) ||
      numbers.some(n => [value, value / 1000, number.value].some(v => near(n, v)));
    if (!isUsed && !ONLY_TOLD.test(before) && !/^(?:came|come|went|of it)\b/.test(after))
      lost.push(withNoun(tokens, amount, text));
  }
  return lost;
}

/** "250 butter", "20 g of butter": the figure with what it stands before. */
function withNoun(tokens: readonly Token[], amount: SaidAmount, text: string): string {
  const words: string[] = [];
  for (let i = amount.to; i < amount.to + WORDS_AFTER && tokens[i]?.kind === "word"; i++)
    words.push(tokens[i]?.text ?? "");
  return [text, ...words].join(" ");
}
const WORDS_AFTER = 3;

const near = (a: number, b: number): boolean => b > 0 && Math.abs(a / b - 1) < 0.005;

function numbersIn(of: unknown): number[] {
  if (typeof of === "number") return [of];
  return typeof of === "object" && of !== null ? Object.values(of).flatMap(numbersIn) : [];
}

/** What an ingredient weighs, and what it would read in millilitres. */
const numbersOf = (one: SaidIngredient): number[] => [
  ...(one.massG === null ? [] : [one.massG, one.massG / (one.ingredient.densityGPerMl ?? 1)]),
  ...numbersIn(one.relation),
];

/** "300 g mirepoix" went in by its parts. */
const mirepoixOf = ({ said }: Reading): number =>
  said.reduce((sum, one) => sum + (one.ingredient.solidKind === "mirepoix" ? (one.massG ?? 0) : 0), 0);
