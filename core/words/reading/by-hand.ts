import { STEP_KINDS } from "../../formula";
import type { Sense } from "../lexicon/verbs";
import { numberAt } from "../text/numbers";
import { tokensOf } from "../text/tokens";
import { fatOf, lastWordOf } from "./clause-words";
import { plainName } from "../../things/larder";
import type { ThingChunk } from "./chunks";
import type { Clause } from "./clauses";
import type { Reading } from "./in-reading";
import { isLiquid, isSugar } from "./kinds-of-things";
import { OnTheFire } from "./on-the-fire";
import { type SaidIngredient, nameOf } from "./pool";

/** What nobody knows and is counted like a part of a bird or beast. */
const isMeat = ({ ingredient }: SaidIngredient): boolean =>
  /^(?:meat|poultry|beef|pork|veal)/.test(ingredient.solidKind ?? "");

/** What is done by hand: lifting out, putting back, taking the fat off, curing, seasoning, covering. */
export abstract class ByHand extends OnTheFire {
  protected degreased(clause: Clause, leaveG: number | undefined): "piece" {
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

  protected putsBack(clause: Clause, T: string, has: (...of: Sense[]) => boolean): boolean {
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
  protected lifts(clause: Clause, T: string, has: (...of: Sense[]) => boolean): "piece" | null {
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
      .map(t => this.solidBy(t))
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
      !/\b(?:discard|throw|bin)\b/.test(clause.all) &&
      (comes ||
        // What comes out of a dry pan was browned for later.
        (!this.wet && named.every(one => one.ingredient.solidKind !== "mirepoix")) ||
        /\b(?:keep|warm|hold|aside|plate|plates|garnish)\b/.test(clause.all + later.slice(0, 40)) ||
        (named.length === 0 &&
          all.some(one => one.ingredient.solidKind === "meat" || (one.unknown !== null && isMeat(one)))) ||
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

  /** The solid thing of the pot that a word means: "the chicken" is not the chicken stock. */
  private solidBy(thing: ThingChunk): SaidIngredient | null {
    const gone = this.goneBy(thing);
    if (!gone || gone.ingredient.phase === "solids") return gone;
    const words = plainName(thing.named.name).split(" ");
    return (
      this.pool.went.findLast(
        one =>
          one.ingredient.phase === "solids" &&
          words.every(w => plainName(nameOf(one)).split(" ").includes(w)),
      ) ?? gone
    );
  }

  /** What is lifted out a second time has gone back before: taken before it was cooked on, and said. */
  protected cameBack(clause: Clause): void {
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

  protected cured(clause: Clause, said: readonly SaidIngredient[], timed: Record<string, unknown>): "piece" {
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

  protected seasons(clause: Clause, said: SaidIngredient[], doubts: string[]): "piece" {
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
  protected aimIn(clause: Clause): number | null {
    const share = clause.chunks.find(
      k =>
        (k.type === "amount" && k.amount.unit?.kind === "share") ||
        (k.type === "thing" && k.amount?.unit?.kind === "share"),
    );
    const pct = share?.type === "amount" || share?.type === "thing" ? share.amount?.number.value : undefined;
    return pct !== undefined && pct > 0 && pct < 20 ? pct : null;
  }

  protected covers(clause: Clause, said: SaidIngredient[], doubts: string[], T: string): "piece" | null {
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
}
