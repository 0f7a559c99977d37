import { idFor } from "../ground/names";
import type { Ingredient } from "../things/larder";

/** How a thing that a recipe named and nobody knew is known from now on. */
export type KnownAs = "another name" | "a new entry";

/**
 * What the larder keeps of a thing it did not know: another name of what it is, or an entry of its own with the
 * composition of what it is like, marked as an estimate. Prices and piece weights are not taken over: they are its own.
 *
 * @param name  as the recipe called it
 * @param like  what it is, or is most like
 * @param taken ids the larder has
 */
export function knownFromNow(
  name: string,
  like: Ingredient,
  as: KnownAs,
  taken: ReadonlySet<string>,
): Ingredient {
  if (as === "another name")
    return { ...like, aliases: like.aliases.includes(name) ? like.aliases : [...like.aliases, name] };
  const { price: _price, ...rest } = like;
  return {
    ...rest,
    id: freeId(idFor(name), taken),
    name,
    aliases: [],
    compositionSource: { mark: "E", text: `estimate: counted like ${like.name}` },
    // Nobody has said what is in it: an allergen is not known until somebody does.
    allergens: null,
    measures: [],
  };
}

function freeId(id: string, taken: ReadonlySet<string>): string {
  for (let n = 2, free = id; ; n++) {
    if (!taken.has(free)) return free;
    free = `${id.slice(0, 36)}-${n}`;
  }
}
