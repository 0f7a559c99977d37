import type { AmountRelation, StepKindName } from "../formula";

/** What is usual where an amount is missing: always assumed until somebody weighs it. Common practice, no source. */
interface Proposal {
  readonly amount: AmountRelation;
  readonly words: string;
}

const perLitre = (gPerL: number, words: string): Proposal => ({
  amount: { kind: "per-litre", gPerL },
  words,
});

const BY_INGREDIENT: Readonly<Record<string, Proposal>> = {
  "wheat-flour": perLitre(60, "60 g a litre binds to a medium body"),
  "buckwheat-flour": perLitre(55, "55 g a litre"),
  "rice-flour": perLitre(50, "50 g a litre"),
  butter: perLitre(60, "as much butter as flour"),
  "corn-starch": perLitre(25, "25 g a litre"),
  arrowroot: perLitre(20, "20 g a litre"),
  "potato-starch": perLitre(20, "20 g a litre"),
  "egg-yolk": perLitre(54, "three yolks a litre"),
  cream: perLitre(100, "100 g a litre"),
  salt: { amount: { kind: "to-reach", what: "salt", value: 0.9 }, words: "to 0.9 % salt" },
  "bay-leaf": perLitre(0.2, "a leaf for each litre"),
  thyme: perLitre(0.8, "a sprig a litre"),
  peppercorns: perLitre(0.5, "half a gram a litre"),
  "parsley-stems": perLitre(4, "4 g a litre"),
  "sherry-vinegar": perLitre(4, "4 g a litre, half first"),
  "lemon-juice": perLitre(5, "5 g a litre, half first"),
  nutmeg: perLitre(0.2, "a scrape a litre"),
  cayenne: perLitre(0.15, "a small pinch a litre"),
  "white-pepper": perLitre(0.4, "four turns a litre"),
  "wine-vinegar": perLitre(5, "a teaspoon a litre"),
  "red-wine-vinegar": perLitre(5, "a teaspoon a litre"),
  "sunflower-oil": { amount: { kind: "share-of-base", pct: 2 }, words: "2 % of the base" },
  parsley: perLitre(8, "two spoons a litre"),
  chives: perLitre(6, "two spoons a litre"),
  chervil: perLitre(4, "a spoon a litre"),
  tarragon: perLitre(4, "a spoon a litre"),
  dill: perLitre(6, "two spoons a litre"),
  basil: perLitre(6, "three sprigs a litre"),
  mint: perLitre(4, "three sprigs a litre"),
  rosemary: perLitre(2, "a sprig a litre"),
  "sesame-oil": perLitre(3, "a thread over it"),
  "lime-juice": perLitre(8, "two teaspoons a litre, half first"),
  water: perLitre(1100, "a little more than comes out"),
};

const BY_STEP: Partial<Record<StepKindName, Readonly<Record<string, Proposal>>>> = {
  mount: { butter: perLitre(30, "30 g a litre finishes a sauce") },
  liaison: { cream: perLitre(250, "250 g a litre beside three yolks") },
  sweat: { butter: { amount: { kind: "share-of-base", pct: 3 }, words: "3 % of the base to sweat in" } },
  brown: {
    "sunflower-oil": { amount: { kind: "share-of-base", pct: 2 }, words: "2 % of the base to fry in" },
  },
};

/**
 * The amount that is usual for an ingredient in a step; `null` where nobody can guess.
 * @example proposeAmount("wheat-flour", "thicken") // 60 g a litre: 240 g in 4 l
 */
export const proposeAmount = (ingredientId: string, step: StepKindName): Proposal | null =>
  BY_STEP[step]?.[ingredientId] ?? BY_INGREDIENT[ingredientId] ?? null;
