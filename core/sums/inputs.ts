import type { FactValues } from "../ground/facts";
import {
  type Composition,
  type Ingredient,
  NO_COMPOSITION,
  findIngredient,
  normaliseComposition,
} from "../things/larder";
import {
  type Pools,
  type Surroundings,
  boilingPointC,
  latentHeatJPerG,
  poolsOf,
  pressureAtAltitude,
  pressureProblem,
  volumeMlOf,
} from "../things/pot";
import { degC, g, ml, pascals, watts } from "../ground/quantity";
import { type Drive, heatIntoPan } from "../laws/reduction";
import { type Result, type Warning, ok, refuse } from "../ground/result";
import { type Geometry, checkShape, geometryOf, vesselHeatCapacity } from "../things/vessel";
import type { HeatField, VesselField } from "./fields";
import { type SumWorld, missing } from "./sum";

/** From the fields of a sum to what the kernels take. */

export interface LiquidInput {
  readonly composition?: Partial<Composition>;
  readonly liquid?: string;
}

export interface KnownLiquid {
  /** Grams per 100 g, summing to 100. */
  readonly composition: Composition;
  readonly name: string;
  readonly ingredient: Ingredient | null;
}

const WATER: Composition = { ...NO_COMPOSITION, water: 100 };

/** An ingredient by id, name or alias. @errors UNKNOWN_ID with the nearest names */
export function ingredientNamed(name: string, world: SumWorld, field: string): Result<Ingredient> {
  const found = findIngredient(world.ingredients, name);
  if (found.exact) return ok(found.exact);
  const near = found.near.map(i => i.name).join(", ");
  return refuse({
    code: "UNKNOWN_ID",
    field,
    value: name,
    message: `The larder has no “${name}”.${near ? ` Did you mean ${near}?` : " Type a name of the larder, or give its composition."}`,
  });
}

/** What the liquid is; water when nothing was said, with a warning. */
export function liquidOf(input: LiquidInput, world: SumWorld): Result<KnownLiquid> {
  if (input.composition) {
    const full = normaliseComposition({ ...NO_COMPOSITION, ...input.composition });
    return full.ok ? ok({ composition: full.value, name: "this liquid", ingredient: null }) : full;
  }
  if (input.liquid !== undefined) {
    const found = ingredientNamed(input.liquid, world, "liquid");
    if (!found.ok) return found;
    const full = normaliseComposition(found.value.composition);
    return full.ok ? ok({ composition: full.value, name: found.value.name, ingredient: found.value }) : full;
  }
  return ok({ composition: WATER, name: "water", ingredient: null }, [ASSUMED_WATER]);
}

const ASSUMED_WATER: Warning = {
  code: "LIQUID_ASSUMED_WATER",
  message: "Nothing was said about the liquid: it counts as water.",
};

/** Grams of a liquid from grams or from millilitres at 20 °C. @errors MISSING */
export function massOfLiquid(
  liquid: KnownLiquid,
  massG: number | undefined,
  volumeMl: number | undefined,
  field: string,
): Result<number> {
  if (massG !== undefined) return ok(massG);
  if (volumeMl !== undefined)
    return ok((volumeMl * 100) / volumeMlOf(poolsOf(liquid.composition, g(100)), 20));
  return refuse(missing(field, "Say how much: a weight in g or a volume in ml."));
}

export const poolsOfLiquid = (liquid: KnownLiquid, massG: number): Pools =>
  poolsOf(liquid.composition, g(massG));

export interface KnownVessel {
  readonly geometry: Geometry;
  readonly name: string;
  /** J/K; of measures alone nobody knows the metal: 0. */
  readonly heatCapacity: number;
}

/** A vessel by its measures or its id. @errors GEOMETRY · UNKNOWN_ID */
export function vesselOf(input: VesselField, world: SumWorld, field = "vessel"): Result<KnownVessel> {
  if ("id" in input) {
    const found = world.vessels.find(v => v.id === input.id);
    if (!found)
      return refuse({
        code: "UNKNOWN_ID",
        field: `${field}.id`,
        value: input.id,
        message: world.vessels.length
          ? `The kit has no vessel “${input.id}”. It has ${world.vessels.map(v => v.id).join(", ")}.`
          : "No kit is at hand here: give the inside measures of the vessel.",
      });
    return ok({
      geometry: geometryOf(found.shape),
      name: found.name,
      heatCapacity: vesselHeatCapacity(found),
    });
  }
  const shape = checkShape(input, field);
  return shape.ok ? ok({ geometry: geometryOf(shape.value), name: "this vessel", heatCapacity: 0 }) : shape;
}

export interface AroundInput {
  readonly altitudeM?: number;
  readonly pressurePa?: number;
  readonly ambientC?: number;
  readonly humidity?: number;
  readonly airMPerS?: number;
}

/** The air around, and the facts it replaces. @errors ALTITUDE · PRESSURE */
export function aroundOf(
  input: AroundInput,
  world: SumWorld,
): Result<{ around: Surroundings; facts: FactValues }> {
  let pressure = world.around.pressurePa;
  let { facts } = world;
  if (input.pressurePa !== undefined) {
    const problem = pressureProblem(input.pressurePa, input.altitudeM ?? 0, "pressurePa");
    if (problem) return refuse(problem);
    pressure = pascals(input.pressurePa);
    // Measured: the weather is in it already.
    facts = { ...facts, pressureTrue: 1 };
  } else if (input.altitudeM !== undefined) {
    const standard = pressureAtAltitude(input.altitudeM);
    if (!standard.ok) return standard;
    pressure = standard.value;
  }
  return ok({
    around: {
      pressurePa: pressure,
      ambientC: degC(input.ambientC ?? world.around.ambientC),
      humidity: input.humidity ?? world.around.humidity,
    },
    facts: input.airMPerS === undefined ? facts : { ...facts, airSpeed: input.airMPerS },
  });
}

/** A heat as watts into the pan or a temperature to keep. @errors BURNER · OUT_OF_RANGE */
export function driveOf(
  heat: HeatField,
  of: { liquor: Pools; geometry: Geometry; around: Surroundings; displacedMl: number },
  facts: FactValues,
  field = "heat",
): Result<Drive> {
  if ("holdC" in heat) return ok({ holdC: degC(heat.holdC) });
  if ("watts" in heat) return ok({ watts: watts(heat.watts) });
  if ("burner" in heat) {
    const into = heatIntoPan(
      { kind: heat.burner, setting: heat.setting ?? 1, overlap: heat.overlap ?? 1 },
      of.geometry.baseDiameterMm,
      facts,
    );
    return into.ok
      ? ok({ watts: into.value })
      : refuse(...into.problems.map(p => ({ ...p, field: p.field.replace("heat", field) })));
  }
  // What this pot boils off on this flame: its latent heat plus what it loses to the room.
  const boils = boilingPointC(of.liquor, of.around.pressurePa);
  const level = of.geometry.levelClipped(ml(volumeMlOf(of.liquor, boils) + of.displacedMl));
  const wall = of.geometry.wallMm2(level) * 1e-6;
  const top = of.geometry.surfaceMm2(level) * 1e-6;
  const loss = (facts.wallLoss * wall + facts.topLossOpen * top) * (boils - of.around.ambientC);
  return ok({ watts: watts((heat.boilsOffGPerMin / 60) * latentHeatJPerG(boils) + loss) });
}
