import type { FactValues } from "../../ground/facts";

/** Share of milk fat, lard or dripping that is solid, by temperature, °C. Source: solid fat of butterfat, from memory, ± 0.08. */
const SOLID: readonly (readonly [atC: number, share: number])[] = [
  [0, 0.55],
  [5, 0.48],
  [10, 0.41],
  [15, 0.3],
  [20, 0.18],
  [25, 0.1],
  [30, 0.04],
  [35, 0],
];

/** Share of a fat that sets which is solid at a temperature, 0–0.55. @example 8 °C → 0.438 */
function solidFatShare(atC: number): number {
  const above = SOLID.findIndex(([t]) => t >= atC);
  if (above === 0) return SOLID[0]?.[1] ?? 0;
  const [t1, s1] = SOLID[above] ?? [35, 0];
  const [t0, s0] = SOLID[above - 1] ?? [35, 0];
  return t1 > t0 ? s0 + ((s1 - s0) * (atC - t0)) / (t1 - t0) : 0;
}

/**
 * What fat that has set in the cold adds to the viscosity of a sauce, mPa·s: its crystals stand beside all else.
 * @param settingGPerKg fat that sets, g per kg of everything · @param atC °C
 * Source: networks of fat crystals, third to fourth power of what is solid, from memory; set on butter at 5 °C and a
 *   chilled butter sauce (common practice, no source). @example 640 g/kg at 8 °C → 74 000 mPa·s: it is cut, not poured
 */
export const setFatMPas = (settingGPerKg: number, atC: number, facts: FactValues): number =>
  ((settingGPerKg * solidFatShare(atC)) / facts.setFatDoublesGPerKg) ** facts.setFatPower;
