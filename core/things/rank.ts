/** Who may do what in a kitchen: four ranks, plain rights. */

export const RANKS = ["chef", "cook", "trainee", "viewer"] as const;
export type Rank = (typeof RANKS)[number];

/**
 * What can be allowed: `read` any page, `log` what happens in a pot, `edit` formulas, larder and kit, see and set what
 * things `cost`, `approve` a version as the standard, and look after the `people` of the kitchen.
 */
export const RIGHTS = ["read", "log", "edit", "cost", "approve", "people"] as const;
export type Right = (typeof RIGHTS)[number];

const HELD: Readonly<Record<Rank, readonly Right[]>> = {
  chef: RIGHTS,
  cook: ["read", "log", "edit", "cost"],
  trainee: ["read", "log"],
  viewer: ["read"],
};

export const may = ({ rank }: { readonly rank: Rank }, right: Right): boolean => HELD[rank].includes(right);

/** What a rank is for, as the page of people says it. */
export const RANK_WORDS: Readonly<Record<Rank, string>> = {
  chef: "everything: signs versions, sees cost, looks after people",
  cook: "writes formulas, larder and kit, sees cost, cooks",
  trainee: "cooks and logs; changes no recipe, sees no cost",
  viewer: "reads and prints; changes nothing",
};

const NEEDED: Readonly<Record<Right, string>> = {
  read: "Sign in first.",
  log: "Cooking and logging is for trainees, cooks and chefs. Nothing was changed.",
  edit: "Formulas, larder and kit are changed by cooks and chefs. Nothing was changed.",
  cost: "What things cost is for cooks and chefs.",
  approve: "A chef signs. Nothing was changed.",
  people: "People are looked after by a chef. Nothing was changed.",
};

/** Why somebody without a right is refused, in a sentence. */
export const refusedWords = (right: Right): string => NEEDED[right];
