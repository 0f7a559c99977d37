import { type KitchenData, openKitchen } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";

/** Where the kitchen stands and what that does: one line. */
export function kitchenSentence(kitchen: KitchenData): string {
  const { boilsC, around } = openKitchen(kitchen);
  const air =
    kitchen.pressurePa === null
      ? `${printNumber(around.pressurePa / 100)} hPa by its altitude`
      : `${printNumber(around.pressurePa / 100)} hPa by the barometer`;
  return `${kitchen.name} at ${printNumber(kitchen.altitudeM)} m, ${air}: water boils at ${printNumber(boilsC, 1)} °C.`;
}
