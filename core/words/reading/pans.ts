import { panKey } from "../../formula";
import type { Sense } from "../lexicon/verbs";
import { Binds } from "./binds";
import type { ThingChunk } from "./chunks";
import { COOKS } from "./clause-words";
import type { Clause } from "./clauses";
import type { Per, Reading } from "./in-reading";
import type { SaidIngredient } from "./pool";

/** More than one pan: where a second one is taken, what lies in which, and where they come together. */

/** "in another pan", "in a small saucepan". A big one is usually the first. */
const SECOND =
  /\b(?:in|into) (?:another|an other|a (?:second|separate|different|clean|small|smaller|little|frying|saute|dry|hot|new|side)(?: \w+)?|its own|their own|the (?:second|other)) ?(pan|pot|saucepan|skillet|casserole)?\b|\b(?:pan|pot) of its own\b/;
const MEANWHILE_IN_A =
  /\bmeanwhile\b.*\bin an? (pan|pot|saucepan|skillet)\b|\bin an? (pan|pot|saucepan|skillet)\b.*\bmeanwhile\b/;
const APART = /\b(?:separately|apart|on (?:its|their) own|on the side)\b/;
/** What moves all there is is no second pan beside the first. */
const MOVES_ALL: readonly Sense[] = ["strain", "pass", "pour", "return"];
const BOTH = /\b(?:the two|both(?: pans| pots)?|two pans)\b/;
/** The pot a line begins in, by what cooks call it then. */
const FIRST = /\b(?:main|first|big|large) (?:pan|pot|saucepan)\b/;
/** Words for what is in a pot that name nothing of it. */
const WHAT_IS_IN_IT =
  /^(?:sauce|liquor|liquid|mix|mixture|base|reduction|soup|broth|stock|gravy|jus|bisque|rest|veloute|pot|pan|bechamel|syrup|caramel|gastrique)$/;
const THE_LIQUOR =
  /\b(?:reduce|boil|simmer|season|strain|pass|skim|thicken|bind) (?:down )?the (?:\w+ )?(?:sauce|stock|liquor|liquid|broth|soup|jus|gravy)\b|\bthe (?:sauce|stock|liquor|liquid|broth|soup|jus|gravy) (?:is|was|gets) (?:reduced|boiled|simmered|seasoned|strained|thickened)\b/;
const IT = /\b(?:it|them|this|that|these|those|everything|all)\b/;
const JOINS: readonly Sense[] = [
  "add",
  "stir",
  "pour",
  "put",
  "return",
  "go",
  "mount",
  "strain",
  "pass",
  "bring",
];

/** How the pot the line began in is called once its contents go into another. */
const FIRST_POT = "first pot";

interface HowItStands {
  readonly wet: boolean;
  readonly hot: boolean;
}

export abstract class Pans extends Binds {
  private readonly stood = new Map<string, HowItStands>();

  /** A second pan that was spoken of before anything went into it: "In a second pan, make the roux:". */
  private pending: string | undefined;

  /** Most recipes have one pot: for them nobody looks into pans. */
  private hasSecond = false;

  /** Leaves one pan for another; what is said from here on is done there. */
  private goTo(pan: string | undefined): void {
    this.stood.set(panKey(this.pan), { wet: this.wet, hot: this.hot });
    this.pan = pan;
    this.hasSecond ||= pan !== undefined;
    const how = this.stood.get(panKey(pan)) ?? { wet: false, hot: false };
    this.wet = how.wet;
    this.hot = how.hot;
  }

  /** What lies in each pan, as far as was read when the clause began. */
  private held = new Map<string, readonly SaidIngredient[]>();

