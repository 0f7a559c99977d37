import type { FactValues } from "../../ground/facts";
import type { Ingredient } from "../../things/larder";
import { type PotState, withoutAir } from "../../things/pot";
import { type Grams, type Millilitres, g, printMass, s } from "../../ground/quantity";
import { type Problem, type Warning, ok } from "../../ground/result";
import type { Vessel } from "../../things/vessel";
import type { Line } from "../steps/amount";
import { servedAtC } from "./body";
import type { FormulaDocument } from "../document/document";
import { type Doubts, doubtsAlong } from "./doubts";
import type { Kitchen } from "./kitchen";
import { type Ahead, looksAhead, resolveLines } from "./line-amounts";
import { productMass, productVolume } from "./product";
import { resolveSources } from "./sources";
import { stateAfter, withDoubts } from "./state-after";
import { type StateAfterStep, type Walk, finalState } from "./walked";
import type { OtherVessel, ResolvedLine } from "../steps/kind";
import { type Step, kindOf } from "../steps";
import { panOf } from "../steps/pan";
import { inField } from "../steps/shared";
import { WalkCache } from "./walk-cache";
import { paceTimes } from "./learned-pace";
import { Pots } from "./pots";

export interface WalkOptions {
  /** Keep the course of each step, for charts. */
  readonly trace?: boolean;
  /** Called before each step is worked out: lets a caller see what a step reads. */
  readonly onStep?: (index: number) => void;
  /** Formulas walked on the way here, outermost first: a cycle is refused with this path. */
  readonly path?: readonly FormulaDocument[];
  /** What earlier walks of nearly the same line worked out. */
  readonly cache?: WalkCache;
  /** Without what only the whole line can say: for walks of which nobody reads the doubts. */
  readonly plain?: boolean;
  /** Relative change of the yield at which amounts that look ahead count as found; `FOUND` unless less will do. */
  readonly found?: number;
}

/** Most passes of the fixed point for amounts per finished litre, and when it counts as found. */
const MOST_PASSES = 60;
const FOUND = 1e-9;

/** A walk under way: it goes as far as it is asked to, and no step is worked out twice. */
export interface Walking {
  /** What is known after a step; `undefined` where the walk stops before it. What only the whole line can say of it is not among its warnings yet. */
  readonly at: (index: number) => StateAfterStep | undefined;
  readonly whole: () => Walk;
}

/**
 * Walks the line: the heart of Hondaro. After every step it knows what is in the pot.
 *
 * Amounts per finished litre look ahead to the yield; they are found by fixed-point iteration, at most `MOST_PASSES`
 * passes to a relative change of `FOUND`. A step that cannot be done ends the walk: the states before it stand, and
 * `problems` says why.
 *
 * Pure and deterministic; with a cache the yield is looked for from where the walk before found it, to the same `FOUND`.
 * @errors in `problems`: those of the steps, UNKNOWN_ID for a line, CYCLE with its path, NO_CONVERGENCE names the line
 */
export const walk = (document: FormulaDocument, kitchen: Kitchen, options: WalkOptions = {}): Walk =>
  beginWalk(document, kitchen, options).whole();

/** Begins a walk that need not go to the end at once. Where an amount looks ahead to the yield, its first step needs the whole line. */
export function beginWalk(document: FormulaDocument, kitchen: Kitchen, options: WalkOptions = {}): Walking {
  const { cache = new WalkCache(), found = FOUND } = options;
  const sources = resolveSources(
    document,
    kitchen,
    options.path ?? [document],
    (other, where, path) => walk(other, where, { path, cache, found }),
    cache,
  );
  if (!sources.ok) return alreadyWalked(stopped([], sources.problems, []));
  const known = cache.sources(sources.value);
  const guess = aheadOf(document.base.massG, document.base.massG, document);
  const who = options.path === undefined ? "outermost" : document;
  const passWith = (ahead: Ahead, plain = options.plain) =>
    pass(document, kitchen, known, ahead, { ...options, cache, plain });
  const lookAhead = linesAhead(document);
  if (!lookAhead.length) return underWay(passWith(guess));
  const { walked, ahead } = findYield(
    document,
    known,
    lookAhead,
    cache.ahead(who) ?? guess,
    found,
    // What is only looked for on the way to the yield is nothing to have doubts about.
    a => toTheEnd(passWith(a, true)),
  );
  if (ahead) cache.keepAhead(who, ahead);
  return alreadyWalked(options.plain ? walked : doubted(document, walked, kitchen.facts));
}

