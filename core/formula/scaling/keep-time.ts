import { g, printKilograms, printNumber } from "../../ground/quantity";
import { halve } from "../../ground/solver/halving";
import { type Problem, type Result, type Warning, ok, refuse } from "../../ground/result";
import type { FormulaDocument } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import { type Step, kindOf } from "../steps";
import { walk } from "../walk/walk";
import { type Walk, finalState } from "../walk/walked";
import { scaleClassOf } from "../../laws/seasoning";
import { type Fitted, SPLITS, begin } from "./fit";
import { multiply, withLineMass } from "./multiply";
import { LEAST_CORRECTION } from "./scaled";

/** The yield is met to this share. */
const SETTLED = 1e-6;
/** So much more or less liquid changes what the vegetables and bones give. Source: docs/models.md "Scaling". */
const OTHER_EXTRACTION = 0.1;
/** A yield so far from what is asked for is told. Our estimate. */
const WORTH_SAYING = 0.02;
/** How far the liquid may be moved, times what multiplication says. */
const LEAST = 0.2;
const WIDER = 1.5;
const MOST_WIDENINGS = 6;
const MOST_HALVINGS = 40;

interface Tried {
  readonly share: number;
  readonly document: FormulaDocument;
  readonly walked: Walk;
}

/**
 * Simmers as long as written: the starting liquid follows from what the new pots lose, and where none is poured (the
 * water that covers follows from the bones) the whole formula does.
 *
 * A little less in the pot can mean another pot, and with it another yield: where that jump jumps over what is wanted,
 * the pots of one of its sides are kept. What is still missed is said.
 * @errors those of the walk
 */
export function keepTime(
  plain: FormulaDocument,
  kitchen: Kitchen,
  original: Walk,
  factor: number,
): Result<Fitted> {
  const begun = begin(plain, kitchen, original, factor);
  if (!begun.ok) return begun;
  const { cache, multiplied, fond } = begun.value;
  const aim = factor * original.finishedG;
  const start = fond.reasons.size ? walk(fond.document, kitchen, { cache }) : multiplied;
  if (start.problems.length) return refuse(...start.problems);
  if (isMet(start, aim))
    return ok({ document: fond.document, walked: start, reasons: fond.reasons, warnings: [] });

  const liquids = liquidLines(start);
  const withShare = (share: number): FormulaDocument =>
    liquids.length
      ? liquids.reduce(
          (d, line) => withLineMass(d, line.lineId, line.massG * share, line.massG),
          fond.document,
        )
      : multiply(fond.document, share);
  const inPotsOf =
    (pots: Walk | null) =>
    (share: number): Tried => {
      const document = pots ? withPots(withShare(share), pots) : withShare(share);
      return { share, document, walked: walk(document, kitchen, { cache }) };
    };
  const unbound = search(inPotsOf(null), aim);
  const sides = [unbound.above, unbound.below].filter(x => x !== null);
  const best = leastMoved(
    unbound.best && isMet(unbound.best.walked, aim)
      ? [unbound.best]
      : [...sides, ...sides.map(side => search(inPotsOf(side.walked), aim).best).filter(x => x !== null)],
    aim,
  );
  const { tooMuch } = unbound;
  if (tooMuch.length && tooMuch.every(p => SPLITS.has(p.code)) && !(best && isMet(best.walked, aim)))
    return refuse(...tooMuch);
  if (!best || nearer(start, best.walked, aim))
    return ok({
      document: fond.document,
      walked: start,
      reasons: fond.reasons,
      warnings: missed(start, aim),
    });
  const reasons = new Map([
    ...fond.reasons,
    ...(liquids.length
      ? liquids.map(({ lineId }) => [lineId, reasonFor(best, original, factor, true)] as const)
      : reasonsForAll(best, original, factor)),
  ]);
  return ok({ document: best.document, walked: best.walked, reasons, warnings: missed(best.walked, aim) });
}

const isMet = (walked: Walk, aim: number): boolean => Math.abs(walked.finishedG / aim - 1) < LEAST_CORRECTION;
const nearer = (a: Walk, b: Walk, aim: number): boolean =>
  Math.abs(a.finishedG - aim) <= Math.abs(b.finishedG - aim);

/** A yield missed counts so many times what another proportion does. Our estimate. */
const MISSED_COUNTS = 3;

/** The one that gives what is wanted with its proportions most as they were; a little less yield beats a thin stock. */
function leastMoved(all: readonly Tried[], aim: number): Tried | null {
  const off = ({ share, walked }: Tried): number =>
    MISSED_COUNTS * Math.abs(Math.log(walked.finishedG / aim)) + Math.abs(Math.log(share));
  return all.reduce<Tried | null>((best, next) => (!best || off(next) < off(best) ? next : best), null);
}

