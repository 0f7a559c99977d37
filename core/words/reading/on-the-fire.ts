import { type ReductionEnd, type Step, endInWords } from "../../formula";
import { printNumber } from "../../ground/quantity";
import type { shareIn } from "../lexicon/ends";
import { endIn } from "../lexicon/ends";
import type { Sense } from "../lexicon/verbs";
import type { Chunk, ThingChunk } from "./chunks";
import { BOILED_OFF, BOILS_TO_C, COOKED_DRY, howLong } from "./clause-words";
import type { Clause } from "./clauses";
import { GoesIn } from "./goes-in";
import type { Deed, Reading } from "./in-reading";
import { isFat, isLiquid, isSugar } from "./kinds-of-things";
import type { SaidIngredient } from "./pool";

/** What happens on the fire: browning, sweating, cooking dry, simmering, reducing. */
export abstract class OnTheFire extends GoesIn {
  protected panKind(T: string, has: (...of: Sense[]) => boolean): "brown" | "sweat" | null {
    if (has("brown") && !/\bsoft\b/.test(T)) return "brown";
    if (has("sweat")) return "sweat";
    return /\b(?:golden|gold|brown|colou?r|dark|darkens?|deep|caramel|crisp|crispy|toasty|nutty|pink|straw|tea|high|hard|crushed and fried|fast)\b/.test(
      T,
    ) && !/\b(?:gently|low|soft)\b/.test(T)
      ? "brown"
      : /\b(?:golden|colou?r of|brown)\b/.test(T)
        ? "brown"
        : "sweat";
  }

  protected brownOrSweat(
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

  /** What leaves until the liquor of the mushrooms is gone, per cent of all that is in the pan. */
  protected dryLoss(now: readonly SaidIngredient[]): { lossPct: number; fromG: number } {
    // What was only put in before is in both.
    const all = [...new Set([...this.pool.went, ...now])];
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

  protected simmers(
    clause: Clause,
    said: SaidIngredient[],
    is: Pick<Deed, "T" | "time" | "c" | "has"> & { readonly lid: Record<string, unknown> },
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

  /** The end of a reduction told by volume or mass: "to 250 ml", "until there was about a tablespoon of liquid". */
  protected volumeEnd(
    clause: Clause,
    bare: readonly NonNullable<ThingChunk["amount"]>[],
  ): ReductionEnd | null {
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
  protected reads(
    clause: Clause,
    is: Pick<Deed, "T" | "time" | "c" | "per" | "has">,
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
}
