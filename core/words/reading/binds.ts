import type { Ingredient } from "../../things/larder";
import { ByHand } from "./by-hand";
import { rouxColour } from "./clause-words";
import type { Clause } from "./clauses";
import type { Deed } from "./in-reading";
import { isButter, isFat, isFlour, isLiquid, isOil, isStarch, isYolk } from "./kinds-of-things";

/** What binds: flour, starch, yolk, butter, oil. */
export abstract class Binds extends ByHand {
  /** Flour, starch, roux, slurry, beurre manié, and what follows them until they are wet. */
  protected thickens(clause: Clause, is: Deed): "piece" | null {
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
  protected bindsOrMounts(clause: Clause, is: Deed): "piece" | null {
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
}
