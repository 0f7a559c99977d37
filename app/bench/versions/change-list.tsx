import type { Change } from "~/core/formula";

const HEADINGS: Record<Change["kind"], string> = {
  whole: "The formula",
  amount: "Amounts",
  step: "Steps",
  order: "Order",
};

/** Differences of two versions, amounts first: what was, struck out, and what is. */
export function ChangeList({ changes }: { changes: readonly Change[] }) {
  if (!changes.length) return <p className="mt-2 text-faded">Nothing a cook would notice differs.</p>;
  return (["amount", "step", "order", "whole"] as const).map(kind => {
    const some = changes.filter(change => change.kind === kind);
    return (
      some.length > 0 && (
        <section key={kind} className="mt-3">
          <h3 className="text-sm text-faded">{HEADINGS[kind]}</h3>
          <ul>
            {some.map((change, i) => (
              <li
                key={i}
                className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[minmax(0,14rem)_minmax(0,1fr)]"
              >
                <span>{change.where}</span>
                <span>
                  {change.before ? (
                    <s className="text-faded">{change.before}</s>
                  ) : (
                    <span className="text-sorrel">new: </span>
                  )}
                  {change.before && change.after && <span className="px-1.5 text-faded">→</span>}
                  {change.after ? (
                    <strong>{change.after}</strong>
                  ) : (
                    <span className="text-beet"> taken out</span>
                  )}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )
    );
  });
}
