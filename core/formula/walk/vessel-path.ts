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
  walked.states.forEach((state, i) => {
    if (state.vessel && path.at(-1)?.vesselId !== state.vessel.id)
      path.push({ vesselId: state.vessel.id, name: state.vessel.name, fromStep: i });
  });
  return {
    path,
    washUp: new Set(path.map(p => p.vesselId)).size,
    changes: Math.max(0, path.length - 1),
  };
}
