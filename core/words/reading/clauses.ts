import type { Verb, Sense } from "../lexicon/verbs";
import type { Token } from "../text/tokens";
import type { Chunk, ThingChunk } from "./chunks";

type VerbChunk = Extract<Chunk, { type: "verb" }>;

/** What is said of one thing to do. */
export interface Clause {
  readonly chunks: readonly Chunk[];
  readonly tokens: readonly Token[];
  /** Its words as they were written. */
  readonly text: string;
  /** Its words made plain, without what is told off and what is only compared or wanted perhaps. */
  readonly plain: string;
  /** The same without the names of things, where ends are looked for: "maple syrup" is no end. */
  readonly bare: string;
  /** All its words made plain. */
  readonly all: string;
  readonly verbs: readonly VerbChunk[];
  readonly main: Verb | null;
  readonly things: readonly ThingChunk[];
  /** It only holds if something is so. */
  readonly perhaps: boolean;
}

/** Steps that take nothing in: what stands beside them with an amount goes in by itself. */
const TAKES_NOTHING: ReadonlySet<Sense> = new Set([
  "strain",
  "pass",
  "lift",
  "cool",
  "freeze",
  "degrease",
  "skim",
  "hold",
  "drain",
  "portion",
  "cover",
  "flame",
]);
/** Verbs that only help the one that follows. */
const HELPS: ReadonlySet<Sense> = new Set(["help", "keep", "go", "take", "leave", "bring", "put"]);

/** The clauses of one sentence. */
export function clausesOf(
  text: string,
  tokens: readonly Token[],
  chunks: readonly Chunk[],
  narrated: boolean,
): Clause[] {
  const clauses: Clause[] = [];
  let current: Chunk[] = [];
  let brackets = 0;
  const main = () =>
    current.find(
      (c): c is VerbChunk =>
        c.type === "verb" && c.form !== "gerund" && c.form !== "noun" && c.form !== "part",
    );
  const deed = () =>
    current
      .filter((c): c is VerbChunk => c.type === "verb" && c.form !== "gerund" && c.form !== "part")
      .findLast(c => !HELPS.has(c.verb.sense));
  const close = () => {
    if (
      current.some(c => c.type !== "mark" && c.type !== "word") ||
      current.some(c => c.type === "word" && c.plain.length > 1)
    )
      clauses.push(clauseFrom(text, tokens, current));
    current = [];
  };
  chunks.forEach((chunk, k) => {
    const last = current.at(-1);
    const afterComma =
      last?.type === "mark" || (last?.type === "word" && /^(?:and|but|then)$/.test(last.plain));
    if (chunk.type === "mark") {
      if (chunk.mark === "(") brackets += 1;
      if (chunk.mark === ")") brackets = Math.max(0, brackets - 1);
      if (/^[.;→!?]$/.test(chunk.mark) || chunk.mark === "—") {
        close();
        return;
      }
      current.push(chunk);
      return;
    }
    if (chunk.type === "word" && chunk.plain === "then") {
      close();
      return;
    }
    // ", in go two onions", ", in w. mush.": something else goes in.
    if (
      chunk.type === "word" &&
      chunk.plain === "in" &&
      (afterComma || !current.length) &&
      goesIn(chunks, k)
    ) {
      close();
      current.push(chunk);
      return;
    }
    if (chunk.type === "verb") {
      const ofThing =
        chunk.verb.sense === "prepare" && current.findLast(c => c.type !== "mark")?.type === "thing";
      const modifies = chunk.form === "past" && ((!narrated && !isTold(chunks, k)) || ofThing);
      if (brackets > 0 || (modifies && current.length > 0)) {
        current.push({ ...chunk, form: "part" });
        return;
      }
      if (chunk.form === "gerund" || chunk.form === "noun") {
        current.push(chunk);
        return;
      }
      const before = main();
      const done = deed();
      if (before && !done) {
        // "let it go down", "took colour": the helper is helped, unless a comma starts anew.
        if (HELPS.has(before.verb.sense) && !startsAnew(current, chunk)) {
          current.push(chunk);
          return;
        }
        close();
      } else if (before) {
        const helper =
          chunk.verb.sense === "go" && /^(?:in)$/.test(wordAfter(chunks, k)) && isPutting(before.verb.sense);
        if (helper) {
          current.push(chunk);
          return;
        }
        const lead = takeLead(current);
        close();
        current.push(...lead);
      } else if (
        afterComma &&
        ((TAKES_NOTHING.has(chunk.verb.sense) &&
          current.some(c => c.type === "thing" && c.amount && !c.aside)) ||
          (current.some(c => c.type === "thing" && !c.aside) &&
            current.some(
              c =>
                c.type === "time" ||
                c.type === "until" ||
                (c.type === "word" && /^(?:out|back)$/.test(c.plain)),
            )))
      )
        close();
      current.push(chunk);
      return;
    }
    if (chunk.type === "thing" && !chunk.aside && brackets === 0 && afterComma) {
      const before = deed();
      const figure = chunk.amount !== null || chunk.part !== null;
      const { ingredient } = chunk.named;
      const pours =
        ingredient?.phase === "liquor" &&
        ingredient.composition.water > 35 &&
        ingredient.id !== "tomato-paste";
      if (before && figure && pours && /^(?:sweat|brown|roast)$/.test(before.verb.sense)) close();
      const isDone =
        current.some(c => c.type === "time" || c.type === "until" || c.type === "temperature") ||
        /\b(?:by|to) (?:half|a third|a quarter|two thirds)|\bdry\b|\bau sec\b/.test(plainOf(tokens, current));
      if (
        !before &&
        figure &&
        current.some(c => c.type === "time" || c.type === "until") &&
        current.some(c => c.type === "thing" && !c.aside)
      )
        close();
      if (
        before &&
        figure &&
        (TAKES_NOTHING.has(before.verb.sense) ||
          (isDone && /^(?:reduce|simmer|boil|cook|dry|blend|hold|rest|steep|cool)$/.test(before.verb.sense)))
      ) {
        close();
      }
    }
    current.push(chunk);
  });
  close();
  return clauses;
}

