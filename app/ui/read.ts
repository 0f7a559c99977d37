import { parseAmount, parseTemperature, readNumber } from "~/core/ground/quantity";
import { type Result, checkNumber, ok, refuse } from "~/core/ground/result";

/** A plain number within limits, with its unit typed or not. */
export const readWithin =
  (label: string, unit: string, min: number, max: number) =>
  (text: string): Result<number> => {
    const number = readNumber(text, label);
    if (!number.ok) return number;
    const rest = number.value.rest.trim();
    if (rest && rest.toLowerCase() !== unit.toLowerCase())
      return refuse({
        code: "WRONG_UNIT",
        field: label,
        value: text,
        message: `${label} is wanted in ${unit}, not “${rest}”.`,
      });
    const problems = checkNumber(number.value.value, label, label, { min, max, unit });
    return problems.length ? refuse(...problems) : ok(number.value.value);
  };

/** A weight in grams; a bare number counts as `bareUnit`. */
export const readMass =
  (label: string, bareUnit: "g" | "kg" = "g", max = 1_000_000) =>
  (text: string): Result<number> => {
    const bare = /^[\s\d.,/½⅓⅔¼¾]+$/.test(text) ? `${text} ${bareUnit}` : text;
    const amount = parseAmount(bare, { field: label });
    if (!amount.ok) return amount;
    if (amount.value.kind !== "mass")
      return refuse({
        code: "WRONG_UNIT",
        field: label,
        value: text,
        message: `${label} is a weight: type it in g or kg.`,
      });
    const problems = checkNumber(amount.value.massG, label, label, { min: 0.1, max, unit: "g" });
    return problems.length ? refuse(...problems) : ok(amount.value.massG);
  };

/** A temperature in °C or °F within limits in °C. */
export const readTemperature =
  (label: string, min: number, max: number) =>
  (text: string): Result<number> => {
    const read = parseTemperature(text, label);
    if (!read.ok) return read;
    const problems = checkNumber(read.value.exactC, label, label, { min, max, unit: "°C" });
    return problems.length ? refuse(...problems) : ok(read.value.exactC, read.warnings);
  };

/** Minutes, or hours and minutes: "45", "45 min", "4 h", "4 h 30", "4:30". */
export const readMinutes =
  (label: string, max = 7 * 24 * 60) =>
  (text: string): Result<number> => {
    const hours = /^\s*(\d+)\s*(?:h|:)\s*(\d{1,2})?\s*(?:min)?\s*$/i.exec(text);
    const value = hours
      ? ok(Number(hours[1]) * 60 + Number(hours[2] ?? 0))
      : readWithin(label, "min", 0, max)(text);
    if (!value.ok) return value;
    const problems = checkNumber(value.value, label, label, { min: 0, max, unit: "min" });
    return problems.length ? refuse(...problems) : value;
  };
