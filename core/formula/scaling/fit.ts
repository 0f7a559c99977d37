import { g, printMass, printNumber } from "../../ground/quantity";
import { type Problem, type Result, type Warning, ok, refuse } from "../../ground/result";
import { geometryOfVessel } from "../../things/vessel";
import type { FormulaDocument } from "../document/document";
import type { Step } from "../steps";
import type { Kitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";
import { WalkCache } from "../walk/walk-cache";
import { withLineMass } from "./multiply";
import { LEAST_CORRECTION } from "./scaled";

/** A multiplied formula after what does not multiply has been corrected. */
export interface Fitted {
  readonly document: FormulaDocument;
  readonly walked: Walk;
  /** Why a line or a step is not as plainly multiplied, by its id. */
  readonly reasons: ReadonlyMap<string, string>;
  readonly warnings: readonly Warning[];
}

/** Problems that a smaller batch mends. */
export const SPLITS: ReadonlySet<Problem["code"]> = new Set(["NOTHING_FITS", "OVERFLOW", "BULK_ABOVE_RIM"]);

/** The multiplied formula walked, and what the fond asks of it: where both ways of scaling begin. @errors those of the walk */
export function begin(
  plain: FormulaDocument,
  kitchen: Kitchen,
  original: Walk,
  factor: number,
): Result<{ cache: WalkCache; multiplied: Walk; fond: ReturnType<typeof liftFond> }> {
  const cache = new WalkCache();
  const roomy = withRoom(plain, walk(plain, kitchen, { cache }));
  const multiplied = walk(roomy, kitchen, { cache });
  if (multiplied.problems.length) return refuse(...multiplied.problems);
  return ok({ cache, multiplied, fond: liftFond(roomy, original, multiplied, factor) });
}

/** A pot that was named for the batch as written is let go where this one runs over: the walk finds another. */
const withRoom = (document: FormulaDocument, walked: Walk): FormulaDocument => ({
  ...document,
  steps: document.steps.map((step, i) =>
    "vesselId" in step && walked.states[i]?.warnings.some(w => w.code === "OVERFLOW")
      ? ({ ...step, vesselId: undefined } as Step)
      : step,
  ),
});

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
