import { massOfPools } from "../../things/pot";
import { g, printMass, printNumber } from "../../ground/quantity";
import type { HardRow, LinearProblem, SoftRow, Variable } from "../../ground/solver";
import type { Reachable } from "../steps/amount";
import type { FormulaDocument, FormulaTarget } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import { reachOf } from "../walk/line-amounts";
import { productOf } from "../walk/product";
import { withLineMass } from "../scaling/multiply";
import { walk } from "../walk/walk";
import { type Walk, finalState } from "../walk/walked";
import type { WalkCache } from "../walk/walk-cache";

/** Misses cost by what they are: salt shows first on the tongue. Source: docs/models.md "Working backwards". */
const WEIGHT: Readonly<Record<string, number>> = { salt: 10, body: 8, fat: 5, acid: 3, sugar: 3, brix: 5 };
/** A line with next to nothing in it may still grow to this share of the batch. */
export const FROM_NOTHING = 0.05;
const STEP = 0.01;
/** How near the programme brings a yield, as a share of it. */
const YIELD_TO = 1e-4;
/** How far one round may move a line: the walk is only nearly linear. */
const TRUST = 3;

/** Grams of a line in a walk; 0 where it is not reached. */
export const massIn = (walked: Walk, lineId: string): number =>
  walked.states.flatMap(s => s.lines).find(l => l.lineId === lineId)?.massG ?? 0;

/** What the targets speak of, in grams of the finished product, its °Brix and its money. */
interface Outputs {
  readonly massG: number;
  readonly brix: number;
  readonly body: number;
  readonly cost: number;
  readonly parts: Readonly<Record<Exclude<Reachable, "brix">, number>>;
}

function outputsOf(walked: Walk): Outputs {
  const last = finalState(walked.states);
  if (!last) return { massG: 0, brix: 0, body: 0, cost: 0, parts: { salt: 0, sugar: 0, acid: 0, fat: 0 } };
  const pools = productOf(last.pot);
  const massG = massOfPools(pools);
  const part = (what: Exclude<Reachable, "brix">) => (reachOf(pools, what) * massG) / 100;
  return {
    massG,
    brix: reachOf(pools, "brix"),
    body: last.body?.thickness ?? 0,
    cost: last.cost,
    parts: { salt: part("salt"), sugar: part("sugar"), acid: part("acid"), fat: part("fat") },
  };
}

/** What a target stands at. */
export function valueOfTarget(target: FormulaTarget, document: FormulaDocument, walked: Walk): number {
  const out = outputsOf(walked);
  switch (target.what) {
    case "finishedG":
      return out.massG;
    case "portions":
      return out.massG / document.portionG;
    case "cost":
      return out.cost;
    case "brix":
      return out.brix;
    case "body":
      return out.body;
    default:
      return out.massG > 0 ? (100 * out.parts[target.what]) / out.massG : 0;
  }
}

/** The programme that holds near where the walk stands now. */
export function linearise(
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
  free: readonly Variable[],
  cache: WalkCache,
): LinearProblem {
  const here = outputsOf(walked);
  const slopes = free.map(v => {
    const now = massIn(walked, v.id);
    const by = Math.max(STEP * now, STEP);
    const moved = walk(withLineMass(document, v.id, now + by, now), kitchen, { cache });
    const out = moved.problems.length ? here : outputsOf(moved);
    return { id: v.id, now, slope: (f: (o: Outputs) => number) => (f(out) - f(here)) / by };
  });
  // f(x) ≈ f(now) + Σ slope·(x − now): constants go to the other side.
  const row = (f: (o: Outputs) => number) => ({
    coefficients: Object.fromEntries(slopes.map(s => [s.id, s.slope(f)])),
    constant: f(here) - slopes.reduce((sum, s) => sum + s.slope(f) * s.now, 0),
  });
  const hard: HardRow[] = [];
  const soft: SoftRow[] = [];
  for (const target of document.targets) {
    if (target.what === "finishedG" || target.what === "portions") {
      const { coefficients, constant } = row(o => o.massG);
      const wanted = target.what === "portions" ? target.value * document.portionG : target.value;
      hard.push({
        id: target.what,
        label: `${printMass(g(wanted))} finished`,
        coefficients,
        // To the tenth of a thousandth: a row that leaves no room at all is lost to rounding.
        min: wanted * (1 - YIELD_TO) - constant,
        max: wanted * (1 + YIELD_TO) - constant,
        offset: constant,
      });
    } else if (target.what === "cost") {
      const { coefficients, constant } = row(o => o.cost);
      hard.push({
        id: "cost",
        label: `at most ${printNumber(target.value, 2)} to spend`,
        coefficients,
        max: target.value - constant,
        offset: constant,
      });
    } else if (target.what === "brix" || target.what === "body") {
      const { what } = target;
      const { coefficients, constant } = row(o => o[what]);
      soft.push({
        id: what,
        label: what === "brix" ? `${printNumber(target.value, 1)} °Bx` : `body ${printNumber(target.value)}`,
        coefficients,
        value: target.value - constant,
        tolerance: target.tolerance,
        weight: WEIGHT[what] ?? 5,
      });
    } else {
      const what = target.what;
      // Share wanted: part − v · mass = 0, so that a change of the mass counts too.
      const { coefficients, constant } = row(o => o.parts[what] - (target.value / 100) * o.massG);
      soft.push({
        id: what,
        label: `${printNumber(target.value, 2)} % ${what}`,
        coefficients,
        value: -constant,
        tolerance: Math.max(1e-6, (target.tolerance / 100) * here.massG),
        weight: WEIGHT[what] ?? 3,
      });
    }
  }
  return {
    variables: free.map(v => {
      const now = massIn(walked, v.id);
      return {
        ...v,
        min: Math.max(v.min, now / TRUST),
        max: Math.max(v.min, Math.min(v.max, Math.max(now * TRUST, FROM_NOTHING * here.massG))),
      };
    }),
    hard,
    soft,
  };
}
