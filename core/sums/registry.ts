import { roastWeighed } from "./roast-weighed";
import { z } from "zod";
import { NOMINAL_FACTS } from "../ground/facts";
import { REFERENCE_LARDER } from "../things/larder";
import { pressureAtAltitude } from "../things/pot";
import { degC } from "../ground/quantity";
import { InvariantError, type Problem, type Result, ok, refuse, valueOf } from "../ground/result";
import { alcoholLeft } from "./alcohol-sum";
import { reduceChain } from "./chain-sum";
import { liaison, mount, swapThickenerSum } from "./binding-sums";
import { coolTime, coolingCheck } from "./cold-sums";
import { aciditySum, emulsionFor, emulsionSum, oilScheduleSum, rescueEmulsion } from "./emulsion-sums";
import { carryOver, heatUp, lethality } from "./heat-sums";
import {
  coldCubesSum,
  drainedSum,
  finishOrderSum,
  loosenSum,
  matchBody,
  sieveSum,
  softYet,
} from "./hand-sums";
import { blanchIce, ice } from "./ice-sums";
import {
  bonesNeeded,
  convert,
  cure,
  ediblePortion,
  mirepoix,
  rehydrate,
  render,
  splitTrim,
  temperature,
} from "./larder-sums";
import { boilingPointSum, density } from "./liquid-sums";
import { potFit } from "./pot-fit-sum";
import { fieldsOf, labelOf } from "./field";
import { problemsOf } from "./problems";
import { scale } from "./scale-sum";
import { blenderLoadsSum, dryToSum, pureeMeringue, pureeYield, setCustard } from "./puree-sums";
import { reduce } from "./reduce-sums";
import {
  creamFat,
  divide,
  freezePortions,
  holdLoss,
  letDown,
  makeFor,
  orders,
  portions,
  saltAfter,
  scaleStop,
} from "./service-sums";
import { evaporated, fatCap, kneaded, panChangeSum, soupButterSum } from "./stove-sums";
import { extract, plateau, stockYield } from "./stock-sums";
import type { Answer, AnySum, SumWorld } from "./sum";
import { balance, fix, gastriqueSum, round, saltTo } from "./taste-sums";
import {
  coatsAlone,
  testFromThickness,
  thicken,
  thicknessFromTest,
  thicknessOfSauce,
  thin,
} from "./texture-sums";
import { reduceTrack } from "./track-sum";
import { dipMark, fatToCover, vesselLevel } from "./vessel-sums";

/** Every quick sum, in the order of the work. */
export const SUMS: readonly AnySum[] = [
  convert,
  temperature,
  ediblePortion,
  mirepoix,
  bonesNeeded,
  stockYield,
  density,
  boilingPointSum,
  vesselLevel,
  dipMark,
  potFit,
  reduce,
  reduceChain,
  reduceTrack,
  panChangeSum,
  evaporated,
  fatCap,
  scaleStop,
  saltAfter,
  creamFat,
  alcoholLeft,
  extract,
  plateau,
  coolTime,
  coolingCheck,
  ice,
  lethality,
  heatUp,
  carryOver,
  cure,
  fatToCover,
  render,
  rehydrate,
  blanchIce,
  holdLoss,
  letDown,
  portions,
  freezePortions,
  divide,
  orders,
  makeFor,
  splitTrim,
  thicknessFromTest,
  testFromThickness,
  thicknessOfSauce,
  thicken,
  thin,
  swapThickenerSum,
  liaison,
  mount,
  kneaded,
  soupButterSum,
  emulsionSum,
  oilScheduleSum,
  emulsionFor,
  rescueEmulsion,
  pureeYield,
  dryToSum,
  blenderLoadsSum,
  setCustard,
  pureeMeringue,
  roastWeighed,
  coatsAlone,
  drainedSum,
  softYet,
  sieveSum,
  loosenSum,
  coldCubesSum,
  matchBody,
  finishOrderSum,
  saltTo,
  fix,
  gastriqueSum,
  aciditySum,
  balance,
  round,
  scale,
];

const BY_NAME = new Map(SUMS.map(sum => [sum.name, sum]));
export const sumNamed = (name: string): AnySum | undefined => BY_NAME.get(name);

/** The reference larder at sea level, still air: where no kitchen is at hand. */
export const REFERENCE_WORLD: SumWorld = {
  ingredients: REFERENCE_LARDER,
  vessels: [],
  altitudeM: 0,
  around: { pressurePa: valueOf(pressureAtAltitude(0)), ambientC: degC(25), humidity: 0.5 },
  facts: NOMINAL_FACTS,
};

/**
 * Works a sum out from plain data, as a page, a request or a command brings it.
 *
 * @errors UNKNOWN_ID no such sum · whatever is wrong with the input, all together, each with its field
 */
export function runSum(name: string, input: unknown, world: SumWorld = REFERENCE_WORLD): Result<Answer> {
  const sum = sumNamed(name);
  if (!sum)
    return refuse({
      code: "UNKNOWN_ID",
      field: "name",
      value: name,
      message: `There is no sum “${name}”. The list of sums names all of them.`,
    });
  const read = sum.input.safeParse(input ?? {});
  if (!read.success) return refuse(...problemsOf(read.error.issues, input, sum.input));
  const twice = saidTwice(sum, input);
  if (twice.length) return refuse(...twice);
  const worked = sum.work(read.data as never, world);
  if (!worked.ok) return worked;
  const output = worked.value.output as Record<string, unknown>;
  const broken = brokenNumber(output);
  if (broken) throw new InvariantError(`The sum ${name} gave no number for ${broken}.`);
  return ok(
    { ...output, warnings: worked.warnings, sentence: asSentence(worked.value.sentence) },
    worked.warnings,
  );
}

/** What was said in two ways at once: which is meant is for the cook to say. */
function saidTwice(sum: AnySum, input: unknown): Problem[] {
  const given = fieldsOf(sum.input).filter(
    field => field.oneOf && (input as Record<string, unknown> | undefined)?.[field.name] !== undefined,
  );
  return given.flatMap((field, i): Problem[] => {
    const first = given.findIndex(other => other.oneOf === field.oneOf);
    const other = given[first];
    return first === i || !other
      ? []
      : [
          {
            code: "AMBIGUOUS",
            field: field.name,
            message: `“${labelOf(other)}” and “${labelOf(field)}” both say ${field.oneOf ?? ""}: leave one of them empty.`,
          },
        ];
  });
}

const asSentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The path of a number that is none; nothing such ever leaves. */
function brokenNumber(value: unknown, path = ""): string | null {
  if (typeof value === "number") return Number.isFinite(value) ? null : path || "its answer";
  if (typeof value !== "object" || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    const found = brokenNumber(inner, path ? `${path}.${key}` : key);
    if (found) return found;
  }
  return null;
}

export interface SumListing {
  readonly name: string;
  readonly purpose: string;
  readonly input: unknown;
  readonly output: unknown;
}

/** Name, purpose and JSON Schemas of every sum. */
export const listSums = (): SumListing[] =>
  SUMS.map(sum => ({
    name: sum.name,
    purpose: sum.purpose,
    input: z.toJSONSchema(sum.input, { io: "input" }),
    output: z.toJSONSchema(sum.output),
  }));
