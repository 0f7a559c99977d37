import { type Result, type Warning, ok, refuse } from "../../../ground/result";
import { KITCHEN_TESTS, type ReadThickness } from "./kitchen-tests";

export interface CombinedReading {
  readonly thickness: number;
  readonly sd: number;
  /** How far the tests disagree: Σ ((H − mean)/sd)². */
  readonly chi2: number;
}

const DISAGREE = 4;
const OPEN_FROM = 49;
const OPEN_DOUBTED = 45;

/**
 * One thickness from several tests of one sample, each by its own uncertainty.
 *
 * The spoon's open class ("that or thicker") is left out as soon as another test exists.
 * @errors EMPTY nothing was read
 * Warns TESTS_DISAGREE and names the test that stands apart.
 * Source: weighted mean, textbook statistics (A.5). @example 48 ± 5, 44 ± 4, 51 ± 6 → 46.72 ± 2.77
 */
export function combineReadings(list: readonly ReadThickness[]): Result<CombinedReading> {
  const [first] = list;
  if (!first)
    return refuse({ code: "EMPTY", field: "readings", message: "Read at least one test of this sample." });
  const closed = list.filter(r => !r.bound);
  const used = closed.length ? closed : list;
  const weight = used.reduce((sum, r) => sum + 1 / r.sd ** 2, 0);
  const thickness = used.reduce((sum, r) => sum + r.thickness / r.sd ** 2, 0) / weight;
  const chi2 = used.reduce((sum, r) => sum + ((r.thickness - thickness) / r.sd) ** 2, 0);
  const spread = used.length > 1 ? Math.max(1, chi2 / (used.length - 1)) : 1;
  const warnings: Warning[] = [];
  const open = list.find(r => r.bound);
  if (open && closed.length && thickness < OPEN_DOUBTED)
    warnings.push({
      code: "TESTS_DISAGREE",
      message: `The spoon says body ${OPEN_FROM} or thicker, the others ${Math.round(thickness)}: read again.`,
    });
  if (used.length > 1 && chi2 / (used.length - 1) > DISAGREE) {
    const apart = (r: ReadThickness) => Math.abs(r.thickness - thickness) / r.sd;
    const odd = used.reduce((worst, r) => (apart(r) > apart(worst) ? r : worst), used[0] ?? first);
    warnings.push({
      code: "TESTS_DISAGREE",
      message: `The tests do not agree; the ${KITCHEN_TESTS[odd.test].label} stands furthest off. Read it again, at one temperature.`,
    });
  }
  return ok({ thickness, sd: Math.sqrt(spread / weight), chi2 }, warnings);
}
