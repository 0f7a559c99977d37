import { type Estimate, BASIS_OF_MARK, type Basis, swingIntervals, weakest } from "../../ground/estimate";
import { EMULSION_FACTS } from "../../ground/facts/emulsion";
import { FACTS, type FactId } from "../../ground/facts";
import { PUREE_FACTS } from "../../ground/facts/puree";
import { TEXTURE_FACTS } from "../../ground/facts/texture";
import { THICKENER_FACTS, THICKENING_FACTS } from "../../ground/facts/thickening";
import type { FormulaDocument } from "../document/document";
import { FIGURES, FIGURE_IDS, type FigureId } from "../walk/figures";
import { type Kitchen, type KitchenData, openKitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";

/** What is forecast after a step, each with its 90 % interval. */
export interface StepIntervals {
  readonly massG: Estimate;
  readonly volumeMl: Estimate | null;
  readonly temperatureC: Estimate;
  readonly clockS: Estimate;
  readonly durationS: Estimate;
  readonly markMm: Estimate | null;
  /** Every quantity that can stand as a thread; `null` where there is none. */
  readonly figures: Readonly<Record<FigureId, Estimate | null>>;
  /** Amounts the sums worked out, by their name in `Computed.what`. */
  readonly computedG: Readonly<Record<string, Estimate>>;
}

/**
 * The uncertain facts each step reads, found by watching a walk: only these can move its outcome.
 * Facts that a sub-formula reads count for the first step.
 */
export function factsRead(document: FormulaDocument, kitchen: Kitchen): FactId[][] {
  const perStep = document.steps.map(() => new Set<FactId>());
  let step = 0;
  const facts = new Proxy(kitchen.facts, {
    get(values, id: FactId) {
      if (FACTS[id].lo !== FACTS[id].hi && !OWN_SPREAD.has(id)) perStep[step]?.add(id);
      return values[id];
    },
  });
  // The pots are stretched before any step reads a fact; a level in a round pot depends on it all the same.
  perStep.forEach(reads => reads.add("diameterTrue"));
  walk(document, { ...kitchen, facts }, { onStep: index => (step = index) });
  return perStep.map(reads => [...reads]);
}

/**
 * 90 % intervals of the whole line: each uncertain fact is moved alone, over all steps together, so that what is
 * common to several steps (the same burner, the same weather) stays common.
 *
 * @returns one entry per walked step; nothing if the line cannot be walked
 * Cost: two walks per fact the steps use. Meant for a worker.
 */
export function intervalsAlong(
  document: FormulaDocument,
  data: KitchenData,
  burnerId?: string,
): StepIntervals[] {
  const kitchen = openKitchen(data, {}, burnerId);
  const perStep = factsRead(document, kitchen);
  const ids = [...new Set(perStep.flat())];
  const swings = ids.map(id => {
    const fact = FACTS[id];
    const value = data.facts[id] ?? fact.value;
    // A kitchen's own value keeps the fact's width around it.
    return { key: id, value, lo: value + (fact.lo - fact.value), hi: value + (fact.hi - fact.value) };
  });
  const nominal = walk(document, kitchen);
  // One flat list of numbers per walk; how many a step has follows from the nominal walk.
  const widths = nominal.states.map(state => FIXED + state.computed.length);
  const outputs = (moved: ReadonlyMap<string, number>): number[] => {
    const facts = Object.fromEntries(moved) as Partial<Record<FactId, number>>;
    const walked = walk(document, openKitchen(data, facts, burnerId));
    return nominal.states.flatMap((known, i) => {
      const state = walked.states[i];
      if (!state) return new Array<number>(FIXED + known.computed.length).fill(NaN);
      return [
        state.massG,
        state.volumeMl ?? 0,
        state.temperatureC,
        state.clockS,
        state.durationS,
        state.mark?.markMm ?? 0,
        ...FIGURE_IDS.map(id => FIGURES[id].of(state) ?? 0),
        ...known.computed.map(c => state.computed.find(other => other.what === c.what)?.massG ?? 0),
      ];
    });
  };
  const flat = swingIntervals(outputs, swings);
  let start = 0;
  return nominal.states.map((state, i) => {
    const basis = weakest(
      perStep
        .slice(0, i + 1)
        .flat()
        .map((id): Basis => BASIS_OF_MARK[FACTS[id].mark]),
    );
    const from = start;
    start += widths[i] ?? 0;
    const estimate = (k: number): Estimate => {
      const found = flat[from + k] ?? { value: 0, lo: 0, hi: 0 };
      return { ...found, basis: found.lo === found.hi ? "exact" : basis, notes: [] };
    };
    return {
      massG: estimate(0),
      volumeMl: state.volumeMl === null ? null : estimate(1),
      temperatureC: estimate(2),
      clockS: estimate(3),
      durationS: estimate(4),
      markMm: state.mark ? estimate(5) : null,
      figures: Object.fromEntries(
        FIGURE_IDS.map((id, k) => {
          if (FIGURES[id].of(state) === null) return [id, null];
          const band = estimate(OWN + k);
          return [id, id === "body" && state.body ? widened(band, state.body.sd) : band];
        }),
      ) as Record<FigureId, Estimate | null>,
      computedG: Object.fromEntries(state.computed.map((c, k) => [c.what, estimate(FIXED + k)])),
    };
  });
}

/** The laws of body carry their own spread, which is added once; they are not moved one by one as well. */
const OWN_SPREAD: ReadonlySet<string> = new Set([
  ...Object.keys(TEXTURE_FACTS),
  ...Object.keys(THICKENING_FACTS),
  ...Object.keys(THICKENER_FACTS),
  ...Object.keys(EMULSION_FACTS),
  ...Object.keys(PUREE_FACTS),
]);
const SD_TO_90 = 1.645;

/** A band as wide as both doubts together. */
const widened = (of: Estimate, sd: number): Estimate => ({
  ...of,
  lo: Math.max(0, of.value - Math.hypot(of.value - of.lo, SD_TO_90 * sd)),
  hi: of.hi === null ? null : Math.min(100, of.value + Math.hypot(of.hi - of.value, SD_TO_90 * sd)),
  basis: "estimate",
});

/** Outputs every step has, before its computed amounts. */
const OWN = 6;
const FIXED = OWN + FIGURE_IDS.length;
