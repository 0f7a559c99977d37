import { useState } from "react";
import { type ScalePolicy, type ScaleTo, type Scaled } from "~/core/formula";
import { g, printKilograms, printMass, printNumber } from "~/core/ground/quantity";
import { Button } from "../../ui/button";
import { Choice } from "../../ui/choice";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import { useSolver } from "../../workers/use-solver";
import type { PanelProps } from "./panel-props";

type By = "base" | "finished" | "litres" | "covers" | "line" | "vessel";
const BY_WORDS: Record<By, string> = {
  base: "from what lies on the table",
  finished: "it must give, by weight",
  litres: "it must give, in litres",
  covers: "covers",
  line: "I only have",
  vessel: "what fits a pot",
};
const POLICY_WORDS: Record<ScalePolicy, string> = {
  "keep time": "as long as written",
  "keep proportions": "in the same proportions, longer",
};

/** Scales, and shows the three side by side: as it is, plainly multiplied, and with what does not scale put right. */
export function ScalePanel({ formula, kitchen, walked, burnerId }: PanelProps & { burnerId: string }) {
  const { document, edit } = formula;
  const solver = useSolver();
  const lines = walked.states.flatMap(state => state.lines);
  const pots = kitchen.vessels.filter(v => !v.closed && (v.use === "pot" || v.use === "pan"));
  const [by, setBy] = useState<By>("covers");
  const [massG, setMassG] = useState(Math.round(document.base.massG));
  const [finishedG, setFinishedG] = useState(Math.round(walked.finishedG) || 1000);
  const [litres, setLitres] = useState(10);
  const [covers, setCovers] = useState(64);
  const [portionG, setPortionG] = useState(document.portionG);
  const [overagePct, setOveragePct] = useState(document.overagePct);
  const [lineId, setLineId] = useState(lines[0]?.lineId ?? "");
  const [haveG, setHaveG] = useState(6400);
  const [vesselId, setVesselId] = useState(pots[0]?.id ?? "");
  const [policy, setPolicy] = useState<ScalePolicy>("keep time");
  const [scaled, setScaled] = useState<Scaled | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const asked = (): ScaleTo => {
    switch (by) {
      case "base":
        return { by, massG };
      case "finished":
        return { by, massG: finishedG };
      case "litres":
        return { by, volumeMl: litres * 1000 };
      case "covers":
        return { by, covers, portionG, overagePct };
      case "line":
        return { by, lineId, haveG };
      case "vessel":
        return { by, vesselId };
    }
  };
  const work = () => {
    setBusy(true);
    setProblem(null);
    void solver()
      .scale(document, kitchen.data, burnerId, asked(), policy)
      .then(found => {
        setBusy(false);
        setScaled(found.ok ? found.value : null);
        if (!found.ok) setProblem(found.problems[0]?.message ?? "That cannot be reached.");
      });
  };
  return (
    <div>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <Choice
          label="Scale by"
          value={by}
          options={Object.entries(BY_WORDS) as [By, string][]}
          onPick={setBy}
        />
        {by === "base" && (
          <TypedField
            label={document.base.name}
            shown={printKilograms(g(massG))}
            read={readMass("The base", "kg")}
            onRead={setMassG}
            width="w-28"
          />
        )}
        {by === "finished" && (
          <TypedField
            label="finished"
            shown={printKilograms(g(finishedG))}
            read={readMass("The yield", "kg")}
            onRead={setFinishedG}
            width="w-28"
          />
        )}
        {by === "litres" && (
          <TypedField
            label="It must give"
            shown={`${litres} l`}
            read={readWithin("Litres", "l", 0.05, 1000)}
            onRead={setLitres}
            width="w-24"
          />
        )}
        {by === "covers" && (
          <>
            <TypedField
              label="Covers"
              shown={`${covers}`}
              read={readWithin("Covers", "", 1, 5000)}
              onRead={setCovers}
              width="w-20"
            />
            <TypedField
              label="Portion"
              shown={`${portionG} g`}
              read={readMass("The portion")}
              onRead={setPortionG}
              width="w-22"
            />
            <TypedField
              label="Over"
              shown={`${overagePct} %`}
              read={readWithin("Overage", "%", 0, 100)}
              onRead={setOveragePct}
              width="w-20"
            />
          </>
        )}
        {by === "line" && (
          <>
            <TypedField
              label="Weight there is"
              shown={printKilograms(g(haveG))}
              read={readMass("What you have", "kg")}
              onRead={setHaveG}
              width="w-28"
            />
            <Choice
              label="of"
              value={lineId}
              options={lines.map(line => [line.lineId, `${line.name} (${printMass(line.massG)} now)`])}
              onPick={setLineId}
            />
          </>
        )}
        {by === "vessel" && (
          <Choice
            label="pot"
            value={vesselId}
            options={pots.map(pot => [pot.id, pot.name])}
            onPick={setVesselId}
          />
        )}
        <Choice
          label="what simmers"
          value={policy}
          options={Object.entries(POLICY_WORDS) as [ScalePolicy, string][]}
          onPick={setPolicy}
        />
        <Button look="act" onClick={work} disabled={busy}>
          {busy ? "Working …" : "Scale"}
        </Button>
      </div>
      {problem && (
        <p role="alert" className="mt-3 rounded-md bg-beet-wash p-3 text-sm text-beet">
          ✕ {problem}
        </p>
      )}
      {scaled && <SideBySide scaled={scaled} />}
      {scaled && (
        <div className="mt-4 flex flex-wrap items-center gap-3">
          <Button
            look="act"
            onClick={() => {
              edit(() => ({ ...scaled.document, portionG, overagePct }));
              setScaled(null);
            }}
          >
            Take this size
          </Button>
          <p className="text-sm text-faded">
            × {printNumber(scaled.factor, 2)}
            {scaled.batches > 1 && `, in ${scaled.batches} batches: the formula becomes one of them`}. Undo
            brings the old size back.
          </p>
        </div>
      )}
    </div>
  );
}

