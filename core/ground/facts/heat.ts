/** Heating up and resting. Source: docs/models.md "Heat-up and carry-over". */
const RUNS = "our estimate: conduction runs give 0.54–0.81, real meat also steams";

// prettier-ignore
export const HEAT_FACTS = {
  potHeatTrue: { value: 1, lo: 0.7, hi: 1.3, mark: "E", unit: "×", label: "heat the empty pot takes up", source: "our estimate" },
  carryOver: { value: 0.6, lo: 0.3, hi: 0.8, mark: "E", unit: "share", label: "part of the outer heat that reaches the core while resting", source: RUNS },
  carryTime: { value: 1, lo: 0.6, hi: 1.5, mark: "E", unit: "×", label: "how long the core goes on rising", source: "our estimate, from conduction runs" },
} as const;
