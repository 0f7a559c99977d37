import { memo, useId } from "react";
import {
  type ReductionEnd,
  type Step,
  type StepField,
  endAsTyped,
  endInWords,
  parseEnd,
} from "~/core/formula";
import { parseAmount, printNumber, readNumber } from "~/core/ground/quantity";
import type { Burner } from "~/core/laws/reduction";
import { type Result, ok } from "~/core/ground/result";
import type { Vessel } from "~/core/things/vessel";
import { readMinutes, readTemperature, readWithin } from "../ui/read";
import { PANS_LIST } from "./pan-field";
import { TypedField } from "../ui/typed-field";

interface FieldProps {
  field: StepField;
  value: unknown;
  vessels: readonly Vessel[];
  burners: readonly Burner[];
  onChange: (patch: Partial<Step>, tag: string) => void;
}

/** What stands in a field of a step. The register of fields names only keys the step's own schema has. */
export const valueOf = (step: Step, field: StepField): unknown =>
  (step as unknown as Record<string, unknown>)[field.key];

/** The input for one field, drawn again only when something of its own changes. */
export const StepFieldInput = memo(function StepFieldInput({
  field,
  value,
  vessels,
  burners,
  onChange,
}: FieldProps) {
  const id = useId();
  const set = (next: unknown) => onChange({ [field.key]: next } as Partial<Step>, field.key);
  const number = typeof value === "number" ? value : 0;
  const empty = "empty" in field && field.type !== "vessel" ? field.empty : undefined;
  const missing = typeof value === "number" ? undefined : empty;
  const input = "w-26";
  switch (field.type) {
    case "minutes":
      return (
        <TypedField
          label={field.label}
          shown={missing ?? `${printNumber(number)} min`}
          read={orNothing(empty, readMinutes(field.label))}
          onRead={set}
          width={empty === undefined ? input : "w-52"}
        />
      );
    case "temperature":
      return (
        <TypedField
          label={field.label}
          shown={missing ?? `${printNumber(number, number % 1 ? 1 : 0)} °C`}
          read={orNothing(empty, readTemperature(field.label, field.min, field.max))}
          onRead={set}
          width={empty === undefined ? input : "w-48"}
        />
      );
    case "number":
      return (
        <TypedField
          label={field.label}
          shown={missing ?? `${printNumber(number, Number.isInteger(number) ? 0 : 1)} ${field.unit}`}
          read={orNothing(empty, readWithin(field.label, field.unit, field.min, field.max))}
          onRead={set}
          width={empty === undefined || empty.length < 9 ? input : "w-60"}
        />
      );
    case "percent":
      return (
        <TypedField
          label={field.label}
          shown={missing ?? `${printNumber(number * 100)} %`}
          read={orNothing<number>(empty, readWithin(field.label, "%", 1, 100))}
          onRead={pct => set(pct === undefined ? undefined : pct / 100)}
          width={empty === undefined ? "w-20" : "w-36"}
        />
      );
    case "litres":
      return (
        <TypedField
          label={field.label}
          shown={missing ?? `${printNumber(number / 1000, 1)} l`}
          read={orNothing<number>(empty, readWithin(field.label, "l", field.min, field.max))}
          onRead={litres => set(litres === undefined ? undefined : litres * 1000)}
          width={input}
        />
      );
    case "target":
      return (
        <TypedField
          label={field.label}
          shown={value === undefined ? (empty ?? "") : endAsTyped(value as ReductionEnd)}
          hint={value === undefined ? undefined : endInWords(value as ReductionEnd)}
          read={orNothing(empty, text => parseEnd(text, readEnd, field.label))}
          onRead={set}
          width="w-40"
        />
      );
    case "text":
    case "pan":
      return (
        <label className="block grow text-xs text-faded">
          {field.label}
          <input
            value={String(value ?? "")}
            maxLength={field.most}
            list={field.type === "pan" ? PANS_LIST : undefined}
            onChange={event =>
              (event.currentTarget.value || field.optional) && set(event.currentTarget.value || undefined)
            }
            className="mt-0.5 block w-full rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink"
          />
        </label>
      );
    case "flag":
      return (
        <label className="mt-5 flex items-center gap-2">
          <input
            type="checkbox"
            checked={value === true}
            onChange={event => set(event.currentTarget.checked)}
            className="size-4 accent-copper"
          />
          {field.label}
        </label>
      );
    case "choice":
    case "burner":
    case "vessel": {
      const choices =
        field.type === "choice"
          ? field.choices
          : field.type === "burner"
            ? [["", field.empty] as const, ...burners.map(b => [b.id, b.name] as const)]
            : vesselChoices(field, vessels);
      const chosen = field.type === "choice" ? field.otherwise : undefined;
      return (
        <div>
          <label htmlFor={id} className="block text-xs text-faded">
            {field.label}
          </label>
          <select
            id={id}
            value={typeof value === "string" ? value : (chosen ?? "")}
            onChange={event => set(event.currentTarget.value || undefined)}
            className="h-8.5 rounded-md border border-rule bg-enamel px-2"
          >
            {choices.map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </div>
      );
    }
  }
});

/** A reader that also takes nothing, a dash, or the words for nothing. */
const orNothing =
  <T,>(empty: string | undefined, read: (text: string) => Result<T>) =>
  (text: string): Result<T | undefined> =>
    empty !== undefined && ["", "-", "–", empty].includes(text.trim().toLowerCase())
      ? ok(undefined)
      : read(text);

const vesselChoices = (
  { uses, empty }: Extract<StepField, { type: "vessel" }>,
  vessels: readonly Vessel[],
): [string, string][] => [
  ["", empty],
  ...vessels.filter(v => uses.includes(v.use)).map((v): [string, string] => [v.id, v.name]),
];

/** "1/3", "30 %", "2 l", "600 g": the part of a reduction after by or to. */
function readEnd(text: string) {
  const amount = parseAmount(text);
  if (amount.ok)
    return ok(
      amount.value.kind === "share"
        ? { share: amount.value.pct / 100 }
        : amount.value.kind === "mass"
          ? { massG: amount.value.massG as number }
          : { volumeMl: amount.value.volumeMl as number },
    );
  const number = readNumber(text, "target");
  return number.ok && !number.value.rest.trim() ? ok({ share: number.value.value }) : amount;
}
