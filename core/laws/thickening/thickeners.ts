import type { FactId, FactValues } from "../../ground/facts";
import {
  ROUX_COLOURS,
  type RouxColour,
  THICKENER_IDS,
  type ThickenerId,
} from "../../things/larder/nature-names";

export { ROUX_COLOURS, type RouxColour, THICKENER_IDS, type ThickenerId };

/** One thickener: when it works, and what takes its strength away. How strong it is, is a fact. */
export interface Thickener {
  readonly name: string;
  /** Relative uncertainty of a brand’s strength, 0–1. */
  readonly spread: number;
  /** Where thickening starts and where it is complete, °C. */
  readonly fromC: number;
  readonly fullC: number;
  /** Gain of thickness per kelvin below 60 °C. */
  readonly setbackPerK: number;
  /** Share of its power that long cooking leaves, how fast it goes per minute, and minutes it stands unharmed. */
  readonly cookedShare: number;
  readonly cookPerMin: number;
  readonly cookFreeMin: number;
  /** Share of its power a blender can take. */
  readonly shear: number;
  /** How fast sour liquor takes it down. */
  readonly acid: number;
  /** Minutes at heat it usually gets. */
  readonly usualMin: number;
  readonly gluten: boolean;
  /** What it does to the look, on the plate and in the freezer. */
  readonly looks: string;
  readonly clear: boolean;
  readonly freezes: boolean;
  readonly holds: boolean;
}

// prettier-ignore
/** Source: docs/models.md "Starch", our estimates. */
export const THICKENERS: Readonly<Record<ThickenerId, Thickener>> = {
  flour: { name: "wheat flour", spread: 0.08, fromC: 65, fullC: 93, setbackPerK: 0.012, cookedShare: 0.7, cookPerMin: 0.01, cookFreeMin: 20, shear: 0.35, acid: 1, usualMin: 20, gluten: true, looks: "opaque; at least 20 min at the simmer to lose the raw taste", clear: false, freezes: false, holds: true },
  wholeflour: { name: "wholemeal flour", spread: 0.12, fromC: 65, fullC: 93, setbackPerK: 0.012, cookedShare: 0.7, cookPerMin: 0.01, cookFreeMin: 20, shear: 0.35, acid: 1, usualMin: 20, gluten: true, looks: "opaque, with specks", clear: false, freezes: false, holds: true },
  corn: { name: "corn starch", spread: 0.12, fromC: 66, fullC: 93, setbackPerK: 0.014, cookedShare: 0.6, cookPerMin: 0.015, cookFreeMin: 10, shear: 0.4, acid: 1.2, usualMin: 5, gluten: false, looks: "half clear; sets as it cools and weeps when thawed", clear: false, freezes: false, holds: false },
  arrowroot: { name: "arrowroot", spread: 0.2, fromC: 62, fullC: 82, setbackPerK: 0.004, cookedShare: 0.45, cookPerMin: 0.05, cookFreeMin: 3, shear: 0.55, acid: 1, usualMin: 5, gluten: false, looks: "clear and glossy; slimy with milk; add last", clear: true, freezes: true, holds: false },
  potato: { name: "potato starch", spread: 0.2, fromC: 58, fullC: 75, setbackPerK: 0.006, cookedShare: 0.35, cookPerMin: 0.06, cookFreeMin: 2, shear: 0.7, acid: 1.5, usualMin: 5, gluten: false, looks: "clear; very strong when just thickened, then thins fast", clear: true, freezes: false, holds: false },
  tapioca: { name: "tapioca starch", spread: 0.2, fromC: 60, fullC: 80, setbackPerK: 0.004, cookedShare: 0.4, cookPerMin: 0.04, cookFreeMin: 2, shear: 0.6, acid: 1.2, usualMin: 5, gluten: false, looks: "clear, a little stringy", clear: true, freezes: true, holds: false },
  rice: { name: "rice flour", spread: 0.12, fromC: 68, fullC: 93, setbackPerK: 0.01, cookedShare: 0.75, cookPerMin: 0.01, cookFreeMin: 20, shear: 0.3, acid: 1, usualMin: 20, gluten: false, looks: "opaque, fine; freezes well", clear: false, freezes: true, holds: true },
  ricepuree: { name: "rice, cooked soft and blended", spread: 0.12, fromC: 0, fullC: 1, setbackPerK: 0.008, cookedShare: 0.85, cookPerMin: 0.01, cookFreeMin: 30, shear: 0.1, acid: 1, usualMin: 20, gluten: false, looks: "opaque, velvety; count the rice raw", clear: false, freezes: true, holds: true },
  waxy: { name: "waxy maize starch", spread: 0.12, fromC: 63, fullC: 82, setbackPerK: 0.001, cookedShare: 0.35, cookPerMin: 0.05, cookFreeMin: 3, shear: 0.6, acid: 1.2, usualMin: 5, gluten: false, looks: "clear; does not set as it cools", clear: true, freezes: true, holds: false },
  modified: { name: "modified starch", spread: 0.12, fromC: 65, fullC: 88, setbackPerK: 0.001, cookedShare: 0.95, cookPerMin: 0.002, cookFreeMin: 60, shear: 0.1, acid: 0.2, usualMin: 5, gluten: false, looks: "half clear; stands boiling, acid and the freezer", clear: false, freezes: true, holds: true },
  // Needs no heat and does not set as it cools.
  xanthan: { name: "xanthan", spread: 0.25, fromC: -1, fullC: 0, setbackPerK: 0, cookedShare: 1, cookPerMin: 0, cookFreeMin: 0, shear: 0, acid: 0, usualMin: 0, gluten: false, looks: "clear; slimy above 4 g per kg; needs no heat, only a blade", clear: true, freezes: true, holds: true },
};

const POWER = {
  wholeflour: "wholeflourPower",
  corn: "cornPower",
  arrowroot: "arrowrootPower",
  potato: "potatoPower",
  tapioca: "tapiocaPower",
  rice: "ricePower",
  ricepuree: "ricepureePower",
  waxy: "waxyPower",
  modified: "modifiedPower",
  xanthan: "xanthanPower",
} as const satisfies Record<Exclude<ThickenerId, "flour">, FactId>;

/** Grams of white flour one gram of a thickener stands for, as weighed. */
export const powerOf = (id: ThickenerId, facts: FactValues): number =>
  id === "flour" ? 1 : facts[POWER[id]];

const KEPT = { blond: "rouxBlond", brown: "rouxBrown", dark: "rouxDark" } as const;

/** Power flour keeps as its roux browns; what is not browned keeps all of it. */
export const rouxPower = (id: ThickenerId, colour: RouxColour, facts: FactValues): number =>
  colour === "white" || !BROWNS.includes(id) ? 1 : facts[KEPT[colour]];

/** How uncertain that is, 0–1. Our estimates. */
export const ROUX_SPREAD: Readonly<Record<RouxColour, number>> = {
  white: 0,
  blond: 0,
  brown: 0.1,
  dark: 0.2,
};

/** Thickeners whose colour matters. */
export const BROWNS: readonly ThickenerId[] = ["flour", "wholeflour"];
