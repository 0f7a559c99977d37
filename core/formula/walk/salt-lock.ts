import type { Ingredient } from "../../things/larder";
import type { FormulaDocument } from "../document/document";
import type { ServedAs } from "../document/served-as";
import type { StateAfterStep } from "./walked";

/** An ingredient this salty, not salt itself, decides how much salt is still wanted. Our estimate. */
const SALTY_PCT = 2;
const SALT_ITSELF_PCT = 90;

/** Salt itself, not something salty. */
export const isSalt = (ingredient: Ingredient | undefined): boolean =>
  (ingredient?.composition.salt ?? 0) >= SALT_ITSELF_PCT;

/** Names of what is salty and still to come after a step: until it is in, salt waits. */
export const pendingSalty = (states: readonly StateAfterStep[], step: number): string[] => [
  ...new Set(
    states.slice(step + 1).flatMap(state =>
      state.lines
        .filter(line => {
          const salt = state.sources.get(line.lineId)?.composition.salt ?? 0;
          return line.massG > 0 && salt >= SALTY_PCT && salt < SALT_ITSELF_PCT;
        })
        .map(line => line.name),
    ),
  ),
];

/** Salt wanted in the finished sauce where the formula names none, %. Source: docs/models.md "Seasoning", salt targets. */
const USUAL_SALT: Readonly<Record<ServedAs, number>> = {
  stock: 0.2,
  soup: 0.9,
  veloute: 0.9,
  puree: 0.9,
  "pan-sauce": 1.1,
  emulsion: 1.0,
  glaze: 1.1,
  dot: 1.5,
  other: 0.9,
};

/** Salt the formula aims at, per cent of the finished sauce. */
export const saltTargetPct = (document: FormulaDocument): number =>
  document.targets.find(t => t.what === "salt")?.value ?? USUAL_SALT[document.servedAs];
