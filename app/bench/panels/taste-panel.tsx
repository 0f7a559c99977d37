import { useState } from "react";
import { balanceAlong, saltTargetPct } from "~/core/formula";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { correctives, finishingAcid, pepperFor, rebalance, saltDose } from "~/core/laws/seasoning";
import { PlumbLines } from "../../ui/plumb-lines";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import { SaltyGlaze } from "./salty-glaze";
import { SpiceDoses } from "./spice-doses";
import type { PanelProps } from "./panel-props";

/** Salt, sweet, sour and fat on one footing; what straightens them; what a strong addition does. */
export function TastePanel({ formula, kitchen, walked }: PanelProps) {
  const { document } = formula;
  const { facts } = kitchen;
  const [addIn, setAddIn] = useState({ massG: 90, saltPct: 12 });
  const [garnish, setGarnish] = useState({ massG: 0, saltPct: 2.5 });
  const tastes = balanceAlong(document, walked.states, facts);
  if (!tastes || walked.finishedG <= 0) return <p className="text-faded">There is nothing to taste yet.</p>;
  const massG = walked.finishedG;
  const list = correctives(massG, tastes.now, tastes.level, facts);
  const acid = finishingAcid(massG);
  const pepper = pepperFor(document.servedAs);
  const target = saltTargetPct(document);
  const nowPct = (tastes.now.dose.salt * facts.saltThreshold) / 10;
  const dose = saltDose(massG, nowPct, target, garnish.massG > 0 ? [garnish] : []);
  const lines = walked.states.flatMap(s => s.lines);
  const gramsOf = (test: RegExp) => lines.filter(l => test.test(l.name)).reduce((m, l) => m + l.massG, 0);
  const changed = rebalance(
    massG,
    addIn,
    {
      saltG: gramsOf(/salt$/),
      acidG: gramsOf(/vinegar|lemon juice|verjus/),
    },
    facts,
  );
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[1.3fr_1fr]">
      <div>
        <PlumbLines now={tastes.now} level={tastes.level} />
        <ul className="mt-3 space-y-1">
          {list.length === 0 && <li className="text-sorrel">✓ Nothing hangs far from its level.</li>}
          {list.map(c => (
            <li key={c.taste}>
              <strong>{c.taste}</strong>: {printMass(g(c.gramsFrom))} to {printMass(g(c.gramsTo))} {c.what}{" "}
              <span className="text-sm text-faded">{c.note}</span>
            </li>
          ))}
        </ul>
        <p className="mt-2 text-sm text-faded">
          What can be added cannot be taken out: half of a dose first, then taste.
        </p>
        <SpiceDoses walked={walked} />
      </div>
      <div className="space-y-4 text-sm">
        <div>
          <h3 className="font-semibold">Salt, with what is still to come</h3>
          <div className="mt-1 flex gap-3">
            <TypedField
              label="salty garnish"
              shown={garnish.massG > 0 ? printMass(g(garnish.massG)) : "none"}
              read={readMass("The garnish")}
              onRead={m => setGarnish({ ...garnish, massG: m })}
              width="w-24"
            />
            <TypedField
              label="its salt"
              shown={`${printNumber(garnish.saltPct, 1)} %`}
              read={readWithin("Its salt", "%", 0, 100)}
              onRead={saltPct => setGarnish({ ...garnish, saltPct })}
              width="w-20"
            />
          </div>
          <p className="mt-1">
            {dose.ok ? (
              dose.value.addG > 0.05 ? (
                <>
                  To {printNumber(target, 2)} %: <strong>{printMass(dose.value.addG)}</strong>,{" "}
                  {printMass(dose.value.firstG)} first.
                </>
              ) : (
                "It is there."
              )
            ) : (
              <span className="text-beet">✕ {dose.problems[0]?.message}</span>
            )}
          </p>
        </div>
        <div>
          <h3 className="font-semibold">Acid to finish</h3>
          <p className="mt-1">
            {printMass(g(acid.firstG))} vinegar or lemon first, {printMass(g(acid.ceilingG))} at most.
          </p>
        </div>
        <div>
          <h3 className="font-semibold">Something strong stirred in</h3>
          <div className="mt-1 flex gap-3">
            <TypedField
              label="so much"
              shown={printMass(g(addIn.massG))}
              read={readMass("The addition")}
              onRead={m => setAddIn({ ...addIn, massG: m })}
              width="w-24"
            />
            <TypedField
              label="its salt"
              shown={`${printNumber(addIn.saltPct, 1)} %`}
              read={readWithin("Its salt", "%", 0, 100)}
              onRead={saltPct => setAddIn({ ...addIn, saltPct })}
              width="w-20"
            />
          </div>
          <p className="mt-1">
            brings {printMass(g(changed.broughtG))} salt: salt line to{" "}
            <strong>{printMass(g(changed.saltG))}</strong>
            {changed.overG > 0.05 && `, ${printMass(g(changed.overG))} over`}
            {changed.acidG > 0.05 && `; acid to ${printMass(g(changed.acidG))}`}.
          </p>
        </div>
        <SaltyGlaze />
        <p>
          <strong>{pepper.pepper} pepper</strong>: {pepper.why}.
        </p>
      </div>
    </div>
  );
}
