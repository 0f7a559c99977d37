/** How long a sauce with egg in it is kept, what holds an emulsion, and what beats it. Source: docs/models.md "Emulsions". */
const PRACTICE = "common practice, no source; your local food code decides";

// prettier-ignore
export const EGG_FACTS = {
  rawEggDays: { value: 1, lo: 1, hi: 1, mark: "T", unit: "days", label: "a sauce with raw egg is kept", source: PRACTICE },
  pasteurisedEggDays: { value: 3, lo: 3, hi: 3, mark: "T", unit: "days", label: "a cold sauce with pasteurised egg is kept", source: PRACTICE },
} as const;

const OURS = "our estimate, to be sharpened by what the house’s own emulsions hold";
const BEGINNERS = "common practice, no source: safe for beginners; far more is possible with enough water";

// prettier-ignore
export const EMULSION_FACTS = {
  yolkHolds: { value: 10, lo: 9, hi: 12, mark: "T", unit: "g/g", label: "oil a gram of yolk holds", source: BEGINNERS },
  wholeEggHolds: { value: 6, lo: 4.5, hi: 7.5, mark: "E", unit: "g/g", label: "oil a gram of whole egg holds", source: OURS },
  eggWhiteHolds: { value: 5, lo: 3.5, hi: 6.5, mark: "E", unit: "g/g", label: "oil a gram of egg white holds", source: OURS },
  mustardHolds: { value: 3, lo: 2, hi: 4, mark: "E", unit: "g/g", label: "oil a gram of mustard holds", source: OURS },
  lecithinHolds: { value: 75, lo: 50, hi: 100, mark: "E", unit: "g/g", label: "oil a gram of lecithin holds", source: OURS },
  milkHolds: { value: 2.2, lo: 1.6, hi: 2.8, mark: "E", unit: "g/g", label: "oil a gram of milk holds", source: OURS },
  butterSolidsHold: { value: 60, lo: 40, hi: 80, mark: "E", unit: "g/g", label: "butterfat a gram of butter’s milk solids holds", source: OURS },
  garlicHolds: { value: 4, lo: 2.5, hi: 5.5, mark: "E", unit: "g/g", label: "oil a gram of pounded garlic holds", source: OURS },
  pureeHolds: { value: 0.8, lo: 0.5, hi: 1.2, mark: "E", unit: "g/g", label: "oil a gram of vegetable purée holds", source: OURS },
  yolkStiffens: { value: 1, lo: 0.85, hi: 1.15, mark: "E", unit: "", label: "how far yolk thickens the water phase", source: OURS },
  wholeEggStiffens: { value: 0.5, lo: 0.4, hi: 0.6, mark: "E", unit: "of yolk", label: "how far whole egg thickens the water phase", source: OURS },
  eggWhiteStiffens: { value: 0.25, lo: 0.15, hi: 0.35, mark: "E", unit: "of yolk", label: "how far egg white thickens the water phase", source: OURS },
  mustardStiffens: { value: 0.6, lo: 0.45, hi: 0.75, mark: "E", unit: "of yolk", label: "how far mustard thickens the water phase", source: OURS },
  milkStiffens: { value: 0.1, lo: 0.05, hi: 0.15, mark: "E", unit: "of yolk", label: "how far milk thickens the water phase", source: OURS },
  garlicStiffens: { value: 0.8, lo: 0.6, hi: 1, mark: "E", unit: "of yolk", label: "how far pounded garlic thickens the water phase", source: OURS },
  pureeStiffens: { value: 0.6, lo: 0.45, hi: 0.75, mark: "E", unit: "of yolk", label: "how far a vegetable purée thickens the water phase", source: OURS },
  phaseRise: { value: 6.2, lo: 5.5, hi: 6.9, mark: "E", unit: "", label: "how steeply the water phase thickens with what is in it", source: OURS },
  ribbonYolk: { value: 2, lo: 1.5, hi: 2.6, mark: "E", unit: "times", label: "a yolk whisked warm to the ribbon thickens its water phase", source: OURS },
  forkPace: { value: 0.002, lo: 0.0013, hi: 0.003, mark: "E", unit: "g/s per g", label: "oil a fork beats in, for each gram in the bowl", source: OURS },
  whiskPace: { value: 0.0045, lo: 0.003, hi: 0.006, mark: "E", unit: "g/s per g", label: "oil a whisk beats in, for each gram in the bowl", source: OURS },
  standMixerPace: { value: 0.006, lo: 0.004, hi: 0.009, mark: "E", unit: "g/s per g", label: "oil a stand mixer beats in, for each gram in the bowl", source: OURS },
  processorPace: { value: 0.012, lo: 0.008, hi: 0.018, mark: "E", unit: "g/s per g", label: "oil a food processor beats in, for each gram in the bowl", source: OURS },
  jarBlenderPace: { value: 0.015, lo: 0.01, hi: 0.022, mark: "E", unit: "g/s per g", label: "oil a jar blender beats in, for each gram in the bowl", source: OURS },
  stickBlenderPace: { value: 0.1, lo: 0.06, hi: 0.15, mark: "E", unit: "g/s per g", label: "oil a stick blender beats in, for each gram in the bowl", source: OURS },
  homogeniserPace: { value: 0.1, lo: 0.06, hi: 0.15, mark: "E", unit: "g/s per g", label: "oil a homogeniser beats in, for each gram in the bowl", source: OURS },
  forkDose: { value: 0.06, lo: 0.04, hi: 0.08, mark: "E", unit: "of what holds", label: "oil in one dose by fork", source: OURS },
  whiskDose: { value: 0.1, lo: 0.07, hi: 0.13, mark: "E", unit: "of what holds", label: "oil in one dose by whisk", source: OURS },
  standMixerDose: { value: 0.12, lo: 0.08, hi: 0.16, mark: "E", unit: "of what holds", label: "oil in one dose by stand mixer", source: OURS },
  processorDose: { value: 0.2, lo: 0.14, hi: 0.26, mark: "E", unit: "of what holds", label: "oil in one dose by food processor", source: OURS },
  jarBlenderDose: { value: 0.2, lo: 0.14, hi: 0.26, mark: "E", unit: "of what holds", label: "oil in one dose by jar blender", source: OURS },
  forkFineness: { value: 0.6, lo: 0.5, hi: 0.7, mark: "E", unit: "", label: "how fine a fork beats, beside a food processor", source: OURS },
  whiskFineness: { value: 0.85, lo: 0.75, hi: 0.95, mark: "E", unit: "", label: "how fine a whisk beats, beside a food processor", source: OURS },
  standMixerFineness: { value: 0.9, lo: 0.8, hi: 1, mark: "E", unit: "", label: "how fine a stand mixer beats, beside a food processor", source: OURS },
  jarBlenderFineness: { value: 1, lo: 0.9, hi: 1.1, mark: "E", unit: "", label: "how fine a jar blender beats, beside a food processor", source: OURS },
  stickBlenderFineness: { value: 1.2, lo: 1.05, hi: 1.35, mark: "E", unit: "", label: "how fine a stick blender beats, beside a food processor", source: OURS },
  homogeniserFineness: { value: 1.6, lo: 1.3, hi: 1.9, mark: "E", unit: "", label: "how fine a homogeniser beats, beside a food processor", source: OURS },
  forkLeast: { value: 20, lo: 15, hi: 25, mark: "E", unit: "g", label: "water phase a fork can catch, at least", source: OURS },
  whiskLeast: { value: 25, lo: 20, hi: 30, mark: "E", unit: "g", label: "water phase a whisk can catch, at least", source: OURS },
  standMixerLeast: { value: 120, lo: 90, hi: 150, mark: "E", unit: "g", label: "water phase a stand mixer can catch, at least", source: OURS },
  processorLeast: { value: 150, lo: 110, hi: 190, mark: "E", unit: "g", label: "water phase a food processor can catch, at least", source: OURS },
  jarBlenderLeast: { value: 150, lo: 110, hi: 190, mark: "E", unit: "g", label: "water phase a jar blender can catch, at least", source: OURS },
  stickBlenderLeast: { value: 60, lo: 45, hi: 75, mark: "E", unit: "g", label: "water phase a stick blender can catch, at least", source: OURS },
  homogeniserLeast: { value: 200, lo: 150, hi: 250, mark: "E", unit: "g", label: "water phase a homogeniser can catch, at least", source: OURS },
} as const;
