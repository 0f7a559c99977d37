/**
 * Ethanol and water over a boiling pan.
 *
 * Activity coefficients by van Laar (constants 1.6798 / 0.9227, Perry's Handbook, from memory); vapour pressure by
 * Antoine (8.20417, 1642.89, 230.300; mmHg, °C; Perry/Gmehling collection, from memory), used 60–105 °C.
 */
const A = 1.6798;
const B = 0.9227;
const PA_PER_MMHG = 133.322;

export const MOLAR_MASS_WATER_G = 18.01528;
export const MOLAR_MASS_ETHANOL_G = 46.06844;

/** Activity coefficient of ethanol; `x` is its mole fraction in ethanol + water. */
export function ethanolActivity(x: number): number {
  if (x >= 1) return 1;
  return Math.exp(A / (1 + (A * x) / (B * (1 - x))) ** 2);
}

/** Activity coefficient of water beside ethanol. */
export function waterActivityBesideEthanol(x: number): number {
  if (x <= 0) return 1;
  return Math.exp(B / (1 + (B * (1 - x)) / (A * x)) ** 2);
}

/** Vapour pressure of pure ethanol, Pa, at `t` °C. */
export const ethanolVapourPressurePa = (t: number): number =>
  PA_PER_MMHG * 10 ** (8.20417 - 1642.89 / (t + 230.3));

/** Mole fraction of ethanol in ethanol + water from masses in g. */
export function ethanolMoleFraction(ethanol: number, water: number): number {
  if (ethanol <= 0) return 0;
  const e = ethanol / MOLAR_MASS_ETHANOL_G;
  return e / (e + water / MOLAR_MASS_WATER_G);
}
