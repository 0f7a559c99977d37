import { useEffect, useReducer } from "react";
import { ulid } from "ulid";
import type { KitchenData, Step } from "~/core/formula";
import { type DraftPiece, type RecipeDraft, draftRecipe } from "~/core/words";

export type Verdict = "open" | "taken" | "left";

export interface Piece extends DraftPiece {
  readonly verdict: Verdict;
}

export interface Draft {
  readonly text: string;
  readonly name: string;
  readonly pieces: readonly Piece[];
  readonly unread: readonly string[];
  /** Signs at the end that were not looked at. */
  readonly leftOut: number;
}

export type DraftChange =
  | { readonly type: "said"; readonly text: string; readonly kitchen: KitchenData }
  | { readonly type: "name"; readonly name: string }
  | { readonly type: "verdict"; readonly id: string; readonly verdict: Verdict }
  | { readonly type: "take the clear ones" }
  /** `about` is the question this answers. */
  | { readonly type: "answer"; readonly id: string; readonly about: string; readonly step: Step };

const EMPTY: Draft = { text: "", name: "", pieces: [], unread: [], leftOut: 0 };

/** Whether nothing about a piece is left open. */
export const isClear = (piece: Piece): boolean => piece.questions.length === 0 && piece.doubts.length === 0;

export function changeDraft(draft: Draft, change: DraftChange): Draft {
  switch (change.type) {
    case "said":
      return readAgain(draft, change.text, draftRecipe(change.text, change.kitchen, ulid));
    case "name":
      return { ...draft, name: change.name };
    case "verdict":
      return withPiece(draft, change.id, piece => ({ ...piece, verdict: change.verdict }));
    case "take the clear ones":
      return {
        ...draft,
        pieces: draft.pieces.map(piece =>
          piece.verdict === "open" && isClear(piece) ? { ...piece, verdict: "taken" } : piece,
        ),
      };
    case "answer":
      return withPiece(draft, change.id, piece => ({
        ...piece,
        step: change.step,
        questions: piece.questions.filter(q => q.about !== change.about),
      }));
  }
}

/** What goes in with a piece: the list before the method may say it anew while the words of the piece stay. */
const goesIn = ({ said }: DraftPiece): string =>
  said.map(one => `${one.ingredient.id} ${one.massG ?? "?"}`).join();

/** A clause that was not touched keeps what was answered and decided about it. */
function readAgain(draft: Draft, text: string, read: RecipeDraft): Draft {
  const kept = [...draft.pieces];
  const pieces = read.pieces.map((piece): Piece => {
    const i = kept.findIndex(old => old.text === piece.text && goesIn(old) === goesIn(piece));
    const [same] = i < 0 ? [] : kept.splice(i, 1);
    return same ? { ...same, doubts: piece.doubts } : { ...piece, verdict: "open" };
  });
  return { text, name: read.name || draft.name, pieces, unread: read.unread, leftOut: read.leftOut };
}

const withPiece = (draft: Draft, id: string, change: (piece: Piece) => Piece): Draft => ({
  ...draft,
  pieces: draft.pieces.map(piece => (piece.id === id ? change(piece) : piece)),
});

const KEPT = "hondaro-said-recipe";

/** A recipe in words while it is read; the words stay on this device until a formula was made of them. */
export function useDraft(kitchen: KitchenData): [Draft, (change: DraftChange) => void, () => void] {
  const [draft, dispatch] = useReducer(changeDraft, EMPTY);
  useEffect(() => {
    const text = localStorage.getItem(KEPT);
    if (text) dispatch({ type: "said", text, kitchen });
  }, [kitchen]);
  const change = (next: DraftChange) => {
    if (next.type === "said") localStorage.setItem(KEPT, next.text);
    dispatch(next);
  };
  return [draft, change, () => localStorage.removeItem(KEPT)];
}
