import {
  type FormulaDocument,
  type Line,
  STEP_KINDS,
  type Step,
  type StepKindName,
  blankFormula,
} from "../formula";
import { type Ingredient, saltDoubt } from "../larder";
import { CARDINAL, printMass, printNumber, g } from "../quantity";
import { type ReductionTarget, targetInWords } from "../reduction";
import { longNumbersInFigures } from "./in-figures";
import { proposeAmount } from "./proposals";
import {
  type SaidIngredient,
  deedsOf,
  ingredientsSaid,
  kindSaid,
  minutesSaid,
  reductionSaid,
  shareSaid,
  temperatureSaid,
} from "./read-clause";

/** Something a recipe did not say, and where the answer goes. */
export interface DraftQuestion {
  /** Field of the step, or id of the line, that the answer settles. */
  readonly about: string;
  readonly ask: string;
  /** Answers that can be picked. */
  readonly answers?: readonly { readonly words: string; readonly patch: Partial<Step> }[];
}

/** One piece of a dictated or pasted recipe, read as a step: to be taken, changed or left. */
export interface DraftPiece {
  readonly id: string;
  /** The words it comes from. */
  readonly text: string;
  readonly step: Step;
  readonly said: readonly SaidIngredient[];
  /** What was not said and is needed. */
  readonly questions: readonly DraftQuestion[];
  /** What contradicts itself or cannot be meant. */
  readonly doubts: readonly string[];
}

export interface RecipeDraft {
  readonly name: string;
  readonly pieces: readonly DraftPiece[];
  /** Words no step was found in. */
  readonly unread: readonly string[];
}

const CLAUSES = /(?:\r?\n)+|(?<=[a-z0-9%)])[.;]\s+|,?\s+\bthen\b\s+/i;
const NUMBERING = /^\s*(?:\d+[.)]|[-•*–])\s+/;

/**
 * Reads a dictated or typed recipe into steps with their lines, temperatures, times and ends.
 *
 * Rules only, no network. What is missing is asked, never filled in silently: a usual amount stands as assumed.
 *
 * @param larder names are looked up here
 * @param id     makes a new id each time
 */
export function draftRecipe(text: string, larder: readonly Ingredient[], id: () => string): RecipeDraft {
  const clauses = text
    .split(CLAUSES)
    .map(clause => clause.replace(NUMBERING, "").trim())
    .filter(clause => clause.length > 2)
    .flatMap(deedsOf);
  const [first = ""] = clauses;
  const titled = !/\d/.test(first) && kindSaid(first) === null && first.length < 60;
  const pieces: DraftPiece[] = [];
  const unread: string[] = [];
  for (const clause of titled ? clauses.slice(1) : clauses) {
    const piece = readPiece(clause, larder, id);
    if (piece) pieces.push(piece);
    else unread.push(clause);
  }
  return { name: titled ? first.replace(/[:.]$/, "") : "", pieces: withSaltDoubts(pieces), unread };
}

function readPiece(text: string, larder: readonly Ingredient[], id: () => string): DraftPiece | null {
  const clause = longNumbersInFigures(text);
  const said = ingredientsSaid(clause, larder);
  const kind = kindSaid(clause) ?? (said.length ? "add" : null);
  if (!kind) return null;
  const questions: DraftQuestion[] = [];
  const doubts = [...contradictions(clause, said)];
  const base = STEP_KINDS[kind].blank(id()) as Step;
  const takes = STEP_KINDS[kind].takesLines;
  let step = base;
  const time = minutesSaid(clause);
  if (time?.range && time.range[0] > time.range[1])
    doubts.push(`“${printNumber(time.range[0])} to ${printNumber(time.range[1])} min” runs backwards.`);
  if ("durationMin" in step) {
    if (time) step = { ...step, durationMin: time.min };
    else if (kind === "simmer" || kind === "roast" || kind === "hold")
      questions.push({
        about: "durationMin",
        ask: `How long? ${printNumber(step.durationMin)} min is taken until you say.`,
      });
  }
  const heat = temperatureSaid(clause);
  if (heat?.doubt) doubts.push(heat.doubt);
  step = withHeat(step, heat?.c ?? null, questions);
  if (step.kind === "reduce") {
    const end = reductionSaid(clause);
    if (end) step = { ...step, target: end.target };
    else questions.push({ about: "target", ask: "Reduce how far? By half is taken until you say." });
    if (end?.question) questions.push({ about: "target", ask: end.question, answers: byOrTo(end.target) });
  }
  if (takes) {
    step = { ...step, lines: said.map(one => lineFor(one, clause, kind, id, questions)) };
    doubts.push(...amountsOfNothing(clause, said));
  }
  return { id: step.id, text, step, said, questions, doubts };
}

