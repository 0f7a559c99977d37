import { KITCHEN_TESTS } from "../laws/texture";
import { printNumber } from "../ground/quantity";
import type { Instrument } from "./payloads";

/** What can be read with an instrument, as it is asked for and read back. */
export interface InstrumentWords {
  readonly label: string;
  readonly unit: string;
  readonly how: string;
  readonly min: number;
  readonly max: number;
}

export function instrumentOf(what: Instrument): InstrumentWords {
  if (what === "brix")
    return {
      label: "refractometer",
      unit: "°Bx",
      how: "a drop, cooled to room heat, no fat on the glass",
      min: 0,
      max: 90,
    };
  if (what === "ph")
    return { label: "pH", unit: "", how: "at room heat, the meter rinsed and set today", min: 0, max: 14 };
  const { label, unit, how, range } = KITCHEN_TESTS[what];
  return { label, unit, how, ...range };
}

/** "14.2 °Bx", "pH 4.1", "line 6.5 cm". */
export function measuredInWords(what: Instrument, value: number): string {
  const { label, unit } = instrumentOf(what);
  const figure = printNumber(value, 1);
  return what === "brix" ? `${figure} °Bx` : what === "ph" ? `pH ${figure}` : `${label} ${figure} ${unit}`;
}
