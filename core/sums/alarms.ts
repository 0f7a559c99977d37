import type { Warning } from "../ground/result";
import { num } from "./words";

/** What a sum says when its answer is nothing anybody would serve. */

/** More salt than anybody eats in a sauce, per cent. Common practice, no source. */
const MOST_SALT_PCT = 1.5;

export const saltAlarm = (saltPct: number): Warning[] =>
  saltPct > MOST_SALT_PCT
    ? [
        {
          code: "TOO_SALTY",
          message: `${num(saltPct, 1)} % salt is more than any sauce takes (${num(MOST_SALT_PCT, 1)} %): reduce less, or take an unsalted stock.`,
        },
      ]
    : [];

/** Fat in cream from which it is near to breaking, and from which it breaks, per cent. Source: docs/models.md "Cream". */
const NEAR_PCT = 62;
const BREAKS_PCT = 70;

/** @param left share of the cream that is left */
export const creamAlarm = (fatPct: number, left: number): Warning[] =>
  fatPct > BREAKS_PCT
    ? [
        {
          code: "CREAM_BREAKS",
          message: `At ${num(fatPct)} % fat cream has turned to butter and whey: stop before ${BREAKS_PCT} %.`,
        },
      ]
    : fatPct > NEAR_PCT || left < 0.5
      ? [
          {
            code: "CREAM_NEAR_BREAK",
            message:
              "By more than half, or over 62 % fat, cream is close to breaking: no further, and no boil.",
          },
        ]
      : [];
