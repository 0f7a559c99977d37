import type { FactValues } from "../../ground/facts";
import { type Balance, balanceOf } from "../../laws/seasoning";
import { type Pools, liquorMass, massOfPools } from "../../things/pot";
import type { AcidId } from "../../laws/texture";
import { acidsOf } from "../steps/as-sauce";
import type { FormulaDocument } from "../document/document";
import { eatenOf } from "../walk/figures";
import { INTENSITY } from "../document/served-as";
import { type StateAfterStep, finalState } from "../walk/walked";

/** What is sour in a product where acids are only known together counts by its kinds in the liquor. */
function tasteOf(state: StateAfterStep, facts: FactValues): Balance | null {
  const pools: Pools = eatenOf(state);
  const m = massOfPools(pools);
  if (!(m > 0)) return null;
  const pct = (grams: number) => (100 * grams) / m;
  const acids = liquorMass(state.pot) > 0 ? acidsOf(state.pot) : {};
  const done = balanceOf(
    {
      saltPct: pct(pools.salt),
      sugarPct: pct(pools.sugars),
      acidsPct: Object.fromEntries(
        (Object.entries(acids) as [AcidId, number][]).map(([id, grams]) => [id, pct(grams)]),
      ),
      fatPct: pct(pools.fat),
    },
    facts,
  );
  return done.ok ? done.value : null;
}

/**
 * What a line tastes of in the end, and the level it hangs from: the salt and fat that are usual for its way of serving,
 * its own sweetness and sourness.
 */
export function balanceAlong(
  document: FormulaDocument,
  states: readonly StateAfterStep[],
  facts: FactValues,
): { now: Balance; level: Balance } | null {
  const last = finalState(states);
  const now = last ? tasteOf(last, facts) : null;
  if (!now) return null;
  const salt = document.targets.find(t => t.what === "salt")?.value;
  const usual = INTENSITY[document.servedAs].saltPct;
  const saltPct = salt ?? (usual ? (usual[0] + usual[1]) / 2 : null);
  const wanted = (what: "sugar" | "acid" | "fat"): number | undefined =>
    document.targets.find(t => t.what === what)?.value;
  const level = balanceOf(
    {
      saltPct: saltPct ?? (now.dose.salt * facts.saltThreshold) / 10,
      sugarPct: wanted("sugar") ?? (now.dose.sweet * facts.sweetThreshold) / 10,
      acidsPct: { citric: wanted("acid") ?? (now.dose.sour * facts.citricThreshold) / 10 },
      fatPct: wanted("fat") ?? now.dose.fat,
    },
    facts,
  );
  return level.ok ? { now, level: level.value } : null;
}
