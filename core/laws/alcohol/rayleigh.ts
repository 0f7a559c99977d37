import type { FactValues } from "../../ground/facts";
import {
  type Pools,
  boilingPointC,
  massOfPools,
  saturationPressurePa,
  volumeMlOf,
  waterActivity,
} from "../../things/pot";
import type { Pascals } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import {
  MOLAR_MASS_ETHANOL_G,
  MOLAR_MASS_WATER_G,
  ethanolActivity,
  ethanolMoleFraction,
  ethanolVapourPressurePa,
  waterActivityBesideEthanol,
} from "../../things/pot/vapour-liquid";

const STEPS = 400;

/** Mass share of ethanol in the steam over a boiling liquor. */
function ethanolInSteam(p: Pools, pressure: number, warm: number): { share: number; boils: number } {
  if (p.ethanol <= 0) return { share: 0, boils: warm };
  const boils = boilingPointC(p, pressure, warm);
  const x = ethanolMoleFraction(p.ethanol, p.water);
  const ethanol = x * ethanolActivity(x) * ethanolVapourPressurePa(boils) * MOLAR_MASS_ETHANOL_G;
  const water =
    (1 - x) *
    waterActivityBesideEthanol(x) *
    waterActivity(p) *
    saturationPressurePa(boils) *
    MOLAR_MASS_WATER_G;
  return { share: ethanol / (ethanol + water), boils };
}

/**
 * Boils a liquor down to a share of its volume without asking how long it takes: what alcohol and vinegar acid stay.
 *
 * Method: Rayleigh distillation with van Laar activities, Runge–Kutta over the mass of steam in 400 steps, end by
 * linear interpolation.
 *
 * @param liquor    g of each pool
 * @param remaining share of the volume at 20 °C left, 0.02–1
 * @param pressure  station pressure, Pa
 * @returns the liquor at the end
 * @errors OUT_OF_RANGE · NO_WATER · TARGET_BELOW_SOLIDS
 * Valid for: open boiling pans; held below the boil alcohol leaves more slowly (`simulate`).
 * Source: docs/models.md "Alcohol".
 * @example wine 12.5 % vol to a half: 0.12 % of the alcohol is left, in equilibrium
 */
export function boilDown(
  liquor: Pools,
  remaining: number,
  pressure: Pascals,
  f: Pick<FactValues, "vinegarVolatility" | "steamMixing">,
): Result<Pools> {
  if (!(remaining >= 0.02 && remaining <= 1))
    return refuse({
      code: "OUT_OF_RANGE",
      field: "target",
      value: remaining,
      allowed: { min: 0.02, max: 1 },
      message: "A reduction leaves between 2 % and all of the volume.",
    });
  if (!(liquor.water > 0))
    return refuse({
      code: "NO_WATER",
      field: "composition",
      message: "There is no water in this liquid to boil.",
    });
  const goal = remaining * volumeMlOf(liquor, 20);
  const start = massOfPools(liquor);
  const step = (start * (1 - remaining)) / STEPS;
  let [w, e, a] = [liquor.water, liquor.ethanol, liquor.acidVolatile];
  let boils = 95;
  const now = (water: number, ethanol: number, acid: number): Pools => ({
    ...liquor,
    water,
    ethanol,
    acidVolatile: acid,
  });
  const slopes = (water: number, ethanol: number, acid: number) => {
    const steam = ethanolInSteam(now(water, Math.max(0, ethanol), acid), pressure, boils);
    boils = steam.boils;
    const y = steam.share * f.steamMixing;
    return [-(1 - y), -y, water > 0 ? (-f.vinegarVolatility * (1 - y) * acid) / water : 0] as const;
  };
  let volume = volumeMlOf(liquor, 20);
  // Alcohol is lighter than water: a few more steps than the mass alone would take.
  for (let n = 0; n < 2 * STEPS && volume > goal; n++) {
    const k1 = slopes(w, e, a);
    const k2 = slopes(w + (k1[0] * step) / 2, e + (k1[1] * step) / 2, a + (k1[2] * step) / 2);
    const k3 = slopes(w + (k2[0] * step) / 2, e + (k2[1] * step) / 2, a + (k2[2] * step) / 2);
    const k4 = slopes(w + k3[0] * step, e + k3[1] * step, a + k3[2] * step);
    const move = (i: 0 | 1 | 2) => (step / 6) * (k1[i] + 2 * k2[i] + 2 * k3[i] + k4[i]);
    const next = [w + move(0), Math.max(0, e + move(1)), Math.max(0, a + move(2))] as const;
    if (next[0] <= 0.02 * liquor.water)
      return refuse({
        code: "TARGET_BELOW_SOLIDS",
        field: "target",
        value: remaining,
        message: "It cannot get that small: what is dissolved alone takes more room.",
      });
    const after = volumeMlOf(now(...next), 20);
    const share = after <= goal && volume > after ? (volume - goal) / (volume - after) : 1;
    w += (next[0] - w) * share;
    e += (next[1] - e) * share;
    a += (next[2] - a) * share;
    volume = share < 1 ? goal : after;
  }
  return ok(now(w, e, a));
}
