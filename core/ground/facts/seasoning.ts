/** What can be tasted, and what sugar loses on its way to caramel. Source: docs/models.md "Balance", "Gastrique". */
const BOOK = "a handbook of taste of 1965, from memory; publications differ by a factor of three";
const UMAMI = "a study of 1967 on glutamate and nucleotides, from memory";
const OURS = "our estimate";

// prettier-ignore
export const TASTE_FACTS = {
  saltThreshold: { value: 0.58, lo: 0.35, hi: 0.95, mark: "M", unit: "g/kg", label: "salt that can just be tasted in water", source: BOOK },
  sweetThreshold: { value: 3.4, lo: 2, hi: 5.8, mark: "M", unit: "g/kg", label: "sugar that can just be tasted in water", source: BOOK },
  bitterThreshold: { value: 0.14, lo: 0.08, hi: 0.24, mark: "M", unit: "g/kg", label: "what is bitter, as caffeine, that can just be tasted in water", source: BOOK },
  aceticThreshold: { value: 0.11, lo: 0.065, hi: 0.19, mark: "M", unit: "g/kg", label: "vinegar acid that can just be tasted in water", source: BOOK },
  citricThreshold: { value: 0.2, lo: 0.12, hi: 0.34, mark: "M", unit: "g/kg", label: "lemon’s acid that can just be tasted in water", source: BOOK },
  lacticThreshold: { value: 0.14, lo: 0.08, hi: 0.24, mark: "M", unit: "g/kg", label: "sour milk’s acid that can just be tasted in water", source: BOOK },
  malicThreshold: { value: 0.2, lo: 0.12, hi: 0.34, mark: "M", unit: "g/kg", label: "the apple’s acid that can just be tasted in water", source: BOOK },
  tartaricThreshold: { value: 0.18, lo: 0.1, hi: 0.3, mark: "M", unit: "g/kg", label: "wine’s own acid that can just be tasted in water", source: BOOK },
  umamiThreshold: { value: 0.12, lo: 0.07, hi: 0.2, mark: "M", unit: "g/kg", label: "glutamate that can just be tasted in water", source: UMAMI },
  umamiSynergy: { value: 1218, lo: 900, hi: 1500, mark: "M", unit: "per %", label: "how nucleotides multiply glutamate", source: UMAMI },
  lightCaramelMass: { value: 0.02, lo: 0.01, hi: 0.03, mark: "E", unit: "of the sugar", label: "mass lost by light caramel", source: OURS },
  lightCaramelSweet: { value: 0.02, lo: 0.01, hi: 0.04, mark: "E", unit: "of the sugar", label: "sweetness lost by light caramel", source: OURS },
  amberCaramelMass: { value: 0.05, lo: 0.03, hi: 0.07, mark: "E", unit: "of the sugar", label: "mass lost by amber caramel", source: OURS },
  amberCaramelSweet: { value: 0.08, lo: 0.05, hi: 0.12, mark: "E", unit: "of the sugar", label: "sweetness lost by amber caramel", source: OURS },
  darkCaramelMass: { value: 0.08, lo: 0.05, hi: 0.11, mark: "E", unit: "of the sugar", label: "mass lost by dark caramel", source: OURS },
  darkCaramelSweet: { value: 0.2, lo: 0.14, hi: 0.28, mark: "E", unit: "of the sugar", label: "sweetness lost by dark caramel", source: OURS },
  acidBesideStrong: { value: 3, lo: 2, hi: 4, mark: "E", unit: "times its share", label: "how much more acid a strong addition wants", source: OURS },
} as const;
