import {
  MOLAR_MASS_ETHANOL_G,
  MOLAR_MASS_WATER_G,
  ethanolActivity,
  ethanolMoleFraction,
  ethanolVapourPressurePa,
  waterActivityBesideEthanol,
} from "../../things/pot/vapour-liquid";
import type { FactValues } from "../../ground/facts";
import {
  type Pools,
  type Surroundings,
  boilsAtActivity,
  latentHeatJPerG,
  massOfPools,
  saturationPressurePa,
  specificHeat,
  volumeMlOf,
  waterActivity,
} from "../../things/pot";
import type { MutablePools } from "../../things/pot/pools";
import { type Millilitres, ml, mm } from "../../ground/quantity";
import type { Geometry } from "../../things/vessel";

export const SURFACES = ["stirred", "lazy", "fat-layer", "skin"] as const;
/** A cook’s words for each. */
export const SURFACE_WORDS: Readonly<Record<(typeof SURFACES)[number], string>> = {
  stirred: "clear and stirred",
  lazy: "lazy, skimmed",
  "fat-layer": "unbroken fat",
  skin: "cream or starch skin",
};
export type Surface = (typeof SURFACES)[number];
export const LIDS = ["off", "ajar", "on"] as const;
export type Lid = (typeof LIDS)[number];

/** A liquor in a vessel, in its surroundings. */
export interface PanInput {
  readonly liquor: Pools;
  readonly vessel: Geometry;
  /** Volume below the level taken by what stands in the pot. */
  readonly displacedMl: Millilitres;
  /** Heat capacity of pan and of solids in it, J/K. */
  readonly heatCapacityJPerK: number;
  readonly surface: Surface;
  readonly lid: Lid;
  readonly around: Surroundings;
  /** It stands in an oven as hot as `around` says: heat comes in from all sides. */
  readonly inOven?: boolean;
  readonly facts: FactValues;
}

export const ETHANOL_HEAT_J_PER_G = 840;

// Switches, not tables: only the fact that counts is read, so that only it widens an interval.
function surfaceFactor(surface: Surface, f: FactValues): number {
  switch (surface) {
    case "stirred":
      return f.surfaceStirred;
    case "lazy":
      return f.surfaceLazy;
    case "fat-layer":
      return f.surfaceFat;
    case "skin":
      return f.surfaceSkin;
  }
}

const lidFactor = (lid: Lid, inOven: boolean, f: FactValues): number =>
  lid === "off" ? 1 : lid === "ajar" ? f.lidAjar : inOven ? f.ovenLidSteam : f.lidOn;

/** Two hindrances one after the other, each as the share that one alone would let through. */
const inSeries = (surface: number, lid: number): number =>
  lid === 1 ? surface : 1 / (1 / surface + 1 / lid - 1);

export interface Slopes {
  w: number;
  e: number;
  a: number;
  t: number;
}

/** The physics of one instant: steam rates in g/s, temperature slope in K/s. */
export class Pan {
  /** Scratch liquor: water, ethanol and volatile acid change, all else is fixed. */
  readonly pools: MutablePools;
  private readonly roomVapourPa: number;
  private readonly carrier: number;
  private readonly topLoss: number;
  private readonly wallLoss: number;
  /** Base that the heat of an oven reaches, m². */
  private readonly baseM2: number;
  readonly pressure: number;
  /** Of the liquor as it is now: worked out once for all that asks at one instant. */
  private activity = -1;

  constructor(readonly input: PanInput) {
    const { facts, around } = input;
    this.pools = { ...input.liquor };
    this.pressure = around.pressurePa * facts.pressureTrue;
    const oven = input.inOven ?? false;
    this.roomVapourPa = oven
      ? facts.ovenVapour * this.pressure
      : around.humidity * saturationPressurePa(around.ambientC);
    this.carrier =
      inSeries(surfaceFactor(input.surface, facts), lidFactor(input.lid, oven, facts)) *
      (0.089 + 0.0782 * facts.airSpeed);
    this.topLoss = oven
      ? input.lid === "on"
        ? facts.ovenLidHeat
        : facts.ovenTopHeat
      : input.lid === "on"
        ? facts.topLossLid
        : facts.topLossOpen;
    this.wallLoss = oven ? facts.ovenWallHeat : facts.wallLoss;
    this.baseM2 = oven ? input.vessel.surfaceMm2(mm(0)) * 1e-6 : 0;
  }

