/** Default parameters of the mass balance. Source: docs/models.md "Mass balance". */
const OURS = "our estimate, to be sharpened by the kitchen’s own weighings";

// prettier-ignore
export const POT_FACTS = {
  holdPoultryBones: { value: 0.12, lo: 0.072, hi: 0.168, mark: "E", unit: "g per g", label: "liquor that clings to poultry bones in the strainer", source: OURS },
  holdVealBones: { value: 0.1, lo: 0.06, hi: 0.14, mark: "E", unit: "g per g", label: "liquor that clings to veal bones in the strainer", source: OURS },
  holdMirepoix: { value: 0.25, lo: 0.15, hi: 0.35, mark: "E", unit: "g per g", label: "liquor that stays in cooked mirepoix", source: OURS },
  holdHerbs: { value: 0.6, lo: 0.36, hi: 0.84, mark: "E", unit: "g per g", label: "liquor that stays in herbs and mushroom trim", source: OURS },
  holdFishFrames: { value: 0.15, lo: 0.09, hi: 0.21, mark: "E", unit: "g per g", label: "liquor that clings to fish frames in the strainer", source: OURS },
  holdShells: { value: 0.2, lo: 0.12, hi: 0.28, mark: "E", unit: "g per g", label: "liquor that clings to shells in the strainer", source: OURS },
  holdMeat: { value: 0.04, lo: 0.02, hi: 0.08, mark: "E", unit: "g per g", label: "liquor that clings to meat in the strainer", source: OURS },
  holdBivalves: { value: 0.03, lo: 0.01, hi: 0.06, mark: "E", unit: "g per g", label: "liquor that clings to mussels and clams in the strainer", source: OURS },
  pressedHold: { value: 0.4, lo: 0.3, hi: 0.5, mark: "E", unit: "of drained", label: "what is left of the clinging liquor after firm pressing", source: OURS },
  fatCling: { value: 0.05, lo: 0.02, hi: 0.1, mark: "E", unit: "share", label: "floating fat that stays on strained solids", source: OURS },
  ladleFat: { value: 0.8, lo: 0.6, hi: 0.92, mark: "E", unit: "share", label: "floating fat a ladle takes off", source: OURS },
  ladleCarry: { value: 0.15, lo: 0.09, hi: 0.21, mark: "E", unit: "g per g fat", label: "liquor a ladle carries along", source: OURS },
  chilledFat: { value: 0.98, lo: 0.94, hi: 1, mark: "E", unit: "share", label: "fat lifted off once it has set", source: OURS },
  chilledCarry: { value: 0.02, lo: 0.012, hi: 0.028, mark: "E", unit: "g per g fat", label: "liquor lifted along with set fat", source: OURS },
  fibreEnriched: { value: 2, lo: 1, hi: 5, mark: "E", unit: "×", label: "how much richer in fibre what stays on the sieve is", source: OURS },
  massTrue: { value: 1, lo: 0.995, hi: 1.005, mark: "E", unit: "×", label: "how true a weighed mass is", source: "kitchen scale, ± 0.5 %" },
  densityTrue: { value: 1, lo: 0.997, hi: 1.003, mark: "M", unit: "×", label: "how true the density model is for thin liquors", source: "against handbook densities, ± 0.3 %" },
  elevationTrue: { value: 1, lo: 0.9, hi: 1.1, mark: "M", unit: "×", label: "how far dissolved things raise the boiling point", source: "sugar and salt tables, from memory, ± 10 %" },
  roastLossBones: { value: 0.12, lo: 0.08, hi: 0.2, mark: "E", unit: "share", label: "weight bones lose in the oven, where nothing but their weight is known", source: "the drying law at 200–220 °C, 45–60 min" },
  handTimes: { value: 1, lo: 0.85, hi: 1.25, mark: "E", unit: "×", label: "how long hands and ovens take against the plan", source: OURS },
} as const;
