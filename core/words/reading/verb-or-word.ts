import { isGerund, isParticiple, verbCalled } from "../lexicon/verbs";
import type { Token } from "../text/tokens";
import { plainAt, CLOSES } from "./spans";

/** Whether a word that may be a verb is one where it stands, and in which form. */

/** "the shells", "two slices": what is done ends like what is meant. */
export function isPlural(tokens: readonly Token[], i: number): boolean {
  const plain = plainAt(tokens, i);
  const verb = verbCalled(plain);
  return (
    /s$/.test(plain) &&
    verb !== null &&
    verb.lemma !== plain &&
    /^(?:prepare|aside|cover|skim|pass)$/.test(verb.sense) &&
    !/^(?:it|he|she|that|who|which|one)$/.test(plainAt(tokens, i - 1))
  );
}

/** "for the pork belly braise I cure …": a dish, then who does what. */
export const isTitleNoun = (tokens: readonly Token[], i: number): boolean =>
  /^(?:i|we|you)$/.test(plainAt(tokens, i + 1)) &&
  verbCalled(plainAt(tokens, i + 2)) !== null &&
  tokens[i - 1]?.kind === "word" &&
  !/^(?:and|you|i|we|then|to)$/.test(plainAt(tokens, i - 1));

export function isNoOrder(tokens: readonly Token[], i: number): boolean {
  const plain = plainAt(tokens, i);
  const before = plainAt(tokens, i - 1);
  const next = plainAt(tokens, i + 1);
  if (plain === "dry") {
    if (/^(?:caramel|pan|skillet|heat|again)$/.test(next)) return true;
    return [1, 2, 3].some(k =>
      /^(?:cook|cooked|boil|boiled|fry|fried|reduce|reduced|go|almost|nearly|until|completely)$/.test(
        plainAt(tokens, i - k),
      ),
    );
  }
  if (plain === "boil" && before === "the" && plainAt(tokens, i - 2) === "off") return true;
  if (plain === "left") return /^(?:was|is|were|what|whats|been|thats|are)$/.test(before);
  if (plain === "warm") {
    if (/^(?:keep|hold|held|kept|them|it)$/.test(before)) return true;
  }
  if (plain === "rest") return /^(?:the|of|its)$/.test(before);
  if (/^(?:warm|cool|open|set)$/.test(plain))
    return before === "," && (CLOSES.test(next) || next === "not" || next === "");
  return false;
}

/** "high heat", "off the fire", "heat off". */
export const isNoun = (tokens: readonly Token[], i: number): boolean =>
  /^(?:the|high|low|medium|of|on|over|full|strong|gentle|slow|off|under|more|a|no|fierce|moderate|from|to|in|reduce|lower|raise)$/.test(
    plainAt(tokens, i - 1),
  ) || /^(?:off|down|up high)$/.test(plainAt(tokens, i + 1));

export function formOf(tokens: readonly Token[], i: number): "base" | "past" | "gerund" | "noun" | "part" {
  const plain = plainAt(tokens, i);
  const before = plainAt(tokens, i - 1);
  if (isGerund(plain)) return "gerund";
  if (isParticiple(plain) && /^(?:the|a|an|some|of)$/.test(before)) return "part";
  if (before === "to" && /^(?:aside|help|prepare)$/.test(verbCalled(plain)?.sense ?? "")) return "part";
  if (
    /^(?:a|an|the|bare|gentle|low|slow|rolling|full|hard|gently|no|one|very|white|pale|brown|blond|fine|drum|hair|conical|coarse|of)$/.test(
      before,
    ) ||
    (/^(?:to|at|from|after)$/.test(before) && /^(?:boil|simmer|murmur|reduction)$/.test(plain))
  )
    return "noun";
  if (isParticiple(plain)) return "past";
  if (/^(?:on|of|with|in)$/.test(before) && !/^(?:go|goes|went)$/.test(plain)) return "noun";
  return "base";
}
