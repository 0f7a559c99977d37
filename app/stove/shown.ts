import { printNumber } from "~/core/ground/quantity";

/** What a connected instrument shows now: one tap takes it. */
export interface Shown {
  readonly instrument: "scale" | "stick" | "probe" | "refractometer" | "ph meter" | "spread plate";
  readonly name: string;
  readonly value: number;
  readonly unit: string;
}

const UNITS: Readonly<Record<string, string>> = { C: "°C", Bx: "°Bx", pH: "" };

/** As it is typed into the field, and as it is read out. */
export const shownInWords = ({ value, unit }: Shown): string =>
  `${printNumber(value, Number.isInteger(value) ? 0 : 1)} ${UNITS[unit] ?? unit}`.trim();
