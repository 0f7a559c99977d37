import { z } from "zod";
import type { FactId, FactValues } from "../../ground/facts";
import { type Millimetres, type Watts, watts } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";

/** Burners a kitchen may have. `lawOfSize`: how a pan smaller than the burner catches its heat. */
interface BurnerClass {
  readonly label: string;
  readonly powerW: number;
  readonly efficiency: FactId;
  readonly referenceMm: number;
  readonly lawOfSize: "gas" | "coil";
}

export const BURNER_CLASSES = {
  "gas-home-small": {
    label: "small gas ring",
    powerW: 1000,
    efficiency: "gasHome",
    referenceMm: 140,
    lawOfSize: "gas",
  },
  "gas-home-medium": {
    label: "medium gas ring",
    powerW: 1800,
    efficiency: "gasHome",
    referenceMm: 200,
    lawOfSize: "gas",
  },
  "gas-home-large": {
    label: "large gas ring",
    powerW: 3000,
    efficiency: "gasHome",
    referenceMm: 220,
    lawOfSize: "gas",
  },
  "gas-home-wok": {
    label: "wok ring",
    powerW: 4500,
    efficiency: "gasWok",
    referenceMm: 260,
    lawOfSize: "gas",
  },
  "gas-pro-small": {
    label: "small open burner",
    powerW: 5000,
    efficiency: "gasPro",
    referenceMm: 240,
    lawOfSize: "gas",
  },
  "gas-pro": { label: "open burner", powerW: 8000, efficiency: "gasPro", referenceMm: 280, lawOfSize: "gas" },
  "induction-home": {
    label: "induction plate",
    powerW: 2200,
    efficiency: "inductionHome",
    referenceMm: 200,
    lawOfSize: "coil",
  },
  "induction-pro": {
    label: "professional induction",
    powerW: 3500,
    efficiency: "inductionPro",
    referenceMm: 220,
    lawOfSize: "coil",
  },
  radiant: {
    label: "glass-ceramic plate",
    powerW: 1800,
    efficiency: "radiant",
    referenceMm: 180,
    lawOfSize: "coil",
  },
} as const satisfies Record<string, BurnerClass>;

/** Solid top: heat per area of pan base, W/m². */
export const FLAT_TOPS = {
  "flat-top-centre": 25_000,
  "flat-top-middle": 12_000,
  "flat-top-edge": 5_000,
} as const;

export type BurnerKind = keyof typeof BURNER_CLASSES | keyof typeof FLAT_TOPS;
export const BURNER_KINDS = [...Object.keys(BURNER_CLASSES), ...Object.keys(FLAT_TOPS)] as [
  BurnerKind,
  ...BurnerKind[],
];

/** What a cook calls each. */
export const BURNER_LABELS = {
  ...(Object.fromEntries(Object.entries(BURNER_CLASSES).map(([kind, { label }]) => [kind, label])) as Record<
    keyof typeof BURNER_CLASSES,
    string
  >),
  "flat-top-centre": "solid top, centre",
  "flat-top-middle": "solid top, half-way",
  "flat-top-edge": "solid top, edge",
} satisfies Record<BurnerKind, string>;

const share = z.number().gt(0).max(1);

/** A burner of the hob with its place, seen from above; mm from the left front corner. */
export const burnerSchema = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(BURNER_KINDS),
  xMm: z.number(),
  yMm: z.number(),
  widthMm: z.number().positive(),
  depthMm: z.number().positive(),
});
export type Burner = Readonly<z.infer<typeof burnerSchema>>;

export interface Flame {
  readonly kind: BurnerKind;
  /** How far open, 0–1. */
  readonly setting: number;
  /** Share of the base over the heat, 0–1; a pot half off the fire is 0.5. */
  readonly overlap: number;
}

/**
 * Heat that enters a pan from a burner.
 *
 * @param base diameter of the pan's base, mm
 * @returns W, net into the pan
 * @errors BURNER setting or overlap outside (0, 1]
 * Source: docs/models.md "Evaporation and reduction", burner table (our estimates, range-top tests from memory).
 */
export function heatIntoPan(flame: Flame, base: Millimetres, facts: FactValues): Result<Watts> {
  if (!share.safeParse(flame.setting).success || !share.safeParse(flame.overlap).success)
    return refuse({
      code: "BURNER",
      field: "heat.setting",
      value: { setting: flame.setting, overlap: flame.overlap },
      allowed: "more than 0, at most 1",
      message: "The flame must be more than off and at most full: type a share such as 0.4.",
    });
  const open = Math.min(1, flame.setting * facts.settingTrue) * flame.overlap;
  if (flame.kind in FLAT_TOPS) {
    const flux = FLAT_TOPS[flame.kind as keyof typeof FLAT_TOPS];
    return ok(watts(flux * facts.flatTop * (Math.PI / 4) * (base / 1000) ** 2 * open));
  }
  const burner: BurnerClass = BURNER_CLASSES[flame.kind as keyof typeof BURNER_CLASSES];
  const reach = base / burner.referenceMm;
  const size = Math.min(1, burner.lawOfSize === "gas" ? reach : reach * reach);
  return ok(watts(burner.powerW * facts[burner.efficiency] * size * open));
}
