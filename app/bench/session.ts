import type { FormulaDocument } from "~/core/formula";
import { type BuiltOn, Drafts, sameFormula } from "./kept-draft";
import type { SaveReply, StoredHead } from "./replies";

/** Typing pauses this long before the formula is saved, ms. */
const PAUSE_MS = 700;
/** The rows in view follow every key; the rest of the page is drawn again when the typing pauses this long, ms. */
const SETTLED_AFTER_MS = 250;
/** A key is kept on this device so long after it at most: the frame that shows it comes first, ms. */
const KEPT_AFTER_MS = 50;
const TRY_AGAIN_MS = 4000;
const MOST_UNDO = 200;

/** What was done and can be undone. */
export interface History {
  readonly past: readonly FormulaDocument[];
  readonly present: FormulaDocument;
  readonly future: readonly FormulaDocument[];
  /** Name of the last edit: typing on in the same field makes one undo, not one per key. */
  readonly tag: string;
}

export type SaveState = "saved" | "waiting" | "saving" | "offline" | "refused" | "conflict";

/** The formula as a page is drawn from it. */
export interface Settled {
  readonly document: FormulaDocument;
  readonly number: number;
  readonly rowVersion: number;
  readonly saveState: SaveState;
  readonly savedAt: number | null;
  readonly refusal: string | null;
  /** What somebody else saved meanwhile. */
  readonly theirs: StoredHead | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** What this page started from: the common ground of mine and theirs. */
  readonly base: FormulaDocument;
}

/** What a session needs of the world around it. */
export interface SessionWorld {
  readonly storage: Pick<Storage, "getItem" | "setItem" | "removeItem">;
  readonly now: () => number;
  /** Does something later. @returns what calls it off */
  readonly after: (ms: number, work: () => void) => () => void;
  readonly send: (rowVersion: number, document: FormulaDocument) => Promise<SaveReply>;
  /** What was done and undone in formulas that were left, as long as the application is open. */
  readonly left: Map<string, History>;
}

/** Whether the page may take its time to follow: somebody is typing, and the rows in view have followed already. */
type Pace = "now" | "lazily";

/** Whether both have the same steps in the same order. */
const sameRows = (a: FormulaDocument, b: FormulaDocument): boolean =>
  a.steps.length === b.steps.length && a.steps.every((step, i) => step.id === b.steps[i]?.id);

/**
 * A formula on the Bench, from the moment it is opened: edits, undo, what is kept on this device, saving by itself, and
 * what to do when two cooks save at once.
 *
 * It has two views: *typed*, to the last key, and *settled*, which follows when the typing pauses. All else is a consequence
 * of the two and of what the server has said last.
 */
export class BenchSession {
  readonly #id: string;
  readonly #stored: StoredHead;
  readonly #world: SessionWorld;
  readonly #drafts: Drafts;
  #typed: History;
  #settled: History;
  /** What the server holds, as far as this page knows. */
  #head: Pick<StoredHead, "rowVersion" | "number" | "document">;
  #builtOn: BuiltOn;
  #keptBuiltOn: BuiltOn | null = null;
  #theirs: StoredHead | null = null;
  #refusal: string | null = null;
  #offline = false;
  #savedAt: number | null = null;
  /** Sent last, and whether an answer is still awaited. */
  #sent: FormulaDocument | null = null;
  #sending = false;
  #keepLater: (() => void) | null = null;
  #settleLater: (() => void) | null = null;
  #saveLater: (() => void) | null = null;
  readonly #onTyped = new Set<() => void>();
  readonly #onSettled = new Set<(pace: Pace) => void>();

  /** @param id of the formula, for one cook in one kitchen: what waits on this device is kept under it */
  constructor(id: string, stored: StoredHead, world: SessionWorld) {
    this.#id = id;
    this.#stored = stored;
    this.#world = world;
    this.#drafts = new Drafts(world.storage);
    this.#head = stored;
    this.#builtOn = stored;
    this.#typed = this.#settled = { past: [], present: stored.document, future: [], tag: "" };
  }

  /** To the last key. */
  readonly typed = (): FormulaDocument => this.#typed.present;
  readonly onTyped = (listener: () => void): (() => void) => {
    this.#onTyped.add(listener);
    return () => this.#onTyped.delete(listener);
  };
  readonly onSettled = (listener: (pace: Pace) => void): (() => void) => {
    this.#onSettled.add(listener);
    return () => this.#onSettled.delete(listener);
  };

  settled(): Settled {
    const { present, past, future } = this.#settled;
    return {
      document: present,
      number: this.#head.number,
      rowVersion: this.#head.rowVersion,
      saveState: this.#saveState(),
      savedAt: this.#savedAt,
      refusal: this.#refusal,
      theirs: this.#theirs,
      canUndo: past.length > 0,
      canRedo: future.length > 0,
      base: this.#head.document,
    };
  }

