import type { FactId, FactValues } from "../../ground/facts";

/** Facts that note who reads them: what a piece of work never asked for cannot change its outcome. */
export class FactWatch {
  readonly facts: FactValues;
  /** The reads of each piece of work under way, outermost first. */
  readonly #open: Set<FactId>[] = [];

  constructor(facts: FactValues) {
    this.facts = new Proxy(facts, {
      get: (values, id: FactId) => {
        for (const reads of this.#open) reads.add(id);
        return values[id];
      },
    });
  }

  /** Does a piece of work and says which facts it read. */
  during<T>(work: () => T): { readonly done: T; readonly reads: ReadonlySet<FactId> } {
    const reads = new Set<FactId>();
    this.#open.push(reads);
    try {
      return { done: work(), reads };
    } finally {
      this.#open.pop();
    }
  }

  /** Counts for the work under way what was read when a part of it was done before. */
  again(reads: ReadonlySet<FactId>): void {
    for (const open of this.#open) for (const id of reads) open.add(id);
  }
}
