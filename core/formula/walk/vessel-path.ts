import { panOf } from "../steps/pan";
import type { Walk } from "./walked";

export interface VesselPath {
  /** Vessels in the order they are used, each stretch once. */
  readonly path: readonly { readonly vesselId: string; readonly name: string; readonly fromStep: number }[];
  /** Different vessels to wash up. */
  readonly washUp: number;
  /** Vessels a cook could stay in instead of changing, counted. */
  readonly changes: number;
}

/** Which pots and pans a line goes through, and how many are to be washed. */
export function vesselPath(walked: Walk): VesselPath {
  const path: VesselPath["path"][number][] = [];
  const pans = new Map<string, string>();
  walked.states.forEach((state, i) => {
    const pan = panOf(state.step);
    if (!state.vessel || pans.get(pan) === state.vessel.id) return;
    pans.set(pan, state.vessel.id);
    path.push({ vesselId: state.vessel.id, name: state.vessel.name, fromStep: i });
  });
  return {
    path,
    washUp: new Set(path.map(p => p.vesselId)).size,
    // A pan beside the main pot is needed anyhow.
    changes: Math.max(0, path.length - pans.size),
  };
}
