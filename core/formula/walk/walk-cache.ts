import type { Ingredient } from "../../things/larder";
import type { PotState } from "../../things/pot";
import { type Result, ok } from "../../ground/result";
import type { FactId } from "../../ground/facts";
import type { Vessel } from "../../things/vessel";
import type { FormulaDocument } from "../document/document";
import type { FactWatch } from "./fact-watch";
import type { Kitchen } from "./kitchen";
import type { Ahead } from "./line-amounts";
import type { ResolvedLine, StepOutcome } from "../steps/kind";
import type { Step } from "../steps";
import type { LineSoFar, StateAfterStep } from "./walked";
import { formulaIn } from "./kitchen";

type Where = Pick<Kitchen, "facts" | "around" | "burner" | "burners" | "vessels">;

/** What somebody watched: the facts it was worked out from; `null` where nobody did. */
interface Watched {
  readonly reads: ReadonlySet<FactId> | null;
}

interface StepKey {
  readonly step: Step;
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly lines: readonly ResolvedLine[];
  /** What stands in the vessel it gives to or takes from. */
  readonly other: PotState | null;
  readonly trace: boolean;
}

interface KnownStep extends StepKey, Watched {
  readonly where: Where;
  readonly done: Result<StepOutcome>;
}

interface KnownState extends Watched {
  readonly done: StepOutcome;
  readonly sources: ReadonlyMap<string, Ingredient>;
  readonly from: LineSoFar;
  readonly state: StateAfterStep;
}

interface KnownProduct extends Watched {
  readonly document: FormulaDocument;
  readonly where: Where & Pick<Kitchen, "ingredientById">;
  readonly ingredient: Ingredient;
  /** Documents it drew on in turn, by id: none of them may have changed. */
  readonly drewOn: ReadonlyMap<string, FormulaDocument>;
}

const sameStep = (a: StepKey, b: StepKey): boolean =>
  a.step === b.step &&
  a.pot === b.pot &&
  a.vessel === b.vessel &&
  a.other === b.other &&
  a.trace === b.trace &&
  sameLines(a.lines, b.lines);

const sameBurners = (a: Where["burners"], b: Where["burners"]): boolean =>
  a === b || (a.length === 1 && b.length === 1 && a[0] === b[0]);

/** The same kitchen but for its facts. */
const samePlace = (a: Where, b: Where): boolean =>
  a.around === b.around &&
  a.burner === b.burner &&
  sameBurners(a.burners, b.burners) &&
  a.vessels === b.vessels;

const sameFrom = (a: LineSoFar, b: LineSoFar): boolean =>
  a.clockS === b.clockS &&
  a.cost === b.cost &&
  a.baseG === b.baseG &&
  a.servedC === b.servedC &&
  a.family === b.family;

const sameLines = (a: readonly ResolvedLine[], b: readonly ResolvedLine[]): boolean =>
  a.length === b.length &&
  a.every(
    (line, i) =>
      line.massG === b[i]?.massG && line.ingredient === b[i].ingredient && line.lineId === b[i].lineId,
  );

/**
 * What earlier walks worked out. Documents, pots and kitchens never change in place, so what is the same object is the
 * same thing: an edit of one step leaves all steps before it untouched, simulated reductions among them.
 *
 * A cache that watches also knows which facts each part read. From it `moved` makes caches for walks in which one fact
 * has another value: what never read that fact is the same there.
 */
export class WalkCache {
  readonly #steps = new Map<string, KnownStep>();
  readonly #states = new Map<string, KnownState>();
  readonly #products = new Map<string, KnownProduct>();
  #sources: ReadonlyMap<string, Ingredient> = new Map();
  /** The yield that amounts which look ahead were last counted on: a good place to begin, and often still the answer. */
  readonly #aheads = new Map<FormulaDocument | "outermost", Ahead>();
  readonly #watch: FactWatch | null;
  readonly #from: { readonly cache: WalkCache; readonly moved: FactId } | null;

  /** @param watch whose facts the kitchen of every walk with this cache has */
  constructor(watch: FactWatch | null = null, from: { cache: WalkCache; moved: FactId } | null = null) {
    this.#watch = watch;
    this.#from = from;
    if (from) this.#sources = from.cache.#sources;
  }

  /** For a walk in the same kitchen with one fact moved. */
  moved(fact: FactId): WalkCache {
    return new WalkCache(null, { cache: this, moved: fact });
  }

