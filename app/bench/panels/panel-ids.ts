/** Sheets of a formula, and what each is called. */
export const PANELS = {
  schools: "Schools",
  scale: "Scale",
  aim: "Aim",
  binding: "Binding",
  emulsion: "Emulsion",
  puree: "Purée",
  taste: "Taste",
  salt: "Salt",
  fixes: "Fixes",
  cost: "Cost",
  prep: "Get ready",
  daughters: "Made of it",
} as const;
export type PanelId = keyof typeof PANELS;
