import { FILLER } from "../lexicon/words";
import { isGerund, isParticiple, verbCalled } from "../lexicon/verbs";
import { amountAt } from "../text/amounts";
import { numberAt } from "../text/numbers";
import type { Token } from "../text/tokens";

/** How far what is told off, only holds if, is compared or follows "until" reaches in a sentence. */

export const plainAt = (tokens: readonly Token[], i: number): string => tokens[i]?.plain ?? "";

export const NOT =
  /^(?:dont|doesnt|didnt|wont|never|not|no|without|cannot|cant|mustnt|shouldnt|isnt|arent|nobody|nothing|non|sans)$/;
export const UNTIL = /^(?:until|till|untill|til)$/;
export const WHEN =
  /^(?:when|while|whilst|because|so|which|where|whose|who|unless|since|though|although|or)$/;
export const SOON = /^(?:once)$/;
export const CLOSES = /^(?:[,;:.()→—!?]|then)$/;
export const VESSEL_END = /^(?:and|but|just|then)$/;

/** Whether a verb stands where somebody is told to do it. */
export const isDeed = (tokens: readonly Token[], i: number): boolean => {
  const verb = verbCalled(plainAt(tokens, i));
  return verb !== null && !isGerund(plainAt(tokens, i)) && verb.sense !== "help" && verb.sense !== "aside";
};

export const join = (tokens: readonly Token[], from: number, to: number): string =>
  tokens.slice(from, to).map(t => t.plain).join(" "); // prettier-ignore

/** "no more than 35 minutes", "not over 80 °C": a limit, not a ban. */
export const isLimit = (tokens: readonly Token[], i: number): boolean =>
  /^(?:no|not)$/.test(plainAt(tokens, i)) &&
  /^(?:more|over|above|longer)$/.test(plainAt(tokens, i + 1)) &&
  numberAt(tokens, i + (plainAt(tokens, i + 2) === "than" ? 3 : 2)) !== null;

export const limitBefore = (tokens: readonly Token[], i: number): boolean =>
  /^(?:under|below|most|max|maximum|above|over|than|beyond)$/.test(plainAt(tokens, i - 1)) ||
  /^(?:max|tops|maximum)$/.test(plainAt(tokens, i + 3));

/** How far what is told off reaches. */
export function endOfNot(tokens: readonly Token[], from: number): number {
  const first = plainAt(tokens, from);
  let i = from + 1;
  // "no salt the capers are salty enough", "without salt": the thing alone.
  const nounOnly = first === "no" || first === "sans" || first === "non";
  let words = 0;
  let verbs = 0;
  while (i < tokens.length) {
    const plain = plainAt(tokens, i);
    if (tokens[i]?.kind === "break" || CLOSES.test(plain)) break;
    if (VESSEL_END.test(plain)) break;
    if (nounOnly) {
      if (tokens[i]?.kind !== "word" || numberAt(tokens, i)) break;
      if (
        words > 0 &&
        (FILLER.has(plain) || isDeed(tokens, i)) &&
        !/^(?:more|in|it|at|any|all|yet|ever|whatsoever|on|of|the)$/.test(plain)
      )
        break;
      if (words > 0 && /^(?:the)$/.test(plain) && !/^(?:in|on|of)$/.test(plainAt(tokens, i - 1))) break;
      words += 1;
    } else {
      if (isDeed(tokens, i)) {
        // "never stir, let it": a second verb is another matter, unless it is let or helped.
        if (
          verbs > 0 &&
          !isGerund(plain) &&
          !/^(?:it|to|let|letting|them|you|or|take|takes|taking|turn|get|go)$/.test(plainAt(tokens, i - 1))
        )
          break;
        verbs += 1;
      }
      const amount = i > from + 2 ? amountAt(tokens, i) : null;
      if (amount?.unit && amount.unit.kind !== "share" && /^(?:with|it|them)$/.test(plainAt(tokens, i - 1)))
        break;
      if (
        i > from + 1 &&
        tokens[i]?.kind === "number" &&
        !/^(?:over|above|than|under|more|past|to|at|a)$/.test(plainAt(tokens, i - 1))
      )
        break;
    }
    i += 1;
  }
  return Math.max(i, from + 1);
}

export function endOfUntil(tokens: readonly Token[], from: number): number {
  let i = from + 1;
  let finite = 0;
  while (i < tokens.length) {
    const plain = plainAt(tokens, i);
    if (tokens[i]?.kind === "break" || CLOSES.test(plain)) break;
    if (
      plain === "and" &&
      isDeed(tokens, i + 1) &&
      !/^(?:mixture|it|they|the)$/.test(plainAt(tokens, i + 1)) &&
      !isStateAfterAnd(tokens, i)
    )
      break;
    // "until brown in 30 g butter": what it is done in goes in.
    if (/^(?:in|with)$/.test(plain) && isMeasured(tokens, i + 1)) break;
    const verb = verbCalled(plain);
    if (verb && i > from + 1 && !isGerund(plain)) {
      const subject =
        /^(?:it|they|you|that|this|the|its|theyre|has|have|is|are|was|were|be|just|barely|to|all)$/.test(
          plainAt(tokens, i - 1),
        );
      const noun = /^(?:a|of|the|bit|little|some)$/.test(plainAt(tokens, i - 1));
      if (!subject && !noun && finite > 0 && !isParticiple(plain) && !/s$/.test(plain)) break;
      if (!subject && finite === 0 && isImperative(tokens, i)) break;
      finite += 1;
    }
    i += 1;
  }
  return i;
}

