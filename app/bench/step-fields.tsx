import { useId } from "react";
import {
  BLEND_TOOLS,
  CLARIFY_METHODS,
  EMULSION_TOOLS,
  type Kitchen,
  type Step,
  type StepKindName,
  THICKEN_FORMS,
} from "~/core/formula";
import { parseAmount, printNumber, readNumber } from "~/core/quantity";
import { LIDS, SURFACES, parseReductionTarget, targetInWords } from "~/core/reduction";
import { ok } from "~/core/result";
import { readMinutes, readTemperature, readWithin } from "../ui/read";
import { TypedField } from "../ui/typed-field";

/** One changeable thing of a step. */
export type StepField = { readonly key: string; readonly label: string } & (
  | { readonly type: "minutes" }
  | { readonly type: "temperature"; readonly min: number; readonly max: number }
  | { readonly type: "number"; readonly unit: string; readonly min: number; readonly max: number }
  | { readonly type: "litres" }
  | { readonly type: "percent" }
  | { readonly type: "flag" }
  | { readonly type: "choice"; readonly choices: readonly (readonly [value: string, words: string])[] }
  | { readonly type: "vessel" }
  | { readonly type: "target" }
  | { readonly type: "text" }
);

const minutes: StepField = { key: "durationMin", label: "Time", type: "minutes" };
const pot: StepField = { key: "vesselId", label: "Pot", type: "vessel" };
const LID_WORDS = { off: "off", ajar: "ajar", on: "on" };
const SURFACE_WORDS = {
  stirred: "clear and stirred",
  lazy: "lazy, skimmed",
  "fat-layer": "unbroken fat",
  skin: "cream or starch skin",
};

