import type { WordFate } from "~/core/words";

const LOOK: Readonly<Record<WordFate["as"], { readonly className: string; readonly title: string }>> = {
  used: {
    className: "text-faded line-through decoration-sorrel/70 decoration-1",
    title: "used in a line, a field or an end",
  },
  remark: { className: "italic", title: "kept as your words beside the step" },
  asked: { className: "rounded-sm bg-beet-wash px-0.5 font-semibold text-beet", title: "asked about" },
  filler: { className: "text-faded/60", title: "says nothing of what, how much or until when" },
};

/** The text as it was read: what became of each word. A word that went into a step leads to it. */
export function DraftWords({ text, words }: { text: string; words: readonly WordFate[] }) {
  const parts = words.reduce<{ readonly at: number; readonly nodes: readonly React.ReactNode[] }>(
    ({ at, nodes }, word) => {
      if (word.at < at) return { at, nodes };
      const look = LOOK[word.as];
      const shown = (
        <span key={word.at} className={look.className} title={look.title}>
          {text.slice(word.at, word.end)}
        </span>
      );
      return {
        at: word.end,
        nodes: [
          ...nodes,
          text.slice(at, word.at),
          word.piece && word.as !== "filler" ? (
            <a key={`a${word.at}`} href={`#piece-${word.piece}`}>
              {shown}
            </a>
          ) : (
            shown
          ),
        ],
      };
    },
    { at: 0, nodes: [] },
  );
  const asked = words.filter(word => word.as === "asked").length;
  return (
    <details className="mt-3" open={asked > 0}>
      <summary className="cursor-pointer text-sm text-faded">
        What became of each word{asked > 0 && <span className="text-beet">: {asked} asked about</span>}
      </summary>
      <p className="mt-1 max-h-80 overflow-y-auto rounded-md border border-rule bg-enamel p-3 text-sm leading-relaxed whitespace-pre-wrap">
        {parts.nodes}
        {text.slice(parts.at)}
      </p>
      <p className="mt-1 text-xs text-faded">
        <span className={LOOK.used.className}>used</span> · <span className="italic">kept as your words</span>{" "}
        · <span className={LOOK.asked.className}>asked</span>
      </p>
    </details>
  );
}
