import type { FactValues } from "../../ground/facts";
import {
  NO_POOLS,
  type Pools,
  type Surroundings,
  brixOf,
  holdBack,
  massOfPools,
  onePool,
  volumeAt20,
  volumeMlOf,
} from "../../things/pot";
import {
  type Celsius,
  type Grams,
  type Millilitres,
  type Seconds,
  g,
  ml,
  printDuration,
  printNumber,
  s,
} from "../../ground/quantity";
import { type Lid, type Simulation, type Surface, simulate } from "../reduction";
import { type Result, type Warning, ok, refuse } from "../../ground/result";
import { type Geometry, bulkMl, displacedMl } from "../../things/vessel";
import { type BoneClass, KIND_OF, yieldingOf } from "./bone-class";
import { type Extract, extraction, simmerWarnings } from "./extraction";
import { blendedBloom, effectiveGelatinPct } from "./set";

export interface StockInput {
  readonly of: BoneClass;
  /** Raw bones, g; of roasted bones too. */
  readonly bonesG: Grams;
  readonly roasted: boolean;
  readonly waterG: Grams;
  readonly vegetablesG: Grams;
  /** Water added at half time, ml. */
  readonly topUpMl: Millilitres;
  readonly vessel: Geometry;
  readonly holdC: Celsius;
  readonly time: Seconds;
  readonly surface: Surface;
  readonly lid: Lid;
  readonly around: Surroundings;
  readonly facts: FactValues;
  /** What the bones gave before, and the liquor they bring along: a second wetting of the same bones. */
  readonly before?: { readonly gelatinG: Grams; readonly solidsG: Grams; readonly broughtG: Grams };
}

export interface StockYield {
  readonly strained: Pools;
  readonly strainedMl: Millilitres;
  readonly evaporatedG: Grams;
  readonly gelatinPct: number;
  readonly brix: number;
  readonly bloomG: number;
  /** Gelatin as if of 200 Bloom, per cent: decides the set. */
  readonly effectivePct: number;
  readonly fatG: Grams;
  /** When the bones first stick out; `null`: they stay covered. */
  readonly uncoveredAfter: Seconds | null;
  /** Water that would keep them covered to the end. */
  readonly topUpMl: Millilitres;
}

/** Cooked vegetables weigh this share of raw ones when they come out. Our estimate. */
const COOKED_VEGETABLES = 0.9;

/**
 * What comes out of a stock pot: strained litres, gelatin, °Brix, set.
 *
 * Steam as from plain water held at the temperature; gelatin and solids join afterwards. Bones and vegetables keep
 * liquor back when they are strained.
 *
 * @errors those of `simulate` and `extraction` · OVERFLOW
 * Warns NOT_COVERED, TOO_LONG, BOILING.
 * Valid for: litres ± 15 % (trade ratios); gelatin −40…+50 %. Source: docs/models.md "Stock".
 * @example 3.629 kg veal, 5.68 kg water, 0.454 kg mirepoix, 28 cm pot, 88 °C, 8 h → 3.66 l, 2.78 % gelatin
 */
