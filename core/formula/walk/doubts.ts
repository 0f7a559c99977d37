import { saltDoubt } from "../../things/larder";
import { liquorMass, potMass, volumeMlOf } from "../../things/pot";
import { ml, printMass, printNumber, printVolume } from "../../ground/quantity";
import type { FactValues } from "../../ground/facts";
import type { Warning } from "../../ground/result";
import { geometryOfVessel, limitsOf } from "../../things/vessel";
import type { FormulaDocument } from "../document/document";
import { eatenShare } from "./eaten";
import {
  cheeseTooHot,
  hasCheese,
  curdledIn,
  dangerWarning,
  partedBy,
  thinsWhileHeld,
  tooLongWarm,
} from "./doubts-of-heat";
import {
  addsTooLong,
  bindsWithNothing,
  butterFloats,
  creamTooFar,
  fatNotSet,
  oilLeftFree,
  strainedAway,
  strongDoses,
  tooSalty,
} from "./doubts-of-making";
import { isSalt, pendingSalty, saltTargetPct } from "./salt-lock";
import { INTENSITY } from "../document/served-as";
import { kindOf, placeOf } from "../steps";
import { filledMl } from "../steps/shared";
import type { StateAfterStep } from "./walked";

/** A pan that boils dairy may be this full. Source: `fillFoam`, common practice, no source. */
const FOAM_FILL = 0.4;
/** What foams up at the boil, and how much of the liquor it must be. Our estimate. */
const FOAMS = /cream|milk/;
const FOAMING_SHARE = 0.15;
const BOILING_UP_C = 85;
/** A reduction to less than this share makes salt put in before it a mistake. Source: docs/models.md "Seasoning". */
const REDUCES = 1.25;
const NEAR_TARGET = 0.8;

/**
 * What a cook should be told along a walked line, beyond what each step says of itself: doses that look mistyped,
 * salt before a reduction or before something salty, pans too full for cream, herbs before oil, a pan changed before
 * its fond was lifted, and a finished sauce outside what is usual for the way it is served.
 *
 * @param document with the steps of one vessel, and the states after them
 * @param served   whether it is what goes to the table; a second pan only helps to make it
 */
export function doubtsAlong(
  document: FormulaDocument,
  states: readonly StateAfterStep[],
  facts: FactValues,
  served = true,
): Doubts[] {
  const warmAt = tooLongWarm(states, facts);
  const along = lookAlong(states);
  let known = NONE;
  return states.map((state, i) => {
    const parted = partedBy(states, i, facts);
    const curdled = curdledIn(state, facts);
    const fresh = curdled.filter(w => !known.some(k => k.code === w.code));
    known = curdled;
    const before = states[i - 1];
    const warnings = joined([
      parted.warnings,
      fresh,
      cheeseTooHot(state, before, i > along.cheeseAt),
      thinsWhileHeld(state),
      warmAt === i ? [dangerWarning(facts)] : NONE,
      bindsWithNothing(state),
      addsTooLong(state),
      butterFloats(document, state),
      creamTooFar(before, state),
      oilLeftFree(document, states, i),
      fatNotSet(before, state),
      strainedAway(document, before, state),
      tooSalty(document, states, i),
      strongDoses(state, along.heaviest[i] ?? 0),
      saltDoses(state, along.heaviest[i] ?? 0),
      modelStops(state),
      saltTooEarly(document, states, i),
      runsOver(state, facts),
      boilOver(state, before, along.dairy[i] ?? 0),
      herbsBeforeOil(document, states, i),
      fondLost(states, i),
      served && i === document.steps.length - 1 ? outsideItsClass(document, state) : NONE,
    ]);
    return { warnings, broken: parted.broken || curdled.length > 0 };
  });
}

/** What several doubts ask of the whole line, found once. */
interface Along {
  /** The most that stands in the pot from a step on, g. */
  readonly heaviest: readonly number[];
  /** Milk and cream put in so far, g. */
  readonly dairy: readonly number[];
  /** The first step with cheese in it; none is after all of them. */
  readonly cheeseAt: number;
}