export const STEP_FIELDS: Readonly<Record<StepKindName, readonly StepField[]>> = {
  add: [minutes, pot],
  roast: [{ key: "ovenC", label: "Oven", type: "temperature", min: 60, max: 300 }, minutes],
  brown: [minutes],
  deglaze: [minutes],
  cover: [
    { key: "depthMm", label: "Over the bones", type: "number", unit: "mm", min: 0, max: 300 },
    { key: "toBonesMl", label: "Measured to the bones", type: "litres" },
    pot,
    { key: "countFond", label: "fond water counts", type: "flag" },
    minutes,
  ],
  simmer: [
    { key: "holdC", label: "Held at", type: "temperature", min: 40, max: 110 },
    minutes,
    { key: "lid", label: "Lid", type: "choice", choices: LIDS.map(lid => [lid, LID_WORDS[lid]] as const) },
    {
      key: "surface",
      label: "Surface",
      type: "choice",
      choices: SURFACES.map(x => [x, SURFACE_WORDS[x]] as const),
    },
    { key: "setting", label: "Flame to bring it up", type: "percent" },
  ],
  steep: [minutes],
  strain: [
    { key: "press", label: "pressed (more, cloudier)", type: "flag" },
    { ...pot, label: "Into" },
    minutes,
  ],
  degrease: [
    {
      key: "method",
      label: "How",
      type: "choice",
      choices: [
        ["ladle", "ladle or tip"],
        ["chilled", "chill and lift"],
      ],
    },
    minutes,
  ],
  cool: [
    {
      key: "method",
      label: "Where",
      type: "choice",
      choices: [
        ["ice-bath", "ice sink, stirred"],
        ["ice-bath-still", "ice sink, nobody stirs"],
        ["walk-in", "walk-in, covered"],
        ["walk-in-fan", "walk-in, under the fan"],
        ["blast", "blast chiller"],
        ["running-water", "running water, stirred"],
        ["ice-wand", "ice wand, stirred"],
        ["room", "on the bench"],
      ],
    },
    { key: "toC", label: "Down to", type: "temperature", min: 1, max: 80 },
  ],
  reduce: [
    { key: "target", label: "Reduce by or to", type: "target" },
    { key: "setting", label: "Flame", type: "percent" },
    { key: "overlap", label: "Pot over the fire", type: "percent" },
    pot,
  ],
  soak: [
    minutes,
    { key: "drinks", label: "Drinks, g per g", type: "number", unit: "g", min: 0, max: 12 },
    { key: "leavePct", label: "Left with the grit", type: "number", unit: "%", min: 0, max: 60 },
    pot,
  ],
  blanch: [
    minutes,
    { key: "waterPerG", label: "Water per g", type: "number", unit: "g", min: 0.5, max: 20 },
    { key: "ice", label: "then into ice", type: "flag" },
    pot,
  ],
  cure: [
    { key: "saltPct", label: "Salt", type: "number", unit: "%", min: 0, max: 12 },
    { key: "sugarPct", label: "Sugar", type: "number", unit: "%", min: 0, max: 12 },
    minutes,
  ],
  sweat: [minutes, pot],
  render: [minutes, pot],
  flame: [minutes],
  skim: [{ key: "times", label: "How often", type: "number", unit: "times", min: 1, max: 60 }, minutes],
  drain: [minutes],
  lift: [
    {
      key: "what",
      label: "What",
      type: "choice",
      choices: [
        ["aromatics", "herbs and spices"],
        ["everything solid", "everything solid"],
      ],
    },
    { key: "keep", label: "kept for the plate", type: "flag" },
    { key: "tally", label: "Count them out", type: "text" },
    minutes,
  ],
  reserve: [
    { key: "what", label: "What is set aside", type: "text" },
    { key: "sharePct", label: "Of the liquor", type: "number", unit: "%", min: 0, max: 95 },
    minutes,
  ],
  clarify: [
    {
      key: "method",
      label: "How",
      type: "choice",
      choices: Object.entries(CLARIFY_METHODS).map(([id, m]) => [id, m.label] as const),
    },
    minutes,
  ],
  thicken: [
    {
      key: "form",
      label: "How it goes in",
      type: "choice",
      choices: THICKEN_FORMS.map(form => [form, form] as const),
    },
    { key: "rouxHot", label: "the roux is hot", type: "flag" },
    { ...minutes, label: "Simmered" },
    pot,
  ],
  liaison: [{ key: "toC", label: "Taken to", type: "temperature", min: 40, max: 100 }, minutes],
  emulsify: [
    {
      key: "tool",
      label: "With",
      type: "choice",
      choices: EMULSION_TOOLS.map(tool => [tool, tool] as const),
    },
    minutes,
    { ...pot, label: "In" },
  ],
  mount: [minutes],
  blend: [
    { key: "tool", label: "With", type: "choice", choices: BLEND_TOOLS.map(tool => [tool, tool] as const) },
    { key: "reserveFirst", label: "Set aside first", type: "text" },
    minutes,
    { ...pot, label: "In" },
  ],
  pass: [
    { key: "yieldPct", label: "Goes through", type: "number", unit: "%", min: 10, max: 100 },
    minutes,
    { ...pot, label: "Into" },
  ],
  season: [minutes],
  dry: [{ key: "lossPct", label: "Weight lost", type: "number", unit: "%", min: 0.5, max: 90 }, minutes, pot],
  rest: [
    minutes,
    { key: "lid", label: "Lid", type: "choice", choices: LIDS.map(lid => [lid, LID_WORDS[lid]] as const) },
  ],
  freeze: [
    { key: "toC", label: "Down to", type: "temperature", min: -40, max: -5 },
    minutes,
    { ...pot, label: "In" },
  ],
  thaw: [{ key: "toC", label: "Up to", type: "temperature", min: 0, max: 8 }, minutes],
  reheat: [
    { key: "toC", label: "Up to", type: "temperature", min: 30, max: 105 },
    { key: "setting", label: "Flame", type: "percent" },
    pot,
  ],
  hold: [
    { key: "holdC", label: "Held at", type: "temperature", min: 30, max: 98 },
    minutes,
    { key: "lid", label: "Lid", type: "choice", choices: LIDS.map(lid => [lid, LID_WORDS[lid]] as const) },
  ],
  portion: [
    { key: "portionG", label: "Each", type: "number", unit: "g", min: 0.1, max: 10_000 },
    { key: "into", label: "Into", type: "text" },
    minutes,
  ],
  "top-up": [{ key: "toMl", label: "Back to", type: "litres" }, minutes],
  note: [{ key: "text", label: "What to do", type: "text" }, minutes],
};

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
