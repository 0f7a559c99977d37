import {
  type AcidityInput,
  type EmulsionInput,
  type PhasePart,
  OIL_PER_BUTTER_SOLIDS,
  PHASES,
  acidityOfParts,
  bareEmulsion,
  massOf,
  withPart,
  withTheirSalts,
} from "../../laws/emulsion";
import type { FactValues } from "../../ground/facts";
import { type PotState, liquorMass } from "../../things/pot";
import { acidsOf } from "../steps/as-sauce";
import { emulsionInputOf } from "./body";
import type { StateAfterStep, Walk } from "./walked";

/** What of a line is an emulsion: oil beaten in, or so much butter mounted into a sauce that it is one. */
export interface EmulsionOnLine {
  readonly state: StateAfterStep;
  readonly input: EmulsionInput;
  readonly way: "beaten" | "mounted";
  /** What makes its water phase sour, and what holds against it. */
  readonly acidity: AcidityInput;
}

/** Butter from this share on by volume makes the sauce; less is a finish. Our estimate. */
const MOUNTED_FROM = 0.2;

/** The last emulsion of a line; `null` where there is none. */
export function emulsionOnLine(walked: Walk, facts: FactValues): EmulsionOnLine | null {
  const beaten = walked.states.findLast(state => state.step.kind === "emulsify");
  const input = beaten && emulsionInputOf(beaten.pot);
  if (input) return { state: beaten, input, way: "beaten", acidity: acidityOfPot(beaten.pot, input) };
  const mounted = walked.states.findLast(state => state.step.kind === "mount");
  const sauce = mounted && mountedInputOf(mounted.pot);
  return sauce && bareEmulsion(sauce, facts).fatVolume > MOUNTED_FROM
    ? { state: mounted, input: sauce, way: "mounted", acidity: acidityOfPot(mounted.pot, sauce) }
    : null;
}

/** Butter swirled into a sauce, held by its own milk solids and by what else is in it. */
function mountedInputOf(pot: PotState): EmulsionInput | null {
  const { liquor, natures } = pot;
  const known = Object.entries(natures.phases) as [PhasePart["id"], number][];
  const bound = known.reduce((m, [id, massG]) => m + (PHASES[id].fat ?? 0) * massG, 0);
  const oilG = Math.max(0, liquor.fat - bound);
  const phaseG = liquorMass(pot) - oilG;
  if (!(oilG > 0) || !(phaseG > 0)) return null;
  let parts: PhasePart[] = known.filter(([, massG]) => massG > 0).map(([id, massG]) => ({ id, massG }));
  parts = withPart(parts, "butter solids", oilG / OIL_PER_BUTTER_SOLIDS);
  if (liquor.salt > 0) parts = withPart(parts, "salt", liquor.salt);
  parts = withPart(parts, "water", Math.max(0, phaseG - massOf(parts)));
  return { oilG, oilKind: "butterfat", parts, temperatureC: pot.temperatureC, tool: "whisk" };
}

/** What makes the liquor of a pot sour: every acid in its books, whatever it came with, and the foods that hold against it. */
function acidityOfPot(pot: PotState, { parts, oilG }: EmulsionInput): AcidityInput {
  const { buffers } = acidityOfParts(parts);
  return { phaseG: liquorMass(pot) - oilG, ...(buffers && { buffers }), ...withTheirSalts(acidsOf(pot)) };
}