function lookAlong(states: readonly StateAfterStep[]): Along {
  const heaviest: number[] = Array.from(states, () => 0);
  for (let i = states.length - 1; i >= 0; i--)
    heaviest[i] = Math.max(heaviest[i + 1] ?? 0, potMass((states[i] as StateAfterStep).pot));
  let dairyG = 0;
  const dairy = states.map(({ lines }) => {
    for (const line of lines) if (FOAMS.test(line.name)) dairyG += line.massG;
    return dairyG;
  });
  const cheese = states.findIndex(hasCheese);
  return { heaviest, dairy, cheeseAt: cheese < 0 ? states.length : cheese };
}

/** What is to be said at a step, and whether the sauce has no body any more. */
export interface Doubts {
  readonly warnings: readonly Warning[];
  readonly broken: boolean;
}

const NONE: readonly Warning[] = [];

/** Most steps leave nothing to say: then nothing is copied. */
function joined(lists: readonly (readonly Warning[])[]): readonly Warning[] {
  let all = NONE;
  for (const list of lists) if (list.length) all = all.length ? [...all, ...list] : list;
  return all;
}

const saltDoses = (state: StateAfterStep, mostG: number): readonly Warning[] => {
  const salts = state.lines.filter(line => isSalt(state.sources.get(line.lineId)));
  if (!salts.length) return NONE;
  // Oil that is beaten in later is salted with it: the dose is judged by the most that ever stands in the bowl.
  return salts.flatMap(line => {
    const { warning } = saltDoubt(line.massG, Math.max(0, mostG - line.massG));
    return warning ? [warning] : [];
  });
};

/** In a closed pot the sums are only a first guess, and it is said where heat is applied. */
function modelStops(state: StateAfterStep): readonly Warning[] {
  const limits = state.vessel && placeOf(state.step) === "fire" ? limitsOf(state.vessel) : null;
  return limits ? [{ code: "MODEL_STOPS", message: limits }] : NONE;
}

function saltTooEarly(
  document: FormulaDocument,
  states: readonly StateAfterStep[],
  i: number,
): readonly Warning[] {
  const state = states[i];
  if (!state?.lines.some(line => isSalt(state.sources.get(line.lineId)) && line.massG > 0)) return NONE;
  const pending = pendingSalty(states, i);
  const waits: readonly Warning[] = pending.length
    ? [
        {
          code: "DO_NOT_SALT_YET",
          message: `Do not salt yet: ${pending.join(", ")} still to come. Salt after them, to the last grams.`,
        },
      ]
    : NONE;
  const now = liquorMass(state.pot);
  const least = Math.min(...states.slice(i + 1).map(s => liquorMass(s.pot)), now);
  const reduced = states.slice(i + 1).some(s => s.step.kind === "reduce");
  if (!reduced || least <= 0 || now / least <= REDUCES) return waits;
  const salt = eatenShare(state, "salt") * (now / least);
  const target = saltTargetPct(document);
  if (salt > NEAR_TARGET * target)
    return [
      ...waits,
      {
        code: "DO_NOT_SALT_BEFORE_REDUCING",
        message: `${salt > target ? "Stop" : "Careful"}: the reduction that follows takes it to ${printNumber(salt, 2)} % salt; wanted ${printNumber(target, 1)} %. Salt after reducing.`,
      },
    ];
  return waits;
}

/** A pot that was named holds what it holds: more than that is on the stove. */
function runsOver(state: StateAfterStep, facts: FactValues): readonly Warning[] {
  const { vessel, pot } = state;
  if (!vessel || vessel.use === "tray" || liquorMass(pot) === 0) return NONE;
  const inItMl = filledMl(pot, facts);
  const { capacityMl } = geometryOfVessel(vessel);
  if (inItMl <= capacityMl) return NONE;
  return [
    {
      code: "OVERFLOW",
      message: `It runs over: ${printVolume(ml(inItMl))} do not go into ${vessel.name}, which holds ${printVolume(ml(capacityMl))} to the rim. Take a larger one, or share it out.`,
    },
  ];
}

