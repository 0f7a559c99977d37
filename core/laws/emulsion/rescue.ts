import type { FactValues } from "../../ground/facts";
import { printNumber } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import { type Emulsion, type EmulsionInput, bareEmulsion, emulsionOf, oilAt, waterFor } from "./emulsion";
import { type EmulsionKind, WINDOWS, massOf, withPart } from "./parts";
import { EASY_FAT_VOLUME } from "./risk";
import { type OilSchedule, oilSchedule } from "./schedule";

export interface Rescue {
  /** What goes into the clean bowl, in a cook's words, and its grams. */
  readonly startWith: string;
  readonly waterG: number;
  readonly yolkG: number;
  readonly steps: readonly string[];
  /** The broken sauce, fed in like oil; absent when water alone mends it. */
  readonly feed: OilSchedule | null;
  /** What it is afterwards. */
  readonly after: Emulsion;
  readonly input: EmulsionInput;
}

const YOLK_G = 18;
const LEAST_WATER_G = 15;
const SPOON_G = 15;

/** Tight and shining with oil, but not yet broken: water by the spoon. @example 230 g oil on one yolk → 32.5 g */
export function loosenEmulsion(input: EmulsionInput, hot: boolean, facts: FactValues): Result<Rescue> {
  const waterG = waterFor(input, hot ? EASY_FAT_VOLUME.hot : EASY_FAT_VOLUME.cold);
  const mended = { ...input, parts: withPart(input.parts, "water", waterG) };
  const after = emulsionOf(mended, facts);
  if (!after.ok) return after;
  return ok({
    startWith: `${printNumber(waterG)} g water${hot ? " at 60 °C" : ""}`,
    waterG,
    yolkG: 0,
    steps: [
      waterG > 0
        ? `Beat in ${printNumber(waterG)} g of ${hot ? "water at 60 °C" : "water"}, a spoon (${SPOON_G} g) at a time.`
        : "It holds enough water: beat it on.",
    ],
    feed: null,
    after: after.value,
    input: mended,
  });
}

/**
 * A broken emulsion taken up again: onto water first, onto a new yolk as well once that has failed.
 *
 * @param failedBefore water alone has not done it
 * @errors those of the emulsion · NEGATIVE
 * Source: common practice (both schools), sums docs/models.md "Emulsions" (D.6). @example 230 g oil on one yolk → 15.1 g water and a yolk, φ 0.78, 24 doses
 */
export function rescueBroken(
  input: EmulsionInput,
  options: { readonly kind: EmulsionKind; readonly failedBefore?: boolean; readonly isC?: number },
  facts: FactValues,
): Result<Rescue> {
  const window = WINDOWS[options.kind];
  const easy = window.hot ? EASY_FAT_VOLUME.hot : EASY_FAT_VOLUME.cold;
  const yolkG = options.failedBefore && options.kind !== "beurre-blanc" ? YOLK_G : 0;
  const withYolk = { ...input, parts: yolkG ? withPart(input.parts, "yolk", yolkG) : input.parts };
  const waterG = Math.max(LEAST_WATER_G, waterFor(withYolk, easy));
  const mended = {
    ...withYolk,
    parts: withPart(withYolk.parts, "water", waterG),
    tool: input.tool ?? "whisk",
  };
  const after = emulsionOf(mended, facts);
  if (!after.ok) return after;
  const brokenG = input.oilG + massOf(input.parts);
  const feed = oilSchedule(yolkG + waterG, brokenG, "whisk", facts);
  if (!feed.ok) return feed;
  const isC = options.isC ?? input.temperatureC;
  const middle = Math.round((window.makeC[0] + window.makeC[1]) / 2);
  const [firstDose] = feed.value.doses;
  const start = `${yolkG ? "a new yolk and " : ""}${printNumber(waterG)} g ${window.hot ? "hot water" : "water"}`;
  return ok({
    startWith: start,
    waterG,
    yolkG,
    steps: [
      ...(window.hot && isC > window.hotC
        ? ["Let the broken sauce fall to 50 °C first."]
        : window.hot && isC < window.coldC
          ? [`Warm the broken sauce to ${window.makeC.join("–")} °C first.`]
          : !window.hot && isC < window.makeC[0]
            ? [`Bring the broken sauce to ${window.makeC.join("–")} °C first.`]
            : []),
      `A clean bowl${window.hot ? ` at ${middle} °C` : ""}: ${start}.`,
      `Whisk the ${printNumber(brokenG)} g of broken sauce in, ${printNumber(firstDose?.doseG ?? 0, 1)} g first, ${feed.value.doses.length} doses in all, each a tenth of what holds already.`,
      "Taste again: salt and acid are thinner now.",
    ],
    feed: feed.value,
    after: after.value,
    input: mended,
  });
}

/** Oil that brings a thin emulsion to a thickness. @errors UNREACHABLE · those of the emulsion */
export function thickenEmulsion(
  input: EmulsionInput,
  target: number,
  facts: FactValues,
): Result<{ oilG: number; after: Emulsion }> {
  const problems = checkNumber(target, "targetThickness", "The thickness wanted", { min: 2, max: 95 });
  if (problems.length) return refuse(...problems);
  const most = oilAt(input, 0.84);
  const found = bisect(
    oilG => (bareEmulsion({ ...input, oilG }, facts).thickness ?? 0) - target,
    input.oilG,
    most,
  );
  if (found === null)
    return refuse({
      code: "UNREACHABLE",
      field: "targetThickness",
      value: target,
      allowed: { max: Math.round(bareEmulsion({ ...input, oilG: most }, facts).thickness ?? 0) },
      message: `Oil alone does not bring it to body ${printNumber(target)} before it is overfull: more yolk or mustard in the water phase.`,
    });
  return ok({ oilG: found - input.oilG, after: bareEmulsion({ ...input, oilG: found }, facts) });
}
