import { type Grams, type Millilitres, g, ml, printNumber } from "../../ground/quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";
import type { Vessel } from "../../things/vessel";
import { geometryOfVessel } from "../../things/vessel";

/** J/g and J/(g K). Source: handbook values of ice and water. */
const MELTING = 333.55;
const WATER_HEAT = 4.186;
const ICE_HEAT = 2.1;

export interface IceInput {
  /** Heat capacity of what is cooled, pot included, J/K. */
  readonly heatJPerK: number;
  readonly fromC: number;
  readonly toC: number;
  readonly iceC: number;
}

/**
 * Ice for a bath: it melts and warms to the bath's last temperature; the room takes its share.
 *
 * @param bathC     temperature of the bath at the end, below the goal
 * @param lossShare ice the room melts, 0–1
 * @errors NEVER_REACHED the bath is warmer than the goal · T_START · OUT_OF_RANGE
 * Source: heat balance, docs/models.md "Cooling".
 * @example 41 716 + 1000 J/K from 57 to 5 °C, bath 3, ice −5, loss 0.10 → 6852 g
 */
export function iceForBath(input: IceInput & { bathC: number; lossShare: number }): Result<Grams> {
  const problems = [
    ...iceProblems(input),
    ...checkNumber(input.bathC, "bathC", "The bath", { min: 0, max: 40, unit: "°C" }),
    ...checkNumber(input.lossShare, "lossShare", "The share the room melts", { min: 0, max: 1 }),
  ];
  if (problems.length) return refuse(...problems);
  if (input.bathC > input.toC)
    return refuse({
      code: "NEVER_REACHED",
      field: "bathC",
      value: input.bathC,
      allowed: { max: input.toC },
      message: `A bath at ${printNumber(input.bathC)} °C cannot bring it to ${printNumber(input.toC)} °C.`,
    });
  const perGram = MELTING + WATER_HEAT * input.bathC - ICE_HEAT * input.iceC;
  return ok(g((heatOf(input) * (1 + input.lossShare)) / perGram));
}

/**
 * Drinking-water ice stirred into the pot itself; it is water in the books afterwards.
 * @errors as `iceForBath`
 */
export function iceIntoPot(input: IceInput): Result<Grams> {
  const problems = iceProblems(input);
  if (problems.length) return refuse(...problems);
  return ok(g(heatOf(input) / (MELTING + WATER_HEAT * input.toC - ICE_HEAT * input.iceC)));
}

const heatOf = ({ heatJPerK, fromC, toC }: IceInput): number => heatJPerK * (fromC - toC);

function iceProblems({ heatJPerK, fromC, toC, iceC }: IceInput): Problem[] {
  const problems = [
    ...checkNumber(heatJPerK, "massG", "What is cooled", { min: 0, max: 5e6, unit: "J/K" }),
    ...checkNumber(fromC, "fromC", "The start", { min: -5, max: 110, unit: "°C" }),
    ...checkNumber(toC, "toC", "The goal", { min: 0, max: 110, unit: "°C" }),
    ...checkNumber(iceC, "iceC", "The ice", { min: -30, max: 0, unit: "°C" }),
  ];
  if (!problems.length && fromC < toC)
    problems.push({
      code: "T_START",
      field: "fromC",
      value: fromC,
      message: `It is ${printNumber(fromC)} °C, colder than ${printNumber(toC)} °C already.`,
    });
  return problems;
}

/** Specific heat of blanched leaves and greens, J/(g K). Our estimate. */
export const GREENS_HEAT = 3.9;
/** Ice to have ready against what the sum asks for. Common practice, no source. */
export const ICE_MARGIN = 1.3;

/**
 * Ice that stops blanched greens: it melts and ends at their temperature, with the tap water it lies in.
 *
 * @errors as `iceIntoPot`
 * @example 2 kg spinach, 95 → 5 °C: 702 kJ, 1.98 kg; 2.6 kg with margin
 */
export function iceForBlanching(
  mass: Grams,
  fromC: number,
  toC: number,
  tap?: { massG: Grams; c: number },
): Result<{ iceG: Grams; withMarginG: Grams }> {
  const greens = iceIntoPot({ heatJPerK: mass * GREENS_HEAT, fromC, toC, iceC: 0 });
  if (!greens.ok) return greens;
  const water =
    tap && tap.c > toC
      ? iceIntoPot({ heatJPerK: tap.massG * WATER_HEAT, fromC: tap.c, toC, iceC: 0 })
      : ok(g(0));
  if (!water.ok) return water;
  const iceG = g(greens.value + water.value);
  return ok({ iceG, withMarginG: g(iceG * ICE_MARGIN) });
}

/** An ice bath must hold this much more than what stands in it. Common practice, no source. */
const BATH_FACTOR = 1.3;

/** What a bath must hold for a container to stand in it with ice around. */
export const bathNeeded = (containerMl: Millilitres): Millilitres => ml(containerMl * BATH_FACTOR);

/**
 * The smallest vessel that can be the ice bath of a container.
 *
 * @returns what the bath must hold and the vessel for it
 * @errors NOTHING_FITS with the largest there is
 * @example a container of 14.7 l needs a bath of 19.1 l
 */
export function bathFor(
  containerMl: Millilitres,
  vessels: readonly Vessel[],
): Result<{ neededMl: Millilitres; vessel: Vessel }> {
  const neededMl = bathNeeded(containerMl);
  const bySize = [...vessels].sort((a, b) => geometryOfVessel(a).capacityMl - geometryOfVessel(b).capacityMl);
  const found = bySize.find(vessel => geometryOfVessel(vessel).capacityMl >= neededMl);
  if (found) return ok({ neededMl, vessel: found });
  const largest = bySize.at(-1);
  return refuse({
    code: "NOTHING_FITS",
    field: "vessel",
    value: neededMl,
    allowed: largest ? geometryOfVessel(largest).capacityMl : 0,
    message: `The bath must hold ${printNumber(neededMl / 1000, 1)} l; the largest here, ${largest?.name ?? "none"}, holds ${printNumber((largest ? geometryOfVessel(largest).capacityMl : 0) / 1000, 1)} l. Use the sink, or split into two containers.`,
  });
}
