import type { FactValues } from "../../ground/facts";
import { type Celsius, minutes, printDuration, printNumber, s } from "../../ground/quantity";
import type { Warning } from "../../ground/result";
import { type EmulsionKind, WINDOWS } from "../../laws/emulsion";
import { SERVED_HOT_C, bareBody, bodyOf, breaksAtC } from "../../laws/texture";
import { cheeseWarnings, holdWarnings } from "../../laws/thickening";
import { CHEESE_MELTS_C, type PotState, massOfPools, potMass } from "../../things/pot";
import { fatPartsAtC, sauceOf } from "../steps/as-sauce";
import { WARM_FROM_C } from "./body";
import type { StateAfterStep } from "./walked";

/** What heat does to a sauce along the line: what breaks, curdles, strings, thins or stands too long in the warm. */

const NONE: readonly Warning[] = [];

/** Since it was last beaten together; `null` where nothing was. */
function beatenAt(states: readonly StateAfterStep[], i: number): number | null {
  for (let j = i; j >= 0; j--) {
    const { kind } = states[j]?.step ?? {};
    if (kind === "emulsify" || kind === "mount" || kind === "blend") return j;
  }
  return null;
}

const kindOfEmulsion = ({ natures, temperatureC }: PotState): EmulsionKind => {
  const warm = temperatureC > WARM_FROM_C;
  const { phases } = natures;
  if (phases.yolk || phases["whole egg"]) return warm ? "hollandaise" : "mayonnaise";
  if (phases["egg white"]) return "egg-white";
  if (warm) return "beurre-blanc";
  return phases.milk ? "milk" : "mayonnaise";
};

/** How hot it may get after it was beaten or mounted, °C, and what it is; `null` where heat does it nothing. */
function bears(
  beaten: StateAfterStep,
  facts: FactValues,
): { readonly upToC: number; readonly what: string } | null {
  const { pot, step } = beaten;
  if (step.kind === "emulsify") {
    const kind = kindOfEmulsion(pot);
    const { fatVolume } = bareBody(sauceOf(pot, facts), SERVED_HOT_C, facts);
    if (fatVolume < LITTLE_FAT) return null;
    const window = WINDOWS[kind];
    return {
      upToC: kind === "beurre-blanc" ? Math.max(window.hotC, breaksAtC(fatVolume)) : window.hotC,
      what: kind === "hollandaise" || kind === "beurre-blanc" ? "butter sauce" : "emulsion",
    };
  }
  if (step.kind !== "mount") return null;
  return { upToC: fatPartsAtC(pot, facts), what: "butter in it" };
}

/** An emulsion with less oil by volume than this is a thin sauce: it bears the boil. Our estimate. */
const LITTLE_FAT = 0.12;

/** Above what it bears by so much it is no longer a doubt, K: it has parted. Our estimate. */
const PARTED_K = 3;

/** The butter or oil in it at this step. */
export function partedBy(
  states: readonly StateAfterStep[],
  i: number,
  facts: FactValues,
): { readonly warnings: readonly Warning[]; readonly broken: boolean } {
  const at = beatenAt(states, i);
  const beaten = at === null ? undefined : states[at];
  if (at === null || !beaten) return WHOLE;
  const limit = bears(beaten, facts);
  if (!limit) return WHOLE;
  const hottest = Math.max(...states.slice(at, i + 1).map(s => hottestOf(s)));
  const now = hottestOf(states[i] as StateAfterStep);
  const broken = hottest > limit.upToC + PARTED_K;
  if (now <= limit.upToC + 0.5) return broken ? { warnings: NONE, broken } : WHOLE;
  const mounts = beaten.step.kind === "mount";
  return {
    broken,
    warnings: [
      {
        code: mounts ? "BUTTER_TOO_HOT" : "EMULSION_TOO_HOT",
        message: `At ${printNumber(now)} °C the ${limit.what} ${mounts ? "melts to oil" : "parts"}: it holds up to ${printNumber(limit.upToC)} °C. Keep it below that, lid off the heat.`,
      },
    ],
  };
}
const WHOLE = { warnings: NONE, broken: false } as const;

/** The hottest a step took it to: what it was held or heated at counts, not what it fell to afterwards. */
const hottestOf = ({ step, temperatureC, course }: StateAfterStep): number =>
  Math.max(
    temperatureC,
    step.kind === "hold" ? step.holdC : 0,
    ...(step.kind === "mount" ? [] : course.map(p => p.temperatureC)),
  );

