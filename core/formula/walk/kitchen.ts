import { type FactId, type FactValues, NOMINAL_FACTS } from "../../ground/facts";
import type { House } from "../../things/house";
import { type Ingredient } from "../../things/larder";
import { type Surroundings, pressureAtAltitude, saturationTemperature } from "../../things/pot";
import type { Appliance } from "../../kit";
import { type Celsius, degC, pascals } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import type { Burner } from "../../laws/reduction";
import { type Vessel, type VesselShape } from "../../things/vessel";
import type { Calibration } from "../../laws/texture";
import type { FormulaDocument } from "../document/document";
import { type BodyReading, learnBody } from "./learned-body";
import { type PaceReading, type PairPace, learnPaces } from "./learned-pace";

/** Times the sums, as the chef has taken it from past batches; 1 where left out. */
export interface Habit {
  readonly time?: number;
  readonly yield?: number;
}

/** A kitchen as plain data: what the page, the worker and the server pass around. */
export interface KitchenData {
  readonly id: string;
  readonly name: string;
  readonly altitudeM: number;
  /** Station pressure when somebody has a barometer; the altitude’s otherwise. */
  readonly pressurePa: number | null;
  readonly ambientC: number;
  readonly humidity: number;
  readonly timeZone: string;
  readonly ingredients: readonly Ingredient[];
  readonly vessels: readonly Vessel[];
  readonly burners: readonly Burner[];
  readonly appliances: readonly Appliance[];
  /** Burner taken when a formula names none. */
  readonly defaultBurnerId: string;
  /** Facts the kitchen has measured for itself. */
  readonly facts: Partial<Record<FactId, number>>;
  /** Words and rates this house has settled. */
  readonly house: House;
  /** Kitchen tests of body, beside what the sums had said. */
  readonly bodyReadings?: readonly BodyReading[];
  /** How fast pots on burners went in past batches, the oldest first. */
  readonly paceReadings?: readonly PaceReading[];
  /** What a day counts on besides the sums, by formula: how much longer it takes here, how much comes out. */
  readonly habits?: Readonly<Record<string, Habit>>;
  /** Formulas other formulas may draw on: all of them, or those that are needed here. */
  readonly formulas: Readonly<Record<string, FormulaDocument>>;
  /** What all formulas of the kitchen are called, where not all of them are at hand. */
  readonly madeHere?: Readonly<Record<string, { readonly name: string }>>;
}

/** What this kitchen makes, by name. */
export const madeIn = ({
  formulas,
  madeHere = formulas,
}: Pick<KitchenData, "formulas" | "madeHere">): Readonly<Record<string, { readonly name: string }>> =>
  madeHere;

/** What a formula of this kitchen is called, whether or not it is at hand. */
export function nameOfFormula(
  kitchen: Pick<KitchenData, "formulas" | "madeHere">,
  id: string,
): string | undefined {
  const made = madeIn(kitchen);
  return formulaIn(kitchen, id)?.name ?? (Object.hasOwn(made, id) ? made[id]?.name : undefined);
}

/** The formula of an id, if the kitchen has one: never what every object is born with, such as `constructor`. */
export const formulaIn = (
  { formulas }: Pick<KitchenData, "formulas">,
  id: string,
): FormulaDocument | undefined => (Object.hasOwn(formulas, id) ? formulas[id] : undefined);

/** A kitchen ready to walk in. */
export interface Kitchen {
  readonly data: KitchenData;
  readonly around: Surroundings;
  readonly boilsC: Celsius;
  readonly facts: FactValues;
  readonly vessels: readonly Vessel[];
  readonly burner: Burner | null;
  /** Burners a reduction may be put on: the one a cook chose, else all. */
  readonly burners: readonly Burner[];
  /** Trays that all ovens together take. */
  readonly ovenTrays: number;
  readonly ingredientById: ReadonlyMap<string, Ingredient>;
  /** What the kitchen’s readings teach, by family. */
  readonly learnedBody: ReadonlyMap<string, Calibration>;
  /** What its batches teach, by pot and burner. */
  readonly learnedPace: ReadonlyMap<string, PairPace>;
}

/** Trays of an oven nobody has entered. Common practice, no source. */
const TRAYS_OF_AN_OVEN = 2;

/** A pot whose diameters are a little larger or smaller than the tape said. */
function stretched(shape: VesselShape, factor: number): VesselShape {
  switch (shape.shape) {
    case "cylinder":
      return { ...shape, diameterMm: shape.diameterMm * factor };
    case "bowl":
      return { ...shape, diameterMm: shape.diameterMm * factor };
    case "frustum":
      return { ...shape, baseMm: shape.baseMm * factor, rimMm: shape.rimMm * factor };
    case "rect":
      return {
        ...shape,
        baseLengthMm: shape.baseLengthMm * factor,
        baseWidthMm: shape.baseWidthMm * factor,
        rimLengthMm: shape.rimLengthMm * factor,
        rimWidthMm: shape.rimWidthMm * factor,
      };
    case "table":
      return shape;
  }
}

/**
 * Makes plain kitchen data ready for the walk.
 *
 * @param moved facts moved away from their nominal value, for intervals
 * @param burnerId burner the pot stands on; the kitchen's default otherwise
 */
export function openKitchen(
  data: KitchenData,
  moved: Partial<Record<FactId, number>> = {},
  burnerId?: string,
): Kitchen {
  const facts: FactValues = { ...NOMINAL_FACTS, ...data.facts, ...moved };
  const pressurePa =
    data.pressurePa === null ? valueOf(pressureAtAltitude(data.altitudeM)) : pascals(data.pressurePa);
  const vessels =
    facts.diameterTrue === 1
      ? data.vessels
      : data.vessels.map(vessel => ({ ...vessel, shape: stretched(vessel.shape, facts.diameterTrue) }));
  const burner =
    data.burners.find(b => b.id === (burnerId ?? data.defaultBurnerId)) ?? data.burners[0] ?? null;
  // The kitchen's usual burner is where nobody chose one.
  const chosen = burnerId !== undefined && burnerId !== data.defaultBurnerId && burner?.id === burnerId;
  return {
    data,
    around: { pressurePa, ambientC: degC(data.ambientC), humidity: data.humidity },
    boilsC: valueOf(saturationTemperature(pressurePa)),
    facts,
    vessels,
    burner,
    burners: chosen && burner ? [burner] : data.burners,
    ovenTrays: data.appliances.reduce((n, a) => n + (a.kind === "oven" ? a.trays : 0), 0) || TRAYS_OF_AN_OVEN,
    ingredientById: new Map(data.ingredients.map(i => [i.id, i])),
    learnedBody: learnBody(data.bodyReadings ?? []),
    learnedPace: learnPaces(data.paceReadings ?? []),
  };
}

/** The same kitchen with one fact moved. Only pots that are stretched are others. */
export const withMoved = (
  kitchen: Kitchen,
  facts: FactValues,
  id: FactId,
  value: number,
  burnerId?: string,
): Kitchen =>
  id === "diameterTrue"
    ? openKitchen(kitchen.data, { [id]: value }, burnerId)
    : { ...kitchen, facts: { ...facts, [id]: value } };
