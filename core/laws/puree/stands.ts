import type { FactId, FactValues } from "../../ground/facts";
import type { Tissue } from "../../things/larder/nature-names";
import { type Natures, type SolidPart, holdBack, massOfPools } from "../../things/pot";

/** The figures of each kind of flesh: what its fibre and its starch count for, and what is left of it drained. */
const FIGURES = {
  root: ["fibreRoot", "starchRoot", "drainedRoot"],
  tuber: ["fibreTuber", "starchTuber", "drainedTuber"],
  pulse: ["fibrePulse", "starchPulse", "drainedPulse"],
  pea: ["fibrePea", "starchPea", "drainedPea"],
  leaf: ["fibreLeaf", "starchLeaf", "drainedLeaf"],
  allium: ["fibreAllium", "starchAllium", "drainedAllium"],
  flower: ["fibreFlower", "starchFlower", "drainedFlower"],
  "fruit-vegetable": ["fibreFruitVegetable", "starchFruitVegetable", "drainedFruitVegetable"],
  fruit: ["fibreFruit", "starchFruit", "drainedFruit"],
  berry: ["fibreBerry", "starchBerry", "drainedBerry"],
  mushroom: ["fibreMushroom", "starchMushroom", "drainedMushroom"],
} as const satisfies Record<Tissue, readonly [FactId, FactId, FactId]>;

/**
 * What makes a purée of some flesh stand, g: starch in whole cells has only the cell’s own water to swell in, and
 * fibre of a leaf is not fibre of a root.
 * Source: own law (E2′), docs/models.md "Purées". @example 1 kg carrot with 41.8 g fibre, 12.4 g starch: 43.7 g
 */
export const standingSolids = (
  tissue: Tissue,
  fibreG: number,
  starchG: number,
  facts: FactValues,
): number => {
  const [fibre, starch] = FIGURES[tissue];
  return facts[fibre] * fibreG + facts[starch] * starchG;
};

/** The same of all the flesh that has become one with a liquor, g. */
export const standingIn = ({ flesh }: Pick<Natures, "flesh">, facts: FactValues): number =>
  (Object.entries(flesh) as [Tissue | "own", { fibreG: number; starchG: number }][]).reduce(
    (sum, [of, { fibreG, starchG }]) =>
      sum + (of === "own" ? fibreG : standingSolids(of, fibreG, starchG, facts)),
    0,
  );

/** What is left of some flesh, boiled and drained, over what it weighed raw. */
export const drainedOver = (tissue: Tissue, facts: FactValues): number => facts[FIGURES[tissue][2]];

/**
 * What a part weighs once it has drained, g: soft flesh keeps about what it weighed raw; bones and what came dried hold
 * liquor back.
 * Source: docs/models.md "Purées"; yields common practice and from memory.
 */
export function drainedMass(part: SolidPart, facts: FactValues): number {
  const wet = (1 + holdBack(part.kind, facts)) * massOfPools(part.pools);
  return part.tissue && !part.dried ? Math.min(drainedOver(part.tissue, facts) * part.rawG, wet) : wet;
}
