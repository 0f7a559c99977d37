export { type Term, VOCABULARY, findTerm } from "./vocabulary";
export { proposeAmount } from "./proposals";
export { type SaidIngredient } from "./read-clause";
export { type DraftPiece, type RecipeDraft, contradictions, draftRecipe, formulaFromDraft } from "./draft";
