/** What the steps take for granted until a kitchen has weighed it. Source: docs/models.md "Steps". */
const OURS = "our estimate, to be sharpened by the kitchen’s own weighings";

// prettier-ignore
export const STEP_FACTS = {
  sweatLoss: { value: 0.15, lo: 0.08, hi: 0.25, mark: "E", unit: "share", label: "weight vegetables lose while sweating", source: OURS },
  cureUptake: { value: 0.35, lo: 0.2, hi: 0.5, mark: "E", unit: "share", label: "salt of a dry cure that stays after rinsing", source: OURS },
  bladeRuns: { value: 0.15, lo: 0.05, hi: 0.4, mark: "E", unit: "share", label: "part of a blending step in which the blade cuts starch", source: OURS },
  dustReaches: { value: 0.5, lo: 0.3, hi: 0.7, mark: "T", unit: "share", label: "dusted flour that reaches the pan", source: "common practice, no source" },
  squeezedOut: { value: 0.86, lo: 0.75, hi: 0.95, mark: "E", unit: "of drained", label: "what squeezed leaves and vegetables weigh against drained ones", source: OURS },
  thawDrip: { value: 0.01, lo: 0, hi: 0.03, mark: "E", unit: "share", label: "what a thawed liquor leaves as drip", source: OURS },
  setLoss: { value: 0.03, lo: 0.01, hi: 0.06, mark: "E", unit: "share", label: "weight a custard loses uncovered in the oven", source: OURS },
} as const;
