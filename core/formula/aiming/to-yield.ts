import type { Line } from "../steps/amount";
import { type FormulaDocument, linesOf } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import { multiply } from "../scaling/multiply";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";
import type { WalkCache } from "../walk/walk-cache";

/** The formula is multiplied at most so often, to this share of its yield; the rest is for the programme. */
const MOST_ROUNDS = 12;
const THERE = 1e-4;

/** The whole formula at the yield that is wanted; as it is where none is, where limits are set, or where no pot takes it. */
export function toYield(
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
  cache: WalkCache,
): FormulaDocument {
  const target = document.targets.find(t => t.what === "finishedG" || t.what === "portions");
  if (!target || linesOf(document).some(isLimited)) return document;
  const wanted = target.what === "portions" ? target.value * document.portionG : target.value;
  let factor = 1;
  let made: number = walked.finishedG;
  for (let i = 0; i < MOST_ROUNDS && made > 0 && Math.abs(made / wanted - 1) > THERE; i++) {
    factor *= wanted / made;
    const tried = walk(multiply(document, factor), kitchen, { cache });
    if (tried.problems.length) return document;
    made = tried.finishedG;
  }
  // The wishes are what they were: only the batch is another.
  return { ...multiply(document, factor), targets: document.targets };
}

/** Whether a line has limits to move between, and moves by itself. */
export const isLimited = (line: Line): boolean =>
  line.bounds !== undefined && line.bounds.maxG > line.bounds.minG && hasAmountOfItsOwn(line);
/** A line that does not follow from an aim or from another. */
export const hasAmountOfItsOwn = (line: Line): boolean =>
  line.amount.kind !== "to-reach" && line.amount.kind !== "equal-to";
