import { useState } from "react";
import {
  type Backwards,
  type FormulaTarget,
  INTENSITY,
  SERVED_AS,
  TARGETS,
  type TargetKind,
  saltTargetPct,
  updateLine,
} from "~/core/formula";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { Button } from "../../ui/button";
import { Choice } from "../../ui/choice";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import { useSolver } from "../../workers/use-solver";
import type { PanelProps } from "./panel-props";

const WORDS: Record<
  TargetKind,
  { label: string; unit: string; tolerance: number; start: number; most: number }
> = {
  salt: { label: "salt", unit: "%", tolerance: 0.03, start: 0.9, most: 10 },
  sugar: { label: "sugar", unit: "%", tolerance: 0.3, start: 3, most: 80 },
  acid: { label: "acid", unit: "%", tolerance: 0.03, start: 0.3, most: 10 },
  fat: { label: "fat", unit: "%", tolerance: 0.5, start: 8, most: 90 },
  body: { label: "body", unit: "", tolerance: 1, start: 45, most: 95 },
  brix: { label: "strength", unit: "°Bx", tolerance: 0.3, start: 10, most: 80 },
  finishedG: { label: "finished", unit: "g", tolerance: 5, start: 2000, most: 1_000_000 },
  portions: { label: "portions", unit: "", tolerance: 0.2, start: 40, most: 100_000 },
  cost: { label: "to spend at most", unit: "", tolerance: 0.01, start: 20, most: 1_000_000 },
};

