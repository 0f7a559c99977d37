import { SHELF_TEMPERATURE_C, addIngredient, volumeAt20, waterDensityKgM3 } from "../../things/pot";
import { type Millilitres, type Millimetres, g, minutes, ml, mm, printVolume } from "../../ground/quantity";
import type { FactValues } from "../../ground/facts";
import { type Result, ok, refuse } from "../../ground/result";
import {
  type Cover,
  type Geometry,
  type Heap,
  type Vessel,
  bySize,
  coverFromMeasure,
  coverWith,
  geometryOfVessel,
  smallestForCover,
} from "../../things/vessel";
import { defineStep, outcome } from "./kind";
import { flag, litresIfAny, number, numberIfAny, time, vessel } from "./field";
import { inField, displacedIn, heapsOf, namedVessel } from "./shared";

const fields = {
  /** Liquid over the heap, mm; 0 is "barely cover". */
  depthMm: number("Over the bones", "mm", 0, 300),
  /** Water for a weight of what is covered, whatever the depth comes to: a narrow heap drowns, a broad one starves. */
  perKg: numberIfAny("At least", "l per kg", 0.5, 6, "by the depth"),
  /** Measured up to the top of the bones; beats the packing estimate. */
  toBonesMl: litresIfAny("Measured to the bones", "by eye"),
  vesselId: vessel("Pot", undefined, "smallest that fits"),
  /** Whether liquid already in the pot (the deglazed fond) counts. */
  countFond: flag("fond water counts"),
  durationMin: time(),
};

const AROMATIC: ReadonlySet<string> = new Set(["mirepoix", "mushrooms", "herbs"]);

/** So much of the headspace a pot should have is put up with before a cook pours over into the next one. Our estimate. */
const JUST_ENOUGH = 0.5;

/** Covers what lies in the pot with cold water, and chooses the smallest pot that takes it. */
export const cover = defineStep({
  kind: "cover",
  label: "Cover with water",
  fields,
  blank: id => ({ id, kind: "cover" as const, lines: [], depthMm: 25, countFond: true, durationMin: 10 }),
  title: () => "Cover with cold water",
  detail: step =>
    `${step.perKg ? `${step.perKg} l for every kilogram, ` : ""}${step.depthMm ? `${step.depthMm} mm over the bones` : "barely cover"}${step.countFond ? ", fond water counts" : ""}`,
  cue: "the bones just out of sight, cold water, nothing floating free",
  why: "Cold water draws what clouds before it sets; bones out of the water give nothing and darken.",
  cautions: () => ["Heavy pot: fill it where it will stand."],
  place: "fire",
  attention: "watch",
  takesLines: false,
  endsAtMark: true,
  rule: "V = V(h heap + cover) − V solids − fond",
  apply: context => {
    const { step, pot, facts } = context;
    const water = context.ingredientById("water");
    if (!water)
      return refuse({
        code: "UNKNOWN_ID",
        field: context.field,
        value: "water",
        message: "The larder has no water; add it first.",
      });
    const heaps = heapsOf(pot);
    if (!heaps.length)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message: "There is nothing in the pot to cover. Put the bones in first.",
      });
    const atHand = context.vessel && context.vessel.use !== "tray" ? context.vessel : null;
    const bones = heaps.filter(heap => !AROMATIC.has(heap.kind));
    const kilos = (bones.length ? bones : heaps).reduce((sum, heap) => sum + heap.massG, 0) / 1000;
    const leastMl = ml((step.perKg ?? 0) * 1000 * kilos);
    const covered = (pot: Vessel) =>
      coverAtLeast(geometryOfVessel(pot), heaps, mm(step.depthMm), leastMl, facts);
    const inHand = atHand && covered(atHand);
    const current =
      inHand?.ok && inHand.value.headspaceMm >= JUST_ENOUGH * inHand.value.neededHeadspaceMm ? atHand : null;
    const named = namedVessel(context, step.vesselId, current);
    if (!named.ok) return named;
    const pots = context.vessels.filter(v => (v.use === "pot" || v.use === "pan") && !v.closed);
    const fits = bySize(pots).find(pot => {
      const cover = covered(pot);
      return cover.ok && !cover.warnings.length;
    });
    const vessel = named.value ?? fits ?? null;
    if (!vessel) {
      const none = smallestForCover(pots, heaps, mm(step.depthMm), facts);
      return refuse(
        ...inField(
          context.field,
          none.ok
            ? [
                {
                  code: "NOTHING_FITS" as const,
                  field: "vesselId",
                  value: leastMl,
                  message: `${printVolume(leastMl)} of water on it fits none of the pots: split the batch, or take less per kilogram.`,
                },
              ]
            : none.problems,
        ),
      );
    }
    const sized = covered(vessel);
    if (!sized.ok) return refuse(...inField(context.field, sized.problems));
    const found = sized.value;
    let liquid = found.liquidMl;
    if (step.toBonesMl !== undefined) {
      const measured = coverFromMeasure(
        geometryOfVessel(vessel),
        ml(step.toBonesMl),
        mm(step.depthMm),
        displacedIn(pot, facts),
      );
      if (!measured.ok) return refuse(...inField(context.field, measured.problems));
      liquid = measured.value;
    }
    const fond = step.countFond ? volumeAt20(pot.liquor) : 0;
    const density = waterDensityKgM3(SHELF_TEMPERATURE_C) / 1000;
    const mass = g(Math.max(0, liquid - fond) * density);
    const added = addIngredient(pot, water, mass, {
      id: `${step.id}-water`,
      temperatureC: SHELF_TEMPERATURE_C,
    });
    if (!added.ok) return added;
    return ok(
      outcome(added.value, vessel, minutes(step.durationMin * facts.handTimes), {
        computed: [{ what: "water", massG: mass, way: "in", ingredientId: "water" }],
        warnings: sized.warnings,
        bulkLevelMm: found.bulkLevelMm,
      }),
    );
  },
});

/** Covered by a depth, or by so much liquid where that is more. @errors those of `coverWith` · OVERFLOW */
function coverAtLeast(
  geometry: Geometry,
  heaps: readonly Heap[],
  depth: Millimetres,
  leastMl: Millilitres,
  facts: FactValues,
): Result<Cover> {
  const byDepth = coverWith(geometry, heaps, depth, facts);
  if (!byDepth.ok || byDepth.value.liquidMl >= leastMl) return byDepth;
  const level = geometry.levelOf(ml(leastMl + byDepth.value.displacedMl));
  if (!level.ok) return level;
  return coverWith(geometry, heaps, mm(level.value - byDepth.value.bulkLevelMm), facts);
}
