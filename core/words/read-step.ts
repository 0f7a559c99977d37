import {
  type Line,
  STEP_KINDS,
  type Step,
  type StepKindName,
  type THICKEN_FORMS,
  fieldsOf,
  kindOf,
  type ReductionEnd,
  endInWords,
} from "../formula";
import { printNumber } from "../ground/quantity";

import { sourceOf } from "./house-formulas";
import type { SaidIngredient } from "./ingredients-said";
import {
  type SaidTemperature,
  type SaidTime,
  minutesSaid,
  reductionSaid,
  shareSaid,
  temperatureSaid,
} from "./numbers-said";
import type { DraftPiece, DraftQuestion } from "./piece";
import { proposeAmount } from "./proposals";

/**
 * One step with its lines, temperature, time and end, and what is asked of them.
 * @param clause where times, temperatures and ends are looked for
 */
export function readStep(
  kind: StepKindName,
  text: string,
  clause: string,
  said: readonly SaidIngredient[],
  id: () => string,
  own: Partial<DraftPiece>,
): DraftPiece {
  const questions: DraftQuestion[] = [...(own.questions ?? [])];
  const doubts: string[] = [...(own.doubts ?? [])];
  let step = STEP_KINDS[kind].blank(id()) as Step;
  if (step.kind === "simmer") step = { ...step, ...wayOfCooking(clause, questions) };
  if (step.kind === "thicken") step = boundAs(step, formOfBinding(clause));
  const time = minutesSaid(clause);
  if (takesTime(kind)) step = withTime(step, clause, time, questions, doubts);
  // An oven says little of what cooks in it, unless it is what the step is about.
  const heat = kind === "roast" || !IN_THE_OVEN.test(clause) ? temperatureSaid(clause) : null;
  if (heat?.doubt) doubts.push(heat.doubt);
  step = withHeat(step, heat, questions, doubts);
  if (step.kind === "reduce") {
    const end = reductionSaid(clause);
    if (end) step = { ...step, target: end.target };
    else questions.push({ about: "target", ask: "Reduce how far? By half is taken until you say." });
    if (end?.question) questions.push({ about: "target", ask: end.question, answers: byOrTo(end.target) });
  }
  const lines = said.map(one => lineFor(one, clause, kind, id, questions));
  const unplaced = [
    heat && !heat.question && !heatsOf(kind).length ? `${printNumber(heat.c)} °C` : "",
    time && !takesTime(kind) ? `${printNumber(time.min)} min` : "",
  ].filter(Boolean);
  return {
    id: step.id,
    text,
    step: { ...step, lines, ...(unplaced.length && { remark: `Said: ${unplaced.join(", ")}.` }) } as Step,
    said,
    questions,
    doubts,
  };
}

/** Whether a kind of step has a time of its own, said or by its law. */
const takesTime = (kind: StepKindName): boolean => "durationMin" in STEP_KINDS[kind].fields;

const IN_THE_OVEN = /\bin (?:the|a) [\w ]*?oven\b/i;
const BRAISED_C = 95;

/** What the words say of how it cooks in the pot. */
function wayOfCooking(clause: string, questions: DraftQuestion[]) {
  if (IN_THE_OVEN.test(clause)) {
    questions.push({
      about: "holdC",
      ask: `In the oven, how hot does it get inside? ${BRAISED_C} °C with the lid on is taken until you say.`,
    });
    return { holdC: BRAISED_C, lid: "on" } as const;
  }
  const lid = /\blid on\b|\bcovered\b|\bwith (?:the|a) lid\b/i.test(clause) ? ({ lid: "on" } as const) : {};
  return /\bboil\b/i.test(clause) && !/\bsimmer/i.test(clause)
    ? ({ holdC: 100, surface: "stirred", ...lid } as const)
    : lid;
}

/** The form of a binding; a roux where none is said. */
function formOfBinding(clause: string): (typeof THICKEN_FORMS)[number] {
  if (/\bbeurre mani|\bkneaded\b/i.test(clause)) return "beurre manié";
  if (/\bslurry\b|starch\b|\bcorn ?flour\b|\barrowroot\b/i.test(clause)) return "slurry";
  if (/\b(?:dust|sprinkle)/i.test(clause)) return "dusted";
  return "roux";
}

/** A slurry has bound as soon as it boils; a roux must cook its flour out. */
const SLURRY_MIN = 2;
const boundAs = (step: Extract<Step, { kind: "thicken" }>, form: (typeof THICKEN_FORMS)[number]) =>
  form === "slurry" ? { ...step, form, durationMin: SLURRY_MIN } : { ...step, form };

