import type { FactValues } from "../../ground/facts";
import { type Result } from "../../ground/result";
import { type Loosened, loosenTo, looseningWith } from "./reach";
import type { SauceState } from "./sauce-state";
import { bandOf, endOf } from "./thickness";

/** Cream is ready to go in when it stands in the band of what it goes into: then the body does not move. */
export function creamMatches(
  baseBody: number,
  creamBody: number,
): { ready: boolean; from: number; to: number; hint: string } {
  const band = bandOf(baseBody);
  const [from, to] = [band.from, endOf(band)];
  const ready = creamBody >= from && creamBody < to;
  return {
    ready,
    from,
    to,
    hint: ready ? "put it in" : creamBody < from ? "reduce on" : "let it down with fresh cream",
  };
}

/** Where a jus coats. */
const NAPPE_FROM = 41;

/**
 * How far a stock must go down to coat by its own gelatin alone.
 * @returns water to boil off, and what is left of the mass as `1/factor`
 * @errors UNREACHABLE it has too little gelatin · those of the sauce
 * Source: docs/models.md "Body".
 */
export const reductionToCoat = (
  stock: SauceState,
  temperatureC: number,
  facts: FactValues,
): Result<Loosened> => loosenTo(stock, looseningWith("water"), NAPPE_FROM, temperatureC, facts);
