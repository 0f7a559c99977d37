import type { SolidKind } from "../../things/larder";
import {
  type PotState,
  SHELF_TEMPERATURE_C,
  addPools,
  boilingPoint,
  evaporate,
  massOfPools,
  onePool,
  potMass,
} from "../../things/pot";
import {
  type Celsius,
  type Grams,
  degC,
  g,
  ml,
  mm,
  printNumber,
  printVolume,
  s,
} from "../../ground/quantity";
import { type Result, type Warning, ok, refuse } from "../../ground/result";
import {
  type EndPoint,
  type Lid,
  type SimulationInput,
  type Surface,
  type TracePoint,
  heatIntoPan,
  simulate,
  simulateToGoal,
} from "../../laws/reduction";
import { heatUpSolids, releaseJuice, simmerSolids } from "../../laws/stock";
import { type Vessel, bulkMl, geometryOfVessel } from "../../things/vessel";
import { type ReductionEnd, endPointIn } from "./reduction-end";
import { type StepContext, type StepOutcome, outcome } from "./kind";
import { atTemperature, bystanders, displacedIn, heapsOf, inField, levelIn } from "./shared";

/** What happens in a pot that is brought up and kept there, on a burner: common to simmering, poaching and braising. */
export interface Simmering {
  readonly holdC: Celsius;
  readonly durationMin: number;
  readonly lid: Lid;
  readonly surface: Surface;
  /** How far the burner is opened to bring it up. */
  readonly setting: number;
  readonly keep?: Keeping;
  /** Whichever comes first: this, or the time. */
  readonly until?: ReductionEnd | undefined;
}

/** Water that goes on to keep bones covered. */
export interface Keeping {
  readonly with: "none" | "cold" | "hot";
  /** Depth over the heap, mm. */
  readonly depthMm: number;
  /** No more water in the last minutes: it only thins what is there. */
  readonly lastMin: number;
}

/** What gives its own juice and falls together: it need not be covered where the lid is on. */
const SOFTENS_IN_STEAM: ReadonlySet<SolidKind> = new Set(["mirepoix", "mushrooms", "herbs", "bivalves"]);

/** A pot on the boil stands so far under the boiling point it had when it came up, K: it never gets hotter by waiting. */
const UNDER_BOIL_K = 1;

/** Bones soften and settle as they cook: at most by this share, within hours. Our estimate. */
const SETTLES = 0.15;
const SETTLES_IN_H = 1.5;

/** The level to which a heap stands after some hours, mm. */
const heapMm = (rawHeapMm: number, hours: number): number =>
  rawHeapMm * (1 - SETTLES * (1 - Math.exp(-hours / SETTLES_IN_H)));

const STEADY_S = s(600);
const COLD_J_PER_G_K = 4.19;

