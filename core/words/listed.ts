import { type Ingredient, plainName } from "../things/larder";
import { type SaidIngredient, type ShortNames, ingredientsSaid } from "./ingredients-said";

/** The ingredients a recipe lists before it tells what to do with them; each goes in once, where it is first named. */
export interface Listed {
  /** By the word that is enough for one of them: "the wine" is the white wine of the list. */
  readonly shortNames: ShortNames;
  /**
   * What the list says of an ingredient, as long as some of it is left.
   * @param part so much of the whole, all that is left without one
   */
  take(ingredientId: string, part: SaidIngredient["part"]): SaidIngredient | null;
  /** What no step has named so far. */
  left(): readonly ListedLine[];
}

export interface ListedLine {
  readonly text: string;
  /** `null`: the larder does not know it. */
  readonly said: SaidIngredient | null;
}

interface Entry extends ListedLine {
  /** The share of it that no step has taken. */
  left: number;
}

const NOTHING_LEFT = 0.01;

export function readListed(lines: readonly string[], larder: readonly Ingredient[]): Listed {
  const entries = lines.flatMap((text): Entry[] => {
    const found = ingredientsSaid(text, larder);
    const weighed = found.find(one => one.massG !== null);
    // "50 g butter, cold, for the pan" lists one thing, "salt, pepper" two.
    const all = weighed ? [weighed] : found;
    return all.length ? all.map(said => ({ text, said, left: 1 })) : [{ text, said: null, left: 1 }];
  });
  const waiting = () => entries.filter(entry => entry.left > NOTHING_LEFT);
  return {
    shortNames: shortNamesOf(entries.flatMap(entry => (entry.said ? [entry.said.ingredient] : []))),
    take: (ingredientId, part) => {
      const entry = waiting().find(one => one.said?.ingredient.id === ingredientId);
      if (!entry?.said) return null;
      const taken = Math.min(entry.left, typeof part === "number" ? part : entry.left);
      entry.left -= taken;
      return shareOf(entry.said, taken);
    },
    left: () => waiting().map(({ text, said, left }) => ({ text, said: said && shareOf(said, left) })),
  };
}

const shareOf = (said: SaidIngredient, share: number): SaidIngredient => ({
  ...said,
  massG: said.massG === null ? null : said.massG * share,
});

/** Last words of the names, where one thing alone ends so. */
function shortNamesOf(ingredients: readonly Ingredient[]): ShortNames {
  const short = new Map<string, Ingredient | null>();
  for (const ingredient of new Set(ingredients))
    for (const word of new Set([ingredient.name, ...ingredient.aliases].map(lastWord)))
      short.set(word, short.has(word) ? null : ingredient);
  return new Map([...short].flatMap(([word, ingredient]) => (ingredient ? [[word, ingredient]] : [])));
}

const lastWord = (name: string): string => plainName(name.split(",")[0]?.trim().split(/\s+/).at(-1) ?? "");
