import type { BodyReading } from "../formula";
import { printNumber } from "../ground/quantity";
import { cupSeconds } from "../laws/texture";

/** What a kitchen reads in its first week so that the sums are its own: a day each, and how far it has come. */

export interface CalibrationDay {
  readonly id: string;
  readonly title: string;
  /** What to do, one line each. */
  readonly todo: readonly string[];
  readonly families: readonly string[];
  /** Readings it is done with; 0 where the tool is looked at and nothing is typed. */
  readonly wanted: number;
}

/** Sucrose in water, 60 % by weight at 20 °C: mPa·s and g/ml. Source: ICUMSA tables, from memory. */
const SYRUP = { viscosity: 58.49, density: 1.2865 };
const syrupSeconds = (cup: 4): string => printNumber(cupSeconds(SYRUP.viscosity / SYRUP.density, cup));

/** Source: common practice, no source; docs/models.md "Learning", the first week. */
export const FIRST_WEEK: readonly CalibrationDay[] = [
  {
    id: "tools",
    title: "The cup and the syringe themselves",
    todo: [
      `600 g of sugar dissolved in 400 g of water, at 20 °C, runs through a 4 mm cup in ${syrupSeconds(4)} s. More than three seconds off: clean it, or it is worn.`,
      "Water leaves the 10 ml syringe empty in ten seconds; if not, its tip is another.",
      "Melting ice reads 0 °C on every probe; type what it reads in the Kit.",
    ],
    families: [],
    wanted: 0,
  },
  {
    id: "velouté",
    title: "Velouté at three strengths",
    todo: [
      "Bind a litre of the same stock with 45, 60 and 90 g of your flour.",
      "Read each as you read sauces here: spoon, plate, trough or syringe, at the heat it is served.",
    ],
    families: ["veloute", "white-sauce", "roux-gravy"],
    wanted: 3,
  },
  {
    id: "jus",
    title: "The house jus at three weights",
    todo: [
      "Weigh the pot three times on its way down in one reduction; the pace of pot and burner comes with it.",
      "Read its body and its °Brix at each.",
    ],
    families: ["jus", "pan-sauce", "glaze", "glace"],
    wanted: 3,
  },
  {
    id: "mayonnaise",
    title: "Mayonnaise at 70, 75 and 80 % oil",
    todo: ["Same egg, same mustard, same machine.", "Read each cold, on the plate or with the line."],
    families: ["mayonnaise"],
    wanted: 3,
  },
  {
    id: "purée",
    title: "Two purées, each at two dilutions",
    todo: [
      "One root, one tuber or pulse; read each as blended, then with a tenth more liquid.",
      "Line or plate; what pours is no purée.",
    ],
    families: ["root-puree", "potato-puree", "green-puree", "puree-soup"],
    wanted: 4,
  },
];

/** Readings a day has so far. */
export const readingsOf = (day: CalibrationDay, readings: readonly Pick<BodyReading, "family">[]): number =>
  readings.filter(r => day.families.includes(r.family)).length;
