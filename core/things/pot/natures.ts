import { type Carries, type Ingredient, curdOf, fatSets, ownStands, tissueOf } from "../larder";
import type { RouxColour, ThickenerId, Tissue } from "../larder/nature-names";
import type { Flesh, Natures, StarchNature } from "./nature";
import { NO_POOLS, type PoolName, type Pools, addPools, massOfPools, scalePools, sumPools } from "./pools";

/** No phases, no acids: the same object everywhere, so that nothing is added to anything for it. */
const NONE: Readonly<Record<never, number>> = {};

export const NO_NATURES: Natures = {
  starches: [],
  yolkG: 0,
  yolkMaxC: 15,
  yolkDry: NO_POOLS,
  milkDry: NO_POOLS,
  pureeDry: NO_POOLS,
  curds: NONE,
  settingFatG: 0,
  flesh: NONE,
  fineness: 1,
  phases: NONE,
  acids: NONE,
  beatenWith: null,
  airMl: 0,
  isSet: false,
};

/** Pools whose shares a carrier can hold: what neither leaves as steam nor melts. */
const OWN: readonly PoolName[] = ["proteinOther", "sugars", "starch", "fibre", "other"];
const ownOf = ({ proteinOther, sugars, starch, fibre, other }: Pools): Pools => ({
  ...NO_POOLS,
  proteinOther,
  sugars,
  starch,
  fibre,
  other,
});

/** All shares of the pools that belong to a carrier. */
export const poolsOfNatures = (c: Natures): Pools =>
  sumPools([...c.starches.map(s => s.dry), c.yolkDry, c.milkDry, c.pureeDry]);

const sumOf = <K extends string>(
  a: Readonly<Partial<Record<K, number>>>,
  b: Readonly<Partial<Record<K, number>>>,
): Readonly<Partial<Record<K, number>>> => {
  if (b === NONE) return a;
  const sum: Partial<Record<K, number>> = { ...a };
  for (const key of Object.keys(b) as K[]) sum[key] = (sum[key] ?? 0) + (b[key] ?? 0);
  return sum;
};
const timesOf = <K extends string>(
  a: Readonly<Partial<Record<K, number>>>,
  k: number,
): Readonly<Partial<Record<K, number>>> => {
  if (a === NONE) return a;
  const times: Partial<Record<K, number>> = {};
  for (const key of Object.keys(a) as K[]) times[key] = (a[key] ?? 0) * k;
  return times;
};

const times = ({ fibreG, starchG }: Flesh, fibre: number, starch = fibre): Flesh => ({
  fibreG: fibreG * fibre,
  starchG: starchG * starch,
});

type FleshOf = Natures["flesh"];
const eachFlesh = (of: FleshOf, change: (flesh: Flesh) => Flesh): FleshOf =>
  of === NONE ? of : Object.fromEntries(Object.entries(of).map(([tissue, flesh]) => [tissue, change(flesh)]));

function joinFlesh(a: FleshOf, b: FleshOf): FleshOf {
  if (b === NONE) return a;
  if (a === NONE) return b;
  const joined: Partial<Record<Tissue | "own", Flesh>> = { ...a };
  for (const [tissue, flesh] of Object.entries(b) as [Tissue | "own", Flesh][]) {
    const was = joined[tissue];
    joined[tissue] = was
      ? { fibreG: was.fibreG + flesh.fibreG, starchG: was.starchG + flesh.starchG }
      : flesh;
  }
  return joined;
}

/** What stands of some flesh in a purée: its own figure, or its fibre and starch by its tissue. */
function fleshOf(
  of: { readonly tissue?: Tissue | undefined; readonly standsPct?: number | undefined },
  rawG: number,
  { fibre, starch }: Pools,
): FleshOf {
  if (of.standsPct !== undefined) return { own: { fibreG: (of.standsPct * rawG) / 100, starchG: 0 } };
  return of.tissue ? { [of.tissue]: { fibreG: fibre, starchG: starch } } : NONE;
}

