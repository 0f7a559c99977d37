import {
  type PotState,
  type SolidPart,
  dryPart,
  evaporate,
  exitMass,
  massOfPools,
  renderFat,
  solidsMass,
  specificHeat,
} from "../../things/pot";
import { type Grams, type Watts, degC, g } from "../../ground/quantity";
import { type Result, type Warning, ok } from "../../ground/result";
import {
  type DryingClass,
  type Drying,
  type Heating,
  dry,
  dryingClassOf,
  surfaceM2,
} from "../../laws/drying";
import type { FactValues } from "../../ground/facts";
import type { Computed } from "./kind";

/** What oven, pan and fat do to what lies in them: common to roasting, browning and rendering. */

/** As hot as its own juices, °C. Common practice, no source. */
const JUICES_C = 95;
/** Less liquor than this share of the solids is a film on them; more, and they lie in it. Our estimate. */
export const FILM = 0.05;

const LATENT_J_PER_G = 2300;

export const dryingOf = (part: SolidPart): Drying => ({
  of: dryingClassOf(part.kind, part.whole),
  massG: massOfPools(part.pools),
  waterG: part.pools.water,
  fatG: part.pools.fat,
  rawG: part.rawG,
  rawWaterG: part.rawWaterG,
  rawFatG: part.rawFatG,
});

/** A film of paste or juice on what roasts dries with it, as a cut vegetable would. */
const filmOf = ({ liquor }: PotState): Drying | null => {
  const mass = massOfPools(liquor);
  return liquor.water > 0
    ? {
        of: "vegetables",
        massG: mass,
        waterG: liquor.water,
        fatG: 0,
        rawG: mass,
        rawWaterG: liquor.water,
        rawFatG: 0,
      }
    : null;
};

/** Surface in the heat, m². */
export const surfaceOf = (parts: readonly SolidPart[], facts: FactValues): number =>
  surfaceM2(parts.map(dryingOf), facts);

/** The class that most of it belongs to. */
export function mainClass(parts: readonly SolidPart[]): DryingClass {
  const masses = new Map<DryingClass, number>();
  for (const part of parts) {
    const of = dryingClassOf(part.kind, part.whole);
    masses.set(of, (masses.get(of) ?? 0) + part.rawG);
  }
  return [...masses].sort((a, b) => b[1] - a[1])[0]?.[0] ?? "vegetables";
}

/** What a dry heat made of a pot. */
export interface Heated {
  readonly pot: PotState;
  readonly computed: readonly Computed[];
  readonly warnings: readonly Warning[];
  /** Minutes that what is in it lay in its liquor and stewed. */
  readonly stewedMin: number;
}

/**
 * Some minutes in a dry heat. What lies in liquor stews first: the heat goes into the liquor until it is gone.
 *
 * @param only   ids of the parts that lie in the heat; all where nothing is said
 * @param net    heat that goes into a liquor, W
 */
export function inDryHeat(
  pot: PotState,
  heating: Heating,
  min: number,
  facts: FactValues,
  how: { readonly only?: ReadonlySet<string>; readonly netW: Watts; readonly where: string },
): Result<Heated> {
  const { only } = how;
  const inHeat = pot.solids.filter(part => !only || only.has(part.id));
  const wet = pot.liquor.water > FILM * solidsMass(pot);
  const warnings: Warning[] = [];
  let state = pot;
  let stewedMin = 0;
  if (wet) {
    const mass = massOfPools(pot.liquor);
    const joules =
      pot.liquor.water * LATENT_J_PER_G +
      mass * specificHeat(pot.liquor, pot.temperatureC) * Math.max(0, 100 - pot.temperatureC);
    const wetMin = how.netW > 0 ? joules / how.netW / 60 : Infinity;
    stewedMin = Math.min(min, wetMin);
    const share = wetMin > 0 ? stewedMin / wetMin : 1;
    const { water, ethanol, acidVolatile } = pot.liquor;
    const steamed = evaporate(pot, {
      water: water * share * ALL_BUT_A_FILM,
      ethanol: ethanol * share,
      acidVolatile: acidVolatile * share * VOLATILE,
    });
    if (!steamed.ok) return steamed;
    state = { ...steamed.value, temperatureC: degC(Math.max(pot.temperatureC, JUICES_C)) };
    const said = stewedMin < min ? `for ${Math.max(1, Math.round(stewedMin))} min` : "all the while";
    if (inHeat.length)
      warnings.push({
        code: "STEWS",
        message: `It lies in liquor and stews ${said}: nothing colours until that has boiled off. Pour it off first, or give it longer.`,
      });
  }
  const film = wet ? null : filmOf(state);
  const left = inHeat.map(part => state.solids.find(p => p.id === part.id) ?? part);
  const done = dry(
    [...left.map(dryingOf), ...(film ? [film] : [])],
    heating,
    state.temperatureC,
    min - stewedMin,
    JUICES_C,
    facts,
  );
  const [before, fatBefore] = [exitMass(pot, "vapour"), pot.floatFatG];
  for (const [i, part] of left.entries()) {
    const gone = done.parts[i];
    if (!gone) continue;
    state = renderFat(state, part.id, g(gone.meltedG));
    state = dryPart(state, part.id, g(gone.steamG));
  }
  const fromFilm = film ? (done.parts.at(-1)?.steamG ?? 0) : 0;
  if (fromFilm > 0) {
    const steamed = evaporate(state, { water: fromFilm });
    if (!steamed.ok) return steamed;
    state = steamed.value;
  }
  const roasts = stewedMin < min;
  const ids = new Set(left.map(part => part.id));
  return ok({
    pot: {
      ...state,
      temperatureC: done.temperatureC,
      solids: state.solids.map(part => (roasts && ids.has(part.id) ? { ...part, roasted: true } : part)),
    },
    computed: told([
      [`lost ${how.where}`, g(exitMass(state, "vapour") - before), "out"],
      ["fat melted out", g(state.floatFatG - fatBefore), "within"],
    ]),
    warnings,
    stewedMin,
  });
}

/** The last of a liquor stays as a glaze on what fries; the spirit is gone with it, most of the vinegar too. */
const ALL_BUT_A_FILM = 0.98;
const VOLATILE = 0.7;

/** Less than this is no line in anybody's recipe, g. */
const WORTH_TELLING_G = 0.05;

const told = (all: readonly (readonly [string, Grams, Computed["way"]])[]): Computed[] =>
  all.filter(([, massG]) => massG > WORTH_TELLING_G).map(([what, massG, way]) => ({ what, massG, way }));
