import {
  type Celsius,
  type Density,
  type Grams,
  type Millilitres,
  degC,
  g,
  gPerMl,
  ml,
} from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { NO_POOLS, type Pools, massOfPools } from "./pools";

/**
 * Density of water.
 * Source: G. S. Kell, J. Chem. Eng. Data 20 (1975) 97–105; 0–150 °C at 1 atm, carried on to 175 °C (coefficients from memory, checked
 * against steam-table values).
 */
export function waterDensityKgM3(t: number): number {
  const numerator =
    999.83952 +
    t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))));
  return numerator / (1 + 16.87985e-3 * t);
}

/**
 * Apparent specific volume of ethanol in water at 20 °C, l/kg, by its mass share in ethanol + water (steps of 0.1).
 * Source: derived from water–ethanol densities (Perry's Handbook, 7th ed., Sec. 2 / OIML R 22, from memory).
 */
const ETHANOL_VOLUME = [
  1.196, 1.1687, 1.1548, 1.1573, 1.1706, 1.1868, 1.2024, 1.2171, 1.2316, 1.2469, 1.2669,
];

function ethanolVolume(x: number): number {
  const at = Math.min(Math.max(x * 10, 0), 10);
  const i = Math.min(Math.floor(at), 9);
  const low = ETHANOL_VOLUME[i] ?? 0;
  const high = ETHANOL_VOLUME[i + 1] ?? low;
  return low + (high - low) * (at - i);
}

/** Share of a solute in itself + water; 0 where there is none. */
const shareIn = (solute: number, water: number) => (solute > 0 ? solute / (solute + water) : 0);

/** Volume in ml of pools in g; apparent specific volumes in ml/g. Source: docs/models.md "Density". */
export function volumeMlOf(p: Pools, t: number): number {
  let v = (p.water * 1000) / waterDensityKgM3(t);
  if (p.fat > 0) v += (p.fat * 1000) / (925.59 - 0.41757 * t);
  if (p.starch > 0) v += (p.starch * 1000) / (1599.1 - 0.31046 * t);
  if (p.fibre > 0) v += (p.fibre * 1000) / (1311.5 - 0.36589 * t);
  if (p.sugars > 0) {
    const x = shareIn(p.sugars, p.water);
    v += p.sugars * (0.6152 + 0.0186 * x + 0.022 * Math.max(0, x - 0.55)) * (1 + 5e-4 * (t - 20));
  }
  if (p.salt > 0) v += p.salt * (0.292 + 0.29 * Math.min(shareIn(p.salt, p.water), 0.28));
  if (p.ethanol > 0) v += p.ethanol * ethanolVolume(shareIn(p.ethanol, p.water)) * (1 + 1.1e-3 * (t - 20));
  return (
    v + p.proteinOther * 0.73 + p.collagen * 0.7 + p.acidVolatile * 0.864 + p.acidFixed * 0.6 + p.other * 0.45
  );
}

/**
 * Volume of a liquor at a temperature: the volume of its water plus the apparent volumes of what is in it.
 *
 * @param liquor g of each pool, ≥ 0, sum > 0
 * @param temperature 0–175 °C
 * @returns ml
 * @errors T_RANGE · NO_WATER (neither water nor fat)
 * Valid for: aqueous liquors below 30 % dissolved ± 0.3 %; above 20 % fat and purées ± 1 %.
 * Source: Kell 1975 for water; Choi & Okos 1986 (ASHRAE Handbook—Refrigeration) for fat, starch, fibre; own fits
 * for sugar and salt (docs/models.md "Density").
 */
export function volumeAt(liquor: Pools, temperature: Celsius): Result<Millilitres> {
  if (!(temperature >= 0 && temperature <= 175))
    return refuse({
      code: "T_RANGE",
      field: "temperatureC",
      value: temperature,
      message: "Density is modelled for liquids between 0 and 175 °C.",
    });
  if (!(liquor.water + liquor.fat > 0))
    return refuse({
      code: "NO_WATER",
      field: "composition",
      message: "There is neither water nor fat in this liquid.",
    });
  return ok(ml(volumeMlOf(liquor, temperature)));
}

export const REFERENCE_TEMPERATURE_C = degC(20);

