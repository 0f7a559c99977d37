import clsx from "clsx";
import { X } from "lucide-react";
import { memo, useCallback, useId } from "react";
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
import { type Ingredient, densityOf } from "~/core/things/larder";
import { type Grams, printMass, printUsMeasure, printVolume, volumeOf } from "~/core/ground/quantity";
import { AddLine } from "./add-line";
import { IngredientField } from "./ingredient-field";
import type { LineNow } from "./line-now";
import { useLive, useLiveRow } from "./live-row";
import { LiveWords } from "./live-text";
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
        width="w-20"
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
  const { edit, typed } = formula;
  const inGroup = step.lines.flatMap(line => (line.amount.kind === "part" ? [line.amount.group] : []))[0];
  return (
    <div className="@container">
      <ul className="space-y-2">
        {step.lines.map(line => (
          <LineRow
            key={line.id}
            line={line}
            shown={relationAsTyped(line.amount, id => state?.sources.get(id)?.name)}
            ingredient={
              state?.sources.get(line.id) ??
              ("larder" in line.of ? kitchen.ingredientById.get(line.of.larder) : undefined)
            }
            inGroup={inGroup}
            kitchen={kitchen}
            edit={edit}
            typed={typed}
          />
        ))}
      </ul>
      <AddLine stepId={step.id} inGroup={inGroup} typed={typed} edit={edit} kitchen={kitchen} />
    </div>
  );
}

const AWAY = <X aria-hidden="true" className="size-4" />;

const CERTAINTY_WORDS: Record<Certainty, string> = {
  stated: "stated",
  measured: "measured",
  assumed: "assumed",
};

/** What reads an amount back stands on one line up to so many letters, else on two. */
const ONE_LINE = 60;

type LineRowProps = Pick<Editing, "edit" | "typed"> & {
  line: Line;
  /** The amount as it would be typed. */
  shown: string;
  ingredient: Ingredient | undefined;
  /** The group whose parts the lines of this step are. */
  inGroup: string | undefined;
  kitchen: Kitchen;
};

/** One line, drawn again only when something of its own changes. */
const LineRow = memo(function LineRow({
  line,
  shown,
  ingredient,
  inGroup,
  kitchen,
  edit,
  typed,
}: LineRowProps) {
  const { id } = line;
  const setOf = useCallback((of: Line["of"]) => edit(d => updateLine(d, id, { of })), [edit, id]);
  const noteId = useId();
  return (
    <li className="grid grid-cols-[minmax(5rem,1fr)_auto_auto] items-start gap-x-2 gap-y-1 @min-[22rem]:grid-cols-[minmax(5rem,1.25fr)_minmax(5rem,1fr)_auto_auto] @min-[31rem]:grid-cols-[8rem_minmax(7.5rem,1fr)_auto_auto] @min-[31rem]:gap-x-3">
      {/* On a phone the name has a row of its own. */}
      <div className="col-span-full @min-[22rem]:col-span-1">
        <IngredientField of={line.of} kitchen={kitchen} onRead={setOf} />
      </div>
      <TypedField
        hideLabel
        label={`Amount of ${ingredient?.name ?? "this ingredient"}`}
        shown={shown}
        read={text =>
          parseRelation(text, {
            document: typed(),
            inGroup,
            ingredient: ingredient ?? null,
            larder: kitchen.data.ingredients,
            field: line.id,
          })
        }
        onRead={({ relation, typed, certainty = "stated" }) =>
          edit(
            d => updateLine(d, line.id, { amount: relation, typed, certainty, question: undefined }),
            line.id,
          )
        }
        describedBy={noteId}
        width="w-full"
      />
      <label>
        <span className="sr-only">How sure</span>
        <select
          value={line.certainty}
          onChange={event =>
            edit(d => updateLine(d, id, { certainty: event.currentTarget.value as Certainty }))
          }
          className="h-8.5 w-20 rounded-md border border-rule bg-enamel px-0.5 text-sm text-ink"
        >
          {Object.entries(CERTAINTY_WORDS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <button
        type="button"
        className="mt-0.5 -mr-1.5 rounded-md p-1.5 text-faded hover:text-beet"
        aria-label={`Remove ${ingredient?.name ?? "this ingredient"}`}
        onClick={() => edit(d => removeLine(d, line.id))}
      >
        {AWAY}
      </button>
      <ReadBack lineId={id} ingredient={ingredient} noteId={noteId} />
      <Learned line={line} edit={edit} />
      {line.question && (
        <p className="col-span-full flex items-baseline gap-2 rounded-md bg-saffron-wash px-2 py-1 text-sm text-saffron-ink">
          <span>? {line.question}</span>
          <button
            type="button"
            className="ml-auto underline underline-offset-4"
            onClick={() => edit(d => updateLine(d, line.id, { question: undefined, certainty: "stated" }))}
          >
            It is right
          </button>
        </p>
      )}
    </li>
  );
});

/** What was understood of a line, and what it comes to: it follows every key by itself. */
function ReadBack({
  lineId,
  ingredient,
  noteId,
}: {
  lineId: string;
  ingredient: Ingredient | undefined;
  /** What describes the field of the amount. */
  noteId: string;
}) {
  const wordsOf = (now: LineNow, index: number) => {
    const line = now.document.steps[index]?.lines.find(l => l.id === lineId);
    if (!line) return "";
    const { state } = now.row(index);
    const understood = relationInWords(line.amount, namesIn(now.document, state));
    const massG = state?.lines.find(l => l.lineId === lineId)?.massG;
    const said = [
      line.typed ? `${understood}, typed as ${line.typed}` : understood,
      ...(massG === undefined ? [] : [printMass(massG), ...measuresOf(massG, ingredient)]),
    ];
    // A line in grams says them once.
    return [...new Set(said)].join(" · ");
  };
  // What is long is there whole under the pointer.
  const [long] = useLive(useLiveRow(), (now, index) => {
    const all = wordsOf(now, index);
    return [all.length > ONE_LINE ? all : undefined];
  });
  return (
    <div className="col-span-full">
      <p className={clsx("stands-alone text-xs leading-4 text-faded", long ? "h-8" : "h-8 @min-[22rem]:h-4")}>
        <LiveWords of={wordsOf} id={noteId} title={long} className={long && "line-clamp-2"} />
      </p>
    </div>
  );
}

/** A mass as measures of volume, where the density is known. */
function measuresOf(massG: Grams, ingredient: Ingredient | undefined): string[] {
  const density = ingredient && densityOf(ingredient);
  if (!density) return [];
  const volume = volumeOf(massG, density);
  return volume === null ? [] : [`${printVolume(volume)}, ${printUsMeasure(volume)}`];
}
