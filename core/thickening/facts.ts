/** How starch thickens. Source: docs/models.md "Starch". */
const OURS = "our estimate, to be sharpened by readings of the house’s own sauces";

// prettier-ignore
export const THICKENING_FACTS = {
  starchPower: { value: 3.2, lo: 3.0, hi: 3.4, mark: "E", unit: "", label: "how steeply starch thickens", source: OURS },
  starchThreshold: { value: 9.2, lo: 8.4, hi: 10, mark: "E", unit: "g/kg", label: "flour per kg of fat-free sauce from which it can be felt", source: OURS },
  xanthanPower: { value: 17, lo: 12, hi: 25, mark: "E", unit: "g flour per g", label: "flour one gram of xanthan stands for", source: OURS },
} as const;
