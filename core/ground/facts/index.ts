import type { Mark } from "../estimate";
import { ALCOHOL_FACTS } from "./alcohol";
import { COOLING_FACTS } from "./cooling";
import { DRYING_FACTS } from "./drying";
import { STEP_FACTS } from "./steps";
import { EGG_FACTS, EMULSION_FACTS } from "./emulsion";
import { HEAT_FACTS } from "./heat";
import { POT_FACTS } from "./pot";
import { PUREE_FACTS } from "./puree";
import { REDUCTION_FACTS } from "./reduction";
import { TASTE_FACTS } from "./seasoning";
import { STOCK_FACTS } from "./stock";
import { TEXTURE_FACTS } from "./texture";
import { THICKENER_FACTS, THICKENING_FACTS } from "./thickening";
import { type Problem, checkNumber } from "../result";
import { VESSEL_FACTS } from "./vessel";

/**
 * Every number of every model that is not a law of nature: value, 90 % range, mark and source.
 *
 * Each model keeps its own file; this one joins them. A kitchen may replace any value, and an interval is formed by
 * moving one fact at a time between its limits.
 */
export interface Fact {
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
  readonly mark: Mark;
  readonly unit: string;
  /** What it is, in a cook's words. */
  readonly label: string;
  readonly source: string;
}

export const FACTS = {
  ...POT_FACTS,
  ...VESSEL_FACTS,
  ...REDUCTION_FACTS,
  ...STOCK_FACTS,
  ...ALCOHOL_FACTS,
  ...HEAT_FACTS,
  ...COOLING_FACTS,
  ...THICKENING_FACTS,
  ...THICKENER_FACTS,
  ...TEXTURE_FACTS,
  ...EGG_FACTS,
  ...EMULSION_FACTS,
  ...PUREE_FACTS,
  ...TASTE_FACTS,
  ...DRYING_FACTS,
  ...STEP_FACTS,
} as const satisfies Record<string, Fact>;

export type FactId = keyof typeof FACTS;

/** The values the models compute with: the facts' own, unless the kitchen has measured or a swing has moved one. */
export type FactValues = Readonly<Record<FactId, number>>;

export const FACT_IDS = Object.keys(FACTS) as FactId[];

/**
 * The same facts but for one. The others are not touched: whoever watches which facts a sum reads is not misled.
 */
export const withFact = (facts: FactValues, id: FactId, value: number): FactValues =>
  Object.create(facts, { [id]: { value, enumerable: true } }) as FactValues;

export const NOMINAL_FACTS: FactValues = Object.fromEntries(
  FACT_IDS.map(id => [id, FACTS[id].value]),
) as Record<FactId, number>;

const idsOf = (...facts: readonly object[]): FactId[] => facts.flatMap(f => Object.keys(f)) as FactId[];

/** The facts by what they are about, every one once. */
export const FACT_GROUPS: readonly {
  readonly id: string;
  readonly label: string;
  readonly ids: readonly FactId[];
}[] = [
  { id: "body", label: "Body", ids: idsOf(THICKENING_FACTS, TEXTURE_FACTS) },
  { id: "thickeners", label: "What a thickener is worth", ids: idsOf(THICKENER_FACTS) },
  { id: "emulsions", label: "Emulsions: what holds the oil and what beats it", ids: idsOf(EMULSION_FACTS) },
  { id: "purees", label: "Purées", ids: idsOf(PUREE_FACTS) },
  { id: "taste", label: "Taste", ids: idsOf(TASTE_FACTS) },
  { id: "egg", label: "Keeping of egg", ids: idsOf(EGG_FACTS) },
  { id: "heat", label: "Fire, steam and reduction", ids: idsOf(REDUCTION_FACTS, HEAT_FACTS) },
  {
    id: "steps",
    label: "Straining, skimming, roasting and the other steps",
    ids: idsOf(POT_FACTS, STEP_FACTS),
  },
  { id: "drying", label: "What roasts, browns and renders", ids: idsOf(DRYING_FACTS) },
  { id: "vessels", label: "Pots and how things lie in them", ids: idsOf(VESSEL_FACTS) },
  { id: "stock", label: "What bones and vegetables give", ids: idsOf(STOCK_FACTS) },
  { id: "alcohol", label: "Alcohol", ids: idsOf(ALCOHOL_FACTS) },
  { id: "cooling", label: "Cooling", ids: idsOf(COOLING_FACTS) },
];

/** So many times its usual range a kitchen's own value may lie off it. */
const FAR = 4;

/**
 * The values a kitchen may enter for a fact: its range and four times as much to either side; a fact without a range
 * may be anything up to double.
 */
export function reachOf(id: FactId): { readonly min: number; readonly max: number } {
  const { value, lo, hi } = FACTS[id] as Fact;
  const width = hi - lo || value / FAR;
  // What cannot be nothing is never taken below a tenth of its range's lower end.
  const floor = lo > 0 ? lo / 10 : lo === 0 ? 0 : -Infinity;
  return hi === lo
    ? { min: 0, max: 2 * value }
    : { min: Math.max(floor, lo - FAR * width), max: hi + FAR * width };
}

/** What is wrong with a kitchen's own value of a fact. @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE */
export function checkFact(id: FactId, value: number): Problem[] {
  const { label, unit } = FACTS[id] as Fact;
  const { min, max } = reachOf(id);
  const round = (x: number) => Number(x.toPrecision(3));
  return checkNumber(value, id, label, { min: round(min), max: round(max), unit });
}