/** Brings a pot up and keeps it there: steam leaves, bones and vegetables give, and water goes on where it is wanted. */
export function simmerAlong<S>(
  context: StepContext<S>,
  from: PotState,
  vessel: Vessel,
  how: Simmering,
): Result<StepOutcome> {
  const { facts, burner } = context;
  const geometry = geometryOfVessel(vessel);
  const warnings: Warning[] = [];
  let pot = releaseJuice(from, facts);
  if (pot.liquor.water <= 0)
    return refuse({
      code: "EMPTY",
      field: context.field,
      message: "There is no liquor in the pot to cook it in: pour some on first.",
    });
  // Steam would go on and on towards a temperature that is over the boil here; fat alone has none.
  const boils = boilingPoint(pot.liquor, context.around.pressurePa);
  const holdC = degC(boils.ok ? Math.min(how.holdC, boils.value - UNDER_BOIL_K) : how.holdC);
  if (boils.ok && how.holdC > Math.max(boils.value, THE_WORD_BOIL_C))
    warnings.push({
      code: "OVER_THE_BOIL",
      message: `Here it boils at ${printNumber(boils.value, 1)} °C: it gets no hotter than that, and is counted on the boil.`,
    });
  const common = (): Omit<SimulationInput, "drive" | "goal" | "lid" | "surface"> => ({
    liquor: pot.liquor,
    temperatureC: pot.temperatureC,
    vessel: geometry,
    displacedMl: displacedIn(pot, facts),
    heatCapacityJPerK: bystanders(pot, vessel),
    around: context.around,
    facts,
    trace: context.trace,
  });

  // Bring it up on the burner, lid off: there is scum to take.
  let course: readonly TracePoint[] = [];
  let upS = 0;
  if (burner && pot.temperatureC < holdC) {
    const flame = heatIntoPan(
      { kind: burner.kind, setting: how.setting, overlap: 1 },
      geometry.baseDiameterMm,
      facts,
    );
    if (!flame.ok) return refuse(...inField(context.field, flame.problems));
    const up = simulateToGoal({
      ...common(),
      drive: { watts: flame.value },
      goal: { temperatureC: holdC },
      lid: "off",
      surface: how.surface,
      trace: true,
    });
    if (!up.ok) return refuse(...inField(context.field, up.problems));
    const steamed = evaporate(pot, up.value.vapour);
    if (!steamed.ok) return steamed;
    const gave = heatUpSolids(steamed.value, up.value.trace, facts);
    if (!gave.ok) return refuse(...inField(context.field, gave.problems));
    pot = atTemperature(gave.value, up.value.temperatureC);
    upS = up.value.endS;
    if (context.trace) course = up.value.trace;
  }

  let requiredW = 0;
  let atS = upS;
  const lasts = (durationS: number, trace = false): Result<readonly TracePoint[]> => {
    if (durationS <= 0) return ok([]);
    const held = simulate({
      ...common(),
      drive: { holdC },
      goal: "time",
      mostS: s(durationS),
      lid: how.lid,
      surface: how.surface,
      trace: trace || context.trace,
    });
    if (!held.ok) return refuse(...inField(context.field, held.problems));
    const steamed = evaporate(pot, held.value.vapour);
    if (!steamed.ok) return steamed;
    pot = atTemperature(steamed.value, held.value.temperatureC, held.value.endS / 60);
    requiredW = Math.max(requiredW, held.value.requiredW);
    warnings.push(...held.warnings.filter(w => !warnings.some(known => known.code === w.code)));
    course = [...course, ...held.value.trace.map(point => ({ ...point, atS: s(point.atS + atS) }))];
    atS += held.value.endS;
    return ok(held.value.trace);
  };

  let goal: EndPoint | null = null;
  if (how.until) {
    const end = endPointIn(how.until, pot, context.around.pressurePa, facts, `${context.field}.until`);
    if (!end.ok) return end;
    if (end.value) goal = end.value;
  }
  const wholeS = goal ? stopsAt(goal, how.durationMin * 60) : how.durationMin * 60;
  /** When the goal is reached, s; the clock where it is not. */
  function stopsAt(at: EndPoint, mostS: number): number {
    const run = simulate({
      ...common(),
      drive: { holdC },
      goal: at,
      mostS: s(mostS),
      lid: how.lid,
      surface: how.surface,
    });
    if (run.ok && run.value.reached) return run.value.endS;
    warnings.push({
      code: "CLOCK_FIRST",
      message: "The clock comes first: the end itself is not reached by then.",
    });
    return mostS;
  }
  const rawHeap = geometry.levelClipped(bulkMl(heapsOf(pot), facts));
  const stands = pot.solids.some(part => !SOFTENS_IN_STEAM.has(part.kind));
  const keep = how.keep && how.keep.with !== "none" && stands ? how.keep : null;
  const untilS = keep ? Math.max(0, wholeS - keep.lastMin * 60) : 0;
  let toppedG = 0;
  if (keep && untilS > 0) {
    const wantedMm = (sS: number) => heapMm(rawHeap, sS / 3600) + keep.depthMm;
    // As long as it is covered nothing goes in.
    const before = pot;
    const [courseBefore, atBefore] = [course, atS];
    const open = lasts(untilS, true);
    if (!open.ok) return open;
    const levelOf = (liquorG: number): number => {
      const share = liquorG / massOfPools(before.liquor);
      return levelIn({ ...before, liquor: scaled(before, share) }, vessel, facts) ?? 0;
    };
    const from = open.value.find(point => levelOf(point.liquorG) < wantedMm(point.atS));
    if (from) {
      pot = before;
      [course, atS] = [context.trace ? courseBefore : [], atBefore];
      const first = lasts(from.atS);
      if (!first.ok) return first;
      // From there on the level follows the heap down, and water goes in for what steams away.
      const start = levelIn(pot, vessel, facts) ?? mm(0);
      const end = Math.min(start, wantedMm(untilS));
      const sinksMl = geometry.volumeAtLevel(start) - geometry.volumeAtLevel(mm(end));
      const topped = keptAt(pot, untilS - from.atS, Math.max(0, sinksMl), {
        ...common(),
        drive: { holdC },
        goal: "time",
        lid: how.lid,
        surface: how.surface,
      });
      if (!topped.ok) return refuse(...inField(context.field, topped.problems));
      pot = atTemperature(topped.value.pot, holdC, (untilS - from.atS) / 60);
      toppedG = topped.value.addedG;
      requiredW = Math.max(requiredW, topped.value.requiredW);
      atS += untilS - from.atS;
    }
  }
  const rest = lasts(wholeS - untilS);
  if (!rest.ok) return rest;

  const bulk = mm(heapMm(rawHeap, wholeS / 3600));
  const level = levelIn(pot, vessel, facts) ?? mm(0);
  // Under a lid vegetables and fruit soften in their own steam; shells open in it.
  if (
    pot.solids.some(part => part.kind !== "bivalves") &&
    (stands || how.lid !== "on") &&
    level < bulk - SHOWS_MM
  ) {
    const lack = geometry.volumeAtLevel(bulk) - geometry.volumeAtLevel(level);
    warnings.push({
      code: "NOT_COVERED",
      message: `At the end what is in it stands ${printNumber(bulk - level)} mm above the liquor: keep it covered, that is ${printNumber(lack / 1000, 1)} l more; or take a narrower pot, or a lid.`,
    });
  }
  const given = simmerSolids(pot, s(wholeS), pot.temperatureC, facts);
  if (!given.ok) return refuse(...inField(context.field, given.problems));
  let reheatS = 0;
  if (burner) {
    const full = heatIntoPan({ kind: burner.kind, setting: 1, overlap: 1 }, geometry.baseDiameterMm, facts);
    if (full.ok && requiredW > full.value)
      warnings.push({
        code: "BURNER_TOO_SMALL",
        message: `Holding ${printNumber(holdC)} °C takes ${printNumber(requiredW)} W; this burner gives ${printNumber(full.value)} W into the pot.`,
      });
    if (full.ok && keep?.with === "cold")
      reheatS = (toppedG * COLD_J_PER_G_K * (holdC - SHELF_TEMPERATURE_C)) / full.value;
  }
  return ok(
    outcome(given.value, vessel, s(upS + wholeS + reheatS), {
      computed: [
        ...(toppedG > LEAST_TOPPED_G
          ? [{ what: "water, topped up", massG: g(toppedG), way: "in" as const, ingredientId: "water" }]
          : []),
        {
          what: "lost as steam",
          massG: g(potMass(from) + toppedG - potMass(given.value)),
          way: "out" as const,
        },
      ],
      warnings: [...warnings, ...given.warnings],
      course: context.trace ? course : [],
      bulkLevelMm: bulk,
      ...(toppedG > LEAST_TOPPED_G && {
        says: `kept covered: ${printVolume(ml(toppedG))} of ${keep?.with === "cold" ? "cold" : "hot"} water ready`,
      }),
    }),
  );
}

