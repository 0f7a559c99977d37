import {
  type Pools,
  boilingPointC,
  brixOf,
  latentHeatJPerG,
  massOfPools,
  specificHeat,
  volumeMlOf,
} from "../../things/pot";
import {
  type Celsius,
  type Grams,
  type Seconds,
  type Watts,
  degC,
  ml,
  printDuration,
  printNumber,
  printVolume,
  s,
  watts,
} from "../../ground/quantity";
import { type Problem, type Result, type Warning, ok, refuse } from "../../ground/result";
import { ETHANOL_HEAT_J_PER_G, Pan, type PanInput, type Slopes } from "./pan";
import { panWarnings } from "./pan-warnings";
import type { EndPoint } from "./target";

/** What drives the pot: watts into it, or a temperature it is kept at. */
export type Drive = { readonly watts: Watts } | { readonly holdC: Celsius };

/** When to stop, besides the end of the time. */
export type Goal = EndPoint | { readonly temperatureC: Celsius } | "time";

export interface SimulationInput extends PanInput {
  readonly temperatureC: Celsius;
  readonly drive: Drive;
  readonly goal: Goal;
  /** Longest time, default `MOST_TIME_S`. */
  readonly mostS?: Seconds;
  /** Water left of what there was at which the pan counts as dry; a boiled sugar goes further. */
  readonly dryShare?: number;
  /** Keep the course for charts. */
  readonly trace?: boolean;
}

export interface TracePoint {
  readonly atS: Seconds;
  readonly liquorG: Grams;
  readonly temperatureC: Celsius;
}

export interface Simulation {
  readonly endS: Seconds;
  /** When boiling began; `null` if it never did. */
  readonly boilS: Seconds | null;
  readonly liquor: Pools;
  readonly temperatureC: Celsius;
  readonly vapour: { readonly water: number; readonly ethanol: number; readonly acidVolatile: number };
  /** Most heat a hold asked for. */
  readonly requiredW: Watts;
  readonly reached: boolean;
  readonly trace: readonly TracePoint[];
}

export const MOST_TIME_S = s(48 * 3600);
/** Water below this share of its start, with the goal still away, means a dry pan. */
const DRY_SHARE = 0.02;
/** Less than a microgram of water is none. */
const LEAST_WATER_G = 1e-6;
const SHORTEST_STEP_S = 0.25;
const LONGEST_STEP_S = 60;
/** After hours over a small flame nothing changes in minutes. */
const LONGEST_STEP_LATE_S = 480;
/** On a flame a run of the foreseen length takes 60–90 steps; held at a temperature it changes evenly, and fewer do. */
const STEPS_ON_A_FLAME = 60;
const STEPS_OF_A_HOLD = 40;
/** A run that takes longer than foreseen takes longer steps. */
const STEPS_BEFORE_GROWING = 400;
const STEPS_BETWEEN_GROWING = 100;
/** What boils for days changes slowly: its steps are longer from ten hours on. */
const STEPS_OF_A_LONG_TIME = 600;
/** No wish keeps a kitchen waiting: what takes more steps than this is refused, with what would work. */
const MOST_STEPS = 1500;
/** A pot that warms or boils away slower than this share of what it would need will not get there. */
const HOPELESS = 0.3;

/**
 * Boils or simmers a liquor down: one energy balance for a flame too small to boil, for the boil, and for a held
 * temperature.
 *
 * Method: Heun steps of t/60, held t/40 (0.25–60 s on a flame; longer ones from the 400th on) over water, ethanol, volatile acid and
 * temperature, shortened at the onset of boiling and at the goal; at most 1 500 of them. Deterministic; halving the step
 * moves the end by less than 0.05 %.
 *
 * @returns end time, end composition and temperature, steam by substance, course when asked for
 * @errors TARGET_BELOW_SOLIDS · NOT_REACHED · HOLD_TOO_HOT · OVERFLOW
 * Warns DRY, THIN_LAYER, FOAM_RISK.
 * Valid for: open pans and pots at 0.5–1.1 bar; not for pressure pots or steam kettles.
 * Source: docs/models.md "Evaporation and reduction" (energy balance; open-water equation, ASHRAE HVAC Applications).
 */
