import type { StepKindName } from "../../formula";
import { printNumber } from "../../ground/quantity";
import type { Ingredient } from "../../things/larder";
import type { Sense } from "../lexicon/verbs";
import { IN_THE_POT } from "../lexicon/words";
import type { ThingChunk } from "./chunks";
import type { Clause } from "./clauses";
import type { Per } from "./in-reading";
import type { SaidIngredient } from "./pool";
import { NOTHING } from "./things-said";

/** Small findings in the words of a clause, and the figures a reading goes by. */

export const PUTS: ReadonlySet<Sense> = new Set([
  "add",
  "stir",
  "put",
  "pour",
  "melt",
  "season",
  "mount",
  "emulsify",
  "go",
  "dust",
  "thicken",
  "temper",
  "take",
  "whip",
  "bring",
  "soak",
  "cover",
]);

export const COOKS: ReadonlySet<Sense> = new Set([
  "sweat",
  "brown",
  "cook",
  "simmer",
  "boil",
  "poach",
  "roast",
  "braise",
  "blanch",
  "render",
  "confit",
  "reduce",
  "flame",
  "deglaze",
  "blend",
  "cure",
  "caramel",
  "dry",
  "heat",
  "steep",
]);

/** Up to here a boil is a boil of water; above it sugar is cooked, °C. */
export const BOILS_TO_C = 101;

/** From here on it is the temperature of an oven, °C. */
export const OVEN_FROM_C = 115;

/** How much of their weight mushrooms lose until their liquor is gone. Common practice, no source. */
export const COOKED_DRY = 0.67;

/** And of a splash of wine that is cooked dry on them. Common practice, no source. */
export const BOILED_OFF = 0.85;

/** What is done to what is there already: first in a recipe it is talk. */
export const NEEDS_SOMETHING: ReadonlySet<StepKindName> = new Set([
  "hold",
  "lift",
  "put-back",
  "mount",
  "rest",
  "note",
  "portion",
  "deglaze",
]);

export const TIMES_OF: Readonly<Record<string, number>> = {
  simmer: 20,
  poach: 15,
  braise: 150,
  roast: 45,
  hold: 60,
  steep: 20,
  sweat: 8,
  brown: 10,
};

export const temps = (clause: Clause): number[] =>
  clause.chunks.flatMap(chunk => (chunk.type === "temperature" ? [chunk.temperature.c] : []));

export const fatOf = (ingredient: Ingredient, massG: number): SaidIngredient => ({
  ingredient,
  name: ingredient.name,
  said: "",
  massG,
  guessed: true,
  unknown: null,
  relation: null,
  asks: [],
  doubts: [],
});

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export const lastWordOf = (name: string): string =>
  (name.split(",")[0] ?? name).trim().split(/\s+/).at(-1)?.replace(/s$/, "") ?? name;

export const joined = (texts: readonly string[]): string =>
  [...new Set(texts.filter(Boolean))].join(" · ").slice(0, 600);

export const notsOf = (clause: Clause): string[] =>
  clause.chunks.flatMap(chunk => (chunk.type === "not" ? [clause.tokens.slice(0).filter(t => t.kind !== "break").filter((_, i, all) => { const from = chunk.from - (clause.chunks[0]?.from ?? 0); return i >= from && i < from + (chunk.to - chunk.from) && all.length > 0; }).map(t => t.text).join(" ")] : [])).filter(Boolean); // prettier-ignore

/** The same thing twice in one piece is one line where both are only named. */
export function merged(said: readonly SaidIngredient[]): SaidIngredient[] {
  const found: SaidIngredient[] = [];
  for (const one of said) {
    const same = found.find(x => x.ingredient.id === one.ingredient.id && x.unknown === one.unknown);
    if (same && (same.massG === null || one.massG === null) && !same.relation && !one.relation) {
      if (same.massG === null) found.splice(found.indexOf(same), 1, one);
    } else found.push(one);
  }
  return found;
}

/** "parsley if you have it", "and the zest, if you like". */
export function isOptional(clause: Clause, chunk: ThingChunk): boolean {
  const at = clause.chunks.indexOf(chunk);
  const after = clause.chunks.slice(at + 1);
  const ifAt = after.findIndex(c => c.type === "if");
  if (ifAt < 0) return false;
  // Nothing but marks and words between: the condition is its own.
  return after
    .slice(0, ifAt)
    .every(
      c =>
        c.type === "mark" ||
        (c.type === "word" && c.plain !== "and") ||
        (c.type === "verb" && c.form === "part"),
    );
}

export const orBefore = (clause: Clause, chunk: ThingChunk): boolean => {
  const at = clause.chunks.indexOf(chunk);
  const before = clause.chunks[at - 1];
  return before?.type === "word" && before.plain === "or";
};

