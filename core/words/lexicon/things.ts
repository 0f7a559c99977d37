import { type Ingredient, ingredientCalled, letterDistance, plainName } from "../../things/larder";
import { unitCalled } from "../text/amounts";
import { isNumberWord } from "../text/numbers";
import { FRENCH } from "./french";
import type { Token } from "../text/tokens";
import { isParticiple, verbCalled } from "./verbs";
import { FILLER, HARMLESS, HERB_PARTS, IN_THE_POT, MEASURING, SHAPES, TOOLS } from "./words";

/** A name in a text: what of the larder it means, or that nobody knows it. */
export interface Named {
  readonly from: number;
  readonly to: number;
  /** As it was said, without what does not matter to it. */
  readonly name: string;
  /** `null`: the larder has nothing called that. */
  readonly ingredient: Ingredient | null;
  /** A bundle such as a mirepoix, which is several things. */
  readonly bundle: BundleName | null;
  /** The words are only a short way of saying it, such as "wine" where one wine is listed. */
  readonly short: boolean;
}

export type BundleName = "mirepoix" | "bouquet garni" | "beurre manié";
const BUNDLES: Readonly<Record<string, BundleName>> = {
  "beurre manie": "beurre manié", "kneaded butter": "beurre manié", mirepoix: "mirepoix", mirpoix: "mirepoix", mirpoy: "mirepoix", "bouquet garni": "bouquet garni", bouquet: "bouquet garni", "herb bundle": "bouquet garni",
}; // prettier-ignore

/** Most words of a name, and the least letters of one that may be misspelt. */
const LONGEST_NAME = 7;
const MISSPELT_FROM = 5;

const plainAt = (tokens: readonly Token[], i: number): string => tokens[i]?.plain ?? "";

/** The names of a larder, and what of a recipe is said shortly. */
export class Lexicon {
  private readonly words = new Set<string>();
  private readonly known = new Map<string, Ingredient | null>();
  /** Single words, long enough to be misspelt. */
  private readonly spelled: readonly string[];
  private shorts = new Map<string, Ingredient>();
  private listed = new Set<string>();

  constructor(readonly larder: readonly Ingredient[]) {
    for (const { name, aliases } of larder)
      for (const said of [name, ...aliases])
        for (const word of plainName(said).split(" ")) this.words.add(word);
    this.spelled = [...this.words].filter(word => word.length >= MISSPELT_FROM);
  }

  /** From here on these are named by the last word of their names, where one thing alone ends so. */
  shorten(ingredients: readonly Ingredient[]): void {
    const found = new Map<string, Ingredient | null>();
    for (const ingredient of new Set(ingredients))
      for (const word of new Set([ingredient.name, ...ingredient.aliases].map(lastWord)))
        if (word.length > 2)
          found.set(word, found.has(word) && found.get(word) !== ingredient ? null : ingredient);
    this.listed = new Set(ingredients.map(i => i.id));
    this.shorts = new Map([...found].flatMap(([word, one]) => (one ? [[word, one] as const] : [])));
  }

  called(name: string): Ingredient | null {
    const known = this.known.get(name);
    if (known !== undefined) return known;
    const found = NO_NAME.has(name) ? null : ingredientCalled(this.larder, MEANT[name] ?? name);
    this.known.set(name, found);
    return found;
  }

  /** Whether a word stands in any name. */
  isOfAName = (plain: string): boolean => this.words.has(plainName(plain));

  /** The longest name that begins at a token. */
  private nameAt(
    tokens: readonly Token[],
    i: number,
    most: number,
  ): { to: number; ingredient: Ingredient } | null {
    if (tokens[i]?.kind !== "word") return null;
    for (let to = Math.min(i + LONGEST_NAME, most); to > i; to--) {
      const last = tokens[to - 1];
      if (!last || last.kind === "break" || (last.kind === "mark" && last.plain !== "%")) continue;
      const comma = tokens.slice(i, to).some(t => t.kind === "mark" && t.plain !== "%");
      const name = tokens
        .slice(i, to)
        .map(t => t.plain)
        .join(" ");
      if (name.length < 3) continue;
      const ingredient = this.called(name);
      // A comma between two names keeps them two: only a name that has one holds it.
      if (
        ingredient &&
        comma &&
        ![ingredient.name, ...ingredient.aliases].some(
          n => n.includes(",") && plainName(n) === plainName(name),
        )
      )
        continue;
      if (ingredient) return { to, ingredient };
    }
    return null;
  }

