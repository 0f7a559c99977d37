import { type Kitchen, courseOf, interpolate, kindOf } from "../formula";
import {
  type Grams,
  degC,
  g,
  printDuration,
  printMass,
  printNumber,
  minutes,
  ml,
  s,
} from "../ground/quantity";
import { BLADES, blenderLoads } from "../laws/puree";
import { type StockInput, classOfKind, stockYield } from "../laws/stock";
import { type PotState, type SolidPart, massOfPools, potMass, volumeMlOf } from "../things/pot";
import { geometryOfVessel } from "../things/vessel";
import type { RunState } from "./fold";
import type { LiveForecast } from "./forecast";
import type { StepProgress } from "./progress";

/** What a cook with experience would say over the shoulder: no warning, a next move that is easily forgotten. */
export interface Prompt {
  readonly code: string;
  readonly message: string;
}

/** What is worth saying of the step at work, from the pot as it stands. */
export function promptsNow(run: RunState, forecast: LiveForecast | null, kitchen: Kitchen): Prompt[] {
  const progress = run.steps[run.current];
  if (!progress) return [];
  return [
    spentBones(progress, kitchen),
    panFat(progress),
    caramel(progress),
    juicesIn(run, progress),
    juicesOwed(run, progress),
    loads(progress, kitchen),
    bladeStalls(progress),
    kneaded(run, progress),
    ovenDrift(progress, forecast, kitchen.facts.ovenOff),
  ].filter(prompt => prompt !== null);
}

const BONES = /bones|poultry-whole|frames|shells/;
/** A second wetting: as much water as there are bones, for so long. Common practice, no source. */
const SECOND_H = 4;
const UNDER_BOIL_K = 6;
/** Less is not worth a pot, g. Our estimate. */
const WORTH_A_POT_G = 500;

/** What the bones that come out would still give, as wetting of the next batch. */
function spentBones({ step, from, fromVessel }: StepProgress, kitchen: Kitchen): Prompt | null {
  if ((step.kind !== "strain" && step.kind !== "lift") || step.keeps || !fromVessel) return null;
  const bones = from.solids.filter(part => BONES.test(part.kind) && part.gaveSolidsG > 0);
  const spentG = sumOf(bones, part => massOfPools(part.pools));
  const [main] = [...bones].sort((a, b) => b.rawG - a.rawG);
  if (!main || spentG < WORTH_A_POT_G) return null;
  const input: StockInput = {
    of: classOfKind(main.kind),
    bonesG: g(sumOf(bones, part => part.rawG)),
    roasted: main.roasted,
    waterG: g(spentG),
    vegetablesG: g(0),
    topUpMl: ml(0),
    vessel: geometryOfVessel(fromVessel),
    holdC: degC(kitchen.boilsC - UNDER_BOIL_K),
    time: minutes(60 * SECOND_H),
    surface: "lazy",
    lid: "off",
    around: kitchen.around,
    facts: kitchen.facts,
    before: {
      gelatinG: g(sumOf(bones, part => part.gaveGelatinG)),
      solidsG: g(sumOf(bones, part => part.gaveSolidsG)),
      broughtG: g(0),
    },
  };
  const second = stockYield(input);
  return second.ok && second.value.strainedMl > 0
    ? {
        code: "SPENT_BONES",
        message: `The bones have more in them: ${printMass(g(spentG))} with ${printNumber(spentG / 1000, 1)} l of water, ${SECOND_H} h, about ${printNumber(second.value.strainedMl / 1000, 1)} l at ${printNumber(second.value.brix, 1)} °Bx. Wet the next batch with it.`,
      }
    : null;
}

/** Flour takes its own weight of fat. Common practice, no source. */
const FAT_PER_FLOUR = 1;
/** Less fat too much or too little nobody pours off, g. Our estimate. */
const FAT_MATTERS_G = 10;
const FLOUR_FORMS: ReadonlySet<string> = new Set(["roux", "dusted"]);

