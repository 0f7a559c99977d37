import { z } from "zod";
import {
  type Grams,
  printKilograms,
  printMass,
  printNumber,
  printUsMeasure,
  volumeOf,
  type Density,
} from "../../ground/quantity";

/** How a cook wants amounts shown on a card. */
export const displaySchema = z.strictObject({
  units: z.enum(["metric", "us"]),
  /** Rounding of masses, g; for US cards an ounce is shown to the quarter. */
  roundG: z.number().min(0.1).max(100),
});
export type Display = Readonly<z.infer<typeof displaySchema>>;
export const USUAL_DISPLAY: Display = { units: "metric", roundG: 1 };

const G_PER_OZ = 28.349523125;
const QUARTERS: readonly string[] = ["", "¼", "½", "¾"];

/** Ounces to the quarter, in pounds and ounces from a pound up: "1 lb 2¼ oz". Source: NIST Handbook 44, exact factor. */
export function printOunces(mass: Grams): string {
  const quarters = Math.round((mass / G_PER_OZ) * 4);
  const [pounds, rest] = [Math.floor(quarters / 64), quarters % 64];
  const ounces = `${Math.floor(rest / 4) || (rest % 4 ? "" : "0")}${QUARTERS[rest % 4]}`;
  return pounds ? `${pounds} lb${rest ? ` ${ounces} oz` : ""}` : `${ounces} oz`;
}

/**
 * A mass as a cook's card shows it.
 * @example 2236 g at 10 g rounding → "2.24 kg"; the same in US units → "4 lb 14¾ oz"
 */
export function massFor(display: Display, mass: Grams, density?: Density): string {
  if (display.units === "us") {
    const volume = density ? volumeOf(mass, density) : null;
    return volume === null ? printOunces(mass) : `${printOunces(mass)} (${printUsMeasure(volume)})`;
  }
  // A small amount is never rounded away.
  const step = mass < 10 * display.roundG ? Math.min(display.roundG, mass < 10 ? 0.1 : 1) : display.roundG;
  const rounded = (Math.round(mass / step) * step) as Grams;
  return rounded >= 2000
    ? printKilograms(rounded, display.roundG >= 10 ? 2 : 3)
    : step < 1
      ? `${printNumber(rounded, 1)} g`
      : printMass(rounded);
}
