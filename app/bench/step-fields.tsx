import { useId } from "react";
import type { Kitchen, Step, StepKindName } from "~/core/formula";
import { parseAmount, printNumber, readNumber } from "~/core/quantity";
import { parseReductionTarget, targetInWords } from "~/core/reduction";
import { ok } from "~/core/result";
import { readMinutes, readTemperature, readWithin } from "../ui/read";
import { TypedField } from "../ui/typed-field";
import type { StepField } from "./step-field-list";

/** Words that may be left out again. */
const OPTIONAL_TEXT: ReadonlySet<string> = new Set(["tally", "reserveFirst"]);

interface FieldProps {
  field: StepField;
  step: Step;
  kitchen: Kitchen;
  onChange: (patch: Partial<Step>, tag: string) => void;
}

/** The input for one field. The register above names only keys the step's own schema has. */
export function StepFieldInput({ field, step, kitchen, onChange }: FieldProps) {
  const id = useId();
  const value = (step as unknown as Record<string, unknown>)[field.key];
  const set = (next: unknown) => onChange({ [field.key]: next } as Partial<Step>, field.key);
  const number = typeof value === "number" ? value : 0;
  const input = "w-26";
  switch (field.type) {
    case "minutes":
      return (
        <TypedField
          label={field.label}
          shown={`${printNumber(number)} min`}
          read={readMinutes(field.label)}
          onRead={set}
          inputClassName={input}
        />
      );
    case "temperature":
      return (
        <TypedField
          label={field.label}
          shown={`${printNumber(number, number % 1 ? 1 : 0)} °C`}
          read={readTemperature(field.label, field.min, field.max)}
          onRead={set}
          inputClassName={input}
        />
      );
    case "number":
      return (
        <TypedField
          label={field.label}
          shown={`${printNumber(number, Number.isInteger(number) ? 0 : 1)} ${field.unit}`}
          read={readWithin(field.label, field.unit, field.min, field.max)}
          onRead={set}
          inputClassName={input}
        />
      );
    case "percent":
      return (
        <TypedField
          label={field.label}
          shown={`${printNumber(number * 100)} %`}
          read={readWithin(field.label, "%", 1, 100)}
          onRead={pct => set(pct / 100)}
          inputClassName="w-20"
        />
      );
    case "litres":
      return (
        <TypedField
          label={field.label}
          shown={typeof value === "number" ? `${printNumber(value / 1000, 1)} l` : "by eye"}
          read={text =>
            step.kind === "cover" && /^\s*(by eye|-|)\s*$/i.test(text)
              ? ok<number | undefined>(undefined)
              : litresIn(field.label)(text)
          }
          onRead={litres => set(litres === undefined ? undefined : litres * 1000)}
          inputClassName={input}
        />
      );
    case "target":
      return (
        <TypedField
          label={field.label}
          shown={targetInWords((step as Extract<Step, { kind: "reduce" }>).target).replace(/ \(.*/, "")}
          hint={targetInWords((step as Extract<Step, { kind: "reduce" }>).target)}
          read={text => parseReductionTarget(text, readEnd, field.label)}
          onRead={set}
          inputClassName="w-40"
        />
      );
    case "text":
      return (
        <label className="block grow text-xs text-faded">
          {field.label}
          <input
            value={String(value ?? "")}
            maxLength={400}
            onChange={event =>
              (event.currentTarget.value || OPTIONAL_TEXT.has(field.key)) &&
              set(event.currentTarget.value || undefined)
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
    case "vessel": {
      const choices = field.type === "choice" ? field.choices : vesselChoices(step, kitchen);
      return (
        <div>
          <label htmlFor={id} className="block text-xs text-faded">
            {field.label}
          </label>
          <select
            id={id}
            value={typeof value === "string" ? value : ""}
            onChange={event => set(event.currentTarget.value || undefined)}
            className="mt-0.5 rounded-md border border-rule bg-enamel px-2 py-1.5"
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
}

const litresIn = (label: string) => readWithin(label, "l", 0.1, 500);

/** Steps that may end in a container. */
const INTO_COLD: ReadonlySet<StepKindName> = new Set([
  "strain",
  "freeze",
  "pass",
  "blend",
  "emulsify",
  "soak",
]);

function vesselChoices(step: Step, kitchen: Kitchen): [string, string][] {
  const fitting = kitchen.vessels.filter(
    v => v.use !== "tray" && (INTO_COLD.has(step.kind) || v.use !== "container"),
  );
  const auto =
    step.kind === "reduce" ? "where it stands" : step.kind === "cover" ? "smallest that fits" : "by itself";
  return [["", auto], ...fitting.map((v): [string, string] => [v.id, v.name])];
}

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