export function simulate(input: SimulationInput): Result<Simulation> {
  const problem = checkStart(input);
  if (problem) return refuse(problem);
  return run(input);
}

/**
 * A simulation that must get to its goal: a pan that boils dry on the way is a refusal, not a result.
 * @errors those of `simulate` · NOT_REACHED the pan boils dry first
 */
export function simulateToGoal(input: SimulationInput): Result<Simulation> {
  const end = simulate(input);
  if (!end.ok || end.value.reached) return end;
  return refuse({
    code: "NOT_REACHED",
    field: "target",
    value: end.value.endS,
    message: `The pan boils dry after ${printDuration(end.value.endS)}, before it gets there. Take a stronger flame, more liquid or another target.`,
  });
}

function checkStart(input: SimulationInput): Problem | null {
  const { liquor, goal, drive, vessel, dryShare = DRY_SHARE } = input;
  if (!(liquor.water > LEAST_WATER_G))
    return { code: "NO_WATER", field: "liquor", message: "There is no water in this pot to boil off." };
  const level = vessel.levelOf(ml(volumeMlOf(liquor, input.temperatureC) + input.displacedMl), "vessel");
  if (!level.ok) return level.problems[0] ?? null;
  if (goal !== "time" && "brix" in goal) {
    const now = brixOf(liquor);
    const most = brixOf({ ...liquor, water: dryShare * liquor.water, ethanol: 0 });
    if (goal.brix <= now || goal.brix > most)
      return {
        code: goal.brix <= now ? "TARGET_ABOVE_START" : "TARGET_BELOW_SOLIDS",
        field: "target",
        value: goal.brix,
        allowed: { min: now, max: most },
        message: `It shows ${printNumber(now, 1)} °Bx now and ${printNumber(most, 0)} °Bx nearly dry; ${printNumber(goal.brix, 1)} °Bx is not between.`,
      };
  } else if (goal !== "time" && !("temperatureC" in goal)) {
    const left = { ...liquor, water: dryShare * liquor.water, ethanol: 0 };
    const least = "ml" in goal ? volumeMlOf(left, 20) : massOfPools(left);
    const wanted = "ml" in goal ? goal.ml : goal.g;
    if (wanted < least)
      return {
        code: "TARGET_BELOW_SOLIDS",
        field: "target",
        value: wanted,
        allowed: least,
        message: `It cannot get that small: what is dissolved alone takes ${"ml" in goal ? printVolume(ml(least)) : `${printNumber(least)} g`}.`,
      };
  }
  if ("holdC" in drive) {
    const boils = boilingPointC(liquor, input.around.pressurePa);
    if (drive.holdC > boils + 0.5)
      return {
        code: "HOLD_TOO_HOT",
        field: "holdC",
        value: drive.holdC,
        allowed: boils,
        message: `This liquor boils at ${printNumber(boils, 1)} °C here; it cannot be held at ${printNumber(drive.holdC)} °C.`,
      };
  }
  return null;
}

/** What is measured against the goal: it falls until it meets `goal`. */
function measureOf(pan: Pan, goal: Goal): number {
  if (goal === "time" || "temperatureC" in goal) return Infinity;
  if ("brix" in goal) return -brixOf(pan.pools);
  return "ml" in goal ? volumeMlOf(pan.pools, 20) : massOfPools(pan.pools);
}