/** Yolk that has curdled, cream that has turned: from here on it has no body any more. */
export function curdledIn({ pot }: StateAfterStep, facts: FactValues): readonly Warning[] {
  const { natures, liquor } = pot;
  const mayBe =
    (natures.yolkG > 0 && natures.yolkMaxC > YOLK_MAY_CURDLE_C) ||
    (massOfPools(natures.milkDry) > 0 && liquor.fat > CREAM_MAY_BREAK * massOfPools(liquor));
  if (!mayBe || natures.isSet) return NONE;
  const body = bodyOf(sauceOf(pot, facts), SERVED_HOT_C, facts);
  return body.ok ? body.warnings.filter(w => BROKEN.has(w.code)) : NONE;
}
const YOLK_MAY_CURDLE_C = 85;
const CREAM_MAY_BREAK = 0.5;
const BROKEN: ReadonlySet<string> = new Set(["CURDLED", "CREAM_BREAKS"]);

/** Whether cheese goes in at a step. */
export const hasCheese = ({ lines }: StateAfterStep): boolean =>
  lines.some(l => l.massG > 0 && CHEESE.test(l.name));

/** Cheese in a sauce too hot for it. */
export function cheeseTooHot(
  state: StateAfterStep,
  before: StateAfterStep | undefined,
  isIn: boolean,
): readonly Warning[] {
  const into = before?.temperatureC ?? state.temperatureC;
  const now = hasCheese(state);
  // Stirred in, it is as hot as the sauce was: once it is in, as hot as that gets.
  if (now && into < CHEESE_MELTS_C && state.step.kind === "add")
    return [
      {
        code: "CHEESE_STAYS",
        message: `At ${printNumber(into)} °C the cheese stays in pieces: it melts from ${CHEESE_MELTS_C} °C on.`,
      },
    ];
  if (now) return cheeseWarnings(Math.max(into, state.temperatureC) as Celsius);
  return isIn && FRESH_OR_HEATED.has(state.step.kind) ? cheeseWarnings(hottestOf(state) as Celsius) : NONE;
}
const CHEESE = /\bcheese\b|parmesan|gruy/i;
const FRESH_OR_HEATED: ReadonlySet<string> = new Set(["simmer", "reduce", "reheat", "hold", "thicken"]);

/** What keeping hot does to the starches in it. */
export function thinsWhileHeld({ step, pot }: StateAfterStep): readonly Warning[] {
  if (step.kind !== "hold") return NONE;
  const hours = step.durationMin / 60;
  const said = pot.natures.starches
    .filter(dose => dose.massG > 0)
    .flatMap(dose => holdWarnings(dose.id, hours));
  return said.slice(0, 1);
}

const WARM_C = { from: 5, to: 60 } as const;
/** Protein or starch from which germs find food, as a share of the pot. Our estimate. */
const FOOD_FOR_GERMS = 0.003;
/** Dissolved in the water so much that nothing grows: sugar syrups, brines. Our estimate. */
const TOO_STRONG = 0.55;

/** Minutes of a step between 5 and 60 °C, as if it warmed or cooled evenly. */
function minutesInDanger(from: number, { temperatureC: to, durationS }: StateAfterStep): number {
  const min = durationS / 60;
  const [lo, hi] = from < to ? [from, to] : [to, from];
  if (hi - lo < 1) return lo > WARM_C.from && lo < WARM_C.to ? min : 0;
  const inside = Math.min(hi, WARM_C.to) - Math.max(lo, WARM_C.from);
  return Math.max(0, (min * inside) / (hi - lo));
}

/** A pot that stands warm longer than this kitchen allows: said once, where it passes. */
export function tooLongWarm(states: readonly StateAfterStep[], facts: FactValues): number | null {
  let sum = 0;
  for (const [i, state] of states.entries()) {
    const { liquor } = state.pot;
    const feeds = state.pot.entered.proteinOther + state.pot.entered.collagen + state.pot.entered.starch;
    const strong = liquor.sugars + liquor.salt > TOO_STRONG * (liquor.water + liquor.sugars + liquor.salt);
    const cold = COLD_PLACES.has(state.step.kind);
    if (state.temperatureC >= KILLS_C) sum = 0;
    else if (!strong && !cold && feeds > FOOD_FOR_GERMS * potMass(state.pot))
      sum += minutesInDanger(states[i - 1]?.temperatureC ?? state.temperatureC, state);
    if (sum > facts.dangerZoneMin) return i;
  }
  return null;
}
/** Heated through to this the clock begins anew, °C. Source: FDA Food Code § 3-403.11, from memory. */
const KILLS_C = 74;
/** A cure, a freezer and a soak stand in the cold. */
const COLD_PLACES: ReadonlySet<string> = new Set(["cure", "freeze", "thaw", "soak"]);

export const dangerWarning = (facts: FactValues): Warning => ({
  code: "DANGER_ZONE",
  message: `By now it has stood between ${WARM_C.from} and ${WARM_C.to} °C for more than ${printDuration(s(minutes(facts.dangerZoneMin)))}: keep it cold or hot, or make less at once. Follow your local food code.`,
});
