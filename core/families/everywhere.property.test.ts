import { fc, test as property } from "@fast-check/vitest";
import { expect } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { type KitchenData, atSize, finalState, openKitchen, walk } from "../formula";
import { g } from "../ground/quantity";
import type { Vessel } from "../things/vessel";
import { BELIEVED } from "./believed";
import { FAMILIES, formulaOf } from ".";

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
    const {
      body: [bodyLo, bodyHi],
      yields: [lo, hi],
    } = BELIEVED[family.id] ?? { body: [NaN, NaN], yields: [NaN, NaN] };
    const yields = walked.finishedG / document.base.massG;
    expect(yields).toBeGreaterThanOrEqual(lo);
    expect(yields).toBeLessThanOrEqual(hi);
    expect(walked.totalS).toBeGreaterThan(0);
    const body = finalState(walked.states)?.body;
    if (!body) return;
    expect(body.thickness).toBeGreaterThanOrEqual(bodyLo);
    expect(body.thickness).toBeLessThanOrEqual(bodyHi);
  },
);
