import { BESIDE, FILLER } from "../lexicon/words";
import type { Lexicon, Named } from "../lexicon/things";
import { type Verb, isParticiple, verbCalled } from "../lexicon/verbs";
import { type SaidAmount, amountAt } from "../text/amounts";
import { numberAt } from "../text/numbers";
import { type SaidTemperature, type SaidTime, temperatureAt, timeAt } from "../text/times";
import type { Token } from "../text/tokens";
import {
  plainAt,
  NOT,
  UNTIL,
  WHEN,
  SOON,
  CLOSES,
  join,
  isLimit,
  limitBefore,
  endOfNot,
  endOfUntil,
  someMeasured,
  endOfIf,
  endOfWhen,
  isSoThat,
  isClauseAhead,
  isComparison,
  endOfComparison,
} from "./spans";
import { isPlural, isTitleNoun, isNoOrder, isNoun, formOf } from "./verb-or-word";

/** What is said of how much of a thing goes in, beside grams. */
export type Relation =
  | { readonly kind: "share"; readonly pct: number; readonly of: string }
  | { readonly kind: "per-litre"; readonly of: string }
  | { readonly kind: "per-kg"; readonly of: string }
  | { readonly kind: "per-piece"; readonly of: string };

interface Span {
  readonly from: number;
  readonly to: number;
}

export interface ThingChunk extends Span {
  readonly type: "thing";
  readonly named: Named;
  readonly amount: SaidAmount | null;
  /** A second figure for the same thing: "1 tin (400 ml)". */
  readonly also: SaidAmount | null;
  readonly relation: Relation | null;
  /** "the", "it": it may be what was named before. */
  readonly definite: boolean;
  /** "half the vinegar", "the rest of the oil". */
  readonly part: number | "rest" | null;
  /** The preposition before it. */
  readonly prep: string;
  /** "juice of", "zest of". */
  readonly of: "juice" | "zest" | "stalks" | null;
  /** It stands in what is only wanted perhaps, is compared with, or is told off. */
  readonly aside: boolean;
}

export type Chunk =
  | ThingChunk
  | (Span & {
      readonly type: "verb";
      readonly verb: Verb;
      readonly form: "base" | "past" | "gerund" | "noun" | "part";
    })
  | (Span & { readonly type: "time"; readonly time: SaidTime; readonly atMost: boolean })
  | (Span & { readonly type: "temperature"; readonly temperature: SaidTemperature; readonly atMost: boolean })
  | (Span & { readonly type: "amount"; readonly amount: SaidAmount })
  | (Span & { readonly type: "until" | "not" | "if" | "aside"; readonly words: string })
  | (Span & { readonly type: "mark"; readonly mark: string })
  | (Span & { readonly type: "word"; readonly plain: string });

