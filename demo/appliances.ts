import type { Appliance } from "../core/kit";

/** Ovens, blenders, scales, probes, ladles and the cold of Kelder Pass Station. Invented. */
export const DEMO_APPLIANCES: readonly Appliance[] = [
  { id: "oven-left", name: "Oven left", kind: "oven", mostC: 280, trays: 4 },
  { id: "oven-right", name: "Oven right", kind: "oven", mostC: 280, trays: 4 },
  { id: "jar-blender", name: "Jar blender", kind: "blender", jarMl: 2000, hotFillPct: 40 },
  { id: "stick-blender", name: "Stick blender, in a cylinder", kind: "blender", jarMl: 3000, hotFillPct: 60 },
  {
    id: "ice-sink",
    name: "Ice sink",
    kind: "cold place",
    method: "ice-bath",
    holdsMl: 60_000,
    temperatureC: 1,
  },
  {
    id: "walk-in",
    name: "Walk-in",
    kind: "cold place",
    method: "walk-in",
    holdsMl: 900_000,
    temperatureC: 3,
  },
  { id: "bench-scale", name: "Bench scale", kind: "scale", capacityG: 15_000, resolutionG: 5 },
  {
    id: "floor-scale",
    name: "Floor scale by the back door",
    kind: "scale",
    capacityG: 60_000,
    resolutionG: 20,
  },
  { id: "fine-scale", name: "Fine scale", kind: "scale", capacityG: 3000, resolutionG: 0.5 },
  {
    id: "probe-one",
    name: "Probe with the red cap",
    kind: "probe",
    resolutionC: 0.1,
    offsetC: -0.2,
    checkedOn: "2026-11-16",
  },
  {
    id: "probe-two",
    name: "Probe of the walk-in",
    kind: "probe",
    resolutionC: 0.5,
    offsetC: 0,
    checkedOn: null,
  },
  { id: "ladle-120", name: "Ladle", kind: "measure", holdsMl: 120 },
  { id: "spoon-15", name: "Sauce spoon", kind: "measure", holdsMl: 15 },
  { id: "squeeze-bottle", name: "Squeeze bottle", kind: "measure", holdsMl: 500 },
  { id: "insert-sixth", name: "Bain-marie insert", kind: "measure", holdsMl: 1600 },
];
