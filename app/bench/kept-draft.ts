import { type FormulaDocument, readFormula } from "~/core/formula";

/** A formula as the server held it when an edit of it began. */
export interface BuiltOn {
  readonly rowVersion: number;
  readonly document: FormulaDocument;
}

interface Draft extends BuiltOn {
  /** On its way to the server when the draft was kept: once it has arrived, the draft builds on that. */
  readonly sending: FormulaDocument | null;
}

/** An edit that never reached the server, found again on this device. */
export interface Unsaved {
  readonly document: FormulaDocument;
  /** What it builds on, where somebody has saved since; `null` where it builds on what the server holds. */
  readonly builtOn: BuiltOn | null;
}

/** A draft is of a formula, in a kitchen, by a cook: who else uses the device does not meet it. */
const draftKey = (of: string) => `hondaro-draft-${of}`;
const groundKey = (of: string) => `hondaro-ground-${of}`;

function keep(key: string, what: Draft | BuiltOn): void {
  try {
    localStorage.setItem(key, JSON.stringify(what));
  } catch {
    // No room on this device: the server has it in a moment all the same.
  }
}

/** Keeps an edit, with the version of the row it builds on. */
export const keepDraft = (id: string, draft: Draft): void => keep(draftKey(id), draft);

/** Keeps what the edits build on. It is as large as the formula: once for each version, not at every key. */
export const keepBuiltOn = (id: string, ground: BuiltOn): void => keep(groundKey(id), ground);

export function forgetDraft(id: string): void {
  localStorage.removeItem(draftKey(id));
  localStorage.removeItem(groundKey(id));
}

/** Whether both are the same formula, field by field. */
export const sameFormula = (a: unknown, b: FormulaDocument): boolean => {
  const [one, other] = [readFormula(a), readFormula(b)];
  return one.ok && other.ok && JSON.stringify(one.value) === JSON.stringify(other.value);
};

/** What this device still holds of a formula and the server does not. */
export function unsavedDraft(id: string, stored: BuiltOn): Unsaved | null {
  try {
    const kept = JSON.parse(localStorage.getItem(draftKey(id)) ?? "null") as Draft | null;
    if (!kept) return null;
    const document = readFormula(kept.document);
    if (!document.ok || sameFormula(kept.document, stored.document)) return null;
    const arrived = kept.rowVersion === stored.rowVersion - 1 && sameFormula(kept.sending, stored.document);
    if (kept.rowVersion === stored.rowVersion || arrived) return { document: document.value, builtOn: null };
    // Somebody saved since: both are shown, from what they had in common.
    const ground = JSON.parse(localStorage.getItem(groundKey(id)) ?? "null") as BuiltOn | null;
    const common = ground && readFormula(ground.document);
    if (!ground || !common?.ok || ground.rowVersion !== kept.rowVersion) return null;
    return { document: document.value, builtOn: { rowVersion: ground.rowVersion, document: common.value } };
  } catch {
    return null;
  }
}
