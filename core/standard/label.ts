import {
  type FormulaDocument,
  type Kitchen,
  EGG_COOKED_C,
  eggIn,
  keepsDays,
  labelOf,
  misnamed,
  shareLeft,
  walk,
} from "../formula";
import { houseTermsIn } from "../words";
import type { BatchRecord } from "../run";
import { letDown } from "../things/house";
import { ALLERGENS } from "../things/larder";

/** How a batch is kept. */
export type Kept = "chilled" | "frozen";

/** Frozen at −18 °C or below a sauce keeps its taste so long, days. Common practice, no source. */
export const FROZEN_DAYS = 90;
export const FROZEN_C = -18;

/** What stands on a container of a batch. */
export interface ContainerLabel {
  readonly name: string;
  /** "L-1127-Q6": day of making and two signs of the run. */
  readonly lot: string;
  /** Days of the kitchen’s calendar, YYYY-MM-DD. */
  readonly madeOn: string;
  readonly useBy: string;
  /** How the days were come to: "3 days, day of making is day 1". */
  readonly why: string;
  readonly keepC: number;
  readonly kept: Kept;
  readonly words: string;
  /** In words; `null` where something has none entered. */
  readonly allergens: readonly string[] | null;
  readonly notEntered: readonly string[];
  /** What guests are told about its egg. */
  readonly guests: string | null;
  /** "1 part + 7.4 parts of water", of what was reduced; `null` where nothing was. */
  readonly letDown: { readonly times: number; readonly waterParts: number } | null;
  readonly wrongName: string | null;
  /** Words of its name that this house has settled for itself. */
  readonly houseTerms: readonly string[];
}

const DAY_MS = 24 * 3600 * 1000;

/** A day so many days after another, both as YYYY-MM-DD; calendars know nothing of hours. */
const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

/** Whether a probe has shown in this batch that its egg is cooked: what was planned shows nothing. */
const eggWasCooked = ({ steps }: BatchRecord): boolean =>
  steps.some(step =>
    step.figures.some(
      f => f.what === "probe" && f.unit === "°C" && f.actual !== null && f.actual >= EGG_COOKED_C,
    ),
  );

/**
 * The label of a finished batch.
 *
 * Days are those of the formula, no more than its egg allows; only a temperature that was logged lets raw egg count as
 * cooked, a planned one never does. A proposal by class: local food codes come first.
 *
 * @param madeOn day of making in the kitchen’s time zone, YYYY-MM-DD; it is day 1
 * @param runId  of the batch, for the lot
 * @example a glace of 27 November that keeps 10 days → use by 6 December
 */
export function labelFor(
  document: FormulaDocument,
  kitchen: Kitchen,
  batch: {
    readonly runId: string;
    readonly madeOn: string;
    readonly record: BatchRecord;
    readonly kept: Kept;
  },
): ContainerLabel {
  const walked = walk(document, kitchen);
  const { runId, madeOn, record, kept } = batch;
  const cooked = eggWasCooked(record);
  const chilled = cooked ? document.storage.days : keepsDays(document, walked, kitchen.facts);
  // Frozen egg sauces break: cold does not lengthen what raw egg shortens.
  const days = kept === "frozen" && eggIn(walked) === null ? FROZEN_DAYS : chilled;
  const label = labelOf(walked);
  const left = shareLeft(walked);
  return {
    name: document.name,
    lot: `L-${madeOn.slice(5, 7)}${madeOn.slice(8, 10)}-${runId.slice(-2)}`,
    madeOn,
    useBy: daysAfter(madeOn, Math.max(1, days) - 1),
    why: `${days} ${days === 1 ? "day" : "days"}, day of making is day 1`,
    keepC: kept === "frozen" ? FROZEN_C : document.storage.keepC,
    kept,
    words: document.storage.words,
    allergens: label.known ? label.allergens.map(a => ALLERGENS[a]) : null,
    notEntered: label.notEntered,
    guests: label.egg && !(cooked && eggIn(walked) === "raw") ? label.egg : null,
    letDown: left === null ? null : letDown(left),
    wrongName: misnamed(document, walked),
    houseTerms: houseTermsIn(document.name, kitchen.data.house),
  };
}
