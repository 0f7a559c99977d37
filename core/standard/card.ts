import {
  HANDS_ON,
  type FormulaDocument,
  type Kitchen,
  type PortionNutrition,
  type StateAfterStep,
  type StepIntervals,
  type Walk,
  cautionsAt,
  keepsDays,
  detailOf,
  titleWithPan,
  kindOf,
  labelOf,
  misnamed,
  namesIn,
  nutritionPerPortion,
  relationInWords,
  shareLeft,
  vesselPath,
  walk,
} from "../formula";
import { houseTermsIn } from "../words";
import type { Density, Grams, Millilitres, Seconds } from "../ground/quantity";
import { g, s } from "../ground/quantity";
import { firstDose } from "../laws/seasoning";
import { letDown } from "../things/house";
import { ALLERGENS, densityOf } from "../things/larder";
import type { Pools } from "../things/pot";
import { type DipMark, type Vessel, grossTarget } from "../things/vessel";

/** Something that is weighed in. */
export interface CardLine {
  readonly lineId: string;
  readonly name: string;
  readonly massG: Grams;
  /** What must be bought for it; absent where that is the same. */
  readonly purchasedG?: Grams;
  /** How it follows from the rest: "2 % of the base"; empty for an amount of its own. */
  readonly relation: string;
  readonly assumed: boolean;
  /** What of it goes in before the first taste; absent where all of it does. */
  readonly firstG?: Grams;
  readonly densityGPerMl: Density | undefined;
}

/** Something the step works out and that goes in: the water that covers. */
export interface CardComputed {
  readonly what: string;
  readonly massG: Grams;
}

/** Where a step ends, on the stick and on the scale. */
export interface CardStop {
  readonly markMm: number;
  readonly grossG: Grams;
  readonly vesselName: string;
}

export interface CardStep {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  readonly remark?: string;
  readonly why?: string;
  readonly question?: string;
  /** How a cook sees that it is there; empty where the step has no sign of its own. */
  readonly cue: string;
  readonly cautions: readonly string[];
  readonly lines: readonly CardLine[];
  readonly goesIn: readonly CardComputed[];
  /** `null` for a step the walk did not come to. */
  readonly durationS: Seconds | null;
  readonly stop: CardStop | null;
  /** 90 % limits, where they are known. */
  readonly interval: StepIntervals | undefined;
}

/** A pot drawn to scale, for a step that ends at a mark or covers something. */
export interface CardMark {
  readonly stepId: string;
  /** Counted from 1. */
  readonly step: number;
  readonly vessel: Vessel;
  readonly mark: DipMark | undefined;
  readonly levelMm: number | null;
  readonly bulkMm: number;
  readonly liquor: Pools;
}

/** All that a standard recipe says at one size. A page, a print, a text only draw it. */
export interface Card {
  readonly name: string;
  readonly school: string;
  readonly base: { readonly name: string; readonly massG: Grams };
  readonly finishedMl: Millilitres;
  readonly finishedG: Grams;
  readonly totalS: Seconds;
  /** 90 % limits at the end of the line, where they are known. */
  readonly end: StepIntervals | undefined;
  /** Of which somebody stands at it; the rest goes by itself. */
  readonly handsOnS: Seconds;
  readonly portionG: Grams;
  readonly portions: number;
  /** Pots and pans in the order they are taken, each once. */
  readonly equipment: readonly string[];
  /** What must be reached or kept, and is written down: cooling, holding. */
  readonly limits: readonly string[];
  /** Why it cannot be made as it stands. */
  readonly problems: readonly string[];
  readonly steps: readonly CardStep[];
  readonly marks: readonly CardMark[];
  readonly label: {
    /** In words; `null` where something has none entered. */
    readonly allergens: readonly string[] | null;
    readonly notEntered: readonly string[];
    readonly diet: readonly string[];
    /** What guests are told about its egg. */
    readonly guests: string | null;
    /** Why it may not bear its name. */
    readonly wrongName: string | null;
  };
  readonly keeps: { readonly days: number; readonly atC: number; readonly words: string };
  /** How it gives its base back; `null` where nothing was reduced. */
  readonly letDown: { readonly times: number; readonly waterParts: number } | null;
  /** What a portion brings, by composition; `null` while nothing comes out. */
  readonly nutrition: PortionNutrition | null;
  /** Words of its name that this house has settled for itself, with what they mean here. */
  readonly houseTerms: readonly string[];
  readonly notes: string;
}

/** Steps whose end a kitchen writes down. */
const LIMITS: ReadonlySet<string> = new Set(["cool", "hold", "freeze", "thaw", "reheat"]);

/**
 * The card of a formula at the size it has.
 *
 * @param kitchen   what it is walked in: the kitchen it was kept in, or that of today
 * @param intervals 90 % limits step by step; empty where nobody has worked them out
 * @param times     how many times the recipe this size is
 */