  /** Goes once through what was read: what went into each pan, less what was lifted or brought out of it. */
  private lookIntoPans(): void {
    const held = new Map<string, SaidIngredient[]>();
    const at = (pan: string): SaidIngredient[] => {
      const known = held.get(pan);
      if (known) return known;
      const made: SaidIngredient[] = [];
      held.set(pan, made);
      return made;
    };
    for (const piece of this.pieces) {
      const own = panKey(piece.pan);
      const other = fieldOf(piece, piece.kind === "bring" ? "from" : "to");
      if (piece.kind === "bring" && other !== undefined) {
        at(own).push(...at(other));
        held.set(other, []);
      } else if (piece.kind === "lift" && other !== undefined) {
        const which = typeof piece.fields["which"] === "string" ? piece.fields["which"].split(", ") : null;
        const isLifted = ({ ingredient }: SaidIngredient) =>
          which ? which.includes(ingredient.name) : ingredient.phase === "solids";
        const all = at(own);
        at(other).push(...all.filter(isLifted));
        held.set(own, all.filter(one => !isLifted(one))); // prettier-ignore
      } else at(own).push(...piece.said);
    }
    this.held = held;
  }

  /** Pans that hold something which has to come to the rest, as they are called. */
  private open(): string[] {
    this.lookIntoPans();
    const names = new Map<string, string>();
    for (const piece of this.pieces) {
      if (piece.pan) names.set(panKey(piece.pan), piece.pan);
      const to = piece.kind === "lift" ? piece.fields["to"] : undefined;
      if (typeof to === "string") names.set(panKey(to), to);
    }
    return [...names].filter(([key]) => this.held.get(key)?.length).map(([, name]) => name);
  }

  /** Whether a thing a clause names lies in a pan. */
  private lies(thing: ThingChunk, pan: string): boolean {
    const gone = this.goneBy(thing);
    return (
      gone !== null &&
      (this.held.get(panKey(pan)) ?? []).some(
        one => one.ingredient.id === gone.ingredient.id && one.unknown === gone.unknown,
      )
    );
  }

  /**
   * Follows a clause from pan to pan.
   * @returns "piece" where the clause is done with it: one pan came to the other
   */
  protected changesPan(
    clause: Clause,
    T: string,
    main: Sense | null,
    has: (...of: Sense[]) => boolean,
    per: Per,
  ): "piece" | null {
    const open = this.hasSecond ? this.open() : [];
    if (open.length) {
      const met = this.meets(clause, T, main, has, open);
      if (met) return this.comesTogether(clause, met, has, per);
      this.turnsTo(clause, T, has, open);
    }
    this.takesAnother(clause, T, has);
    return null;
  }

  /** Which pan comes into which, if a clause says so; "" is the pot the line makes. */
  private meets(
    clause: Clause,
    T: string,
    main: Sense | null,
    has: (...of: Sense[]) => boolean,
    open: readonly string[],
  ): { readonly from: string; readonly into: string } | null {
    const here = this.pan ?? "";
    const last = open.at(-1) ?? "";
    const joins = has(...JOINS) || main === null;
    if (!joins || (main !== null && COOKS.has(main) && !BOTH.test(T))) return null;
    if (BOTH.test(T) && (joins || /\btogether\b/.test(T))) return { from: last, into: "" };
    const to = clause.things.find(t => /^(?:into|onto|to|over|in|with|on)$/.test(t.prep) && !t.amount);
    const word = to ? null : targetWord(T);
    const objects = clause.things.filter(t => t !== to && !t.aside);
    const old = objects.filter(t => this.goneBy(t) !== null && (!t.amount || t.definite));
    const holder = (t: ThingChunk) => open.find(pan => this.lies(t, pan) && !this.lies(t, ""));
    if (to) {
      const pan = holder(to);
      const inMain = this.lies(to, "");
      // "Pour the stock onto the mushrooms": what the line makes comes to the pan.
      if (pan && !old.some(t => holder(t))) {
        const comes =
          old.some(t => this.lies(t, "")) || /\b(?:sauce|stock|liquor|liquid|broth|milk|soup|rest)\b/.test(T);
        return comes ? { from: "", into: pan } : null;
      }
      const from =
        old.map(holder).find(Boolean) ?? (objects.length === old.length ? here || undefined : undefined);
      return inMain && from ? { from, into: "" } : null;
    }
    if (word) {
      const from = old.map(holder).find(Boolean);
      if (from) return { from, into: "" };
      if (here && (IT.test(T) || old.length === objects.length)) return { from: here, into: "" };
      return null;
    }
    if (!old.length || objects.some(t => t.amount && !t.definite && !old.includes(t))) {
      // "Add the chicken and 2 l water": what lies elsewhere comes along with what is new.
      const elsewhere = here ? old.filter(t => this.lies(t, "") && !this.lies(t, here)) : [];
      if (elsewhere.length) return { from: "", into: here };
      const pan = old.map(holder).find(Boolean);
      return pan && !here ? { from: pan, into: "" } : null;
    }
    const pan = old.map(holder).find(Boolean);
    if (pan) return { from: pan, into: "" };
    return here && old.every(t => this.lies(t, "") && !this.lies(t, here)) ? { from: "", into: here } : null;
  }

