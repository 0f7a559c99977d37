/** How gelatin, milk, yolk, purée and droplets of fat give a sauce body. Source: docs/models.md "Body". */
const OURS = "our estimate, to be sharpened by readings of the house’s own sauces";

// prettier-ignore
export const TEXTURE_FACTS = {
  gelatinInWater: { value: 0.4, lo: 0.32, hi: 0.48, mark: "E", unit: "per %", label: "how much a per cent of gelatin, on the water it has, thickens at 60 °C", source: OURS },
  gelatinSteepness: { value: 0.32, lo: 0.26, hi: 0.38, mark: "E", unit: "", label: "how gelatin thickens more the more there is", source: OURS },
  gelatinPerK: { value: 0.006, lo: 0.004, hi: 0.008, mark: "E", unit: "per K", label: "how much more gelatin thickens for each degree under 60 °C", source: OURS },
  dissolvedBody: { value: 2.7, lo: 2.5, hi: 2.9, mark: "E", unit: "", label: "how dissolved solids thicken: a fit to sugar syrups", source: OURS },
  milkDissolves: { value: 0.63, lo: 0.55, hi: 0.7, mark: "M", unit: "of them", label: "milk solids that only dissolve: sugar and salts of milk", source: "composition of skim milk, from memory" },
  milkRoom: { value: 1.25, lo: 1.15, hi: 1.35, mark: "M", unit: "ml/g", label: "room that milk solids take up by their protein", source: "laws of milk concentrates after Snoeren and others 1982, from memory" },
  milkSwells: { value: 0.4, lo: 0.3, hi: 0.5, mark: "E", unit: "", label: "how that room grows as milk is taken down", source: OURS },
  milkPacked: { value: 0.79, lo: 0.75, hi: 0.83, mark: "M", unit: "by volume", label: "milk protein packed as close as it gets", source: "laws of milk concentrates after Snoeren and others 1982, from memory" },
  setProteinBinds: { value: 1.9, lo: 1.2, hi: 2.6, mark: "E", unit: "g/g", label: "flour that a gram of protein stands for in crème fraîche, cultured cream and fresh cheese", source: OURS },
  moltenCheeseBinds: { value: 0.8, lo: 0.5, hi: 1.1, mark: "E", unit: "g/g", label: "flour that a gram of protein stands for in molten cheese", source: OURS },
  setFatDoublesGPerKg: { value: 17, lo: 12, hi: 24, mark: "E", unit: "g/kg", label: "solid fat, cold, that doubles the body of water", source: OURS },
  setFatPower: { value: 4, lo: 3, hi: 4.5, mark: "M", unit: "", label: "how steeply fat that has set stiffens a sauce", source: "networks of fat crystals: third to fourth power, from memory" },
  yolkSetC: { value: 77, lo: 74, hi: 80, mark: "E", unit: "°C", label: "where half of a yolk’s binding is done", source: OURS },
  yolkWidthC: { value: 2.2, lo: 1.7, hi: 2.7, mark: "E", unit: "K", label: "how sharply yolk sets", source: OURS },
  yolkHalfGPerKg: { value: 30, lo: 25, hi: 36, mark: "E", unit: "g/kg", label: "yolk that doubles the body of a thin liquor", source: OURS },
  yolkPower: { value: 2.8, lo: 2.5, hi: 3.1, mark: "E", unit: "", label: "how steeply yolk thickens", source: OURS },
  pureeApartGPerKg: { value: 1.8, lo: 1.4, hi: 2.2, mark: "E", unit: "g/kg", label: "standing solids of a purée at which its cells, apart, double its body", source: OURS },
  pureeApartPower: { value: 2.2, lo: 2, hi: 2.6, mark: "M", unit: "", label: "how steeply cells that lie apart thicken", source: "tomato: about the 2.5th power of its solids, from memory" },
  pureePackedGPerKg: { value: 5.6, lo: 5.1, hi: 6.2, mark: "E", unit: "g/kg", label: "standing solids of a purée at which its cells, packed, double its body", source: OURS },
  pureePackedPower: { value: 5, lo: 4.5, hi: 5.6, mark: "M", unit: "", label: "how steeply packed cells thicken", source: "packed plant cells: third to fifth power, from memory" },
  pureeStiffFrom: { value: 12, lo: 9, hi: 15, mark: "E", unit: "g/kg", label: "standing solids from which droplets no longer stiffen a purée", source: OURS },
  pureeStiffAt: { value: 30, lo: 22, hi: 38, mark: "E", unit: "g/kg", label: "standing solids at which droplets add nothing to a purée", source: OURS },
  dropletRise: { value: 2.3, lo: 2.1, hi: 2.5, mark: "E", unit: "", label: "how steeply droplets of fat thicken", source: OURS },
  dropletCoat: { value: 0.3, lo: 0.2, hi: 0.4, mark: "E", unit: "", label: "how much larger a droplet counts for the coat it has", source: OURS },
  dropletCluster: { value: 0.25, lo: 0, hi: 0.3, mark: "E", unit: "", label: "how much larger still where milk protein clusters the droplets: cream", source: OURS },
  crowdedMPas: { value: 8, lo: 6, hi: 10.5, mark: "E", unit: "mPa·s", label: "what the water phase counts for once the droplets carry the sauce", source: OURS },
} as const;
