import { z } from "zod";
import { type Problem } from "../../ground/result";

const DAY = z.iso.date();
const CURRENCY = /^[A-Z]{3}$/;
/** Dearer than saffron is a slip of the keys. */
const DEAREST_PER_KG = 1_000_000;

/**
 * What is wrong with a price.
 * @param price per kilogram as purchased, ISO 4217 letters, the day it holds from
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE · NOT_UNDERSTOOD, each with its field
 */
export function checkPrice(price: { perKg: number; currency: string; on: string }): Problem[] {
  const problems: Problem[] = [];
  const { perKg, currency, on } = price;
  if (Number.isNaN(perKg))
    problems.push({
      code: "NOT_FINITE",
      field: "perKg",
      message: "That is not a price. Type it per kilogram, such as 5.80.",
    });
  else if (perKg < 0)
    problems.push({ code: "NEGATIVE", field: "perKg", value: perKg, message: "A price cannot be negative." });
  else if (perKg > DEAREST_PER_KG)
    problems.push({
      code: "OUT_OF_RANGE",
      field: "perKg",
      value: perKg,
      allowed: { max: DEAREST_PER_KG },
      message: "No ingredient costs more than a million per kilogram.",
    });
  if (!DAY.safeParse(on).success || on < "1900-01-01")
    problems.push({
      code: "NOT_UNDERSTOOD",
      field: "since",
      value: on.slice(0, 40),
      message: "From which day? Type it as 2026-11-23.",
    });
  if (!CURRENCY.test(currency))
    problems.push({
      code: "NOT_UNDERSTOOD",
      field: "currency",
      value: currency.slice(0, 40),
      message: "A currency has three letters, such as EUR.",
    });
  return problems;
}
