import { scaleClassOf } from "../laws/seasoning";
import { potMass, volumeAt20 } from "../things/pot";
import type { RunState } from "./fold";

/** One dose of a seasoning, as it went in. */
export interface Dose {
  readonly at: number;
  readonly personId: string;
  readonly massG: number;
  /** As it was counted, where nobody weighed it. */
  readonly counted: string | null;
}

/** What a pot has had of one seasoning, the formula’s own line and all that followed by taste. */
export interface Seasoned {
  readonly ingredientId: string;
  readonly name: string;
  readonly doses: readonly Dose[];
  readonly totalG: number;
  /** Standard deviation of the total: what was counted is known to a third only. */
  readonly sdG: number;
  /** Per cent of everything in the pot now, the seasoning too. */
  readonly pctOfPot: number;
  /** Per litre of liquor, as cold as 20 °C; `null` without any. */
  readonly perLitreG: number | null;
  /** What to put in first next time, for a batch of this size. */
  readonly nextFirstG: number;
}

/** A counted pinch may be a third more or less; a weighed one is off by what the scale does not show, g. Our estimate. */
const COUNTED_SD = 0.35;
const SCALE_SD_G = 0.1 / Math.sqrt(12);
/** Share of what it took that goes in before the first taste the next time. Common practice, no source. */
const NEXT_FIRST = 0.9;

/**
 * The doses of a run, by seasoning, with their running totals.
 *
 * What the formula puts in counts as its first dose, as weighed where it was; what is salt or strong, and anything that
 * went in to season, is a seasoning.
 *
 * @example 27.5 + 5 + 5 + 4 + 3 g in 5 kg: 44.5 g, 0.88 %; next time 40 g first
 */
export function seasonedIn(run: Pick<RunState, "steps" | "pot" | "told">): Seasoned[] {
  const doses = new Map<string, { name: string; doses: Dose[] }>();
  const put = (id: string, name: string, dose: Dose) => {
    const known = doses.get(id) ?? { name, doses: [] };
    doses.set(id, { ...known, doses: [...known.doses, dose] });
  };
  for (const { planned, status, readings, begunAt } of run.steps) {
    if (status !== "done" && status !== "live") continue;
    for (const line of planned.lines) {
      const ingredient = planned.sources.get(line.lineId);
      if (!ingredient || !["salt", "strong"].includes(scaleClassOf(ingredient))) continue;
      const weighed = readings.findLast(r => r.kind === "added" && r.lineId === line.lineId);
      const massG = weighed?.massG ?? line.massG;
      if (massG > 0)
        put(ingredient.id, ingredient.name, {
          at: weighed?.at ?? begunAt ?? 0,
          personId: weighed?.personId ?? "",
          massG,
          counted: null,
        });
    }
  }
  for (const { ingredient, massG, why, counted, at, personId } of run.told.putIns)
    if (why === "season" || ["salt", "strong"].includes(scaleClassOf(ingredient)))
      put(ingredient.id, ingredient.name, { at, personId, massG, counted });
  const wholeG = potMass(run.pot);
  const litres = volumeAt20(run.pot.liquor) / 1000;
  return [...doses].map(([ingredientId, { name, doses: own }]) => {
    const totalG = own.reduce((sum, dose) => sum + dose.massG, 0);
    return {
      ingredientId,
      name,
      doses: own,
      totalG,
      sdG: Math.hypot(...own.map(dose => (dose.counted ? COUNTED_SD * dose.massG : SCALE_SD_G))),
      pctOfPot: wholeG > 0 ? (100 * totalG) / wholeG : 0,
      perLitreG: litres > 0 ? totalG / litres : null,
      nextFirstG: NEXT_FIRST * totalG,
    };
  });
}