/** Fat in the pan against what the flour takes. */
function panFat({ step, from, planned, status }: StepProgress): Prompt | null {
  if (step.kind !== "thicken" || !FLOUR_FORMS.has(step.form) || status !== "waiting") return null;
  const flourG = sumOf(
    planned.lines.filter(line => planned.sources.get(line.lineId)?.carries?.thickener === "flour"),
    line => line.massG,
  );
  if (!flourG || from.floatFatG <= 0) return null;
  const broughtG = sumOf(
    planned.lines,
    line => (line.massG * (planned.sources.get(line.lineId)?.composition.fat ?? 0)) / 100,
  );
  const overG = from.floatFatG + broughtG - FAT_PER_FLOUR * flourG;
  if (overG <= FAT_MATTERS_G || from.floatFatG <= FAT_MATTERS_G) return null;
  return {
    code: "PAN_FAT",
    message: `About ${printMass(g(from.floatFatG))} of fat stand in the pan; ${printMass(g(flourG))} of flour take ${printMass(g(FAT_PER_FLOUR * flourG))}${broughtG > 1 ? `, and ${printMass(g(broughtG))} come with them` : ""}. Pour off ${printMass(g(Math.min(overG, from.floatFatG)))} into the fat jar first.`,
  };
}

/** Sugar by its temperature, °C. Source: confectioner's handbook stages, from memory. */
const AMBER_C = { from: 160, at: 170 };
const MOSTLY_SUGAR = 0.5;

/** Melting sugar tells by its colour, and is quicker than its thermometer. */
function caramel({ step, from, readings, status }: StepProgress): Prompt | null {
  if (step.kind !== "reduce" || !("stopC" in step.target) || step.target.stopC < AMBER_C.from - 10)
    return null;
  if (status !== "live" || from.liquor.sugars < MOSTLY_SUGAR * dryOf(from)) return null;
  const read = readings.findLast(r => r.kind === "probed")?.temperatureC ?? 0;
  return {
    code: "CARAMEL",
    message:
      read >= AMBER_C.at
        ? "Amber: off the heat now. What stops it goes in off the heat, at arm’s length: it spits."
        : read >= AMBER_C.from
          ? "Straw to amber within a minute: it goes on by itself, take it off a shade early."
          : "Melting: swirl, do not stir; wash the sides down with a wet brush, or it turns to sand.",
  };
}

/** What came in after a reduction, and how long it takes to boil it away again. */
function juicesIn(run: RunState, progress: StepProgress): Prompt | null {
  const { status, step } = progress;
  if (status === "live" && kindOf(step).endsAtMark) return null;
  const reduced = run.steps
    .slice(0, run.current)
    .findLast(p => p.step.kind === "reduce" && p.status === "done");
  const course = reduced?.foreseen && courseOf(reduced.from, reduced.foreseen);
  if (!reduced || !course || reduced.doneAt === null) return null;
  const { doneAt } = reduced;
  const inG = sumOf(
    run.told.putIns.filter(put => put.why === "juices" && put.at > doneAt),
    put => put.massG,
  );
  const lastS = course.seconds.at(-1) ?? 0;
  const before = Math.max(0, lastS - 60);
  const rate =
    (interpolate(course.seconds, course.mass, before) - (course.mass.at(-1) ?? 0)) / (lastS - before);
  if (inG <= 0 || !(rate > 0)) return null;
  const toG = potMass(potHere(progress));
  return {
    code: "JUICES_IN",
    message: `${printMass(g(inG))} of juices came in after the reduction: about ${printDuration(s(inG / rate))} on that flame bring ${printMass(toG)} back to ${printMass(g(toG - inG))}.`,
  };
}

/** Rested meat gives this, g for a steak. Common practice, no source. */
const JUICE_OF_A_STEAK_G = 8;

/** What rests gives juice, and it belongs in the sauce. */
function juicesOwed(run: RunState, { step }: StepProgress): Prompt | null {
  const last = step.kind === "portion" || run.current === run.steps.length - 1;
  if (!last || !run.planned.states.some(state => state.step.kind === "deglaze")) return null;
  if (run.told.putIns.some(put => put.why === "juices")) return null;
  return {
    code: "JUICES_OWED",
    message: `Has what was fried rested? Its juices go in before this goes out: a steak gives about ${JUICE_OF_A_STEAK_G} g. “in” takes “16 × ${JUICE_OF_A_STEAK_G} g juices”.`,
  };
}

/** Loads of the blender that stands here. */
function loads({ step, from, status }: StepProgress, { data }: Kitchen): Prompt | null {
  if (step.kind !== "blend" || status === "done" || !BLADES.includes(step.tool)) return null;
  const jar = data.appliances.find(tool => tool.kind === "blender");
  if (step.tool !== "jar blender" || jar?.kind !== "blender") return null;
  const volume =
    volumeMlOf(from.liquor, from.temperatureC) + sumOf(from.solids, part => massOfPools(part.pools));
  const found = blenderLoads(volume, jar.jarMl, from.temperatureC);
  return found.ok && found.value.loads > 1
    ? {
        code: "LOADS",
        message: `${printNumber(volume / 1000, 1)} l in ${jar.name}: ${found.value.loads} loads of ${printNumber(found.value.perLoadMl)} ml, about ${printDuration(minutes(found.value.minutes))} in all.`,
      }
    : null;
}

