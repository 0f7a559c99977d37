/** What alcohol a method leaves. Source: docs/models.md "Alcohol". */
const TABLE = "USDA Table of Nutrient Retention Factors, Release 6, 2007, from memory";

// prettier-ignore
export const ALCOHOL_FACTS = {
  steamMixing: { value: 1, lo: 0.5, hi: 1, mark: "E", unit: "×", label: "how fully the steam takes alcohol along", source: "our estimate: incomplete mixing, reflux on the wall, a cool surface" },
  retentionTrue: { value: 1, lo: 0.6, hi: 1.5, mark: "E", unit: "×", label: "how far a dish may be from the retention table", source: "our estimate" },
  keptOffHeat: { value: 0.85, lo: 0.85, hi: 0.85, mark: "M", unit: "share", label: "alcohol left when it goes into a boiling liquid that is taken off at once", source: TABLE },
  keptFlamed: { value: 0.75, lo: 0.75, hi: 0.75, mark: "M", unit: "share", label: "alcohol left after flaming", source: TABLE },
} as const;