function SideBySide({ scaled }: { scaled: Scaled }) {
  const corrected = (ours: number, plain: number) => Math.abs(ours - plain) > 0.005 * Math.max(ours, plain);
  return (
    <div className="mt-4" aria-label="Side by side" role="region">
      {scaled.warnings.map(warning => (
        <p key={warning.code + warning.message} className="mb-1 text-sm text-saffron-ink">
          ▲ {warning.message}
        </p>
      ))}
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-ink/70 text-left text-xs text-faded">
            <th className="font-normal">line</th>
            <th className="text-right font-normal">as it is</th>
            <th className="pl-4 text-right font-normal">plainly multiplied</th>
            <th className="pl-4 text-right font-bold text-ink">Hondaro weighs</th>
            <th className="pl-6 font-normal">why</th>
          </tr>
        </thead>
        <tbody className="divide-y divide-rule">
          {scaled.lines.map(line => (
            <tr key={line.lineId} className="align-top">
              <td className="py-1 pr-3">{line.name}</td>
              <td className="py-1 text-right whitespace-nowrap">{printMass(g(line.originalG))}</td>
              <td className="py-1 pl-4 text-right whitespace-nowrap text-faded">
                {printMass(g(line.plainG))}
              </td>
              <td
                className={`py-1 pl-4 text-right whitespace-nowrap ${corrected(line.oursG, line.plainG) ? "font-bold text-copper" : "font-semibold"}`}
              >
                {printMass(g(line.roundedG))}
                {line.firstDoseG !== undefined && (
                  <span className="block text-xs font-normal text-faded">
                    {printMass(g(line.firstDoseG))} first
                  </span>
                )}
              </td>
              <td className="py-1 pl-6 text-faded">{line.reason}</td>
            </tr>
          ))}
          {scaled.computed.map(row => (
            <tr key={row.what} className="text-faded">
              <td className="py-1 pr-3">{row.what}</td>
              <td className="py-1 text-right whitespace-nowrap">{printMass(g(row.originalG))}</td>
              <td className="py-1 pl-4 text-right whitespace-nowrap">{printMass(g(row.plainG))}</td>
              <td
                className={`py-1 pl-4 text-right whitespace-nowrap ${corrected(row.oursG, row.plainG) ? "font-bold text-copper" : ""}`}
              >
                {printMass(g(row.oursG))}
              </td>
              <td className="pl-6">
                {corrected(row.oursG, row.plainG) ? "worked out in the pot it will be in" : ""}
              </td>
            </tr>
          ))}
          <tr className="border-t-2 border-ink/70 font-semibold">
            <td className="py-1 pr-3">finished</td>
            <td className="py-1 text-right whitespace-nowrap">
              {printKilograms(g(scaled.finished.originalG))}
            </td>
            <td className="py-1 pl-4 text-right whitespace-nowrap text-faded">
              {printKilograms(g(scaled.finished.plainG))}
            </td>
            <td className="py-1 pl-4 text-right whitespace-nowrap">
              {printKilograms(g(scaled.finished.oursG))}
            </td>
            <td />
          </tr>
        </tbody>
      </table>
      <h3 className="mt-4 text-sm font-semibold">Steps that change</h3>
      <ul className="text-sm">
        {scaled.steps
          .filter(step => step.reason ?? Math.abs(step.oursMin - step.originalMin) > 1)
          .map(step => (
            <li key={step.stepId} className="py-0.5">
              {step.title}: {printNumber(step.originalMin)} → <strong>{printNumber(step.oursMin)} min</strong>{" "}
              <span className="text-faded">{step.reason}</span>
            </li>
          ))}
      </ul>
    </div>
  );
}