function boilOver(
  state: StateAfterStep,
  before: StateAfterStep | undefined,
  dairyG: number,
): readonly Warning[] {
  // What was strained into a container stands on the bench, whatever is stirred into it.
  if (!state.vessel || state.vessel.use === "container" || placeOf(state.step) !== "fire") return NONE;
  if (state.temperatureC < BOILING_UP_C || !kindOf(state.step).steams) return NONE;
  if (dairyG < FOAMING_SHARE * liquorMass(state.pot)) return NONE;
  // The fullest moment of a step that boils down is its start.
  const was = before?.pot.liquor;
  const liquor = was && was.water > state.pot.liquor.water && !state.lines.length ? was : state.pot.liquor;
  const capacity = geometryOfVessel(state.vessel).capacityMl;
  const fill = volumeMlOf(liquor, state.temperatureC) / capacity;
  if (fill <= FOAM_FILL) return NONE;
  return [
    {
      code: "BOIL_OVER",
      message: `Cream and milk boil over: ${state.vessel.name} is ${printNumber(100 * fill)} % full, ${printNumber(100 * FOAM_FILL)} % is the limit. Take one of ${printNumber((capacity * fill) / FOAM_FILL / 1000, 1)} l or more.`,
    },
  ];
}

/** Herbs go in after the oil: beaten with it they bruise and turn brown. Common practice, no source. */
function herbsBeforeOil(
  document: FormulaDocument,
  states: readonly StateAfterStep[],
  i: number,
): readonly Warning[] {
  const state = states[i];
  const herbs = state?.lines.filter(line => {
    const ingredient = state.sources.get(line.lineId);
    return ingredient?.solidKind === "herbs" && ingredient.composition.water > 50;
  });
  if (!state || !herbs?.length) return NONE;
  const oilLater = states
    .slice(i)
    .some(
      (later, j) =>
        later.step.kind === "emulsify" &&
        (j > 0 || state.lines.length > herbs.length) &&
        later.lines.some(line => later.sources.get(line.lineId)?.phase === "fat"),
    );
  return oilLater && document.servedAs === "emulsion"
    ? [
        {
          code: "HERBS_BEFORE_OIL",
          message: `${herbs.map(h => h.name).join(", ")} before the oil bruises and browns: put them in after the emulsion stands.`,
        },
      ]
    : NONE;
}

/** Brown bits stay behind when the pan is changed before they are lifted. */
function fondLost(states: readonly StateAfterStep[], i: number): readonly Warning[] {
  const [state, before] = [states[i], states[i - 1]];
  if (!state?.vessel || !before?.vessel || kindOf(before.step).fond !== "leaves") return NONE;
  // Over foil or paper there is none.
  if (/\b(?:foil|parchment|baking paper)\b/i.test(before.step.remark ?? "")) return NONE;
  // What goes on in the oven, or lifts the fond, knows where it is.
  if (state.vessel.id === before.vessel.id || kindOf(state.step).fond === "lifts" || kindOf(state.step).ovenC)
    return NONE;
  return [
    {
      code: "FOND_LEFT_BEHIND",
      message: `The fond stays in ${before.vessel.name}: deglaze there before changing to ${state.vessel.name}.`,
    },
  ];
}

function outsideItsClass(document: FormulaDocument, state: StateAfterStep): Warning[] {
  const usual = INTENSITY[document.servedAs];
  const warnings: Warning[] = [];
  for (const what of ["salt", "fat"] as const) {
    const band = what === "salt" ? usual.saltPct : usual.fatPct;
    const value = eatenShare(state, what);
    if (band && value > band[1] * 1.02)
      warnings.push({
        code: "OUT_OF_CLASS",
        message: `${printNumber(value, what === "salt" ? 2 : 1)} % ${what}: more than a ${usual.label} takes (${band[0]}–${band[1]} %). Served at ${printMass(document.portionG as never)}, that is ${printMass(((document.portionG * value) / 100) as never)} a portion.`,
      });
  }
  if (usual.portionG && document.portionG > 1.5 * usual.portionG[1])
    warnings.push({
      code: "OUT_OF_CLASS",
      message: `A ${usual.label} of ${printMass(document.portionG as never)} is a large portion; ${usual.portionG[0]}–${usual.portionG[1]} g is usual.`,
    });
  return warnings;
}
