import type { House } from "~/core/things/house";
import { APPLIANCE_FIELDS, type Appliance } from "~/core/kit";
import { printNumber } from "~/core/ground/quantity";
import type { Problem } from "~/core/ground/result";
import type { BurnerPlace, KitchenFigures } from "~/data";

/** Two people at one form: the second is shown both values, and decides. */
export const changedMeanwhile = (field: string, theirs: string, mine: string): Problem => ({
  code: "DUPLICATE",
  field,
  message: `Somebody has kept ${theirs} since you opened this. Yours, ${mine}, is not kept yet: send it again to put it in their place.`,
});

export const airInWords = ({ altitudeM, pressurePa, ambientC, humidity }: KitchenFigures): string =>
  `${printNumber(altitudeM)} m, ${pressurePa === null ? "no barometer" : `${printNumber(pressurePa / 100)} hPa`}, ${printNumber(ambientC, 1)} °C, ${printNumber(100 * humidity)} %`;

export const houseInWords = ({ demiGlace, labourPerH, flamePerH, coolingProfile, hours }: House): string =>
  `demi-glace ${printNumber(100 * demiGlace.to, 1)} %${demiGlace.bound ? " bound" : ""}, hands ${printNumber(labourPerH, 2)}, flame ${printNumber(flamePerH, 2)}${coolingProfile ? `, cools by ${coolingProfile}` : ""}${hours ? `, ${hours.opensMin / 60} to ${hours.closesMin / 60} h` : ""}`;

export const toolInWords = (tool: Appliance): string =>
  [
    tool.name,
    ...APPLIANCE_FIELDS[tool.kind].map(
      ([field, label]) => `${label} ${String((tool as unknown as Record<string, unknown>)[field])}`,
    ),
    ...(tool.kind === "probe" ? [`${printNumber(tool.offsetC, 1)} °C added`] : []),
  ].join(", ");

export const placeInWords = ({ xMm, yMm }: BurnerPlace): string =>
  `${printNumber(xMm / 10)} cm from the left and ${printNumber(yMm / 10)} cm from the front`;

/** Mark of one tool among those a page was shown: "id:mark id:mark". */
export const seenOfTool = (seen: string, id: string): string =>
  new Map(seen.split(" ").map(pair => pair.split(":") as [string, string])).get(id) ?? "";