const LEAST_TOPPED_G = 5;
/** A heap that shows by less than this is covered for all a cook can see, mm. */
const SHOWS_MM = 3;
/** What the word "boil" is written down as: no wish for a temperature, wherever the kitchen stands, °C. */
const THE_WORD_BOIL_C = 100.5;

const scaled = (pot: PotState, share: number): PotState["liquor"] =>
  Object.fromEntries(Object.entries(pot.liquor).map(([pool, mass]) => [pool, mass * share])) as never;

/** Keeps a pot at its level for a time: as much water goes in as steams away, less what it may sink. */
function keptAt(
  pot: PotState,
  durationS: number,
  sinksMl: number,
  input: Omit<SimulationInput, "mostS">,
): Result<{ readonly pot: PotState; readonly addedG: number; readonly requiredW: number }> {
  if (durationS <= 0) return ok({ pot, addedG: 0, requiredW: 0 });
  const steady = simulate({ ...input, mostS: STEADY_S, trace: false });
  if (!steady.ok) return steady;
  const steamG = (steady.value.vapour.water * durationS) / STEADY_S;
  const addedG: Grams = g(Math.max(0, steamG - sinksMl * HOT_DENSITY));
  const water = onePool("water", addedG);
  const topped = {
    ...pot,
    liquor: addPools(pot.liquor, water),
    entered: addPools(pot.entered, water),
  };
  const { ethanol, acidVolatile } = steady.value.vapour;
  const often = durationS / STEADY_S;
  const left = (there: number, perTime: number) =>
    there > 0 ? there * (1 - Math.max(0, 1 - perTime / there) ** often) : 0;
  const steamed = evaporate(topped, {
    water: steamG,
    ethanol: left(pot.liquor.ethanol, ethanol),
    acidVolatile: left(pot.liquor.acidVolatile, acidVolatile),
  });
  if (!steamed.ok) return steamed;
  return ok({ pot: steamed.value, addedG, requiredW: steady.value.requiredW });
}

/** Of water near the boil, g/ml. */
const HOT_DENSITY = 0.96;

/** "4 h 30" or "25 min". */
export const hoursInWords = (min: number): string =>
  min < 90
    ? `${min} min`
    : `${Math.floor(min / 60)} h${min % 60 ? ` ${String(min % 60).padStart(2, "0")}` : ""}`;
