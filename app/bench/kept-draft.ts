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

/** Whether both are the same formula, field by field. */
export const sameFormula = (a: unknown, b: FormulaDocument): boolean => {
  const [one, other] = [readFormula(a), readFormula(b)];
  return one.ok && other.ok && JSON.stringify(one.value) === JSON.stringify(other.value);
};

const draftKey = (of: string) => `hondaro-draft-${of}`;
const builtOnKey = (of: string) => `hondaro-ground-${of}`;

/** Edits kept on this device. A draft is of a formula, in a kitchen, by a cook: who else uses the device does not meet it. */
export class Drafts {
  readonly #storage: Pick<Storage, "getItem" | "setItem" | "removeItem">;
  constructor(storage: Pick<Storage, "getItem" | "setItem" | "removeItem">) {
    this.#storage = storage;
  }

  /** Keeps an edit, with the version of the row it builds on. */
  keep(of: string, draft: Draft): void {
    this.#write(draftKey(of), draft);
  }

  /** Keeps what the edits build on. */
  keepBuiltOn(of: string, builtOn: BuiltOn): void {
    this.#write(builtOnKey(of), builtOn);
  }

  forget(of: string): void {
    this.#storage.removeItem(draftKey(of));
    this.#storage.removeItem(builtOnKey(of));
  }

  /** What this device still holds of a formula and the server does not. */
  unsaved(of: string, stored: BuiltOn): Unsaved | null {
    try {
      const kept = JSON.parse(this.#storage.getItem(draftKey(of)) ?? "null") as Draft | null;
      if (!kept) return null;
      const document = readFormula(kept.document);
      if (!document.ok || sameFormula(kept.document, stored.document)) return null;
      const arrived = kept.rowVersion === stored.rowVersion - 1 && sameFormula(kept.sending, stored.document);
      if (kept.rowVersion === stored.rowVersion || arrived)
        return { document: document.value, builtOn: null };
      // Somebody saved since: both are shown, from what they had in common.
      const builtOn = JSON.parse(this.#storage.getItem(builtOnKey(of)) ?? "null") as BuiltOn | null;
      const common = builtOn && readFormula(builtOn.document);
      if (!builtOn || !common?.ok || builtOn.rowVersion !== kept.rowVersion) return null;
      return {
        document: document.value,
        builtOn: { rowVersion: builtOn.rowVersion, document: common.value },
      };
    } catch {
      return null;
    }
  }

  #write(key: string, what: Draft | BuiltOn): void {
    try {
      this.#storage.setItem(key, JSON.stringify(what));
    } catch {
      // No room on this device: the server has it in a moment all the same.
    }
  }
}
