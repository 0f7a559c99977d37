export { type Term, VOCABULARY, findTerm } from "./vocabulary";
export { type HeardTerm, termsHeard } from "./terms-heard";
export { proposeAmount } from "./proposals";
export { type SaidIngredient } from "./read-clause";
export {
  type DraftPiece,
  type DraftQuestion,
  type RecipeDraft,
  contradictions,
  draftRecipe,
  formulaFromDraft,
} from "./draft";