export function cardOf(
  document: FormulaDocument,
  kitchen: Kitchen,
  intervals: readonly StepIntervals[] = [],
  walked: Walk = walk(document, kitchen),
  times = 1,
): Card {
  const label = labelOf(walked);
  const left = shareLeft(walked);
  return {
    name: document.name,
    school: document.school,
    base: { name: document.base.name, massG: g(document.base.massG) },
    finishedMl: walked.finishedMl,
    finishedG: walked.finishedG,
    totalS: walked.totalS,
    end: intervals.at(-1),
    handsOnS: s(
      walked.states.reduce((sum, state) => sum + HANDS_ON[kindOf(state.step).attention] * state.durationS, 0),
    ),
    equipment: [...new Set(vesselPath(walked).path.map(of => of.name))],
    limits: document.steps.flatMap((step, i) =>
      LIMITS.has(step.kind) ? [`${titleWithPan(step, [])} ${detailOf(step, walked.states[i])}`.trim()] : [],
    ),
    portionG: g(document.portionG),
    portions: Math.floor(walked.finishedG / document.portionG),
    problems: walked.problems.map(problem => problem.message),
    steps: document.steps.map((_, i) =>
      stepOf(document, i, walked.states[i], intervals[i], firstDoses(walked, i, times), kitchen),
    ),
    marks: walked.states.flatMap(markOf),
    label: {
      allergens: label.known ? label.allergens.map(a => ALLERGENS[a]) : null,
      notEntered: label.notEntered,
      diet: label.diet,
      guests: label.egg,
      wrongName: misnamed(document, walked),
    },
    keeps: {
      days: keepsDays(document, walked, kitchen.facts),
      atC: document.storage.keepC,
      words: document.storage.words,
    },
    letDown: left === null ? null : letDown(left),
    nutrition: nutritionPerPortion(document, walked),
    houseTerms: houseTermsIn(document.name, kitchen.data.house),
    notes: document.notes,
  };
}

function stepOf(
  document: FormulaDocument,
  index: number,
  state: StateAfterStep | undefined,
  interval: StepIntervals | undefined,
  firstOf: ReadonlyMap<string, Grams>,
  { data: { house } }: Pick<Kitchen, "data">,
): CardStep {
  const step = document.steps[index] as FormulaDocument["steps"][number];
  const kind = kindOf(step);
  const { mark, vessel } = state ?? {};
  return {
    id: step.id,
    title: titleWithPan(step, state?.lines.map(line => line.name) ?? []),
    detail: detailOf(step, state),
    remark: step.remark,
    why: step.why ?? kind.why,
    question: step.question,
    cue: step.cue ?? kind.cue,
    cautions: state ? cautionsAt(state, house) : kind.cautions(step, house.coolingProfile),
    lines: state?.lines.map(line => lineOf(document, state, line, firstOf.get(line.lineId))) ?? [],
    goesIn: state?.computed.filter(c => c.way === "in") ?? [],
    durationS: state?.durationS ?? null,
    stop:
      state && mark && vessel
        ? { markMm: mark.markMm, grossG: grossTarget(g(vessel.tareG), state.massG), vesselName: vessel.name }
        : null,
    interval,
  };
}

/** What of the lines of a step goes in before the first taste: of those where it is not all. */
function firstDoses(walked: Walk, index: number, times: number): ReadonlyMap<string, Grams> {
  const state = walked.states[index];
  const wholeG = Math.max(0, ...walked.states.slice(index).map(s => s.massG));
  return new Map(
    state?.lines.flatMap(line => {
      const source = state.sources.get(line.lineId);
      const first = source && firstDose(source, line.massG, wholeG, times);
      return first ? [[line.lineId, g(first.massG)] as const] : [];
    }) ?? [],
  );
}

/** Less trim than this is none. */
const LEAST_TRIM_G = 0.5;

function lineOf(
  document: FormulaDocument,
  state: StateAfterStep,
  line: StateAfterStep["lines"][number],
  firstG: Grams | undefined,
): CardLine {
  const amount = state.step.lines.find(l => l.id === line.lineId)?.amount;
  const source = state.sources.get(line.lineId);
  return {
    lineId: line.lineId,
    name: line.name,
    massG: line.massG,
    ...(line.purchasedG - line.massG > LEAST_TRIM_G && { purchasedG: line.purchasedG }),
    relation: amount ? relationInWords(amount, namesIn(document, state)) : "",
    assumed: line.certainty === "assumed",
    ...(firstG !== undefined && { firstG }),
    densityGPerMl: source && densityOf(source),
  };
}

function markOf(state: StateAfterStep, index: number): CardMark[] {
  const { vessel, mark, pot, step } = state;
  if (!vessel || vessel.use === "tray") return [];
  if (!mark && !kindOf(step).endsAtMark) return [];
  if (!mark && state.bulkLevelMm === undefined) return [];
  return [
    {
      stepId: step.id,
      step: index + 1,
      vessel,
      mark,
      levelMm: state.levelMm,
      bulkMm: pot.solids.length ? (state.bulkLevelMm ?? 0) : 0,
      liquor: pot.liquor,
    },
  ];
}
