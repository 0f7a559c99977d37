import { BLEND_TOOLS, CLARIFY_METHODS, type StepKindName, THICKEN_FORMS } from "~/core/formula";
import { EMULSION_TOOLS } from "~/core/emulsion";
import { LIDS, SURFACES } from "~/core/reduction";

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
    { key: "leaveG", label: "Leave in", type: "number", unit: "g", min: 0, max: 100_000 },
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
