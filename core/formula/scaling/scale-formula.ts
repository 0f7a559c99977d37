import { g, printNumber } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { geometryOfVessel } from "../../things/vessel";
import type { FormulaDocument } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import { displacedIn } from "../steps/shared";
import type { StateAfterStep } from "../walk/walked";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";
import { WalkCache } from "../walk/walk-cache";
import { bindAgain } from "./bind-again";
import { SPLITS } from "./fit";
import { keepProportions } from "./keep-proportions";
import { keepTime } from "./keep-time";
import { multiply } from "./multiply";
import { report } from "./report";
import type { ScalePolicy, ScaleTo, Scaled } from "./scaled";
import { massForCovers } from "./yield";

/** Factors a recipe can be taken by, and those beyond which a small batch is made first. Source: docs/models.md "Scaling". */
const FACTORS = { min: 0.05, max: 200 } as const;
const USUAL_FACTORS = { min: 0.25, max: 20 } as const;
const MOST_BATCHES = 40;

/**
 * Scales a formula without the errors plain multiplication makes.
 *
 * The pots are chosen anew, what evaporates is found by the walk in the new pot, the starting liquid follows so that
 * the yield is as wanted; lifted fond goes with the pan's floor; strong seasoning goes in by steps; what no pot takes
 * is split. Every correction says why.
 *
 * @errors those of the walk · OUT_OF_RANGE a factor outside 0.05–200 · UNKNOWN_ID · NOTHING_FITS even split
 * Source: docs/models.md "Scaling".
 */
export function scaleFormula(
  document: FormulaDocument,
  kitchen: Kitchen,
  to: ScaleTo,
  policy: ScalePolicy = "keep time",
): Result<Scaled> {
  const cache = new WalkCache();
  const original = walk(document, kitchen, { cache });
  if (original.problems.length) return refuse(...original.problems);
  const factor = factorFor(document, kitchen, original, to);
  if (!factor.ok) return factor;
  const problems = checkNumber(factor.value, "factor", "The factor", FACTORS);
  if (problems.length) return refuse(...problems);
  const warnings: Warning[] = [];
  if (factor.value < USUAL_FACTORS.min || factor.value > USUAL_FACTORS.max)
    warnings.push({
      code: "FAR_SCALED",
      message: `× ${printNumber(factor.value, 2)} is far from what was tried: make a small batch of it first.`,
    });

  for (let batches = 1; batches <= MOST_BATCHES; batches++) {
    const each = factor.value / batches;
    const plain = multiply(document, each);
    const fitted =
      policy === "keep time"
        ? keepTime(plain, kitchen, original, each)
        : keepProportions(plain, kitchen, original, each);
    if (!fitted.ok) {
      if (fitted.problems.every(p => SPLITS.has(p.code)) && batches < MOST_BATCHES) continue;
      return fitted;
    }
    const bound = bindAgain(fitted.value, original, kitchen);
    return ok(report({ kitchen, original, factor: factor.value, batches, fitted: bound, warnings }));
  }
  return refuse({
    code: "NOTHING_FITS",
    field: "vessel",
    message: "Even in forty batches no pot takes this.",
  });
}

function factorFor(document: FormulaDocument, kitchen: Kitchen, original: Walk, to: ScaleTo): Result<number> {
  const over = (wanted: number, now: number, field: string): Result<number> => {
    const problems = checkNumber(wanted, field, "What is wanted", { min: 1e-6 });
    if (problems.length) return refuse(...problems);
    return now > 0
      ? ok(wanted / now)
      : refuse({ code: "EMPTY", field, message: "This formula gives nothing yet: finish its line first." });
  };
  switch (to.by) {
    case "factor":
      return over(to.factor, 1, "factor");
    case "base":
      return over(to.massG, document.base.massG, "massG");
    case "finished":
      return over(to.massG, original.finishedG, "massG");
    case "litres":
      return over(to.volumeMl, original.finishedMl, "volumeMl");
    case "covers": {
      const mass = massForCovers(to.covers, g(to.portionG), to.overagePct);
      return mass.ok ? over(mass.value, original.finishedG, "covers") : mass;
    }
    case "line": {
      const line = original.states.flatMap(s => s.lines).find(l => l.lineId === to.lineId);
      return line
        ? over(to.haveG, line.massG, "haveG")
        : refuse({
            code: "UNKNOWN_ID",
            field: "lineId",
            value: to.lineId,
            message: "That line is not in this formula any more.",
          });
    }
    case "vessel": {
      const vessel = kitchen.vessels.find(v => v.id === to.vesselId);
      if (!vessel)
        return refuse({
          code: "UNKNOWN_ID",
          field: "vesselId",
          value: to.vesselId,
          message: "This kitchen has no such pot any more.",
        });
      const fullest = Math.max(...original.states.map(state => inPotMl(state, kitchen)));
      return over(POT_FILL * geometryOfVessel(vessel).capacityMl, fullest, "vesselId");
    }
  }
}

/** How full a pot is planned to be at its fullest. Common practice, no source. */
const POT_FILL = 0.8;

const inPotMl = (state: StateAfterStep, kitchen: Kitchen): number =>
  (state.volumeMl ?? 0) + displacedIn(state.pot, kitchen.facts);