  /** One pan comes into the other, and what is new goes in with it. */
  private comesTogether(
    clause: Clause,
    { from, into }: { readonly from: string; readonly into: string },
    has: (...of: Sense[]) => boolean,
    per: Per,
  ): "piece" | null {
    const second = from || into;
    const of = this.pieces.filter(p => panKey(p.pan) === panKey(second));
    // A roux made apart is the roux of the sauce: it is bound where it stands.
    if (of.length === 1 && of[0]?.kind === "thicken" && !of[0].fields["wetted"]) {
      this.goTo(undefined);
      for (const piece of of) delete piece.pan;
      this.apart = this.wet;
      this.wet = false;
      return null;
    }
    if (has("strain", "pass")) this.strainsOf(clause, from);
    if (from === "") {
      // What the line made so far is poured to what is in the pan: from here on that pan is the line's.
      this.goTo(undefined);
      const how = this.stood.get(panKey(into));
      const name = this.freeName(FIRST_POT);
      for (const piece of this.pieces) {
        if (piece.pan === undefined) piece.pan = name;
        else if (panKey(piece.pan) === panKey(into)) delete piece.pan;
      }
      this.wet = this.wet || (how?.wet ?? false);
      return this.broughtIn(clause, name, per);
    }
    this.goTo(undefined);
    this.wet = this.wet || (this.stood.get(panKey(from))?.wet ?? false);
    return this.broughtIn(clause, from, per);
  }

  private strainsOf(clause: Clause, pan: string): void {
    this.goTo(pan || undefined);
    this.piece("strain", clause, []);
  }

  private broughtIn(clause: Clause, from: string, per: Per): "piece" {
    this.hot = true;
    this.apart = null;
    this.aside = false;
    const { said, doubts } = this.things(clause, per, true);
    this.piece("bring", clause, [], { from }, doubts);
    return said.length ? this.piece("add", clause, said) : "piece";
  }

  private freeName(name: string): string {
    const taken = new Set(this.pieces.map(p => panKey(p.pan)));
    let free = name;
    for (let n = 2; taken.has(panKey(free)); n++) free = `${name} ${n}`;
    return free;
  }

  /** "Meanwhile reduce the stock": back at the pot that holds it. */
  private turnsTo(
    clause: Clause,
    T: string,
    has: (...of: Sense[]) => boolean,
    open: readonly string[],
  ): void {
    if (FIRST.test(T)) return void (this.pan && this.goTo(undefined));
    // "Reduce the stock": nothing in this pan is that wet.
    if (this.pan && !this.wet && THE_LIQUOR.test(T)) return void this.goTo(undefined);
    const named = clause.things.filter(t => !t.aside);
    const old = named.filter(t => this.goneBy(t) !== null && !t.amount);
    if (!old.length || old.length < named.length || has("add", "put", "pour")) return;
    const here = this.pan ?? "";
    if (old.some(t => this.lies(t, here))) return;
    if (here && old.every(t => this.lies(t, ""))) return void this.goTo(undefined);
    const pan = open.find(name => old.every(t => this.lies(t, name)));
    if (pan && pan !== here) this.goTo(pan);
  }

