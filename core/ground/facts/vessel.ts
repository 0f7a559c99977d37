/** Packing of what stands in the pot, and how true a pot's measures are. Source: docs/models.md "Vessels". */
const OURS = "our estimate";

// prettier-ignore
export const VESSEL_FACTS = {
  densityPoultryBones: { value: 1.1, lo: 1.045, hi: 1.155, mark: "E", unit: "g/ml", label: "density of poultry bones", source: OURS },
  packingPoultryBones: { value: 0.58, lo: 0.493, hi: 0.667, mark: "E", unit: "share", label: "how tightly chopped carcasses lie", source: OURS },
  packingPoultryWhole: { value: 0.35, lo: 0.2975, hi: 0.4025, mark: "E", unit: "share", label: "how tightly whole carcasses lie", source: OURS },
  densityVealBones: { value: 1.2, lo: 1.14, hi: 1.26, mark: "E", unit: "g/ml", label: "density of veal bones", source: OURS },
  packingVealBones: { value: 0.55, lo: 0.48, hi: 0.62, mark: "E", unit: "share", label: "how tightly veal bones lie", source: OURS },
  densityBeefBones: { value: 1.25, lo: 1.1875, hi: 1.3125, mark: "E", unit: "g/ml", label: "density of beef shank and marrow bones", source: OURS },
  packingBeefBones: { value: 0.55, lo: 0.4675, hi: 0.6325, mark: "E", unit: "share", label: "how tightly beef bones lie", source: OURS },
  densityFishFrames: { value: 1.08, lo: 1.026, hi: 1.134, mark: "E", unit: "g/ml", label: "density of fish frames", source: OURS },
  packingFishFrames: { value: 0.5, lo: 0.425, hi: 0.575, mark: "E", unit: "share", label: "how tightly fish frames lie", source: OURS },
  densityShells: { value: 1.15, lo: 1.0925, hi: 1.2075, mark: "E", unit: "g/ml", label: "density of lobster and prawn shells", source: OURS },
  packingShells: { value: 0.35, lo: 0.2975, hi: 0.4025, mark: "E", unit: "share", label: "how tightly shells lie", source: OURS },
  densityMeat: { value: 1.06, lo: 1.03, hi: 1.09, mark: "E", unit: "g/ml", label: "density of meat and skin", source: OURS },
  packingMeat: { value: 0.65, lo: 0.55, hi: 0.75, mark: "E", unit: "share", label: "how tightly meat lies", source: OURS },
  packingBivalves: { value: 0.5, lo: 0.42, hi: 0.58, mark: "E", unit: "share", label: "how tightly mussels and clams lie", source: OURS },
  densityMirepoix: { value: 1.0, lo: 0.95, hi: 1.05, mark: "E", unit: "g/ml", label: "density of cut vegetables", source: OURS },
  packingMirepoix: { value: 0.55, lo: 0.4675, hi: 0.6325, mark: "E", unit: "share", label: "how tightly cut vegetables lie", source: OURS },
  densityMushrooms: { value: 0.6, lo: 0.57, hi: 0.63, mark: "E", unit: "g/ml", label: "density of mushrooms", source: OURS },
  packingMushrooms: { value: 0.55, lo: 0.4675, hi: 0.6325, mark: "E", unit: "share", label: "how tightly mushrooms lie", source: OURS },
  diameterTrue: { value: 1, lo: 0.98, hi: 1.02, mark: "E", unit: "×", label: "how true the pot’s inside diameter is", source: "tape measure, ± 2 %" },
  headspaceMm: { value: 50, lo: 50, hi: 50, mark: "T", unit: "mm", label: "least headspace in a stock pot", source: "common practice, no source" },
  headspaceShare: { value: 0.12, lo: 0.12, hi: 0.12, mark: "T", unit: "of height", label: "least headspace in a stock pot", source: "common practice, no source" },
  headspaceFoam: { value: 0.25, lo: 0.25, hi: 0.25, mark: "T", unit: "of height", label: "least headspace over milk, cream, wine and what is bound, below the boil", source: "common practice, no source" },
  fillFoam: { value: 0.4, lo: 0.4, hi: 0.4, mark: "T", unit: "of the brim", label: "how full a pan may be with a liquid that foams at the boil", source: "common practice, no source" },
} as const;
