import { useState } from "react";
import {
  type FormulaDocument,
  type Kitchen,
  type Step,
  blankFormula,
  fieldsOf,
  kindOf,
  titleWithPan,
  nameOfFormula,
  namesIn,
  parseRelation,
  relationInWords,
} from "~/core/formula";
import { g, printMass } from "~/core/ground/quantity";
import type { DraftQuestion } from "~/core/words";
import { Button } from "../../ui/button";
import { PieceEditor } from "./piece-editor";
import { UnknownThing } from "./unknown-thing";
import { InOneForm, TypedField } from "../../ui/typed-field";
import { StepFieldInput, valueOf } from "../step-fields";
import type { DraftChange, Piece, Verdict } from "./use-draft";

/** One piece of a recipe: the words, the step they were read as, and what is open about it. */
export function PieceRow({
  piece,
  base,
  stuck,
  kitchen,
  onChange,
}: {
  piece: Piece;
  base: FormulaDocument["base"];
  /** Why its step cannot be walked. */
  stuck: string | null;
  kitchen: Kitchen;
  onChange: (change: DraftChange) => void;
}) {
  const { step } = piece;
  // What is only counted like something keeps the name it was given.
  const names = step.lines.map((line, i) => piece.said[i]?.unknown ?? nameOf(line, kitchen));
  const doubts = piece.doubts.filter(doubt => !piece.unknown.some(one => doubt.includes(`“${one.name}”`)));
  const decide = (verdict: Verdict) => onChange({ type: "verdict", id: piece.id, verdict });
  const left = piece.verdict === "left";
  const [editing, setEditing] = useState(false);
  return (
    <li
      id={`piece-${piece.id}`}
      className={`scroll-mt-24 grid gap-x-5 gap-y-1 border-b border-rule py-3 sm:grid-cols-[1fr_auto] ${left ? "opacity-60" : ""}`}
    >
      <div className="min-w-0">
        <p className="text-sm text-faded">“{piece.text}”</p>
        <p className="leading-snug">
          <span className="font-semibold">{titleWithPan(step, names)}</span>{" "}
          <span className="text-sm text-faded">{kindOf(step).detail(step)}</span>
        </p>
        {step.lines.length > 0 && (
          <p className="text-sm">
            {step.lines.map((line, i) => (
              <span key={line.id}>
                {i > 0 && " · "}
                {names[i]}{" "}
                <span className={line.certainty === "assumed" ? "is-assumed" : "font-semibold"}>
                  {line.amount.kind === "fixed"
                    ? printMass(g(line.amount.massG))
                    : relationInWords(line.amount, NAMES)}
                  {line.certainty === "assumed" && " (assumed)"}
                </span>
                {line.typed && !saysGrams(line.typed) && (
                  <span className="text-faded"> said “{line.typed}”</span>
                )}
              </span>
            ))}
          </p>
        )}
        {doubts.map(doubt => (
          <p key={doubt} className="mt-1 rounded-md bg-beet-wash px-2 py-1 text-sm text-beet">
            ✕ {doubt}
          </p>
        ))}
        {!left &&
          piece.unknown.map(one => (
            <UnknownThing key={one.name} name={one.name} likeId={one.likeId} kitchen={kitchen} />
          ))}
        {stuck && (
          <p className="mt-1 rounded-md bg-saffron-wash px-2 py-1 text-sm text-saffron-ink">▲ {stuck}</p>
        )}
        {!left &&
          piece.questions.map(question => (
            <Question
              key={`${question.about} ${question.ask}`}
              question={question}
              piece={piece}
              kitchen={kitchen}
              onAnswer={next => onChange({ type: "answer", id: piece.id, about: question.about, step: next })}
            />
          ))}
      </div>
      <div className="flex items-start gap-1">
        {piece.verdict === "taken" ? (
          <Button look="quiet" className="!text-sorrel" onClick={() => decide("open")}>
            ✓ taken
          </Button>
        ) : (
          <Button onClick={() => decide("taken")}>{piece.doubts.length ? "Take as said" : "Take"}</Button>
        )}
        <Button look="quiet" aria-expanded={editing} onClick={() => setEditing(!editing)}>
          {editing ? "Done" : "Change"}
        </Button>
        {piece.verdict !== "taken" && (
          <Button look="quiet" onClick={() => decide(left ? "open" : "left")}>
            {left ? "left out · undo" : "Leave out"}
          </Button>
        )}
      </div>
      {editing && (
        <div className="sm:col-span-2">
          <PieceEditor
            step={step}
            base={base}
            kitchen={kitchen}
            onChange={changed => onChange({ type: "change", id: piece.id, step: changed })}
          />
        </div>
      )}
    </li>
  );
}

/** What is missing, with the place to say it beside. */
function Question({
  question,
  piece,
  kitchen,
  onAnswer,
}: {
  question: DraftQuestion;
  piece: Piece;
  kitchen: Kitchen;
  onAnswer: (step: Step) => void;
}) {
  const [said, setSaid] = useState<Step | null>(null);
  const step = said ?? piece.step;
  const line = step.lines.find(l => l.id === question.about);
  const field = fieldsOf(kindOf(step)).find(f => f.key === question.about);
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-1 rounded-md bg-saffron-wash px-2 py-1.5"
      onSubmit={event => {
        event.preventDefault();
        onAnswer(step);
      }}
    >
      <p
        className={`min-w-48 grow self-center text-sm text-saffron-ink ${question.answers ? "basis-full" : "basis-56"}`}
      >
        ? {question.ask}
      </p>
      {question.answers?.map(answer => (
        <Button
          key={answer.words}
          className="!px-3 !py-1 text-sm"
          onClick={() => onAnswer({ ...step, ...answer.patch } as Step)}
        >
          {answer.words}
        </Button>
      ))}
      <InOneForm value={true}>
        {line && (
          <TypedField
            label={`${nameOf(line, kitchen)}: amount`}
            shown=""
            read={text =>
              parseRelation(text, {
                document: BLANK,
                ingredient: "larder" in line.of ? (kitchen.ingredientById.get(line.of.larder) ?? null) : null,
                larder: kitchen.data.ingredients,
                field: line.id,
              })
            }
            onRead={({ relation, typed, certainty = "stated" }) =>
              setSaid({
                ...step,
                lines: step.lines.map(l =>
                  l.id === line.id ? { ...l, amount: relation, certainty, ...(typed && { typed }) } : l,
                ),
              })
            }
            width="w-36"
          />
        )}
        {field && !question.answers && (
          <StepFieldInput
            field={field}
            value={valueOf(step, field)}
            vessels={kitchen.vessels}
            burners={kitchen.data.burners}
            onChange={patch => setSaid({ ...step, ...patch } as Step)}
          />
        )}
      </InOneForm>
      {!question.answers && (
        <Button type="submit" className="!px-3 !py-1 text-sm">
          {said ? "So it is" : "As taken"}
        </Button>
      )}
    </form>
  );
}

/** A weight said as a weight needs no second telling. */
const saysGrams = (typed: string): boolean => /\d\s*(k?g|grams?|kilos?)$/i.test(typed);

const BLANK = blankFormula("said", { name: "base", massG: 1000 });
const NAMES = namesIn(BLANK);

const nameOf = (line: Step["lines"][number], kitchen: Kitchen): string =>
  "larder" in line.of
    ? (kitchen.ingredientById.get(line.of.larder)?.name ?? line.of.larder)
    : (nameOfFormula(kitchen.data, line.of.formula) ?? line.of.formula);
