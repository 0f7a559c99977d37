import type { Mark } from "./estimate";
import { ALCOHOL_FACTS } from "./alcohol/facts";
import { COOLING_FACTS } from "./cooling/facts";
import { STEP_FACTS } from "./formula/steps/facts";
import { EGG_FACTS } from "./emulsion/facts";
import { HEAT_FACTS } from "./heat/facts";
import { POT_FACTS } from "./pot/facts";
import { REDUCTION_FACTS } from "./reduction/facts";
import { STOCK_FACTS } from "./stock/facts";
import { TEXTURE_FACTS } from "./texture/facts";
import { THICKENING_FACTS } from "./thickening/facts";
import { VESSEL_FACTS } from "./vessel/facts";

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
  ...TEXTURE_FACTS,
  ...EGG_FACTS,
  ...STEP_FACTS,
} as const satisfies Record<string, Fact>;

export type FactId = keyof typeof FACTS;

/** The values the models compute with: the facts' own, unless the kitchen has measured or a swing has moved one. */
export type FactValues = Readonly<Record<FactId, number>>;

export const FACT_IDS = Object.keys(FACTS) as FactId[];

export const NOMINAL_FACTS: FactValues = Object.fromEntries(
  FACT_IDS.map(id => [id, FACTS[id].value]),
) as Record<FactId, number>;
