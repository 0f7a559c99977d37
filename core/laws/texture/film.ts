import type { FactValues } from "../../ground/facts";
import { type Body, bareBody } from "./body-laws";
import type { SauceState } from "./sauce-state";
import type { TestId } from "./tests/kitchen-tests";

/** Gelatin in the serum from which the spoon, not the pot, sets the film on it, per cent. Source: docs/models.md "Body". */
const FILM_FROM_PCT = 3;
/** As cool as a spoon makes it, °C. */
const FILM_C = 45;

/** Whether what coats a spoon is judged as cool as the spoon makes it. */
export const setsOnSpoon = ({ gelatinPct }: Pick<Body, "gelatinPct">): boolean => gelatinPct >= FILM_FROM_PCT;

/** Said of a sauce beside its body in the pot. */
export const LACQUER = "sets to a lacquer on a cool spoon";

/** Body as the spoon shows it in a sauce that is `hotC` in the pot. */
export const bodyOnSpoon = (sauce: SauceState, hotC: number, facts: FactValues): number => {
  const hot = bareBody(sauce, hotC, facts);
  return setsOnSpoon(hot) && hotC > FILM_C ? bareBody(sauce, FILM_C, facts).thickness : hot.thickness;
};

/** What the tests by a coat have in common: they read the film, not the pot. */
const BY_FILM: ReadonlySet<TestId> = new Set(["coat", "coatg"]);

/** As warm as what a test reads really is, °C: a film of gelatin has cooled on the spoon. */
export const readAtC = (
  test: TestId,
  atC: number,
  sauce?: { readonly state: SauceState; readonly facts: FactValues },
): number =>
  sauce && BY_FILM.has(test) && setsOnSpoon(bareBody(sauce.state, atC, sauce.facts))
    ? Math.min(atC, FILM_C)
    : atC;
