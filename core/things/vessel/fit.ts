import type { FactId, FactValues } from "../../ground/facts";
import type { SolidKind } from "../larder";
import { type Grams, type Millilitres, type Millimetres, ml, mm, printNumber } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import type { Geometry } from "./geometry";
import { type Vessel, geometryOfVessel } from "./vessel";

/** What is to be covered: mass and kind of each heap. */
export interface Heap {
  readonly kind: SolidKind;
  readonly massG: Grams;
}

/** Which facts say how heavy a kind of solid is and how it heaps. Only what is read widens an interval. */
const HEAP_FACTS = {
  "poultry-bones": { density: "densityPoultryBones", packing: "packingPoultryBones" },
  "poultry-whole": { density: "densityPoultryBones", packing: "packingPoultryWhole" },
  "veal-bones": { density: "densityVealBones", packing: "packingVealBones" },
  "beef-bones": { density: "densityBeefBones", packing: "packingBeefBones" },
  "pork-bones": { density: "densityVealBones", packing: "packingVealBones" },
  "fish-frames": { density: "densityFishFrames", packing: "packingFishFrames" },
  shells: { density: "densityShells", packing: "packingShells" },
  meat: { density: "densityMeat", packing: "packingMeat" },
  skin: { density: "densityMeat", packing: "packingMeat" },
  bivalves: { density: "densityShells", packing: "packingBivalves" },
  mushrooms: { density: "densityMushrooms", packing: "packingMushrooms" },
  mirepoix: { density: "densityMirepoix", packing: "packingMirepoix" },
  herbs: { density: "densityMirepoix", packing: "packingMirepoix" },
} as const satisfies Record<SolidKind, { density: FactId; packing: FactId }>;

const densityOfKind = (kind: SolidKind, f: FactValues): number => f[HEAP_FACTS[kind].density];
const packingOfKind = (kind: SolidKind, f: FactValues): number => f[HEAP_FACTS[kind].packing];

/** Volume solids displace, ml. */
export const displacedMl = (heaps: readonly Heap[], f: FactValues): Millilitres =>
  ml(heaps.reduce((v, heap) => v + heap.massG / densityOfKind(heap.kind, f), 0));

/** Volume of the heap with the gaps between its pieces, ml. */
export const bulkMl = (heaps: readonly Heap[], f: FactValues): Millilitres =>
  ml(
    heaps.reduce((v, heap) => v + heap.massG / densityOfKind(heap.kind, f) / packingOfKind(heap.kind, f), 0),
  );

export interface Cover {
  readonly bulkLevelMm: Millimetres;
  readonly fillLevelMm: Millimetres;
  readonly liquidMl: Millilitres;
  readonly displacedMl: Millilitres;
  readonly headspaceMm: Millimetres;
  readonly neededHeadspaceMm: Millimetres;
}

/** How a liquid behaves when it gets hot: quiet, foaming but kept below the boil, or foaming at the boil. */
export type Foaming = "no" | "below-boil" | "boil";

/** Room to keep between the level and the rim, mm. Source: common practice, no source. */
export function neededHeadspace(geometry: Geometry, f: FactValues, foaming: Foaming = "no"): Millimetres {
  if (foaming === "boil")
    return mm(geometry.heightMm - geometry.levelClipped(ml(f.fillFoam * geometry.capacityMl)));
  const share = foaming === "no" ? f.headspaceShare : f.headspaceFoam;
  return mm(Math.max(f.headspaceMm, share * geometry.heightMm));
}

/**
 * Liquid that covers what lies in a vessel by a depth.
 *
 * @param heaps what lies in it, g by kind
 * @param depth cover over the heap, mm ≥ 0
 * @errors BULK_ABOVE_RIM the heap alone reaches the rim · OVERFLOW the level would pass the rim
 * Warns HEADSPACE when the level comes nearer to the rim than a simmering stock should.
 * Valid for: packing ± 15 %, density ± 5 %. Source: docs/models.md "Vessels", pot sizing.
 */
export function coverWith(
  geometry: Geometry,
  heaps: readonly Heap[],
  depth: Millimetres,
  f: FactValues,
): Result<Cover> {
  const bulk = bulkMl(heaps, f);
  if (bulk >= geometry.capacityMl)
    return refuse({
      code: "BULK_ABOVE_RIM",
      field: "vessel",
      value: bulk,
      allowed: geometry.capacityMl,
      message: `What lies in this pot alone fills ${printNumber(bulk / 1000, 1)} l; the pot holds ${printNumber(geometry.capacityMl / 1000, 1)} l. Take a larger pot or split the batch.`,
    });
  const bulkLevel = geometry.levelClipped(bulk);
  const fill = mm(bulkLevel + depth);
  if (fill > geometry.heightMm)
    return refuse({
      code: "OVERFLOW",
      field: "vessel",
      value: fill,
      allowed: geometry.heightMm,
      message: `Covered by ${printNumber(depth)} mm the level stands at ${printNumber(fill)} mm; this pot is ${printNumber(geometry.heightMm)} mm deep. Take a larger pot or split the batch.`,
    });
  const displaced = displacedMl(heaps, f);
  const needed = neededHeadspace(geometry, f);
  const headspace = mm(geometry.heightMm - fill);
  const warnings: Warning[] =
    headspace < needed
      ? [
          {
            code: "HEADSPACE",
            message: `Only ${printNumber(headspace)} mm to the rim; a simmering stock wants ${printNumber(needed)} mm.`,
          },
        ]
      : [];
  const liquid = ml(Math.max(0, geometry.volumeAtLevel(fill) - displaced));
  return ok(
    {
      bulkLevelMm: bulkLevel,
      fillLevelMm: fill,
      liquidMl: liquid,
      displacedMl: displaced,
      headspaceMm: headspace,
      neededHeadspaceMm: needed,
    },
    warnings,
  );
}

