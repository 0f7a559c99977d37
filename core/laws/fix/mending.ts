import type { EmulsionInput } from "../emulsion";
import type { FactValues } from "../../ground/facts";
import { g, printMass, printNumber } from "../../ground/quantity";
import type { Problem } from "../../ground/result";
import type { SauceState } from "../texture";
import { type After, type FixInput, type FixTarget, type Remedy, afterOf } from "./remedy";

/** Where a sauce should be when nobody says: common practice, no source. */
export const USUAL = { thickness: 45, saltPct: 0.9, acidPct: 0.25, fatPct: 7 } as const;
/** What one step of masking may be, per cent. */
export const MASK_SUGAR_PCT = 0.3;
/** So little over is no fault: a hundredth. */
const ENOUGH = 1.01;

/** What a stock to stretch with is reckoned as. */
export const STOCK = "bought-white-stock";

/** One sauce being mended: what it is, where it should be, and the remedies found so far. */
export interface Mending {
  readonly state: SauceState;
  readonly temperatureC: number;
  readonly emulsion: EmulsionInput | null;
  readonly facts: FactValues;
  readonly now: After;
  readonly target: Readonly<Record<keyof typeof USUAL, number>>;
  /** As the cook gave it: what was not said is not there. */
  readonly asked: FixTarget;
  /** A remedy that makes `next` of the sauce. */
  readonly add: (
    what: string,
    addG: number,
    next: SauceState,
    order: readonly string[],
    besides: readonly string[],
    brings?: Remedy["brings"],
  ) => void;
  /** A remedy of the hand: nothing by weight. */
  readonly nothing: (what: string, order: readonly string[], besides: readonly string[]) => void;
  readonly found: readonly Remedy[];
}

/** Finds the remedies of one complaint, or says that the sauce is not what it is accused of. */
export type Mend = (mending: Mending) => Problem | undefined;

export function mendingOf(input: FixInput, target: Mending["target"], facts: FactValues): Mending {
  const { state, temperatureC, target: asked, emulsion } = input;
  const found: Remedy[] = [];
  const add: Mending["add"] = (what, addG, next, order, besides, brings = {}) =>
    found.push({ what, addG, order, after: afterOf(next, input, facts), besides, brings });
  return {
    state,
    temperatureC,
    facts,
    emulsion: emulsion ?? null,
    now: afterOf(state, input, facts),
    target,
    asked,
    add,
    nothing: (what, order, besides) => add(what, 0, state, order, besides),
    found,
  };
}

export const unreachable = (field: string, value: number, allowed: number, message: string): Problem => ({
  code: "UNREACHABLE",
  field,
  value,
  allowed,
  message,
});

/** Says that a sauce has no more of something than is wanted, if that is so. */
export const notOver = (
  what: string,
  field: keyof FixTarget,
  hasPct: number,
  wantedPct: number,
  decimals: number,
): Problem | undefined =>
  hasPct > wantedPct * ENOUGH
    ? undefined
    : unreachable(
        `target.${field}`,
        wantedPct,
        hasPct,
        `It has ${printNumber(hasPct, decimals)} % ${what}, not more than the ${printNumber(wantedPct, decimals)} % wanted.`,
      );

/** Says that a sauce has the body wanted already, or more of it, if that is so. */
export const notThinner = (thickness: number | null, wanted: number): Problem | undefined =>
  (thickness ?? 0) < wanted
    ? undefined
    : unreachable(
        "complaint",
        thickness ?? 0,
        wanted,
        `It has body ${printNumber(thickness ?? 0)} already, not less than the ${printNumber(wanted)} wanted.`,
      );

/** Says that a sauce has no more body than is wanted, if that is so. */
export const notThicker = (thickness: number | null, wanted: number): Problem | undefined =>
  (thickness ?? 0) > wanted
    ? undefined
    : unreachable(
        "complaint",
        thickness ?? 0,
        wanted,
        `It has body ${printNumber(thickness ?? 0)}, not more than the ${printNumber(wanted)} wanted.`,
      );

/** A mass as it stands in a sentence. */
export const said = (x: number): string => printMass(g(x));