export const someMeasured = (tokens: readonly Token[], from: number, to: number): boolean => {
  for (let i = from; i < to; i++) if (isMeasured(tokens, i)) return true;
  return false;
};

export const isMeasured = (tokens: readonly Token[], i: number): boolean => {
  const kind = amountAt(tokens, i)?.unit?.kind;
  return kind === "mass" || kind === "volume";
};

/** "until soft push it through": an order follows the state. */
export const isImperative = (tokens: readonly Token[], i: number): boolean =>
  /^(?:it|them|in|the|through|out|up|off|with|down)$/.test(plainAt(tokens, i + 1)) &&
  !/s$/.test(plainAt(tokens, i));

/** "until the liquid has gone and the mixture begins to hiss", "soft and golden". */
export const isStateAfterAnd = (tokens: readonly Token[], i: number): boolean =>
  /s$/.test(plainAt(tokens, i + 1)) || /^(?:dry|set)$/.test(plainAt(tokens, i + 1));

export function endOfIf(tokens: readonly Token[], from: number): number {
  const leads = from === 0 || tokens.slice(0, from).every(t => t.kind !== "word" || FILLER.has(t.plain));
  let i = from + 1;
  while (
    i < tokens.length &&
    (leads
      ? tokens[i]?.kind !== "break" && !/^[.;]$/.test(plainAt(tokens, i))
      : !/^[,;.)]$/.test(plainAt(tokens, i)))
  )
    i += 1;
  return i;
}

export function endOfWhen(tokens: readonly Token[], from: number): number {
  let i = from + 1;
  let verbs = 0;
  while (i < tokens.length && !CLOSES.test(plainAt(tokens, i)) && tokens[i]?.kind !== "break") {
    const plain = plainAt(tokens, i);
    const before = plainAt(tokens, i - 1);
    if (i > from + 2 && plain === "and" && isDeed(tokens, i + 1)) break;
    if (i > from + 2 && /^(?:you|i|we)$/.test(plain) && isDeed(tokens, i + 1)) break;
    // "when it's really boiling two pounds of peas": what goes in then is no part of when.
    const amount = i > from + 2 ? amountAt(tokens, i) : null;
    if (amount?.unit && amount.unit.kind !== "share" && !/^(?:over|of|about|to|for|by)$/.test(before)) break;
    if (verbCalled(plain)) {
      const order =
        isDeed(tokens, i) &&
        !isParticiple(plain) &&
        !/s$/.test(plain) &&
        !/^(?:to|it|they|you|i|we|the|has|have|is|are|a|that|its|will|can|of)$/.test(before);
      if (verbs > 0 && order) break;
      verbs += 1;
    }
    i += 1;
  }
  return i;
}

export const isSoThat = (tokens: readonly Token[], i: number): boolean =>
  /^(?:that|it|the|they|we|you)$/.test(plainAt(tokens, i + 1)) &&
  i > 0 &&
  !/^[,]$/.test(plainAt(tokens, i - 1));

/** "once the flames die", and not "an hour, once". */
export const isClauseAhead = (tokens: readonly Token[], i: number): boolean =>
  /^(?:the|it|they|you|through|that|peeled)$/.test(plainAt(tokens, i + 1));

export const isComparison = (tokens: readonly Token[], i: number): boolean => {
  const [plain, next] = [plainAt(tokens, i), plainAt(tokens, i + 1)];
  if (plain === "colour" || plain === "color") return next === "of";
  if (/^smells?$/.test(plain)) return /^(?:like|of)$/.test(next);
  if (plain === "like")
    return !numberAt(tokens, i + 1)?.inFigures && !/^(?:a)$/.test(next)
      ? !/^(?:a|an)$/.test(next) || true
      : !numberAt(tokens, i + 1);
  if (plain === "as") return !/^(?:taken|said|needed|well|required)$/.test(next);
  return true;
};

export function endOfComparison(tokens: readonly Token[], from: number): number {
  let i = from + 1;
  while (
    i < tokens.length &&
    !CLOSES.test(plainAt(tokens, i)) &&
    !/^(?:and|but)$/.test(plainAt(tokens, i)) &&
    tokens[i]?.kind !== "break"
  ) {
    if (i > from + 1 && isDeed(tokens, i) && !FILLER.has(plainAt(tokens, i - 1))) break;
    if (plainAt(tokens, i) === "for" && numberAt(tokens, i + 1)) break;
    i += 1;
  }
  return i;
}
