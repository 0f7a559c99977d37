import { type Pools, massOfPools, volumeMlOf } from "../../things/pot";
import { ml, mm, printNumber } from "../../ground/quantity";
import type { Warning } from "../../ground/result";
import type { PanInput } from "./pan";

/** Share of a pan that a foaming liquor may fill, and the depth in mm under which it can scorch. Common practice, no source. */
const FOAM_FILL = 0.4;
const THIN_LAYER_MM = 4;
/** What is taken down to less than this share of its mass is thin at the end because that is wanted. */
const LITTLE_LEFT = 0.3;

/** Whether a liquor rises in the pan as it boils: spirit, starch, cream. Common practice, no source. */
export const foamsUp = (liquor: Pools): boolean =>
  liquor.ethanol > 0.02 * liquor.water ||
  liquor.starch > 0 ||
  (liquor.fat > 0 && liquor.sugars > 0 && liquor.fat > 0.02 * liquor.water);

/** What a cook should be told of a pan that was boiled down: too thin at the end, or rising over the rim. */
export function panWarnings(
  input: PanInput & { readonly temperatureC: number },
  end: { readonly boilS: number | null; readonly liquor: Pools; readonly temperatureC: number },
): Warning[] {
  const warnings: Warning[] = [];
  const { vessel, liquor } = input;
  const level = vessel.levelClipped(ml(volumeMlOf(end.liquor, end.temperatureC) + input.displacedMl));
  const far = massOfPools(end.liquor) <= LITTLE_LEFT * massOfPools(liquor);
  if (input.displacedMl === 0 && level < THIN_LAYER_MM && !far)
    warnings.push({
      code: "THIN_LAYER",
      message: `Only ${printNumber(mm(level), 1)} mm deep at the end: it can scorch. Take a smaller pan.`,
    });
  if (
    end.boilS !== null &&
    foamsUp(liquor) &&
    volumeMlOf(liquor, input.temperatureC) > FOAM_FILL * vessel.capacityMl
  )
    warnings.push({
      code: "FOAM_RISK",
      message: "It foams: keep the pan at most 40 % full, or take a larger one.",
    });
  return warnings;
}
