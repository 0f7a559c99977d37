import { useMemo } from "react";
import {
  type FormulaDocument,
  type Kitchen,
  costOf,
  kindOf,
  relationInWords,
  titleWithPan,
  walk,
} from "~/core/formula";
import { g, printDuration, printMass, printNumber } from "~/core/ground/quantity";

/** What a formula that is not made yet would give, and its steps in short. */
export function DraftPreview({ document, kitchen }: { document: FormulaDocument; kitchen: Kitchen }) {
  const walked = useMemo(() => walk(document, kitchen), [document, kitchen]);
  const cost = useMemo(
    () => costOf(document, walked, kitchen.data.house),
    [document, walked, kitchen.data.house],
  );
  const stopped = walked.problems[0];
  return (
    <section aria-label="What comes out">
      {stopped ? (
        <p className="rounded-md bg-saffron-wash p-2 text-sm text-saffron-ink">
          ▲ As it stands the line stops: {stopped.message}
        </p>
      ) : (
        <p className="flex flex-wrap gap-x-7 gap-y-2">
          <Figure label="gives">{printNumber(walked.finishedMl / 1000, 2)} l</Figure>
          <Figure label="in">{printDuration(walked.totalS)}</Figure>
          <Figure label={`portions of ${printMass(g(document.portionG))}`}>{cost.portions}</Figure>
          {cost.perKg !== null && (
            <Figure label="food, a kg">
              {printNumber(cost.perKg, 2)} {cost.currency}
            </Figure>
          )}
        </p>
      )}
      <ol className="mt-4 border-t border-rule">
        {document.steps.map((step, i) => {
          const state = walked.states[i];
          const names = state?.lines.map(line => line.name) ?? [];
          return (
            <li key={step.id} className="grid grid-cols-[1.75rem_1fr] border-b border-rule py-2">
              <span className="font-display text-faded">{i + 1}</span>
              <div>
                <p className="leading-snug">
                  <span className="font-semibold">{titleWithPan(step, names)}</span>{" "}
                  <span className="text-sm text-faded">{kindOf(step).detail(step)}</span>
                </p>
                {state && state.lines.length > 0 && (
                  <p className="text-sm">
                    {state.lines.map((line, n) => (
                      <span key={line.lineId}>
                        {n > 0 && " · "}
                        {line.name} <span className="font-semibold">{printMass(line.massG)}</span>{" "}
                        <span className="text-faded">
                          {relationOf(
                            document,
                            step.lines.find(l => l.id === line.lineId),
                          )}
                        </span>
                      </span>
                    ))}
                  </p>
                )}
                {step.question && <p className="text-sm text-saffron-ink">? {step.question}</p>}
                {step.lines.map(
                  line =>
                    line.question && (
                      <p key={line.id} className="text-sm text-saffron-ink">
                        ? {line.question}
                      </p>
                    ),
                )}
              </div>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

const relationOf = (
  document: FormulaDocument,
  line: FormulaDocument["steps"][number]["lines"][number] | undefined,
): string =>
  line && line.amount.kind !== "fixed"
    ? relationInWords(line.amount, { baseName: document.base.name, groups: document.groups })
    : "";

function Figure({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <span>
      <span className="block text-xs text-faded">{label}</span>
      <span className="font-display text-xl font-semibold whitespace-nowrap">{children}</span>
    </span>
  );
}
