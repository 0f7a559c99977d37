import { g, printMass, printNumber } from "../../ground/quantity";
import type { Warning } from "../../ground/result";
import { SAUCE_CHUNKY_SHARE, soupButter } from "../../laws/thickening";
import { liquorMass, massOfPools, potMass, volumeAt20 } from "../../things/pot";
import { strongDoubt } from "../../things/larder";
import { INTENSITY } from "../document/served-as";
import type { FormulaDocument } from "../document/document";
import { firstDose } from "../../laws/seasoning";
import { FAT_SETS_C } from "../steps/degrease";
import { eatenShare } from "./eaten";
import type { StateAfterStep } from "./walked";

/** What is odd in how a sauce is put together: nothing that binds, butter that floats, cream too far down, a dose too strong. */

const NONE: readonly Warning[] = [];

/** A binding without anything that binds. */
export function bindsWithNothing(state: StateAfterStep): readonly Warning[] {
  const { step, pot } = state;
  const { starches, yolkG } = pot.natures;
  const nothing =
    step.kind === "thicken"
      ? !starches.length &&
        massOfPools(pot.natures.pureeDry) === 0 &&
        !pot.solids.some(part => part.thickener)
      : step.kind === "liaison" && yolkG === 0 && massOfPools(pot.natures.milkDry) === 0;
  return nothing && !state.lines.some(line => THICKENS.test(line.name))
    ? [
        {
          code: "NOTHING_BINDS",
          message:
            step.kind === "liaison"
              ? "There is neither yolk nor cream in this liaison: nothing will bind."
              : "There is no starch in this binding: nothing will thicken. Put flour or starch in, or take the step out.",
        },
      ]
    : NONE;
}
const THICKENS = /xanthan|agar|gelatin|pectin|blood|liver|bread|rice/i;

/** Butter into a soup with pieces in it floats. */
export function butterFloats(document: FormulaDocument, state: StateAfterStep): readonly Warning[] {
  if (state.step.kind !== "mount" || document.servedAs !== "soup") return NONE;
  const solids = state.pot.solids.reduce((m, part) => m + massOfPools(part.pools), 0);
  if (solids < SAUCE_CHUNKY_SHARE * potMass(state.pot)) return NONE;
  const refused = soupButter(Math.max(1, volumeAt20(state.pot.liquor)), "chunky");
  return refused.ok ? NONE : refused.problems.map(p => ({ code: "BUTTER_FLOATS", message: p.message }));
}

/** Milk fat and solids from which a liquor is cream, g per g. Our estimate. */
const IS_CREAM = 0.2;
const BY_MORE_THAN_HALF = 0.48;

/** Cream boiled down by more than half. */
export function creamTooFar(before: StateAfterStep | undefined, state: StateAfterStep): readonly Warning[] {
  if (state.step.kind !== "reduce" || !before) return NONE;
  const { liquor, natures } = before.pot;
  const mass = massOfPools(liquor);
  const cream = massOfPools(natures.milkDry) > 0 && liquor.fat > IS_CREAM * mass;
  const left = mass > 0 ? liquorMass(state.pot) / mass : 1;
  return cream && left < BY_MORE_THAN_HALF
    ? [
        {
          code: "CREAM_OVER_HALF",
          message: `Cream by more than half turns to butter and whey: ${printNumber(100 * left)} % is left here. Stop at half.`,
        },
      ]
    : NONE;
}

/** Oil that was to be held and floats. */
export function oilLeftFree(
  document: FormulaDocument,
  states: readonly StateAfterStep[],
  i: number,
): readonly Warning[] {
  const state = states[i];
  if (!state || document.servedAs !== "emulsion" || i < states.length - 1) return NONE;
  const free = state.pot.floatFatG;
  return free > FREE_SHARE * potMass(state.pot) && free > FREE_LEAST_G
    ? [
        {
          code: "OIL_FREE",
          message: `${printMass(free)} of fat stay on top: nothing beats them in. Put a step “emulsify” after they go in.`,
        },
      ]
    : NONE;
}
const FREE_SHARE = 0.02;
const FREE_LEAST_G = 3;

