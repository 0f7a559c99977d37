import { printNumber } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { geometryOfVessel } from "../../things/vessel";
import type { FormulaDocument } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import type { StateAfterStep } from "../walk/walked";
import { LONGEST_STEP_MIN } from "../steps/field";
import { type Step, kindOf } from "../steps";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";
import { type Fitted, begin } from "./fit";
import { LEAST_CORRECTION } from "./scaled";

const MUCH_LONGER = 1.5;

/** Keeps the proportions: what simmers goes on for as long as the new surface needs. @errors those of the walk */
export function keepProportions(
  plain: FormulaDocument,
  kitchen: Kitchen,
  original: Walk,
  factor: number,
): Result<Fitted> {
  const begun = begin(plain, kitchen, original, factor);
  if (!begun.ok) return begun;
  const { cache, multiplied, fond } = begun.value;
  const reasons = new Map(fond.reasons);
  const steps = fond.document.steps.map((step, i): Step => {
    const [before, after] = [original.states[i], multiplied.states[i]];
    const byTheClock = kindOf(step).steams === "by the clock" && "durationMin" in step;
    if (!byTheClock || step.durationMin === undefined || !before?.vessel || !after?.vessel) return step;
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
    return { ...step, durationMin: Math.min(step.durationMin * longer, LONGEST_STEP_MIN) };
  });
  const document = { ...fond.document, steps };
  const walked = walk(document, kitchen, { cache });
  return walked.problems.length
    ? refuse(...walked.problems)
    : ok({ document, walked, reasons, warnings: [] });
}
