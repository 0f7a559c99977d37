/** What bones and vegetables give up. All our estimates, shaped to trade experience. Source: docs/models.md "Stock". */
const OURS = "our estimate, shaped to trade experience";

// prettier-ignore
export const STOCK_FACTS = {
  gelatinPoultry: { value: 0.03, lo: 0.018, hi: 0.045, mark: "E", unit: "g per g", label: "gelatin poultry bones can give", source: OURS },
  gelatinVeal: { value: 0.05, lo: 0.03, hi: 0.075, mark: "E", unit: "g per g", label: "gelatin veal bones can give", source: OURS },
  solidsPoultry: { value: 0.015, lo: 0.009, hi: 0.024, mark: "E", unit: "g per g", label: "other solids poultry bones can give", source: OURS },
  solidsVeal: { value: 0.012, lo: 0.0072, hi: 0.0192, mark: "E", unit: "g per g", label: "other solids veal bones can give", source: OURS },
  solidsVegetable: { value: 0.025, lo: 0.015, hi: 0.04, mark: "E", unit: "g per g", label: "solids vegetables give", source: OURS },
  gelatinRatePoultry: { value: 0.45, lo: 0.27, hi: 0.72, mark: "E", unit: "per h at 93 °C", label: "how fast poultry bones give gelatin", source: OURS },
  gelatinRateVeal: { value: 0.18, lo: 0.108, hi: 0.288, mark: "E", unit: "per h at 93 °C", label: "how fast veal bones give gelatin", source: OURS },
  solidsRatePoultry: { value: 0.9, lo: 0.54, hi: 1.44, mark: "E", unit: "per h at 93 °C", label: "how fast poultry bones give other solids", source: OURS },
  solidsRateVeal: { value: 0.6, lo: 0.36, hi: 0.96, mark: "E", unit: "per h at 93 °C", label: "how fast veal bones give other solids", source: OURS },
  solidsRateVegetable: { value: 2.5, lo: 1.5, hi: 4, mark: "E", unit: "per h at 93 °C", label: "how fast vegetables give their solids", source: OURS },
  juicePoultry: { value: 0.1, lo: 0.06, hi: 0.14, mark: "E", unit: "g per g", label: "juice raw poultry bones release", source: OURS },
  juiceVeal: { value: 0.06, lo: 0.036, hi: 0.084, mark: "E", unit: "g per g", label: "juice raw veal bones release", source: OURS },
  juiceRoasted: { value: 0.02, lo: 0.012, hi: 0.028, mark: "E", unit: "g per g", label: "juice roasted bones release", source: OURS },
  juiceVegetable: { value: 0.1, lo: 0.06, hi: 0.14, mark: "E", unit: "g per g", label: "juice vegetables release", source: OURS },
  fatPoultry: { value: 0.06, lo: 0.036, hi: 0.084, mark: "E", unit: "g per g", label: "fat that melts out of poultry bones", source: OURS },
  fatVeal: { value: 0.03, lo: 0.018, hi: 0.042, mark: "E", unit: "g per g", label: "fat that melts out of veal bones", source: OURS },
  roastedGelatin: { value: 0.95, lo: 0.95, hi: 0.95, mark: "E", unit: "×", label: "gelatin left to give after roasting", source: OURS },
} as const;