  set(w: number, e: number, a: number): void {
    this.pools.water = w;
    this.pools.ethanol = e;
    this.pools.acidVolatile = a;
    this.activity = -1;
  }

  private waterActivity(): number {
    if (this.activity < 0) this.activity = waterActivity(this.pools);
    return this.activity;
  }

  boilsAt(warmStart: number): number {
    return boilsAtActivity(this.pools, this.waterActivity(), this.pressure, warmStart);
  }

  /** Free surface and heat lost to the room, at `t`. */
  private surfaces(t: number): { areaM2: number; lossW: number } {
    const level = this.input.vessel.levelClipped(ml(volumeMlOf(this.pools, t) + this.input.displacedMl));
    const areaM2 = this.input.vessel.surfaceMm2(level) * 1e-6;
    const wallM2 = this.input.vessel.wallMm2(level) * 1e-6;
    const lossW =
      (this.wallLoss * (wallM2 + this.baseM2) + this.topLoss * areaM2) * (t - this.input.around.ambientC);
    return { areaM2, lossW };
  }

  lossW(t: number): number {
    return this.surfaces(t).lossW;
  }

  private pressures(t: number): { water: number; ethanol: number } {
    const x = ethanolMoleFraction(this.pools.ethanol, this.pools.water);
    const water = (1 - x) * waterActivityBesideEthanol(x) * this.waterActivity() * saturationPressurePa(t);
    return { water, ethanol: x > 0 ? x * ethanolActivity(x) * ethanolVapourPressurePa(t) : 0 };
  }

  /** Below the boil: steam from the surface by the open-water equation (ASHRAE HVAC Applications, after Carrier 1918, from memory). */
  subBoil(t: number, heatW: number): Slopes {
    const { areaM2, lossW } = this.surfaces(t);
    const p = this.pressures(t);
    const latent = latentHeatJPerG(t);
    const flow = (areaM2 * this.carrier) / latent;
    const w = Math.max(0, p.water - this.roomVapourPa) * flow;
    const e =
      w > 0
        ? (this.input.facts.slowEthanol * flow * p.ethanol * MOLAR_MASS_ETHANOL_G) / MOLAR_MASS_WATER_G
        : 0;
    const a = this.acid(w);
    const capacity = massOfPools(this.pools) * specificHeat(this.pools, t) + this.input.heatCapacityJPerK;
    return { w, e, a, t: (heatW - lossW - w * latent - e * ETHANOL_HEAT_J_PER_G) / capacity };
  }

  /** At the boil: every surplus watt makes steam. */
  boil(t: number, heatW: number): Slopes {
    const { lossW } = this.surfaces(t);
    const p = this.pressures(t);
    const y = p.ethanol / (p.ethanol + p.water);
    const molarHeat =
      (1 - y) * MOLAR_MASS_WATER_G * latentHeatJPerG(t) + y * MOLAR_MASS_ETHANOL_G * ETHANOL_HEAT_J_PER_G;
    const moles = Math.max(0, heatW - lossW) / molarHeat;
    const w = moles * (1 - y) * MOLAR_MASS_WATER_G;
    return { w, e: moles * y * MOLAR_MASS_ETHANOL_G, a: this.acid(w), t: 0 };
  }

  private acid(w: number): number {
    const { acidVolatile, water } = this.pools;
    return acidVolatile > 0 && water > 0
      ? (this.input.facts.vinegarVolatility * w * acidVolatile) / water
      : 0;
  }
}
