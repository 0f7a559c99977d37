import { printNumber } from "../../ground/quantity";
import type { Warning } from "../../ground/result";
import { THICKENERS } from "../thickening";
import type { Body } from "./body-laws";
import type { SauceState } from "./sauce-state";
import { yolkWindow } from "./yolk";

/** Below so much gelatin a plate can be as cold as it likes; where a jus sets, °C. Our estimate. */
const SETS_FROM_PCT = 1.5;
export const setsBelowC = (gelatinPct: number): number | null =>
  gelatinPct >= SETS_FROM_PCT ? 16 + 1.2 * Math.min(gelatinPct, 10) : null;

/** Milk solids to a gram of fat from which it is cream, not butter. */
const CREAM_SOLIDS = 0.1;
const CREAM_NEAR = 0.7;
const CREAM_BREAKS = 0.76;
const PASTY_PER_KG = 110;
const WEAK = 0.5;
const BROKEN_DOWN = 0.7;
const RAW_BELOW_MIN = 10;
const RAW_KNEADED_BELOW_MIN = 3;
const SERVED_SOON_MIN = 10;

/** What a cook should know of a sauce as it stands. */
export function warningsOf(state: SauceState, body: Body): Warning[] {
  const warnings: Warning[] = [];
  const add = (code: string, message: string) => warnings.push({ code, message });
  const sets = setsBelowC(body.gelatinPct);
  if (sets !== null && body.temperatureC < sets)
    add(
      "GELS_ON_PLATE",
      `With ${printNumber(body.gelatinPct, 1)} % gelatin it sets below ${printNumber(sets)} °C: warm plates.`,
    );
  if (state.yolkG > 0) {
    const window = yolkWindow(body.perKg.starch);
    if (state.yolkMaxC > window.hardC)
      add(
        "CURDLED",
        `The yolk saw ${printNumber(state.yolkMaxC)} °C and curdles from ${printNumber(window.hardC)} °C on: blend, sieve, expect grain.`,
      );
    else if (state.yolkMaxC < window.loC)
      add("LIAISON_UNDERCOOKED", `Below ${window.loC} °C the yolk does not bind, and it stays raw egg.`);
    else if (window.shield > 0.5 && state.yolkMaxC < 95)
      add("YOLK_THINS_STARCH", "Yolk eats starch while it stands below the boil: serve it, do not keep it.");
  }
  // Butter has fat and hardly any milk solids: it breaks by its own law.
  const cream = state.milkSolidsG > CREAM_SOLIDS * state.fatG;
  if (cream && body.fatVolume > CREAM_BREAKS)
    add(
      "CREAM_BREAKS",
      "The cream is past holding: it turns to butter and whey. A little water or fresh cream, off the heat.",
    );
  else if (cream && body.fatVolume > CREAM_NEAR)
    add("CREAM_NEAR_BREAK", "The cream is close to breaking: no further, and no boil.");
  if (body.perKg.starch > PASTY_PER_KG)
    add("PASTY", "So much flour tastes of paste: less, or reduce instead.");
  for (const { dose, power } of body.starches) {
    const { name, usualMin } = THICKENERS[dose.id];
    if (power.activation < WEAK)
      add(
        "STARCH_NOT_ACTIVATED",
        `The ${name} has not been hot enough to thicken: bring it to ${THICKENERS[dose.id].fullC} °C.`,
      );
    const kept = power.cooking * power.shear * power.acid;
    if (kept < BROKEN_DOWN)
      add(
        "STARCH_BREAKDOWN",
        `The ${name} has lost ${printNumber(100 * (1 - kept))} % of its body to ${power.acid < power.cooking ? "acid: put the acid in at the end" : power.shear < power.cooking ? "the blender" : usualMin < SERVED_SOON_MIN ? "long cooking: put it in last and serve soon" : "long cooking"}.`,
      );
    const raw = dose.id === "flour" || dose.id === "wholeflour";
    const cooked = dose.kneaded ? RAW_KNEADED_BELOW_MIN : RAW_BELOW_MIN;
    if (raw && (dose.colour ?? "white") === "white" && (dose.minutes ?? usualMin) < cooked)
      add(
        "RAW_FLOUR_TASTE",
        `${printNumber(dose.minutes ?? usualMin)} min leave a raw taste of flour: simmer it 20 min.`,
      );
  }
  return warnings;
}