  ahead(of: FormulaDocument | "outermost"): Ahead | null {
    return this.#aheads.get(of) ?? this.#from?.cache.ahead(of) ?? null;
  }

  keepAhead(of: FormulaDocument | "outermost", ahead: Ahead): void {
    this.#aheads.set(of, ahead);
  }

  /** The facts a step and the state after it were worked out from; those of the formulas drawn on are `productReads`. */
  readsOf(stepId: string): ReadonlySet<FactId> {
    return new Set([...(this.#steps.get(stepId)?.reads ?? []), ...(this.#states.get(stepId)?.reads ?? [])]);
  }

  productReads(): ReadonlySet<FactId> {
    return new Set([...this.#products.values()].flatMap(known => [...(known.reads ?? [])]));
  }

  /** Does the work, watched or not. */
  #do<T>(work: () => T): { readonly done: T; readonly reads: ReadonlySet<FactId> | null } {
    return this.#watch?.during(work) ?? { done: work(), reads: null };
  }

  /** What is known here, or was known where the moved fact had its own value and plays no part. */
  #find<K extends Watched>(
    own: K | undefined,
    earlier: (cache: WalkCache) => K | undefined,
    same: (known: K, facts: boolean) => boolean,
  ): K | null {
    if (own && same(own, true)) {
      if (own.reads) this.#watch?.again(own.reads);
      return own;
    }
    if (!this.#from) return null;
    const { cache, moved } = this.#from;
    const known = earlier(cache);
    return known?.reads && !known.reads.has(moved) && same(known, false) ? known : null;
  }

  /** The same map again while every line still has the same ingredient. */
  sources(found: ReadonlyMap<string, Ingredient>): ReadonlyMap<string, Ingredient> {
    const known = this.#sources;
    let same = found.size === known.size;
    if (same)
      for (const [id, ingredient] of found)
        if (known.get(id) !== ingredient) {
          same = false;
          break;
        }
    if (!same) this.#sources = found;
    return this.#sources;
  }

  /** What is known after a step; the same object as long as nothing before it and nothing in it has changed. */
  state(
    stepId: string,
    done: StepOutcome,
    sources: ReadonlyMap<string, Ingredient>,
    from: LineSoFar,
    make: () => StateAfterStep,
  ): StateAfterStep {
    const known = this.#find(
      this.#states.get(stepId),
      cache => cache.#states.get(stepId),
      was => was.done === done && was.sources === sources && sameFrom(was.from, from),
    );
    if (known) return known.state;
    const { done: state, reads } = this.#do(() => {
      const made = make();
      // Its body is worked out when somebody asks: asked here, so that what it reads is seen.
      if (this.#watch) void made.body;
      return made;
    });
    this.#states.set(stepId, { done, sources, from, state, reads });
    return state;
  }

  step(key: StepKey, kitchen: Kitchen, work: () => Result<StepOutcome>): Result<StepOutcome> {
    const known = this.#find(
      this.#steps.get(key.step.id),
      cache => cache.#steps.get(key.step.id),
      (was, facts) =>
        sameStep(was, key) && samePlace(was.where, kitchen) && (!facts || was.where.facts === kitchen.facts),
    );
    if (known) return known.done;
    const { done, reads } = this.#do(work);
    const { facts, around, burner, burners, vessels } = kitchen;
    this.#steps.set(key.step.id, { ...key, where: { facts, around, burner, burners, vessels }, done, reads });
    return done;
  }

  /** What a formula drawn on makes, as an ingredient. A refusal is not kept. */
  product(
    id: string,
    document: FormulaDocument,
    kitchen: Kitchen,
    make: () => Result<{ ingredient: Ingredient; drewOn: ReadonlyMap<string, FormulaDocument> }>,
  ): Result<Ingredient> {
    const known = this.#find(
      this.#products.get(id),
      cache => cache.#products.get(id),
      (was, facts) =>
        was.document === document &&
        samePlace(was.where, kitchen) &&
        was.where.ingredientById === kitchen.ingredientById &&
        (!facts || was.where.facts === kitchen.facts) &&
        [...was.drewOn].every(([other, drawn]) => formulaIn(kitchen.data, other) === drawn),
    );
    if (known) return ok(known.ingredient);
    const { done: made, reads } = this.#do(make);
    if (!made.ok) return made;
    const { facts, around, burner, burners, vessels, ingredientById } = kitchen;
    const where = { facts, around, burner, burners, vessels, ingredientById };
    this.#products.set(id, { document, where, ...made.value, reads });
    return ok(made.value.ingredient);
  }
}
