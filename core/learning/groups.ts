/** What a kitchen learns, and how it comes to count. */
export interface Group {
  readonly label: string;
  /** `follows`: every reading counts at once; `proposes`: a chef takes it first. */
  readonly way: "follows" | "proposes";
  readonly unit: string;
  readonly decimals: number;
  /** What it changes, in a cook’s words. */
  readonly changes: string;
}

export const GROUPS = {
  pace: {
    label: "Pace of a pot on its burner",
    way: "follows",
    unit: "× the sums",
    decimals: 2,
    changes: "every reduction in that pot on that burner",
  },
  body: {
    label: "Body, by kind of sauce",
    way: "follows",
    unit: "where the sums say 45",
    decimals: 0,
    changes: "the body of every sauce of that kind",
  },
  dose: {
    label: "What a sauce takes of a seasoning",
    way: "follows",
    unit: "g on the kilo",
    decimals: 2,
    changes: "the first dose at the Stove",
  },
  time: {
    label: "Minutes, sauce by sauce",
    way: "proposes",
    unit: "× the plan",
    decimals: 2,
    changes: "how early the Day sheet begins it",
  },
  yield: {
    label: "What comes out, sauce by sauce",
    way: "proposes",
    unit: "× the plan",
    decimals: 2,
    changes: "how much the Day sheet makes of it",
  },
  extraction: {
    label: "What bones give",
    way: "proposes",
    unit: "× the sums",
    decimals: 2,
    changes: "strength, gelatin and set of every stock of those bones",
  },
  holding: {
    label: "What a sauce loses while it is held",
    way: "proposes",
    unit: "× the sums",
    decimals: 2,
    changes: "salt and body of everything held for service",
  },
  oven: {
    label: "The oven beside its dial",
    way: "proposes",
    unit: "K",
    decimals: 1,
    changes: "everything that roasts and braises, and when to look",
  },
  trim: {
    label: "What is left of what is bought",
    way: "proposes",
    unit: "% of the purchased weight",
    decimals: 1,
    changes: "orders and costs of everything with it",
  },
  piece: {
    label: "What one piece gives",
    way: "proposes",
    unit: "g a piece",
    decimals: 1,
    changes: "how many are ordered, and what a piece weighs in a recipe",
  },
} as const satisfies Record<string, Group>;
export type GroupId = keyof typeof GROUPS;
export const GROUP_IDS = Object.keys(GROUPS) as GroupId[];
