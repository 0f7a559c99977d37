import { TOUCHES } from "./payloads";

/** One press of the finger beside one reading of the probe. */
export interface Felt {
  readonly touch: (typeof TOUCHES)[number];
  readonly temperatureC: number;
}

/** Where a touch has been so far in this kitchen, °C. */
export interface TouchRange {
  readonly touch: Felt["touch"];
  readonly count: number;
  readonly loC: number;
  readonly meanC: number;
  readonly hiC: number;
}

/**
 * The kitchen’s own map from the finger to the probe, from soft to hard; a touch nobody has logged is left out.
 *
 * @example soft at 50.2, 51.5 and 52.9 °C: soft is 50.2–52.9, on average 51.5 °C
 */
export const touchMap = (felt: readonly Felt[]): TouchRange[] =>
  TOUCHES.flatMap(touch => {
    const read = felt.filter(one => one.touch === touch).map(one => one.temperatureC);
    return read.length
      ? [
          {
            touch,
            count: read.length,
            loC: Math.min(...read),
            meanC: read.reduce((sum, c) => sum + c, 0) / read.length,
            hiC: Math.max(...read),
          },
        ]
      : [];
  });
