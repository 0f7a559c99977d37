import { type Result, type Warning, ok, refuse } from "../result";
import { readNumber } from "./numbers";
import { type Celsius, celsiusOfFahrenheit, degC, fahrenheitOfCelsius } from "./units";

export interface Temperature {
  readonly exactC: Celsius;
  /** Whole degrees, rounded half away from zero: never truncated. */
  readonly shownC: number;
  readonly shownF: number;
  /** Difference of a stated pair such as "385 °F/190 °C", in K; absent for a single value. */
  readonly apartK?: number;
}

/**
 * A stated pair may be this far apart before it is questioned. Recipes round oven temperatures to tens
 * (350 °F/180 °C is 3.3 K off). Common practice, no source.
 */
export const PAIR_TOLERANCE_K = 4;

const ABSOLUTE_ZERO_C = -273.15;

function readOne(text: string, field: string): Result<{ t: Celsius; scale: "C" | "F" }> {
  const number = readNumber(text, field);
  if (!number.ok) return number;
  const word = number.value.rest.trim().replace(/^°\s*/, "").toLowerCase();
  const scale = /^(c|celsius|centigrade|degrees c)?$/.test(word)
    ? "C"
    : /^(f|fahrenheit|degrees f)$/.test(word)
      ? "F"
      : null;
  if (!scale)
    return refuse({
      code: "WRONG_UNIT",
      field,
      value: text,
      message: `“${text.trim()}” is not a temperature. Type 190 °C or 375 F.`,
    });
  return ok({ t: scale === "F" ? celsiusOfFahrenheit(number.value.value) : degC(number.value.value), scale });
}

/**
 * Reads a temperature in °C or °F, or a pair of both, and compares the pair.
 *
 * @param text "93", "375 F", "385 °F/190 °C"; without a unit it is °C
 * @returns exact and rounded values; a pair further apart than `PAIR_TOLERANCE_K` carries the warning PAIR_MISMATCH
 * @errors NOT_UNDERSTOOD · WRONG_UNIT · OUT_OF_RANGE below absolute zero
 * @example parseTemperature("385 F") // exactC 196.1, shownC 196
 */
export function parseTemperature(text: string, field = "temperatureC"): Result<Temperature> {
  const sides = text.split(/\s*[/(=]\s*/).map(side => side.replace(/\)\s*$/, ""));
  const read = sides.slice(0, 2).map(side => readOne(side, field));
  const failed = read.find(r => !r.ok);
  if (failed && !failed.ok) return failed;
  const values = read.flatMap(r => (r.ok ? [r.value] : []));
  const celsius = values.find(v => v.scale === "C") ?? values[0];
  const fahrenheit = values.find(v => v.scale === "F");
  if (!celsius) return refuse({ code: "MISSING", field, message: "Type a temperature, such as 88 °C." });
  const main = sides.length > 1 && fahrenheit ? fahrenheit : celsius;
  if (main.t < ABSOLUTE_ZERO_C)
    return refuse({
      code: "OUT_OF_RANGE",
      field,
      value: text,
      message: `${text.trim()} is colder than anything can be.`,
    });
  const temperature: Temperature = {
    exactC: main.t,
    shownC: roundAwayFromZero(main.t),
    shownF: roundAwayFromZero(fahrenheitOfCelsius(main.t)),
  };
  if (values.length < 2 || !fahrenheit || celsius === fahrenheit) return ok(temperature);
  const apart = Math.abs(fahrenheit.t - celsius.t);
  const warnings: Warning[] =
    apart > PAIR_TOLERANCE_K
      ? [
          {
            code: "PAIR_MISMATCH",
            message: `${sides[0]} is ${roundAwayFromZero(fahrenheit.t)} °C; the pair is ${Math.round(apart)} °C apart. Which one is meant?`,
          },
        ]
      : [];
  return ok({ ...temperature, apartK: apart }, warnings);
}

export const roundAwayFromZero = (x: number): number => Math.sign(x) * Math.round(Math.abs(x));
