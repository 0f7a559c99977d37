import type { FormulaDocument } from "~/core/formula";

export interface StoredHead {
  readonly rowVersion: number;
  readonly number: number;
  readonly document: FormulaDocument;
  readonly editedBy: string;
}

export type SaveReply =
  | { readonly kind: "saved"; readonly rowVersion: number; readonly number: number }
  | { readonly kind: "refused"; readonly message: string }
  | { readonly kind: "conflict"; readonly theirs: StoredHead }
  | { readonly kind: "unreachable" };

/** `taken`: something cooks on that burner; said once, and cooked there all the same when it is sent again. */
export type CookReply = { readonly runId: string } | { readonly problem: string; readonly taken?: string };