const dryShare = (pot: PotState): number => dryOf(pot) / potMass(pot);

/** Liquid that was put in because the blade stalls thins it: by how much is said. */
function bladeStalls({ step, status, turns, legs }: StepProgress): Prompt | null {
  if (step.kind !== "blend" || status !== "live") return null;
  const [first, last] = [legs[0]?.from, legs.at(-1)?.from];
  if (!first || !last) return null;
  const inG = sumOf(turns, turn => Math.max(0, turn.massG));
  return inG > 0
    ? {
        code: "THINNED",
        message: `${printMass(g(inG))} went in under the blade: ${printMass(potMass(last))} now, dry matter ${printNumber(100 * dryShare(first), 1)} → ${printNumber(100 * dryShare(last), 1)} %.`,
      }
    : {
        code: "BLADE_STALLS",
        message: `Does the blade stall? Put liquid in by the weighed ${STALL_G} g: each takes the dry matter from ${printNumber(100 * dryShare(first), 1)} to ${printNumber((100 * dryOf(first)) / (potMass(first) + STALL_G), 1)} %.`,
      };
}
const STALL_G = 100;

/** Flour that was put in by the piece, and what that comes to on the litre. */
function kneaded({ told }: RunState, progress: StepProgress): Prompt | null {
  const pot = potHere(progress);
  const pieces = told.putIns.filter(put => put.ingredient.carries?.thickener === "flour");
  const litres = volumeMlOf(pot.liquor, pot.temperatureC) / 1000;
  if (!pieces.length || litres <= 0) return null;
  const flourG = sumOf(pieces, put => put.massG);
  return {
    code: "KNEADED",
    message: `${printMass(g(flourG))} of flour went in by hand, ${printNumber(flourG / litres)} g on the litre. Three minutes at a simmer before the next: it thickens late.`,
  };
}

/** Mean of what a braise or a confit is while it comes up and holds, °C: heat comes by the difference to it. Our estimate. */
const IN_THE_OVEN_C = 75;
const ROUND_MIN = 5;

/** An oven that is not what its knob says moves the time of the first look. */
function ovenDrift(progress: StepProgress, forecast: LiveForecast | null, countedK: number): Prompt | null {
  const setC = kindOf(progress.step).ovenC?.(progress.step) ?? null;
  const read = progress.readings.filter(r => r.kind === "probed" && r.where === "oven");
  if (setC === null || !read.length || !forecast || progress.status !== "live") return null;
  const meanC = sumOf(read, r => r.temperatureC ?? 0) / read.length;
  const plannedMin = (progress.foreseen?.durationS ?? 0) / 60;
  // What the kitchen knows of its ovens is in the plan already.
  const laterMin = plannedMin * ((setC + countedK - IN_THE_OVEN_C) / (meanC - IN_THE_OVEN_C) - 1);
  const round = ROUND_MIN * Math.round(laterMin / ROUND_MIN);
  if (meanC <= IN_THE_OVEN_C + 10)
    return {
      code: "OVEN_DRIFT",
      message: `The oven reads ${printNumber(meanC)} °C on average, set to ${setC} °C: that is no oven for this. Look at it.`,
    };
  if (!round) return null;
  return {
    code: "OVEN_DRIFT",
    message: `Set to ${setC} °C, ${printNumber(meanC)} °C on average of ${read.length} ${read.length === 1 ? "reading" : "readings"}: look ${Math.abs(round)} min ${round > 0 ? "later" : "earlier"} than planned.`,
  };
}

const sumOf = <T>(list: readonly T[], of: (one: T) => number): number =>
  list.reduce((sum, one) => sum + of(one), 0);

/** What is in it now, with what went in under way. */
const potHere = ({ legs, from }: StepProgress): PotState => legs.at(-1)?.from ?? from;

/** Everything but water, g. */
const dryOf = (pot: PotState): Grams =>
  g(potMass(pot) - pot.liquor.water - sumOf<SolidPart>(pot.solids, part => part.pools.water));
