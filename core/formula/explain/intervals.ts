import { type Estimate, BASIS_OF_MARK, type Basis, swingIntervals, weakest } from "../../ground/estimate";
import { EMULSION_FACTS } from "../../ground/facts/emulsion";
import { FACTS, type FactId } from "../../ground/facts";
import { PUREE_FACTS } from "../../ground/facts/puree";
import { TEXTURE_FACTS } from "../../ground/facts/texture";
import { THICKENER_FACTS, THICKENING_FACTS } from "../../ground/facts/thickening";
import type { FormulaDocument } from "../document/document";
import { FIGURES, FIGURE_IDS, type FigureId } from "../walk/figures";
import { FactWatch } from "../walk/fact-watch";
import { type Kitchen, type KitchenData, openKitchen, withMoved } from "../walk/kitchen";
import { walk } from "../walk/walk";
import { WalkCache } from "../walk/walk-cache";
import type { Walk } from "../walk/walked";

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

/** A walk that has been watched: what came of it, and what each part of it read. */
interface WatchedWalk {
  readonly walked: Walk;
  readonly cache: WalkCache;
  readonly kitchen: Kitchen;
}

function watchedWalk(document: FormulaDocument, opened: Kitchen): WatchedWalk {
  const watch = new FactWatch(opened.facts);
  const cache = new WalkCache(watch);
  const kitchen = { ...opened, facts: watch.facts };
  return { walked: walk(document, kitchen, { cache }), cache, kitchen };
}

/**
 * The uncertain facts each step reads: only these can move its outcome.
 * Facts that a sub-formula reads count for the first step.
 */
export const factsRead = (document: FormulaDocument, kitchen: Kitchen): FactId[][] =>
  readsPerStep(document, watchedWalk(document, kitchen));

function readsPerStep(document: FormulaDocument, { cache }: WatchedWalk): FactId[][] {
  const uncertain = (id: FactId) => FACTS[id].lo !== FACTS[id].hi && !OWN_SPREAD.has(id);
  return document.steps.map((step, i) => [
    ...new Set<FactId>([
      // The pots are stretched before any step reads a fact; a level in a round pot depends on it all the same.
      "diameterTrue",
      ...(i === 0 ? [...cache.productReads()].filter(uncertain) : []),
      ...[...cache.readsOf(step.id)].filter(uncertain),
    ]),
  ]);
}

/**
 * 90 % intervals of the whole line: each uncertain fact is moved alone, over all steps together, so that what is
 * common to several steps (the same burner, the same weather) stays common.
 *
 * @returns one entry per walked step; nothing if the line cannot be walked
 * Cost: for each fact the steps use, two walks from the first step that reads it on. Meant for a worker.
 */
export function intervalsAlong(
  document: FormulaDocument,
  data: KitchenData,
  burnerId?: string,
): StepIntervals[] {
  const opened = openKitchen(data, {}, burnerId);
  const watched = watchedWalk(document, opened);
  const { walked: nominal, cache } = watched;
  const perStep = readsPerStep(document, watched);
  const ids = [...new Set(perStep.flat())];
  const swings = ids.map(id => {
    const fact = FACTS[id];
    const value = data.facts[id] ?? fact.value;
    // A kitchen's own value keeps the fact's width around it.
    return { key: id, value, lo: value + (fact.lo - fact.value), hi: value + (fact.hi - fact.value) };
  });
  // One flat list of numbers per walk; how many a step has follows from the nominal walk.
  const widths = nominal.states.map(state => FIXED + state.computed.length);
  const outputs = (walked: Walk): number[] =>
    nominal.states.flatMap((known, i) => {
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
  const moved = (id: FactId, value: number): Walk =>
    walk(document, withMoved(watched.kitchen, opened.facts, id, value, burnerId), {
      cache: cache.moved(id),
      found: FOUND_FOR_WIDTH,
      plain: true,
    });
  const flat = swingIntervals(
    swung => outputs(swung ? moved(swung.key as FactId, swung.value) : nominal),
    swings,
  );
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

/** How well a yield need be known for the width of an interval. */
const FOUND_FOR_WIDTH = 1e-4;

/** Outputs every step has, before its computed amounts. */
const OWN = 6;
const FIXED = OWN + FIGURE_IDS.length;
