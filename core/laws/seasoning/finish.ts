import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { printNumber } from "../../ground/quantity";

/** A condiment glaze as salty as this wants a small portion, g of salt a serving. Common practice, no source. */
const SALTY_SERVING_G = 1;

/**
 * Salt of a glaze made with a salty condiment, boiled down, and of one serving.
 * @errors NEGATIVE · OUT_OF_RANGE it cannot weigh more than what went in
 * Source: exact. @example 120 g soy of 15 %, 120 g honey, to 170 g → 10.6 %, 12 g hold 1.27 g salt
 */
export function condimentGlaze(
  parts: readonly { readonly massG: number; readonly saltPct: number }[],
  endG: number,
  servingG: number,
): Result<{ saltPct: number; perServingG: number }> {
  const all = parts.reduce((m, p) => m + p.massG, 0);
  const problems = [
    ...parts.flatMap((p, i) => checkNumber(p.massG, `parts.${i}.massG`, "The condiment")),
    ...checkNumber(endG, "endG", "The end", { min: 0.1, max: all, unit: "g" }),
  ];
  if (problems.length) return refuse(...problems);
  const saltPct = parts.reduce((m, p) => m + p.massG * p.saltPct, 0) / endG;
  const perServingG = (saltPct * servingG) / 100;
  const warnings: Warning[] =
    perServingG > SALTY_SERVING_G
      ? [
          {
            code: "SALTY_GLAZE",
            message: `${printNumber(saltPct, 1)} % salt: ${printNumber(perServingG, 2)} g in one serving. Less of it, or nothing else salted.`,
          },
        ]
      : [];
  return ok({ saltPct, perServingG }, warnings);
}

/** Minutes a fortified wine boils before the salt may go in. Common practice, no source. */
const WINE_BOILS_MIN = 10;

/**
 * The order of a finish: thickness first, then fortified wine and its boil, then salt.
 * @example 3.6 kg, 5 % stock, 3 % sherry → 180 g, then 113 g of 3.78 kg, ten minutes, then salt
 */
export function finishOrder(massG: number, stockPct: number, winePct: number) {
  const stockG = (massG * stockPct) / 100;
  const wineG = ((massG + stockG) * winePct) / 100;
  return [
    { what: "stock", massG: stockG, saltLocked: true },
    { what: "fortified wine", massG: wineG, saltLocked: true },
    { what: `boil ${WINE_BOILS_MIN} min`, massG: 0, saltLocked: true },
    { what: "salt, then taste again", massG: 0, saltLocked: false },
  ] as const;
}