const isPutting = (sense: Sense): boolean => /^(?:stir|add|melt|put|whip|go|take|prepare|pour)$/.test(sense);

/** "in go", "in with", "in they go": what is put in follows, or a pronoun for it. */
function goesIn(chunks: readonly Chunk[], k: number): boolean {
  const next = chunks[k + 1];
  if (!next) return false;
  if (next.type === "verb") return next.verb.sense === "go";
  if (next.type === "word" && next.plain === "with") return true;
  const later = chunks[k + 2];
  return (
    next.type === "word" &&
    /^(?:they|it)$/.test(next.plain) &&
    later?.type === "verb" &&
    later.verb.sense === "go"
  );
}

const wordAfter = (chunks: readonly Chunk[], k: number): string => {
  const next = chunks[k + 1];
  return next?.type === "word" ? next.plain : "";
};

/** "sweated in 50 butter", "browned in a skillet": what was done tells the step where it says in what. */
function isTold(chunks: readonly Chunk[], k: number): boolean {
  const before = chunks[k - 1];
  const next = chunks[k + 1];
  const verb = chunks[k];
  if (verb?.type !== "verb") return false;
  if (/^(?:aside|help|prepare|cover)$/.test(verb.verb.sense)) return false;
  if (next?.type === "word" && /^(?:in|over|till|with|at|by|for|on|off|through|down|into)$/.test(next.plain))
    return true;
  if (next?.type === "until" || next?.type === "time") return true;
  if (before?.type === "verb" && /^(?:go|help)$/.test(before.verb.sense)) return true;
  return before?.type === "word" && /^(?:i|we|was|were|gets|is|it|got|been|to)$/.test(before.plain);
}

/** A comma or an "and" and no pronoun of its own before the verb: another order. */
const startsAnew = (current: readonly Chunk[], chunk: VerbChunk): boolean => {
  const last = current.findLast(
    c => c.type !== "word" || !/^(?:i|we|you|it|they|just|also|the)$/.test(c.plain),
  );
  if (last?.type === "mark")
    return /^[,:]$/.test(last.mark) && (chunk.form === "base" || chunk.form === "past");
  return (
    last?.type === "word" &&
    last.plain === "and" &&
    chunk.form === "base" &&
    current.some(c => c.type === "thing")
  );
};

/** "and you", ", I": the words that lead the next verb go with it. */
function takeLead(current: Chunk[]): Chunk[] {
  const lead: Chunk[] = [];
  while (current.length) {
    const last = current.at(-1);
    if (last?.type === "mark" && last.mark !== ")") lead.unshift(...current.splice(-1));
    else if (
      last?.type === "word" &&
      /^(?:and|but|you|i|we|it|they|them|just|also|to|now|again|slowly|gently|either|so|the)$/.test(
        last.plain,
      )
    )
      lead.unshift(...current.splice(-1));
    else break;
  }
  // "strained it and": what was done to it stays with what was done.
  while (lead[0]?.type === "word" && /^(?:it|them|the|again|now|slowly|gently)$/.test(lead[0].plain))
    current.push(...lead.splice(0, 1));
  return lead;
}

const plainOf = (tokens: readonly Token[], chunks: readonly Chunk[]): string =>
  chunks.flatMap(c => tokens.slice(c.from, c.to).map(t => t.plain)).join(" "); // prettier-ignore

function clauseFrom(text: string, tokens: readonly Token[], chunks: readonly Chunk[]): Clause {
  const from = Math.min(...chunks.map(c => c.from));
  const to = Math.max(...chunks.map(c => c.to));
  const own = tokens.slice(from, to);
  const left = new Set(
    chunks
      .filter(c => c.type === "not" || c.type === "if" || c.type === "aside")
      .flatMap(c => Array.from({ length: c.to - c.from }, (_, i) => c.from + i)),
  );
  const plain = tokens
    .slice(from, to)
    .flatMap((t, i) => (left.has(from + i) || t.kind === "break" ? [] : [t.plain]))
    .join(" ");
  const named = new Set(
    chunks.flatMap(c =>
      c.type === "thing" ? Array.from({ length: c.to - c.from }, (_, i) => c.from + i) : [],
    ),
  );
  const bare = tokens
    .slice(from, to)
    .flatMap((t, i) => (left.has(from + i) || named.has(from + i) || t.kind === "break" ? [] : [t.plain]))
    .join(" ");
  const verbs = chunks.filter((c): c is VerbChunk => c.type === "verb" && c.form !== "part");
  const acts = verbs.filter(v => v.form !== "gerund" && v.form !== "noun");
  const main =
    acts.find(v => !HELPS.has(v.verb.sense)) ?? acts[0] ?? verbs.find(v => v.form === "noun") ?? null;
  const perhapsAt = chunks.findIndex(c => c.type === "if");
  const trimmed = { start: own[0]?.at ?? 0, end: own.at(-1)?.end ?? 0 };
  return {
    chunks,
    tokens: own,
    text: text
      .slice(trimmed.start, trimmed.end)
      .replace(/^[\s,;:.]+|[\s,;:]+$/g, "")
      .replace(/^(?:and|but)\s+/i, ""),
    plain,
    bare,
    all: own.map(t => t.plain).join(" "),
    verbs,
    main: main?.verb ?? null,
    things: chunks.filter((c): c is ThingChunk => c.type === "thing"),
    perhaps: perhapsAt >= 0,
  };
}
