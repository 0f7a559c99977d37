import { endIn, shareIn } from "../lexicon/ends";
import { FILLER } from "../lexicon/words";
import type { Token } from "../text/tokens";
import type { Chunk, ThingChunk } from "./chunks";
import type { Clause } from "./clauses";

/**
 * What became of a word of the text. Every word ends in one of four ways: it is used in a line, a field or an end; it stays
 * beside the step as the cook's own; it is asked about; or it is filler, of a closed list.
 */
export interface WordFate {
  readonly text: string;
  /** Where it stands in the text as it was read. */
  readonly at: number;
  readonly end: number;
  readonly as: "used" | "remark" | "asked" | "filler";
  /** Id of the piece it became part of. */
  readonly piece?: string;
}

export type Fate = WordFate["as"];

/** Fates of the words of one clause, by the place of each. */
export function fatesOf(
  clause: Clause,
  tokens: readonly Token[],
  thingFate: (thing: ThingChunk) => Fate,
  made: boolean,
): Map<Token, Fate> {
  const fates = new Map<Token, Fate>();
  const ends = endWords(clause, tokens);
  for (const chunk of clause.chunks)
    for (const token of tokens.slice(chunk.from, chunk.to)) {
      if (token.kind !== "word" && token.kind !== "number") continue;
      const fate = ends.has(token) ? "used" : fateIn(chunk, token, thingFate, made);
      // What stands in an "until" as a time or an amount is told more closely by its own piece.
      if (!fates.has(token) || fate === "used" || fate === "asked") fates.set(token, fate);
    }
  return fates;
}

function fateIn(chunk: Chunk, token: Token, thingFate: (thing: ThingChunk) => Fate, made: boolean): Fate {
  const own = FILLER.has(token.plain) ? "filler" : "remark";
  switch (chunk.type) {
    case "thing":
      return FILLER.has(token.plain) && token.kind === "word" ? own : thingFate(chunk);
    case "verb":
      return made && !/^(?:aside|help|prepare)$/.test(chunk.verb.sense) && chunk.form !== "part"
        ? "used"
        : "remark";
    case "time":
    case "temperature":
    case "amount":
      return made ? "used" : "remark";
    case "word":
      // The amount that stands behind what it is of.
      return chunk.plain === "" ? "used" : own;
    default:
      return own;
  }
}

/** The words that tell how far a reduction goes. */
function endWords(clause: Clause, tokens: readonly Token[]): ReadonlySet<Token> {
  const found = new Set<Token>();
  for (const end of [shareIn(clause.bare), endIn(clause.bare)]) {
    if (!end) continue;
    const words = clause.bare.slice(end.at, end.to).split(" ").filter(Boolean);
    const own = clause.chunks.flatMap(chunk => tokens.slice(chunk.from, chunk.to));
    const at = own.findIndex((_, i) => words.every((word, k) => own[i + k]?.plain === word));
    if (at >= 0) for (const token of own.slice(at, at + words.length)) found.add(token);
  }
  return found;
}
