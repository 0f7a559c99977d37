import { densityOf } from "../../things/larder";
import {
  type Millilitres,
  type Millimetres,
  type Seconds,
  massOf,
  ml,
  s,
  volumeOf,
} from "../../ground/quantity";
import { DEGLAZE_LIQUIDS, type DeglazeLiquid, deglazeMl } from "../../laws/reduction";
import { geometryOfVessel } from "../../things/vessel";
import { withLineMass } from "../scaling/multiply";
import { updateLine } from "../document/edit";
import type { FormulaDocument } from "../document/document";
import { FIGURES, type FigureId } from "../walk/figures";
import type { Kitchen } from "../walk/kitchen";
import { walk } from "../walk/walk";
import { type Walk, finalState } from "../walk/walked";

/** What each liquid is in the reference larder, the usual one first. */
const IN_LARDER: Readonly<Record<DeglazeLiquid, readonly string[]>> = {
  water: ["water"],
  wine: ["white-wine", "cider", "red-wine"],
  vinegar: ["sherry-vinegar", "cider-vinegar", "wine-vinegar"],
  spirit: ["grape-brandy", "brandy"],
  stock: ["bought-brown-stock", "bought-chicken-stock"],
};

const TOLD = ["acid", "alcohol", "sugar", "salt"] as const satisfies readonly FigureId[];

/** One liquid that could lift the fond, and what it would make of the sauce. */
export interface DeglazeChoice {
  readonly liquid: DeglazeLiquid;
  readonly ingredientId: string;
  readonly name: string;
  readonly brings: string;
  readonly massG: number;
  readonly totalS: Seconds;
  /** Of what comes out, in each figure's own unit. */
  readonly outcome: Readonly<Record<(typeof TOLD)[number], number>>;
  /** The formula with this liquid in this amount. */
  readonly document: FormulaDocument;
}

export interface DeglazeChoices {
  readonly panName: string;
  readonly panMm: number;
  /** What the floor of the pan takes. */
  readonly floorMl: Millilitres;
  readonly nowMl: Millilitres;
  /** Seconds the line takes longer than with what the floor takes. */
  readonly longerS: Seconds;
  readonly choices: readonly DeglazeChoice[];
}

/**
 * Liquids that could lift the fond at a step, each in the amount the pan floor takes, walked to the end of the line.
 * @returns `null` where nothing is poured yet or the line does not get there
 */
export function deglazeChoices(
  document: FormulaDocument,
  stepId: string,
  walked: Walk,
  kitchen: Kitchen,
): DeglazeChoices | null {
  const state = walked.states.find(one => one.step.id === stepId);
  const [line] = state?.step.lines ?? [];
  const poured = state?.lines.find(l => l.lineId === line?.id);
  if (!state?.vessel || !line || !poured || walked.problems.length) return null;
  const panMm = geometryOfVessel(state.vessel).baseDiameterMm;
  const floor = deglazeMl(panMm as Millimetres);
  if (!floor.ok) return null;
  const withLiquid = (ingredientId: string) => {
    const ingredient = kitchen.ingredientById.get(ingredientId);
    const density = ingredient && densityOf(ingredient);
    if (!ingredient || !density) return null;
    const massG = massOf(floor.value, density);
    const changed = withLineMass(
      updateLine(document, line.id, { of: { larder: ingredientId } }),
      line.id,
      massG,
      poured.massG,
    );
    const other = walk(changed, kitchen);
    const last = finalState(other.states);
    if (other.problems.length || !last) return null;
    return { ingredient, massG, document: changed, walked: other, last };
  };
  const choices = (Object.keys(DEGLAZE_LIQUIDS) as DeglazeLiquid[]).flatMap((liquid): DeglazeChoice[] => {
    const found = IN_LARDER[liquid].map(withLiquid).find(one => one !== null);
    if (!found) return [];
    return [
      {
        liquid,
        ingredientId: found.ingredient.id,
        name: found.ingredient.name,
        brings: DEGLAZE_LIQUIDS[liquid].brings,
        massG: found.massG,
        totalS: found.walked.totalS,
        outcome: Object.fromEntries(
          TOLD.map(id => [id, FIGURES[id].of(found.last) ?? 0]),
        ) as DeglazeChoice["outcome"],
        document: found.document,
      },
    ];
  });
  const source = state.sources.get(line.id);
  const density = source && densityOf(source);
  const sameAtFloor = "larder" in line.of ? withLiquid(line.of.larder) : null;
  return {
    panName: state.vessel.name,
    panMm,
    floorMl: floor.value,
    nowMl: density ? (volumeOf(poured.massG, density) ?? ml(poured.massG)) : ml(poured.massG),
    longerS: s(sameAtFloor ? walked.totalS - sameAtFloor.walked.totalS : 0),
    choices,
  };
}