  /** A misspelt word as it should be; the word itself where it is known or nothing is near. */
  private spelledRight(plain: string): string {
    if (plain.length < MISSPELT_FROM || /ly$/.test(plain) || FILLER.has(plain) || this.isOfAName(plain))
      return plain;
    const singular = plainName(plain);
    const near = this.spelled.filter(
      word =>
        word[0] === singular[0] &&
        Math.abs(word.length - singular.length) <= 1 &&
        letterDistance(word, singular) === 1,
    );
    return near.length === 1 ? (near[0] ?? plain) : plain;
  }

  /** Whether a name goes on over a word: function words and verbs end it, unless a longer name holds them. */
  private ends(token: Token | undefined): boolean {
    if (!token || token.kind !== "word") return true;
    const { plain } = token;
    if (/^(?:peel|zest|rind|juice|trimmings)$/.test(plain)) return false;
    if (FILLER.has(plain) || MEASURING.has(plain) || isNumberWord(plain)) return true;
    if (HARMLESS.has(plain) || SHAPES.has(plain) || HERB_PARTS.has(plain)) return false;
    if (/ly$/.test(plain) && !/^(?:belly|jelly|lily)$/.test(plain) && !this.isOfAName(plain)) return true;
    const verb = verbCalled(plain);
    // "tails", "shells": what is done ends like what is meant.
    if (verb && /s$/.test(plain) && verb.lemma !== plain && /^(?:prepare|aside)$/.test(verb.sense))
      return false;
    return verb !== null && !(isParticiple(plain) && verb.sense === "prepare");
  }

  /**
   * The name that begins at a token, words before it that do not matter included; `null` where no name can be. The whole
   * of it has to be known: "peanut butter" is no butter.
   */
  nameIn(tokens: readonly Token[], from: number, afterAmount = false): Named | null {
    if (tokens[from]?.kind !== "word") return null;
    let i = from;
    let reach = from;
    for (; i < tokens.length; i++) {
      if (bundleAt(tokens, i) && i === from) return bundled(tokens, from);
      reach = Math.max(reach, this.nameAt(tokens, i, tokens.length)?.to ?? 0);
      if (i < reach) continue;
      // "a dry mustard": behind an amount no verb is meant.
      const leads =
        i === from && afterAmount && verbCalled(plainAt(tokens, i)) !== null && !this.ends(tokens[i + 1]);
      if (!leads && this.ends(tokens[i])) break;
      if (bundleAt(tokens, i)) {
        const only = tokens.slice(from, i).every(t => HARMLESS.has(t.plain));
        if (only) return { ...bundled(tokens, i), from };
        break;
      }
    }
    return i === from
      ? null
      : (this.resolve(tokens, from, i, false) ??
          this.firstOf(tokens, from, i) ??
          this.resolve(tokens, from, i, true));
  }

  /** "onion carrot celery": names side by side are things of their own, if each is known. */
  private firstOf(tokens: readonly Token[], from: number, end: number): Named | null {
    for (let to = end - 1; to > from; to--) {
      const first = this.resolve(tokens.slice(0, to), from, to, false);
      if (!first?.ingredient) continue;
      const rest = this.resolve(tokens, to, end, false) ?? this.firstOf(tokens, to, end);
      const both =
        rest?.ingredient &&
        (isSeasoning(rest.ingredient) ||
          (rest.ingredient.solidKind === "mirepoix" && first.ingredient.solidKind === "mirepoix"));
      if (both) return first;
    }
    return null;
  }

