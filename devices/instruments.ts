import { brixOf } from "../core/things/pot";
import { type Chance, chance } from "./random";
import type { TruePot } from "./true-pot";

/** What instruments show of a pot: noise and resolution of each, the same from the same seed. */

export const INSTRUMENTS = ["scale", "stick", "probe", "refractometer", "ph meter", "spread plate"] as const;
export type Simulated = (typeof INSTRUMENTS)[number];

export interface Shown {
  readonly instrument: Simulated;
  readonly value: number;
  readonly unit: "g" | "mm" | "C" | "Bx" | "pH" | "cm";
}

/** Of instruments as kitchens have them: standard deviation and smallest step. Common practice, no source. */
const MAKE: Readonly<
  Record<Simulated, { readonly sd: number; readonly step: number; readonly unit: Shown["unit"] }>
> = {
  scale: { sd: 4, step: 5, unit: "g" },
  stick: { sd: 1.5, step: 1, unit: "mm" },
  probe: { sd: 0.15, step: 0.1, unit: "C" },
  refractometer: { sd: 0.1, step: 0.1, unit: "Bx" },
  "ph meter": { sd: 0.05, step: 0.01, unit: "pH" },
  "spread plate": { sd: 0.15, step: 0.1, unit: "cm" },
};

/** A sauce without its acids told apart: about as sour as a stock. Our estimate. */
const NEUTRAL_PH = 6.4;
const PH_PER_ACID_PCT = 2.6;

const SOUREST = 2.8;

/**
 * @param seed of the moment and the instrument
 * @param offsetC what a probe reads beside the truth
 * @returns `null` where there is nothing to read: no liquor for the stick
 */
export function shows(instrument: Simulated, truth: TruePot, seed: number, offsetC = 0): Shown | null {
  const value = trueValue(instrument, truth);
  if (value === null) return null;
  const { sd, step, unit } = MAKE[instrument];
  const noise: Chance = chance(seed);
  const shown = value + (instrument === "probe" ? -offsetC : 0) + sd * noise.normal();
  return { instrument, unit, value: Math.max(0, Number((Math.round(shown / step) * step).toFixed(2))) };
}

function trueValue(
  instrument: Simulated,
  { massG, levelMm, temperatureC, vessel, pot, spreadCm }: TruePot,
): number | null {
  switch (instrument) {
    case "scale":
      // Everything on it: the pot too.
      return massG + (vessel?.tareG ?? 0);
    case "stick":
      return levelMm;
    case "probe":
      return temperatureC;
    case "refractometer":
      return brixOf(pot.liquor);
    case "spread plate":
      return spreadCm;
    case "ph meter": {
      const mass = Object.values(pot.liquor).reduce((a, b) => a + b, 0);
      const acidPct = mass > 0 ? (100 * (pot.liquor.acidFixed + pot.liquor.acidVolatile)) / mass : 0;
      return Math.max(SOUREST, NEUTRAL_PH - PH_PER_ACID_PCT * Math.sqrt(acidPct));
    }
  }
}
