import { type Ingredient, plainName } from "../../things/larder";
import type { AmountRelation } from "../../formula";

/** A thing with how much of it, as it was understood. */
export interface SaidIngredient {
  /** What of the larder it is, or is most like where `unknown` has its name. */
  readonly ingredient: Ingredient;
  /** The amount as it was said, empty where none was. */
  readonly said: string;
  readonly massG: number | null;
  /** A spoon, a knob, a piece: a guess until it is weighed. */
  readonly guessed: boolean;
  /** As it was called. */
  readonly name: string;
  /** The bundle it belongs to. */
  readonly bundle?: string;
  /** A thing the larder does not have, by the name it was given. */
  readonly unknown: string | null;
  /** Where grams do not say it all: so much a litre of what comes out, up to a share of it. */
  readonly relation: AmountRelation | null;
  /** What has to be asked about it. */
  readonly asks: readonly string[];
  /** So many parts of a whole that is told elsewhere. */
  readonly parts?: number;
  readonly doubts: readonly string[];
}

export interface Entry {
  readonly said: SaidIngredient;
  /** The line of the list. */
  readonly text: string;
  readonly heading: string;
  /** The share of it that no step has taken. */
  left: number;
}

const NOTHING_LEFT = 0.01;

/** Kinds of things that a method names together. */
const isVegetable = (i: Ingredient): boolean =>
  i.solidKind === "mirepoix" && !/rice|barley|bread|nut|almond|chestnut/.test(i.id);
const TOGETHER: Readonly<Record<string, (i: Ingredient, name: string) => boolean>> = {
  vegetables: isVegetable,
  vegetable: isVegetable,
  veg: isVegetable,
  aromatics: i => isVegetable(i) || i.solidKind === "herbs",
  herbs: i => i.solidKind === "herbs" && !/pepper|cayenne|nutmeg|paprika|saffron/.test(i.id),
  spices: i => i.solidKind === "herbs",
  cheeses: (_i, name) => /cheese|parmesan|gruyere/.test(name),
  cheese: (_i, name) => /cheese|parmesan|gruyere/.test(name),
  berries: (_i, name) => /berr|cherr|currant/.test(name),
  fruit: (_i, name) => /berr|cherr|currant|apple|pear|quince|orange|mango/.test(name),
  meat: i => i.solidKind === "meat" || i.solidKind === "poultry-whole",
  bones: i => /bones|frames/.test(i.solidKind ?? ""),
  shells: i => i.solidKind === "shells",
  nuts: (_i, name) => /nut|almond/.test(name),
  fat: i => i.phase === "fat",
  drippings: (_i, name) => /dripping/.test(name),
  alcohol: i => i.composition.ethanol > 3,
  fish: (_i, name) => /fish|bass|cod/.test(name),
};

/** What a list names and a method tells what to do with; each goes in once. */
export class Pool {
  readonly entries: Entry[] = [];
  /** Everything that went in so far, by name. */
  readonly went: SaidIngredient[] = [];

  declare(said: SaidIngredient, text: string, heading: string): void {
    this.entries.push({ said, text, heading, left: 1 });
  }

  left(): Entry[] {
    return this.entries.filter(entry => entry.left > NOTHING_LEFT);
  }

  /** The entry a name means: the thing itself, or what ends with or holds its words. */
  find(name: string, ingredient: Ingredient | null, among = this.left()): Entry | null {
    const own = ingredient && among.find(e => !e.said.unknown && e.said.ingredient.id === ingredient.id);
    if (own) return own;
    const words = plainName(name).split(" ").filter(w => w.length > 2); // prettier-ignore
    if (!words.length) return null;
    // A thing of its own is not part of another's name: "butter" is no "peanut butter".
    const holds = (e: Entry) => {
      const of = new Set(plainName(`${nameOf(e.said)} ${e.said.name}`).split(" "));
      return words.every(w => of.has(w));
    };
    const last = (name: string) => plainName(name).split(" ").at(-1);
    if (ingredient)
      return (
        among.find(
          e =>
            e.said.unknown !== null &&
            holds(e) &&
            (e.said.ingredient.id === ingredient.id || last(e.said.unknown) === last(name)),
        ) ??
        among.find(e => e.said.unknown === null && sameKind(e.said.ingredient, ingredient)) ??
        null
      );
    return among.find(e => e.said.unknown !== null && holds(e)) ?? among.find(holds) ?? null;
  }

  together(word: string): Entry[] {
    const belongs = TOGETHER[word];
    return belongs
      ? this.left().filter(e => !/\bseparately\b/.test(e.text) && belongs(e.said.ingredient, nameOf(e.said)))
      : [];
  }

  /** Takes a share of what is left of an entry, or so many grams of it. */
  take(entry: Entry, share: number | "rest" | null, massG: number | null = null): SaidIngredient {
    const whole = entry.said.massG;
    const wanted =
      massG !== null && whole !== null && whole > 0
        ? massG / whole
        : typeof share === "number"
          ? share
          : entry.left;
    const taken = Math.min(entry.left, wanted);
    entry.left = Math.max(0, entry.left - taken);
    if (entry.left < NOTHING_LEFT) entry.left = 0;
    return {
      ...entry.said,
      massG: whole === null ? null : whole * taken,
      // Asked once, where the first of it goes in.
      asks: taken + entry.left >= 1 - NOTHING_LEFT ? entry.said.asks : [],
      doubts: taken + entry.left >= 1 - NOTHING_LEFT ? entry.said.doubts : [],
    };
  }

  hasGone(name: string, ingredient: Ingredient | null): SaidIngredient | null {
    const words = plainName(name).split(" ");
    return (
      this.went.findLast(one =>
        ingredient
          ? one.ingredient.id === ingredient.id
          : words.every(w => plainName(nameOf(one)).split(" ").includes(w)),
      ) ?? null
    );
  }

  goes(...said: readonly SaidIngredient[]): void {
    this.went.push(...said);
  }
}

export const nameOf = (said: SaidIngredient): string => said.unknown ?? said.ingredient.name;

/** "cream" is the double cream of the list, "vinegar" its red wine vinegar, "stock" its stock. */
const sameKind = (a: Ingredient, b: Ingredient): boolean => {
  const kind = (i: Ingredient) =>
    /\b(cream|vinegar|stock|mustard|flour|oil|salt|sugar|onion|mushrooms?|potato|pepper|butter)\b/.exec(
      i.name,
    )?.[1];
  const one = kind(a);
  return one !== undefined && one === kind(b) && a.id !== "salt";
};
