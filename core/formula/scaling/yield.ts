import { type Grams, type Millilitres, g, ml, printNumber } from "../../ground/quantity";
import { halve } from "../../ground/solver/halving";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import type { FormulaDocument } from "../document/document";
import { atSize } from "./at-size";
import type { Kitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";

/**
 * Factor by the limiting ingredient: "I have 6.4 kg".
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Source: exact. @example 6.4 kg where the recipe says 7.8 kg → 0.82
 */
export function factorByIngredient(have: Grams, needed: Grams): Result<number> {
  const problems = [
    ...checkNumber(have, "haveG", "What you have"),
    ...checkNumber(needed, "neededG", "What the recipe needs", { min: 0.001, unit: "g" }),
  ];
  return problems.length ? refuse(...problems) : ok(have / needed);
}

/** Mass to make for covers: portions plus what is made over. @errors as `checkNumber` */
export function massForCovers(covers: number, portionG: Grams, overagePct: number): Result<Grams> {
  const problems = [
    ...checkNumber(covers, "covers", "Covers", { min: 1, max: 100_000 }),
    ...checkNumber(portionG, "portionG", "The portion", { min: 0.1, unit: "g" }),
    ...checkNumber(overagePct, "overagePct", "The overage", { min: 0, max: 100, unit: "%" }),
  ];
  return problems.length ? refuse(...problems) : ok(g(covers * portionG * (1 + overagePct / 100)));
}

const MOST_HALVINGS = 60;
const YIELD_TOLERANCE = 1e-5;

/**
 * Finds the base weight whose walk yields a wanted amount.
 *
 * The yield grows with the base but not in proportion (pots change, steam does not scale), so it is searched: the
 * bracket doubles until the yield is passed, then bisection to `YIELD_TOLERANCE`.
 *
 * @param wanted finished liquor: ml at 20 °C, or g
 * @errors UNREACHABLE with the largest yield that still walks, and why
 */
export function baseForYield(
  document: FormulaDocument,
  kitchen: Kitchen,
  wanted: { ml: Millilitres } | { g: Grams },
): Result<FormulaDocument> {
  const aim = "ml" in wanted ? wanted.ml : wanted.g;
  const problems = checkNumber(aim, "yield", "The wanted yield", { min: 1 });
  if (problems.length) return refuse(...problems);
  const made = (w: Walk) => ("ml" in wanted ? w.finishedMl : w.finishedG);
  const attempt = (massG: number) => {
    const scaled = atSize(document, g(massG));
    const walked = walk(scaled, kitchen);
    return { scaled, walked, yields: walked.problems.length ? null : made(walked) };
  };
  let lo = 0;
  let hi = document.base.massG;
  let best = attempt(hi);
  // Twenty doublings from the present base: a million times as much is no kitchen.
  for (let i = 0; i < 20 && best.yields !== null && best.yields < aim; i++) {
    lo = hi;
    hi *= 2;
    best = attempt(hi);
  }
  let found: FormulaDocument | null = null;
  [lo, hi] = halve(
    middle => {
      const tried = attempt(middle);
      if (tried.yields !== null && Math.abs(tried.yields / aim - 1) < YIELD_TOLERANCE) found = tried.scaled;
      return tried.yields !== null && tried.yields <= aim;
    },
    lo,
    hi,
    () => found !== null,
    MOST_HALVINGS,
  );
  if (found) return ok(found);
  const most = attempt(lo);
  const why =
    attempt(hi * 1.01).walked.problems[0]?.message ?? "another pot takes over there and the yield jumps.";
  return refuse({
    code: "UNREACHABLE",
    field: "yield",
    value: aim,
    allowed: most.yields,
    message: `This kitchen cannot make that in one batch; about ${printNumber((most.yields ?? 0) / 1000, 1)} ${"ml" in wanted ? "l" : "kg"} is the most. ${why}`,
  });
}

/** Bones for covers of a reduced jus, as cooks reckon backwards. */
export interface BonesNeeded {
  readonly finishedG: Grams;
  /** Stock before the reduction. */
  readonly strainedMl: Millilitres;
  /** Stock before straining. */
  readonly stockMl: Millilitres;
  readonly bonesG: Grams;
}

/**
 * Back from covers to bones by fixed house figures.
 *
 * @param reducedTo   share of the stock left, 0 < r ≤ 1
 * @param strainLossPct share lost in straining; added on top, as kitchens reckon
 * @param yieldMlPerKg stock per kg of bones before straining
 * @param density     of the finished jus, g/ml
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Source: arithmetic. @example 60 × 45 g, to ¼, 3 % loss, 1.25 l/kg → 8.9 kg bones
 */
export function bonesNeeded(input: {
  covers: number;
  portionG: Grams;
  overagePct: number;
  reducedTo: number;
  strainLossPct: number;
  yieldMlPerKg: number;
  density?: number;
}): Result<BonesNeeded> {
  const finished = massForCovers(input.covers, input.portionG, input.overagePct);
  const problems = [
    ...(finished.ok ? [] : finished.problems),
    ...checkNumber(input.reducedTo, "reducedTo", "The share left", { min: 0.01, max: 1 }),
    ...checkNumber(input.strainLossPct, "strainLossPct", "The straining loss", {
      min: 0,
      max: 90,
      unit: "%",
    }),
    ...checkNumber(input.yieldMlPerKg, "yieldMlPerKg", "The yield per kg", { min: 1, unit: "ml" }),
  ];
  if (!finished.ok || problems.length) return refuse(...problems);
  const strained = finished.value / (input.density ?? 1) / input.reducedTo;
  const stock = strained * (1 + input.strainLossPct / 100);
  return ok({
    finishedG: finished.value,
    strainedMl: ml(strained),
    stockMl: ml(stock),
    bonesG: g((stock / input.yieldMlPerKg) * 1000),
  });
}
