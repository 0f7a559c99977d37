/** How starch thickens, and what each thickener is worth beside white flour. Source: docs/models.md "Starch". */
const OURS = "our estimate, to be sharpened by readings of the house’s own sauces";
const TABLE = "a cookery school’s roux-replacement table, from memory";
const PRACTICE = "common practice, no source";

// prettier-ignore
export const THICKENING_FACTS = {
  starchPower: { value: 3.2, lo: 3.0, hi: 3.4, mark: "E", unit: "", label: "how steeply starch thickens", source: OURS },
  starchThreshold: { value: 9.2, lo: 8.4, hi: 10, mark: "E", unit: "g/kg", label: "flour per kg of fat-free sauce from which it can be felt", source: OURS },
} as const;

// prettier-ignore
export const THICKENER_FACTS = {
  wholeflourPower: { value: 0.85, lo: 0.75, hi: 0.95, mark: "E", unit: "g flour per g", label: "wholemeal flour, in white flour", source: OURS },
  cornPower: { value: 2, lo: 1.76, hi: 2.24, mark: "M", unit: "g flour per g", label: "corn starch, in white flour", source: TABLE },
  arrowrootPower: { value: 2, lo: 1.6, hi: 2.4, mark: "M", unit: "g flour per g", label: "arrowroot, in white flour", source: TABLE },
  potatoPower: { value: 4, lo: 3.2, hi: 4.8, mark: "E", unit: "g flour per g", label: "potato starch, in white flour", source: OURS },
  tapiocaPower: { value: 2.5, lo: 2, hi: 3, mark: "M", unit: "g flour per g", label: "tapioca, in white flour", source: TABLE },
  ricePower: { value: 1.667, lo: 1.467, hi: 1.867, mark: "M", unit: "g flour per g", label: "rice flour, in white flour", source: TABLE },
  ricepureePower: { value: 0.9, lo: 0.79, hi: 1.01, mark: "E", unit: "g flour per g", label: "rice, cooked soft and blended, in white flour", source: OURS },
  waxyPower: { value: 2.4, lo: 2.1, hi: 2.7, mark: "E", unit: "g flour per g", label: "waxy maize starch, in white flour", source: OURS },
  modifiedPower: { value: 2, lo: 1.76, hi: 2.24, mark: "E", unit: "g flour per g", label: "modified starch, in white flour", source: OURS },
  xanthanPower: { value: 17, lo: 12, hi: 25, mark: "E", unit: "g flour per g", label: "xanthan, in white flour", source: OURS },
  rouxBlond: { value: 0.9, lo: 0.9, hi: 0.9, mark: "E", unit: "of its power", label: "what a blond roux keeps", source: OURS },
  rouxBrown: { value: 0.67, lo: 0.6, hi: 0.74, mark: "T", unit: "of its power", label: "what a brown roux keeps", source: PRACTICE },
  rouxDark: { value: 0.4, lo: 0.32, hi: 0.48, mark: "T", unit: "of its power", label: "what a dark roux keeps", source: PRACTICE },
} as const;