/** Doses of one kind and colour that have been through the same are one. */
function joinStarches(a: readonly StarchNature[], b: readonly StarchNature[]): readonly StarchNature[] {
  if (!b.length) return a;
  const joined = [...a];
  for (const dose of b) {
    const at = joined.findIndex(
      s =>
        s.id === dose.id &&
        s.colour === dose.colour &&
        s.maxC === dose.maxC &&
        s.minutes === dose.minutes &&
        s.blendedS === dose.blendedS,
    );
    const same = joined[at];
    if (same) joined[at] = { ...same, massG: same.massG + dose.massG, dry: addPools(same.dry, dose.dry) };
    else joined.push(dose);
  }
  return joined;
}

/** Two liquors together. */
export function joinNatures(a: Natures, b: Natures): Natures {
  if (b === NO_NATURES) return a;
  if (a === NO_NATURES) return b;
  return {
    starches: joinStarches(a.starches, b.starches),
    yolkG: a.yolkG + b.yolkG,
    yolkMaxC: b.yolkG === 0 ? a.yolkMaxC : a.yolkG === 0 ? b.yolkMaxC : Math.max(a.yolkMaxC, b.yolkMaxC),
    yolkDry: addPools(a.yolkDry, b.yolkDry),
    milkDry: addPools(a.milkDry, b.milkDry),
    pureeDry: addPools(a.pureeDry, b.pureeDry),
    curds: sumOf(a.curds, b.curds),
    settingFatG: a.settingFatG + b.settingFatG,
    flesh: joinFlesh(a.flesh, b.flesh),
    fineness: massOfPools(b.pureeDry) > massOfPools(a.pureeDry) ? b.fineness : a.fineness,
    phases: sumOf(a.phases, b.phases),
    acids: sumOf(a.acids, b.acids),
    beatenWith: a.beatenWith ?? b.beatenWith,
    airMl: a.airMl + b.airMl,
    isSet: a.isSet || b.isSet,
  };
}

/** As much of the natures, times a factor. */
export const scaleNatures = (c: Natures, k: number): Natures =>
  c === NO_NATURES || k === 1
    ? c
    : {
        ...c,
        starches: c.starches.map(s => ({ ...s, massG: s.massG * k, dry: scalePools(s.dry, k) })),
        yolkG: c.yolkG * k,
        yolkDry: scalePools(c.yolkDry, k),
        milkDry: scalePools(c.milkDry, k),
        pureeDry: scalePools(c.pureeDry, k),
        curds: timesOf(c.curds, k),
        settingFatG: c.settingFatG * k,
        flesh: eachFlesh(c.flesh, flesh => times(flesh, k)),
        phases: timesOf(c.phases, k),
        acids: timesOf(c.acids, k),
        airMl: c.airMl * k,
      };

/** Natures of what an ingredient brings into the liquor. */
export function naturesOf(ingredient: Ingredient, pools: Pools, massG: number, atC: number): Natures {
  if (ingredient.natures) return scaleNatures(ingredient.natures, massG / 100);
  const curd = curdOf(ingredient);
  const sets = fatSets(ingredient);
  const c: Carries | undefined = ingredient.carries ?? (curd || sets > 0 ? {} : undefined);
  if (!c) return NO_NATURES;
  const own = ownOf(pools);
  return {
    ...NO_NATURES,
    ...(c.thickener && {
      starches: [{ id: c.thickener, massG, dry: own, colour: "white", maxC: atC, minutes: 0, blendedS: 0 }],
    }),
    ...(c.yolkPct && {
      yolkG: (massG * c.yolkPct) / 100,
      yolkMaxC: atC,
      yolkDry: scalePools(own, c.yolkPct / 100),
    }),
    ...((c.milk || curd) && { milkDry: own }),
    ...(sets > 0 && { settingFatG: sets * pools.fat }),
    ...(curd && { curds: { [curd]: own.proteinOther } }),
    ...(c.puree && {
      pureeDry: own,
      flesh: fleshOf({ tissue: tissueOf(ingredient), standsPct: ownStands(ingredient) }, massG, own),
    }),
    ...(c.phase && { phases: { [c.phase]: massG } }),
    ...(c.acids && { acids: timesOf(c.acids, pools.acidFixed) }),
  };
}

/** Natures of cheese that has melted. */
export const moltenNatures = (pools: Pools): Natures => ({
  ...NO_NATURES,
  milkDry: ownOf(pools),
  curds: { melts: pools.proteinOther },
});

