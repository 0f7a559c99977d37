import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { EMPTY_POT, type PotState } from "../../things/pot";
import { g } from "../../ground/quantity";
import { InvariantError, valueOf } from "../../ground/result";
import { type Step, applyStep, openKitchen } from "..";
import { STEP_KINDS, type StepKindName } from ".";

/** One step at a time, on a pot of one's own. */
export const kitchen = openKitchen(DEMO_KITCHEN);
export const vessel = (id: string) => kitchen.vessels.find(v => v.id === id) ?? null;
const ingredient = (id: string) => {
  const found = kitchen.ingredientById.get(id);
  if (!found) throw new InvariantError(`No ${id} in the demo larder.`);
  return found;
};
export const lines = (...of: [string, number][]) =>
  of.map(([id, mass], i) => ({ lineId: `${id}-${i}`, ingredient: ingredient(id), massG: g(mass) }));

/** Does one step of a kind, with a few of its fields changed. */
export function perform(
  kind: StepKindName,
  change: object = {},
  where: Partial<Parameters<typeof applyStep>[1]> = {},
) {
  const step = { ...STEP_KINDS[kind].blank("x"), ...change } as Step;
  return applyStep(step, {
    pot: EMPTY_POT,
    vessel: null,
    lines: [],
    kitchen,
    field: "steps.0",
    trace: false,
    ...where,
  });
}
export const after = (...args: Parameters<typeof perform>) => valueOf(perform(...args));
export const potOf = (...of: [string, number][]): PotState => after("add", {}, { lines: lines(...of) }).pot;
