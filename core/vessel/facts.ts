/** Packing of what stands in the pot, and how true a pot's measures are. Source: docs/models.md "Vessels". */
const OURS = "our estimate";

// prettier-ignore
export const VESSEL_FACTS = {
  densityPoultryBones: { value: 1.1, lo: 1.045, hi: 1.155, mark: "E", unit: "g/ml", label: "density of poultry bones", source: OURS },
  packingPoultryBones: { value: 0.58, lo: 0.493, hi: 0.667, mark: "E", unit: "share", label: "how tightly chopped carcasses lie", source: OURS },
  packingPoultryWhole: { value: 0.35, lo: 0.2975, hi: 0.4025, mark: "E", unit: "share", label: "how tightly whole carcasses lie", source: OURS },
  densityVealBones: { value: 1.2, lo: 1.14, hi: 1.26, mark: "E", unit: "g/ml", label: "density of veal bones", source: OURS },
  packingVealBones: { value: 0.55, lo: 0.48, hi: 0.62, mark: "E", unit: "share", label: "how tightly veal bones lie", source: OURS },
  densityMirepoix: { value: 1.0, lo: 0.95, hi: 1.05, mark: "E", unit: "g/ml", label: "density of cut vegetables", source: OURS },
  packingMirepoix: { value: 0.55, lo: 0.4675, hi: 0.6325, mark: "E", unit: "share", label: "how tightly cut vegetables lie", source: OURS },
  densityMushrooms: { value: 0.6, lo: 0.57, hi: 0.63, mark: "E", unit: "g/ml", label: "density of mushrooms", source: OURS },
  diameterTrue: { value: 1, lo: 0.98, hi: 1.02, mark: "E", unit: "×", label: "how true the pot’s inside diameter is", source: "tape measure, ± 2 %" },
  headspaceMm: { value: 50, lo: 50, hi: 50, mark: "T", unit: "mm", label: "least headspace in a stock pot", source: "common practice, no source" },
  headspaceShare: { value: 0.12, lo: 0.12, hi: 0.12, mark: "T", unit: "of height", label: "least headspace in a stock pot", source: "common practice, no source" },
} as const;