/** What it shall be in the end, which lines may move for it, and the way back from there. */
export function AimPanel({ formula, kitchen, walked, burnerId }: PanelProps & { burnerId: string }) {
  const { document, edit } = formula;
  const solver = useSolver();
  const [answer, setAnswer] = useState<Backwards | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const setTarget = (target: FormulaTarget) =>
    edit(
      d => ({ ...d, targets: [...d.targets.filter(t => t.what !== target.what), target] }),
      `target-${target.what}`,
    );
  const lines = walked.states.flatMap(state => state.lines);
  const lineOf = (id: string) => document.steps.flatMap(s => s.lines).find(l => l.id === id);
  const missing = TARGETS.filter(what => !document.targets.some(t => t.what === what));
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[17rem_1fr]">
      <div className="space-y-3">
        <h3 className="font-semibold">It shall have</h3>
        {document.targets.map(target => (
          <div key={target.what} className="flex items-end gap-2">
            <TypedField
              label={WORDS[target.what].label}
              shown={`${printNumber(target.value, Number.isInteger(target.value) ? 0 : 2)} ${WORDS[target.what].unit}`.trim()}
              read={readWithin(
                WORDS[target.what].label,
                WORDS[target.what].unit,
                0.001,
                WORDS[target.what].most,
              )}
              onRead={value => setTarget({ ...target, value })}
              width="w-28"
            />
            <button
              type="button"
              className="pb-1.5 text-sm text-faded underline underline-offset-4 hover:text-beet"
              aria-label={`Let ${WORDS[target.what].label} go`}
              onClick={() => edit(d => ({ ...d, targets: d.targets.filter(t => t.what !== target.what) }))}
            >
              let go
            </button>
          </div>
        ))}
        {missing.length > 0 && (
          <label className="block text-xs text-faded">
            another wish
            <select
              value=""
              onChange={event => {
                const what = event.currentTarget.value as TargetKind;
                const words = WORDS[what];
                const start =
                  what === "finishedG"
                    ? Math.max(1, Math.round(walked.finishedG))
                    : what === "portions"
                      ? Math.max(1, Math.round(walked.finishedG / document.portionG))
                      : what === "salt"
                        ? saltTargetPct(document)
                        : words.start;
                setTarget({ what, value: start, tolerance: words.tolerance });
              }}
              className="block h-8.5 rounded-md border border-rule bg-enamel px-2 text-base text-ink"
            >
              <option value="">choose …</option>
              {missing.map(what => (
                <option key={what} value={what}>
                  {WORDS[what].label}
                </option>
              ))}
            </select>
          </label>
        )}
        <Choice
          label="served as"
          value={document.servedAs}
          options={SERVED_AS.map(id => [id, INTENSITY[id].label])}
          onPick={servedAs => edit(d => ({ ...d, servedAs }))}
        />
        <TypedField
          label="portion"
          shown={printMass(g(document.portionG))}
          read={readMass("The portion")}
          onRead={portionG => edit(d => ({ ...d, portionG }), "portion")}
          width="w-28"
        />
      </div>
      <div>
        <h3 className="font-semibold">Lines that may move</h3>
        <p className="text-sm text-faded">
          Give a line a least and a most to let it move between them. While none has limits, every line may
          move.
        </p>
        <table className="mt-2 w-full text-sm">
          <thead>
            <tr className="text-left text-xs text-faded">
              <th className="font-normal">line</th>
              <th className="pr-3 text-right font-normal">now</th>
              <th className="w-24 font-normal">least</th>
              <th className="w-24 font-normal">most</th>
              {answer && <th className="text-right font-normal">worked back</th>}
            </tr>
          </thead>
          <tbody className="divide-y divide-rule">
            {lines.map(line => {
              const bounds = lineOf(line.lineId)?.bounds;
              const moved = answer?.lines.find(l => l.lineId === line.lineId);
              const bound = (key: "minG" | "maxG") => (
                <TypedField
                  hideLabel
                  label={`${key === "minG" ? "Least" : "Most"} of ${line.name}`}
                  shown={bounds ? printMass(g(bounds[key])) : ""}
                  read={readMass(line.name)}
                  onRead={massG =>
                    edit(
                      d =>
                        updateLine(d, line.lineId, {
                          bounds: {
                            minG: bounds?.minG ?? 0,
                            maxG: bounds?.maxG ?? Math.max(massG, 2 * line.massG),
                            [key]: massG,
                          },
                        }),
                      `bounds-${line.lineId}`,
                    )
                  }
                  width="w-22"
                />
              );
              return (
                <tr key={line.lineId}>
                  <td className="py-1 pr-3">
                    {line.name}
                    {bounds && (
                      <button
                        type="button"
                        className="ml-2 text-xs text-faded underline underline-offset-4"
                        onClick={() => edit(d => updateLine(d, line.lineId, { bounds: undefined }))}
                      >
                        no limits
                      </button>
                    )}
                  </td>
                  <td className="pr-3 text-right whitespace-nowrap">{printMass(line.massG)}</td>
                  <td className="py-0.5">{bound("minG")}</td>
                  <td className="py-0.5">{bound("maxG")}</td>
                  {answer && (
                    <td className="text-right font-semibold whitespace-nowrap text-copper">
                      {moved ? printMass(g(moved.afterG)) : "stays"}
                      {moved?.atLimit && (
                        <span className="block text-xs font-normal text-faded">at its {moved.atLimit}</span>
                      )}
                    </td>
                  )}
                </tr>
              );
            })}
          </tbody>
        </table>
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <Button
            look="act"
            disabled={busy}
            onClick={() => {
              setBusy(true);
              setProblem(null);
              void solver()
                .backwards(document, kitchen.data, burnerId)
                .then(found => {
                  setBusy(false);
                  if (found.ok) setAnswer(found.value);
                  else {
                    setAnswer(null);
                    setProblem(found.problems[0]?.message ?? "That cannot be reached.");
                  }
                });
            }}
          >
            {busy ? "Working …" : "Work backwards"}
          </Button>
          {answer && answer.lines.length > 0 && (
            <Button
              onClick={() => {
                edit(() => answer.document);
                setAnswer(null);
              }}
            >
              Take these amounts
            </Button>
          )}
          {answer && (
            <ul role="status" className="text-sm">
              {answer.achieved.map(a => (
                <li key={a.target.what} className={a.met ? "text-sorrel" : "font-bold text-beet"}>
                  {a.met ? "✓" : "✕"} {WORDS[a.target.what].label}{" "}
                  {printNumber(
                    a.after,
                    a.target.what === "finishedG" || a.target.what === "portions" ? 0 : 2,
                  )}{" "}
                  {WORDS[a.target.what].unit}{" "}
                  <span className="text-faded">was {printNumber(a.before, 2)}</span>
                  {a.lacks && <span className="block font-normal">{a.lacks}</span>}
                </li>
              ))}
            </ul>
          )}
        </div>
        {problem && (
          <p role="alert" className="mt-3 rounded-md bg-beet-wash p-3 text-sm text-beet">
            ✕ {problem}
          </p>
        )}
      </div>
    </div>
  );
}
