/** How long a sauce with egg in it is kept, at most. Source: docs/models.md "Emulsions". */
const PRACTICE = "common practice, no source; your local food code decides";

// prettier-ignore
export const EGG_FACTS = {
  rawEggDays: { value: 1, lo: 1, hi: 1, mark: "T", unit: "days", label: "a sauce with raw egg is kept", source: PRACTICE },
  pasteurisedEggDays: { value: 3, lo: 3, hi: 3, mark: "T", unit: "days", label: "a cold sauce with pasteurised egg is kept", source: PRACTICE },
} as const;