const AMOUNT_OF = new RegExp(
  `((?:\\d[\\d.,/]*|half an?|an?|${CARDINAL})\\s*(?:kg|kilos?|g|grams?|l|lit(?:re|er)s?|dl|cl|ml|millilit(?:re|er)s?|cups?|oz|ounces?|lbs?|pounds?))\\s+(?:of\\s+)?(?!(?:it|them|this|that|the)\\b)([a-z][a-z -]+?)(?=[,.;]|\\s+(?:at|for|in|with|and|to|until|then|over)\\b|$)`,
  "gi",
);

/** Amounts that stand before a name the larder does not know: they would be lost without a word. */
function amountsOfNothing(clause: string, said: readonly SaidIngredient[]): string[] {
  return [...clause.matchAll(AMOUNT_OF)].flatMap(([, amount = "", name = ""]) =>
    said.some(one => one.said && (amount.includes(one.said) || one.said.includes(amount)))
      ? []
      : [
          `${amount} of “${name}”: the larder has nothing called that. Call it by its full name, or enter it there.`,
        ],
  );
}

/** The two readings of a share that was said without by or to. */
function byOrTo(target: ReductionTarget): DraftQuestion["answers"] {
  const share = "to" in target ? target.to : "by" in target ? target.by : null;
  if (share === null) return [];
  return [{ to: share }, { by: share }].map(read => ({
    words: targetInWords(read),
    patch: { target: read } as Partial<Step>,
  }));
}

function withHeat(step: Step, c: number | null, questions: DraftQuestion[]): Step {
  if (c === null) {
    if (step.kind === "roast")
      questions.push({
        about: "ovenC",
        ask: `Oven at what temperature? ${step.ovenC} °C is taken until you say.`,
      });
    return step;
  }
  const within = (lo: number, hi: number) => Math.min(hi, Math.max(lo, c));
  switch (step.kind) {
    case "roast":
      return { ...step, ovenC: within(60, 300) };
    case "simmer":
      return { ...step, holdC: within(40, 110) };
    case "cool":
      return { ...step, toC: within(1, 80) };
    case "reheat":
      return { ...step, toC: within(30, 105) };
    case "hold":
      return { ...step, holdC: within(30, 98) };
    case "liaison":
      return { ...step, toC: within(40, 100) };
    default:
      return step;
  }
}

/** What is put in up to a share of the whole. */
const SEASONED = ["salt", "sugar"] as const;

