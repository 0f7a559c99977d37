import type { Source } from "~/core/larder";

/** How a mark is said on screen; never dropped. */
export const MARK_WORDS: Record<Source["mark"], string> = {
  P: "published",
  M: "published (from memory, to be verified)",
  T: "common practice, no source",
  E: "our estimate",
  measured: "measured here",
};

/** "USDA …, from memory (published, from memory, to be verified)" said once. */
export const sourceWords = (source: Source): string =>
  source.text.includes(MARK_WORDS[source.mark]) || MARK_WORDS[source.mark].includes(source.text)
    ? source.text
    : `${source.text} · ${MARK_WORDS[source.mark]}`;
