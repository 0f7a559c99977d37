import { Popover } from "radix-ui";
import { useState } from "react";
import {
  type Kitchen,
  type Walk,
  baseForYield,
  factorByIngredient,
  massForCovers,
  withBase,
} from "~/core/formula";
import { g, ml, printKilograms, printMass, printNumber } from "~/core/quantity";
import { type Result } from "~/core/result";
import type { FormulaDocument } from "~/core/formula";
import { Button, buttonClass } from "../ui/button";
import { readMass, readWithin } from "../ui/read";
import { TypedField } from "../ui/typed-field";
import type { Formula } from "./use-formula";

/** Scales by what lies on the table, by what must come out, by covers, or by the ingredient that limits. */
export function ScalePanel({
  formula,
  kitchen,
  walked,
}: {
  formula: Formula;
  kitchen: Kitchen;
  walked: Walk;
}) {
  const { document } = formula;
  const lines = walked.states.flatMap(state => state.lines);
  const [litres, setLitres] = useState(10);
  const [covers, setCovers] = useState(64);
  const [portionG, setPortionG] = useState(document.portionG);
  const [overagePct, setOveragePct] = useState(document.overagePct);
  const [lineId, setLineId] = useState(lines[0]?.lineId ?? "");
  const [haveG, setHaveG] = useState(6400);
  const [problem, setProblem] = useState<string | null>(null);
  const [open, setOpen] = useState(false);

  const take = (result: Result<FormulaDocument>) => {
    if (!result.ok) return setProblem(result.problems[0]?.message ?? "That cannot be reached.");
    setProblem(null);
    const { massG } = result.value.base;
    formula.edit(d => ({ ...withBase(d, g(massG)), portionG, overagePct }));
    setOpen(false);
  };
  const limiting = lines.find(line => line.lineId === lineId);
  const byIngredient = (): Result<FormulaDocument> => {
    const factor = factorByIngredient(g(haveG), limiting?.massG ?? g(0));
    return factor.ok
      ? { ok: true, value: withBase(document, g(document.base.massG * factor.value)), warnings: [] }
      : factor;
  };
  const byCovers = (): Result<FormulaDocument> => {
    const mass = massForCovers(covers, g(portionG), overagePct);
    return mass.ok ? baseForYield(document, kitchen, { g: mass.value }) : mass;
  };
  const needed = massForCovers(covers, g(portionG), overagePct);

  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className={buttonClass("plain")}>Scale</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Scale this batch"
          align="end"
          sideOffset={8}
          className="z-30 w-[min(26rem,calc(100vw-2rem))] rounded-xl border border-rule bg-enamel p-5 shadow-2xl"
        >
          <h2 className="text-lg">Scale this batch</h2>
          <p className="text-sm text-faded">
            It stands at {printKilograms(g(document.base.massG))} of {document.base.name}.
          </p>
          <div className="mt-4 space-y-4 divide-y divide-rule [&>*]:pt-4 [&>*:first-child]:pt-0">
            <div className="flex items-end gap-3">
              <TypedField
                label="It must give"
                shown={`${litres} l`}
                read={readWithin("Litres", "l", 0.05, 1000)}
                onRead={setLitres}
                inputClassName="w-24"
                className="grow"
              />
              <Button onClick={() => take(baseForYield(document, kitchen, { ml: ml(litres * 1000) }))}>
                Scale to litres
              </Button>
            </div>
            <div>
              <div className="grid grid-cols-3 gap-3">
                <TypedField
                  label="Covers"
                  shown={`${covers}`}
                  read={readWithin("Covers", "", 1, 5000)}
                  onRead={setCovers}
                  inputClassName="w-full"
                />
                <TypedField
                  label="Portion"
                  shown={`${portionG} g`}
                  read={readMass("The portion")}
                  onRead={setPortionG}
                  inputClassName="w-full"
                />
                <TypedField
                  label="Over"
                  shown={`${overagePct} %`}
                  read={readWithin("Overage", "%", 0, 100)}
                  onRead={setOveragePct}
                  inputClassName="w-full"
                />
              </div>
              <div className="mt-2 flex items-center justify-between gap-3">
                <p className="text-sm text-faded">{needed.ok ? `${printMass(needed.value)} finished` : ""}</p>
                <Button onClick={() => take(byCovers())}>Scale to covers</Button>
              </div>
            </div>
            <div>
              <p className="text-xs text-faded">I only have</p>
              <div className="mt-1 flex flex-wrap items-start gap-2">
                <TypedField
                  label="Weight there is"
                  hideLabel
                  shown={printKilograms(g(haveG))}
                  read={readMass("What you have", "kg")}
                  onRead={setHaveG}
                  inputClassName="w-24"
                />
                <label className="sr-only" htmlFor="limiting">
                  of which ingredient
                </label>
                <select
                  id="limiting"
                  value={lineId}
                  onChange={event => setLineId(event.currentTarget.value)}
                  className="grow rounded-md border border-rule bg-enamel px-2 py-1.5"
                >
                  {lines.map(line => (
                    <option key={line.lineId} value={line.lineId}>
                      {line.name} ({printMass(line.massG)} now)
                    </option>
                  ))}
                </select>
              </div>
              <div className="mt-2 flex items-center justify-between gap-3">
                <p className="text-sm text-faded">
                  {limiting && limiting.massG > 0 ? `× ${printNumber(haveG / limiting.massG, 2)}` : ""}
                </p>
                <Button onClick={() => take(byIngredient())}>Scale to it</Button>
              </div>
            </div>
          </div>
          {problem && (
            <p role="alert" className="mt-4 rounded-md bg-beet-wash p-3 text-sm text-beet">
              ✕ {problem}
            </p>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