export function stockYield(input: StockInput): Result<StockYield> {
  const { facts: f, of, roasted, vessel } = input;
  const bones = yieldingOf(of, roasted, f);
  const greens = yieldingOf("vegetables", false, f);
  const heaps = [
    { kind: KIND_OF[of], massG: input.bonesG },
    ...(input.vegetablesG > 0 ? [{ kind: "mirepoix" as const, massG: input.vegetablesG }] : []),
  ];
  const juice = bones.juice * input.bonesG + greens.juice * input.vegetablesG;
  const start = g(input.waterG + juice + (input.before?.broughtG ?? 0));
  const held = holdWithTopUp(input, start, displacedMl(heaps, f));
  if (!held.ok) return held;
  const evaporatedG = g(held.value.reduce((sum, part) => sum + part.vapour.water, 0));

  const before = input.before ?? { gelatinG: g(0), solidsG: g(0) };
  const given = extraction(
    { of, rawG: input.bonesG, roasted, gaveGelatinG: before.gelatinG, gaveSolidsG: before.solidsG },
    input.time,
    input.holdC,
    f,
  );
  if (!given.ok) return given;
  const fromGreens = extraction(
    { of: "vegetables", rawG: input.vegetablesG, roasted: false, gaveGelatinG: g(0), gaveSolidsG: g(0) },
    input.time,
    input.holdC,
    f,
  );
  if (!fromGreens.ok) return fromGreens;

  const water = start + input.topUpMl - evaporatedG;
  const liquor: Pools = {
    ...NO_POOLS,
    water,
    collagen: given.value.gelatinG,
    other: given.value.solidsG + fromGreens.value.solidsG,
  };
  const hours = input.time / 3600;
  const rendered = bones.fat * input.bonesG * (1 - Math.exp(-hours));
  const roastLoss = roasted ? f.roastLossBones * input.bonesG : 0;
  const drained =
    input.bonesG * (1 - bones.juice) - rendered - roastLoss - given.value.gelatinG - given.value.solidsG;
  const kept =
    holdBack(KIND_OF[of], f) * Math.max(0, drained) +
    holdBack("mirepoix", f) * COOKED_VEGETABLES * input.vegetablesG;
  const mass = massOfPools(liquor);
  const strainedShare = Math.max(0, mass - kept) / mass;
  const strained = Object.fromEntries(
    Object.entries(liquor).map(([name, value]) => [name, value * strainedShare]),
  ) as Pools;

  const gelatinPct = (100 * liquor.collagen) / mass;
  const bloomG = bloomOf(bones.gelatin?.bloomG ?? 0, given.value);
  const bare = uncovered(held.value, heaps, vessel, f, input.time);
  const warnings: Warning[] = [...simmerWarnings(of, input.holdC, hours), ...(held.warnings ?? [])];
  if (bare)
    warnings.push({
      code: "NOT_COVERED",
      message: `After ${printDuration(bare.at)} the bones stick out: top up ${printNumber(bare.lackMl / 1000, 1)} l on the way.`,
    });
  return ok(
    {
      strained,
      strainedMl: volumeAt20(strained),
      evaporatedG,
      gelatinPct,
      brix: brixOf(liquor),
      bloomG,
      effectivePct: effectiveGelatinPct(gelatinPct, bloomG),
      fatG: g(rendered),
      uncoveredAfter: bare?.at ?? null,
      topUpMl: ml(bare?.lackMl ?? 0),
    },
    warnings,
  );
}

const bloomOf = (fresh: number, given: Extract): number =>
  given.strength === null ? 0 : blendedBloom([{ gelatinG: given.gelatinG, bloomG: fresh * given.strength }]);

/** The simmer, in two halves when water is added in between. */
function holdWithTopUp(input: StockInput, start: Grams, displaced: Millilitres): Result<Simulation[]> {
  const halves = input.topUpMl > 0 ? 2 : 1;
  const done: Simulation[] = [];
  const warnings: Warning[] = [];
  let water = start as number;
  for (let i = 0; i < halves; i++) {
    const held = simulate({
      liquor: onePool("water", water),
      temperatureC: input.holdC,
      vessel: input.vessel,
      displacedMl: displaced,
      heatCapacityJPerK: 0,
      drive: { holdC: input.holdC },
      surface: input.surface,
      lid: input.lid,
      around: input.around,
      goal: "time",
      mostS: s(input.time / halves),
      facts: input.facts,
      trace: true,
    });
    if (!held.ok) return held;
    done.push(held.value);
    warnings.push(...held.warnings);
    water = held.value.liquor.water + input.topUpMl;
    if (water <= 0)
      return refuse({
        code: "EMPTY",
        field: "waterMl",
        message: "The pot boils dry. Take more water, a lid or less time.",
      });
  }
  return ok(done, warnings);
}

/** When the level first falls below the top of the heap, and what was lacking at the lowest. */
function uncovered(
  held: readonly Simulation[],
  heaps: Parameters<typeof bulkMl>[0],
  vessel: Geometry,
  f: FactValues,
  time: Seconds,
): { at: Seconds; lackMl: number } | null {
  const bulk = bulkMl(heaps, f);
  if (bulk >= vessel.capacityMl) return { at: s(0), lackMl: 0 };
  const needed = bulk - displacedMl(heaps, f);
  const points = held.flatMap((half, i) =>
    half.trace.map(point => ({
      atS: point.atS + (i * time) / held.length,
      ml: volumeMlOf(onePool("water", point.liquorG), point.temperatureC),
    })),
  );
  const bare = points.find(point => point.ml < needed);
  if (!bare) return null;
  return { at: s(bare.atS), lackMl: needed - Math.min(...points.map(point => point.ml)) };
}
