export * from "./units";
export { type KitchenUnit, KITCHEN_UNITS, kitchenUnit } from "./kitchen-units";
export { type Amount, type AmountContext, parseAmount } from "./parse-amount";
export { clamp, piecewise, ramp } from "./curves";
export { CARDINAL, cardinal } from "./cardinals";
export { readNumber, saidNumber } from "./numbers";
export { type Temperature, parseTemperature } from "./temperature";
export {
  honestDecimals,
  litres,
  ofLitres,
  printDuration,
  printKilograms,
  printLength,
  printMass,
  printNumber,
  printUsMeasure,
  printVolume,
} from "./print";
