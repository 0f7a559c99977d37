import {
  type Line,
  type ReductionEnd,
  STEP_KINDS,
  type Step,
  type StepKindName,
  endInWords,
} from "../../formula";
import { printNumber } from "../../ground/quantity";
import type { Ingredient } from "../../things/larder";
import { sourceOf } from "../house-formulas";
import { endIn, shareIn } from "../lexicon/ends";
import type { Lexicon } from "../lexicon/things";
import type { Sense } from "../lexicon/verbs";
import { FILLER, IN_THE_POT } from "../lexicon/words";
import type { DraftPiece, DraftQuestion } from "../piece";
import { proposeAmount } from "../proposals";
import { numberAt } from "../text/numbers";
import type { SaidTime } from "../text/times";
import { type Token, tokensOf } from "../text/tokens";
import { type Fate, type WordFate, fatesOf } from "./account";
import type { Chunk, Relation, ThingChunk } from "./chunks";
import type { Clause } from "./clauses";
import { Pool, type SaidIngredient, nameOf } from "./pool";
import { NOTHING, sayThing } from "./things-said";

/** A piece while it is read. */
interface Reading {
  kind: StepKindName;
  said: SaidIngredient[];
  /** Fields of the step that were said. */
  fields: Record<string, unknown>;
  questions: { about: string; ask: string; answers?: DraftQuestion["answers"] }[];
  doubts: string[];
  remarks: string[];
  /** Clauses of which no field took every word. */
  kept: string[];
  texts: string[];
  /** Which sentence it comes from. */
  sentence: number;
  /** It only brought the pot up: what follows on the fire takes its place. */
  bringsUp?: boolean;
  /** Its time was said. */
  timed?: boolean;
}

/** Where a base is named for all amounts of a sentence: "Per litre of bisque: …". */
type Per = { readonly kind: "per-litre" | "per-kg" | "per-piece"; readonly of: string } | null;

