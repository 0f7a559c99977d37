/** What cooking, the sieve and heat take from a purée. Source: docs/models.md "Purées". */
const OURS = "our estimate, to be sharpened by what this kitchen weighs";
const PRACTICE = "common practice, no source";

// prettier-ignore
export const PUREE_FACTS = {
  starchCounts: { value: 0.42, lo: 0.3, hi: 0.55, mark: "E", unit: "of fibre", label: "what cooked starch counts for in a purée, beside fibre", source: OURS },
  boiledLoss: { value: 0.05, lo: 0.02, hi: 0.1, mark: "E", unit: "of dry matter", label: "dry matter boiling takes out of a vegetable", source: OURS },
  steamedLoss: { value: 0.02, lo: 0.01, hi: 0.04, mark: "E", unit: "of dry matter", label: "dry matter steaming takes out of a vegetable", source: OURS },
  millLoss: { value: 0.03, lo: 0.02, hi: 0.05, mark: "E", unit: "of the mass", label: "what stays in the mill", source: OURS },
  millSolidsLoss: { value: 0.06, lo: 0.03, hi: 0.1, mark: "E", unit: "of what thickens", label: "what thickens and stays in the mill", source: OURS },
  chinoisLoss: { value: 0.04, lo: 0.02, hi: 0.07, mark: "E", unit: "of the mass", label: "what stays in the fine conical sieve", source: OURS },
  chinoisSolidsLoss: { value: 0.1, lo: 0.05, hi: 0.16, mark: "E", unit: "of what thickens", label: "what thickens and stays in the fine conical sieve", source: OURS },
  tamisLoss: { value: 0.02, lo: 0.01, hi: 0.04, mark: "E", unit: "of the mass", label: "what stays in the drum sieve", source: OURS },
  tamisSolidsLoss: { value: 0.04, lo: 0.02, hi: 0.08, mark: "E", unit: "of what thickens", label: "what thickens and stays in the drum sieve", source: OURS },
  fibrousLoss: { value: 2, lo: 1.5, hi: 3, mark: "E", unit: "times", label: "a sieve keeps of what has skins and strings", source: OURS },
  potatoDries: { value: 0.05, lo: 0.03, hi: 0.07, mark: "T", unit: "of the mass", label: "what drying over low heat takes off drained potato", source: PRACTICE },
  greenLoss: { value: 0.07, lo: 0.05, hi: 0.1, mark: "E", unit: "per min", label: "green lost at 100 °C and pH 6.5", source: OURS },
  greenTenfoldK: { value: 45, lo: 35, hi: 55, mark: "E", unit: "K", label: "cooler by so much, green is lost ten times slower", source: OURS },
  greenPerPH: { value: 0.35, lo: 0.25, hi: 0.45, mark: "E", unit: "powers of ten per pH", label: "how much faster green is lost in sour", source: OURS },
} as const;
