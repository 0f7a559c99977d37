import clsx from "clsx";
import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import { memo, useCallback } from "react";
import {
  type Kitchen,
  type StateAfterStep,
  type Step,
  type StepIntervals,
  fieldsOf,
  kindOf,
  moveStep,
  panKey,
  removeStep,
  updateStep,
  cautionsAt,
} from "~/core/formula";
import { printKilograms, printLength, printMass, printNumber } from "~/core/ground/quantity";
import { grossTarget } from "~/core/things/vessel";
import { g } from "~/core/ground/quantity";
import { bandText } from "../text/format";
import { Ask } from "../ui/ask";
import { Button } from "../ui/button";
import { readWithin } from "../ui/read";
import { TypedField } from "../ui/typed-field";
import { DeglazeChooser } from "./deglaze-chooser";
import { GroupEditor, LinesEditor } from "./line-editor";
import { PANS_LIST } from "./pan-field";
import { StepFieldInput, valueOf } from "./step-fields";
import type { Editing } from "./use-formula";

export interface StepEditorProps {
  step: Step;
  index: number;
  formula: Editing;
  kitchen: Kitchen;
  state: StateAfterStep | undefined;
  interval: StepIntervals | undefined;
}

/** A row opened in place: everything of the step can be changed here. */
export function StepEditor({ step, index, formula, kitchen, state, interval }: StepEditorProps) {
  const kind = kindOf(step);
  const { edit } = formula;
  const { id } = step;
  const change = useCallback<ChangeStep>(
    (patch, tag) => edit(d => updateStep(d, id, patch), `${id}-${tag}`),
    [edit, id],
  );
  return (
    <div className="space-y-4 pr-4 pb-4 pl-10">
      <div className="space-y-4">
        <div className="flex flex-wrap items-start gap-x-5 gap-y-3">
          {fieldsOf(kind).map(field => (
            <StepFieldInput
              key={field.key}
              field={field}
              value={valueOf(step, field)}
              vessels={kitchen.vessels}
              burners={kitchen.data.burners}
              onChange={change}
            />
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
        <StepWords
          takesOut={kind.takesOut}
          remark={step.remark}
          pan={step.pan}
          why={step.why}
          keeps={step.keeps}
          change={change}
        />
        <StepMoves
          id={id}
          first={index === 0}
          last={index === formula.document.steps.length - 1}
          edit={edit}
        />
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
        {(state
          ? cautionsAt(state, kitchen.data.house)
          : kind.cautions(step, kitchen.data.house.coolingProfile)
        ).map(caution => (
          <p key={caution} className="rounded-md bg-saffron-wash px-2.5 py-1.5 text-saffron-ink">
            ▲ {caution}
          </p>
        ))}
      </div>
    </div>
  );
}

type ChangeStep = (patch: Partial<Step>, tag: string) => void;

const WORDS_LABEL = "block text-xs text-faded";
const WORDS_INPUT =
  "mt-0.5 block w-full rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink";

/** What the cook says of the step: own words, why it is done so, and what becomes of what it takes out. */
const StepWords = memo(function StepWords({
  takesOut,
  remark,
  pan,
  why,
  keeps,
  change,
}: Pick<Step, "remark" | "pan" | "why" | "keeps"> & { takesOut: true | undefined; change: ChangeStep }) {
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_14rem]">
        <label className={WORDS_LABEL}>
          Your own words for this step
          <input
            value={remark ?? ""}
            maxLength={400}
            onChange={event => change({ remark: event.currentTarget.value || undefined }, "remark")}
            className={WORDS_INPUT}
          />
        </label>
        <label className={WORDS_LABEL}>
          In which pot
          <input
            value={pan ?? ""}
            maxLength={40}
            list={PANS_LIST}
            placeholder="the main pot"
            onChange={event =>
              change(
                { pan: panKey(event.currentTarget.value) ? event.currentTarget.value : undefined },
                "pan",
              )
            }
            className={WORDS_INPUT}
          />
        </label>
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <label className={clsx(WORDS_LABEL, !takesOut && "sm:col-span-2")}>
          Why, for those who learn
          <input
            value={why ?? ""}
            maxLength={400}
            onChange={event => change({ why: event.currentTarget.value || undefined }, "why")}
            className={WORDS_INPUT}
          />
        </label>
        {takesOut && (
          <div className={clsx("grid gap-2", keeps && "grid-cols-[1fr_6rem]")}>
            <label className={WORDS_LABEL}>
              What is taken out is kept for
              <input
                value={keeps?.use ?? ""}
                maxLength={120}
                placeholder="frying, second wetting …"
                onChange={event => {
                  const use = event.currentTarget.value;
                  change({ keeps: use ? { ...keeps, use } : undefined }, "keeps");
                }}
                className={WORDS_INPUT}
              />
            </label>
            {keeps && (
              <TypedField
                label="worth a kg"
                shown={keeps.perKg === undefined ? "" : `${keeps.perKg}`}
                read={readWithin("Its worth", "", 0, 10_000)}
                onRead={perKg => change({ keeps: { use: keeps.use, perKg } }, "keeps-worth")}
                width="w-full"
              />
            )}
          </div>
        )}
      </div>
    </>
  );
});

/** Where the step stands in the line. */
const StepMoves = memo(function StepMoves({
  id,
  first,
  last,
  edit,
}: {
  id: string;
  first: boolean;
  last: boolean;
  edit: Editing["edit"];
}) {
  return (
    <div className="flex flex-wrap gap-2">
      <Button look="quiet" onClick={() => edit(d => moveStep(d, id, -1))} disabled={first}>
        <ArrowUp aria-hidden="true" className="size-4" /> Move up
      </Button>
      <Button look="quiet" onClick={() => edit(d => moveStep(d, id, 1))} disabled={last}>
        <ArrowDown aria-hidden="true" className="size-4" /> Move down
      </Button>
      <Button look="quiet" className="hover:text-beet" onClick={() => edit(d => removeStep(d, id))}>
        <Trash2 aria-hidden="true" className="size-4" /> Remove this step
      </Button>
    </div>
  );
});
