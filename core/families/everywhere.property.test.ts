import { fc, test as property } from "@fast-check/vitest";
import { expect } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { type KitchenData, atSize, openKitchen, walk } from "../formula";
import { g } from "../ground/quantity";
import type { Vessel } from "../things/vessel";
import { FAMILIES, formulaOf } from ".";

/** Body and yield (of the base, by mass) a cook of each family would believe. Common practice, no source. */
const BELIEVED: Readonly<Record<string, readonly [bodyLo: number, bodyHi: number, lo: number, hi: number]>> =
  {
    "brown-stock": [0, 12, 0.9, 2.3],
    "white-stock": [0, 12, 0.9, 2.4],
    "poultry-stock": [0, 12, 0.9, 2.4],
    "fish-stock": [0, 10, 0.7, 2],
    "shellfish-stock": [0, 10, 1.2, 3.2],
    "vegetable-stock": [0, 10, 0.9, 2.2],
    jus: [8, 45, 0.2, 0.7],
    "braise-liquor": [0, 45, 0.15, 0.7],
    "pan-sauce": [10, 50, 0.15, 0.6],
    "roux-gravy": [25, 68, 0.8, 1.2],
    veloute: [33, 58, 0.8, 1.4],
    // Thick, with cheese, it binds a gratin.
    "white-sauce": [33, 79, 0.85, 1.4],
    "white-stew": [14, 50, 0.75, 1.7],
    glaze: [14, 80, 0.1, 2],
    "meat-free-brown": [25, 52, 0.35, 1],
    "meat-free-white": [22, 48, 2, 2.9],
    "beurre-blanc": [33, 65, 0.9, 1.5],
    "warm-butter": [45, 68, 1.2, 1.6],
    mayonnaise: [60, 85, 1.1, 1.5],
    "egg-white-emulsion": [40, 65, 1.2, 1.6],
    "fat-emulsion": [15, 45, 1.6, 2.2],
    "root-puree": [55, 78, 0.85, 1.3],
    "green-puree": [56, 82, 0.9, 1.3],
    "fruit-puree": [45, 65, 0.85, 1.3],
    "potato-puree": [60, 82, 1, 1.5],
    coulis: [43, 64, 1.1, 1.7],
    "puree-soup": [0, 48, 1.4, 2.4],
    bisque: [24, 48, 1.2, 3],
    glace: [3, 60, 0.08, 0.65],
    gastrique: [25, 60, 0.9, 1.7],
    duxelles: [0, 60, 0.35, 0.75],
    "rendered-fat": [0, 0, 0.25, 0.6],
    confit: [0, 100, 1.6, 2],
  };

/** A kitchen with pots for a tenth and for ten times: what is tried is the sums, not the pot rack. */
const rackOf = (id: string, use: Vessel["use"], diameterMm: number, heightMm: number): Vessel => ({
  ...(DEMO_KITCHEN.vessels.find(v => v.id === "tall-1") as Vessel),
  id,
  name: id,
  use,
  shape: { shape: "cylinder", diameterMm, heightMm },
});
const RACK: readonly Vessel[] = [
  ...DEMO_KITCHEN.vessels,
  rackOf("saucepan-12", "pan", 120, 70),
  rackOf("pot-50", "pot", 500, 500),
  rackOf("kettle-70", "pot", 700, 700),
  rackOf("tilting-pan", "pan", 800, 300),
  rackOf("vat", "container", 600, 700),
];
const kitchens = new Map(
  [0, 1180, 2500].map(altitudeM => {
    const data: KitchenData = { ...DEMO_KITCHEN, altitudeM, pressurePa: null, vessels: RACK };
    return [altitudeM, openKitchen(data)] as const;
  }),
);

const anySchools = (family: (typeof FAMILIES)[number]) =>
  fc.record(
    Object.fromEntries(family.choices.map(c => [c.id, fc.constantFrom(...c.schools.map(s => s.id))])),
  );
const anywhere = fc
  .constantFrom(...FAMILIES)
  .chain(family =>
    fc.tuple(
      fc.constant(family),
      anySchools(family),
      fc.constantFrom(0, 1180, 2500),
      fc.constantFrom(0.1, 1, 10),
    ),
  );

property.prop([anywhere], { numRuns: 250 })(
  "any template, in any school, by the sea and in the mountains, a tenth and ten times: it walks to its end and is believed",
  ([family, schools, altitudeM, size]) => {
    const kitchen = kitchens.get(altitudeM);
    if (!kitchen) throw new Error("No kitchen so high.");
    const house = { boilsC: kitchen.boilsC, demiGlace: { to: 0.5, bound: false } };
    const usual = formulaOf(family, schools, house);
    const document = atSize(usual, g(usual.base.massG * size));
    const walked = walk(document, kitchen);
    expect(walked.problems.map(p => p.message)).toEqual([]);
    const [bodyLo, bodyHi, lo, hi] = BELIEVED[family.id] ?? [NaN, NaN, NaN, NaN];
    const yields = walked.finishedG / document.base.massG;
    expect(yields).toBeGreaterThanOrEqual(lo);
    expect(yields).toBeLessThanOrEqual(hi);
    expect(walked.totalS).toBeGreaterThan(0);
    const body = walked.states.at(-1)?.body;
    if (!body) return;
    expect(body.thickness).toBeGreaterThanOrEqual(bodyLo);
    expect(body.thickness).toBeLessThanOrEqual(bodyHi);
  },
);
