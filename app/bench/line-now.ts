import {
  type FigureId,
  type FormulaDocument,
  type Kitchen,
  type KitchenData,
  type Walk,
  WalkCache,
  openKitchen,
  walk,
} from "~/core/formula";
import { largestOf } from "./threads";

/** A document and what is known of it: the kitchen it is cooked in, and its walk. */
export interface LineNow {
  readonly document: FormulaDocument;
  readonly kitchen: Kitchen;
  readonly walked: Walk;
  /** What the thickest thread of a figure stands for. */
  readonly largest: (figure: FigureId) => number;
}

/** The rows in view, the page around them and the rows out of view may each stand at a document of their own. */
const KEPT = 3;

/** Walks the documents of one formula, each once, and from what was known of the one before. */
export function lineReader(
  kitchenData: KitchenData,
  burnerId: string,
  formulaId: string,
): (document: FormulaDocument) => LineNow {
  const opened = openKitchen(kitchenData, {}, burnerId);
  const cache = new WalkCache();
  let known: readonly LineNow[] = [];
  return document => {
    const before = known.find(now => now.document === document);
    if (before) return before;
    const now = lineNow(document, { ...opened, data: withFormula(kitchenData, formulaId, document) }, cache);
    known = [now, ...known.slice(0, KEPT - 1)];
    return now;
  };
}

const withFormula = (data: KitchenData, id: string, document: FormulaDocument): KitchenData => ({
  ...data,
  formulas: { ...data.formulas, [id]: document },
});

function lineNow(document: FormulaDocument, kitchen: Kitchen, cache: WalkCache): LineNow {
  const walked = walk(document, kitchen, { trace: true, cache });
  const largest = new Map<FigureId, number>();
  return {
    document,
    kitchen,
    walked,
    largest: figure => {
      const found = largest.get(figure) ?? largestOf(walked, figure);
      largest.set(figure, found);
      return found;
    },
  };
}
