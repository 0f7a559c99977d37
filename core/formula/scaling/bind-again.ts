import { printNumber } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import type { Kitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";
import { type Walk, finalState } from "../walk/walked";
import { WalkCache } from "../walk/walk-cache";
import { scaleClassOf } from "../../laws/seasoning";
import type { Fitted } from "./fit";
import { withLineMass } from "./multiply";

/** Less than this, and the multiplied thickener stays. Source: docs/models.md "Scaling", step 3. */
const WORTH_CORRECTING = 0.03;
/** How far the thickener may be moved, times what multiplication says. */
const FURTHEST = 3;
const WITHIN = 1e-4;

/**
 * Thickener is recomputed, not multiplied: as much as gives the finished sauce the body it had.
 *
 * Other steam, other minutes at the simmer: the same grams a litre bind more or less. Fat that went into a roux with the
 * flour goes along.
 * Source: docs/models.md "Scaling", step 3 (06-G-3).
 */
export function bindAgain(fitted: Fitted, original: Walk, kitchen: Kitchen): Fitted {
  const wanted = finalState(original.states)?.body?.thickness;
  const starches = fitted.walked.states.flatMap(state =>
    state.lines.filter(line => {
      const ingredient = state.sources.get(line.lineId);
      return line.massG > 0 && ingredient && scaleClassOf(ingredient) === "thickener";
    }),
  );
  if (wanted === undefined || !starches.length) return fitted;
  const cache = new WalkCache();
  const at = (share: number): { document: Fitted["document"]; walked: Walk } => {
    const document = starches.reduce(
      (d, line) => withLineMass(d, line.lineId, line.massG * share, line.massG),
      fitted.document,
    );
    return { document, walked: walk(document, kitchen, { cache }) };
  };
  const gap = (share: number): number =>
    (finalState(at(share).walked.states)?.body?.thickness ?? NaN) - wanted;
  const share = bisect(gap, 1 / FURTHEST, FURTHEST, WITHIN);
  if (share === null || Math.abs(share - 1) < WORTH_CORRECTING) return fitted;
  const next = at(share);
  if (next.walked.problems.length) return fitted;
  const reasons = new Map(fitted.reasons);
  for (const line of starches)
    reasons.set(
      line.lineId,
      `${share > 1 ? "More" : "Less"} than multiplied: with other steam and other minutes the same grams would end at body ${printNumber(gap(1) + wanted)}, not ${printNumber(wanted)}.`,
    );
  return { ...fitted, ...next, reasons };
}