const nearest = (all: readonly Tried[], aim: number): Tried | null =>
  all.reduce<Tried | null>(
    (best, next) => (!best || !nearer(best.walked, next.walked, aim) ? next : best),
    null,
  );

/** Liquids that can be started with less or more: poured ones, and not those that lift a fond. */
const liquidLines = (walked: Walk) =>
  walked.states.flatMap(state =>
    kindOf(state.step).keepsItsLiquid
      ? []
      : state.lines.filter(line => {
          const ingredient = state.sources.get(line.lineId);
          return (
            ingredient &&
            line.massG > 0 &&
            scaleClassOf(ingredient) === "liquid" &&
            ingredient.composition.acid < 1
          );
        }),
  );

/** The yield grows with the share: a bracket, then bisection, down to the two sides of a jump if there is one. */
function search(
  at: (share: number) => Tried,
  aim: number,
): { best: Tried | null; above: Tried | null; below: Tried | null; tooMuch: readonly Problem[] } {
  let above: Tried | null = null;
  let below: Tried | null = null;
  let tooMuch: readonly Problem[] = [];
  const isLittle = (share: number): boolean => {
    const tried = at(share);
    // What cannot be made is too much for its pots.
    if (tried.walked.problems.length) {
      tooMuch = tried.walked.problems;
      return false;
    }
    const little = tried.walked.finishedG < aim;
    if (little) below = tried;
    else above = tried;
    return little;
  };
  let [lo, hi] = [LEAST, 1];
  for (let i = 0; i < MOST_WIDENINGS && isLittle(hi); i++) [lo, hi] = [hi, hi * WIDER];
  halve(isLittle, lo, hi, (a, b) => b / a - 1 <= SETTLED, MOST_HALVINGS);
  return {
    best: nearest(
      [above, below].filter(x => x !== null),
      aim,
    ),
    above,
    below,
    tooMuch,
  };
}

const namesItsPot = (step: Step): boolean => "vesselId" in kindOf(step).fields;

/** The formula with every pot named that a walk took. */
const withPots = (document: FormulaDocument, walked: Walk): FormulaDocument => ({
  ...document,
  steps: document.steps.map((step, i) => {
    const vessel = walked.states[i]?.vessel;
    return vessel && namesItsPot(step) ? ({ ...step, vesselId: vessel.id } as Step) : step;
  }),
});

function reasonFor(best: Tried, original: Walk, factor: number, poured: boolean): string {
  const words = [
    `${best.share < 1 ? "Less" : "More"} than ${printNumber(factor, 2)} times: in the new pot ${printKilograms(g(lostAsSteam(best.walked)))} leave as steam in the same time, not ${printKilograms(g(lostAsSteam(original) * factor))}${poured ? "" : `, and ${printKilograms(g(coveredBy(best.walked)))} of water cover it, not ${printKilograms(g(coveredBy(original) * factor))}`}.`,
  ];
  if (poured && Math.abs(best.share - 1) > OTHER_EXTRACTION)
    words.push("That changes the proportion to what draws in it: taste for strength.");
  return words.join(" ");
}

/** Where everything goes with the yield the heaviest line says why, and the others that they go along. */
function reasonsForAll(best: Tried, original: Walk, factor: number): [string, string][] {
  const times = factor * best.share;
  const was = new Map(original.states.flatMap(state => state.lines.map(l => [l.lineId, l.massG] as const)));
  return best.walked.states
    .flatMap(state => state.lines)
    .filter(
      ({ lineId, massG }) => Math.abs(massG / (times * (was.get(lineId) ?? NaN)) - 1) < LEAST_CORRECTION,
    )
    .sort((a, b) => b.massG - a.massG)
    .map(({ lineId }, i) => [
      lineId,
      i === 0
        ? reasonFor(best, original, factor, false)
        : `× ${printNumber(times, times < 1 ? 3 : 2)}, as all of it.`,
    ]);
}

const lostAsSteam = (walked: Walk): number => {
  const last = finalState(walked.states);
  return last ? Object.values(last.pot.exits.vapour).reduce((a, b) => a + b, 0) : 0;
};

const coveredBy = (walked: Walk): number =>
  walked.states
    .filter(state => state.step.kind === "cover")
    .flatMap(state => state.computed)
    .reduce((sum, c) => sum + (c.way === "in" ? c.massG : 0), 0);

const missed = (walked: Walk, aim: number): Warning[] =>
  Math.abs(walked.finishedG / aim - 1) < WORTH_SAYING
    ? []
    : [
        {
          code: "YIELD_MISSED",
          message: `It gives ${printKilograms(walked.finishedG)}, not the ${printKilograms(g(aim))} asked for: in these pots more or less liquid does not bring it there. Choose another pot, or take another size.`,
        },
      ];
