import { printNumber } from "../../ground/quantity";
import { pairKey } from "../walk/learned-pace";
import type { Kitchen } from "../walk/kitchen";
import type { Walk } from "../walk/walked";

const readings = (n: number, one: string): string =>
  `${n} ${n === 1 ? one : `${one}${one.endsWith("h") ? "es" : "s"}`}`;

/**
 * What this kitchen has learned that a walk counted with, in a cook’s words; empty where it counted with nothing but the sums.
 * @example "Saucepan 24 on Burner 3: 0.92 times the sums, from 37 batches"
 */
export function countsOn(walked: Walk, kitchen: Kitchen): string[] {
  const pairs = new Set(
    walked.states.flatMap(({ step, fire, vessel }) =>
      step.kind === "reduce" && fire && vessel ? [pairKey(fire.burner.id, vessel.id)] : [],
    ),
  );
  const paces = [...pairs].flatMap(key => {
    const pair = kitchen.learnedPace.get(key);
    const state = walked.states.find(
      s => s.fire && s.vessel && pairKey(s.fire.burner.id, s.vessel.id) === key,
    );
    return pair && state?.fire && state.vessel
      ? [
          `${state.vessel.name} on ${state.fire.burner.name}: ${printNumber(Math.exp(pair.mu), 2)} times the sums, from ${readings(pair.batches, "batch")}`,
        ]
      : [];
  });
  const body = walked.states.findLast(state => state.body?.learnedFrom)?.body?.learnedFrom;
  const weighed = walked.ingredients
    .filter(({ edibleSource }) => edibleSource.mark === "measured")
    .map(
      ({ name, ediblePct }) =>
        `${name}: ${printNumber(ediblePct, 1)} % is used of what is bought, as measured`,
    );
  const own = Object.keys(kitchen.data.facts).length;
  return [
    ...paces,
    ...(body ? [`body put right by ${readings(body, "reading")} of this kind of sauce`] : []),
    ...weighed,
    ...(own ? [`${readings(own, "figure")} of the sums this kitchen has set for itself`] : []),
  ];
}
