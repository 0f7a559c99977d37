import type { FactValues } from "../../ground/facts";
import {
  NO_POOLS,
  type Pools,
  type PotState,
  type SolidPart,
  addPools,
  extract,
  potMass,
  renderFat,
} from "../../things/pot";
import { type Celsius, type Seconds, g } from "../../ground/quantity";
import { InvariantError, type Result, type Warning, ok } from "../../ground/result";
import { classOfKind, yieldingOf } from "./bone-class";
import {
  type Extract,
  type Giving,
  LEAST_EXTRACTION_C,
  type TemperaturePoint,
  extraction,
  extractionAlong,
  simmerWarnings,
} from "./extraction";

export const givingOf = (part: SolidPart): Giving => ({ ...part, of: classOfKind(part.kind) });

/** Juice runs out of each part as soon as the pot is warm: booked at once, once. */
export function releaseJuice(pot: PotState, f: FactValues): PotState {
  return pot.solids
    .filter(part => !part.juiceReleased)
    .reduce((state, part) => {
      const next = extract(state, part.id, juiceOf(part, f));
      return {
        ...next,
        solids: next.solids.map(p => (p.id === part.id ? { ...p, juiceReleased: true } : p)),
      };
    }, pot);
}

/** What runs out of a part, g: of mussels and clams the sea they had shut in, with its salt. */
function juiceOf(part: SolidPart, f: FactValues): Partial<Pools> {
  if (part.kind === "bivalves") {
    const salt = f.juiceBivalvesSalt * part.rawG;
    return { water: f.juiceBivalves * part.rawG - salt, salt };
  }
  return { water: yieldingOf(classOfKind(part.kind), part.roasted, f).juice * part.rawG };
}

/**
 * Books what bones and vegetables give in a simmer: gelatin, other solids, melted fat.
 *
 * A part whose record holds less collagen than it gives is raised at the cost of its other protein, then of `other`
 * (note COLLAGEN_ASSUMED).
 *
 * @errors T_LOW. Warns BOILING above 98 °C for a clear stock.
 */
export function simmerSolids(pot: PotState, time: Seconds, t: Celsius, f: FactValues): Result<PotState> {
  const done = book(pot, time, f, part => extraction(givingOf(part), time, t, f));
  if (!done.ok) return done;
  const said = new Map(
    pot.solids.flatMap(part => simmerWarnings(classOfKind(part.kind), t, 0)).map(w => [w.code, w]),
  );
  return ok(done.value, [...said.values(), ...done.warnings]);
}

/** What they give while the pot comes up: only what is above the least temperature counts. */
export function heatUpSolids(
  pot: PotState,
  course: readonly TemperaturePoint[],
  f: FactValues,
): Result<PotState> {
  const hot = course.filter(
    (point, i) =>
      point.temperatureC >= LEAST_EXTRACTION_C && (i === 0 || point.atS > (course[i - 1]?.atS ?? 0)),
  );
  const [first, last] = [hot[0], hot.at(-1)];
  if (!first || !last || hot.length < 2 || !pot.solids.length) return ok(pot);
  return book(pot, (last.atS - first.atS) as Seconds, f, part => extractionAlong(givingOf(part), hot, f));
}

function book(
  pot: PotState,
  time: Seconds,
  f: FactValues,
  give: (part: SolidPart) => Result<Extract>,
): Result<PotState> {
  const warnings: Warning[] = [];
  const before = potMass(pot);
  let state = pot;
  for (const part of pot.solids) {
    const given = give(part);
    if (!given.ok) return given;
    const { gelatinG, solidsG } = given.value;
    if (gelatinG > part.pools.collagen) {
      state = raiseCollagen(state, part.id, 1.05 * gelatinG);
      warnings.push({
        code: "COLLAGEN_ASSUMED",
        message: `${part.name}: the larder records less collagen than such bones give; it was assumed.`,
      });
    }
    const current = state.solids.find(p => p.id === part.id);
    if (!current) throw new InvariantError(`Part ${part.id} vanished during a simmer.`);
    state = extract(state, part.id, { collagen: gelatinG, ...solidsTaken(current, solidsG) });
    const { fat } = yieldingOf(classOfKind(part.kind), part.roasted, f);
    state = renderFat(state, part.id, g(fat * part.rawG * (1 - Math.exp(-time / 3600))));
    state = {
      ...state,
      solids: state.solids.map(p =>
        p.id === part.id
          ? { ...p, gaveGelatinG: g(p.gaveGelatinG + gelatinG), gaveSolidsG: g(p.gaveSolidsG + solidsG) }
          : p,
      ),
    };
  }
  if (Math.abs(potMass(state) - before) > 1e-6 * before)
    throw new InvariantError("A simmer changed the mass of the pot.");
  return ok(state, warnings);
}
/** Solids come from sugars, salt, acids and other, pro rata; only if those hold less, from protein too. */
function solidsTaken(part: SolidPart, wanted: number): Partial<Pools> {
  const { sugars, salt, acidVolatile, acidFixed, other } = part.pools;
  const there = sugars + salt + acidVolatile + acidFixed + other;
  const k = there > 0 ? Math.min(1, wanted / there) : 0;
  return {
    sugars: sugars * k,
    salt: salt * k,
    acidVolatile: acidVolatile * k,
    acidFixed: acidFixed * k,
    other: other * k,
    proteinOther: Math.max(0, wanted - there * k),
  };
}

/** Renames protein, then other, to collagen in one part, and in the books of what entered: no mass moves. */
function raiseCollagen(pot: PotState, partId: string, to: number): PotState {
  const part = pot.solids.find(p => p.id === partId);
  if (!part) return pot;
  const lack = to - part.pools.collagen;
  const fromProtein = Math.min(lack, part.pools.proteinOther);
  const fromOther = Math.min(lack - fromProtein, part.pools.other);
  const change = {
    ...NO_POOLS,
    collagen: fromProtein + fromOther,
    proteinOther: -fromProtein,
    other: -fromOther,
  };
  return {
    ...pot,
    solids: pot.solids.map(p => (p.id === partId ? { ...p, pools: addPools(p.pools, change) } : p)),
    entered: addPools(pot.entered, change),
  };
}
