import type { Source } from "~/core/things/larder";

/** How a mark is said on screen; never dropped. */
export const MARK_WORDS: Record<Source["mark"], string> = {
  P: "published",
  M: "published (from memory, to be verified)",
  T: "common practice, no source",
  E: "our estimate",
  measured: "measured here",
};

/** The words of a source and how far it can be trusted, each said once. */
export function sourceWords(source: Source): string {
  const mark = MARK_WORDS[source.mark];
  const text = source.text.replace(/, from memory(, to be verified)?/, "");
  return text.includes(mark) || mark.includes(text) ? text : `${text} · ${mark}`;
}