function lineFor(
  one: SaidIngredient,
  clause: string,
  kind: StepKindName,
  id: () => string,
  questions: DraftQuestion[],
): Line {
  const line = { id: id(), of: { larder: one.ingredient.id } };
  if (one.massG !== null)
    return {
      ...line,
      amount: { kind: "fixed", massG: one.massG },
      certainty: one.guessed ? "assumed" : "stated",
      typed: one.said.slice(0, 80),
    };
  const reached = SEASONED.find(what => one.ingredient.name.includes(what));
  const pct = reached ? shareSaid(clause) : null;
  if (reached && pct !== null)
    return {
      ...line,
      amount: { kind: "to-reach", what: reached, value: pct },
      certainty: "stated",
      typed: `to ${pct} % ${reached}`,
    };
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

/** A stated share may be off by so much before it is questioned. */
const SHARE_OFF = 0.1;
const SUM_OFF = 0.02;

/** Numbers of one clause that do not fit each other. */
export function contradictions(clause: string, said: readonly SaidIngredient[]): string[] {
  const found: string[] = [];
  const share = /(\d+(?:[.,]\d+)?)\s*%\s*(salt|sugar)/i.exec(clause);
  if (share) {
    const wanted = Number((share[1] ?? "").replace(",", "."));
    const what = (share[2] ?? "salt").toLowerCase();
    const grams = massSaid(clause, said, what);
    if (grams && Math.abs(grams.pct / wanted - 1) > SHARE_OFF)
      found.push(
        `“${share[0]}” and the amounts do not agree: ${printMass(g(grams.partG))} in ${printMass(g(grams.allG))} is ${printNumber(grams.pct, 1)} %.`,
      );
  }
  const total = /(\d+(?:[.,]\d+)?)\s*(kg|g)\b[^:]*:\s*(.+)$/i.exec(clause);
  if (total) {
    const whole = Number((total[1] ?? "").replace(",", ".")) * (/kg/i.test(total[2] ?? "") ? 1000 : 1);
    const parts = [...(total[3] ?? "").matchAll(/(\d+(?:[.,]\d+)?)\s*(kg|g)?\b/gi)].map(
      m => Number((m[1] ?? "").replace(",", ".")) * (/kg/i.test(m[2] ?? "") ? 1000 : 1),
    );
    const sum = parts.reduce((a, b) => a + b, 0);
    if (parts.length > 1 && Math.abs(sum / whole - 1) > SUM_OFF)
      found.push(`The parts add up to ${printMass(g(sum))}, not ${printMass(g(whole))}.`);
  }
  return found;
}

/** Grams of salt or sugar against the whole, from the amounts said or written in the clause. */
function massSaid(
  clause: string,
  said: readonly SaidIngredient[],
  what: string,
): { partG: number; allG: number; pct: number } | null {
  const amounts = [...clause.matchAll(/(\d+(?:[.,]\d+)?)\s*(kg|g|ml|l|litres?)\b/gi)].map(m => {
    const unit = (m[2] ?? "").toLowerCase();
    return {
      value:
        Number((m[1] ?? "").replace(",", ".")) *
        (unit === "kg" || unit === "l" || unit.startsWith("litre") ? 1000 : 1),
      liquid: unit.startsWith("l") || unit === "ml",
    };
  });
  const named = said.find(s => s.ingredient.name.includes(what) && s.massG !== null)?.massG;
  const liquid = amounts.find(a => a.liquid)?.value;
  const solid = named ?? amounts.find(a => !a.liquid)?.value;
  if (!liquid || !solid) return null;
  return { partG: solid, allG: liquid + solid, pct: (100 * solid) / (liquid + solid) };
}

/** Salt that cannot be meant, judged on all that has gone in so far. */
function withSaltDoubts(pieces: readonly DraftPiece[]): DraftPiece[] {
  let soFar = 0;
  return pieces.map(piece => {
    const salt = piece.said.reduce(
      (sum, s) => sum + (s.ingredient.composition.salt > 90 ? (s.massG ?? 0) : 0),
      0,
    );
    soFar += piece.said.reduce((sum, s) => sum + (s.massG ?? 0), 0);
    const { warning } = salt > 0 ? saltDoubt(salt, soFar - salt) : { warning: null };
    return warning ? { ...piece, doubts: [...piece.doubts, warning.message] } : piece;
  });
}

/**
 * A formula from the pieces that were taken. The base is the heaviest thing that went in; every amount stays as said,
 * and what is still asked stands as a question on its line or step.
 * @returns `null` when nothing was taken
 */
export function formulaFromDraft(name: string, pieces: readonly DraftPiece[]): FormulaDocument | null {
  if (!pieces.length) return null;
  const heaviest = pieces
    .flatMap(p => p.said)
    .reduce<SaidIngredient | null>((a, b) => ((b.massG ?? 0) > (a?.massG ?? 0) ? b : a), null);
  const massG = heaviest?.massG ?? 1000;
  const isBase = (line: Line) =>
    heaviest &&
    "larder" in line.of &&
    line.of.larder === heaviest.ingredient.id &&
    line.amount.kind === "fixed" &&
    line.amount.massG === massG;
  const steps = pieces.map(({ step, questions }) => {
    const lines = step.lines.map(line => ({
      ...line,
      ...(isBase(line) && { amount: { kind: "share-of-base" as const, pct: 100 } }),
      ...asked(questions.filter(q => q.about === line.id)),
    }));
    const ofStep = questions.filter(q => !step.lines.some(line => line.id === q.about));
    return { ...step, lines, ...asked(ofStep) };
  }) as Step[];
  const base = { name: heaviest?.ingredient.name ?? "base", massG };
  return { ...blankFormula(name.trim() || "Dictated recipe", base), school: "as dictated", steps };
}

const MOST_ASKED = 200;
const asked = (questions: readonly DraftQuestion[]) =>
  questions.length
    ? {
        question: questions
          .map(q => q.ask)
          .join(" ")
          .slice(0, MOST_ASKED),
      }
    : {};