/** The pieces of one sentence, each with the tokens it takes up; every token is in one of them. */
export function chunksOf(tokens: readonly Token[], lexicon: Lexicon): Chunk[] {
  const chunks: Chunk[] = [];
  let prep = "";
  let definite = false;
  let i = 0;
  const wordAt = (k: number) => plainAt(tokens, k);
  const push = (chunk: Chunk) => {
    chunks.push(chunk);
    i = chunk.to;
    prep = "";
    definite = false;
  };
  while (i < tokens.length) {
    const token = tokens[i];
    if (!token) break;
    const { plain } = token;
    if (token.kind === "break") {
      i += 1;
      continue;
    }
    if (token.kind === "mark" && plain !== "½") {
      // Dashes between words divide like commas.
      const degree = plain === "°" ? temperatureAt(tokens, i) : null;
      if (!degree) {
        push({ type: "mark", mark: plain, from: i, to: i + 1 });
        continue;
      }
    }
    // What is told off.
    if (
      NOT.test(plain) &&
      !isLimit(tokens, i) &&
      !(plain === "nothing" && /^(?:almost|nearly|to)$/.test(wordAt(i - 1)))
    ) {
      push({ type: "not", from: i, to: endOfNot(tokens, i), words: "" });
      continue;
    }
    if (UNTIL.test(plain)) {
      // Its words stay where they are: how far it goes is looked for in them; verbs in it are no deeds.
      const to = endOfUntil(tokens, i);
      const start = i;
      push({ type: "until", from: start, to, words: join(tokens, start, to) });
      scanInside(tokens, start, to, chunks);
      i = to;
      continue;
    }
    if (plain === "if" || plain === "unless") {
      push({ type: "if", from: i, to: endOfIf(tokens, i), words: "" });
      continue;
    }
    if (
      (WHEN.test(plain) && !(plain === "so" && !isSoThat(tokens, i)) && plain !== "or") ||
      (SOON.test(plain) && isClauseAhead(tokens, i))
    ) {
      const to = endOfWhen(tokens, i);
      // "a pan, where they were fried in 20 g of butter": what goes in there is no aside.
      if (/^(?:where|which)$/.test(plain) && someMeasured(tokens, i, to + 1)) {
        push({ type: "mark", mark: ";", from: i, to: i + 1 });
        continue;
      }
      push({ type: "aside", from: i, to, words: "" });
      continue;
    }
    if (/^(?:like|as|than|colour|color|smells?)$/.test(plain) && isComparison(tokens, i)) {
      push({ type: "aside", from: i, to: endOfComparison(tokens, i), words: "" });
      continue;
    }
    if (plain === "or" && /^(?:it|itll|you|youll|they|theyll|else)$/.test(wordAt(i + 1))) {
      push({ type: "aside", from: i, to: endOfWhen(tokens, i), words: "" });
      continue;
    }
    if (plain === "or" && chunks.at(-1)?.type === "thing") {
      // "water or white stock": the first is taken, the other asked about where it is read.
      push({ type: "word", plain: "or", from: i, to: i + 1 });
      continue;
    }
    const atMost = limitBefore(tokens, i);
    const time = timeAt(tokens, i);
    if (time) {
      push({ type: "time", time, from: i, to: time.to, atMost });
      continue;
    }
    const temperature = temperatureAt(tokens, i);
    if (temperature) {
      push({ type: "temperature", temperature, from: i, to: temperature.to, atMost });
      continue;
    }
    const part = partAt(tokens, i);
    if (part) {
      const named = lexicon.nameIn(tokens, part.to, true);
      if (named) {
        push(thing(i, named.to, named, { part: part.part, prep, definite: true }));
        continue;
      }
    }
    const juice = juiceAt(tokens, i, lexicon);
    if (juice) {
      push({ ...juice, prep });
      continue;
    }
    // "reduce to a thick syrup": how far it goes, and no syrup that goes in.
    if (
      /^(?:an?)$/.test(plain) &&
      /^(?:to|into)$/.test(wordAt(i - 1)) &&
      /^(?:\w+ )?syrup\b/.test(join(tokens, i + 1, i + 3))
    ) {
      const to = wordAt(i + 1) === "syrup" ? i + 2 : i + 3;
      for (let k = i; k < to; k++) chunks.push({ type: "word", plain: wordAt(k), from: k, to: k + 1 });
      i = to;
      continue;
    }
    const amount = amountAt(tokens, i);
    if (amount && !isNoAmount(tokens, amount)) {
      let start = amount.to;
      while (/^(?:of|the|good|x)$/.test(wordAt(start)) && start < amount.to + 3) start += 1;
      const parts = /^(?:zest|peel|rind|juice)$/.test(wordAt(start)) && wordAt(start + 1) === "of";
      const named = parts
        ? null
        : (shared(tokens, lexicon.nameIn(tokens, start, true), lexicon) ?? ofSomeKind(tokens, start, amount));
      // "20 g of the 40 g butter": so much of it now, the rest later.
      const whole = named ? null : amountAt(tokens, start);
      const ofWhole =
        whole && start > amount.to && whole.unit?.kind === amount.unit?.kind
          ? shared(tokens, lexicon.nameIn(tokens, whole.to, true), lexicon)
          : null;
      const share =
        whole && amount.unit && whole.unit
          ? (amount.number.value * amount.unit.factor) / (whole.number.value * whole.unit.factor)
          : 1;
      if (ofWhole && share < 1) {
        push(thing(i, ofWhole.to, ofWhole, { amount, part: share, prep, definite: true }));
        continue;
      }
      const isUnitToo =
        amount.unit?.kind === "count" && (!named || !named.ingredient)
          ? unitAsThing(tokens, amount, lexicon)
          : null;
      if (isUnitToo && !named) {
        push(thing(i, isUnitToo.to, isUnitToo, { amount: { ...amount, unit: null }, prep, definite }));
        continue;
      }
      if (named && !(amount.unit === null && amount.number.inFigures && isVerbless(tokens, named))) {
        const inner = innerUnit(tokens, named, amount);
        const and = alsoAt(tokens, named.to);
        const relation = relationAt(tokens, and?.to ?? named.to, amount, lexicon);
        push(
          thing(i, Math.max(named.to, and?.to ?? 0, relation?.to ?? 0), named, {
            amount: inner ?? amount,
            also: and?.amount ?? null,
            relation: relation?.relation ?? null,
            prep,
            definite,
          }),
        );
        continue;
      }
      const relation =
        amount.unit?.kind === "share" || amount.unit?.kind === "mass"
          ? relationAt(tokens, amount.to, amount, lexicon)
          : null;
      const last = chunks.at(-1);
      const before = last?.type === "mark" && /^[,:(=-]$/.test(last.mark) ? chunks.at(-2) : last;
      if (relation && before?.type === "thing" && !before.amount) {
        chunks[chunks.indexOf(before)] = { ...before, amount, relation: relation.relation, to: relation.to };
        i = relation.to;
        continue;
      }
      const of = amountOfBefore(tokens, chunks, amount);
      if (of) {
        const relation = relationAt(tokens, amount.to, amount, lexicon);
        chunks[chunks.indexOf(of)] = { ...of, amount, relation: relation?.relation ?? null };
        chunks.push({ type: "word", plain: "", from: i, to: relation?.to ?? amount.to });
        i = relation?.to ?? amount.to;
        continue;
      }
      if (amount.unit !== null || amount.number.inFigures) {
        push({ type: "amount", amount, from: i, to: amount.to });
        continue;
      }
    }
    const loose = numberAt(tokens, i);
    if (loose && token.kind === "number") {
      push({ type: "word", plain, from: i, to: i + 1 });
      continue;
    }
    if (/^(?:heat|fire|flame|boil|cover|tick)$/.test(plain) && isNoun(tokens, i) && plain !== "boil") {
      push({ type: "word", plain, from: i, to: i + 1 });
      continue;
    }
    // "cook it dry", "a dry pan", "stock, warm, not hot", "blend the rest": words that tell how or what, and no order.
    if (isNoOrder(tokens, i)) {
      push({ type: "word", plain, from: i, to: i + 1 });
      continue;
    }
    const verb =
      isPlural(tokens, i) || isTitleNoun(tokens, i)
        ? null
        : plain === "fish" && wordAt(i + 1) === "out"
          ? verbCalled("fishout")
          : verbCalled(plain);
    // A verb that begins a name is none: "brown stock"; where an order stands it is one: "Brown onions".
    const named = shared(tokens, lexicon.nameIn(tokens, i), lexicon);
    const known = named?.ingredient ?? named?.bundle;
    const startsDeed =
      verb && (i === 0 || /^(?:mark)$/.test(chunks.at(-1)?.type ?? "")) && !nameIsLonger(tokens, named, i);
    if (
      verb &&
      (!known || startsDeed || (named && verbCalled(wordAt(i)) && !nameIsLonger(tokens, named, i)))
    ) {
      const does = plain === "top" && wordAt(i + 1) === "up" ? { ...verb, sense: "add" as const } : verb;
      push({ type: "verb", verb: does, form: formOf(tokens, i), from: i, to: i + 1 });
      continue;
    }
    if (named && !FILLER.has(plain)) {
      const and = alsoAt(tokens, named.to);
      push(
        thing(i, Math.max(named.to, and?.to ?? 0), named, { prep, definite, amount: and?.amount ?? null }),
      );
      continue;
    }
    if (/^(?:the|its|their|this|that|those|these|your|my|our)$/.test(plain)) definite = true;
    if (
      FILLER.has(plain) &&
      !/^(?:the|a|an|some|all|of|its|their|this|that|those|these|your|my|our|more|and|another)$/.test(plain)
    )
      prep = plain;
    if (plain === "and") prep = chunks.at(-1)?.type === "thing" ? (chunks.at(-1) as ThingChunk).prep : prep;
    chunks.push({ type: "word", plain, from: i, to: i + 1 });
    i += 1;
  }
  return withPrepositions(chunks);
}

/** The thing that an amount behind it is of: "butter 70 g", "dripping, four tablespoons", "half the butter so like 20 grams". */
function amountOfBefore(
  tokens: readonly Token[],
  chunks: readonly Chunk[],
  amount: SaidAmount,
): ThingChunk | null {
  if (plainAt(tokens, amount.to) === "at" && plainAt(tokens, amount.to + 1) === "a") return null;
  // "1.2 kg in all" is all of it together.
  if (/^(?:in (?:all|total)|altogether|all told)\b/.test(join(tokens, amount.to, amount.to + 2))) return null;
  if (amount.each) return null;
  let k = chunks.length - 1;
  let unknown: ThingChunk | null = null;
  while (k >= 0) {
    const chunk = chunks[k];
    if (!chunk) return null;
    if (chunk.type === "mark" && /^[,:(=+/-]$/.test(chunk.mark)) k -= 1;
    else if (chunk.type === "word" && /^(?:so|that|is|of|and|was|them|loose|the|at)$/.test(chunk.plain))
      k -= 1;
    else if (
      chunk.type === "verb" &&
      (chunk.form === "part" || (chunk.form === "past" && chunk.verb.sense === "prepare"))
    )
      k -= 1;
    else if (chunk.type === "thing" && !chunk.amount && !chunk.aside) {
      // "veal bones, knuckle + neck 30 kg": what nobody knows is said of what is known before it.
      if (chunk.named.ingredient || chunk.named.bundle) return chunk;
      unknown ??= chunk;
      k -= 1;
    } else return unknown;
    if (chunks.length - k > 8) break;
  }
  return unknown;
}

/** Things after "for", "like" or "onto" are what it is for, not what goes in. */
const withPrepositions = (chunks: readonly Chunk[]): Chunk[] =>
  chunks.map(chunk =>
    chunk.type === "thing" && BESIDE.has(chunk.prep) && !chunk.amount ? { ...chunk, aside: true } : chunk,
  );

const thing = (from: number, to: number, named: Named, more: Partial<ThingChunk>): ThingChunk => ({
  type: "thing",
  from,
  to,
  named,
  amount: null,
  also: null,
  relation: null,
  definite: false,
  part: null,
  prep: "",
  of: null,
  aside: false,
  ...more,
});

/** "300 ml stock" that nobody called anything else goes in too, and which it is has to be asked. */
function ofSomeKind(tokens: readonly Token[], i: number, amount: SaidAmount): Named | null {
  const name = plainAt(tokens, i);
  const { unit } = amount;
  if (unit?.kind !== "mass" && unit?.kind !== "volume") return null;
  if (!OF_SOME_KIND.test(name) || plainAt(tokens, i - 1) === "the") return null;
  const before = join(tokens, Math.max(0, amount.from - 3), amount.from);
  if (ENDS_AT.test(before) || /^(?:left|remain|remains|remaining)$/.test(plainAt(tokens, i + 1))) return null;
  return { from: i, to: i + 1, name, ingredient: null, bundle: null, short: false };
}
const OF_SOME_KIND = /^(?:stock|broth|jus|fat|meat|fish|bones|berries|fruit|cheese|juice|liquor)$/;
const ENDS_AT =
  /\b(?:to|until|till|down|per|every|each|makes?|have|has|had|yields?|gives?|gave|left|leave|leaves|all but|keep|kept|about|close to|of)$/;

/** "sole and turbot frames": what the second is made of counts for the first. */
function shared(tokens: readonly Token[], named: Named | null, lexicon: Lexicon): Named | null {
  if (!named || named.ingredient || named.bundle || plainAt(tokens, named.to) !== "and") return named;
  const second = lexicon.nameIn(tokens, named.to + 1);
  if (!second?.ingredient || second.to - second.from < 2) return named;
  const ingredient = lexicon.called(`${named.name} ${plainAt(tokens, second.to - 1)}`);
  return ingredient ? { ...second, from: named.from, ingredient } : named;
}

/** "half the butter", "two thirds of the shells", "the remaining 40 ml oil" is read by its amount. */
function partAt(tokens: readonly Token[], i: number): { part: number | "rest"; to: number } | null {
  const text = join(tokens, i, Math.min(tokens.length, i + 6));
  const match =
    /^(half|a third|one third|two thirds|a quarter|three quarters) (?:of )?(?:the|its|your) (?=\w)/.exec(
      text,
    ) ??
    /^(?:the )?(?:other )?(rest|remainder|other half|second half) (?:of )?(?:the )?(?=\w)/.exec(text) ??
    /^the (remaining) (?=[a-z])/.exec(text) ??
    /^(remaining) (?=[a-z])/.exec(text);
  if (!match) return null;
  const words = match[0].trim().split(" ").length;
  const said = match[1] ?? "";
  if (numberAt(tokens, i + words)?.inFigures) return null;
  return { part: PARTS[said] ?? "rest", to: i + words };
}
const PARTS: Readonly<Record<string, number>> = {
  half: 1 / 2, "a third": 1 / 3, "one third": 1 / 3, "two thirds": 2 / 3, "a quarter": 1 / 4, "three quarters": 3 / 4,
}; // prettier-ignore

/** "the juice of half a lemon", "juice of 6 lemons", "the zest of an orange", "the stalks of 1 bunch of tarragon". */
function juiceAt(tokens: readonly Token[], from: number, lexicon: Lexicon): ThingChunk | null {
  let i = from;
  if (plainAt(tokens, i) === "the") i += 1;
  const word = plainAt(tokens, i);
  if (!/^(?:juice|zest|peel|rind|stalks|leaves)$/.test(word) || plainAt(tokens, i + 1) !== "of") return null;
  const amount = amountAt(tokens, i + 2);
  const start = amount
    ? amount.to + (plainAt(tokens, amount.to) === "of" ? 1 : 0)
    : i + 2 + (plainAt(tokens, i + 2) === "the" ? 1 : 0);
  const fruit = lexicon.nameIn(tokens, start, true);
  if (!fruit) return null;
  const of =
    word === "juice"
      ? ("juice" as const)
      : /stalks|leaves/.test(word)
        ? ("stalks" as const)
        : ("zest" as const);
  if (of === "stalks") return thing(from, fruit.to, fruit, { amount, of });
  const single = fruit.name
    .replace(/ies$/, "y")
    .replace(/oes$/, "o")
    .replace(/([^s])s$/, "$1");
  const ingredient = lexicon.called(`${single} ${of}`) ?? lexicon.called(`${single} peel`);
  const and = alsoAt(tokens, fruit.to);
  const named: Named = {
    ...fruit,
    from,
    ingredient,
    name: ingredient?.name ?? `${single} ${word}`,
    bundle: null,
  };
  return thing(from, Math.max(fruit.to, and?.to ?? 0), named, { amount, of, also: and?.amount ?? null });
}

/** A figure in brackets or after "about": "8 thighs (about 3 lb)", "the juice of 4 oranges, roughly 340 ml", "2 steaks, about 220 g each". */
function alsoAt(tokens: readonly Token[], at: number): { amount: SaidAmount; to: number } | null {
  let i = at;
  // "1 yellow onion, sliced (about 8 oz)".
  if (plainAt(tokens, i) === ",")
    for (let k = i + 1; k < i + 4 && tokens[k]; k++) {
      if (plainAt(tokens, k) === "(") i = k;
      else if (!isParticiple(plainAt(tokens, k)) && !/ly$/.test(plainAt(tokens, k))) break;
    }
  const open = plainAt(tokens, i);
  if (open !== "(" && open !== ",") return null;
  const amount = amountAt(tokens, i + 1);
  if (amount?.unit?.kind !== "mass" && amount?.unit?.kind !== "volume") return null;
  if (open === "(") {
    const close = tokens.findIndex((t, k) => k >= amount.to && t.plain === ")");
    if (close < 0 || close > amount.to + 8) return null;
    // "(300 g onion, 200 g carrot)" names the parts.
    const rest = tokens.slice(amount.to, close);
    const parts = rest.some(t => t.kind === "number");
    return parts ? null : { amount, to: close + 1 };
  }
  const hedged = /^(?:about|roughly|around|approximately|some)$/.test(plainAt(tokens, i + 1));
  if (!hedged && !amount.each) return null;
  const next = plainAt(tokens, amount.to);
  return next === "" || CLOSES.test(next) || FILLER.has(next) ? { amount, to: amount.to } : null;
}

/** "60 g butter per litre of stock", "12 % of the bones", "20 g butter/l", "100 butter to the litre". */
function relationAt(
  tokens: readonly Token[],
  from: number,
  amount: SaidAmount,
  lexicon: Lexicon,
): { relation: Relation; to: number } | null {
  let i = from;
  const words = join(tokens, i, Math.min(tokens.length, i + 5));
  const per =
    /^(?:per|to each|to every|for each|for every|to the|to a|\/|a) ?(l|litre|liter|litres|kg|kilo|kilogram)\b(?: of)?/.exec(
      words,
    );
  if (per && (!/^a /.test(words) || /^a (?:litre|liter|kg|kilo)/.test(words))) {
    i += per[0].split(" ").length;
    const of = lexicon.nameIn(tokens, plainAt(tokens, i) === "the" ? i + 1 : i);
    const name = of ?? potWord(tokens, i);
    const isOf = / of$/.test(per[0]);
    return {
      relation: {
        kind: /^k/.test(per[1] ?? "") ? "per-kg" : "per-litre",
        of: isOf ? (name?.name ?? "") : "",
      },
      to: isOf && name ? name.to : i,
    };
  }
  if (amount.unit?.kind === "share" && plainAt(tokens, i) === "of") {
    i += plainAt(tokens, i + 1) === "the" ? 2 : 1;
    const name = lexicon.nameIn(tokens, i) ?? potWord(tokens, i);
    return {
      relation: { kind: "share", pct: amount.number.value, of: name?.name ?? join(tokens, i, i + 1) },
      to: name?.to ?? i + 1,
    };
  }
  return null;
}

const potWord = (tokens: readonly Token[], i: number): { name: string; to: number } | null => {
  const at = plainAt(tokens, i) === "the" ? i + 1 : i;
  return tokens[at]?.kind === "word"
    ? {
        name: join(
          tokens,
          at,
          Math.min(tokens.length, at + (/^finished$/.test(plainAt(tokens, at)) ? 2 : 1)),
        ),
        to: at + (/^finished$/.test(plainAt(tokens, at)) ? 2 : 1),
      }
    : null;
};

/** "2 garlic cloves": what is counted stands after the name. */
function innerUnit(tokens: readonly Token[], named: Named, amount: SaidAmount): SaidAmount | null {
  if (amount.unit !== null || !named.ingredient) return null;
  const last = amountAt([{ ...ONE }, ...tokens.slice(named.to - 1, named.to)], 0);
  return last?.unit?.kind === "count" && named.ingredient.measures.some(m => m.name === last.unit?.name)
    ? { ...amount, unit: last.unit }
    : null;
}
const ONE: Token = {
  kind: "number",
  text: "1",
  plain: "1",
  at: 0,
  end: 0,
  value: 1,
  ambiguous: false,
  tight: false,
};

/** "3 cloves", "10 bay": the word for a measure is a thing as well. */
function unitAsThing(tokens: readonly Token[], amount: SaidAmount, lexicon: Lexicon): Named | null {
  return lexicon.nameIn(tokens, amount.to - 1, true);
}

/** "roast 220": a number before a verb counts nothing. */
const isVerbless = (tokens: readonly Token[], named: Named): boolean =>
  named.ingredient === null && verbCalled(plainAt(tokens, named.from)) !== null;

const isNoAmount = (tokens: readonly Token[], amount: SaidAmount): boolean => {
  const next = plainAt(tokens, amount.to);
  const first = plainAt(tokens, amount.from);
  // "a", "an", "one" before what is no name counts nothing.
  if (
    amount.unit === null &&
    !amount.number.inFigures &&
    /^(?:a|an|one|half|few|couple)$/.test(first) &&
    (next === "" || FILLER.has(next))
  )
    return true;
  return false;
};

const nameIsLonger = (tokens: readonly Token[], named: Named | null, i: number): boolean =>
  (named?.ingredient != null &&
    named.to > i + 1 &&
    (amountAt(tokens, named.to) !== null || /(?:stock|sugar|butter|sauce|rice)$/.test(named.name))) ||
  (named !== null &&
    named.from === i &&
    named.to > i + 1 &&
    named.ingredient !== null &&
    !/^(?:brown|roast|dry|cover|season)$/.test(plainAt(tokens, i)))
    ? true
    : named !== null && named.ingredient !== null && named.to > i + 1 && i > 0;

/** Numbers and amounts in what follows "until": their ends count, the verbs in it do not. */
function scanInside(tokens: readonly Token[], from: number, to: number, chunks: Chunk[]): void {
  let i = from + 1;
  const inner = tokens.slice(0, to);
  while (i < to) {
    const time = timeAt(inner, i);
    if (time) {
      chunks.push({ type: "time", time, from: i, to: time.to, atMost: false });
      i = time.to;
      continue;
    }
    const temperature = temperatureAt(inner, i);
    if (temperature) {
      chunks.push({
        type: "temperature",
        temperature,
        from: i,
        to: temperature.to,
        atMost: limitBefore(inner, i),
      });
      i = temperature.to;
      continue;
    }
    const amount = amountAt(inner, i);
    if (amount && !amount.unit?.vague && (amount.unit?.kind === "volume" || amount.unit?.kind === "mass")) {
      chunks.push({ type: "amount", amount, from: i, to: amount.to });
      i = amount.to;
      continue;
    }
    i += 1;
  }
}
