import type { Ingredient } from "../../things/larder";
import type { PotState } from "../../things/pot";
import type { Result } from "../../ground/result";
import type { Vessel } from "../../things/vessel";
import type { FormulaDocument } from "../document/document";
import type { Kitchen } from "./kitchen";
import type { Ahead } from "./line-amounts";
import type { ResolvedLine, StepOutcome } from "../steps/kind";
import type { Step } from "../steps";
import type { LineSoFar, StateAfterStep } from "./walked";
import { formulaIn } from "./kitchen";

interface KnownStep {
  readonly step: Step;
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly lines: readonly ResolvedLine[];
  readonly trace: boolean;
  readonly where: Pick<Kitchen, "facts" | "around" | "burner" | "vessels">;
  readonly done: Result<StepOutcome>;
}

interface KnownState {
  readonly done: StepOutcome;
  readonly sources: ReadonlyMap<string, Ingredient>;
  readonly from: LineSoFar;
  readonly state: StateAfterStep;
}

interface KnownProduct {
  readonly document: FormulaDocument;
  readonly where: Pick<Kitchen, "facts" | "around" | "burner" | "vessels" | "ingredientById">;
  readonly ingredient: Ingredient;
  /** Documents it drew on in turn, by id: none of them may have changed. */
  readonly drewOn: ReadonlyMap<string, FormulaDocument>;
}

const sameLines = (a: readonly ResolvedLine[], b: readonly ResolvedLine[]): boolean =>
  a.length === b.length &&
  a.every(
    (line, i) =>
      line.massG === b[i]?.massG && line.ingredient === b[i].ingredient && line.lineId === b[i].lineId,
  );

/**
 * What earlier walks worked out. Documents, pots and kitchens never change in place, so what is the same object is the
 * same thing: an edit of one step leaves all steps before it untouched, simulated reductions among them.
 */
export class WalkCache {
  readonly #steps = new Map<string, KnownStep>();
  readonly #states = new Map<string, KnownState>();
  readonly #products = new Map<string, KnownProduct>();
  #sources: ReadonlyMap<string, Ingredient> = new Map();
  /** The yield that amounts which look ahead were last counted on: a good place to begin, and often still the answer. */
  ahead: Ahead | null = null;

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
    const known = this.#states.get(stepId);
    if (
      known?.done === done &&
      known.sources === sources &&
      known.from.clockS === from.clockS &&
      known.from.cost === from.cost &&
      known.from.baseG === from.baseG &&
      known.from.servedC === from.servedC &&
      known.from.family === from.family
    )
      return known.state;
    const state = make();
    this.#states.set(stepId, { done, sources, from, state });
    return state;
  }

  step(
    key: Omit<KnownStep, "done" | "where">,
    kitchen: Kitchen,
    work: () => Result<StepOutcome>,
  ): Result<StepOutcome> {
    const known = this.#steps.get(key.step.id);
    if (
      known &&
      known.step === key.step &&
      known.pot === key.pot &&
      known.vessel === key.vessel &&
      known.trace === key.trace &&
      known.where.facts === kitchen.facts &&
      known.where.around === kitchen.around &&
      known.where.burner === kitchen.burner &&
      known.where.vessels === kitchen.vessels &&
      sameLines(known.lines, key.lines)
    )
      return known.done;
    const done = work();
    const { facts, around, burner, vessels } = kitchen;
    const { step, pot, vessel, lines, trace } = key;
    this.#steps.set(step.id, {
      step,
      pot,
      vessel,
      lines,
      trace,
      where: { facts, around, burner, vessels },
      done,
    });
    return done;
  }

  product(id: string, document: FormulaDocument, kitchen: Kitchen): Ingredient | null {
    const known = this.#products.get(id);
    if (
      !known ||
      known.document !== document ||
      known.where.facts !== kitchen.facts ||
      known.where.around !== kitchen.around ||
      known.where.burner !== kitchen.burner ||
      known.where.vessels !== kitchen.vessels ||
      known.where.ingredientById !== kitchen.ingredientById
    )
      return null;
    for (const [other, was] of known.drewOn) if (formulaIn(kitchen.data, other) !== was) return null;
    return known.ingredient;
  }

  keepProduct(
    id: string,
    document: FormulaDocument,
    kitchen: Kitchen,
    ingredient: Ingredient,
    drewOn: ReadonlyMap<string, FormulaDocument>,
  ): void {
    const { facts, around, burner, vessels, ingredientById } = kitchen;
    this.#products.set(id, {
      document,
      where: { facts, around, burner, vessels, ingredientById },
      ingredient,
      drewOn,
    });
  }
}