function stepSize(input: SimulationInput, pan: Pan, most: number, measure: number): number {
  const { goal, drive, liquor } = input;
  const mass = massOfPools(liquor);
  let estimate = most;
  if (goal !== "time" && "temperatureC" in goal) {
    const capacity = mass * specificHeat(liquor, input.temperatureC) + input.heatCapacityJPerK;
    const heat = "watts" in drive ? drive.watts : 50;
    estimate = (capacity * Math.abs(goal.temperatureC - input.temperatureC)) / Math.max(50, heat);
  } else if (goal !== "time") {
    // For a refractometer reading half the water is as good a guess as any.
    const steam =
      "brix" in goal ? liquor.water / 2 : (1 - ("ml" in goal ? goal.ml : goal.g) / measure) * mass;
    const slopes = "holdC" in drive ? pan.subBoil(drive.holdC, 0) : null;
    const rate = slopes ? slopes.w + slopes.e : Math.max(50, "watts" in drive ? drive.watts : 0) / 2257;
    estimate = rate > 0 ? steam / rate : most;
  }
  const foreseen = Math.min(estimate, most);
  if ("holdC" in drive) return Math.max(SHORTEST_STEP_S, foreseen / STEPS_OF_A_HOLD);
  const longest = goal === "time" ? Math.max(LONGEST_STEP_S, most / STEPS_OF_A_LONG_TIME) : LONGEST_STEP_S;
  return Math.min(longest, Math.max(SHORTEST_STEP_S, foreseen / STEPS_ON_A_FLAME));
}