/** Strong things by their dose in what they season: the most that ever stands in the pot with them, g. */
export function strongDoses(state: StateAfterStep, most: number): readonly Warning[] {
  if (!state.lines.length) return NONE;
  return state.lines.flatMap(line => {
    const ingredient = state.sources.get(line.lineId);
    const doubt = ingredient && strongDoubt(ingredient, line.massG, most);
    if (doubt) return [doubt];
    const first = ingredient && firstDose(ingredient, line.massG, most);
    return first
      ? [
          {
            code: "FIRST_DOSE",
            message: `${line.name}: ${printMass(g(first.massG))} of ${printMass(line.massG)} first. ${first.why}`,
          },
        ]
      : [];
  });
}

/** Fat that is still liquid is not lifted in one piece. */
export function fatNotSet(before: StateAfterStep | undefined, { step }: StateAfterStep): readonly Warning[] {
  return step.kind === "degrease" && step.method === "chilled" && (before?.temperatureC ?? 0) > FAT_SETS_C
    ? [
        {
          code: "FAT_NOT_SET",
          message: `At ${printNumber(before?.temperatureC ?? 0)} °C the fat has not set: it is counted as ladled. Cool it first, then lift it.`,
        },
      ]
    : NONE;
}

/** What was to be eaten goes with the strainer. */
export function strainedAway(
  document: FormulaDocument,
  before: StateAfterStep | undefined,
  { step, pot }: StateAfterStep,
): readonly Warning[] {
  if ((step.kind !== "strain" && step.kind !== "pass") || !before) return NONE;
  if (document.servedAs !== "soup" && document.servedAs !== "puree") return NONE;
  const gone = before.pot.solids.filter(
    part => EATEN.has(part.kind) && part.tissue !== undefined && !pot.solids.some(p => p.id === part.id),
  );
  const massG = gone.reduce((m, part) => m + massOfPools(part.pools), 0);
  const passed = massOfPools(pot.natures.pureeDry) > massOfPools(before.pot.natures.pureeDry);
  return !passed && massG > MUCH * potMass(before.pot)
    ? [
        {
          code: "STRAINED_AWAY",
          message: `${printMass(g(massG))} of ${gone.map(part => part.name).join(", ")} stay in the strainer. If they belong in it, blend before straining.`,
        },
      ]
    : NONE;
}
const EATEN: ReadonlySet<string> = new Set(["mirepoix", "mushrooms"]);
const MUCH = 0.3;

/** More salt than anybody eats in a sauce, per cent; only a dot or a glaze bears more. Common practice, no source. */
const SALTY_PCT = 1.5;

/** Salt past any sauce, or past its class by a reduction. */
export function tooSalty(
  document: FormulaDocument,
  states: readonly StateAfterStep[],
  i: number,
): readonly Warning[] {
  const [before, state] = [states[i - 1], states[i]];
  if (!state) return NONE;
  const now = eatenShare(state, "salt");
  const band = INTENSITY[document.servedAs].saltPct;
  const most = band ? Math.max(band[1], document.servedAs === "stock" ? SALTY_PCT : 0) : SALTY_PCT;
  // What is let down later by cream or an unsalted stock is judged in the end.
  const last = states.at(-1) ?? state;
  const passes = before && eatenShare(before, "salt") <= most && now > most;
  if (state.step.kind === "reduce" && passes && eatenShare(last, "salt") > most)
    return [
      {
        code: "REDUCES_SALTY",
        message: `This reduction takes it to ${printNumber(now, 2)} % salt; more than ${printNumber(most, 1)} % is too much. Take an unsalted stock, or stop sooner.`,
      },
    ];
  return i === states.length - 1 &&
    now >= Math.max(SALTY_PCT, band ? band[1] : 0) * 1.02 &&
    document.servedAs === "other"
    ? [
        {
          code: "TOO_SALTY",
          message: `${printNumber(now, 2)} % salt is more than any sauce takes (${SALTY_PCT} %). Is the amount meant?`,
        },
      ]
    : NONE;
}

/** Longer than this nothing is only put in. Our estimate, min. */
const ADDING_MIN = 15;

/** An “add” that takes as long as cooking does. */
export const addsTooLong = ({ step }: StateAfterStep): readonly Warning[] =>
  step.kind === "add" && step.durationMin > ADDING_MIN
    ? [
        {
          code: "ADD_TAKES_LONG",
          message: `${printNumber(step.durationMin)} min to put something in? Nothing cooks in this step: take “simmer”, “braise” or “rest” for the time.`,
        },
      ]
    : NONE;
