import { type FormulaDocument, type KitchenData, courseOf, interpolate, openKitchen } from "../core/formula";
import { type RunEvent, type RunPayload, UNKNOWN_BAND, fold, forecastOf } from "../core/run";
import { DEMO_FORMULAS, GLACE_ID } from "../demo/formulas";
import { DEMO_KITCHEN } from "../demo/kitchen";
import { chance } from "../devices/random";
import { trueKitchen } from "../devices/true-kitchen";
import { asItGoes } from "../devices/true-pot";

/**
 * How good “ready at” is: reductions on the simulated stove, each on another stove from a seed, read with a scale every twentieth
 * of the way. Half-way the forecast that stands is held against the time at which the pot really came to its mark.
 */
const RUNS = Number(process.env.HONDARO_ROUNDS ?? 500);
const READS = 20;
const SCALE_SD_G = 5;

const document = DEMO_FORMULAS[GLACE_ID] as FormulaDocument;
const kitchen: KitchenData = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };
const index = document.steps.findIndex(step => step.kind === "reduce");
const stepId = document.steps[index]?.id ?? "";
let n = 0;
const event = (atMs: number, payload: RunPayload): RunEvent => ({
  id: `01T${String(++n).padStart(23, "0")}`,
  at: new Date(Math.round(atMs)).toISOString(),
  clockOffsetMs: 0,
  personId: "bench",
  payload,
});
const START = Date.UTC(2026, 10, 23, 8);
const begun = [
  event(START, { kind: "started", burnerId: kitchen.defaultBurnerId }),
  ...document.steps
    .slice(0, index)
    .flatMap((step, i) => [
      event(START + i * 1000, { kind: "step-begun", stepId: step.id }),
      event(START + i * 1000 + 500, { kind: "step-done", stepId: step.id }),
    ]),
  event(START + 60_000, { kind: "step-begun", stepId }),
];
const BEGUN = START + 60_000;
const books = openKitchen(kitchen, {}, kitchen.defaultBurnerId);
const wanted = fold(begun, document, books).steps[index]?.foreseen?.massG ?? 0;

const TICK_S = 20;
/** The heat of a stove wanders by this share over a whole reduction. Our estimate, as the tracker’s own. */
const WANDERS = 0.2;

/** How far along its course a pot is at each tick, s, on a stove whose heat wanders. */
function wandering(endS: number, normal: () => number): number[] {
  const clock = [0];
  let pace = 1;
  while ((clock.at(-1) ?? 0) < endS && clock.length < (4 * endS) / TICK_S) {
    pace = Math.max(0.05, pace + WANDERS * Math.sqrt(TICK_S / endS) * normal());
    clock.push((clock.at(-1) ?? 0) + pace * TICK_S);
  }
  return clock;
}

interface Judged {
  readonly covered: boolean;
  readonly error: number;
}

function judge(seed: number): Judged | null {
  const truth = openKitchen(trueKitchen(kitchen, seed), {}, kitchen.defaultBurnerId);
  const goes = asItGoes(document, fold(begun, document, books), BEGUN);
  const progress = fold(begun, goes, truth).steps[index];
  const course = progress?.foreseen && courseOf(progress.from, progress.foreseen);
  const end = course?.seconds[course.mass.findIndex(mass => mass <= wanted)];
  if (!course || end === undefined) return null;
  const { normal } = chance(seed + 1_000_000);
  const clock = wandering(end, normal);
  const endS = clock.findIndex(tau => tau >= end) * TICK_S;
  if (endS < 0) return null;
  const half = BEGUN + 500 * endS;
  const readings: RunEvent[] = [];
  for (let k = 1; k <= READS / 2; k++) {
    const s = (endS * k) / READS;
    const tau = clock[Math.round(s / TICK_S)] ?? s;
    const netG = Math.round((interpolate(course.seconds, course.mass, tau) + SCALE_SD_G * normal()) / 5) * 5;
    readings.push(event(BEGUN + 1000 * s, { kind: "weighed", stepId, netG }));
  }
  const forecast = forecastOf(fold([...begun, ...readings], document, books), half, () => UNKNOWN_BAND);
  if (!forecast) return null;
  const there = BEGUN + 1000 * endS;
  return {
    covered: forecast.earliest <= there && (forecast.latest === null || there <= forecast.latest),
    error: Math.abs(forecast.endsAt - there) / (1000 * endS),
  };
}

const judged = Array.from({ length: RUNS }, (_, seed) => judge(seed)).filter(one => one !== null);
const errors = judged.map(one => one.error).sort((a, b) => a - b);
const at = (share: number) =>
  `${(100 * (errors[Math.floor(share * (errors.length - 1))] ?? 0)).toFixed(1)} %`;
console.log(
  `tracker: ${judged.length} reductions, each on another stove whose heat wanders; half-way the 90 % interval covers ${((100 * judged.filter(one => one.covered).length) / judged.length).toFixed(1)} % (wanted 87–95); error of “ready at”: median ${at(0.5)} of the whole time (wanted under 8), 90th ${at(0.9)}`,
);