  /** The first look, once the page lives: what an earlier visit could not save, or what it had done and undone. */
  open(): void {
    const kept = this.#drafts.unsaved(this.#id, this.#stored);
    if (kept?.builtOn) {
      this.#builtOn = kept.builtOn;
      this.#head = { ...kept.builtOn, number: this.#stored.number };
      this.#theirs = this.#stored;
    }
    if (kept) return this.#become(this.#replaced(kept.document));
    const earlier = this.#world.left.get(this.#id);
    if (!earlier || !sameFormula(earlier.present, this.#stored.document)) return;
    this.#typed = { ...earlier, present: this.#stored.document, tag: "" };
    this.settle();
  }

  /** Whoever leaves the page leaves nothing behind. */
  close(): void {
    this.keepNow();
    this.#calledOff("#settleLater");
    this.#calledOff("#saveLater");
    this.#world.left.set(this.#id, this.#typed);
  }

  /** The page may be gone in a moment. */
  keepNow(): void {
    if (this.#keepLater) this.#keep();
  }

  /** The page follows what was typed before the next thing is pressed. */
  settleNow(): void {
    if (this.#settleLater) this.settle();
  }

  /** `tag` names a field being typed in: its keys make one undo, and the page follows when the typing pauses. */
  readonly edit = (change: (document: FormulaDocument) => FormulaDocument, tag = ""): void => {
    const { present, past, tag: before } = this.#typed;
    const next = change(present);
    if (next === present) return;
    this.#become(
      {
        past: tag && tag === before ? past : [...past, present].slice(-MOST_UNDO),
        present: next,
        future: [],
        tag,
      },
      tag && sameRows(next, present) ? "lazily" : "now",
    );
  };

  readonly undo = (): void => {
    const { past, present, future } = this.#typed;
    const before = past.at(-1);
    if (before)
      this.#become({ past: past.slice(0, -1), present: before, future: [present, ...future], tag: "" });
  };

  readonly redo = (): void => {
    const { past, present, future } = this.#typed;
    const [next, ...rest] = future;
    if (next) this.#become({ past: [...past, present], present: next, future: rest, tag: "" });
  };

  /** Goes on, on top of what somebody else has saved, with a document that holds both edits. */
  readonly join = (document: FormulaDocument): void => {
    const theirs = this.#theirs;
    if (!theirs) return;
    this.#head = theirs;
    this.#builtOn = theirs;
    this.#theirs = null;
    this.#become(this.#replaced(document));
  };
  readonly takeTheirs = (): void => {
    if (this.#theirs) this.join(this.#theirs.document);
  };

  #replaced(document: FormulaDocument): History {
    return { past: [...this.#typed.past, this.#typed.present], present: document, future: [], tag: "" };
  }

  #become(next: History, pace: Pace = "now"): void {
    this.#typed = next;
    if (pace === "lazily") {
      this.#keepLater ??= this.#world.after(KEPT_AFTER_MS, () => this.#keep());
      this.#calledOff("#settleLater");
      this.#settleLater = this.#world.after(SETTLED_AFTER_MS, () => this.settle("lazily"));
    } else {
      this.#keep();
      this.settle();
    }
    for (const listener of this.#onTyped) listener();
  }

  /** The page follows. */
  settle(pace: Pace = "now"): void {
    this.#calledOff("#settleLater");
    this.#settled = this.#typed;
    this.#tidy();
    this.#saveSoon();
    this.#tell(pace);
  }

  #tell(pace: Pace = "now"): void {
    for (const listener of this.#onSettled) listener(pace);
  }

  /** A saved formula needs no draft; one that was edited since builds on what the server holds now. */
  #tidy(): void {
    if (this.#theirs) return;
    this.#builtOn = this.#head;
    if (this.#typed.present !== this.#head.document) return this.#keep();
    this.#calledOff("#keepLater");
    this.#drafts.forget(this.#id);
    this.#keptBuiltOn = null;
  }

  #keep(): void {
    this.#calledOff("#keepLater");
    const { rowVersion, document } = this.#builtOn;
    // What the edits build on is as large as the formula: kept once for each version, not at every key.
    if (this.#keptBuiltOn !== this.#builtOn) {
      this.#keptBuiltOn = this.#builtOn;
      this.#drafts.keepBuiltOn(this.#id, { rowVersion, document });
    }
    this.#drafts.keep(this.#id, { rowVersion, document: this.#typed.present, sending: this.#sent });
  }

  #saveSoon(): void {
    this.#calledOff("#saveLater");
    const { present } = this.#settled;
    if (this.#sending || this.#theirs || present === this.#head.document) return;
    // What was refused is not sent again as it is.
    if (this.#refusal && this.#sent === present) return;
    this.#saveLater = this.#world.after(this.#offline ? TRY_AGAIN_MS : PAUSE_MS, () => void this.#save());
  }

  async #save(): Promise<void> {
    this.#saveLater = null;
    const document = this.#settled.present;
    this.#sent = document;
    this.#sending = true;
    // A page that is left now finds on this device what was under way.
    if (this.#typed.present !== document || this.#keptBuiltOn) this.#keep();
    this.#tell();
    const reply = await this.#world
      .send(this.#head.rowVersion, document)
      .catch((): SaveReply => ({ kind: "unreachable" }));
    this.#sending = false;
    this.#offline = reply.kind === "unreachable";
    this.#refusal = reply.kind === "refused" ? reply.message : null;
    if (reply.kind === "saved") {
      this.#head = { rowVersion: reply.rowVersion, number: reply.number, document };
      this.#savedAt = this.#world.now();
      this.#tidy();
    } else if (reply.kind === "conflict") this.#theirs = reply.theirs;
    this.#saveSoon();
    this.#tell();
  }

  #saveState(): SaveState {
    if (this.#theirs) return "conflict";
    if (this.#refusal) return "refused";
    if (this.#offline) return "offline";
    if (this.#settled.present === this.#head.document) return "saved";
    return this.#sending ? "saving" : "waiting";
  }

  #calledOff(what: "#keepLater" | "#settleLater" | "#saveLater"): void {
    switch (what) {
      case "#keepLater":
        this.#keepLater?.();
        this.#keepLater = null;
        break;
      case "#settleLater":
        this.#settleLater?.();
        this.#settleLater = null;
        break;
      case "#saveLater":
        this.#saveLater?.();
        this.#saveLater = null;
    }
  }
}