/** Walks again and again, each time with the yield the walk before came to, until it no longer moves. */
function findYield(
  document: FormulaDocument,
  sources: ReadonlyMap<string, Ingredient>,
  lookAhead: readonly [number, Line][],
  guess: Ahead,
  found: number,
  walkWith: (ahead: Ahead) => Walk,
): { readonly walked: Walk; readonly ahead: Ahead | null } {
  let ahead = guess;
  let before: Pass | null = null;
  for (let i = 0; i < MOST_PASSES; i++) {
    const result = walkWith(ahead);
    const next = aheadOf(result.finishedMl, result.finishedG, document);
    const settled = (["litres", "kg", "portions"] as const).every(
      what => Math.abs(next[what] - ahead[what]) <= found * Math.max(1, next[what]),
    );
    if (result.problems.length || settled) return { walked: result, ahead: settled ? ahead : null };
    const was = before;
    before = { ahead, next };
    ahead = was ? extrapolated(was, before) : next;
  }
  const [stepIndex = 0, line] = lookAhead[0] ?? [];
  const problems: Problem[] = [
    {
      code: "NO_CONVERGENCE",
      field: `steps.${stepIndex}.lines`,
      value: line?.id,
      message: `“${line ? sources.get(line.id)?.name : "A line"}” counted on the yield grows faster than the yield does. Type a smaller amount, or grams.`,
    },
  ];
  return { walked: stopped([], problems, []), ahead: null };
}

/** A guess of the yield, and the yield the walk with it came to. */
interface Pass {
  readonly ahead: Ahead;
  readonly next: Ahead;
}

/** Steeper than this a yield answers to its guess too strongly to look further than the walk itself did. */
const STEEPEST = 0.9;

/** Where two walks point to: by the secant of each figure, so that the yield is found in three or four walks. */
function extrapolated(was: Pass, now: Pass): Ahead {
  const of = (what: keyof Ahead): number => {
    const moved = now.ahead[what] - was.ahead[what];
    const slope = moved === 0 ? 0 : (now.next[what] - was.next[what]) / moved;
    const towards = now.next[what] - now.ahead[what];
    return Math.abs(slope) < STEEPEST ? now.ahead[what] + towards / (1 - slope) : now.next[what];
  };
  return { litres: of("litres"), kg: of("kg"), portions: of("portions") };
}

const alreadyWalked = (walked: Walk): Walking => ({ at: index => walked.states[index], whole: () => walked });

function toTheEnd(steps: Generator<StateAfterStep, Walk>): Walk {
  let next = steps.next();
  while (!next.done) next = steps.next();
  return next.value;
}

function underWay(steps: Generator<StateAfterStep, Walk>): Walking {
  const states: StateAfterStep[] = [];
  let end: Walk | null = null;
  const on = () => {
    const next = steps.next();
    if (next.done) end = next.value;
    else states.push(next.value);
  };
  return {
    at: index => {
      while (!end && states.length <= index) on();
      return states[index];
    },
    whole: () => {
      while (!end) on();
      return end;
    },
  };
}

const aheadOf = (finishedMl: number, finishedG: number, document: FormulaDocument): Ahead => ({
  litres: finishedMl / 1000,
  kg: finishedG / 1000,
  portions: finishedG / document.portionG,
});

const linesAhead = (document: FormulaDocument): [number, Line][] =>
  document.steps.flatMap((step, i) =>
    step.lines.filter(l => looksAhead(l.amount, document)).map((l): [number, Line] => [i, l]),
  );

function stopped(
  states: readonly StateAfterStep[],
  problems: readonly Problem[],
  ingredients: readonly Ingredient[],
): Walk {
  const last = finalState(states);
  return {
    states,
    problems,
    finishedMl: last ? productVolume(last.pot) : (0 as Millilitres),
    finishedG: last ? productMass(last.pot) : g(0),
    totalS: s(Math.max(0, ...states.map(state => state.clockS))),
    ingredients,
  };
}

/** A walk with what only the whole line can say of each step. */
function doubted(document: FormulaDocument, walked: Walk, facts: FactValues): Walk {
  const doubts = new Map<StateAfterStep, Doubts>();
  // Each vessel has its own line: what went before in another pan says nothing of this one.
  for (const pan of new Set(walked.states.map(({ step }) => panOf(step)))) {
    const along = walked.states.filter(({ step }) => panOf(step) === pan);
    const line = { ...document, steps: document.steps.filter(step => panOf(step) === pan) };
    doubtsAlong(line, along, facts, pan === "").forEach((of, i) =>
      doubts.set(along[i] as StateAfterStep, of),
    );
  }
  return {
    ...walked,
    states: walked.states.map(state => {
      const more = doubts.get(state);
      return more && (more.warnings.length || more.broken)
        ? withDoubts(state, more.warnings, more.broken)
        : state;
    }),
  };
}