/** "mirepoix (750/450/300 onion/carrot/celery)": read with the bundle. */
export function partsOfBundle(clause: Clause, chunk: ThingChunk): boolean {
  const bundle = clause.things.find(t => t.named.bundle === "mirepoix");
  return (
    bundle !== undefined &&
    chunk !== bundle &&
    clause.things.indexOf(chunk) > clause.things.indexOf(bundle) &&
    chunk.named.ingredient?.solidKind === "mirepoix"
  );
}

export const isLikeAThing = (name: string): boolean =>
  name.length > 3 &&
  name.split(" ").every(w => !IN_THE_POT.has(w)) &&
  !/^(?:goes|room|size|half|thing|work|point|rest|end|turn|way|matter|goes|need|sort|side|while|length|gas|setting|colour|color|taste|consistency|texture|amount|care|hand|hands|shape|idea|note|card|service|night|week)$/.test(
    name,
  );

export const likenessKnown = (one: SaidIngredient): boolean => one.ingredient.id !== NOTHING;

export const rouxColour = (T: string): { colour?: string } =>
  /\bblond|biscuit|straw\b/.test(T)
    ? { colour: "blond" }
    : /\bbrown roux|hazelnut|peanut|nut brown\b/.test(T)
      ? { colour: "brown" }
      : {};

export const isBringUp = (T: string): boolean =>
  /\b(?:bring|brought|brings|come|comes|came|raise|up)\b[^;]*\b(?:boil|simmer|point)\b/.test(T) ||
  /\b(?:bring|brought)\b (?:it |that |everything |them )?(?:back )?up\b/.test(T) ||
  /\bboils? (?:it )?up\b/.test(T) ||
  /\bup to the boil\b/.test(T) ||
  /\bto the boil\b/.test(T);

export function howLong(went: readonly SaidIngredient[]): { about: string; ask: string; min: number } {
  const bones = went.some(one => /veal-bones|beef-bones|pork-bones/.test(one.ingredient.solidKind ?? ""));
  const birds = went.some(one => /poultry/.test(one.ingredient.solidKind ?? ""));
  const fish = went.some(one => /fish-frames|shells/.test(one.ingredient.solidKind ?? ""));
  const min = bones ? 240 : birds ? 180 : fish ? 25 : 15;
  return { about: "durationMin", ask: `How long? ${printNumber(min)} min is taken until you say.`, min };
}

/** "Hold 65", "at 220": where a temperature is awaited and no unit said. */
export function bareTemperature(clause: Clause): { temperature: { c: number }; words: string } | null {
  const match =
    /\b(?:hold|held|at|under|below|oven|warm)\s+(?:at |about |around )?(\d{2,3})(?: (?:-|to) (\d{2,3}))?(?!\s*(?:g|kg|ml|l|minute|minutes|hour|h|%|cl|[.\d]))(?:\s|$)/.exec(
      clause.plain,
    );
  if (!match) return null;
  const [lo, hi] = [Number(match[1]), Number(match[2] ?? match[1])];
  return {
    temperature: { c: Math.round((lo + hi) / 2) },
    words: match[2] ? `${match[1]} to ${match[2]}` : `${match[1]}`,
  };
}

/** "Per litre of bisque: …", "For each yolk: …", "For every litre you take …". */
export function perOf(clause: Clause | undefined): Per {
  if (!clause) return null;
  const match =
    /^(?:per|for each|for every|to each|to every|each) (litre|liter|l|kilo|kg|kilogram|\w+)(?: of (?:the )?([a-z]+))?(?= ?:| you| ?,)/.exec(
      clause.plain,
    );
  if (!match) return null;
  const [, unit = "", of = ""] = match;
  if (/^(?:litre|liter|l)$/.test(unit)) return { kind: "per-litre", of };
  if (/^(?:kilo|kg|kilogram)$/.test(unit)) return { kind: "per-kg", of };
  return { kind: "per-piece", of: unit };
}

/** Grams of a bundle, weighed as what it is mostly made of. */
export function sayMass(chunk: ThingChunk): SaidIngredient {
  const { amount } = chunk;
  const massG =
    amount?.unit?.kind === "mass"
      ? amount.number.value * amount.unit.factor
      : amount?.unit?.kind === "volume"
        ? amount.number.value * amount.unit.factor * 0.6
        : null;
  return {
    ingredient: { id: "mirepoix" } as Ingredient,
    said: "",
    name: "",
    massG,
    guessed: false,
    unknown: null,
    relation: null,
    asks: [],
    doubts: [],
  };
}