const PUTS: ReadonlySet<Sense> = new Set([
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
const COOKS: ReadonlySet<Sense> = new Set([
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

const isLiquid = ({ phase, composition }: Ingredient): boolean =>
  phase === "liquor" &&
  composition.water > 35 &&
  composition.starch < 5 &&
  composition.sugars < 12 + composition.ethanol;
const isStarch = (i: Ingredient): boolean =>
  /starch|arrowroot|corn flour/.test(i.name) || i.id === "arrowroot";
const isFlour = (i: Ingredient): boolean => /flour/.test(i.name);
const isYolk = (i: Ingredient): boolean => /yolk/.test(i.name);
const isOil = (i: Ingredient): boolean => /\boil\b/.test(i.name);
const isButter = (i: Ingredient): boolean => /butter/.test(i.name);
const isFat = (i: Ingredient): boolean => i.phase === "fat" || isOil(i);
/** Stocks, pastes, peels and the like of which the larder holds our estimate and no label, table or reading. */
const isEstimate = ({ id, compositionSource, phase, solidKind }: Ingredient): boolean =>
  compositionSource.mark === "E" &&
  !id.startsWith("formula-") &&
  (phase !== "solids" || solidKind === "shells" || /zest|peel/.test(id));
const isSeasoning = (i: Ingredient): boolean =>
  /^(?:salt|coarse-salt|peppercorns|white-pepper|cayenne)$/.test(i.id);
const isSugar = (i: Ingredient): boolean => i.id === "sugar" || i.id === "brown-sugar";

/** Up to here a boil is a boil of water; above it sugar is cooked, °C. */
const BOILS_TO_C = 101;
/** From here on it is the temperature of an oven, °C. */
const OVEN_FROM_C = 115;
/** How much of their weight mushrooms lose until their liquor is gone. Common practice, no source. */
const COOKED_DRY = 0.67;
/** And of a splash of wine that is cooked dry on them. Common practice, no source. */
const BOILED_OFF = 0.85;

/** What is done to what is there already: first in a recipe it is talk. */
const NEEDS_SOMETHING: ReadonlySet<StepKindName> = new Set([
  "hold",
  "lift",
  "put-back",
  "mount",
  "rest",
  "note",
  "portion",
  "deglaze",
]);

const TIMES_OF: Readonly<Record<string, number>> = {
  simmer: 20,
  poach: 15,
  braise: 150,
  roast: 45,
  hold: 60,
  steep: 20,
  sweat: 8,
  brown: 10,
};

/** Reads clauses one after the other into pieces; what was said before decides what the next one means. */
export class Reader {
  readonly pieces: Reading[] = [];
  readonly unread: string[] = [];
  readonly pool = new Pool();
  private wet = false;
  private hot = false;
  private gone = new Set<string>();
  private whole = 0;
  private aside = false;
  private blended = false;
  private listing = false;
  private prepared: SaidIngredient[] = [];
  private sentence = 0;
  /** Words that only said what there is. */
  readonly declared: string[] = [];
  /** Whether the pot on the fire is a second one, and whether the first holds liquor. */
  private apart: boolean | null = null;
  total: number | null = null;

  constructor(
    private readonly lexicon: Lexicon,
    /** All words that follow a place in the text. */
    private readonly restAfter: (at: number) => string,
    private readonly id: () => string,
  ) {}

  /** One sentence, in clauses. */
  read(clauses: readonly Clause[], heading: string): void {
    this.sentence += 1;
    const makes = clauses.some(clause => /\b(?:make|need)\b/.test(clause.plain));
    if (!makes) this.shareOut();
    const per = perOf(clauses[0]);
    void heading;
    clauses.forEach(clause => this.clause(clause, per));
  }

  /** A line of the list: what it names waits until the method says what becomes of it. */
  list(clauses: readonly Clause[], text: string, heading: string, inPassing: boolean): void {
    const per = perOf(clauses[0]);
    this.listing = true;
    for (const clause of clauses) {
      const { said, doubts } = this.things(clause, per, true);
      said.forEach((one, i) =>
        this.pool.declare(i ? one : { ...one, doubts: [...one.doubts, ...doubts] }, text, heading),
      );
      if (!said.length) this.unread.push(clause.text);
      // "You cut a chicken in 8. You brown it …"
      else if (inPassing) this.prepared = said;
    }
    for (const clause of clauses) this.account(clause, null, true);
    this.listing = false;
    this.lexicon.shorten(this.pool.entries.filter(e => !e.said.unknown).map(e => e.said.ingredient));
  }

  private get last(): Reading | undefined {
    return this.pieces.at(-1);
  }

  private readonly fates = new Map<Token, { as: Fate; of: Reading | null }>();
  private readonly thingFates = new WeakMap<ThingChunk, Fate>();

  /** What became of each word of a clause. */
  private account(clause: Clause, of: Reading | null, made: boolean): void {
    const fates = fatesOf(clause, this.tokensOfClause, thing => this.thingFates.get(thing) ?? "remark", made);
    for (const [token, as] of fates) this.fates.set(token, { as, of });
    // What no field took stays with the step as it was said.
    if (
      of &&
      made &&
      [...fates.values()].includes("remark") &&
      !of.remarks.some(r => r.includes(clause.text))
    )
      of.kept.push(clause.text);
  }

  private clause(clause: Clause, per: Per): void {
    const pieces = this.pieces.length;
    this.understand(clause, per);
    const made = this.pieces.length > pieces || this.last?.texts.at(-1) === clause.text;
    this.account(clause, this.last ?? null, made);
  }

  private understand(clause: Clause, per: Per): void {
    const nots = notsOf(clause);
    const found = this.deed(clause, per);
    const { last } = this;
    if (found === "remark") {
      const salted =
        clause.things.some(t => t.named.ingredient?.id === "salt" && !t.aside && !isOptional(clause, t)) &&
        !this.pool.went.some(one => one.ingredient.id === "salt") &&
        !clause.perhaps;
      if (salted && this.pieces.length) {
        this.seasons(clause, this.things(clause, per, true).said, []);
        return;
      }
      const words = clause.text.replace(/^(?:and|but|then|so)\s+/i, "");
      if (last && words) last.remarks.push(capital(words));
      else if (words) this.unread.push(words);
      if (last && words) last.texts.push(words);
      return;
    }
    if (found === "declared") {
      this.declared.push(clause.text);
      return;
    }
    if (found === "unread") {
      this.unread.push(clause.text);
      return;
    }
    const at = this.pieces.at(-1);
    if (at) at.remarks.push(...nots.map(capital));
  }

  // ————— what goes in —————

  /** What of a clause goes in; `again` is what was named and lies there already. */
  private things(
    clause: Clause,
    per: Per,
    puts: boolean,
  ): { said: SaidIngredient[]; again: string[]; doubts: string[]; optional: string[] } {
    const said: SaidIngredient[] = [];
    const again: string[] = [];
    const doubts: string[] = [];
    const optional: string[] = [];
    const chunks = clause.things;
    this.current = [];
    chunks.forEach((found, k) => {
      // "60 g butter and 60 g flour per litre": both.
      const next = chunks[k + 1];
      const chunk =
        !found.relation && found.amount && next?.relation && next.amount && next.relation.kind !== "share"
          ? { ...found, relation: next.relation }
          : found;
      this.thingFates.set(found, "used");
      if (chunk.aside || isOptional(clause, chunk)) {
        this.thingFates.set(found, "remark");
        optional.push(chunk.named.name);
        return;
      }
      // "turkey fat or butter": the first is taken, the second told.
      const or = orBefore(clause, chunk);
      if (or && said.length) {
        const first = said.at(-1);
        if (first) {
          this.thingFates.set(found, "asked");
          doubts.push(
            `“${nameOf(first)} or ${chunk.named.name}”: which one? ${capital(nameOf(first))} is taken until you say.`,
          );
          return;
        }
      }
      if (chunk.named.bundle) {
        const parts = this.bundle(chunk, clause, chunks.slice(k + 1));
        said.push(...parts.said);
        doubts.push(...parts.doubts);
        return;
      }
      if (partsOfBundle(clause, chunk)) return;
      const one = this.thing(chunk, clause, per, puts);
      this.thingFates.set(found, one === null ? "remark" : one !== "again" && one.unknown ? "asked" : "used");
      if (one === "again") again.push(chunk.named.name);
      else if (one) {
        said.push(one);
        this.current.push(one);
      }
    });
    // "start again with the 2.5 l": what the list has so much of.
    if (!this.listing)
      for (const chunk of clause.chunks) {
        const unit = chunk.type === "amount" ? chunk.amount.unit : null;
        if (
          chunk.type !== "amount" ||
          (unit?.kind !== "volume" && unit?.kind !== "mass") ||
          /\b(?:to|until|down|left|end|reduce)\b/.test(clause.plain)
        )
          continue;
        const massG = chunk.amount.number.value * unit.factor;
        const entry = this.pool
          .left()
          .find(
            e =>
              e.said.massG !== null &&
              isLiquid(e.said.ingredient) &&
              Math.abs(e.said.massG / massG - 1) < 0.05,
          );
        if (entry) said.push(this.pool.take(entry, "rest"));
      }
    this.base(clause, said);
    this.each(clause, said, doubts);
    for (const chunk of clause.chunks) {
      if (chunk.type !== "word") continue;
      // "the vegetables", "the shells": what was listed and has not gone in.
      for (const entry of this.pool.together(chunk.plain)) said.push(this.pool.take(entry, "rest"));
      // "the stock", "the drippings": of what nobody knows but by that word.
      if (/^(?:stock|jus|drippings|broth|juice|pulp|syrup|jelly)$/.test(chunk.plain))
        for (const entry of this.pool
          .left()
          .filter(e => e.said.unknown !== null && lastWordOf(e.said.unknown) === lastWordOf(chunk.plain)))
          said.push(this.pool.take(entry, "rest"));
      if (
        /^(?:everything|all)$/.test(chunk.plain) &&
        !/\btemperature\b/.test(clause.plain) &&
        !/\ball (?:the|of|over|sides|but|the time|day)\b/.test(clause.plain) &&
        (puts || clause.main === null || clause.main.sense === "blend")
      )
        for (const entry of this.pool.left()) said.push(this.pool.take(entry, "rest"));
    }
    return { said: merged(said), again, doubts, optional };
  }

  /** "120 g of flour to each litre of milk, so for 2.5 litres": so much milk. */
  private base(clause: Clause, said: SaidIngredient[]): void {
    const of = clause.things.find(t => t.relation?.kind === "per-litre" && t.relation.of)?.relation;
    const volume = clause.chunks.find(
      k => k.type === "amount" && k.amount.unit?.kind === "volume" && !k.amount.each,
    );
    if (!of || volume?.type !== "amount" || this.known(of.of)) return;
    const ingredient = this.lexicon.called(of.of);
    const unit = volume.amount.unit;
    if (!ingredient || !unit) return;
    const massG = volume.amount.number.value * unit.factor * (ingredient.densityGPerMl ?? 1);
    said.push({
      ingredient,
      name: of.of,
      said: "",
      massG,
      guessed: false,
      unknown: null,
      relation: null,
      asks: [],
      doubts: [],
    });
  }

  /** "sugar and vinegar, 1.2 kg each"; "250 g of each", though a rule said another weight. */
  private each(clause: Clause, said: SaidIngredient[], doubts: string[]): void {
    const chunk = clause.chunks.find(
      (k): k is Extract<Chunk, { type: "amount" }> =>
        k.type === "amount" &&
        (k.amount.each ||
          /^of each\b/.test(
            this.tokensOfClause
              .slice(k.to, k.to + 2)
              .map(t => t.plain)
              .join(" "),
          )),
    );
    const { amount } = chunk ?? {};
    if (!amount?.unit || (amount.unit.kind !== "mass" && amount.unit.kind !== "volume")) return;
    const massG = amount.number.value * amount.unit.factor;
    said.forEach((one, i) => {
      if (isLiquid(one.ingredient) && one.massG !== null) return;
      if (one.massG === null && !one.relation)
        said[i] = { ...one, massG, said: printNumber(massG), guessed: false };
      else {
        const rule = one.relation?.kind === "per-litre" ? one.relation.gPerL : one.massG;
        doubts.push(
          `${capital(nameOf(one))}: the rule says ${printNumber(rule ?? 0)} g${one.relation ? " a litre" : ""}, and ${printNumber(massG)} g of each was weighed. ${printNumber(massG)} g is taken.`,
        );
        said[i] = { ...one, massG, relation: null };
      }
    });
  }

  private thing(chunk: ThingChunk, clause: Clause, per: Per, puts: boolean): SaidIngredient | "again" | null {
    const { named } = chunk;
    const own = this.calledInFull(sayThing(chunk, this.tokensOfClause, this.lexicon));
    if (!own) return null;
    if (this.listing) return chunk.amount ? this.related(own, chunk, per) : own;
    if (named.ingredient?.id === "water" && /\bwater out\b/.test(clause.plain)) return null;
    const entry = this.pool.find(named.name, named.ingredient);
    const gone = this.pool.hasGone(named.name, named.ingredient);
    const withAmount = chunk.amount ? this.related(own, chunk, per) : own;
    // "a window": one of what nobody knows is a thing only where things are put in.
    if (
      named.ingredient === null &&
      chunk.amount &&
      chunk.amount.unit === null &&
      !chunk.amount.number.inFigures &&
      !this.listing &&
      !entry &&
      !(likenessKnown(own) && puts)
    )
      return null;
    if (typeof chunk.part === "number" && withAmount.massG !== null)
      this.halves.set(withAmount.ingredient.id, (withAmount.massG * (1 - chunk.part)) / chunk.part);
    if (withAmount.relation || (chunk.amount && withAmount.massG !== null)) {
      if (entry && entry.said.massG === null) {
        this.pool.take(entry, "rest");
        return withAmount;
      }
      if (
        entry?.said.massG &&
        withAmount.massG !== null &&
        withAmount.massG <= entry.said.massG * entry.left * 1.05
      ) {
        const taken = this.pool.take(entry, null, withAmount.massG);
        // What is left of it by rounding is nothing.
        if (entry.left < 0.04) entry.left = 0;
        return {
          ...withAmount,
          asks: taken.asks,
          doubts: taken.doubts,
          ...(taken.unknown && { unknown: taken.unknown, ingredient: taken.ingredient }),
        };
      }
      if (
        !entry &&
        gone &&
        chunk.definite &&
        withAmount.massG !== null &&
        gone.massG !== null &&
        Math.abs(withAmount.massG / gone.massG - 1) < 0.05
      )
        return "again";
      return withAmount;
    }
    if (chunk.amount && withAmount.asks.length) {
      if (entry) return this.pool.take(entry, chunk.part);
      return withAmount;
    }
    if (entry) return this.pool.take(entry, chunk.part);
    if (chunk.part !== null && gone) {
      const half = this.halves.get(gone.ingredient.id);
      if (chunk.part === "rest" && half !== undefined) {
        this.halves.delete(gone.ingredient.id);
        return { ...gone, massG: half, asks: [], doubts: [] };
      }
      return "again";
    }
    const declared = this.pool.entries.length > 0;
    if (gone) {
      if (
        !puts ||
        chunk.definite ||
        named.short ||
        (declared && this.pool.entries.some(e => e.said.ingredient.id === gone.ingredient.id))
      )
        return "again";
      if (named.ingredient === null) return "again";
      if (
        named.ingredient &&
        !isFat(named.ingredient) &&
        !/salt|pepper|lemon|vinegar|cream|wine|parsley|water/.test(named.ingredient.name)
      )
        return "again";
      return own;
    }
    if (named.ingredient === null) {
      // A word nobody knows is a thing where things are put in or listed; elsewhere it is the cook's own words.
      const takes = clause.main !== null && /^(?:add|stir|season|mount|pour|melt)$/.test(clause.main.sense);
      const beside = takes && clause.things.some(t => t.amount);
      const isThing =
        (takes ||
          this.listing ||
          (clause.main === null && clause.things.length > 1) ||
          (clause.main !== null && COOKS.has(clause.main.sense))) &&
        /^(?:|with|and|in|,)$/.test(chunk.prep) &&
        isLikeAThing(named.name);
      return isThing && (this.listing || beside || likenessKnown(own)) ? own : null;
    }
    if (!puts && clause.main && !COOKS.has(clause.main.sense) && clause.main.sense !== "prepare") return null;
    if (/^(?:over|through|into|from|off|out)$/.test(chunk.prep)) return null;
    return own;
  }

  /** "the belly" of a text that speaks of pork belly; "tails" under the title oxtail. */
  private calledInFull(one: SaidIngredient | null): SaidIngredient | null {
    if (!one?.unknown || one.unknown.includes(" ")) return one;
    const word = one.unknown.replace(/s$/, "");
    const [, longer] =
      new RegExp(
        `\\b((?:pork|lamb|beef|veal|chicken|duck|turkey|venison|goose|rabbit)\\s+${word}s?)\\b`,
        "i",
      ).exec(this.wholeText) ?? [];
    const [, whole] = new RegExp(`\\b(\\p{L}{2,}${word})s?\\b`, "iu").exec(this.title) ?? [];
    const known = whole ? this.lexicon.called(whole.toLowerCase()) : null;
    if (known) return { ...one, ingredient: known, unknown: null, doubts: [] };
    if (!longer) return one;
    const full = longer.toLowerCase().replace(/\s+/g, " ");
    const ingredient = this.lexicon.called(full);
    if (ingredient) return { ...one, ingredient, unknown: null, doubts: [] };
    return {
      ...one,
      unknown: full,
      doubts: one.doubts.map(d => d.replace(`“${one.unknown ?? ""}”`, `“${full}”`)),
    };
  }
  title = "";
  private gramsAsked = false;

  /** What is left of a thing of which a share went in, g by its id: "20 grams of the 40". */
  private halves = new Map<string, number>();

  /** Who shells shrimp wants the shells. */
  private shellsOf(one: SaidIngredient): SaidIngredient {
    const shells = /shrimp|prawn/.test(`${one.ingredient.name} ${one.unknown ?? ""}`)
      ? this.lexicon.larder.find(i => i.id === "prawn-shells")
      : undefined;
    return shells
      ? {
          ...one,
          ingredient: shells,
          unknown: null,
          massG: null,
          said: "",
          guessed: true,
          doubts: [],
          asks: [],
        }
      : one;
  }

  private tokensOfClause: Parameters<typeof sayThing>[1] = [];
  useTokens(tokens: Parameters<typeof sayThing>[1]): void {
    this.tokensOfClause = tokens;
  }

  /** "60 g per litre of stock" in grams, where the stock is known; else as the relation it is. */
  private related(own: SaidIngredient, chunk: ThingChunk, per: Per): SaidIngredient {
    const { amount } = chunk;
    const relation: Relation | Per = chunk.relation ?? per;
    if (!amount) return own;
    if (amount.unit?.kind === "share") {
      const pct = amount.number.value;
      const of = chunk.relation?.kind === "share" ? chunk.relation.of : "";
      const aims =
        own.ingredient.id === "salt" || own.ingredient.id === "coarse-salt"
          ? "salt"
          : isSugar(own.ingredient)
            ? "sugar"
            : null;
      const base = this.massOf(of);
      if (base !== null) return { ...own, massG: (base * pct) / 100, guessed: false };
      if (aims && pct < 30)
        return { ...own, relation: { kind: "to-reach", what: aims, value: pct }, asks: [] };
      return {
        ...own,
        relation: { kind: "share-of-base", pct },
        guessed: true,
        asks: [`${printNumber(pct, 1)} % of what? Of the main ingredient is taken until you say.`],
      };
    }
    if (!relation || relation.kind === "share") return own;
    const grams = own.massG;
    if (grams === null) return own;
    if (relation.kind === "per-piece") {
      const count = this.countOf(relation.of);
      return count === null ? own : { ...own, massG: grams * count };
    }
    const base = this.baseFor(relation.of, relation.kind);
    if (base !== null)
      return {
        ...own,
        massG: grams * base,
        said: `${own.said} ${relation.kind === "per-litre" ? "per litre" : "per kilo"}`,
      };
    return relation.kind === "per-litre"
      ? { ...own, massG: null, relation: { kind: "per-litre", gPerL: grams }, asks: [] }
      : { ...own, massG: null, relation: { kind: "per-kg", gPerKg: grams }, asks: [] };
  }

  private known(name: string): SaidIngredient | null {
    const ingredient = this.lexicon.called(name);
    const all = [...this.pool.entries.map(e => e.said), ...this.pool.went];
    return (
      all.find(one => ingredient && one.ingredient.id === ingredient.id) ??
      (name
        ? (this.pool.find(name, ingredient, this.pool.entries)?.said ?? this.pool.hasGone(name, null))
        : null) ??
      all.find(one => name && nameOf(one).includes(name.replace(/s$/, ""))) ??
      null
    );
  }

  private massOf(name: string): number | null {
    if (!name || /\b(?:finished|whole|total|weight|sauce|it)\b/.test(name)) return null;
    const one = this.known(name);
    return one?.massG ?? (/\bbones?\b|\bmeat\b|\bbelly\b|\bit\b/.test(name) ? this.heaviest() : null);
  }

  private heaviest(): number | null {
    const all = [...this.pool.entries.map(e => e.said), ...this.pool.went];
    return all.reduce<number | null>((m, one) => Math.max(m ?? 0, one.massG ?? 0), null);
  }

  /** Litres or kilograms of what a relation is of; `null` where it is of what comes out. */
  private baseFor(of: string, kind: "per-litre" | "per-kg"): number | null {
    let one = of ? this.known(of) : null;
    if (!of) {
      // "to the litre" of a béchamel: the liquid that was named last.
      const wet = (x: SaidIngredient) => x.massG !== null && isLiquid(x.ingredient) && x.massG > 200;
      const all = [...this.pool.entries.map(e => e.said), ...this.pool.went];
      one =
        this.current.findLast(wet) ??
        (this.hot && this.pieces.length > 3 ? null : (all.findLast(wet) ?? null));
    }
    if (one?.massG === undefined || one.massG === null) return null;
    return kind === "per-kg" ? one.massG / 1000 : one.massG / (one.ingredient.densityGPerMl ?? 1) / 1000;
  }

  /** Things of the clause that is being read. */
  private current: SaidIngredient[] = [];

  private countOf(name: string): number | null {
    const match = new RegExp(`(\\d+)\\s+(?:egg\\s+)?${name.replace(/s$/, "")}s?`, "i").exec(this.wholeText);
    return match ? Number(match[1]) : null;
  }
  wholeText = "";

  /** "1 kg mirepoix", "mirepoix (300 g onion, 200 g carrot, 100 g celery)", "12 % of the bones, 2:1:1 onion carrot celery". */
  private bundle(
    chunk: ThingChunk,
    clause: Clause,
    rest: readonly ThingChunk[],
  ): { said: SaidIngredient[]; doubts: string[] } {
    const name = chunk.named.bundle ?? "mirepoix";
    if (this.gone.has(name) && !chunk.amount)
      return {
        said: this.pool
          .left()
          .filter(e => e.said.bundle === name)
          .map(e => this.pool.take(e, "rest")),
        doubts: [],
      };
    this.gone.add(name);
    const find = (id: string) => this.lexicon.larder.find(i => i.id === id);
    const plain = (
      ingredient: Ingredient,
      massG: number | null,
      guessed: boolean,
      asks: string[] = [],
    ): SaidIngredient => ({
      ingredient,
      said: "",
      name: "",
      massG,
      guessed,
      unknown: null,
      relation: null,
      asks,
      doubts: [],
    });
    if (name === "beurre manié") {
      // Equal parts of butter and flour; where both are named they are what goes in.
      this.gone.delete(name);
      if (rest.some(r => r.amount) || !chunk.amount) return { said: [], doubts: [] };
      const massG = sayMass(chunk).massG;
      return {
        said: ["butter", "wheat-flour"].flatMap(id => {
          const one = find(id);
          return one ? [plain(one, massG === null ? null : massG / 2, true)] : [];
        }),
        doubts: [],
      };
    }
    if (name === "bouquet garni") {
      const ids = ["parsley-stems", "thyme", "bay-leaf"];
      if (rest.length) return { said: [], doubts: [] };
      const asks = "What is in the bouquet garni? Parsley stems, thyme and bay are taken; how much of each?";
      return {
        said: ids.flatMap((id, i) => {
          const one = find(id);
          return one ? [{ ...plain(one, null, true, i ? [""] : [asks]), bundle: name }] : [];
        }),
        doubts: [],
      };
    }
    const whole = chunk.amount ? this.related(sayMass(chunk), chunk, null).massG : null;
    const named = rest.filter(r => r.named.ingredient?.solidKind === "mirepoix");
    const ratio = /(\d+(?:\.\d+)?) ?[:/] ?(\d+(?:\.\d+)?) ?[:/] ?(\d+(?:\.\d+)?)/.exec(clause.plain);
    const parts = ratio ? ratio.slice(1, 4).map(Number) : null;
    if (named.length === 3 && parts && whole !== null) {
      const sum = parts.reduce((a, b) => a + b, 0);
      return {
        said: named.flatMap((r, i) =>
          r.named.ingredient ? [plain(r.named.ingredient, (whole * (parts[i] ?? 0)) / sum, false)] : [],
        ),
        doubts: [],
      };
    }
    if (named.length >= 2 && named.every(r => r.amount)) {
      const said = named.flatMap(r => {
        const one = sayThing(r, this.tokensOfClause, this.lexicon);
        return one ? [one] : [];
      });
      const sum = said.reduce((m, one) => m + (one.massG ?? 0), 0);
      const doubts =
        whole !== null && Math.abs(sum / whole - 1) > 0.02
          ? [
              `The parts of the mirepoix add up to ${printNumber(sum)} g, not ${printNumber(whole)} g: the parts are taken.`,
            ]
          : [];
      return { said, doubts };
    }
    const ids: readonly (readonly [string, number])[] = [
      ["onion", 2],
      ["carrot", 1],
      ["celery", 1],
    ];
    return {
      said: ids.flatMap(([id, part], i) => {
        const one = find(id);
        return one
          ? [
              plain(
                one,
                whole === null ? null : (whole * part) / 4,
                whole === null,
                i
                  ? []
                  : [
                      whole === null
                        ? "How much mirepoix?"
                        : `What is in ${printNumber(whole)} g of mirepoix? Two parts onion, one carrot, one celery is taken.`,
                    ],
              ),
            ]
          : [];
      }),
      doubts: [],
    };
  }

  // ————— what is done —————

  /** Whether a thing is named again in what follows. */
  private comesAgain(one: SaidIngredient, clause: Clause): boolean {
    const rest = this.restAfter(clause.tokens.at(-1)?.end ?? 0).toLowerCase();
    return [nameOf(one), ...one.ingredient.aliases, one.ingredient.name].some(name =>
      rest.includes(lastWordOf(name).toLowerCase()),
    );
  }

  private deed(clause: Clause, per: Per): "piece" | "remark" | "unread" | "declared" {
    const T = clause.plain;
    const senses = new Set(
      clause.verbs.filter(v => v.form !== "gerund" || v.verb === clause.main).map(v => v.verb.sense),
    );
    const main = clause.main?.sense ?? null;
    const has = (...of: Sense[]) => of.some(s => senses.has(s));
    const times = clause.chunks.filter((c): c is Extract<Chunk, { type: "time" }> => c.type === "time");
    const time = times.find(c => !c.atMost)?.time ?? times[0]?.time ?? null;
    const temps = clause.chunks.filter(
      (c): c is Extract<Chunk, { type: "temperature" }> => c.type === "temperature",
    );
    const temp = temps.at(-1) ?? bareTemperature(clause);
    const c = temp ? temp.temperature.c : null;
    const offHeat =
      /\b(?:off|from) (?:the )?(?:heat|fire|flame|boil|stove)\b|\bheat off\b|\bpull (?:the )?(?:pot|pan)\b/.test(
        T,
      );

    if (main === "aside" && /^(?:brush|serve|garnish|decorate|label|mention)$/.test(clause.main?.lemma ?? ""))
      return "remark";
    const optional = clause.things.filter(t => t.aside || isOptional(clause, t));
    const leads = clause.chunks.findIndex(k => k.type === "if") <= 1;
    if (
      clause.perhaps &&
      !has("reduce", "simmer", "boil", "roast", "cool") &&
      (leads ||
        optional.length === clause.things.length ||
        /^(?:thin|loosen|dilute|bind|thicken|lier)$/.test(clause.main?.lemma ?? ""))
    ) {
      return "remark";
    }
    // "We make 800 g at a time", "you should end up with five quarts": what comes out, nothing that goes in.
    const puts = main === null || PUTS.has(main) || (has("go", "put") && /\bin\b/.test(T));
    const isYield =
      /\b(?:end up with|makes?|yields?|should (?:weigh|have|give|end|land)|you want|you will have|youll have|land near|came through|at a time|should be)\b/.test(
        T,
      ) && clause.things.every(t => !t.amount || t.named.ingredient === null);
    const bare = clause.chunks.filter((k): k is Extract<Chunk, { type: "amount" }> => k.type === "amount");
    if (
      isYield &&
      bare.length &&
      (main === null || /^(?:aside|help|go|take|bring|add)$/.test(main)) &&
      !(/\bat a time\b/.test(T) && !/\bmake\b/.test(T))
    ) {
      const grams = bare[0]?.amount;
      if (grams?.unit && /\bmake|at a time|need\b/.test(T))
        this.total =
          grams.unit.kind === "mass" || grams.unit.kind === "volume"
            ? grams.number.value * grams.unit.factor
            : null;
      const { last } = this;
      if (/should weigh|weigh/.test(T) && last?.kind === "dry" && grams?.unit?.kind === "mass")
        last.fields["toG"] = grams.number.value * grams.unit.factor;
      if (
        grams?.unit &&
        last?.kind === "reduce" &&
        (grams.unit.kind === "volume" || grams.unit.kind === "mass") &&
        /\b(?:land|have|end|should)\b/.test(T)
      ) {
        const target = (last.fields["target"] ?? {}) as object;
        if ("body" in target || last.questions.length)
          last.fields["target"] =
            grams.unit.kind === "volume"
              ? { endMl: grams.number.value * grams.unit.factor }
              : { endG: grams.number.value * grams.unit.factor };
      }
      return this.total !== null && !this.last ? "declared" : "remark";
    }

    // "I take six pounds of chicken backs", "you'll want a quart of stock": nothing is done to it yet, but there it is.
    const states =
      clause.main !== null &&
      /^(?:need|want|take|use|buy|get|weigh|say)$/.test(clause.main.lemma) &&
      !/\b(?:out|off|back|in|into)\b/.test(T.replace(/\binto? \d+/g, ""));
    const is = main === null && /\b(?:is|are|have|has)\b/.test(T) && !has("go");
    if (
      (states || is) &&
      clause.things.some(t => t.amount && !t.aside) &&
      !has("cook", "boil", "simmer", "reduce") &&
      c === null
    ) {
      const found = this.things(clause, per, true);
      const { doubts } = found;
      const said = found.said.filter(one => one.unknown === null || one.massG !== null);
      if (
        said.length &&
        ((states && said.some(one => this.comesAgain(one, clause))) ||
          /\bthem\b|\bit\b/.test(this.restAfter(clause.tokens.at(-1)?.end ?? 0).slice(0, 60)) ||
          said.every(one => this.comesAgain(one, clause)))
      ) {
        for (const [i, one] of said.entries())
          this.pool.declare(i ? one : { ...one, doubts: [...one.doubts, ...doubts] }, clause.text, "");
        this.prepared = said;
        this.lexicon.shorten(this.pool.entries.filter(e => !e.said.unknown).map(e => e.said.ingredient));
        return "declared";
      }
      if (said.length) return this.piece("add", clause, said, {}, doubts);
    }
    // Knife work and washing: what it is done to goes in later.
    if (main === "prepare" && !has("cook", "brown", "sweat")) {
      const found = this.things(clause, per, false);
      const { doubts } = found;
      const said = clause.main?.lemma === "shell" ? found.said.map(one => this.shellsOf(one)) : found.said;
      const kept = said.filter(
        one =>
          one.massG !== null ||
          one.asks.length ||
          !this.pool.find(nameOf(one), one.ingredient, this.pool.entries),
      );
      if (kept.length) {
        for (const one of kept)
          this.pool.declare({ ...one, doubts: [...one.doubts, ...doubts] }, clause.text, "");
        this.prepared = kept;
        this.lexicon.shorten(this.pool.entries.map(e => e.said.ingredient).filter(i => i.id !== NOTHING));
      }
      return kept.length ? "declared" : this.last ? "remark" : "unread";
    }
    if (
      /\b(?:another|second|separate|other|clean|small|new) (?:\w+ )?(?:pan|pot|saucepan|skillet)\b|\bmade apart\b|\ba pan of its own\b/.test(
        T,
      ) &&
      this.apart === null &&
      this.pieces.length &&
      !has("strain", "pass", "pour", "return")
    ) {
      this.apart = this.wet;
      this.wet = false;
    }
    const before = this.pieces.length;
    const decided = this.decide(clause, {
      T,
      main,
      has,
      time,
      c,
      offHeat,
      puts,
      per,
      bare: bare.map(b => b.amount),
    });
    const made = this.pieces.length > before || decided === "piece" ? this.last : undefined;
    if (made && temp && "words" in temp && temp.words)
      made.questions.push({
        about: "holdC",
        ask: `“${temp.words}”, of what? ${printNumber(temp.temperature.c)} °C is taken until you say.`,
      });
    if (made && temp && "doubt" in temp.temperature && temp.temperature.doubt)
      made.doubts.push(temp.temperature.doubt);
    if (made && time?.backwards)
      made.doubts.push(`“${printNumber(time.lo)} to ${printNumber(time.hi)} min” runs backwards.`);
    if (made && time?.overnight)
      made.questions.push({
        about: "durationMin",
        ask: "How long is overnight? 10 h is taken until you say.",
      });
    if (decided === null) return this.last || clause.text.length < 3 ? "remark" : "unread";
    return decided;
  }

  private piece(
    kind: StepKindName,
    clause: Clause,
    said: SaidIngredient[],
    fields: Record<string, unknown> = {},
    doubts: string[] = [],
  ): "piece" {
    const waits =
      !this.pieces.length && !said.length && this.prepared.length && kind !== "degrease"
        ? this.fromPool(this.prepared)
        : [];
    if (waits.length) return this.piece(kind, clause, waits, fields, doubts);
    if (NEEDS_SOMETHING.has(kind) && !Object.keys(fields).length && !this.pieces.length && !said.length) {
      this.unread.push(clause.text);
      return "piece";
    }
    const reading: Reading = {
      kind,
      said: [...said],
      fields,
      questions: [],
      doubts: [...doubts],
      remarks: [],
      kept: [],
      texts: [clause.text],
      sentence: this.sentence,
    };
    if (STEP_KINDS[kind].heard?.begins && !said.length && !this.pieces.length && !this.pool.went.length)
      reading.questions.push({ about: "", ask: "What is it, and how much? Nothing has gone in yet." });
    this.pieces.push(reading);
    this.went(said);
    return "piece";
  }

  private went(said: readonly SaidIngredient[]): void {
    this.pool.goes(...said);
    for (const one of said) {
      this.whole += one.massG ?? 0;
      if (isLiquid(one.ingredient) && (one.massG ?? 100) > 25 && !isYolk(one.ingredient)) this.wet = true;
    }
  }

  /** Joins a clause to the piece before it. */
  private join(
    clause: Clause,
    said: SaidIngredient[] = [],
    fields: Record<string, unknown> = {},
    doubts: string[] = [],
  ): "piece" {
    const { last } = this;
    if (!last) return this.piece("add", clause, said, fields, doubts);
    last.said.push(...said);
    Object.assign(last.fields, fields);
    last.doubts.push(...doubts);
    last.texts.push(clause.text);
    this.went(said);
    return "piece";
  }

  /** The piece before, if all it did was to put in what this one cooks. */
  private absorb(): SaidIngredient[] {
    const { last } = this;
    if (!last || last.kind !== "add" || this.pieces.length === 0 || last.questions.length) return [];
    this.pieces.pop();
    this.absorbed = last;
    return last.said;
  }
  private absorbed: Reading | null = null;
  /** The words of what was taken up stay with what took it up. */
  private keepWords(): void {
    const { absorbed, last } = this;
    if (!absorbed || !last) return;
    last.texts.unshift(...absorbed.texts);
    last.doubts.unshift(...absorbed.doubts);
    last.remarks.unshift(...absorbed.remarks);
    last.kept.unshift(...absorbed.kept);
    for (const [token, fate] of this.fates)
      if (fate.of === absorbed) this.fates.set(token, { ...fate, of: last });
  }

  private decide(
    clause: Clause,
    is: {
      T: string;
      main: Sense | null;
      has: (...of: Sense[]) => boolean;
      time: SaidTime | null;
      c: number | null;
      offHeat: boolean;
      puts: boolean;
      per: Per;
      bare: readonly NonNullable<ThingChunk["amount"]>[];
    },
  ): "piece" | null {
    const { T, main, has, time, c, per } = is;
    this.absorbed = null;
    const timed = time ? { durationMin: Math.round(time.min * 10) / 10 } : {};
    // Nothing is said to lie in the pot: what is done to it tells that something does.
    if (
      !this.wet &&
      !this.pool.went.length &&
      !this.pool.left().length &&
      !clause.things.length &&
      (has("simmer", "boil", "bring", "reduce", "cook") || main === "deglaze")
    )
      this.wet = true;
    const wasWet = this.wet;
    const share = shareIn(clause.bare);
    const spoon = endIn(clause.bare);
    const volume = this.volumeEnd(clause, is.bare);
    const lid =
      /\b(?:lid|covered|cover|couvert)\b/.test(T) &&
      !/\b(?:uncovered|lid off|no lid|take the (?:paper|lid) off)\b/.test(T)
        ? { lid: "on" }
        : {};
    const { last } = this;
    const same = last?.sentence === this.sentence;

    // "it takes like 20 minutes"
    if (
      clause.main?.lemma === "take" &&
      time &&
      !clause.things.length &&
      !/\b(?:off|out|colou?r)\b/.test(T) &&
      last
    )
      return this.join(
        clause,
        [],
        last.kind === "reduce" ? { saidMin: time.min } : { durationMin: time.min },
      );
    // "Soft, not brown": how far what was just put in the pan is taken.
    if (
      last?.kind === "add" &&
      !this.wet &&
      main === null &&
      !clause.things.length &&
      /^(?:until )?(?:soft|tender|translucent|pale|golden|brown)\b/.test(T)
    ) {
      last.kind = /golden|^brown/.test(T) ? "brown" : "sweat";
      return this.join(clause, [], timed);
    }
    // "tip off the fat, keep 2 tablespoons of it"
    if (last?.kind === "degrease" && same && has("keep", "leave") && is.bare.length) {
      const [amount] = is.bare;
      const ml = amount?.unit?.kind === "volume" ? amount.number.value * amount.unit.factor : null;
      if (ml !== null) return this.degreased(clause, ml * 0.92);
    }
    // ——— fat off, lifting, putting back
    if (
      has("degrease") ||
      (/\b(?:fat|grease)\b/.test(T) &&
        /\b(?:off|out|away)\b/.test(T) &&
        has("take", "skim", "pour", "lift", "drain", "press", "add", "stir", "go", "bring") &&
        !clause.things.some(t => t.amount && t.named.ingredient && !isFat(t.named.ingredient))) ||
      (/\bskim\b/.test(T) && /\bfat\b/.test(T)) ||
      (has("lift") && /\bfat\b/.test(T)) ||
      /\bfat (?:off|comes off)\b/.test(T)
    ) {
      const leave = /\b(?:all but|leave|keep)\b/.test(T)
        ? clause.chunks.flatMap(k =>
            k.type === "amount" ? [k.amount] : k.type === "thing" && k.amount ? [k.amount] : [],
          )[0]
        : undefined;
      const leaveG =
        leave?.unit && (leave.unit.kind === "volume" || leave.unit.kind === "mass")
          ? leave.number.value * leave.unit.factor * (leave.unit.kind === "volume" ? 0.92 : 1)
          : undefined;
      return this.degreased(clause, leaveG);
    }
    if (has("skim") && main === "skim")
      return last?.kind === "skim" ? this.remarkOn(clause) : this.piece("skim", clause, []);
    if (this.putsBack(clause, T, has)) {
      if (!this.aside) return this.remarkOn(clause);
      const { said } = this.things(clause, per, true);
      this.aside = false;
      const back = this.piece("put-back", clause, []);
      return said.length ? this.piece("add", clause, said) : back;
    }
    const lifted = this.lifts(clause, T, has);
    if (lifted) return lifted;

    // ——— cold, storing
    if (has("freeze") && main === "freeze")
      return this.piece("freeze", clause, [], c !== null ? { toC: c } : {});
    const portions = /\b(?:tubs?|bags?|tins?|jars?|portions?|containers?)\b/.test(T)
      ? is.bare.find(a => a.unit?.kind === "mass")
      : undefined;
    if (
      (has("portion") || portions) &&
      !has("cook", "simmer") &&
      !clause.things.some(t => t.named.ingredient)
    ) {
      if (portions?.unit) {
        const grams = portions.number.value * portions.unit.factor;
        const cooled = has("cool") || (c !== null && c < 20);
        if (cooled && main === "cool") this.piece("cool", clause, [], c !== null ? { toC: c } : {});
        return this.piece("portion", clause, [], { portionG: grams });
      }
    }
    if (
      has("cool") &&
      (main === "cool" || !main || has("help", "go")) &&
      !/\b(?:a little|slightly|a bit)\b/.test(T) &&
      !/\bcool(?:ed)? (?:butter|cream)\b/.test(T)
    ) {
      const { said } = this.things(clause, per, false);
      void said;
      const toC = c ?? (/\bchill|\bcold\b|\bice\b|fridge/.test(T) ? 4 : 20);
      return this.piece("cool", clause, [], {
        toC,
        method: /\bice\b/.test(T) ? "ice-bath" : /blast/.test(T) ? "blast-chiller" : "ice-bath",
      });
    }
    if (/\bover ice\b|\bice bath\b/.test(T) && main === null)
      return this.piece("cool", clause, [], { toC: c ?? 4 });
    if (has("hold", "keep") && /\b(?:fridge|cold room|refrigerator)\b/.test(T))
      return this.piece("cool", clause, [], { toC: c ?? 4 });
    if (
      has("hold") ||
      (has("keep") && /\bwarm\b|\bhot\b|\bbain\b/.test(T) && !this.aside && (c !== null || time))
    ) {
      const { said } = this.things(clause, per, true);
      if (said.some(one => one.massG !== null)) this.piece("add", clause, said);
      return this.piece("hold", clause, [], { ...(c !== null && { holdC: c }), ...timed });
    }
    if (has("keep") && c !== null && last?.kind === "liaison") return this.join(clause, [], { toC: c });

    // ——— straining
    const through =
      /\b(?:through)\b[^,.;]*\b(?:sieve|chinois|tamis|mouli|mill|cloth|muslin|strainer|cheesecloth|colander)\b|\b(?:sieve|chinois|mouli|tamis)\b/.test(
        has("keep", "take") ? clause.all : T,
      );
    if (has("strain") || has("pass") || (through && !has("add"))) {
      if (main === "reduce" || main === "boil") this.reads(clause, is, share, spoon, volume);
      const press = /\b(?:press|push|squeez|wring|hard|rub|forc)/.test(T);
      const kind: StepKindName = this.blended || /\b(?:mouli|mill|tamis|drum)\b/.test(T) ? "pass" : "strain";
      return this.piece(kind, clause, [], kind === "strain" && press ? { press: true } : {});
    }
    if (has("drain") && main === "drain") {
      if (last?.kind === "blanch") return this.join(clause);
      if (/\bbeans|jar|tin\b/.test(T)) return null;
      return this.piece("drain", clause, []);
    }

    // ——— setting aside, setting in a bath
    if (has("reserve") || /\bset aside\b|\bkeep back\b/.test(T)) {
      const what = clause.text.replace(/^.*?(?:set aside|keep back|reserve)\s+/i, "").slice(0, 120);
      return this.piece("reserve", clause, [], what ? { what } : {});
    }
    const bakes = has("roast") || clause.main?.lemma === "steam" || has("cook");
    if (
      bakes &&
      (/\b(?:custards?|royales?|flans?)\b/.test(T) ||
        (/\b(?:water bath|bain marie)\b/.test(T) && !this.pool.went.some(one => isYolk(one.ingredient))) ||
        /\buntil (?:just )?set\b/.test(T))
    ) {
      const core = temps(clause).find(t => t < OVEN_FROM_C);
      const bath = temps(clause).find(t => t >= OVEN_FROM_C);
      return this.piece("set", clause, [], {
        ...(core !== undefined && { toC: core }),
        ...(bath !== undefined && { ovenC: bath }),
        ...timed,
      });
    }
    if (
      has("whip", "stir") &&
      /\bpeaks?\b|\b(?:until|till) (?:light|fluffy|foamy|doubled)\b/.test(T) &&
      !/\bover\b/.test(T)
    ) {
      const { said, doubts } = this.things(clause, per, true);
      return this.piece("whip", clause, said, timed, doubts);
    }

    // ——— blanching, curing, soaking
    if (has("blanch")) {
      // The water of a blanching goes away: it is none of the recipe.
      const dry = { ...clause, things: clause.things.filter(t => t.named.ingredient?.id !== "water") };
      const { said: real, doubts } = this.things(dry, per, true);
      const own = real.length ? real : this.prepared.length ? this.fromPool(this.prepared) : this.absorb();
      return this.piece("blanch", clause, own, timed, doubts);
    }
    if (
      last?.kind === "blanch" &&
      same &&
      (has("boil") ||
        has("drain") ||
        main === "prepare" ||
        (main === null && time && !clause.things.some(t => t.amount)))
    )
      return this.join(clause, [], timed);
    if (
      has("cure") ||
      (last?.kind === "cure" && same && !has("render", "brown", "put", "go", "add", "prepare"))
    ) {
      const { said } = this.things(clause, per, true);
      return this.cured(clause, said, timed);
    }
    if (has("soak") && time && time.min >= 30) {
      const { said, doubts } = this.things(clause, per, true);
      if (said.length) this.piece("add", clause, said, {}, doubts);
      return this.piece("steep", clause, [], timed);
    }
    if (
      (has("steep") ||
        has("rest") ||
        (has("leave") && time) ||
        (has("soak") && time) ||
        /\bstand\b/.test(T)) &&
      !has("simmer", "boil", "reduce") &&
      !/\bstand back\b/.test(T)
    ) {
      if (main !== "steep" && !time && !has("rest")) return this.remarkOn(clause);
      const { said, doubts } = this.things(clause, per, has("steep"));
      const kind: StepKindName = has("rest") && !has("steep", "leave") ? "rest" : "steep";
      return this.piece(kind, clause, said, timed, doubts);
    }

    // ——— flour and starch
    const thickened = this.thickens(clause, is);
    if (thickened) return thickened;

    // ——— the oven
    const oven =
      (c !== null && c >= OVEN_FROM_C && !/caramel|sugar/.test(T) && !this.isSyrup()) ||
      /\boven\b|\bon a tray\b/.test(T);
    if (has("roast") || (oven && !/\bfinish\b/.test(T)) || has("braise")) {
      const { said, doubts } = this.things(clause, per, true);
      const pot = /\b(?:pot|pan)\b/.test(T) && !oven;
      if (has("roast") && pot && c === null) return this.brownOrSweat(clause, said, "brown", timed, doubts);
      this.wetFrom(said);
      if (this.wet && (has("braise") || oven)) {
        const at =
          c !== null && c >= 60
            ? { where: "oven", atC: c }
            : has("braise") && !/\boven\b/.test(T) && c === null
              ? { where: "burner", atC: 95 }
              : { where: "oven", atC: c ?? 150 };
        return this.piece("braise", clause, said, { ...at, ...timed, lid: "on" }, doubts);
      }
      const base = said.length ? said : this.absorb();
      if (!base.length && last && (last.kind === "roast" || last.kind === "brown") && !said.length)
        return this.join(clause, [], { ...timed, ...(c !== null && { ovenC: c }) });
      if (/\b(?:finish|sheet pan|another)\b/.test(T) && this.pieces.length) return this.remarkOn(clause);
      const made = this.piece("roast", clause, base, { ...(c !== null && { ovenC: c }), ...timed }, doubts);
      this.keepWords();
      return made;
    }

    // ——— caramel
    const sugary = clause.things.some(t => t.named.ingredient && isSugar(t.named.ingredient));
    if (
      (/\bcaramel\b|\bamber\b/.test(T) && !has("deglaze")) ||
      (sugary && (has("caramel", "brown") || (has("cook") && !this.wet)) && !this.wet)
    ) {
      const { said, doubts } = this.things(clause, per, true);
      const own = said.length ? said : [];
      const listed = own.length
        ? []
        : this.pool
            .left()
            .filter(
              e =>
                isSugar(e.said.ingredient) ||
                (e.said.ingredient.id === "water" && /caramel/i.test(e.heading)),
            )
            .map(e => this.pool.take(e, "rest"));
      const before = own.length || listed.length ? [] : this.absorb();
      const all = [...before, ...own, ...listed];
      if (all.some(one => isSugar(one.ingredient)) || /caramel/.test(T)) {
        if (!all.length && last && (last.kind === "brown" || last.kind === "reduce"))
          return this.join(clause, [], c !== null ? { target: { stopC: c } } : {});
        const wetSugar = all.some(one => one.ingredient.id === "water");
        const result =
          wetSugar || c !== null
            ? this.piece("reduce", clause, all, { target: { stopC: c ?? 165 } }, doubts)
            : this.piece("brown", clause, all, { ...timed, durationMin: time?.min ?? 8 }, doubts);
        this.keepWords();
        this.wet = false;
        this.caramel = true;
        return result;
      }
    }

    // ——— reducing
    if (main === "reduce" && /\b(?:reduce|lower|turn down) (?:the )?(?:heat|flame|fire)\b/.test(T))
      return this.remarkOn(clause);
    const ends =
      share !== null || volume !== null || (spoon !== null && !(has("thicken") && "body" in spoon.end));
    if (
      has("reduce") ||
      (ends &&
        (has(
          "simmer",
          "boil",
          "cook",
          "go",
          "keep",
          "take",
          "bring",
          "help",
          "heat",
          "deglaze",
          "add",
          "pour",
          "put",
          "stir",
        ) ||
          main === null ||
          has("sweat", "brown", "dry"))) ||
      (c !== null && c > BOILS_TO_C && has("boil", "cook", "take", "bring"))
    ) {
      const result = this.reads(clause, is, share, spoon, volume);
      if (result) return result;
    }

    // ——— yolks, butter, oil
    const blends = /\bblender\b|\bblitz|\bwhizz|\bblend/.test(T) && (this.hot || this.wet);
    const bound = blends ? null : this.bindsOrMounts(clause, is);
    if (bound) return bound;

    // ——— blending
    if (
      has("blend") ||
      (/\bblender\b|\bprocessor\b|\bstick\b(?! of)|\bblitz\b/.test(T) &&
        (main === null || has("go", "put", "stir")))
    ) {
      const { said, doubts } = this.things(clause, per, true);
      if (/\b(?:processor|pulse)\b/.test(T) && said.some(one => one.ingredient.solidKind === "mushrooms")) {
        for (const one of said) this.pool.declare(one, clause.text, "");
        this.prepared = said;
        return this.last ? this.remarkOn(clause) : null;
      }
      this.blended = true;
      return this.piece(
        "blend",
        clause,
        said,
        {
          ...timed,
          tool: /\bstick\b/.test(T) ? "stick blender" : /\bmill\b/.test(T) ? "food mill" : "jar blender",
        },
        doubts,
      );
    }
    if (has("whip") && !(/\bin\b/.test(T) && /\bbutter\b/.test(T))) {
      const { said, doubts } = this.things(clause, per, true);
      return this.piece("whip", clause, said, timed, doubts);
    }

    // ——— the pan: flame, deglaze
    if (has("flame")) {
      const { said, doubts } = this.things(clause, per, true);
      const own = said.length ? said : this.absorb();
      this.hot = true;
      const made = this.piece("flame", clause, own, {}, doubts);
      this.keepWords();
      this.wet = true;
      return made;
    }
    const { said, again, doubts } = this.things(clause, per, is.puts || COOKS.has(main ?? "help"));
    // "Put it in 2 litres of milk", "add them": what was just made ready.
    if (
      this.prepared.length &&
      /\b(?:it|them|they)\b/.test(T) &&
      is.puts &&
      has("put", "add", "pour", "stir", "go")
    )
      said.push(...this.fromPool(this.prepared));
    const liquids = said.filter(one => isLiquid(one.ingredient));
    if (
      has("deglaze") ||
      (liquids.length && !this.wet && /\bscrap|\blift the fond\b/.test(T)) ||
      (this.caramel && liquids.length && !has("reduce"))
    ) {
      this.caramel = false;
      if (!said.length && last?.kind === "deglaze") return this.join(clause);
      return this.piece("deglaze", clause, said, {}, doubts);
    }

    // ——— bringing up
    if (isBringUp(T)) {
      if (this.wet || said.length) {
        this.wetFrom(said);
        const boil = /\bboil/.test(T);
        const hold = boil ? 100 : 90;
        if (!this.wet) return this.piece("add", clause, said, {}, doubts);
        this.hot = true;
        const made = this.piece(
          "simmer",
          clause,
          said,
          { holdC: hold, durationMin: time?.min ?? 1, ...(boil && { surface: "stirred" }) },
          doubts,
        );
        const at = this.last;
        if (at && !time) at.bringsUp = true;
        return made;
      }
      return this.remarkOn(clause);
    }
    if (has("heat") && main === "heat") {
      if (said.length && !this.wet && said.every(one => isFat(one.ingredient)))
        return this.piece("add", clause, said, {}, doubts);
      if (said.length && !this.wet) return this.piece("add", clause, said, c !== null ? {} : {}, doubts);
      this.hot = true;
      if (/\b(?:tray|plate|oven|bowl)\b/.test(T) && !said.length) return this.remarkOn(clause);
      return this.piece("reheat", clause, said, { toC: c ?? (/\bthrough\b/.test(T) ? 80 : 75) }, doubts);
    }

    // ——— cooking
    const cooks =
      has("simmer", "boil", "cook", "poach") ||
      /\b(?:simmer|murmur|boil)\b/.test(T) ||
      (time !== null && main === null && (this.wet || said.length > 0)) ||
      (c !== null && c >= 60 && c <= BOILS_TO_C && time !== null) ||
      (has("go", "keep", "stir") && time !== null && this.wet);
    const boilsWhatIsThere =
      has("simmer", "boil") && !said.length && this.pool.went.some(one => isLiquid(one.ingredient));
    if (boilsWhatIsThere) this.wet = true;
    if (has("render")) return this.brownOrSweat(clause, said, "brown", timed, doubts);
    if (
      has("sweat") ||
      has("brown") ||
      (has("melt") && time) ||
      (cooks && !this.wet && !liquids.length) ||
      (time !== null && main === null && !this.wet && !liquids.length)
    ) {
      const kind = this.panKind(T, has);
      // "into the trays for the last 20 min": beside what roasts.
      if (
        last?.kind === "roast" &&
        !this.wet &&
        !has("sweat", "brown") &&
        (/\btrays?\b|\boven\b/.test(T) || main === null)
      )
        return this.piece("roast", clause, said, { ...timed, ovenC: last.fields["ovenC"] }, doubts);
      if (kind) {
        if (!this.wet || has("sweat", "brown")) return this.brownOrSweat(clause, said, kind, timed, doubts);
      }
    }
    if (has("poach")) {
      this.hot = true;
      return this.piece("poach", clause, said, { ...timed, ...(c !== null && { holdC: c }) }, doubts);
    }
    if (has("dry") && main === "dry") {
      if (/\bpat\b|\bdried them\b|\bdry them\b|\bcloth\b/.test(T)) return this.remarkOn(clause);
      return this.piece("dry", clause, said, timed, doubts);
    }
    if (cooks) return this.simmers(clause, said, { T, time, c, lid, has }, doubts);

    // ——— putting in
    if (
      has("season") ||
      (said.length && said.every(one => isSeasoning(one.ingredient)) && !is.has("add", "put") && wasWet)
    )
      return this.seasons(clause, said, doubts);
    if (has("cover") && main === "cover") {
      const covered = this.covers(clause, said, doubts, T);
      if (covered) return covered;
    }
    if (said.length || doubts.length) {
      if (main === "aside" || main === "help") {
        const real = said.filter(one => one.massG !== null || one.unknown !== null);
        if (!real.length) return this.remarkOn(clause);
      }
      if (
        /\bto cover\b|\bcover(?:ed)?\b/.test(T) &&
        said.some(one => one.ingredient.id === "water" && one.massG === null)
      ) {
        const covered = this.covers(clause, said, doubts, T);
        if (covered) return covered;
      }
      // More of the same goes with what was put in just now.
      if (last?.kind === "add" && same && main === null) return this.join(clause, said, {}, doubts);
      return this.piece("add", clause, said, {}, doubts);
    }
    if (again.length && last) {
      if (
        /^(?:add|stir|pour|melt)$/.test(main ?? "") &&
        this.apart === null &&
        !this.aside &&
        clause.things.some(t => t.definite && t.named.ingredient)
      )
        last.doubts.push(
          ...again.map(name => {
            const gone = this.pool.hasGone(name, this.lexicon.called(name));
            return `“the ${gone ? nameOf(gone) : name}”: ${gone?.massG ? `${printNumber(gone.massG)} g of it` : "it"} went in before, so no more is added here. Put the earlier one where it belongs, or say how much more.`;
          }),
        );
      return this.remarkOn(clause);
    }
    if (/\bwater\b/.test(T) && /\bcover\b/.test(T)) {
      const covered = this.covers(clause, said, doubts, T);
      if (covered) return covered;
    }
    return this.remarkOn(clause);
  }
  private caramel = false;

  private remarkOn(clause: Clause): "piece" | null {
    void clause;
    return null;
  }

  private wetFrom(said: readonly SaidIngredient[]): void {
    if (said.some(one => isLiquid(one.ingredient) && (one.massG ?? 100) > 25)) this.wet = true;
  }

  private isSyrup(): boolean {
    return this.last?.kind === "reduce" && this.last.said.some(one => isSugar(one.ingredient));
  }

  private takeBringUp(): SaidIngredient[] {
    const { last } = this;
    if (!last?.bringsUp) return [];
    this.pieces.pop();
    this.absorbed = last;
    return last.said;
  }

  private fromPool(said: readonly SaidIngredient[]): SaidIngredient[] {
    const taken = said.flatMap(one => {
      const entry = this.pool.find(nameOf(one), one.ingredient);
      return entry ? [this.pool.take(entry, "rest")] : [];
    });
    this.prepared = [];
    return taken;
  }

  private degreased(clause: Clause, leaveG: number | undefined): "piece" {
    const { last } = this;
    const fat = this.lexicon.larder.find(i => i.id === "poultry-fat");
    const ofNothing = this.pool.went.length === 0;
    if (last?.kind === "degrease" && (last.sentence === this.sentence || leaveG !== undefined)) {
      this.join(clause, [], leaveG === undefined ? {} : { leaveG });
      if (ofNothing && leaveG !== undefined && fat) this.piece("add", clause, [fatOf(fat, leaveG)]);
      return "piece";
    }
    const cold = /\b(?:cold|chill|tomorrow|set|one piece)\b/.test(clause.all) || last?.kind === "cool";
    // Fat that is wanted is an amount of fat that stays: "tip off the fat, keep 2 tablespoons".
    if (ofNothing && leaveG !== undefined && fat) this.piece("add", clause, [fatOf(fat, leaveG)]);
    return this.piece("degrease", clause, [], {
      ...(cold && { method: "chilled" }),
      ...(leaveG !== undefined && { leaveG }),
    });
  }

  private putsBack(clause: Clause, T: string, has: (...of: Sense[]) => boolean): boolean {
    if (
      /\bback (?:to|up to|on|into the (?:pan|pot|stove)|on the (?:stove|fire|heat))\b/.test(T) &&
      !/\bback (?:in|into)\b/.test(T)
    )
      return has("return") && clause.things.length > 0 && this.aside && !/\bboil\b/.test(T);
    if (has("return")) return this.aside && !/\bwith the (?:milk|cream)/.test(T);
    if (!/\bback\b/.test(T)) return false;
    if (/\bback of\b|\bbring\b|\bcome back\b|\bjuices?\b|\bon the back\b|\bstir back\b/.test(T)) return false;
    return (
      this.aside &&
      (has("put", "go", "add", "take") || clause.main === null) &&
      (clause.things.length > 0 || /\b(?:them|it|meat|chicken|in)\b/.test(T))
    );
  }

  /** "Meat out", "take out the mussels", "fish out the basil". */
  private lifts(clause: Clause, T: string, has: (...of: Sense[]) => boolean): "piece" | null {
    if (
      /\bfrom (?:the )?(?:heat|oven|fire)\b|\boff (?:the )?(?:heat|fire|boil)\b/.test(T) &&
      !/\bout\b/.test(T)
    )
      return null;
    const out = /\bout\b/.test(T);
    if (
      /^(?:move|transfer)$/.test(clause.main?.lemma ?? "") &&
      !/\b(?:plate|sheet|tray|dish|aside|board|platter)\b/.test(T)
    )
      return null;
    const does =
      (has("lift") && !/\bsauce\b/.test(T)) ||
      (out && (has("take", "bring", "go", "lift", "put") || clause.main === null)) ||
      /\bcame out\b/.test(T);
    if (!does || /\bwater out\b|\btake off\b|\bcook(?:ed)? out\b|\bwhisking out\b|\bscoop/.test(T))
      return null;
    if (has("add", "stir", "pour", "cook", "boil", "reduce", "press") && !has("take", "lift", "bring"))
      return null;
    if (!this.pool.went.length) return null;
    // What is lifted: by name where it is one thing among others.
    const named = clause.things
      .filter(t => !t.aside)
      .map(t => this.goneBy(t))
      .filter(x => x !== null);
    const herbs = named.length > 0 && named.every(one => one.ingredient.solidKind === "herbs");
    const isIn =
      clause.things.length === 0 ||
      named.length > 0 ||
      /\b(?:meat|them|it|bones|shells|claws|fish|pieces|herbs|bay|bouquet|bundle)\b/.test(T);
    if (!isIn) return null;
    const all = this.pool.went;
    const aromatic =
      herbs ||
      (named.length === 0 && /\b(?:herbs?|bay|bouquet|bundle|stalks)\b/.test(T)) ||
      /\bcame out\b/.test(T);
    const later = this.restAfter(clause.tokens.at(-1)?.end ?? 0);
    const comes =
      named.some(one =>
        new RegExp(
          `\\b${lastWordOf(nameOf(one))}s?\\b[^.;]*\\bback\\b|\\b(?:return|back in)\\b[^.;]*\\b${lastWordOf(nameOf(one))}`,
          "i",
        ).test(later),
      ) ||
      /\b(?:back in|put (?:\w+ ){1,3}back|return(?:ed)? (?:the )?(?:meat|chicken|shanks|mussels)|back\.)/i.test(
        later,
      );
    const keep =
      !aromatic &&
      (comes ||
        /\b(?:keep|warm|hold|aside|plate|plates|garnish)\b/.test(clause.all + later.slice(0, 40)) ||
        (named.length === 0 && all.some(one => one.ingredient.solidKind === "meat")) ||
        named.some(
          one =>
            one.ingredient.solidKind === "meat" ||
            one.ingredient.solidKind === "poultry-whole" ||
            one.unknown !== null,
        ));
    const solids = all.filter(one => one.ingredient.phase === "solids");
    const shells = /\b(?:shells?|claws|heads|carcass)\b/.test(T)
      ? solids.filter(one => one.ingredient.solidKind === "shells")
      : [];
    const only = [...new Set([...named, ...shells])];
    const which =
      !aromatic && only.length && only.length < solids.length
        ? only
            .map(one => one.ingredient.name)
            .join(", ")
            .slice(0, 120)
        : undefined;
    if (this.aside) this.cameBack(clause);
    if (keep) this.aside = true;
    return this.piece("lift", clause, [], {
      what: aromatic ? "aromatics" : "everything solid",
      keep,
      ...(which && { which }),
    });
  }

  /** What is lifted out a second time has gone back before: taken before it was cooked on, and said. */
  private cameBack(clause: Clause): void {
    const at = this.pieces.findLastIndex(p => p.kind === "braise" || p.kind === "simmer");
    if (at < 0) return;
    const back: Reading = {
      kind: "put-back",
      said: [],
      fields: {},
      questions: [],
      doubts: [
        `The words do not say when what was lifted out goes back in. Taken: before “${this.pieces[at]?.texts[0]?.slice(0, 40) ?? ""}”.`,
      ],
      remarks: [],
      kept: [],
      texts: [clause.text],
      sentence: this.sentence,
    };
    this.pieces.splice(at, 0, back);
  }

  /** What went in of a thing that is named now, however shortly. */
  private goneBy(thing: ThingChunk): SaidIngredient | null {
    const full = this.calledInFull(sayThing({ ...thing, amount: null }, this.tokensOfClause, this.lexicon));
    return full
      ? this.pool.hasGone(full.unknown ?? full.ingredient.name, full.unknown ? null : full.ingredient)
      : null;
  }

  private cured(clause: Clause, said: readonly SaidIngredient[], timed: Record<string, unknown>): "piece" {
    const { last } = this;
    const isRub = (one: SaidIngredient) =>
      one.ingredient.id === "salt" || one.ingredient.id === "coarse-salt" || isSugar(one.ingredient);
    const meat = said.filter(one => !isRub(one));
    const fields: Record<string, unknown> = { ...timed };
    const amounts = clause.things.filter(t => t.amount?.unit?.kind === "share");
    for (const thing of amounts) {
      const pct = thing.amount?.number.value ?? 0;
      fields[thing.named.ingredient && isSugar(thing.named.ingredient) ? "sugarPct" : "saltPct"] = pct;
    }
    if (last?.kind === "cure") {
      for (const one of meat) {
        const open = last.said.find(x => x.unknown === one.unknown && x.massG === null);
        if (open) last.said.splice(last.said.indexOf(open), 1, one);
        else last.said.push(one);
      }
      // "five pounds of it": the amount of what was named before.
      const of = clause.chunks.find(k => k.type === "amount");
      const open = last.said.find(x => x.massG === null || x.guessed);
      if (of?.type === "amount" && open && of.amount.unit?.kind === "mass")
        last.said.splice(last.said.indexOf(open), 1, {
          ...open,
          massG: of.amount.number.value * of.amount.unit.factor,
          said: this.tokensOfClause
            .slice(of.from, of.to)
            .map(t => t.text)
            .join(" "),
        });
      Object.assign(last.fields, fields);
      last.texts.push(clause.text);
      this.pool.goes(...last.said);
      return "piece";
    }
    const of = clause.chunks.find(k => k.type === "amount");
    const weighed = meat.map(one =>
      one.massG === null && of?.type === "amount" && of.amount.unit?.kind === "mass"
        ? { ...one, massG: of.amount.number.value * of.amount.unit.factor }
        : one,
    );
    return this.piece("cure", clause, weighed, fields);
  }

  /** Flour, starch, roux, slurry, beurre manié, and what follows them until they are wet. */
  private thickens(
    clause: Clause,
    is: {
      T: string;
      main: Sense | null;
      has: (...of: Sense[]) => boolean;
      time: SaidTime | null;
      per: Per;
      c: number | null;
    },
  ): "piece" | null {
    const { T, has, time, per } = is;
    const { last } = this;
    const open = this.pieces.findLast(p => p.kind === "thicken");
    const dryRoux =
      open &&
      !open.fields["wetted"] &&
      !this.wet &&
      this.pieces.slice(this.pieces.indexOf(open) + 1).every(p => p.kind === "lift" || p.kind === "degrease")
        ? open
        : null;
    if (dryRoux && /\bscrap/.test(T)) {
      dryRoux.fields["wetted"] = true;
      return null;
    }
    const names = clause.things.filter(t => !t.aside).map(t => t.named.ingredient);
    const flour = names.some(i => i !== null && isFlour(i));
    const starch = names.some(i => i !== null && isStarch(i));
    const manie = /\bbeurre mani|\bkneaded\b/.test(T);
    const roux = /\broux\b/.test(T);
    if (dryRoux && !flour && !starch) {
      const together =
        this.apart !== null &&
        /\b(?:onto|on to|into|pour|add)\b/.test(T) &&
        /\b(?:it|milk|stock|liquor|broth|cream|infusion|the)\b/.test(T);
      if (together && !clause.things.some(t => t.amount)) {
        this.wet = this.apart ?? true;
        this.apart = null;
        dryRoux.fields["wetted"] = true;
        dryRoux.texts.push(clause.text);
        return "piece";
      }
      const liquids =
        names.some(i => i !== null && isLiquid(i)) || /\b(?:stock|milk|broth|liquor|liquid)\b/.test(T);
      if (liquids && !has("reduce", "deglaze")) {
        const { said, doubts } = this.things(clause, per, true);
        if (said.some(one => isLiquid(one.ingredient))) {
          dryRoux.fields["wetted"] = true;
          const made =
            last === dryRoux
              ? this.join(clause, said, {}, doubts)
              : this.piece("add", clause, said, {}, doubts);
          this.wet = true;
          return time && !has("help") && has("simmer", "boil", "cook")
            ? this.simmers(clause, [], { T, time, c: is.c, lid: {}, has }, [])
            : made;
        }
      }
      // Cooked before anything comes to it.
      if (
        time &&
        (has("cook", "stir", "sweat", "brown", "help") || is.main === null) &&
        !clause.things.some(t => t.amount)
      )
        return this.join(clause, [], { rouxMin: time.min, ...rouxColour(T) });
      if (
        /\b(?:cook|stir|smell|colour|color|pale|blond)\b/.test(T) &&
        !clause.things.length &&
        (has("cook") || is.main === null || is.main === "aside")
      )
        return this.join(clause, [], rouxColour(T));
    }
    // "Slurry …. In, whisking, 2 min boil."
    if (
      last?.kind === "thicken" &&
      last.fields["form"] === "slurry" &&
      has("boil") &&
      time &&
      !clause.things.length
    )
      return this.join(clause, [], { durationMin: time.min });
    if (!flour && !starch && !manie && !roux && !has("thicken", "dust")) return null;
    if (roux && /\bonto the roux\b|\bto the roux\b|\broux is\b/.test(T) && !flour) return null;
    if (
      has("thicken") &&
      !clause.things.length &&
      !this.pool.left().some(e => isStarch(e.said.ingredient) || isFlour(e.said.ingredient))
    )
      return null;
    if (has("dust") && !flour) return null;
    const { said, doubts } = this.things(clause, per, true);
    const listed =
      (roux || has("thicken") || manie) &&
      !said.some(one => isFlour(one.ingredient) || isStarch(one.ingredient))
        ? this.pool
            .left()
            .filter(e => isFlour(e.said.ingredient) || isStarch(e.said.ingredient))
            .slice(0, 1)
            .flatMap(e => [
              this.pool.take(e, "rest"),
              ...this.pool
                .left()
                .filter(o => o.text === e.text && o.said.ingredient.id === "water")
                .map(o => this.pool.take(o, "rest")),
            ])
        : [];
    for (const one of said.filter(x => isStarch(x.ingredient))) {
      const line = this.pool.entries.find(e => e.said.ingredient.id === one.ingredient.id)?.text;
      for (const o of this.pool.left().filter(e => e.text === line && e.said.ingredient.id === "water"))
        listed.push(this.pool.take(o, "rest"));
    }
    const rouxFat =
      roux && !said.some(one => isFat(one.ingredient))
        ? this.pool
            .left()
            .filter(e => isButter(e.said.ingredient) || isFat(e.said.ingredient))
            .slice(0, 1)
            .map(e => this.pool.take(e, "rest"))
        : [];
    const all = [...rouxFat, ...listed, ...said];
    const binder = all.find(one => isFlour(one.ingredient) || isStarch(one.ingredient));
    if (!binder) {
      if (roux && !this.pool.hasGone("flour", null)) {
        const plain = this.lexicon.larder.find(i => i.id === "wheat-flour");
        if (plain)
          all.push({
            ingredient: plain,
            said: "",
            name: "",
            massG: null,
            guessed: true,
            unknown: null,
            relation: null,
            asks: [],
            doubts: [],
          });
      } else return null;
    }
    const isSlurry = (binder && isStarch(binder.ingredient)) || /\bslurry\b/.test(T);
    const form = manie
      ? "beurre manié"
      : isSlurry
        ? "slurry"
        : has("dust") ||
            /\bover\b/.test(T) ||
            (!all.some(one => isFat(one.ingredient)) &&
              this.pool.went.some(one => one.ingredient.phase === "solids") &&
              !this.wet)
          ? "dusted"
          : "roux";
    const wasWet = this.wet;
    // Fat melted for it just before belongs to it.
    const fatBefore =
      last?.kind === "add" && !wasWet && last.said.length > 0 && last.said.every(one => isFat(one.ingredient))
        ? this.absorb()
        : [];
    const wetting = all.some(
      one => isLiquid(one.ingredient) && one.ingredient.id !== "water" && (one.massG ?? 0) > 50,
    );
    const isCooked = time !== null && !wasWet && !wetting;
    const made = this.piece(
      "thicken",
      clause,
      [...fatBefore, ...all],
      {
        form,
        durationMin: isSlurry
          ? (time?.min ?? 2)
          : wasWet || wetting
            ? (time?.min ?? (has("simmer", "boil") ? 5 : 1))
            : 1,
        ...(isCooked && form !== "slurry" && { rouxMin: time.min }),
        ...(form === "roux" && rouxColour(T)),
        ...((wasWet || wetting) && { wetted: true }),
      },
      doubts,
    );
    this.keepWords();
    if (!wasWet && !wetting) this.wet = isSlurry;
    this.hot = true;
    return made;
  }

  /** Yolks with heat, butter into a sauce, oil into a mayonnaise. */
  private bindsOrMounts(
    clause: Clause,
    is: {
      T: string;
      main: Sense | null;
      has: (...of: Sense[]) => boolean;
      time: SaidTime | null;
      c: number | null;
      per: Per;
      puts: boolean;
      offHeat: boolean;
    },
  ): "piece" | null {
    const { T, has, c, per, main } = is;
    const { last } = this;
    const names = clause.things.filter(t => !t.aside).map(t => t.named.ingredient);
    const yolk = names.some(i => i !== null && isYolk(i));
    const wentYolk = this.pool.went.some(one => isYolk(one.ingredient));
    if (
      last?.kind === "liaison" &&
      !yolk &&
      (c !== null || /\bthickens\b|\bribbon\b|\bthick and pale\b/.test(T)) &&
      !clause.things.some(t => t.amount)
    ) {
      return this.join(clause, [], {
        ...(c !== null && c >= 40 && c <= 100 && { toC: c }),
        ...(is.time && { durationMin: is.time.min }),
      });
    }
    if (
      has("temper") ||
      (yolk &&
        (this.hot ||
          (c !== null && c > 40) ||
          /\bbain|\bover\b.*\bwater\b|\bliaison\b|\bsabayon\b/.test(T)) &&
        (is.puts || has("cook", "mount")))
    ) {
      const { said, doubts } = this.things(clause, per, true);
      if (!said.length && last?.kind === "liaison") return this.join(clause);
      const own = said.some(one => isYolk(one.ingredient))
        ? said
        : [
            ...said,
            ...(last?.kind === "add" && last.said.some(one => isYolk(one.ingredient)) ? this.absorb() : []),
          ];
      if (own.some(one => isYolk(one.ingredient)) || has("temper")) {
        const made = this.piece(
          "liaison",
          clause,
          own,
          {
            ...(c !== null && c >= 40 && c <= 100 && { toC: c }),
            ...(is.time && { durationMin: is.time.min }),
          },
          doubts,
        );
        this.keepWords();
        return made;
      }
    }
    if (
      has("stir") &&
      c !== null &&
      c > 40 &&
      c < 90 &&
      last?.kind === "add" &&
      last.said.some(one => isYolk(one.ingredient)) &&
      !names.some(Boolean)
    ) {
      const own = this.absorb();
      const made = this.piece("liaison", clause, own, { toC: c });
      this.keepWords();
      return made;
    }
    const fats = names.filter((i): i is Ingredient => i !== null && isFat(i));
    const butter = fats.some(isButter);
    const oil = fats.some(isOil);
    const cold = !this.hot;
    const stream = /\b(?:stream|thread|drops|drop by drop|trickle|drizzle)\b/.test(T);
    const liquidFat =
      fats.some(i => i.id === "clarified-butter" || i.id === "brown-butter") ||
      (butter && /\bmelted|warm|clarified\b/.test(T));
    if (
      fats.length &&
      (stream ||
        (oil &&
          cold &&
          (wentYolk || yolk || this.pool.went.some(one => /mustard/.test(one.ingredient.name)))) ||
        (liquidFat && (wentYolk || yolk)) ||
        has("emulsify")) &&
      !has("sweat", "brown", "cook", "roast") &&
      (is.puts || has("emulsify", "blend") || main === "aside" || stream)
    ) {
      const { said, doubts } = this.things(clause, per, true);
      if (said.length) {
        const before =
          last?.kind === "add" &&
          cold &&
          !last.said.some(one => isLiquid(one.ingredient) && (one.massG ?? 0) > 500)
            ? this.absorb()
            : [];
        const made = this.piece(
          "emulsify",
          clause,
          [...before, ...said],
          {
            tool: /\bstick|blender\b/.test(T + (this.absorbed?.texts.join(" ") ?? ""))
              ? "stick blender"
              : "whisk",
          },
          doubts,
        );
        this.keepWords();
        return made;
      }
    }
    if (
      /\bstick blender\b/.test(T) &&
      cold &&
      this.pool.went.some(one => /mustard|yolk|soy|tahini/.test(one.ingredient.name) || one.unknown) &&
      !has("blend") &&
      last?.kind === "add" &&
      main === null
    ) {
      const own = this.absorb();
      const made = this.piece("emulsify", clause, own, { tool: "stick blender" });
      this.keepWords();
      return made;
    }
    if (
      has("mount") ||
      (has("whip") && butter) ||
      (butter &&
        ((this.wet && this.hot) || (!this.pool.went.length && is.offHeat)) &&
        (has("stir", "add", "melt", "emulsify") || main === null || has("go")) &&
        !has("blend") &&
        (/\b(?:cold|cubes?|whisk|whisked|beat|swirl|glossy|finish|end|off|knob|piece by piece|at a time)\b/.test(
          T,
        ) ||
          is.offHeat ||
          last?.kind !== "add"))
    ) {
      const { said, doubts } = this.things(clause, per, true);
      const fat = said.some(one => isFat(one.ingredient));
      if (has("mount") && !said.length) {
        const listed = this.pool
          .left()
          .filter(e => isButter(e.said.ingredient))
          .slice(0, 1)
          .map(e => this.pool.take(e, "rest"));
        if (listed.length) return this.piece("mount", clause, listed, {}, doubts);
        return this.remarkOn(clause);
      }
      if (fat || has("mount"))
        return this.piece(has("mount") || fat ? "mount" : "add", clause, said, {}, doubts);
      if (said.length) return this.piece("add", clause, said, {}, doubts);
    }
    return null;
  }

  private panKind(T: string, has: (...of: Sense[]) => boolean): "brown" | "sweat" | null {
    if (has("brown") && !/\bsoft\b/.test(T)) return "brown";
    if (has("sweat")) return "sweat";
    return /\b(?:golden|gold|brown|colou?r|dark|darkens?|deep|caramel|toasty|nutty|pink|straw|tea|high|hard|crushed and fried|fast)\b/.test(
      T,
    ) && !/\b(?:gently|low|soft)\b/.test(T)
      ? "brown"
      : /\b(?:golden|colou?r of|brown)\b/.test(T)
        ? "brown"
        : "sweat";
  }

  private brownOrSweat(
    clause: Clause,
    said: SaidIngredient[],
    kind: "brown" | "sweat",
    timed: Record<string, unknown>,
    doubts: string[],
  ): "piece" {
    const { last } = this;
    const dry = endIn(clause.plain);
    // "They were crushed and fried in 200 ml of oil."
    if (this.prepared.length && said.every(one => isFat(one.ingredient)) && !this.pieces.length)
      said = [...this.fromPool(this.prepared), ...said];
    // What was only put in a dry pan is what is cooked in it now.
    const before = last?.kind === "add" && !this.wet ? this.absorb() : [];
    const prepared =
      !said.length && /\b(?:them|it|these)\b/.test(clause.plain) && this.prepared.length
        ? this.fromPool(this.prepared)
        : [];
    this.hot = true;
    if (dry && "dry" in dry.end && !/\bfried\b/.test(clause.plain)) {
      const mushrooms =
        [...before, ...said, ...prepared].some(one => one.ingredient.solidKind === "mushrooms") ||
        this.pool.went.some(one => one.ingredient.solidKind === "mushrooms");
      if (mushrooms || this.driedAlready) {
        const made = this.piece(
          "dry",
          clause,
          [...before, ...said, ...prepared],
          { ...timed, ...this.dryLoss([...before, ...said, ...prepared]) },
          doubts,
        );
        this.keepWords();
        return made;
      }
    }
    if (
      !said.length &&
      !before.length &&
      !prepared.length &&
      last &&
      (last.kind === "sweat" || last.kind === "brown") &&
      !last.timed &&
      (last.kind === kind || Object.keys(timed).length > 0)
    ) {
      last.kind = kind === "brown" ? "brown" : last.kind;
      return this.join(clause, [], timed);
    }
    const made = this.piece(kind, clause, [...before, ...prepared, ...said], { ...timed }, doubts);
    const at = this.last;
    if (at && "durationMin" in timed) at.timed = true;
    this.keepWords();
    return made;
  }

  private dried = new Set<SaidIngredient>();
  private driedAlready = false;
  private steamed = 0;
  /** What leaves until the liquor of the mushrooms is gone, per cent of all that is in the pan. */
  private dryLoss(now: readonly SaidIngredient[]): { lossPct: number; fromG: number } {
    const all = [...this.pool.went, ...now];
    const mass = (of: readonly SaidIngredient[]) => of.reduce((m, one) => m + (one.massG ?? 0), 0);
    const whole = mass(all) - this.steamed;
    const wet = mass(
      all.filter(
        one => isLiquid(one.ingredient) && one.ingredient.composition.fat < 5 && !this.dried.has(one),
      ),
    );
    const mushrooms = mass(
      all.filter(one => one.ingredient.solidKind === "mushrooms" && !this.dried.has(one)),
    );
    const loss = COOKED_DRY * mushrooms + BOILED_OFF * wet;
    for (const one of all) this.dried.add(one);
    this.steamed += loss;
    this.driedAlready = true;
    return {
      lossPct: whole > 0 ? Math.min(85, Math.max(1, Math.round((1000 * loss) / whole) / 10)) : 40,
      fromG: whole,
    };
  }

  private simmers(
    clause: Clause,
    said: SaidIngredient[],
    is: {
      T: string;
      time: SaidTime | null;
      c: number | null;
      lid: Record<string, unknown>;
      has: (...of: Sense[]) => boolean;
    },
    doubts: string[],
  ): "piece" {
    const { T, time, c, lid, has } = is;
    this.wetFrom(said);
    this.hot = true;
    const { last } = this;
    const boils = has("boil") && !/\bsimmer|murmur\b/.test(T) && !/\bcook\b/.test(T);
    const holdC =
      c !== null && c >= 40 && c <= 110
        ? c
        : boils
          ? 100
          : /\b(?:bare|barely|gentle|low|murmur|bubble now)\b/.test(T)
            ? 88
            : 92;
    const fields: Record<string, unknown> = {
      holdC,
      ...lid,
      ...(boils && { surface: "stirred" }),
      ...(time && { durationMin: time.min }),
    };
    // Bringing it up was the beginning of this.
    if (last?.bringsUp) {
      const carried = this.takeBringUp();
      const made = this.piece("simmer", clause, [...carried, ...said], fields, doubts);
      this.keepWords();
      const at = this.last;
      if (at && !time) {
        const q = howLong(this.pool.went);
        at.fields["durationMin"] = q.min;
        at.questions.push(q);
      }
      return made;
    }
    // "…, cook 10 minutes": the time of what was just begun.
    if (!said.length && last?.kind === "simmer" && time && !last.timed && last.sentence === this.sentence) {
      last.timed = true;
      last.questions = last.questions.filter(q => q.about !== "durationMin");
      return this.join(clause, [], { durationMin: time.min, ...(c !== null && { holdC }) });
    }
    const made = this.piece("simmer", clause, said, fields, doubts);
    const at = this.last;
    if (at && time) at.timed = true;
    if (at && !time) {
      const q = howLong(this.pool.went);
      at.fields["durationMin"] = q.min;
      at.questions.push(q);
    }
    return made;
  }

  private seasons(clause: Clause, said: SaidIngredient[], doubts: string[]): "piece" {
    const listed = said.length
      ? []
      : this.pool
          .left()
          .filter(e => /\b(?:salt|pepper\w*|cayenne|nutmeg)\b/.test(e.said.ingredient.name))
          .map(e => this.pool.take(e, "rest"));
    const salt = this.lexicon.larder.find(i => i.id === "salt");
    const aim = this.aimIn(clause);
    const all = [...said, ...listed];
    const named = all.some(one => /salt/.test(one.ingredient.name));
    if (salt && (!all.length || (aim !== null && !named)))
      all.push({
        ingredient: salt,
        said: "",
        name: "",
        massG: null,
        guessed: true,
        unknown: null,
        relation: aim === null ? null : { kind: "to-reach", what: "salt", value: aim },
        asks: [],
        doubts: [],
      });
    const fixed = all.map(one =>
      aim !== null && /salt/.test(one.ingredient.name) && one.massG === null && !one.relation
        ? { ...one, relation: { kind: "to-reach" as const, what: "salt" as const, value: aim } }
        : one,
    );
    return this.piece("season", clause, fixed, {}, doubts);
  }

  /** "to 0.9 % salt", "at point eight per cent". */
  private aimIn(clause: Clause): number | null {
    const share = clause.chunks.find(
      k =>
        (k.type === "amount" && k.amount.unit?.kind === "share") ||
        (k.type === "thing" && k.amount?.unit?.kind === "share"),
    );
    const pct = share?.type === "amount" || share?.type === "thing" ? share.amount?.number.value : undefined;
    return pct !== undefined && pct > 0 && pct < 20 ? pct : null;
  }

  private covers(clause: Clause, said: SaidIngredient[], doubts: string[], T: string): "piece" | null {
    const water = said.find(one => one.ingredient.id === "water");
    const rest = said.filter(one => one !== water);
    const other = rest.some(one => isLiquid(one.ingredient) && one.massG !== null);
    if (water?.massG || other) return this.piece("add", clause, said, {}, doubts);
    if (!water && !/\bwater\b/.test(T)) {
      // "cover and leave": the lid, unless something goes over it.
      if (rest.length) return this.piece("add", clause, rest, {}, doubts);
      const { last } = this;
      if (last && "lid" in (STEP_KINDS[last.kind].fields as object)) last.fields["lid"] = "on";
      return null;
    }
    if (rest.length) this.piece("add", clause, rest, {}, []);
    const tokens = tokensOf(clause.text);
    const at = tokens.findIndex(
      (t, i) =>
        numberAt(tokens, i) !== null &&
        /^(?:inch|inches|cm|mm)$/.test(tokens[numberAt(tokens, i)?.to ?? 0]?.plain ?? "") &&
        t.kind !== "mark",
    );
    const number = at < 0 ? null : numberAt(tokens, at);
    const unit = number ? tokens[number.to]?.plain : undefined;
    const depthMm = number
      ? number.value * (unit === "mm" ? 1 : unit === "cm" ? 10 : 25.4)
      : /\bjust|barely|halfway\b/.test(T)
        ? 0
        : 25;
    this.wet = true;
    return this.piece("cover", clause, [], { depthMm: Math.round(depthMm) }, doubts);
  }

  /** The end of a reduction told by volume or mass: "to 250 ml", "until there was about a tablespoon of liquid". */
  private volumeEnd(clause: Clause, bare: readonly NonNullable<ThingChunk["amount"]>[]): ReductionEnd | null {
    const T = clause.plain;
    const found = clause.chunks.findLast(
      (k): k is Extract<Chunk, { type: "amount" }> => k.type === "amount" && bare.includes(k.amount),
    );
    const unit = found?.amount.unit;
    if (!found || !unit || (unit.kind !== "volume" && unit.kind !== "mass")) return null;
    const before = this.tokensOfClause.slice(Math.max(0, found.from - 8), found.from).map(t => t.plain).join(" "); // prettier-ignore
    const after = this.tokensOfClause.slice(found.to, found.to + 3).map(t => t.plain).join(" "); // prettier-ignore
    const leads =
      /\b(?:to|until|till|down|→|has|have|had|was|is|are|to a little over|about|left)$/.test(
        before.replace(/\b(?:about|around|roughly|a|an|some|nearly|little|over|just|the|last)\b/g, "").trim(),
      ) ||
      /^(?:left|remains?|remaining|of liquid)/.test(after) ||
      /\b(?:until|to|till|→)\b/.test(before);
    const arrow = T.startsWith("→") || clause.main === null;
    if (!leads && !(arrow && this.wet && !clause.things.length)) return null;
    const over = /\ba little over$|\bbit more than$|\ba bit over$/.test(before) ? 1.06 : 1;
    const value = found.amount.number.value * unit.factor * over;
    return unit.kind === "mass" ? { endG: value } : { endMl: value };
  }

  /** A reduction, from its share, its end on the spoon, its volume or temperature. */
  private reads(
    clause: Clause,
    is: { T: string; time: SaidTime | null; c: number | null; per: Per; has: (...of: Sense[]) => boolean },
    share: ReturnType<typeof shareIn>,
    spoon: ReturnType<typeof endIn>,
    volume: ReductionEnd | null,
  ): "piece" | null {
    const { T, time, c, per } = is;
    const { last } = this;
    const { said, doubts } = this.things(clause, per, true);
    const mushrooms = [...said, ...this.pool.went].some(one => one.ingredient.solidKind === "mushrooms");
    const dry = spoon && "dry" in spoon.end ? spoon.end.dry : null;
    this.hot = true;
    const liquids =
      said.some(one => isLiquid(one.ingredient)) ||
      (last?.kind === "add" && last.said.some(one => isLiquid(one.ingredient)));
    // Mushrooms give their own water: nothing wet went in, and it is the weight that goes.
    if (
      dry &&
      mushrooms &&
      (this.driedAlready || !this.wet) &&
      !said.some(one => one.ingredient.composition.fat > 5 && isLiquid(one.ingredient))
    )
      return this.brownOrSweat(clause, said, "sweat", time ? { durationMin: time.min } : {}, doubts);
    if (dry && !this.wet && !liquids) {
      if (said.length || last?.kind === "add")
        return this.brownOrSweat(
          clause,
          said,
          /\bfried|fry|brown/.test(T) ? "brown" : "sweat",
          time ? { durationMin: time.min } : {},
          doubts,
        );
    }
    const questions: Reading["questions"] = [];
    let target: ReductionEnd | null = null;
    const own = share?.end;
    if (volume && own && own.way !== "bare") target = { ...volume };
    else if (volume) target = volume;
    else if (own) {
      target = own.way === "to" ? { to: own.share } : { by: own.share };
      if (own.way === "bare" && Math.abs(own.share - 0.5) > 0.01) {
        const [by, to] = [{ by: own.share }, { to: own.share }];
        questions.push({
          about: "target",
          ask: `“${clause.bare.slice(share?.at ?? 0, share?.to ?? 0)}”: by or to? By that much leaves ${printNumber(100 * (1 - own.share))} %, to it leaves ${printNumber(100 * own.share)} %. “By” is taken until you say.`,
          answers: [by, to].map(read => ({
            words: endInWords(read),
            patch: { target: read } as Partial<Step>,
          })),
        });
      }
    } else if (c !== null && c > BOILS_TO_C) target = { stopC: c };
    else if (dry) target = { dry };
    else if (spoon && "body" in spoon.end) target = { body: spoon.end.body };
    const before = said.length === 0 && last?.bringsUp ? this.takeBringUp() : [];
    if (!target && this.driedAlready && said.length) {
      // On what has been cooked dry, cream is cooked in until it binds.
      const made = this.piece("simmer", clause, said, { holdC: 95, durationMin: time?.min ?? 10 }, doubts);
      if (!time)
        this.last?.questions.push({
          about: "durationMin",
          ask: "How long until it binds? 10 min is taken until you say.",
        });
      return made;
    }
    if (!target) {
      if (!is.has("reduce")) return null;
      target = { by: 0.5 };
      questions.push({ about: "target", ask: "Reduce how far? By half is taken until you say." });
    }
    if (!this.wet && !said.length && !before.length && this.pool.went.length === 0) {
      questions.push({ about: "", ask: "What is it, and how much? Nothing has gone in yet." });
    }
    // "until it is syrupy; about 1.8 l": both are kept, the figure counts.
    if (
      last?.kind === "reduce" &&
      last.sentence === this.sentence &&
      !said.length &&
      !is.has("reduce") &&
      Object.keys(last.fields).length &&
      last.questions.some(q => q.ask.startsWith("Reduce how far"))
    ) {
      last.questions = [];
      return this.join(clause, [], { target });
    }
    const made = this.piece(
      "reduce",
      clause,
      [...before, ...said],
      { target, ...(time && { saidMin: time.min }) },
      doubts,
    );
    this.last?.questions.push(...questions);
    if ("stopC" in target && said.some(one => isSugar(one.ingredient)) && target.stopC > 140) {
      this.caramel = true;
      this.wet = false;
    }
    if (dry) this.wet = false;
    if (dry === "au sec") this.wet = false;
    return made;
  }

  // ————— what became of it —————

  /** Lines of the list that no step named go where they belong, and that is said. */
  placeTheRest(): void {
    this.shareOut();
    const rest = this.pool.left();
    const unplaced = new Map<Reading, string[]>();
    for (const entry of rest) {
      const said = this.pool.take(entry, "rest");
      const name = nameOf(said);
      const where = this.placeFor(said);
      const doubt = `The method does not say when the ${name} goes in. Taken: ${where ? `with “${where.texts[0]?.slice(0, 40) ?? ""}”` : "last"}.`;
      if (where) {
        where.said.push(said);
        const before = unplaced.get(where) ?? [];
        unplaced.set(where, [...before, name]);
        where.texts.push(entry.text);
      } else if (/salt|pepper|cayenne|nutmeg/.test(said.ingredient.name) && this.last?.kind === "season") {
        this.last.said.push(said);
      } else
        this.pieces.push({
          kind: /salt|pepper/.test(said.ingredient.name) ? "season" : "add",
          said: [said],
          fields: {},
          questions: [],
          doubts: [doubt],
          remarks: [],
          kept: [],
          texts: [entry.text],
          sentence: this.sentence,
        });
      this.pool.goes(said);
    }
    for (const [where, names] of unplaced)
      where.doubts.push(
        `The method does not say when the ${names.join(", the ")} goes in. Taken: with “${where.texts[0]?.slice(0, 40) ?? ""}”.`,
      );
  }

  private placeFor(said: SaidIngredient): Reading | null {
    const first = (...kinds: StepKindName[]) => this.pieces.find(p => kinds.includes(p.kind)) ?? null;
    const { ingredient } = said;
    if (isFat(ingredient)) return first("sweat", "brown");
    if (ingredient.solidKind === "mirepoix") return first("sweat", "brown", "simmer", "braise");
    if (ingredient.solidKind === "herbs" && !/parsley|chive|dill|chervil/.test(ingredient.name))
      return first("sweat", "simmer", "brown", "reduce", "braise");
    if (isLiquid(ingredient) && !/lemon|cream|vinegar/.test(ingredient.name) && (said.massG ?? 0) > 100)
      return first("simmer", "braise");
    return null;
  }

  /** Grams for what was told in parts, of a whole that was told too; of a kilogram where it was not. */
  private shareOut(): void {
    const open = this.pool.entries.filter(e => e.said.parts !== undefined && e.said.massG === null);
    if (!open.length) return;
    const sum = open.reduce((m, e) => m + (e.said.parts ?? 0), 0);
    const whole = this.total ?? 1000;
    open.forEach((e, i) => {
      const asks =
        this.total === null && i === 0 ? ["Parts of how much in all? 1 kg is taken until you say."] : [];
      Object.assign(e, {
        said: { ...e.said, massG: (whole * (e.said.parts ?? 0)) / sum, guessed: this.total === null, asks },
      });
    });
  }

  finish(): DraftPiece[] {
    this.placeTheRest();
    return this.pieces.map(reading => {
      const piece = this.built(reading);
      this.ids.set(reading, piece.id);
      return piece;
    });
  }
  private readonly ids = new Map<Reading, string>();

  /** What became of the words of a sentence, in their order; those nobody looked at stay as they are. */
  wordsOf(tokens: readonly Token[], isTitle = false): WordFate[] {
    return tokens.flatMap(token => {
      if (token.kind !== "word" && token.kind !== "number") return [];
      const fate = this.fates.get(token);
      const piece = fate?.of ? this.ids.get(fate.of) : undefined;
      const as = isTitle ? "used" : (fate?.as ?? (FILLER.has(token.plain) ? "filler" : "remark"));
      return [{ text: token.text, at: token.at, end: token.end, as, ...(piece && { piece }) }];
    });
  }

  private built(reading: Reading): DraftPiece {
    const stepId = this.id();
    const { kind } = reading;
    const { wetted, saidMin, toG, ...fields } = reading.fields;
    void wetted;
    const blank = STEP_KINDS[kind].blank(stepId) as Step;
    const known = new Set(Object.keys(STEP_KINDS[kind].fields));
    const own = Object.fromEntries(
      Object.entries(fields).filter(([key, value]) => known.has(key) && value !== undefined),
    );
    if (kind === "dry" && typeof toG === "number") {
      const all = typeof fields["fromG"] === "number" ? fields["fromG"] : this.whole;
      const loss = 100 * (1 - toG / Math.max(all, toG + 1));
      if (loss > 1 && loss < 90) own["lossPct"] = Math.round(loss * 10) / 10;
    }
    const questions: DraftQuestion[] = reading.questions.map(q => ({ ...q }));
    const doubts = [...reading.doubts];
    const takes = STEP_KINDS[kind].takesLines;
    const said = takes ? reading.said.filter(one => one.ingredient.id !== NOTHING) : [];
    for (const one of reading.said) doubts.push(...one.doubts);
    const lines = said.map(one => this.lineFor(one, kind, questions));
    const leftTime =
      typeof saidMin === "number" && kind === "reduce" ? [`Said: ${printNumber(saidMin)} min.`] : [];
    const remark = [
      ...reading.kept.map(capital),
      ...reading.remarks.map(r => r.replace(/[.]$/, "")),
      ...leftTime.map(r => r.replace(/[.]$/, "")),
    ]
      .filter(Boolean)
      .join(". ")
      .slice(0, 300);
    const asked = STEP_KINDS[kind].heard;
    if (
      asked?.asksTime &&
      !("durationMin" in own) &&
      "durationMin" in blank &&
      !questions.some(q => q.about === "durationMin")
    ) {
      const min = TIMES_OF[kind] ?? 20;
      own["durationMin"] = min;
      questions.push({
        about: "durationMin",
        ask: `How long? ${printNumber(min)} min is taken until you say.`,
      });
    }
    if (asked?.asksHeat && kind === "roast" && !("ovenC" in own))
      questions.push({ about: "ovenC", ask: "Oven at what temperature? 200 °C is taken until you say." });
    return {
      id: stepId,
      text: joined(reading.texts),
      step: { ...blank, ...own, lines, ...(remark && { remark }) } as Step,
      said,
      unknown: reading.said.flatMap(one =>
        one.unknown === null
          ? []
          : [{ name: one.unknown, likeId: one.ingredient.id === NOTHING ? null : one.ingredient.id }],
      ),
      ...(typeof saidMin === "number" && { saidMin }),
      questions,
      doubts: [...new Set(doubts)],
    };
  }

  private lineFor(one: SaidIngredient, kind: StepKindName, questions: DraftQuestion[]): Line {
    const lineId = this.id();
    const line = { id: lineId, of: sourceOf(one.ingredient) };
    for (const ask of one.asks) {
      // Numbers without a unit are asked about once.
      const bare = ask.endsWith(" g is taken.") && ask.includes(", of what?");
      if (ask && !(bare && this.gramsAsked))
        questions.push({ about: lineId, ask: bare ? `${ask} So are all numbers without a unit.` : ask });
      if (bare) this.gramsAsked = true;
    }
    // What the larder only estimates, and what differs from house to house, is told: strength is not known, it is taken.
    if (one.unknown === null && isEstimate(one.ingredient))
      questions.push({
        about: lineId,
        ask: `“${one.name || one.ingredient.name}”: the larder has only an estimate of it. Taken until you enter yours.`,
      });
    const typed = (one.unknown ? `${one.said} ${one.unknown}`.trim() : one.said).slice(0, 80);
    if (one.relation)
      return {
        ...line,
        amount: one.relation,
        certainty: one.guessed ? "assumed" : "stated",
        ...(typed && { typed }),
      };
    if (one.massG !== null)
      return {
        ...line,
        amount: { kind: "fixed", massG: one.massG },
        certainty: one.guessed ? "assumed" : "stated",
        ...(typed && { typed }),
      };
    const usual = proposeAmount(one.ingredient.id, kind);
    const name = one.unknown ?? one.ingredient.name;
    if (!one.asks.length)
      questions.push({ about: lineId, ask: `How much ${name}?${usual ? ` Taken: ${usual.words}.` : ""}` });
    return {
      ...line,
      amount: usual?.amount ?? { kind: "by-feel", massG: 0 },
      certainty: "assumed",
      ...(typed && { typed }),
    };
  }
}

// ————— small helps —————

const temps = (clause: Clause): number[] =>
  clause.chunks.flatMap(chunk => (chunk.type === "temperature" ? [chunk.temperature.c] : []));

const fatOf = (ingredient: Ingredient, massG: number): SaidIngredient => ({
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

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const lastWordOf = (name: string): string =>
  (name.split(",")[0] ?? name).trim().split(/\s+/).at(-1)?.replace(/s$/, "") ?? name;

const joined = (texts: readonly string[]): string =>
  [...new Set(texts.filter(Boolean))].join(" · ").slice(0, 600);

const notsOf = (clause: Clause): string[] =>
  clause.chunks.flatMap(chunk => (chunk.type === "not" ? [clause.tokens.slice(0).filter(t => t.kind !== "break").filter((_, i, all) => { const from = chunk.from - (clause.chunks[0]?.from ?? 0); return i >= from && i < from + (chunk.to - chunk.from) && all.length > 0; }).map(t => t.text).join(" ")] : [])).filter(Boolean); // prettier-ignore

/** The same thing twice in one piece is one line where both are only named. */
function merged(said: readonly SaidIngredient[]): SaidIngredient[] {
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
function isOptional(clause: Clause, chunk: ThingChunk): boolean {
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

const orBefore = (clause: Clause, chunk: ThingChunk): boolean => {
  const at = clause.chunks.indexOf(chunk);
  const before = clause.chunks[at - 1];
  return before?.type === "word" && before.plain === "or";
};

/** "mirepoix (750/450/300 onion/carrot/celery)": read with the bundle. */
function partsOfBundle(clause: Clause, chunk: ThingChunk): boolean {
  const bundle = clause.things.find(t => t.named.bundle === "mirepoix");
  return (
    bundle !== undefined &&
    chunk !== bundle &&
    clause.things.indexOf(chunk) > clause.things.indexOf(bundle) &&
    chunk.named.ingredient?.solidKind === "mirepoix"
  );
}

const isLikeAThing = (name: string): boolean =>
  name.length > 3 &&
  name.split(" ").every(w => !IN_THE_POT.has(w)) &&
  !/^(?:goes|room|size|half|thing|work|point|rest|end|turn|way|matter|goes|need|sort|side|while|length|gas|setting|colour|color|taste|consistency|texture|amount|care|hand|hands|shape|idea|note|card|service|night|week)$/.test(
    name,
  );

const likenessKnown = (one: SaidIngredient): boolean => one.ingredient.id !== NOTHING;

const rouxColour = (T: string): { colour?: string } =>
  /\bblond|biscuit|straw\b/.test(T)
    ? { colour: "blond" }
    : /\bbrown roux|hazelnut|peanut|nut brown\b/.test(T)
      ? { colour: "brown" }
      : {};

const isBringUp = (T: string): boolean =>
  /\b(?:bring|brought|brings|come|comes|came|raise|up)\b[^.;]*\b(?:boil|simmer|point)\b/.test(T) ||
  /\b(?:bring|brought)\b (?:it |that |everything |them )?(?:back )?up\b/.test(T) ||
  /\bboils? (?:it )?up\b/.test(T) ||
  /\bup to the boil\b/.test(T) ||
  /\bto the boil\b/.test(T);

function howLong(went: readonly SaidIngredient[]): { about: string; ask: string; min: number } {
  const bones = went.some(one => /veal-bones|beef-bones|pork-bones/.test(one.ingredient.solidKind ?? ""));
  const birds = went.some(one => /poultry/.test(one.ingredient.solidKind ?? ""));
  const fish = went.some(one => /fish-frames|shells/.test(one.ingredient.solidKind ?? ""));
  const min = bones ? 240 : birds ? 180 : fish ? 25 : 15;
  return { about: "durationMin", ask: `How long? ${printNumber(min)} min is taken until you say.`, min };
}

/** "Hold 65", "at 220": where a temperature is awaited and no unit said. */
function bareTemperature(clause: Clause): { temperature: { c: number }; words: string } | null {
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
function perOf(clause: Clause | undefined): Per {
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
function sayMass(chunk: ThingChunk): SaidIngredient {
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
