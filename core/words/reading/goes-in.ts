import type { StepKindName } from "../../formula";
import { printNumber } from "../../ground/quantity";
import type { Ingredient } from "../../things/larder";
import type { Chunk, Relation, ThingChunk } from "./chunks";
import {
  COOKS,
  capital,
  isLikeAThing,
  isOptional,
  lastWordOf,
  likenessKnown,
  merged,
  orBefore,
  partsOfBundle,
  sayMass,
} from "./clause-words";
import type { Clause } from "./clauses";
import type { Per, Reading } from "./in-reading";
import { isFat, isLiquid, isSugar } from "./kinds-of-things";
import { type SaidIngredient, nameOf } from "./pool";
import { State } from "./state";
import { sayThing } from "./things-said";

/** What of a clause goes in: amounts, lists, bundles, relations, and what is there already. */
export abstract class GoesIn extends State {
  /** What of a clause goes in; `again` is what was named and lies there already. */
  protected things(
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
  protected base(clause: Clause, said: SaidIngredient[]): void {
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
  protected each(clause: Clause, said: SaidIngredient[], doubts: string[]): void {
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
    // "two tins of tomatoes, 800 g each, and 100 ml of oil": what has its own measure is none of them.
    const things = clause.things.filter(t => !t.aside);
    const measured = (i: number) => {
      const kind = things.length === said.length ? things[i]?.amount?.unit?.kind : undefined;
      return (
        (kind === "mass" || kind === "volume") &&
        things.some(t => !t.amount || t.amount.unit?.kind === "count" || !t.amount.unit)
      );
    };
    said.forEach((one, i) => {
      if ((isLiquid(one.ingredient) && one.massG !== null) || measured(i)) return;
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

  protected thing(
    chunk: ThingChunk,
    clause: Clause,
    per: Per,
    puts: boolean,
  ): SaidIngredient | "again" | null {
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
  protected calledInFull(one: SaidIngredient | null): SaidIngredient | null {
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

  /** Who shells shrimp wants the shells. */
  protected shellsOf(one: SaidIngredient): SaidIngredient {
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

  /** "60 g per litre of stock" in grams, where the stock is known; else as the relation it is. */
  protected related(own: SaidIngredient, chunk: ThingChunk, per: Per): SaidIngredient {
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

  protected known(name: string): SaidIngredient | null {
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

  protected massOf(name: string): number | null {
    if (!name || /\b(?:finished|whole|total|weight|sauce|it)\b/.test(name)) return null;
    const one = this.known(name);
    return one?.massG ?? (/\bbones?\b|\bmeat\b|\bbelly\b|\bit\b/.test(name) ? this.heaviest() : null);
  }

  protected heaviest(): number | null {
    const all = [...this.pool.entries.map(e => e.said), ...this.pool.went];
    return all.reduce<number | null>((m, one) => Math.max(m ?? 0, one.massG ?? 0), null);
  }

  /** Litres or kilograms of what a relation is of; `null` where it is of what comes out. */
  protected baseFor(of: string, kind: "per-litre" | "per-kg"): number | null {
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

  protected countOf(name: string): number | null {
    const match = new RegExp(`(\\d+)\\s+(?:egg\\s+)?${name.replace(/s$/, "")}s?`, "i").exec(this.wholeText);
    return match ? Number(match[1]) : null;
  }

  /** "1 kg mirepoix", "mirepoix (300 g onion, 200 g carrot, 100 g celery)", "12 % of the bones, 2:1:1 onion carrot celery". */
  protected bundle(
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

  /** Whether a thing is named again in what follows. */
  protected comesAgain(one: SaidIngredient, clause: Clause): boolean {
    const rest = this.restAfter(clause.tokens.at(-1)?.end ?? 0).toLowerCase();
    return [nameOf(one), ...one.ingredient.aliases, one.ingredient.name].some(name =>
      rest.includes(lastWordOf(name).toLowerCase()),
    );
  }

  /** What went in of a thing that is named now, however shortly. */
  protected goneBy(thing: ThingChunk): SaidIngredient | null {
    const full = this.calledInFull(sayThing({ ...thing, amount: null }, this.tokensOfClause, this.lexicon));
    return full
      ? this.pool.hasGone(full.unknown ?? full.ingredient.name, full.unknown ? null : full.ingredient)
      : null;
  }

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

  protected placeFor(said: SaidIngredient): Reading | null {
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
  protected shareOut(): void {
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
}