  /** "Lift the mushrooms into a dry pan": they are worked on there. */
  protected override lifts(clause: Clause, T: string, has: (...of: Sense[]) => boolean): "piece" | null {
    const lifted = super.lifts(clause, T, has);
    const said = lifted ? SECOND.exec(T) : null;
    const { last } = this;
    if (said && last?.kind === "lift") this.liftsInto(last, panName(said[0]));
    return lifted;
  }

  private liftsInto(lift: Reading, name: string): void {
    const pan = this.freeName(name);
    Object.assign(lift.fields, { to: pan, keep: false });
    this.aside = false;
    this.goTo(pan);
  }

  /** "In another pan, brown the mushrooms": something new is begun beside what stands. */
  private takesAnother(clause: Clause, T: string, has: (...of: Sense[]) => boolean): void {
    const said = SECOND.exec(T) ?? MEANWHILE_IN_A.exec(T) ?? (this.cooksApart(T, has) ? APART.exec(T) : null);
    const name = said ? panName(said[0]) : this.pending;
    this.pending = undefined;
    if (!name || !this.pieces.length || (has(...MOVES_ALL) && !has("lift"))) return;
    const { last } = this;
    // "Lift out the mushrooms into a dry pan", "lift them out and fry them in a second pan".
    const lifted =
      last?.kind === "lift" && last.sentence === this.sentence && !("to" in last.fields) ? last : null;
    if (lifted && (clause.things.every(t => this.goneBy(t) !== null) || IT.test(T))) {
      this.liftsInto(lifted, name);
      return;
    }
    const fresh = clause.things.some(t => !t.aside && (t.amount !== null || this.goneBy(t) === null));
    if (!fresh) {
      if (said && !clause.things.length && !IT.test(T)) this.pending = name;
      return;
    }
    if (has("lift") && this.pool.went.length) return;
    const wet = this.pan === undefined ? this.wet : (this.stood.get("")?.wet ?? false);
    this.goTo(this.freeName(name));
    this.apart = wet;
  }

  private cooksApart(T: string, has: (...of: Sense[]) => boolean): boolean {
    return has(...COOKS) && !/\bfalls? apart\b|\bcome apart\b/.test(T);
  }

  /** What nobody said comes back is brought in last, and that is asked. */
  protected bringTheRest(): void {
    for (const name of this.open()) {
      const of = this.pieces.filter(p => p.pan === name);
      if (of.length === 1 && of[0]?.kind === "thicken") {
        delete of[0].pan;
        continue;
      }
      this.pan = undefined;
      this.pieces.push({
        kind: "bring",
        said: [],
        fields: { from: name },
        questions: [
          {
            about: "from",
            ask: `When does what is in the ${name} come to the rest? Taken: at the end, all of it.`,
          },
        ],
        doubts: [],
        remarks: [],
        kept: [],
        texts: [of.at(-1)?.texts.at(-1) ?? ""],
        sentence: this.sentence,
      });
    }
  }
}

const fieldOf = (piece: Reading, name: string): string | undefined => {
  const value = piece.fields[name];
  return typeof value === "string" ? panKey(value) : undefined;
};

/** "to the sauce", "back into the pot": where it goes, if that is no thing of its own. */
function targetWord(T: string): string | null {
  const found = /\b(?:into|onto|to|over|with|in) the (?:\w+ )?(\w+)\b/.exec(T);
  return found?.[1] && WHAT_IS_IN_IT.test(found[1]) ? found[1] : null;
}

/** What a pan is called from how it was spoken of. */
function panName(said: string): string {
  const kind = /\b(pan|pot|saucepan|skillet|casserole)\b/.exec(said)?.[1] ?? "pan";
  const how = /\b(small|smaller|little|frying|saute|side)\b/.exec(said)?.[1];
  return how ? `${how === "smaller" || how === "little" ? "small" : how} ${kind}` : `second ${kind}`;
}
