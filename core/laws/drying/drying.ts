import type { FactValues } from "../../ground/facts";
import { type Celsius, degC } from "../../ground/quantity";
import { halve } from "../../ground/solver/halving";
import { type DryingClass, figuresOf } from "./drying-class";
import type { Heating } from "./heating";

/** A part that roasts, browns or renders; g. */
export interface Drying {
  readonly of: DryingClass;
  /** As it stands now. */
  readonly massG: number;
  readonly waterG: number;
  readonly fatG: number;
  /** As it went in, before any loss. */
  readonly rawG: number;
  readonly rawWaterG: number;
  readonly rawFatG: number;
}

/** What a stretch in the heat took, part by part; g. */
export interface Dried {
  readonly parts: readonly { readonly steamG: number; readonly meltedG: number }[];
  /** How hot it is at the end: less than `hotC` where it never got warm. */
  readonly temperatureC: Celsius;
}

const HEAT_J_PER_KG_K = 3300;
const LATENT_J_PER_KG = 2.3e6;

/** Water still to go below which a part counts as dry, g. */
const DRY_G = 1e-9;

/** Surface in the heat of all the parts, m². */
export const surfaceM2 = (parts: readonly Drying[], f: FactValues): number =>
  parts.reduce((sum, part) => sum + (figuresOf(part.of, f).areaM2PerKg * part.rawG) / 1000, 0);

/**
 * Dries and melts parts in one heat, at once: each has the share of the heat that its surface takes, warms first, then
 * loses the water that can go – as fast as the heat allows at first, ever more slowly as its inside dries out – and its
 * fat. Nothing is remembered but what went in raw: a stretch cut in two comes to the same.
 *
 * Water: (u₀ − u)/R + (τ/θ)·ln(u₀/u) = t − t_w, with u what can still go. Fat: g = g₀·e^(−θ(t − t_w)/τ_f).
 *
 * @param fromC  how warm the parts are, °C
 * @param min    minutes in the heat
 * @param hotC   how hot they are once they are warm, °C
 * Valid for: 100–260 °C, up to 3 h. Source: docs/models.md "Drying" (falling-rate drying; parameters our estimates).
 */
export function dry(
  parts: readonly Drying[],
  heating: Heating,
  fromC: number,
  min: number,
  hotC: number,
  f: FactValues,
): Dried {
  const area = surfaceM2(parts, f);
  let warm = 0;
  let whole = 0;
  const gone = parts.map(part => {
    const figures = figuresOf(part.of, f);
    const watts = area > 0 ? (heating.watts * figures.areaM2PerKg * part.rawG) / 1000 / area : 0;
    const toWarmMin =
      watts > 0
        ? (heating.warmShare * part.massG * HEAT_J_PER_KG_K * Math.max(0, heating.warmC - fromC)) /
          (60_000 * watts)
        : Infinity;
    const t = Math.max(0, min - toWarmMin);
    warm += part.massG * (toWarmMin > 0 ? Math.min(1, min / toWarmMin) : 1);
    whole += part.massG;
    if (t <= 0 || heating.pace <= 0) return { steamG: 0, meltedG: 0 };
    const { fat } = figures;
    const still = Math.max(0, part.waterG - (1 - figures.waterShare) * part.rawWaterG);
    const ratePerMin = (60_000 * watts) / LATENT_J_PER_KG;
    const melts = fat ? Math.max(0, part.fatG - (1 - fat.share) * part.rawFatG) : 0;
    return {
      steamG: still - leftOf(still, ratePerMin, figures.waterMin / heating.pace, t),
      meltedG: fat ? melts * (1 - Math.exp((-heating.pace * t) / fat.min)) : 0,
    };
  });
  const share = whole > 0 ? warm / whole : 1;
  const reached = Math.max(fromC, hotC);
  return {
    parts: gone,
    temperatureC: degC(share >= 1 ? reached : fromC + share * (Math.max(fromC, heating.warmC) - fromC)),
  };
}

/** What can still go after `t` minutes, g. */
function leftOf(still: number, ratePerMin: number, slowMin: number, t: number): number {
  if (still <= DRY_G || ratePerMin <= 0) return still;
  const [lo, hi] = halve(
    u => (still - u) / ratePerMin + slowMin * Math.log(still / u) > t,
    still * 1e-9,
    still,
    (a, b) => b - a < 1e-7 * still,
  );
  return (lo + hi) / 2;
}