  private resolve(tokens: readonly Token[], from: number, end: number, allowUnknown: boolean): Named | null {
    let to = end;
    // Trailing participles and shapes: "shallots chopped fine", "leeks white and pale green".
    const isTail = (i: number) => {
      const plain = plainAt(tokens, i);
      return HARMLESS.has(plain) || SHAPES.has(plain) || (isParticiple(plain) && verbCalled(plain) !== null);
    };
    const found = (a: number, b: number, ingredient: Ingredient, short = false): Named => ({
      from,
      to: end,
      name: said(tokens, a, b),
      ingredient,
      bundle: null,
      short,
    });
    for (let tries = 0; to > from && tries < 5; tries++) {
      for (let start = from; start < to; start++) {
        if (start > from && !HARMLESS.has(plainAt(tokens, start - 1))) break;
        const name = tokens.slice(start, to).map(t => t.plain).join(" "); // prettier-ignore
        const exact = name.length > 2 ? this.called(name) : null;
        // "the oil" is the oil of the list, whatever else is called so.
        const listed =
          exact && to - start === 1 && !this.listed.has(exact.id)
            ? this.shorts.get(plainName(name))
            : undefined;
        if (listed) return found(start, to, listed, true);
        if (exact) return found(start, to, exact);
      }
      for (let start = from; start < to; start++) {
        if (start > from && !HARMLESS.has(plainAt(tokens, start - 1))) break;
        const respelled = tokens.slice(start, to).map(t => this.spelledRight(t.plain)).join(" "); // prettier-ignore
        const near = respelled.length > 4 ? this.called(respelled) : null;
        if (near) return found(start, to, near);
        const short = to - start === 1 ? this.shorts.get(plainName(plainAt(tokens, start))) : undefined;
        if (short) return found(start, to, short, true);
      }
      // "tarragon leaves", "pepper trimmings": the part of a thing that is known, by what it is.
      const tail = plainAt(tokens, to - 1);
      const before = to - 1 > from ? this.resolve(tokens.slice(0, to - 1), from, to - 1, false) : null;
      if (before?.ingredient && HERB_PARTS.has(tail) && before.ingredient.solidKind === "herbs")
        return { ...before, to: end };
      if (
        before?.ingredient &&
        SHAPES.has(tail) &&
        before.ingredient.solidKind !== "herbs" &&
        before.ingredient.id !== "peppercorns"
      )
        return { ...before, to: end };
      const unit = unitCalled(tail);
      if (
        before?.ingredient &&
        unit?.kind === "count" &&
        before.ingredient.measures.some(m => m.name === unit.name)
      )
        return { ...before, to: end };
      if (to - 1 > from && isTail(to - 1) && !/^(?:trimmings|trim|scraps)$/.test(tail)) to -= 1;
      else break;
    }
    if (!allowUnknown) return null;
    let start = from;
    while (start < to - 1 && HARMLESS.has(plainAt(tokens, start))) start += 1;
    const name = said(tokens, start, to);
    if (name.length < 3 || tokens.slice(start, to).every(t => isNothing(t.plain))) return null;
    return { from, to: end, name, ingredient: null, bundle: null, short: false };
  }
}

const bundleAt = (tokens: readonly Token[], i: number): BundleName | undefined =>
  BUNDLES[`${plainAt(tokens, i)} ${plainAt(tokens, i + 1)}`] ?? BUNDLES[plainAt(tokens, i)];

const bundled = (tokens: readonly Token[], from: number): Named => {
  const bundle = bundleAt(tokens, from) ?? "mirepoix";
  const two = BUNDLES[`${plainAt(tokens, from)} ${plainAt(tokens, from + 1)}`] !== undefined;
  return { from, to: from + (two ? 2 : 1), name: bundle, ingredient: null, bundle, short: false };
};

/** Two names in a row are two things only where the second could not be the head of the first: "raspberry vinegar" is one. */
const isSeasoning = ({ id }: Ingredient): boolean =>
  /^(?:salt|peppercorns|white-pepper|cayenne|sugar|nutmeg)$/.test(id);

const isNothing = (plain: string): boolean =>
  IN_THE_POT.has(plain) ||
  TOOLS.has(plain) ||
  HARMLESS.has(plain) ||
  MEASURING.has(plain) ||
  SHAPES.has(plain);

const said = (tokens: readonly Token[], from: number, to: number): string =>
  tokens
    .slice(from, to)
    .map(
      (t, i) =>
        `${i === 0 ? "" : t.tight ? "-" : " "}${t.plain.length > t.text.length ? t.plain : t.text.toLowerCase()}`,
    )
    .join("");

/** Names that mean something else in a recipe. */
const NO_NAME: ReadonlySet<string> = new Set([
  "stock",
  "liquor",
  "cover",
  "season",
  "peppers",
  "broth",
  "fond",
  "whites",
  "white",
  "red",
  "brown",
]);
/** In a sauce a lemon is its juice. */
const MEANT: Readonly<Record<string, string>> = {
  lemon: "lemon juice",
  lemons: "lemon juice",
  lime: "lime juice",
  limes: "lime juice",
  ...FRENCH,
};

const lastWord = (name: string): string =>
  plainName(
    name
      .split(",")[0]
      ?.trim()
      .replace(/\s*\d.*$/, "")
      .split(/\s+/)
      .at(-1) ?? "",
  );
