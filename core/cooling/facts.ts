/** How fast a bath takes heat. Source: docs/models.md "Cooling". */
const OURS = "our estimate";

// prettier-ignore
export const COOLING_FACTS = {
  iceBathStirred: { value: 250, lo: 150, hi: 400, mark: "E", unit: "W/(m² K)", label: "heat a stirred ice bath takes", source: OURS },
  iceBathC: { value: 1, lo: 0, hi: 2.5, mark: "E", unit: "°C", label: "temperature of the ice bath", source: OURS },
  walkInTrue: { value: 1, lo: 0.7, hi: 1.4, mark: "E", unit: "×", label: "how well the walk-in cools", source: OURS },
  walkInC: { value: 3, lo: 1.5, hi: 4.5, mark: "E", unit: "°C", label: "temperature of the walk-in", source: OURS },
} as const;