/** Vessels from the smallest up; of two as large, the taller first. */
export const bySize = (vessels: readonly Vessel[]): Vessel[] =>
  [...vessels].sort(
    (a, b) =>
      geometryOfVessel(a).capacityMl - geometryOfVessel(b).capacityMl ||
      geometryOfVessel(b).heightMm - geometryOfVessel(a).heightMm,
  );

/**
 * The smallest vessel in which a heap can be covered with headspace to spare.
 * @errors NOTHING_FITS names the largest there is
 */
export function smallestForCover(
  vessels: readonly Vessel[],
  heaps: readonly Heap[],
  depth: Millimetres,
  f: FactValues,
): Result<{ vessel: Vessel; cover: Cover }> {
  for (const vessel of bySize(vessels)) {
    const cover = coverWith(geometryOfVessel(vessel), heaps, depth, f);
    if (cover.ok && cover.warnings.length === 0) return ok({ vessel, cover: cover.value });
  }
  return refuse(nothingFits(vessels, ml(bulkMl(heaps, f)), "covered, with headspace,"));
}

/** The smallest vessel that takes a liquid with headspace to spare. @errors NOTHING_FITS */
export function smallestForLiquid(
  vessels: readonly Vessel[],
  volume: Millilitres,
  f: FactValues,
): Result<Vessel> {
  const found = bySize(vessels).find(vessel => {
    const geometry = geometryOfVessel(vessel);
    const level = geometry.levelOf(volume);
    return level.ok && level.value + neededHeadspace(geometry, f) <= geometry.heightMm;
  });
  return found ? ok(found) : refuse(nothingFits(vessels, volume, ""));
}

function nothingFits(vessels: readonly Vessel[], volume: Millilitres, how: string) {
  const largest = bySize(vessels).at(-1);
  return {
    code: "NOTHING_FITS" as const,
    field: "vessel",
    value: volume,
    message:
      `${printNumber(volume / 1000, 1)} l ${how} fits none of the pots; the largest is ${largest?.name ?? "missing"}. Split the batch or make less.`.replace(
        / {2,}/g,
        " ",
      ),
  };
}

/**
 * Liquid to cover, from the litres a cook measured up to the top of the bones.
 *
 * @param toBones   ml poured until the bones were just reached
 * @param depth     further depth, mm ≥ 0; 0 is "barely cover"
 * @param displaced ml the bones take up below that level
 * @errors OVERFLOW
 * Source: geometry. @example 16.5 l to the bones, 25 mm more in a 40 cm pot: 19.6 l
 */
export function coverFromMeasure(
  geometry: Geometry,
  toBones: Millilitres,
  depth: Millimetres,
  displaced: Millilitres,
): Result<Millilitres> {
  const atBones = geometry.levelOf(ml(toBones + displaced), "toBonesMl");
  if (!atBones.ok) return atBones;
  const fill = atBones.value + depth;
  if (fill > geometry.heightMm)
    return refuse({
      code: "OVERFLOW",
      field: "depthMm",
      value: fill,
      allowed: geometry.heightMm,
      message: `Covered by ${printNumber(depth)} mm the level stands at ${printNumber(fill)} mm; this pot is ${printNumber(geometry.heightMm)} mm deep.`,
    });
  return ok(ml(geometry.volumeAtLevel(mm(fill)) - displaced));
}

/** How full a bowl may be that grows or splashes. Common practice, no source. */
export const BOWL_FILL = 0.6;

/**
 * Batches when a bowl takes only so much.
 * @param growth litres a kg becomes in the bowl, over what it was; 1 where it does not grow
 * @errors as `checkNumber`
 * Source: docs/models.md "Scaling", step 5. @example 6 l in a 5 l bowl → 2 of 3 l
 */
export function bowlBatches(
  volumeMl: number,
  bowlMl: number,
  growth = 1,
): Result<{ count: number; eachMl: number }> {
  const problems = [
    ...checkNumber(volumeMl, "volumeMl", "The volume"),
    ...checkNumber(bowlMl, "bowlMl", "The bowl", { min: 1, unit: "ml" }),
    ...checkNumber(growth, "growth", "How it grows", { min: 1, max: 10 }),
  ];
  if (problems.length) return refuse(...problems);
  const count = Math.max(1, Math.ceil((volumeMl * growth) / (BOWL_FILL * bowlMl) - 1e-9));
  return ok({ count, eachMl: volumeMl / count });
}
