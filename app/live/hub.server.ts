import { type Logged, database, listDevices, loggedSince, pulseOf } from "~/data";
import { logger } from "../log.server";
import type { Shown } from "../stove/shown";
import { shownNow } from "./shown-now";

/**
 * Tells every open stream what is new in the log of its kitchen. One look at the database for all of them: more often than
 * a cook can notice, and at once when this process has kept something itself.
 */

const LOOK_MS = 400;
const MOST_AT_ONCE = 500;

export type Message =
  | { readonly kind: "log"; readonly seq: number; readonly entries: readonly Logged[] }
  /** Larder, kit or house have changed. */
  | { readonly kind: "kitchen"; readonly revision: number }
  /** An instrument shows something else. */
  | { readonly kind: "shown"; readonly shown: readonly Shown[] };
type Listener = (message: Message) => void;

class Hub {
  readonly #listeners = new Set<Listener>();
  readonly #kitchenId: string;
  #timer: NodeJS.Timeout | null = null;
  #seq = -1;
  #revision = -1;
  #shown = -1;
  #looking = false;

  constructor(kitchenId: string) {
    this.#kitchenId = kitchenId;
  }

  add(listener: Listener): () => void {
    this.#listeners.add(listener);
    this.#timer ??= setInterval(() => void this.look(), LOOK_MS);
    return () => {
      this.#listeners.delete(listener);
      if (this.#listeners.size || !this.#timer) return;
      clearInterval(this.#timer);
      this.#timer = null;
      // Whoever comes next begins with what is there then.
      this.#seq = -1;
    };
  }

  /**
   * Where the log stands for the listeners: all that comes after this number they are told.
   * @param seq a number just read; it counts where nobody has looked yet
   */
  from(seq: number): number {
    if (this.#seq === -1) this.#seq = seq;
    return this.#seq;
  }

  async look(): Promise<void> {
    if (this.#looking || !this.#listeners.size) return;
    this.#looking = true;
    try {
      const { db } = database();
      const { seq, revision, shown } = await pulseOf(db, this.#kitchenId);
      if (this.#shown !== -1 && shown !== this.#shown)
        this.#tell({ kind: "shown", shown: shownNow(await listDevices(db, this.#kitchenId), Date.now()) });
      this.#shown = shown;
      if (this.#revision !== -1 && revision !== this.#revision) this.#tell({ kind: "kitchen", revision });
      this.#revision = revision;
      if (this.#seq === -1) this.#seq = seq;
      while (this.#seq < seq) {
        const entries = await loggedSince(db, this.#kitchenId, this.#seq, MOST_AT_ONCE);
        const last = entries.at(-1);
        if (!last) break;
        this.#seq = last.seq;
        this.#tell({ kind: "log", seq: last.seq, entries });
      }
    } catch (error) {
      // A database that is away for a moment: the next look finds what came meanwhile.
      logger.debug({ error }, "the log could not be looked at");
    } finally {
      this.#looking = false;
    }
  }

  #tell(message: Message): void {
    for (const listener of this.#listeners) listener(message);
  }
}

const hubs = new Map<string, Hub>();

export function hubOf(kitchenId: string): Hub {
  const known = hubs.get(kitchenId);
  if (known) return known;
  const made = new Hub(kitchenId);
  hubs.set(kitchenId, made);
  return made;
}

/** This process has kept something: nobody waits for the next look. */
export const poke = (kitchenId: string): void => void hubs.get(kitchenId)?.look();
