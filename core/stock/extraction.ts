import type { FactValues } from "../facts";
import type { SolidKind } from "../larder";
import {
  NO_POOLS,
  type Pools,
  type PotState,
  type SolidPart,
  addPools,
  extract,
  potMass,
  renderFat,
} from "../pot";
import { type Celsius, type Grams, type Seconds, g, printNumber } from "../quantity";
import { InvariantError, type Result, type Warning, ok, refuse } from "../result";

const GAS_CONSTANT = 8.314462618;
const REFERENCE_K = 366.15;
const ACTIVATION_GELATIN = 80_000;
const ACTIVATION_SOLIDS = 30_000;
/** Below this nothing worth having is extracted, °C. */
export const LEAST_EXTRACTION_C = 60;
const CLEAR_STOCK_LIMIT_C = 98;

const arrhenius = (t: number, activation: number): number =>
  Math.exp((-activation / GAS_CONSTANT) * (1 / (t + 273.15) - 1 / REFERENCE_K));

interface Yielding {
  readonly gelatin: number;
  readonly solids: number;
  readonly gelatinRate: number;
  readonly solidsRate: number;
  readonly juice: number;
  readonly fat: number;
}

/** What a kind of solid can give per gram of its raw mass, and how fast (per hour at 93 °C). */
function yieldingOf(part: Pick<SolidPart, "kind" | "roasted">, f: FactValues): Yielding {
  const { kind, roasted } = part;
  const roast = roasted ? f.roastedGelatin : 1;
  switch (kind satisfies SolidKind) {
    case "poultry-bones":
    case "poultry-whole":
      return {
        gelatin: f.gelatinPoultry * roast,
        solids: f.solidsPoultry,
        gelatinRate: f.gelatinRatePoultry,
        solidsRate: f.solidsRatePoultry,
        juice: roasted ? f.juiceRoasted : f.juicePoultry,
        fat: f.fatPoultry,
      };
    case "veal-bones":
      return {
        gelatin: f.gelatinVeal * roast,
        solids: f.solidsVeal,
        gelatinRate: f.gelatinRateVeal,
        solidsRate: f.solidsRateVeal,
        juice: roasted ? f.juiceRoasted : f.juiceVeal,
        fat: f.fatVeal,
      };
    case "mirepoix":
    case "mushrooms":
    case "herbs":
      return {
        gelatin: 0,
        solids: f.solidsVegetable,
        gelatinRate: 0,
        solidsRate: f.solidsRateVegetable,
        juice: f.juiceVegetable,
        fat: 0,
      };
  }
}

/**
 * Gelatin and other solids given up at a constant temperature.
 *
 * G = (G∞·m − G_prev)(1 − e^(−k·t)), k by Arrhenius from its value at 93 °C; the same for other solids.
 *
 * @param raw  g of raw bones or vegetables
 * @param time s
 * @returns g of gelatin and of other solids
 * @errors T_LOW below `LEAST_EXTRACTION_C`
 * Valid for: order of magnitude; ceilings ± 50 %. Source: docs/models.md "Stock" (our estimates).
 * @example veal 3629 g, 8 h, 93 °C → 138.5 g gelatin, 43.2 g solids
 */
export function extraction(
  part: Pick<SolidPart, "kind" | "roasted" | "rawG" | "gaveGelatinG" | "gaveSolidsG">,
  time: Seconds,
  t: Celsius,
  f: FactValues,
): Result<{ gelatinG: Grams; solidsG: Grams }> {
  if (t < LEAST_EXTRACTION_C)
    return refuse({
      code: "T_LOW",
      field: "holdC",
      value: t,
      allowed: { min: LEAST_EXTRACTION_C },
      message: `No useful extraction below ${LEAST_EXTRACTION_C} °C, and too cool to keep: simmer hotter.`,
    });
  const hours = time / 3600;
  const give = yieldingOf(part, f);
  const share = (rate: number, activation: number) => 1 - Math.exp(-rate * arrhenius(t, activation) * hours);
  return ok({
    gelatinG: g(
      Math.max(0, give.gelatin * part.rawG - part.gaveGelatinG) * share(give.gelatinRate, ACTIVATION_GELATIN),
    ),
    solidsG: g(
      Math.max(0, give.solids * part.rawG - part.gaveSolidsG) * share(give.solidsRate, ACTIVATION_SOLIDS),
    ),
  });
}

/** Juice runs out of each part as soon as the pot is warm: booked at once, once. */
export function releaseJuice(pot: PotState, f: FactValues): PotState {
  return pot.solids
    .filter(part => !part.juiceReleased)
    .reduce((state, part) => {
      const next = extract(state, part.id, { water: yieldingOf(part, f).juice * part.rawG });
      return {
        ...next,
        solids: next.solids.map(p => (p.id === part.id ? { ...p, juiceReleased: true } : p)),
      };
    }, pot);
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
  const warnings: Warning[] = [];
  if (t > CLEAR_STOCK_LIMIT_C && pot.solids.length)
    warnings.push({
      code: "BOILING",
      message: `${printNumber(t)} °C is a boil: fat is beaten in and the stock turns cloudy.`,
    });
  const before = potMass(pot);
  let state = pot;
  for (const part of pot.solids) {
    const given = extraction(part, time, t, f);
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
    state = renderFat(state, part.id, g(yieldingOf(part, f).fat * part.rawG * (1 - Math.exp(-time / 3600))));
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
