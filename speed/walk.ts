import { median } from "simple-statistics";
import { intervalsAlong, openKitchen, walk } from "../core/formula";
import { NOMINAL_FACTS } from "../core/ground/facts";
import { degC, ml, s, watts } from "../core/ground/quantity";
import { arrival, constantRate, read, simulate, startTracker } from "../core/laws/reduction";
import { SUMS, runSum } from "../core/sums";
import { SEA_LEVEL, liquid } from "../core/testing";
import { geometryOf } from "../core/things/vessel";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../demo/formulas";
import { DEMO_KITCHEN } from "../demo/kitchen";
import { plainLine, withReductions } from "./lines";

/** Median of `rounds` timings of a job after warming up, ms. */
function timeOf(job: () => unknown, rounds = 60, warmUp = 60): number {
  for (let i = 0; i < warmUp; i++) job();
  const times = Array.from({ length: rounds }, () => {
    const from = performance.now();
    job();
    return performance.now() - from;
  });
  return median(times);
}

const kitchen = openKitchen(DEMO_KITCHEN);
const forty = plainLine(40);
const stock = DEMO_FORMULAS[STOCK_ID];
const glace = DEMO_FORMULAS[GLACE_ID];
const panSauce = DEMO_FORMULAS["cider-juniper-pan-sauce"];
if (!stock || !glace || !panSauce) throw new Error("The demo formulas are gone.");
if (walk(forty, kitchen).problems.length) throw new Error("The plain line cannot be walked.");

const liquor = liquid(20_000, { water: 100 });
const pot = geometryOf({ shape: "cylinder", diameterMm: 340, heightMm: 400 });
const eightHours = () =>
  simulate({
    liquor,
    temperatureC: degC(88),
    vessel: pot,
    displacedMl: ml(0),
    heatCapacityJPerK: 2000,
    drive: { holdC: degC(88) },
    surface: "lazy",
    lid: "off",
    around: SEA_LEVEL,
    goal: "time",
    mostS: s(8 * 3600),
    facts: NOMINAL_FACTS,
  });

/** A wine boiled down in a pan: a short run of the solver. */
const shortRun = () =>
  simulate({
    liquor: liquid(500, { water: 88, ethanol: 10, sugars: 1, other: 1 }),
    temperatureC: degC(20),
    vessel: geometryOf({ shape: "cylinder", diameterMm: 240, heightMm: 130 }),
    displacedMl: ml(0),
    heatCapacityJPerK: 750,
    drive: { watts: watts(2400) },
    surface: "stirred",
    lid: "off",
    around: SEA_LEVEL,
    goal: { ml: ml(125) },
    facts: NOMINAL_FACTS,
  });
const fortyReduced = withReductions(forty);
if (walk(fortyReduced, kitchen).problems.length) throw new Error("The reduced line cannot be walked.");

/** A day at the stove: fifty readings, then the arrival. */
const tracked = () => {
  let tracker = startTracker({ massG: 6000, massSdG: 50, profile: constantRate(0.3), durationS: 13_000 });
  for (let i = 1; i <= 50; i++) {
    const next = read(tracker, { atS: i * 200, massG: 6000 - i * 58, sdG: 20 });
    if (next.ok) tracker = next.value;
  }
  return arrival(tracker, 2000);
};
const reduceSum = SUMS.find(sum => sum.name === "reduce");

const rows: [string, number][] = [
  ["walk of a 40-step line, nothing simulated", timeOf(() => walk(forty, kitchen), 200, 400)],
  ["the same as a JSON copy (named peer: structuredClone)", timeOf(() => structuredClone(forty), 200, 200)],
  ["walk of the demo stock (one simmer, one steep)", timeOf(() => walk(stock, kitchen))],
  ["walk of the demo pan sauce, its stock with it", timeOf(() => walk(panSauce, kitchen))],
  ["walk of the demo glace (its stock, then two reductions)", timeOf(() => walk(glace, kitchen))],
  ["one simulated hour of an eight-hour simmer", timeOf(eightHours) / 8],
  ["one short reduction, any run", timeOf(shortRun)],
  ["walk of a 40-step line with two real reductions", timeOf(() => walk(fortyReduced, kitchen), 30, 20)],
  ["fifty readings tracked, and the arrival", timeOf(tracked)],
  ["the quick sum “reduce” with its interval", timeOf(() => runSum("reduce", reduceSum?.example), 20, 10)],
  ["intervals of the whole stock line", timeOf(() => intervalsAlong(stock, DEMO_KITCHEN), 5, 2)],
];
const unit = rows[0]?.[1] ?? 1;
console.log(
  `Node ${process.version}, as the commands run it; medians after warm-up. The last column counts in walks of the 40-step line.\n`,
);
for (const [what, ms] of rows)
  console.log(`${what.padEnd(58)} ${ms.toFixed(3).padStart(9)} ms   × ${(ms / unit).toFixed(2)}`);
