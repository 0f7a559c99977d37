import { X } from "lucide-react";
import {
  type Certainty,
  type Kitchen,
  type Line,
  type StateAfterStep,
  type Step,
  namesIn,
  parseRelation,
  relationAsTyped,
  relationInWords,
  removeLine,
  updateGroupShare,
  updateLine,
} from "~/core/formula";
import { densityOf } from "~/core/larder";
import { printMass, printUsMeasure, printVolume, volumeOf } from "~/core/quantity";
import { AddLine } from "./add-line";
import { IngredientField } from "./ingredient-field";
import { readWithin } from "../ui/read";
import { TypedField } from "../ui/typed-field";
import type { Editing } from "./use-formula";
import { Learned } from "./weighed";

/** What a group shares out, where the step has one. */
export function GroupEditor({ step, formula }: { step: Step; formula: Editing }) {
  const { document } = formula;
  const used = new Set(step.lines.flatMap(line => (line.amount.kind === "part" ? [line.amount.group] : [])));
  return document.groups
    .filter(group => used.has(group.id) && group.total.kind === "share-of-base")
    .map(group => (
      <TypedField
        key={group.id}
        label={`${group.name}, all together, of the ${document.base.name}`}
        shown={group.total.kind === "share-of-base" ? `${group.total.pct} %` : ""}
        read={readWithin("The share", "%", 0, 1000)}
        onRead={pct => formula.edit(d => updateGroupShare(d, group.id, pct), `group-${group.id}`)}
        inputClassName="w-20"
      />
    ));
}

/** The lines of a step: what, how much, how sure. */
export function LinesEditor({
  step,
  formula,
  kitchen,
  state,
}: {
  step: Step;
  formula: Editing;
  kitchen: Kitchen;
  state: StateAfterStep | undefined;
}) {
  return (
    <div className="@container">
      <ul className="space-y-2">
        {step.lines.map(line => (
          <LineRow key={line.id} line={line} step={step} formula={formula} kitchen={kitchen} state={state} />
        ))}
      </ul>
      <AddLine step={step} formula={formula} kitchen={kitchen} />
    </div>
  );
}

const AWAY = <X aria-hidden="true" className="size-4" />;

const CERTAINTY_WORDS: Record<Certainty, string> = {
  stated: "stated",
  measured: "measured",
  assumed: "assumed",
};

function LineRow({
  line,
  step,
  formula,
  kitchen,
  state,
}: {
  line: Line;
  step: Step;
  formula: Editing;
  kitchen: Kitchen;
  state: StateAfterStep | undefined;
}) {
  const { document } = formula;
  const ingredient =
    state?.sources.get(line.id) ??
    ("larder" in line.of ? kitchen.ingredientById.get(line.of.larder) : undefined);
  const amount = state?.lines.find(l => l.lineId === line.id);
  const density = ingredient && densityOf(ingredient);
  const inGroup = step.lines.flatMap(l => (l.amount.kind === "part" ? [l.amount.group] : []))[0];
  const volume = amount && density ? volumeOf(amount.massG, density) : null;
  return (
    <li className="grid grid-cols-[minmax(5rem,1.4fr)_minmax(5rem,1fr)_auto_auto] items-start gap-x-2 gap-y-1 @min-[31rem]:grid-cols-[8rem_minmax(7.5rem,1fr)_auto_auto] @min-[31rem]:gap-x-3">
      <IngredientField
        of={line.of}
        kitchen={kitchen}
        onRead={of => formula.edit(d => updateLine(d, line.id, { of }))}
      />
      <TypedField
        hideLabel
        label={`Amount of ${ingredient?.name ?? "this ingredient"}`}
        shown={relationAsTyped(line.amount, id => state?.sources.get(id)?.name)}
        read={text =>
          parseRelation(text, {
            document,
            inGroup,
            ingredient: ingredient ?? null,
            larder: kitchen.data.ingredients,
            field: line.id,
          })
        }
        onRead={({ relation, typed, certainty = "stated" }) =>
          formula.edit(
            d => updateLine(d, line.id, { amount: relation, typed, certainty, question: undefined }),
            line.id,
          )
        }
        hint={
          <>
            {relationInWords(line.amount, namesIn(document, state))}
            {line.typed && `, typed as ${line.typed}`}
            {volume !== null && ` · ${printVolume(volume)}, ${printUsMeasure(volume)}`}
          </>
        }
        inputClassName="w-full"
      />
      {/* Where the threads leave little room, the mass stands under how sure it is. */}
      <div className="flex flex-col items-end @min-[31rem]:flex-row @min-[31rem]:items-start @min-[31rem]:gap-3">
        <label className="pt-1 text-sm text-faded">
          <span className="sr-only">How sure</span>
          <select
            value={line.certainty}
            onChange={event =>
              formula.edit(d => updateLine(d, line.id, { certainty: event.currentTarget.value as Certainty }))
            }
            className="rounded-md border border-rule bg-enamel px-1 py-1 text-ink"
          >
            {Object.entries(CERTAINTY_WORDS).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <span className="min-w-15 pt-1 text-right text-sm font-semibold">
          {amount && printMass(amount.massG)}
        </span>
      </div>
      <button
        type="button"
        className="mt-0.5 rounded-md p-1.5 text-faded hover:text-beet"
        aria-label={`Remove ${ingredient?.name ?? "this ingredient"}`}
        onClick={() => formula.edit(d => removeLine(d, line.id))}
      >
        {AWAY}
      </button>
      <Learned line={line} nowG={amount?.massG ?? 0} formula={formula} />
      {line.question && (
        <p className="col-span-full flex items-baseline gap-2 rounded-md bg-saffron-wash px-2 py-1 text-sm text-saffron-ink">
          <span>? {line.question}</span>
          <button
            type="button"
            className="ml-auto underline underline-offset-4"
            onClick={() =>
              formula.edit(d => updateLine(d, line.id, { question: undefined, certainty: "stated" }))
            }
          >
            It is right
          </button>
        </p>
      )}
    </li>
  );
}
