import { levenbergMarquardt } from "ml-levenberg-marquardt";
import { describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { type SauceState, addSauce, bodyOf, loosenTo, looseningWith, standardLiquid, thickenTo } from ".";
import { NO_SAUCE } from "./sauce-state";

const AT_C = 60;
const body = (state: SauceState) => valueOf(bodyOf(state, AT_C, NOMINAL_FACTS)).thickness;

/** Grams that bring the body to `target`, by least squares of a general-purpose library. */
function bySquares(
  stateWith: (grams: number) => SauceState,
  target: number,
  start: number,
  most: number,
): number {
  const { parameterValues } = levenbergMarquardt(
    { x: [0, 1], y: [target, target] },
    ([share = 0]) =>
      () =>
        body(stateWith(share * most)),
    {
      initialValues: [start / most],
      minValues: [0],
      maxValues: [1],
      gradientDifference: 1e-5,
      centralDifference: true,
      damping: 1e-3,
      maxIterations: 200,
      errorTolerance: 1e-12,
    },
  );
  return (parameterValues[0] ?? Number.NaN) * most;
}

describe("backwards solutions against a general-purpose optimiser (ml-levenberg-marquardt)", () => {
  const stock = standardLiquid("white stock", 1000);
  const corn: SauceState = { ...NO_SAUCE, waterG: 2, starches: [{ id: "corn", minutes: 2, massG: 1 }] };

  it.each([30, 45, 60])("corn starch slurry to body %d", target => {
    const ours = valueOf(
      thickenTo(
        stock,
        { dose: { id: "corn", minutes: 2 }, form: "slurry", slurryWaterPerG: 2 },
        target,
        AT_C,
        NOMINAL_FACTS,
      ),
    );
    const theirs = bySquares(grams => addSauce(stock, corn, grams), target, 25, 300);
    expect(theirs / ours.thickenerG).toBeCloseTo(1, 3);
  });

  it.each([25, 35, 50])("water that lets a bound sauce down to body %d", target => {
    const bound = addSauce(stock, corn, 45);
    const water = looseningWith("water");
    const ours = valueOf(loosenTo(bound, water, target, AT_C, NOMINAL_FACTS));
    const theirs = bySquares(grams => addSauce(bound, water, grams), target, 600, 6000);
    expect(theirs / ours.addG).toBeCloseTo(1, 3);
  });
});
