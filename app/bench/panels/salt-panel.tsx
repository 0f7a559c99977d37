import { useMemo } from "react";
import { saltLedger, saltTargetPct, updateLine, linesOf, addLine, insertStep } from "~/core/formula";
import { saltDose } from "~/core/laws/seasoning";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { ulid } from "ulid";
import { Button } from "../../ui/button";
import type { PanelProps } from "./panel-props";

/** Where the salt comes from, through every formula this one draws on, and what is still wanted. */
export function SaltPanel({ formula, kitchen, walked }: PanelProps) {
  const { document, edit } = formula;
  const ledger = useMemo(() => saltLedger(document, walked, kitchen), [document, walked, kitchen]);
  const target = saltTargetPct(document);
  const dose = saltDose(Math.max(1, walked.finishedG), Math.min(100, ledger.pct), target);
  const toTarget = () => {
    const salts = linesOf(document).filter(l => "larder" in l.of && l.of.larder === "salt");
    const last = salts.at(-1);
    const amount = { kind: "to-reach" as const, what: "salt" as const, value: target };
    if (last) return edit(d => updateLine(d, last.id, { amount, certainty: "stated" }));
    const id = ulid();
    edit(d =>
      addLine(insertStep(d, "season", id), id, {
        id: ulid(),
        of: { larder: "salt" },
        amount,
        certainty: "stated",
      }),
    );
  };
  return (
    <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[1fr_20rem]">
      <ul className="divide-y divide-rule">
        {ledger.entries.length === 0 && (
          <li className="text-faded">No salt goes into this, and none is recorded in what does.</li>
        )}
        {ledger.entries.map((entry, i) => (
          <li
            key={`${entry.path.join()}-${i}`}
            className="grid grid-cols-[1fr_auto] items-center gap-x-4 py-1.5"
          >
            <span>
              {entry.path.at(-1)}
              {entry.path.length > 1 && (
                <span className="text-sm text-faded"> in {entry.path.slice(0, -1).join(" › ")}</span>
              )}
              <span className="mt-0.5 block h-1.5 rounded-full bg-linen">
                <span
                  className="block h-full rounded-full bg-[#8d99a6]"
                  style={{ width: `${100 * entry.share}%` }}
                />
              </span>
            </span>
            <span className="text-right font-semibold whitespace-nowrap">{printMass(g(entry.saltG))}</span>
          </li>
        ))}
      </ul>
      <div>
        <p className="font-display text-2xl font-semibold">{printNumber(ledger.pct, 2)} % salt</p>
        <p className="text-sm text-faded">
          {printMass(g(ledger.inG))} came in
          {ledger.outG > 0.05
            ? `, ${printMass(g(ledger.outG))} left with what was strained or poured off`
            : ""}
          ; {printMass(g(ledger.perPortionG))} a portion.
        </p>
        <p className="mt-3">
          Wanted {printNumber(target, 2)} %:{" "}
          {dose.ok ? (
            dose.value.addG > 0.05 ? (
              <>
                <strong>{printMass(dose.value.addG)}</strong> more, {printMass(dose.value.firstG)} of it
                first.
              </>
            ) : (
              "it is there."
            )
          ) : (
            <span className="text-beet">✕ {dose.problems[0]?.message}</span>
          )}
        </p>
        <Button className="mt-2" onClick={toTarget}>
          Salt to {printNumber(target, 2)} %
        </Button>
      </div>
    </div>
  );
}