/** Volume at 20 °C, the reference of every ratio; 0 for an empty pot. */
export const volumeAt20 = (liquor: Pools): Millilitres => ml(volumeMlOf(liquor, REFERENCE_TEMPERATURE_C));

export const densityAt = (liquor: Pools, t: Celsius): Density =>
  gPerMl(massOfPools(liquor) / volumeMlOf(liquor, t));

/**
 * Specific heat, J/(g K), mass-weighted.
 * Source: Choi & Okos 1986 as printed in ASHRAE Handbook—Refrigeration (coefficients from memory).
 */
export function specificHeat(p: Pools, t: number): number {
  const t2 = t * t;
  const sum =
    p.water * (4176.2 - 0.090864 * t + 5.4731e-3 * t2) +
    p.fat * (1984.2 + 1.4733 * t - 4.8008e-3 * t2) +
    (p.proteinOther + p.collagen) * (2008.2 + 1.2089 * t - 1.3129e-3 * t2) +
    (p.sugars + p.starch + p.acidVolatile + p.acidFixed + p.other) * (1548.8 + 1.9625 * t - 5.9399e-3 * t2) +
    p.fibre * (1845.9 + 1.8306 * t - 4.6509e-3 * t2) +
    p.salt * (1092.6 + 1.8896 * t - 3.6817e-3 * t2) +
    p.ethanol * (2440 + 9.5 * (t - 25));
  return sum / massOfPools(p) / 1000;
}

/** Grams dissolved: sugars, salt, protein, gelatin, acids, other. Dispersed fat, starch and fibre do not count. */
export const dissolvedMass = (p: Pools): Grams =>
  g(p.sugars + p.salt + p.proteinOther + p.collagen + p.acidVolatile + p.acidFixed + p.other);

/** Dissolved solids as a percentage of the serum (water + ethanol + dissolved). */
export function dissolvedPct(p: Pools): number {
  const d = dissolvedMass(p);
  const serum = p.water + p.ethanol + d;
  return serum > 0 ? (100 * d) / serum : 0;
}

/**
 * What a refractometer would show, °Bx. It does not see salt or gelatin as it sees sugar; each counts by its
 * refractive-index increment relative to sucrose.
 * Source: CRC Handbook "Concentrative properties of aqueous solutions", from memory; fixed acid and other our estimate.
 */
export function brixOf(p: Pools): number {
  const serum = p.water + p.ethanol + dissolvedMass(p);
  if (!(serum > 0)) return 0;
  const seen =
    p.sugars +
    1.27 * (p.proteinOther + p.collagen) +
    1.18 * p.salt +
    0.44 * p.ethanol +
    0.49 * p.acidVolatile +
    1.09 * p.acidFixed +
    p.other;
  return (100 * seen) / serum;
}

/** Density of ethanol at 20 °C, g/ml. */
const ETHANOL_DENSITY = 0.78924;

/** Alcohol by volume at 20 °C, per cent. */
export const abvOf = (p: Pools): number =>
  p.ethanol > 0 ? (100 * (p.ethanol / ETHANOL_DENSITY)) / volumeMlOf(p, 20) : 0;

/**
 * Mass share of ethanol in ethanol + water from a label's per cent by volume.
 *
 * @param abvPct 0–96 % vol
 * @returns g per g
 * @errors ABV · NOT_FINITE
 * Method: fixed point on the density, at most 50 passes. @example 40 % vol → 0.3330 g/g
 */
export function ethanolShareOfAbv(abvPct: number): Result<number> {
  if (!(abvPct >= 0 && abvPct <= 96))
    return refuse({
      code: "ABV",
      field: "abvPct",
      value: abvPct,
      allowed: { min: 0, max: 96 },
      message: `${abvPct} % vol is no drink: type a strength between 0 and 96 %.`,
    });
  let density = 0.99;
  for (let pass = 0; pass < 50; pass++) {
    const share = ((abvPct / 100) * ETHANOL_DENSITY) / density;
    const next = 1 / volumeMlOf({ ...NO_POOLS, ethanol: share, water: 1 - share }, 20);
    if (Math.abs(next - density) < 1e-9) break;
    density = next;
  }
  return ok(((abvPct / 100) * ETHANOL_DENSITY) / density);
}