/**
 * Natures of a liquor from which something has left: each keeps the share of its pools that is still there.
 * What came in does not change them.
 */
export function follow(c: Natures, before: Pools, after: Pools): Natures {
  if (c === NO_NATURES) return c;
  const left = (name: PoolName) => (before[name] > 0 ? Math.min(1, after[name] / before[name]) : 1);
  if (c.airMl === 0 && OWN.every(name => left(name) === 1) && left("acidFixed") === 1) return c;
  const of = (dry: Pools): Pools => ({
    ...dry,
    ...Object.fromEntries(OWN.map(name => [name, dry[name] * left(name)])),
  });
  return {
    ...c,
    starches: c.starches.map(s => ({ ...s, massG: s.massG * left("starch"), dry: of(s.dry) })),
    yolkG: c.yolkG * left("proteinOther"),
    yolkDry: of(c.yolkDry),
    milkDry: of(c.milkDry),
    pureeDry: of(c.pureeDry),
    curds: timesOf(c.curds, left("proteinOther")),
    flesh: eachFlesh(c.flesh, flesh => times(flesh, left("fibre"), left("starch"))),
    phases: timesOf(c.phases, left("proteinOther")),
    acids: timesOf(c.acids, left("acidFixed")),
    airMl: c.airMl * Math.min(1, massOfPools(after) / massOfPools(before)),
  };
}

const COUNTS_FROM_C = 85;

/** What heat does to starch and yolk: the hottest they have seen, and the minutes at 85 °C and above. */
export function heatNatures(c: Natures, toC: number, minutes: number): Natures {
  if (!c.starches.length && c.yolkG === 0) return c;
  const hot = toC >= COUNTS_FROM_C ? minutes : 0;
  if (hot === 0 && toC <= c.yolkMaxC && c.starches.every(s => toC <= s.maxC)) return c;
  return {
    ...c,
    starches: c.starches.map(s => ({ ...s, maxC: Math.max(s.maxC, toC), minutes: s.minutes + hot })),
    yolkMaxC: c.yolkG > 0 ? Math.max(c.yolkMaxC, toC) : c.yolkMaxC,
  };
}

/** What a fast blender takes from starch that has thickened. */
export const blendNatures = (c: Natures, seconds: number): Natures =>
  c.starches.length ? { ...c, starches: c.starches.map(s => ({ ...s, blendedS: s.blendedS + seconds })) } : c;

/** Boiled, strained or blended, what was beaten in as air is gone. */
export const withoutAir = (c: Natures): Natures => (c.airMl === 0 ? c : { ...c, airMl: 0 });

/** Egg that went into the liquor, g, as far as it is still there. */
export const eggMass = ({ phases }: Natures): number =>
  (phases.yolk ?? 0) + (phases["whole egg"] ?? 0) + (phases["egg white"] ?? 0);

/** Flour in the pan takes the colour of the roux. */
export const colourRoux = (c: Natures, colour: RouxColour): Natures =>
  c.starches.length
    ? {
        ...c,
        starches: c.starches.map(s =>
          (s.id === "flour" || s.id === "wholeflour") && s.minutes === 0 ? { ...s, colour } : s,
        ),
      }
    : c;

/** Solids that have become one with the liquor: rice binds, all else is purée. */
export function pureeNatures(
  parts: readonly {
    readonly pools: Pools;
    readonly rawG: number;
    readonly thickener?: ThickenerId;
    readonly tissue?: Tissue;
    readonly standsPct?: number;
  }[],
  toC: number,
): Natures {
  let c = NO_NATURES;
  for (const part of parts) {
    const dry = ownOf(part.pools);
    c = joinNatures(c, {
      ...NO_NATURES,
      ...(part.thickener
        ? {
            starches: [
              {
                id: part.thickener,
                massG: part.rawG,
                dry,
                colour: "white",
                maxC: toC,
                minutes: 0,
                blendedS: 0,
              },
            ],
          }
        : { pureeDry: dry, flesh: fleshOf(part, part.rawG, dry) }),
    });
  }
  return c;
}

/** The natures of a product, per 100 g of it. */
export const per100 = (c: Natures, massG: number): Natures => scaleNatures(c, massG > 0 ? 100 / massG : 0);
