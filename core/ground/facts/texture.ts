/** How gelatin, milk, yolk, purée and droplets of fat give a sauce body. Source: docs/models.md "Body". */
const OURS = "our estimate, to be sharpened by readings of the house’s own sauces";

// prettier-ignore
export const TEXTURE_FACTS = {
  gelatinBody: { value: 0.3, lo: 0.24, hi: 0.36, mark: "E", unit: "per %", label: "how much a per cent of gelatin thickens", source: OURS },
  gelatinCurve: { value: 0.35, lo: 0.28, hi: 0.42, mark: "E", unit: "", label: "how gelatin thickens more the more there is", source: OURS },
  dissolvedBody: { value: 2.7, lo: 2.5, hi: 2.9, mark: "E", unit: "", label: "how dissolved solids thicken: a fit to sugar syrups", source: OURS },
  milkBody: { value: 5, lo: 4, hi: 6, mark: "E", unit: "", label: "how the solids of milk thicken", source: OURS },
  yolkSetC: { value: 77, lo: 74, hi: 80, mark: "E", unit: "°C", label: "where half of a yolk’s binding is done", source: OURS },
  yolkWidthC: { value: 2.2, lo: 1.7, hi: 2.7, mark: "E", unit: "K", label: "how sharply yolk sets", source: OURS },
  yolkHalfGPerKg: { value: 30, lo: 25, hi: 36, mark: "E", unit: "g/kg", label: "yolk that doubles the body of a thin liquor", source: OURS },
  yolkPower: { value: 2.8, lo: 2.5, hi: 3.1, mark: "E", unit: "", label: "how steeply yolk thickens", source: OURS },
  pureeHalfGPerKg: { value: 2.2, lo: 1.9, hi: 2.6, mark: "E", unit: "g/kg", label: "fibre and starch of a purée that double its body", source: OURS },
  pureePower: { value: 3.1, lo: 2.9, hi: 3.3, mark: "E", unit: "", label: "how steeply a purée thickens", source: OURS },
  dropletRise: { value: 2.3, lo: 2.1, hi: 2.5, mark: "E", unit: "", label: "how steeply droplets of fat thicken", source: OURS },
  crowdedMPas: { value: 8, lo: 6, hi: 10.5, mark: "E", unit: "mPa·s", label: "what the water phase counts for once the droplets carry the sauce", source: OURS },
} as const;
