import type { FactValues } from "../../ground/facts";
import { geometryOfVessel, type Vessel } from "../../things/vessel";
import { type PotState, liquorMass, massOfPools, solidsMass, volumeAt20 } from "../../things/pot";
import { levelIn } from "./shared";

/** What hands take, where nobody has said how long: by how much there is. Source: docs/models.md "Hand times". */

/** Litres a minute that run through a strainer by what they are; our estimate. */
const RUNS = { clear: 4, bound: 0.8 } as const;

/** Minutes to strain: set up, run, heave the solids out, drip or press. */
export function strainMin(pot: PotState, pressed: boolean): number {
  const litres = liquorMass(pot) > 0 ? volumeAt20(pot.liquor) / 1000 : 0;
  const kilos = solidsMass(pot) / 1000;
  const { starches, pureeDry } = pot.natures;
  const bound = starches.length > 0 || massOfPools(pureeDry) > 0.005 * liquorMass(pot);
  return (
    0.75 + litres / (bound ? RUNS.bound : RUNS.clear) + 0.4 * kilos + (pressed ? kilos : 2 * Math.sqrt(kilos))
  );
}

/** Minutes to skim so many times: a ladle to fetch, and the surface to go over. */
export function skimMin(pot: PotState, vessel: Vessel | null, times: number, facts: FactValues): number {
  const level = levelIn(pot, vessel, facts);
  const areaM2 = vessel && level !== null ? geometryOfVessel(vessel).surfaceMm2(level) * 1e-6 : 0.07;
  return times * (0.3 + 15 * areaM2);
}

/** Minutes a roux of 200 g takes to its colour; our estimate. */
const ROUX_MIN = { white: 3, blond: 7, brown: 20, dark: 35 } as const;

/** Minutes to cook a roux, apart from the simmer of what it binds. @param massG flour and fat together */
export const rouxMin = (colour: keyof typeof ROUX_MIN, massG: number): number =>
  ROUX_MIN[colour] * (massG / 200) ** 0.3;
