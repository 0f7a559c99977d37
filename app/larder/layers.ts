import type { Composition } from "~/core/things/larder";

/** How an ingredient would settle in a jar: fat on top, then what swims, solids at the bottom. */
export interface Layer {
  readonly key: keyof Composition;
  readonly label: string;
  readonly pct: number;
  readonly colour: string;
  readonly ink: string;
}

const ORDER: readonly (readonly [keyof Composition, string, string, string])[] = [
  ["fat", "fat", "#f0c95a", "#231f2b"],
  ["ethanol", "alcohol", "#cfc3dd", "#231f2b"],
  ["water", "water", "#c9dbe2", "#231f2b"],
  ["acid", "acid", "#b9c774", "#231f2b"],
  ["sugars", "sugars", "#d99a5b", "#231f2b"],
  ["salt", "salt", "#f4efe6", "#231f2b"],
  ["protein", "protein", "#b0695f", "#ffffff"],
  ["starch", "starch", "#e7dcc3", "#231f2b"],
  ["fibre", "fibre", "#7f8f5c", "#ffffff"],
  ["other", "other", "#6b5a4a", "#ffffff"],
];

/** Layers from the top down; what is not there is left out. */
export const layersOf = (composition: Composition): Layer[] =>
  ORDER.map(([key, label, colour, ink]) => ({ key, label, pct: composition[key], colour, ink })).filter(
    layer => layer.pct > 0.05,
  );

export interface Placed extends Layer {
  readonly from: number;
  readonly size: number;
}

/** The layers one after the other over a length, each as long as its share. */
export function stacked(composition: Composition, from: number, length: number): Placed[] {
  const layers = layersOf(composition);
  const total = layers.reduce((sum, layer) => sum + layer.pct, 0) || 1;
  let at = from;
  return layers.map(layer => {
    const size = (layer.pct / total) * length;
    const placed = { ...layer, from: at, size };
    at += size;
    return placed;
  });
}

/** Heights for labels beside the layers: as near as can be, never closer than `step`, never below `lowest`. */
export function labelHeights(layers: readonly Placed[], step: number, lowest: number): number[] {
  const heights = layers.map(layer => layer.from + layer.size / 2);
  // Down first, each clear of the one above; then up again from the floor, as far as is needed.
  for (let i = 1; i < heights.length; i++)
    heights[i] = Math.max(heights[i] ?? 0, (heights[i - 1] ?? 0) + step);
  for (let i = heights.length - 1, floor = lowest; i >= 0; i--, floor -= step)
    heights[i] = Math.min(heights[i] ?? 0, floor);
  return heights;
}
