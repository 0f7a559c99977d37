import type { FactId, FactValues } from "../ground/facts";
import type { BoneClass } from "../laws/stock";
import type { Taught } from "../run";

/** The figures of the sums that batches speak of, and what they would have to be. */

const OF_BONES: Readonly<Partial<Record<BoneClass, readonly FactId[]>>> = {
  veal: ["gelatinVeal", "solidsVeal"],
  beef: ["gelatinBeef", "solidsBeef"],
  poultry: ["gelatinPoultry", "solidsPoultry"],
  pork: ["gelatinPork", "solidsPork"],
  fish: ["gelatinFish", "solidsFish"],
  shellfish: ["gelatinShells", "solidsShells"],
  meat: ["gelatinMeat", "solidsMeat"],
};

const BONES: Readonly<Record<BoneClass, string>> = {
  veal: "veal bones",
  beef: "beef bones",
  poultry: "poultry bones",
  pork: "pork bones",
  fish: "fish frames",
  shellfish: "shells",
  meat: "meat",
  vegetables: "vegetables",
};
export const bonesInWords = (of: string): string => BONES[of as BoneClass] ?? of;

/** The facts one kind of lesson moves. */
export function factsOf({ what, of }: Pick<Taught, "what" | "of">): readonly FactId[] {
  if (what === "oven") return ["ovenOff"];
  if (what === "holding") return ["holdTrue"];
  return OF_BONES[of as BoneClass] ?? [];
}

/** Whether a group’s values are figures of the sums. */
export const isLesson = (group: string): group is Taught["what"] =>
  group === "oven" || group === "holding" || group === "extraction";

/** One lesson as a number: K off the dial for an oven, times what was foreseen otherwise. */
export const lessonOf = ({ what, foreseen, read }: Taught): number =>
  what === "oven" ? read - foreseen : read / foreseen;

/**
 * What the facts become when a lesson is taken: an oven is so far off its dial; everything else goes times what was read of
 * it, from where it stands, never beyond what the figure can be.
 */
export const factsTaken = (
  key: Pick<Taught, "what" | "of">,
  value: number,
  facts: FactValues,
  reach: (id: FactId) => { readonly min: number; readonly max: number },
): readonly { readonly id: FactId; readonly value: number }[] =>
  factsOf(key).map(id => {
    const { min, max } = reach(id);
    const wanted = key.what === "oven" ? value : facts[id] * value;
    return { id, value: Math.min(max, Math.max(min, wanted)) };
  });
