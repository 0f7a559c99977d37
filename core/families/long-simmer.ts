import type { FormulaDocument } from "../formula";
import { familyById } from "./all";

/** Marks in a formula that somebody has settled a simmer longer than the family's. */
const MEANT = { choice: "long-simmer", school: "meant" } as const;

/** A simmer longer than is sensible for the family, that nobody has confirmed. */
export interface LongSimmer {
  readonly stepId: string;
  readonly minutes: number;
  readonly atMostMin: number;
  readonly familyName: string;
}

/** The first simmer with which a formula goes over what its family takes; `null` when it does not or is meant to. */
export function longSimmer(document: FormulaDocument): LongSimmer | null {
  const family = familyById(document.family);
  if (!family?.simmerAtMostMin || document.choices[MEANT.choice] === MEANT.school) return null;
  let minutes = 0;
  for (const step of document.steps) {
    if (step.kind !== "simmer") continue;
    minutes += step.durationMin;
    if (minutes > family.simmerAtMostMin)
      return { stepId: step.id, minutes, atMostMin: family.simmerAtMostMin, familyName: family.name };
  }
  return null;
}

/** The formula with its long simmer confirmed. */
export const meansLongSimmer = (document: FormulaDocument): FormulaDocument => ({
  ...document,
  choices: { ...document.choices, [MEANT.choice]: MEANT.school },
});
