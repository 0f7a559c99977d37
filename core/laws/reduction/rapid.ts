import { NOMINAL_FACTS } from "../../ground/facts";
import type { Millilitres } from "../../ground/quantity";
import { type Vessel, geometryOfVessel } from "../../things/vessel";
import { type Burner, heatIntoPan } from "./heat";

/** How a cook would boil something down who was told nothing: which pan, over which burner, how far open. */
export interface Rapid {
  readonly vessel: Vessel;
  readonly burner: Burner;
  readonly setting: number;
}

export interface RapidInput {
  /** Filled at the start and at the end, hot, with what stands in it. */
  readonly startMl: Millilitres;
  readonly endMl: Millilitres;
  /** It foams up: wine, cream, starch. */
  readonly foams: boolean;
  /** Cream or milk: it boils over and catches. */
  readonly milk: boolean;
  /** Starch or purée: it catches at the bottom. */
  readonly binds: boolean;
  /** Sugars and salts at the end, as a share of the liquor, 0–1: the thicker, the lower the flame. */
  readonly endSolids: number;
  /** Open pots and pans to choose from. */
  readonly vessels: readonly Vessel[];
  readonly burners: readonly Burner[];
  /** Where it stands: a cook stays there if it is nearly as fast. */
  readonly inHand: Vessel | null;
}

/** Wide rather than tall. Common practice, no source. */
const LOW_FROM = 0.6;
const FULL_AT_MOST = { foams: 0.4, else: 0.6 };
/** Where none is so large, it is taken this full and watched. */
const FULL_AT_ALL = 0.85;
/** What must stand at the end, mm: 8, else 5, or 3 where little is to remain. */
const DEEP_ENOUGH_MM = 8;
const JUST_ENOUGH_MM = 5;
const LITTLE_LEFT = { share: 0.3, mm: 3 };
/** A pan in hand is kept while it takes this share of the most heat; within so much the wider pan wins. */
const KEPT_FROM = 0.75;
const AS_GOOD = 0.97;
/** Flames: full; lower for what foams or thickens; low for what catches. Common practice, no source. */
const FLAME = { full: 1, half: 0.6, low: 0.4 };
const THICKENS_FROM = 0.25;
const CATCHES_FROM = 0.5;

const flameFor = ({ milk, binds, endSolids }: RapidInput): number =>
  binds || endSolids > CATCHES_FROM
    ? FLAME.low
    : milk || endSolids >= THICKENS_FROM
      ? FLAME.half
      : FLAME.full;

/** Heat at full flame. By the usual figures: a doubt about a burner is no reason to choose another pan. */
function mostHeat(vessel: Vessel, burner: Burner): number {
  const heat = heatIntoPan(
    { kind: burner.kind, setting: 1, overlap: 1 },
    geometryOfVessel(vessel).baseDiameterMm,
    NOMINAL_FACTS,
  );
  return heat.ok ? heat.value : 0;
}

/**
 * Pan, burner and flame for a reduction where the cook has not said.
 *
 * @returns `null` where no open pan takes it
 * Source: own rule of common practice, docs/models.md "Which pan, which burner". @example 1 l of stock by half: the widest
 *   pan that leaves 8 mm, over the strongest burner, full: about 12 min
 */
export function rapid(input: RapidInput): Rapid | null {
  const { startMl, endMl, burners, inHand } = input;
  const most = input.foams ? FULL_AT_MOST.foams : FULL_AT_MOST.else;
  const wide = input.vessels
    .map(vessel => ({ vessel, geometry: geometryOfVessel(vessel) }))
    .map(of => ({ ...of, widthMm: 2 * Math.sqrt(of.geometry.surfaceMm2(of.geometry.heightMm) / Math.PI) }));
  const takes =
    [most, FULL_AT_ALL]
      .map(share => wide.filter(({ geometry }) => startMl <= share * geometry.capacityMl))
      .find(found => found.length > 0) ?? [];
  if (!takes.length || !burners.length) return null;
  const low = takes.filter(({ geometry, widthMm }) => geometry.heightMm <= LOW_FROM * widthMm);
  const ends = (low.length ? low : takes).map(({ vessel, geometry, widthMm }) => ({
    vessel,
    widthMm,
    endMm: geometry.levelClipped(endMl),
  }));
  const least = endMl <= LITTLE_LEFT.share * startMl ? LITTLE_LEFT.mm : JUST_ENOUGH_MM;
  const deepest = Math.max(...ends.map(({ endMm }) => endMm));
  const deepEnough =
    [DEEP_ENOUGH_MM, least, deepest]
      .map(mm => ends.filter(({ endMm }) => endMm >= mm))
      .find(found => found.length > 0) ?? ends;
  const pairs = deepEnough.flatMap(({ vessel, widthMm }) =>
    burners.map(burner => ({ vessel, widthMm, burner, heat: mostHeat(vessel, burner) })),
  );
  const hottest = Math.max(...pairs.map(({ heat }) => heat));
  const best = pairs
    .filter(({ heat }) => heat >= AS_GOOD * hottest)
    .reduce((a, b) => (b.widthMm > a.widthMm || (b.widthMm === a.widthMm && b.heat > a.heat) ? b : a));
  const kept = pairs
    .filter(({ vessel, heat }) => vessel.id === inHand?.id && heat >= KEPT_FROM * hottest)
    .reduce<(typeof pairs)[number] | null>((a, b) => (a && a.heat >= b.heat ? a : b), null);
  const { vessel, burner } = kept ?? best;
  return { vessel, burner, setting: flameFor(input) };
}
