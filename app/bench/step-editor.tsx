import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import {
  type Kitchen,
  type StateAfterStep,
  type Step,
  type StepIntervals,
  kindOf,
  moveStep,
  removeStep,
  updateStep,
  cautionsAt,
} from "~/core/formula";
import { printKilograms, printLength, printMass, printNumber } from "~/core/quantity";
import { grossTarget } from "~/core/vessel";
import { g } from "~/core/quantity";
import { bandText } from "../text/format";
import { Ask } from "../ui/ask";
import { Button } from "../ui/button";
import { readWithin } from "../ui/read";
import { TypedField } from "../ui/typed-field";
import { DeglazeChooser } from "./deglaze-chooser";
import { GroupEditor, LinesEditor } from "./line-editor";
import { STEP_FIELDS } from "./step-field-list";
import { StepFieldInput } from "./step-fields";
import type { Editing } from "./use-formula";

export interface StepEditorProps {
  step: Step;
  index: number;
  formula: Editing;
  kitchen: Kitchen;
  state: StateAfterStep | undefined;
  interval: StepIntervals | undefined;
}

// Drawn once: an icon is the same with every key.
const UP = <ArrowUp aria-hidden="true" className="size-4" />;
const DOWN = <ArrowDown aria-hidden="true" className="size-4" />;
const AWAY = <Trash2 aria-hidden="true" className="size-4" />;

/** A row opened in place: everything of the step can be changed here. */
export function StepEditor({ step, index, formula, kitchen, state, interval }: StepEditorProps) {
  const kind = kindOf(step);
  const change = (patch: Partial<Step>, tag: string) =>
    formula.edit(d => updateStep(d, step.id, patch), `${step.id}-${tag}`);
  return (
    <div className="space-y-4 pr-4 pb-4 pl-10">
      <div className="space-y-4">
        <div className="flex flex-wrap items-start gap-x-5 gap-y-3">
          {STEP_FIELDS[step.kind].map(field => (
            <StepFieldInput key={field.key} field={field} step={step} kitchen={kitchen} onChange={change} />
          ))}
        </div>
        {kind.takesLines && (
          <>
            <GroupEditor step={step} formula={formula} />
            <LinesEditor step={step} formula={formula} kitchen={kitchen} state={state} />
          </>
        )}
        {step.kind === "deglaze" && <DeglazeChooser step={step} formula={formula} kitchen={kitchen} />}
        {step.question && (
          <p className="flex items-baseline gap-2 rounded-md bg-saffron-wash px-2 py-1.5 text-sm text-saffron-ink">
            <span>? {step.question}</span>
            <button
              type="button"
              className="ml-auto whitespace-nowrap underline underline-offset-4"
              onClick={() => change({ question: undefined }, "question")}
            >
              It is settled
            </button>
          </p>
        )}
        <label className="block text-xs text-faded">
          Your own words for this step
          <input
            value={step.remark ?? ""}
            maxLength={400}
            onChange={event => change({ remark: event.currentTarget.value || undefined }, "remark")}
            className="mt-0.5 block w-full rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink"
          />
        </label>
        <WhyAndKeep step={step} change={change} />
        <div className="flex flex-wrap gap-2">
          <Button
            look="quiet"
            onClick={() => formula.edit(d => moveStep(d, step.id, -1))}
            disabled={index === 0}
          >
            {UP} Move up
          </Button>
          <Button
            look="quiet"
            onClick={() => formula.edit(d => moveStep(d, step.id, 1))}
            disabled={index === formula.document.steps.length - 1}
          >
            {DOWN} Move down
          </Button>
          <Button
            look="quiet"
            className="hover:text-beet"
            onClick={() => formula.edit(d => removeStep(d, step.id))}
          >
            {AWAY} Remove this step
          </Button>
        </div>
      </div>
      <div className="space-y-2 border-t border-rule pt-3 text-sm">
        {kind.cue && (
          <p>
            <span className="text-faded">It is there when: </span>
            {step.cue ?? kind.cue}
          </p>
        )}
        {state?.mark && state.vessel && (
          <p>
            Stop at{" "}
            <Ask
              of={{ ask: "mark", step: index }}
              label={`Dip-stick mark ${printNumber(state.mark.markMm)} millimetres`}
              className="font-bold text-copper"
            >
              {printLength(state.mark.markMm)}
            </Ask>{" "}
            {bandText(interval?.markMm, 1, 0)} on the stick, {printLength(state.mark.belowStartMm)} below the
            start, or when {state.vessel.name} shows{" "}
            <strong>{printMass(grossTarget(g(state.vessel.tareG), state.massG))}</strong> on the scale (
            {printKilograms(state.massG)} {bandText(interval?.massG, 1000, 2)} and the tare).
          </p>
        )}
        {interval && interval.durationS.lo !== interval.durationS.hi && (
          <p className="text-faded">
            It takes {bandText(interval.durationS, 60, 0)} min; a forecast, not a timer.
          </p>
        )}
        {(state ? cautionsAt(state) : kind.cautions(step)).map(caution => (
          <p key={caution} className="rounded-md bg-saffron-wash px-2.5 py-1.5 text-saffron-ink">
            ▲ {caution}
          </p>
        ))}
      </div>
    </div>
  );
}

/** Why it is done so, and what becomes of what the step takes out. */
function WhyAndKeep({ step, change }: { step: Step; change: (patch: Partial<Step>, tag: string) => void }) {
  const input = "mt-0.5 block w-full rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink";
  const takesOut = TAKES_OUT.has(step.kind);
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <label className={`block text-xs text-faded ${takesOut ? "" : "sm:col-span-2"}`}>
        Why, for those who learn
        <input
          value={step.why ?? ""}
          maxLength={400}
          onChange={event => change({ why: event.currentTarget.value || undefined }, "why")}
          className={input}
        />
      </label>
      {takesOut && (
        <div className="grid grid-cols-[1fr_6rem] gap-2">
          <label className="block text-xs text-faded">
            What is taken out is kept for
            <input
              value={step.keeps?.use ?? ""}
              maxLength={120}
              placeholder="frying, second wetting …"
              onChange={event => {
                const use = event.currentTarget.value;
                change({ keeps: use ? { ...step.keeps, use } : undefined }, "keeps");
              }}
              className={input}
            />
          </label>
          {step.keeps && (
            <TypedField
              label="worth a kg"
              shown={step.keeps.perKg === undefined ? "" : `${step.keeps.perKg}`}
              read={readWithin("Its worth", "", 0, 10_000)}
              onRead={perKg => change({ keeps: { use: step.keeps?.use ?? "kept", perKg } }, "keeps-worth")}
              inputClassName="w-full"
            />
          )}
        </div>
      )}
    </div>
  );
}

/** Kinds of step by which something leaves the pot that may be of use. */
const TAKES_OUT: ReadonlySet<Step["kind"]> = new Set([
  "strain",
  "degrease",
  "skim",
  "lift",
  "drain",
  "pass",
  "reserve",
  "render",
  "clarify",
]);