/** Bringing it up is no simmering: what is asked is whether it goes on. */
const BRINGS_UP = /\bbring\b[^,.;]*\bto (?:the|a) (?:boil|simmer)\b(?!\s+and\b)/i;
const ONCE_UP_MIN = 5;

function withTime(
  step: Step,
  clause: string,
  time: SaidTime | null,
  questions: DraftQuestion[],
  doubts: string[],
): Step {
  if (time?.range && time.range[0] > time.range[1])
    doubts.push(`“${printNumber(time.range[0])} to ${printNumber(time.range[1])} min” runs backwards.`);
  if (time?.question) questions.push({ about: "durationMin", ask: time.question });
  if (time) return { ...step, durationMin: time.min } as Step;
  if (!kindOf(step).heard?.asksTime || !("durationMin" in step) || step.durationMin === undefined)
    return step;
  const min = step.kind === "simmer" && BRINGS_UP.test(clause) ? ONCE_UP_MIN : step.durationMin;
  questions.push({ about: "durationMin", ask: `How long? ${printNumber(min)} min is taken until you say.` });
  return { ...step, durationMin: min };
}

/** The two readings of a share that was said without by or to. */
function byOrTo(target: ReductionEnd): DraftQuestion["answers"] {
  const share = "to" in target ? target.to : "by" in target ? target.by : null;
  if (share === null) return [];
  return [{ to: share }, { by: share }].map(read => ({
    words: endInWords(read),
    patch: { target: read } as Partial<Step>,
  }));
}

/** What was said of heat goes where the step has room for it; what no field takes is said, and the nearest taken. */
function withHeat(
  step: Step,
  heat: SaidTemperature | null,
  questions: DraftQuestion[],
  doubts: string[],
): Step {
  const heats = heatsOf(step.kind);
  const [first] = heats;
  if (!first) return step;
  if (!heat) {
    if (kindOf(step).heard?.asksHeat)
      questions.push({
        about: first.key,
        ask: `${first.label} at what temperature? ${String(step[first.key as keyof Step])} °C is taken until you say.`,
      });
    return step;
  }
  const field = heats.find(({ min, max }) => heat.c >= min && heat.c <= max) ?? first;
  if (heat.question) questions.push({ about: field.key, ask: heat.question });
  const toC = Math.min(field.max, Math.max(field.min, heat.c));
  if (toC !== heat.c)
    doubts.push(
      `${printNumber(heat.c)} °C is nothing a step “${kindOf(step).label.toLowerCase()}” can have: ${printNumber(toC)} °C is taken.`,
    );
  return { ...step, [field.key]: toC };
}

/** Where a kind of step keeps its temperatures, and between what they may be. */
const heatsOf = (kind: StepKindName) =>
  fieldsOf(STEP_KINDS[kind]).flatMap(field => (field.type === "temperature" ? [field] : []));

/** What is put in up to a share of the whole. */
const SEASONED = ["salt", "sugar"] as const;

function lineFor(
  one: SaidIngredient,
  clause: string,
  kind: StepKindName,
  id: () => string,
  questions: DraftQuestion[],
): Line {
  const line = { id: id(), of: sourceOf(one.ingredient) };
  if (one.massG !== null)
    return {
      ...line,
      amount: { kind: "fixed", massG: one.massG },
      certainty: one.guessed ? "assumed" : "stated",
      typed: one.said.slice(0, 80),
    };
  const reached = SEASONED.find(what => new RegExp(`\\b${what}\\b`).test(one.ingredient.name));
  const pct = reached ? shareSaid(clause) : null;
  if (reached && pct !== null)
    return {
      ...line,
      amount: { kind: "to-reach", what: reached, value: pct },
      certainty: "stated",
      typed: `to ${pct} % ${reached}`,
    };
  if (one.pct !== null) {
    questions.push({
      about: line.id,
      ask: `${printNumber(one.pct, 1)} % of what? Of the main ingredient is taken until you say.`,
    });
    return { ...line, amount: { kind: "share-of-base", pct: one.pct }, certainty: "assumed" };
  }
  const usual = proposeAmount(one.ingredient.id, kind);
  questions.push({
    about: line.id,
    ask: `How much ${one.ingredient.name}?${usual ? ` Taken: ${usual.words}.` : ""}`,
  });
  return {
    ...line,
    amount: usual?.amount ?? { kind: "by-feel", massG: 0 },
    certainty: "assumed",
  };
}