function run(input: SimulationInput): Result<Simulation> {
  const { goal, drive, facts } = input;
  const pan = new Pan(input);
  const most = input.mostS ?? MOST_TIME_S;
  const aim =
    goal === "time"
      ? null
      : "temperatureC" in goal
        ? null
        : "brix" in goal
          ? -goal.brix
          : "ml" in goal
            ? goal.ml
            : goal.g;
  const aimT = goal !== "time" && "temperatureC" in goal ? goal.temperatureC : null;
  const rising = aimT !== null && aimT >= input.temperatureC;
  const { water: w0, ethanol: e0, acidVolatile: a0 } = input.liquor;
  const hold = "holdC" in drive ? drive.holdC + facts.holdOff : null;
  const heatW = "watts" in drive ? drive.watts : 0;

  let [w, e, a] = [w0, e0, a0];
  let boils = pan.boilsAt(100);
  let t = hold === null ? Math.min(input.temperatureC, boils) : Math.min(hold, boils - 0.01);
  let now = 0;
  let measure = measureOf(pan, goal);
  let longest = stepSize(input, pan, most, measure);
  let steps = 0;
  let boilS: number | null = null;
  let requiredW = 0;
  let reached = aimT !== null && t === aimT;
  const trace: TracePoint[] = [];
  const warnings = new Map<string, Warning>();
  const note = () => {
    if (input.trace) trace.push({ atS: s(now), liquorG: massOfPools(pan.pools), temperatureC: degC(t) });
  };
  note();

  while (!reached && now < most) {
    if (++steps > MOST_STEPS) return refuse(tooSlow(s(now), t));
    if (steps >= STEPS_BEFORE_GROWING && steps % STEPS_BETWEEN_GROWING === 0)
      longest = Math.min(Math.max(longest, LONGEST_STEP_LATE_S), longest * 2);
    let dt = Math.min(longest, most - now);
    boils = pan.boilsAt(boils);
    const from = { w, e, a, t };
    let k: Slopes;
    let k2: Slopes;
    let nextT: number;
    const boiling = hold === null && t >= boils - 1e-6 && canBoil(pan, boils, heatW);

    if (hold !== null) {
      t = Math.min(hold, boils - 0.01);
      k = pan.subBoil(t, 0);
      requiredW = Math.max(requiredW, holdHeat(pan, t, k));
      pan.set(Math.max(0, w - k.w * dt), Math.max(0, e - k.e * dt), Math.max(0, a - k.a * dt));
      k2 = pan.subBoil(t, 0);
      nextT = t;
    } else if (boiling) {
      boilS ??= now;
      t = boils;
      k = pan.boil(t, heatW);
      pan.set(Math.max(0, w - k.w * dt), Math.max(0, e - k.e * dt), Math.max(0, a - k.a * dt));
      k2 = pan.boil(pan.boilsAt(boils), heatW);
      nextT = t;
    } else {
      k = pan.subBoil(t, heatW);
      pan.set(Math.max(0, w - k.w * dt), Math.max(0, e - k.e * dt), Math.max(0, a - k.a * dt));
      k2 = pan.subBoil(Math.min(t + k.t * dt, pan.boilsAt(boils)), heatW);
      nextT = t + ((k.t + k2.t) / 2) * dt;
    }

    const move = (span: number) => {
      w = Math.max(0, from.w - ((k.w + k2.w) / 2) * span);
      e = Math.max(0, from.e - ((k.e + k2.e) / 2) * span);
      a = Math.max(0, from.a - ((k.a + k2.a) / 2) * span);
      pan.set(w, e, a);
    };
    move(dt);
    if (boiling) nextT = pan.boilsAt(boils);
    else if (hold === null) {
      const newBoils = pan.boilsAt(boils);
      if (nextT > newBoils) {
        const part = (boils - from.t) / (nextT - from.t - (newBoils - boils));
        dt *= Math.min(1, Math.max(1e-9, part));
        move(dt);
        nextT = pan.boilsAt(boils);
      }
    }

    // A pot that is hardly warmer after a step than before it stands where flame and losses meet: only its size changes.
    if (aimT !== null && rising && hold === null && !boiling) {
      const needed = (aimT - from.t) / (most - now);
      if (k.t < HOPELESS * needed && k2.t < HOPELESS * needed) return refuse(tooSlow(s(now), t));
    }

    const after = measureOf(pan, goal);
    let share = 1;
    if (aim !== null && after <= aim) share = measure > after ? (measure - aim) / (measure - after) : 1;
    else if (aimT !== null && (rising ? nextT >= aimT : nextT <= aimT))
      share = (aimT - from.t) / (nextT - from.t);
    if (
      share < 1 ||
      (aim !== null && after <= aim) ||
      (aimT !== null && (rising ? nextT >= aimT : nextT <= aimT))
    ) {
      reached = true;
      w = from.w + (w - from.w) * share;
      e = from.e + (e - from.e) * share;
      a = from.a + (a - from.a) * share;
      pan.set(w, e, a);
      t = from.t + (nextT - from.t) * share;
      now += dt * share;
    } else {
      t = nextT;
      now += dt;
      measure = after;
    }
    note();
    if (!reached && w < (input.dryShare ?? DRY_SHARE) * w0) {
      warnings.set("DRY", { code: "DRY", message: "The pan boils dry before it gets there." });
      break;
    }
  }

  const result: Simulation = {
    endS: s(now),
    boilS: boilS === null ? null : s(boilS),
    liquor: { ...pan.pools },
    temperatureC: degC(t),
    vapour: { water: w0 - w, ethanol: e0 - e, acidVolatile: a0 - a },
    requiredW: watts(requiredW),
    reached: reached || goal === "time",
    trace,
  };
  if (!result.reached && !warnings.has("DRY")) return refuse(tooSlow(s(now), t));
  return ok(result, [...warnings.values(), ...panWarnings(input, result)]);
}

const tooSlow = (after: Seconds, t: number): Problem => ({
  code: "NOT_REACHED",
  field: "target",
  value: after,
  message: `At this flame it will not get there: after ${printDuration(after)} it stands near ${printNumber(t, 1)} °C and hardly moves. Take a stronger flame, a smaller pan or a lid.`,
});

/** The flame boils the pot iff it makes at least the steam a surface at the boil would give off anyway. */
const canBoil = (pan: Pan, boils: number, heatW: number): boolean =>
  heatW - pan.lossW(boils) >= pan.subBoil(boils, heatW).w * latentHeatJPerG(boils);

const holdHeat = (pan: Pan, t: number, k: Slopes): number =>
  pan.lossW(t) + k.w * latentHeatJPerG(t) + k.e * ETHANOL_HEAT_J_PER_G;
