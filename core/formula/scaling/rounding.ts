import type { Scale } from "../../kit/appliance";
import { printNumber } from "../../ground/quantity";
import type { Warning } from "../../ground/result";

/** How finely a mass can be weighed where no scale is known, g. Source: common practice, no source (06-G.4). */
export const usualResolutionG = (massG: number): number =>
  massG < 50 ? 0.1 : massG < 2000 ? 1 : massG < 10_000 ? 5 : 10;

/** The finest step of the scales that take a mass; the usual one without scales. */
export function resolutionOf(massG: number, scales: readonly Scale[]): number {
  const able = scales.filter(scale => scale.capacityG >= massG).map(scale => scale.resolutionG);
  return able.length ? Math.min(...able) : usualResolutionG(massG);
}

const NOISE = 1e-9;

/**
 * Rounds masses to one resolution so that their total keeps to half a step (largest remainder).
 *
 * Units are floored, the missing ones go to the largest remainders; ties to the larger mass, then to input order.
 *
 * @param values g > 0
 * @param delta  resolution, g
 * @param total  total to keep instead of the sum, g
 * Source: largest-remainder method, exact. @example [101.26, 33.33, 14.87, 7.90, 2.64], 1 → 101, 33, 15, 8, 3
 */
export function largestRemainder(values: readonly number[], delta: number, total?: number): number[] {
  const sum = total ?? values.reduce((a, b) => a + b, 0);
  const units = Math.floor(sum / delta + 0.5 + NOISE);
  const floors = values.map(v => Math.floor(v / delta + NOISE));
  const missing = units - floors.reduce((a, b) => a + b, 0);
  const order = values
    .map((v, i) => ({ i, remainder: v / delta - (floors[i] ?? 0), size: v / delta }))
    .sort((a, b) => b.remainder - a.remainder || b.size - a.size || a.i - b.i);
  for (const { i } of order.slice(0, Math.max(0, missing))) floors[i] = (floors[i] ?? 0) + 1;
  return floors.map(n => n * delta);
}

export interface Rounded {
  readonly masses: readonly number[];
  readonly warnings: readonly Warning[];
}

/** An error above this asks for a finer scale. Source: 06-G.4. */
const MUCH = 0.02;
/** A group gives a unit away when its largest member has at least so many. Source: 06-G.4. */
const CAN_SPARE = 20;

/**
 * Rounds every line to what the kitchen's scales can weigh; lines of one resolution keep their total among them.
 * What would be rounded to nothing is given one step and said so.
 */
export function roundToScales(
  lines: readonly { readonly name: string; readonly massG: number }[],
  scales: readonly Scale[],
): Rounded {
  const resolutions = lines.map(line => resolutionOf(line.massG, scales));
  const masses = lines.map(line => line.massG);
  const warnings: Warning[] = [];
  for (const delta of new Set(resolutions)) {
    const members = lines.flatMap((line, i) => (resolutions[i] === delta && line.massG > 0 ? [i] : []));
    const rounded = largestRemainder(
      members.map(i => lines[i]?.massG ?? 0),
      delta,
    );
    members.forEach((i, k) => {
      masses[i] = rounded[k] ?? 0;
    });
    for (const i of members.filter(m => masses[m] === 0)) {
      masses[i] = delta;
      const largest = members.reduce((a, b) => ((masses[a] ?? 0) >= (masses[b] ?? 0) ? a : b));
      const spare = largest !== i && (masses[largest] ?? 0) >= CAN_SPARE * delta;
      if (spare) masses[largest] = (masses[largest] ?? 0) - delta;
      warnings.push({
        code: "ROUNDED_UP_FROM_ZERO",
        message: `${lines[i]?.name}: ${printNumber(lines[i]?.massG ?? 0, 2)} g is less than the scale shows; rounded up to ${delta} g${spare ? "" : ", and the total grows by it"}.`,
      });
    }
  }
  lines.forEach((line, i) => {
    const error = line.massG > 0 ? (masses[i] ?? 0) / line.massG - 1 : 0;
    if (Math.abs(error) > MUCH)
      warnings.push({
        code: "FINER_SCALE",
        message: `${line.name}: rounding moves it by ${printNumber(100 * error, 1)} %. Weigh it on a finer scale.`,
      });
  });
  return { masses, warnings };
}
