import type { StepKindName } from "../../formula";
import { printNumber } from "../../ground/quantity";
import { endIn, shareIn } from "../lexicon/ends";
import type { Sense } from "../lexicon/verbs";
import { FILLER } from "../lexicon/words";
import type { DraftPiece } from "../piece";
import type { Token } from "../text/tokens";
import { type WordFate, fatesOf } from "./account";
import type { Chunk } from "./chunks";
import {
  BOILS_TO_C,
  COOKS,
  OVEN_FROM_C,
  PUTS,
  bareTemperature,
  capital,
  isBringUp,
  isOptional,
  notsOf,
  perOf,
  temps,
} from "./clause-words";
import type { Clause } from "./clauses";
import type { Deed, Per, Reading } from "./in-reading";
import { isFat, isLiquid, isSeasoning, isSugar, isYolk } from "./kinds-of-things";
import { lostAmounts } from "./lost";
import { Builds } from "./builds";
import { nameOf } from "./pool";
import { NOTHING } from "./things-said";

/** From here on what is left on the fire cooks, °C. Our estimate. */
const LEAST_SIMMER_C = 75;

const WORKS_ON_WHAT_IS_THERE: ReadonlySet<Sense> = new Set([
  "strain",
  "pass",
  "skim",
  "cool",
  "freeze",
  "degrease",
]);

/** Reads clauses one after the other into pieces; what was said before decides what the next one means. */
export class Reader extends Builds {
  /** One sentence, in clauses. */
  read(clauses: readonly Clause[], heading: string): void {
    this.sentence += 1;
    const makes = clauses.some(clause => /\b(?:make|need)\b/.test(clause.plain));
    if (!makes) this.shareOut();
    const per = perOf(clauses[0]);
    void heading;
    this.alone = clauses.length === 1;
    const from = this.pieces.length;
    clauses.forEach(clause => this.clause(clause, per));
    this.tellsWhatIsLost(Math.max(0, from - 1));
  }

  /** A figure that came to nothing is told where it was said. */
  private tellsWhatIsLost(from: number): void {
    const listed = this.pool.entries.map(entry => entry.said);
    const at = this.last;
    for (const text of lostAmounts(this.tokensOfClause, this.pieces.slice(from), listed)) {
      if (at)
        at.doubts.push(`“${text}” was read as nothing that goes in and no end. Type it where it belongs.`);
      else this.unread.push(text);
    }
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

  /** What became of each word of a clause. */
  protected account(clause: Clause, of: Reading | null, made: boolean): void {
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

  protected clause(clause: Clause, per: Per): void {
    const pieces = this.pieces.length;
    this.understand(clause, per);
    const made = this.pieces.length > pieces || this.last?.texts.at(-1) === clause.text;
    this.account(clause, this.last ?? null, made);
  }

  protected understand(clause: Clause, per: Per): void {
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
      // A sentence of which nothing is known stays by itself: it may be about anything.
      if (
        this.alone &&
        clause.chunks.every(
          chunk =>
            chunk.type === "word" ||
            chunk.type === "mark" ||
            (chunk.type === "thing" &&
              !chunk.amount &&
              !chunk.named.ingredient &&
              !this.pool.hasGone(chunk.named.name, null)),
        ) &&
        !/\b(?:off|heat|fire|lid)\b/.test(clause.plain)
      ) {
        this.unread.push(words);
        return;
      }
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

  protected deed(clause: Clause, per: Per): "piece" | "remark" | "unread" | "declared" {
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
    const is =
      main === null && /\b(?:is|are|have|has)\b/.test(T.replace(/\b(?:until|till)\b.*$/, "")) && !has("go");
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
    const together = this.changesPan(clause, T, main, has, per);
    if (together) return together;
    // "Strain 1 l chicken stock": what is strained first was never put in.
    if (!this.pool.went.length && main !== null && WORKS_ON_WHAT_IS_THERE.has(main)) {
      const { said, doubts } = this.things(clause, per, true);
      if (said.some(one => one.massG !== null)) this.piece("add", clause, said, {}, doubts);
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

  protected decide(clause: Clause, is: Deed): "piece" | null {
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
    // "8 hours at just under the simmer, skimmed for the first": it is cooked, and skimmed while it is.
    if (has("skim") && main === "skim" && time && time.min >= 30 && /\b(?:simmer|boil|murmur)\b/.test(T))
      return this.simmers(clause, [], { T, time, c, lid, has }, []);
    if (has("skim") && main === "skim")
      return last?.kind === "skim" ? this.remarkOn(clause) : this.piece("skim", clause, []);
    if (this.putsBack(clause, T, has)) {
      if (!this.aside) return this.remarkOn(clause);
      const { said } = this.things(clause, per, true);
      this.aside = false;
      const back = this.piece("put-back", clause, []);
      // What comes back is no second helping of it.
      const fresh = said.filter(one => one.massG !== null || one.relation !== null);
      return fresh.length ? this.piece("add", clause, fresh) : back;
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
      // What is rubbed through becomes a purée; what is only pressed is drained.
      const rubbed = /\b(?:rub|rubbed|push|pushed|forc\w+|work|worked)\b[^,.;]*\bthrough\b/.test(T);
      const kind: StepKindName =
        this.blended || rubbed || /\b(?:mouli|mill|tamis|drum)\b/.test(T) ? "pass" : "strain";
      // "blend w. 250 butter, tamis": first the one, then the other.
      if (has("blend") && clause.things.some(t => t.amount)) {
        const { said, doubts } = this.things(clause, per, true);
        this.blended = true;
        this.piece("blend", clause, said, {}, doubts);
        return this.piece("pass", clause, []);
      }
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
      // "leave it at 90 °C for 5 hours" is a simmer, whatever it is called.
      if (has("leave") && this.wet && c !== null && c >= LEAST_SIMMER_C)
        return this.simmers(clause, [], { T, time, c, lid, has }, []);
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
      const stews = this.wet && clause.main?.lemma === "stew";
      if (stews) return this.simmers(clause, said, { T, time, c, lid, has }, doubts);
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

  finish(): DraftPiece[] {
    this.placeTheRest();
    this.bringTheRest();
    return this.pieces.map(reading => {
      const piece = this.built(reading);
      this.ids.set(reading, piece.id);
      return piece;
    });
  }

  protected readonly ids = new Map<Reading, string>();

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
}