/** Says at the last step of a second pan what nobody brought in from it. */
function withLeftOver(walked: Walk, pots: Pots): Walk {
  const left = new Map(pots.leftOver().map(({ name, massG }) => [name, massG]));
  if (!left.size) return walked;
  const states = [...walked.states];
  for (const [name, massG] of left) {
    const at = states.findLastIndex(
      ({ step }) => panOf(step) === name || kindOf(step).touches?.(step) === name,
    );
    const state = states[at];
    if (state)
      states[at] = withDoubts(
        state,
        [
          {
            code: "LEFT_IN_PAN",
            message: `${printMass(g(massG))} stay in the ${name} and are not in the sauce. Bring them in, or serve them beside it.`,
          },
        ],
        false,
      );
  }
  return { ...walked, states };
}

/** One walk with a given guess of the yield, step by step. */
function* pass(
  document: FormulaDocument,
  kitchen: Kitchen,
  sources: ReadonlyMap<string, Ingredient>,
  ahead: Ahead,
  options: WalkOptions & { readonly cache: WalkCache },
): Generator<StateAfterStep, Walk> {
  const states: StateAfterStep[] = [];
  const used = new Map<string, Ingredient>();
  const solved = new Map<string, Grams>();
  const trace = options.trace ?? false;
  const pots = new Pots(kitchen);
  let cost = 0;
  const servedC = servedAtC(document);
  const end = (problems: readonly Problem[]): Walk => {
    const walked = stopped(states, problems, [...used.values()]);
    if (options.plain) return walked;
    return doubted(document, problems.length ? walked : withLeftOver(walked, pots), kitchen.facts);
  };
  for (const [index, step] of document.steps.entries()) {
    const field = `steps.${index}`;
    options.onStep?.(index);
    const place = pots.place(step);
    const { pot, vessel, elsewhere, taken } = place;
    const resolved = resolveLines(step.lines, pot.liquor, { document, sources, ahead, solved }, field);
    if (!resolved.ok) return end(resolved.problems);
    const lines = resolved.value;
    const done: ReturnType<typeof applyStep> = options.cache.step(
      { step, pot, vessel, lines, other: elsewhere?.pot ?? null, trace },
      place.kitchen,
      () => applyStep(step, { pot, vessel, lines, elsewhere, taken, kitchen: place.kitchen, field, trace }),
    );
    if (!done.ok) return end(inField(field, done.problems));
    for (const line of lines) used.set(line.ingredient.id, line.ingredient);
    for (const computed of done.value.computed) {
      const ingredient = computed.ingredientId
        ? kitchen.ingredientById.get(computed.ingredientId)
        : undefined;
      if (ingredient) used.set(ingredient.id, ingredient);
    }
    const from = { clockS: place.clockS, cost, baseG: document.base.massG, servedC, family: document.family };
    const outcome = done.value;
    const state = options.cache.state(step.id, outcome, sources, from, () =>
      stateAfter(step, outcome, lines, resolved.warnings, sources, from, kitchen),
    );
    states.push(state);
    pots.put(step, outcome, state.clockS);
    cost = state.cost;
    yield state;
  }
  return end([]);
}

/** Applies one step to a pot, as planned or as it really stands. */
export function applyStep(
  step: Step,
  where: {
    readonly pot: PotState;
    readonly vessel: Vessel | null;
    readonly lines: readonly ResolvedLine[];
    readonly elsewhere?: OtherVessel | null;
    readonly taken?: ReadonlyMap<string, string>;
    readonly kitchen: Kitchen;
    readonly field: string;
    readonly trace: boolean;
  },
) {
  const { kitchen } = where;
  const kind = kindOf(step);
  const done = kind.apply({
    step,
    pot: where.pot,
    vessel: where.vessel,
    lines: where.lines,
    vessels: kitchen.vessels,
    burner: kitchen.burner,
    burners: kitchen.burners,
    ovenTrays: kitchen.ovenTrays,
    around: kitchen.around,
    facts: kitchen.facts,
    paceOf: (burnerId, vesselId) => paceTimes(kitchen.learnedPace, burnerId, vesselId),
    elsewhere: where.elsewhere ?? null,
    taken: where.taken ?? NONE_TAKEN,
    ingredientById: id => kitchen.ingredientById.get(id),
    trace: where.trace,
    field: where.field,
  });
  if (!done.ok || kind.keepsAir || done.value.pot.natures.airMl === 0) return done;
  const { pot, warnings } = done.value;
  return ok({
    ...done.value,
    pot: { ...pot, natures: withoutAir(pot.natures) },
    warnings: [...warnings, AIR_GOES],
  });
}

const NONE_TAKEN: ReadonlyMap<string, string> = new Map();

const AIR_GOES: Warning = {
  code: "AIR_GOES",
  message: "What was beaten in as air goes here again: whip after it.",
};
