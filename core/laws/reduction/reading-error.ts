/** How well a kitchen reads what is in a pot: one deviation each. Our estimates. */

/** Of a scale under a pot, share of the reading, and the step of one nobody has entered, g. */
export const SCALE_SHARE = 0.002;
const SCALE_STEP_G = 5;
/** Of a level on the stick: bubbles lift it while the pot moves, mm. */
const STICK_MM = { boiling: 6, still: 2 } as const;
const BOILING_FROM_C = 90;
/** Of a jug, share of the reading. */
const JUG_SHARE = 0.02;

/** g. @param stepG of the scale */
export const scaleSd = (massG: number, stepG = SCALE_STEP_G): number =>
  Math.hypot(stepG / Math.sqrt(12), SCALE_SHARE * massG);

/** g. @param surfaceMm2 of the liquor where the stick stands @param temperatureC of it; boiling where nobody says */
export const stickSd = (surfaceMm2: number, temperatureC = 100): number =>
  (surfaceMm2 * (temperatureC > BOILING_FROM_C ? STICK_MM.boiling : STICK_MM.still)) / 1000;

/** g */
export const jugSd = (massG: number): number => JUG_SHARE * massG;
