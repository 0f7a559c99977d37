import type {
  AcidId,
  Curd,
  EmulsionTool,
  PhaseId,
  RouxColour,
  ThickenerId,
  Tissue,
} from "../larder/nature-names";
import type { Pools } from "./pools";

/** Starch in the liquor, with what it has been through. */
export interface StarchNature {
  readonly id: ThickenerId;
  /** As weighed, g. */
  readonly massG: number;
  /** What it holds besides water and fat. */
  readonly dry: Pools;
  readonly colour: RouxColour;
  readonly maxC: number;
  /** Minutes at 85 °C or more. */
  readonly minutes: number;
  readonly blendedS: number;
}

/** Fibre and starch of one kind of flesh that stands in a purée, g. */
export interface Flesh {
  readonly fibreG: number;
  readonly starchG: number;
}

/**
 * What in the liquor keeps its own nature: which shares of its pools belong to starch, yolk, milk and purée, what holds
 * its fat, and which acids it is sour with. Grams; pools = Σ natures + rest, always.
 */
export interface Natures {
  readonly starches: readonly StarchNature[];
  readonly yolkG: number;
  readonly yolkMaxC: number;
  readonly yolkDry: Pools;
  readonly milkDry: Pools;
  readonly pureeDry: Pools;
  /** Protein of milk that makes it stand, set by acid or molten as cheese, g; inside `milkDry`. */
  readonly curds: Readonly<Partial<Record<Curd, number>>>;
  /** Fat that sets in the cold, g: floating or beaten in. */
  readonly settingFatG: number;
  /** Of that, what stands, by the flesh it came from; `own` is counted as it is. */
  readonly flesh: Readonly<Partial<Record<Tissue | "own", Flesh>>>;
  /** Mill 0.8, blender 1, fast blender 1.1. */
  readonly fineness: number;
  /** Parts of an emulsion’s water phase that are not plain water, g. */
  readonly phases: Readonly<Partial<Record<PhaseId, number>>>;
  /** Fixed acids as acetic equivalent, g; what nobody told apart is in none of them. */
  readonly acids: Readonly<Partial<Record<AcidId, number>>>;
  /** What the fat was beaten in with; `null` while nothing was beaten. */
  readonly beatenWith: EmulsionTool | null;
  /** Air beaten in, ml. */
  readonly airMl: number;
  /** Whether it has set in its mould and no longer flows. */
  readonly isSet: boolean;
}
