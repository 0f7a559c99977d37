import { g, printKilograms, printMass, printNumber } from "../../quantity";
import { type Result, ok, refuse } from "../../result";
import { geometryOfVessel } from "../../vessel";
import type { FormulaDocument } from "../document";
import type { Kitchen } from "../kitchen";
import type { Step } from "../steps";
import type { StateAfterStep } from "../state-after";
import { type Walk, walk } from "../walk";
import { WalkCache } from "../walk-cache";
import { scaleClassOf } from "./doses";
import { multiply, withLineMass } from "./multiply";
import { LEAST_CORRECTION } from "./scaled";

/** The yield is met to this share. */
const SETTLED = 1e-6;
/** Keep time: so much more or less liquid changes what the vegetables and bones give. Source: docs/models.md "Scaling". */
const OTHER_EXTRACTION = 0.1;
const MUCH_LONGER = 1.5;

export interface Fitted {
  readonly document: FormulaDocument;
  readonly walked: Walk;
  /** By how much the liquid was changed, and why. */
  readonly liquid: number;
  readonly reasons: ReadonlyMap<string, string>;
}

/** Liquids that can be started with less or more: poured ones, and not those that lift a fond. */
const liquidLines = (walked: Walk): { lineId: string; massG: number }[] =>
  walked.states.flatMap(state =>
    state.step.kind === "deglaze" || state.step.kind === "flame"
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

/** Deglazing liquid goes with the floor of the pan, not with the batch. */
function liftFond(
  document: FormulaDocument,
  original: Walk,
  plain: Walk,
  factor: number,
): { document: FormulaDocument; reasons: Map<string, string> } {
  let next = document;
  const reasons = new Map<string, string>();
  if (document.servedAs !== "pan-sauce" || factor === 1) return { document, reasons };
  plain.states.forEach((state, i) => {
    const before = original.states[i];
    if (state.step.kind !== "deglaze" || !state.vessel || !before?.vessel) return;
    const wider =
      (geometryOfVessel(state.vessel).baseDiameterMm / geometryOfVessel(before.vessel).baseDiameterMm) ** 2;
    // One pan of fond feeds so much sauce: a larger batch lifts several and pools them.
    const pans = Math.max(1, Math.round(factor / wider));
    const fond = pans * wider;
    if (pans === 1 && Math.abs(fond / factor - 1) < LEAST_CORRECTION) return;
    for (const line of state.lines) {
      const was = before.lines.find(l => l.lineId === line.lineId);
      if (!was) continue;
      next = withLineMass(next, line.lineId, was.massG * fond, line.massG);
      reasons.set(
        line.lineId,
        `The fond goes with the floor of the pan: ${state.vessel.name} has ${printNumber(wider, 2)} times that of ${before.vessel.name}. ${pans > 1 ? `Lift ${pans} pans with ${printMass(g(was.massG * wider))} each and pool them.` : `So the liquid goes × ${printNumber(fond, 2)}, not × ${printNumber(factor, 2)}.`}`,
      );
    }
  });
  return { document: next, reasons };
}

/** Simmers as long as written: the starting liquid follows from what the new pot loses. @errors those of the walk */
export function keepTime(
  plain: FormulaDocument,
  kitchen: Kitchen,
  original: Walk,
  factor: number,
): Result<Fitted> {
  const cache = new WalkCache();
  const multiplied = walk(plain, kitchen, { cache });
  if (multiplied.problems.length) return refuse(...multiplied.problems);
  const fond = liftFond(plain, original, multiplied, factor);
  const aim = factor * original.finishedG;
  const start = fond.reasons.size ? walk(fond.document, kitchen, { cache }) : multiplied;
  const liquids = liquidLines(start);
  // Where no liquid is poured (the water that covers follows from the bones) everything goes with the yield.
  const at = (share: number): { document: FormulaDocument; walked: Walk } => {
    const document = liquids.length
      ? liquids.reduce(
          (d, line) => withLineMass(d, line.lineId, line.massG * share, line.massG),
          fond.document,
        )
      : multiply(fond.document, share);
    return { document, walked: walk(document, kitchen, { cache }) };
  };
  const made = (walked: Walk) => (walked.problems.length ? null : walked.finishedG);
  const now = made(start);
  if (now === null || Math.abs(now / aim - 1) < LEAST_CORRECTION)
    return now === null
      ? refuse(...start.problems)
      : ok({ document: fond.document, walked: start, liquid: 1, reasons: fond.reasons });
  // The yield grows with the liquid: bracket, then bisection.
  let [lo, hi] = [0.2, 1];
  for (let i = 0; i < 6 && (made(at(hi).walked) ?? Infinity) < aim; i++) [lo, hi] = [hi, hi * 1.5];
  let best = { ...at(hi), share: hi };
  for (let i = 0; i < 40; i++) {
    const share = (lo + hi) / 2;
    const tried = at(share);
    const gives = made(tried.walked);
    if (gives !== null && Math.abs(gives / aim - 1) < SETTLED) {
      best = { ...tried, share };
      break;
    }
    if (gives === null || gives > aim) hi = share;
    else lo = share;
    if (gives !== null) best = { ...tried, share };
  }
  if (best.walked.problems.length) return refuse(...best.walked.problems);
  const reasons = new Map(fond.reasons);
  const less = best.share < 1;
  for (const line of liquids)
    reasons.set(
      line.lineId,
      `${less ? "Less" : "More"} than ${printNumber(factor, 2)} times: in the new pot ${printKilograms(g(lostAsSteam(best.walked)))} leave as steam in the same time, not ${printKilograms(g(lostAsSteam(original) * factor))}.${Math.abs(best.share - 1) > OTHER_EXTRACTION ? " That changes the proportion to what draws in it: taste for strength." : ""}`,
    );
  return ok({ document: best.document, walked: best.walked, liquid: best.share, reasons });
}

const lostAsSteam = (walked: Walk): number => {
  const last = walked.states.at(-1);
  return last ? Object.values(last.pot.exits.vapour).reduce((a, b) => a + b, 0) : 0;
};

/** Steps whose written time decides what evaporates. */
const TIMED: ReadonlySet<Step["kind"]> = new Set(["simmer", "thicken", "hold"]);

/** Keeps the proportions: what simmers goes on for as long as the new surface needs. @errors those of the walk */
export function keepProportions(
  plain: FormulaDocument,
  kitchen: Kitchen,
  original: Walk,
  factor: number,
): Result<Fitted> {
  const cache = new WalkCache();
  const multiplied = walk(plain, kitchen, { cache });
  if (multiplied.problems.length) return refuse(...multiplied.problems);
  const fond = liftFond(plain, original, multiplied, factor);
  const reasons = new Map(fond.reasons);
  const steps = fond.document.steps.map((step, i): Step => {
    const [before, after] = [original.states[i], multiplied.states[i]];
    if (!TIMED.has(step.kind) || !("durationMin" in step) || !before?.vessel || !after?.vessel) return step;
    const surface = (state: StateAfterStep) =>
      state.vessel && state.levelMm !== null ? geometryOfVessel(state.vessel).surfaceMm2(state.levelMm) : 0;
    const [a0, a1] = [surface(before), surface(after)];
    if (!a0 || !a1) return step;
    const longer = (factor * a0) / a1;
    if (Math.abs(longer - 1) < LEAST_CORRECTION) return step;
    reasons.set(
      step.id,
      `${printNumber(longer, 2)} times as long: ${printNumber(factor, 2)} times the liquid over ${printNumber(a1 / a0, 2)} times the surface.${longer > MUCH_LONGER ? " So long a simmer also gives more and thins starch: taste and look earlier." : ""}`,
    );
    return { ...step, durationMin: Math.min(step.durationMin * longer, 7 * 24 * 60) };
  });
  const document = { ...fond.document, steps };
  const walked = walk(document, kitchen, { cache });
  return walked.problems.length ? refuse(...walked.problems) : ok({ document, walked, liquid: 1, reasons });
}
