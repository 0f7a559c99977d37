import type { Ingredient } from "./ingredient";

/** Plurals that follow no rule a kitchen needs. */
const ODD_PLURALS: Readonly<Record<string, string>> = { leaves: "leaf", halves: "half", loaves: "loaf" };

const singular = (word: string): string =>
  ODD_PLURALS[word] ??
  (word.length <= 3
    ? word
    : word
        .replace(/(ch|sh|x|ss)es$/, "$1")
        .replace(/oes$/, "o")
        .replace(/ies$/, "y")
        .replace(/([^s])s$/, "$1"));

/** Lower case, no accents, no plural, single spaces: how names are compared. */
export function plainName(name: string): string {
  const known = KNOWN.get(name);
  if (known !== undefined) return known;
  const plain = makePlain(name);
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(name, plain);
  return plain;
}

/** A larder is compared with every key somebody types: its names are made plain once. */
const KNOWN = new Map<string, string>();
const MOST_KNOWN = 50_000;

const makePlain = (name: string): string =>
  name
    .toLowerCase()
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .replace(/[’']/g, "")
    .replace(/[^a-z0-9% ]+/g, " ")
    .trim()
    .split(/\s+/)
    .map(singular)
    .join(" ");

const MOST_NEAR = 3;

/** How many letters to change to turn one word into the other, neighbours swapped counting as one. */
export function letterDistance(a: string, b: string): number {
  let before: number[] = [];
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let least = Math.min((row[j] ?? 0) + 1, (next[j - 1] ?? 0) + 1, (row[j - 1] ?? 0) + same);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, (before[j - 2] ?? 0) + 1);
      next.push(least);
    }
    [before, row] = [row, next];
  }
  return row[b.length] ?? 0;
}

/** How far two words are apart, by letters or by sound, whichever is nearer. */
export const heardAs = (a: string, b: string): number =>
  Math.min(letterDistance(a, b), letterDistance(soundOf(a), soundOf(b)));

/** Letters that sound alike written alike: "schinwah" and "chinois" are near each other. */
const soundOf = (word: string): string =>
  word
    .replace(/sch|sh|ch/g, "s")
    .replace(/ois\b|oix\b|oi/g, "wa")
    .replace(/eaux?|au/g, "o")
    .replace(/ph/g, "f")
    .replace(/qu|ck|k|c(?=[aou])/g, "k")
    .replace(/(.)\1+/g, "$1")
    .replace(/wah\b/g, "wa")
    .replace(/(?<=[aeiou])h/g, "");

export interface Found {
  /** The one that is meant: by id, name or alias. */
  readonly exact: Ingredient | null;
  /** What may be meant, nearest first. */
  readonly near: readonly Ingredient[];
}

/** What a name such as "ham bone, smoked" is called in a sentence: "ham bone", "smoked ham bone". */
function shorterNames(name: string): readonly string[] {
  const [head = "", tail] = name.split(", ");
  return tail === undefined ? [] : [plainName(head), plainName(`${tail} ${head}`)];
}

/** Every name of a larder, so that a name is looked up and not looked for: a recipe asks for each of its words. */
interface Names {
  readonly byId: ReadonlyMap<string, Ingredient>;
  /** The first of that name. */
  readonly byName: ReadonlyMap<string, Ingredient>;
  readonly byAlias: ReadonlyMap<string, Ingredient>;
  /** By half a name; `null` where several have it. */
  readonly byHalf: ReadonlyMap<string, Ingredient | null>;
}

const NAMES = new WeakMap<readonly Ingredient[], Names>();

function namesOf(larder: readonly Ingredient[]): Names {
  const known = NAMES.get(larder);
  if (known) return known;
  const byId = new Map<string, Ingredient>();
  const byName = new Map<string, Ingredient>();
  const byAlias = new Map<string, Ingredient>();
  const byHalf = new Map<string, Ingredient | null>();
  const first = (map: Map<string, Ingredient>, key: string, i: Ingredient) => map.has(key) || map.set(key, i);
  for (const i of larder) {
    first(byId, i.id, i);
    first(byName, plainName(i.name), i);
    for (const alias of i.aliases) first(byAlias, plainName(alias), i);
    for (const half of new Set([i.name, ...i.aliases].flatMap(shorterNames)))
      byHalf.set(half, byHalf.has(half) ? null : i);
  }
  const names = { byId, byName, byAlias, byHalf };
  NAMES.set(larder, names);
  return names;
}

/**
 * The ingredient a cook calls so, and no other.
 * A name counts before an alias, so that "cream" is the one called so, and either before half a name that no other has.
 */
export function ingredientCalled(larder: readonly Ingredient[], name: string): Ingredient | null {
  const wanted = plainName(name);
  const { byId, byName, byAlias, byHalf } = namesOf(larder);
  return (
    byId.get(name.trim().toLowerCase()) ??
    byName.get(wanted) ??
    byAlias.get(wanted) ??
    byHalf.get(wanted) ??
    null
  );
}

/** An ingredient by what a cook calls it; the nearest ones when nothing bears that name. */
export function findIngredient(larder: readonly Ingredient[], name: string): Found {
  const wanted = plainName(name);
  const exact = ingredientCalled(larder, name);
  if (exact) return { exact, near: [] };
  const far = (i: Ingredient): number =>
    Math.min(
      ...[i.name, ...i.aliases].map(own => {
        const plain = plainName(own);
        const whole = letterDistance(wanted, plain) / Math.max(wanted.length, plain.length, 1);
        const inside = wanted.length > 2 && plain.includes(wanted) ? 0.2 : 1;
        return Math.min(whole, inside);
      }),
    );
  const near = larder
    .map(i => ({ i, far: far(i) }))
    .filter(x => x.far <= 0.4)
    .sort((a, b) => a.far - b.far)
    .slice(0, MOST_NEAR)
    .map(x => x.i);
  return { exact: null, near };
}
