import { type Burner, FLAT_TOPS } from "../laws/reduction";
import { type Result, ok, refuse } from "../ground/result";

/** Burners keep to whole centimetres: nobody places one finer. */
export const HOB_STEP_MM = 10;
const MOST_MM = 5000;

const onGrid = (x: number): number => Math.round(x / HOB_STEP_MM) * HOB_STEP_MM;

/** A small saucepan stands on so much of a flat top, mm each way. */
const PAN_STAND_MM = 200;

/** How many pots a burner has room for: a flame has one, a flat top as many small pans as stand on it. */
export const roomOn = (burner: Burner): number =>
  burner.kind in FLAT_TOPS
    ? Math.max(1, Math.floor(burner.widthMm / PAN_STAND_MM) * Math.floor(burner.depthMm / PAN_STAND_MM))
    : 1;

const overlap = (a: Burner, b: Burner): boolean =>
  a.xMm < b.xMm + b.widthMm &&
  b.xMm < a.xMm + a.widthMm &&
  a.yMm < b.yMm + b.depthMm &&
  b.yMm < a.yMm + a.depthMm;

/**
 * Where a burner comes to stand when it is moved: on the grid, on the hob, on no other burner.
 *
 * @param to mm from the left front corner
 * @errors UNKNOWN_ID · OUT_OF_RANGE off the hob · DUPLICATE on another burner, which is named
 */
export function placeBurner(
  burners: readonly Burner[],
  id: string,
  to: { xMm: number; yMm: number },
): Result<{ xMm: number; yMm: number }> {
  const moved = burners.find(b => b.id === id);
  if (!moved)
    return refuse({
      code: "UNKNOWN_ID",
      field: "id",
      value: id,
      message: "There is no such burner on this hob.",
    });
  const at = { xMm: onGrid(to.xMm), yMm: onGrid(to.yMm) };
  if (!(at.xMm >= 0 && at.yMm >= 0 && at.xMm <= MOST_MM && at.yMm <= MOST_MM))
    return refuse({
      code: "OUT_OF_RANGE",
      field: "xMm",
      value: at,
      message: `${moved.name} would stand off the hob. Its corner stays right of and behind the front left corner.`,
    });
  const hit = burners.find(b => b.id !== id && overlap({ ...moved, ...at }, b));
  if (hit)
    return refuse({
      code: "DUPLICATE",
      field: "xMm",
      value: at,
      message: `${moved.name} would stand on ${hit.name}. Move that one first.`,
    });
  return ok(at);
}
