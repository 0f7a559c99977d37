import {
  type FigureId,
  type FormulaDocument,
  type Kitchen,
  type KitchenData,
  type StateAfterStep,
  type Walk,
  type Walking,
  WalkCache,
  beginWalk,
  openKitchen,
  panOf,
} from "~/core/formula";
import type { Problem, Warning } from "~/core/ground/result";
import { largestOf } from "./threads";

/** What a row of the line is drawn from. */
export interface RowNow {
  readonly state: StateAfterStep | undefined;
  /** Its vessel before it. */
  readonly before: StateAfterStep | undefined;
  /** For a step in a second pan, the main pot meanwhile. */
  readonly beside: StateAfterStep | undefined;
  readonly problems: readonly Problem[];
  /** What the whole line says of this step, beyond what the step says of itself. */
  readonly doubts: readonly Warning[];
}

/** A document and what is known of it: the kitchen it is cooked in, and its walk. */
export interface LineNow {
  readonly document: FormulaDocument;
  readonly kitchen: Kitchen;
  readonly walked: Walk;
  /** One row; of the line, only what comes before it need have been walked. */
  readonly row: (index: number) => RowNow;
  /** What the thickest thread of a figure stands for. */
  readonly largest: (figure: FigureId) => number;
}

/** The rows in view, the page around them and the rows out of view may each stand at a document of their own. */
const KEPT = 3;

/**
 * Walks the documents of one formula, each once, from what was known of the one before, and no further than it is
 * looked at. What only the whole line can say (doubts, the scale of the threads) stays what it was until somebody asks
 * for the whole.
 */
export function lineReader(
  kitchenData: KitchenData,
  burnerId: string,
  formulaId: string,
): (document: FormulaDocument) => LineNow {
  const opened = openKitchen(kitchenData, {}, burnerId);
  const cache = new WalkCache();
  let known: readonly LineNow[] = [];
  let whole: WholeLine | null = null;
  return document => {
    const before = known.find(now => now.document === document);
    if (before) {
      // What is still looked at outlives what was typed over.
      known = [before, ...known.filter(now => now !== before)];
      return before;
    }
    const kitchen = { ...opened, data: withFormula(kitchenData, formulaId, document) };
    const walking = beginWalk(document, kitchen, { trace: true, cache });
    let mine: WholeLine | null = null;
    const stateOf = (index: number, pan: string) =>
      walking.at(document.steps.findLastIndex((step, i) => i < index && panOf(step) === pan));
    const toTheEnd = () => (whole = mine ??= wholeLine(walking));
    const asKnown = () => mine ?? whole ?? toTheEnd();
    const now: LineNow = {
      document,
      kitchen,
      get walked() {
        return toTheEnd().walked;
      },
      row: index => {
        const state = walking.at(index);
        return {
          state,
          before: stateOf(index, panOf(document.steps[index] ?? {})),
          beside: panOf(document.steps[index] ?? {}) ? stateOf(index, "") : undefined,
          // A row that is not reached says why.
          problems: state ? NONE : problemsAt(toTheEnd().walked, index),
          doubts: (state && asKnown().doubts.get(state.step.id)) ?? NONE,
        };
      },
      largest: figure => asKnown().largest(figure),
    };
    known = [now, ...known.slice(0, KEPT - 1)];
    return now;
  };
}

const NONE: readonly never[] = [];

const withFormula = (data: KitchenData, id: string, document: FormulaDocument): KitchenData => ({
  ...data,
  formulas: { ...data.formulas, [id]: document },
});

/** What only a line walked to its end can say. */
interface WholeLine {
  readonly walked: Walk;
  readonly doubts: ReadonlyMap<string, readonly Warning[]>;
  readonly largest: (figure: FigureId) => number;
}

function wholeLine(walking: Walking): WholeLine {
  const walked = walking.whole();
  const largest = new Map<FigureId, number>();
  return {
    walked,
    doubts: new Map(
      walked.states.map((state, i) => [state.step.id, state.warnings.slice(walking.at(i)?.warnings.length)]),
    ),
    largest: figure => {
      const found = largest.get(figure) ?? largestOf(walked, figure);
      largest.set(figure, found);
      return found;
    },
  };
}

/** What stopped the walk at a step. */
const problemsAt = (walked: Walk, index: number): readonly Problem[] =>
  walked.problems.filter(
    p =>
      `${p.field}.`.startsWith(`steps.${index}.`) ||
      (index === walked.states.length && !p.field.startsWith("steps.")),
  );
