import type { Ingredient } from "../ingredient";
import { plainName } from "../find";
import { REFERENCE_LARDER } from ".";

/** What the reference larder has that a kitchen made earlier has not. */
export interface Offered {
  /** Entries it lacks. */
  readonly entries: readonly Ingredient[];
  /** Its own entries with names that are new, all its values as they are. */
  readonly named: readonly Ingredient[];
}

/**
 * What a kitchen may take over from the reference larder. Its own values are never touched: an entry it has keeps all of
 * them and gets at most further names, and no name that another of its entries bears.
 */
export function offeredTo(own: readonly Ingredient[]): Offered {
  const byId = new Map(own.map(i => [i.id, i]));
  const taken = new Set(own.flatMap(i => [i.name, ...i.aliases].map(plainName)));
  const entries = REFERENCE_LARDER.filter(i => !byId.has(i.id) && !taken.has(plainName(i.name)));
  const named = REFERENCE_LARDER.flatMap(reference => {
    const mine = byId.get(reference.id);
    const more = mine ? reference.aliases.filter(alias => !taken.has(plainName(alias))) : [];
    return mine && more.length ? [{ ...mine, aliases: [...mine.aliases, ...more] }] : [];
  });
  return { entries, named };
}
