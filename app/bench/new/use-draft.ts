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
  /** The text as it was read, and what became of its words. */
  readonly read: string;
  readonly words: RecipeDraft["words"];
  /** Signs at the end that were not looked at. */
  readonly leftOut: number;
}

export type DraftChange =
  | { readonly type: "said"; readonly text: string; readonly kitchen: KitchenData }
  | { readonly type: "name"; readonly name: string }
  | { readonly type: "verdict"; readonly id: string; readonly verdict: Verdict }
  /** `stuck` are steps that cannot be walked. */
  | { readonly type: "take the clear ones"; readonly stuck?: ReadonlySet<string> }
  | { readonly type: "change"; readonly id: string; readonly step: Step }
  /** `about` is the question this answers. */
  | { readonly type: "answer"; readonly id: string; readonly about: string; readonly step: Step };

export const EMPTY_DRAFT: Draft = {
  text: "",
  name: "",
  pieces: [],
  unread: [],
  read: "",
  words: [],
  leftOut: 0,
};

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
          piece.verdict === "open" && isClear(piece) && !change.stuck?.has(piece.id)
            ? { ...piece, verdict: "taken" }
            : piece,
        ),
      };
    case "change":
      return withPiece(draft, change.id, piece => ({ ...piece, step: change.step }));
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
    return same ? { ...same, doubts: piece.doubts, unknown: piece.unknown } : { ...piece, verdict: "open" };
  });
  // Words lead to the pieces that were kept.
  const ids = new Map(read.pieces.map((piece, i) => [piece.id, pieces[i]?.id]));
  const words = read.words.map(word => {
    const piece = word.piece && ids.get(word.piece);
    return piece ? { ...word, piece } : word;
  });
  return {
    text,
    name: read.name || draft.name,
    pieces,
    unread: read.unread,
    read: read.text,
    words,
    leftOut: read.leftOut,
  };
}

const withPiece = (draft: Draft, id: string, change: (piece: Piece) => Piece): Draft => ({
  ...draft,
  pieces: draft.pieces.map(piece => (piece.id === id ? change(piece) : piece)),
});

const KEPT = "hondaro-said-recipe";

/** A recipe in words while it is read; the words stay on this device until a formula was made of them. */
/** @param brought words that came from a file, in place of those that were kept */
export function useDraft(
  kitchen: KitchenData,
  brought?: string,
): [Draft, (change: DraftChange) => void, () => void] {
  const [draft, dispatch] = useReducer(changeDraft, EMPTY_DRAFT);
  useEffect(() => {
    if (brought) localStorage.setItem(KEPT, brought);
    const text = brought ?? localStorage.getItem(KEPT);
    if (text) dispatch({ type: "said", text, kitchen });
  }, [kitchen, brought]);
  const change = (next: DraftChange) => {
    if (next.type === "said") localStorage.setItem(KEPT, next.text);
    dispatch(next);
  };
  return [draft, change, () => localStorage.removeItem(KEPT)];
}
