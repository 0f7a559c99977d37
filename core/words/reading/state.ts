import { STEP_KINDS, type StepKindName } from "../../formula";
import type { Lexicon } from "../lexicon/things";
import type { Token } from "../text/tokens";
import type { Fate } from "./account";
import type { ThingChunk } from "./chunks";
import { NEEDS_SOMETHING } from "./clause-words";
import type { Clause } from "./clauses";
import type { Reading } from "./in-reading";
import { isLiquid, isSugar, isYolk } from "./kinds-of-things";
import { Pool, type SaidIngredient, nameOf } from "./pool";
import type { sayThing } from "./things-said";

/** What is known so far while a recipe is read: its pieces, what went in, and how the pot stands. */
export abstract class State {
  readonly pieces: Reading[] = [];

  readonly unread: string[] = [];

  readonly pool = new Pool();

  protected wet = false;

  protected hot = false;

  /** The pan that is worked in; none is the one the line makes its sauce in. */
  protected pan: string | undefined;

  protected gone = new Set<string>();

  protected whole = 0;

  protected aside = false;

  protected blended = false;

  protected listing = false;

  protected prepared: SaidIngredient[] = [];

  protected sentence = 0;
  /** Whether the sentence is one clause. */
  protected alone = false;

  /** Words that only said what there is. */
  readonly declared: string[] = [];

  /** Whether the pot on the fire is a second one, and whether the first holds liquor. */
  protected apart: boolean | null = null;

  total: number | null = null;

  constructor(
    protected readonly lexicon: Lexicon,
    /** All words that follow a place in the text. */
    protected readonly restAfter: (at: number) => string,
    protected readonly id: () => string,
  ) {}

  protected get last(): Reading | undefined {
    return this.pieces.at(-1);
  }

  title = "";

  wholeText = "";

  protected tokensOfClause: Parameters<typeof sayThing>[1] = [];

  useTokens(tokens: Parameters<typeof sayThing>[1]): void {
    this.tokensOfClause = tokens;
  }

  /** Things of the clause that is being read. */
  protected current: SaidIngredient[] = [];

  protected piece(
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
      ...(this.pan !== undefined && { pan: this.pan }),
    };
    if (STEP_KINDS[kind].heard?.begins && !said.length && !this.pieces.length && !this.pool.went.length)
      reading.questions.push({ about: "", ask: "What is it, and how much? Nothing has gone in yet." });
    this.pieces.push(reading);
    this.went(said);
    return "piece";
  }

  protected went(said: readonly SaidIngredient[]): void {
    this.pool.goes(...said);
    for (const one of said) {
      this.whole += one.massG ?? 0;
      if (isLiquid(one.ingredient) && (one.massG ?? 100) > 25 && !isYolk(one.ingredient)) this.wet = true;
    }
  }

  /** Joins a clause to the piece before it. */
  protected join(
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
  protected absorb(): SaidIngredient[] {
    const { last } = this;
    if (!last || last.kind !== "add" || this.pieces.length === 0 || last.questions.length) return [];
    this.pieces.pop();
    this.absorbed = last;
    return last.said;
  }

  protected absorbed: Reading | null = null;

  /** The words of what was taken up stay with what took it up. */
  protected keepWords(): void {
    const { absorbed, last } = this;
    if (!absorbed || !last) return;
    last.texts.unshift(...absorbed.texts);
    last.doubts.unshift(...absorbed.doubts);
    last.remarks.unshift(...absorbed.remarks);
    last.kept.unshift(...absorbed.kept);
    for (const [token, fate] of this.fates)
      if (fate.of === absorbed) this.fates.set(token, { ...fate, of: last });
  }

  protected caramel = false;

  protected remarkOn(clause: Clause): "piece" | null {
    void clause;
    return null;
  }

  protected wetFrom(said: readonly SaidIngredient[]): void {
    if (said.some(one => isLiquid(one.ingredient) && (one.massG ?? 100) > 25)) this.wet = true;
  }

  protected isSyrup(): boolean {
    return this.last?.kind === "reduce" && this.last.said.some(one => isSugar(one.ingredient));
  }

  protected takeBringUp(): SaidIngredient[] {
    const { last } = this;
    if (!last?.bringsUp) return [];
    this.pieces.pop();
    this.absorbed = last;
    return last.said;
  }

  protected fromPool(said: readonly SaidIngredient[]): SaidIngredient[] {
    const taken = said.flatMap(one => {
      const entry = this.pool.find(nameOf(one), one.ingredient);
      return entry ? [this.pool.take(entry, "rest")] : [];
    });
    this.prepared = [];
    return taken;
  }

  protected dried = new Set<SaidIngredient>();

  protected driedAlready = false;

  protected steamed = 0;

  protected gramsAsked = false;

  protected readonly fates = new Map<Token, { as: Fate; of: Reading | null }>();

  protected readonly thingFates = new WeakMap<ThingChunk, Fate>();

  /** What is left of a thing of which a share went in, g by its id: "20 grams of the 40". */
  protected halves = new Map<string, number>();
}
