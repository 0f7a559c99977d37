export { type Term, VOCABULARY, findTerm } from "./vocabulary";
export { type HeardTerm, termsHeard } from "./terms-heard";
export { proposeAmount } from "./proposals";
export { type SaidIngredient } from "./reading/pool";
export { type DraftPiece, type DraftQuestion } from "./piece";
export { LONGEST_RECIPE, type RecipeDraft, draftRecipe } from "./draft";
export { formulaFromDraft } from "./formula-from-draft";
export { contradictions } from "./doubts";
export { type ReadOut, readOut } from "./read-out";
