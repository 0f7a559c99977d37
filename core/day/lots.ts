/** What stands in the cold: lots and what became of them. How much is left, how old it is and until when follow from that. */

export const MOVEMENTS = [
  "made",
  "used",
  "wasted",
  "counted",
  "frozen",
  "thawed",
  "moved",
  "poured in",
  "poured out",
] as const;
export type MovementKind = (typeof MOVEMENTS)[number];

export interface Movement {
  readonly at: Date;
  readonly kind: MovementKind;
  /** g; of `counted` what was found, of freezing, thawing and moving nothing. */
  readonly massG: number;
  readonly otherLotId: string | null;
  readonly place: string | null;
}

export interface Lot {
  readonly id: string;
  readonly name: string;
  readonly formulaId: string | null;
  /** Day of making in the kitchen’s calendar, YYYY-MM-DD: it is day 1. */
  readonly madeOn: string;
  readonly keepDays: number;
  readonly keepC: number;
  /** `null` where something has none entered. */
  readonly allergens: readonly string[] | null;
  /** The earliest first. */
  readonly movements: readonly Movement[];
}

export interface LotState {
  readonly massG: number;
  readonly place: string | null;
  readonly frozen: boolean;
  /** Day of its oldest part. */
  readonly oldestOn: string;
  readonly useBy: string;
  readonly allergens: readonly string[] | null;
  /** Used up to now, g: what a kitchen’s need is learned from. */
  readonly usedG: number;
  readonly wastedG: number;
}

/** Frozen at −18 °C it keeps its taste so long. Common practice, no source. */
const FROZEN_DAYS = 90;
/** Thawed it is used so soon, and no later than it could have been before. Common practice, no source. */
const THAWED_DAYS = 2;
const DAY_MS = 24 * 3600 * 1000;

export const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);

const earlier = (a: string, b: string): string => (a < b ? a : b);

/**
 * How a lot stands. A pooled pot is as old as its oldest part, and holds the allergens of all of them; freezing stops the
 * days, thawing lets the rest of them run, two at most.
 *
 * @param lots  all that may have been poured into it, by id
 * @param dayOf the kitchen’s day of a moment, YYYY-MM-DD
 */
export function lotState(
  lot: Lot,
  lots: ReadonlyMap<string, Lot>,
  dayOf: (at: Date) => string,
  seen: ReadonlySet<string> = new Set(),
): LotState {
  let massG = 0;
  let [usedG, wastedG] = [0, 0];
  let place: string | null = null;
  let oldestOn = lot.madeOn;
  let useBy = dayAfter(lot.madeOn, Math.max(1, lot.keepDays) - 1);
  let allergens = lot.allergens;
  let leftWhenFrozen: number | null = null;
  for (const m of lot.movements) {
    if (m.place) place = m.place;
    switch (m.kind) {
      case "made":
        massG += m.massG;
        break;
      case "used":
        usedG += Math.min(m.massG, massG);
        massG -= m.massG;
        break;
      case "wasted":
        wastedG += Math.min(m.massG, massG);
        massG -= m.massG;
        break;
      case "poured out":
        massG -= m.massG;
        break;
      case "counted":
        // What is missing was used and not written down.
        usedG += Math.max(0, massG - m.massG);
        massG = m.massG;
        break;
      case "frozen":
        leftWhenFrozen ??= Math.max(0, daysBetween(dayOf(m.at), useBy));
        useBy = dayAfter(dayOf(m.at), FROZEN_DAYS);
        break;
      case "thawed":
        if (leftWhenFrozen !== null) useBy = dayAfter(dayOf(m.at), Math.min(THAWED_DAYS - 1, leftWhenFrozen));
        leftWhenFrozen = null;
        break;
      case "poured in": {
        massG += m.massG;
        const from = m.otherLotId === null || seen.has(m.otherLotId) ? undefined : lots.get(m.otherLotId);
        if (!from) {
          allergens = null;
          break;
        }
        const before = {
          ...from,
          movements: from.movements.filter(other => other.at.getTime() < m.at.getTime()),
        };
        const state = lotState(before, lots, dayOf, new Set([...seen, lot.id]));
        oldestOn = earlier(oldestOn, state.oldestOn);
        useBy = earlier(useBy, state.useBy);
        allergens =
          allergens && state.allergens ? [...new Set([...allergens, ...state.allergens])].sort() : null;
        break;
      }
      case "moved":
        break;
    }
    massG = Math.max(0, massG);
  }
  return { massG, place, frozen: leftWhenFrozen !== null, oldestOn, useBy, allergens, usedG, wastedG };
}

/** A day or two tell nothing of how fast something goes. */
const FEWEST_DAYS = 3;
/** Days a usage is looked at over. */
export const USAGE_DAYS = 14;

export interface Par {
  readonly parG: number;
  readonly haveG: number;
  /** g a day; `null` where nothing was used yet. */
  readonly perDayG: number | null;
  readonly makeG: number;
  /** Days it still lasts; `null` where nothing tells how fast it goes. */
  readonly daysLeft: number | null;
  /** Days from one pot to the next, of a usual pot. */
  readonly everyDays: number | null;
}

/**
 * What to make, of a level that is to stand ready.
 * @example par 6 kg, 1.9 kg there, 0.8 kg a day → make 4.1 kg; 2.4 days left; a pot of 5.6 kg every 7 days
 */
export function parOf(parG: number, haveG: number, perDayG: number | null, batchG: number | null): Par {
  const runs = perDayG !== null && perDayG > 0;
  return {
    parG,
    haveG,
    perDayG,
    makeG: Math.max(0, parG - haveG),
    daysLeft: runs ? haveG / perDayG : null,
    everyDays: runs && batchG !== null ? Math.floor(batchG / perDayG + 1e-9) : null,
  };
}

/** g a day, from what was taken of lots in the last days; days before the first lot are no days of use. */
export function usagePerDay(lots: readonly Lot[], today: string, dayOf: (at: Date) => string): number | null {
  const from = dayAfter(today, -USAGE_DAYS);
  let used = 0;
  let first: string | null = null;
  for (const lot of lots) {
    let massG = 0;
    first = first === null ? lot.madeOn : earlier(first, lot.madeOn);
    for (const m of lot.movements) {
      const before = massG;
      if (m.kind === "made" || m.kind === "poured in") massG += m.massG;
      else if (m.kind === "counted") massG = m.massG;
      else if (m.kind === "used" || m.kind === "wasted" || m.kind === "poured out")
        massG = Math.max(0, massG - m.massG);
      const taken = m.kind === "used" || m.kind === "counted" ? before - massG : 0;
      if (taken > 0 && dayOf(m.at) > from) used += taken;
    }
  }
  if (first === null || used <= 0) return null;
  const days = Math.min(USAGE_DAYS, daysBetween(first, today));
  return days < FEWEST_DAYS ? null : used / days;
}
