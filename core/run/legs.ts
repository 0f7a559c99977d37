import {
  type Kitchen,
  type ResolvedLine,
  type StateAfterStep,
  type Step,
  applyStep,
  courseOf,
  doneOf,
  interpolate,
  kindOf,
  restOf,
} from "../formula";
import { degC, g, printMass, printNumber } from "../ground/quantity";
import { type Problem, type Result, ok } from "../ground/result";
import { predict } from "../laws/reduction";
import { type PotState, potMass, pour, reconcile, skimMass } from "../things/pot";
import type { Vessel } from "../things/vessel";
import { type RunEvent, timeOf } from "./events";
import type { RunPayload } from "./payloads";
import type { Leg, Reading, StepProgress, Turn } from "./progress";
import { readingsOf } from "./readings";
import { trackStep } from "./track";

/**
 * A step that a cook changes under way runs in legs. Where it is moved, covered, turned down, topped up or ladled from, the
 * pot as it stood then, put right by what was read, goes on from there to the same end.
 */

/** Where a cook has put a pot, other than the formula says; it stays there. */
export interface Put {
  /** `null`: off the fire. */
  readonly burnerId?: string | null | undefined;
  readonly vesselId?: string | undefined;
}

const TURNS = ["moved", "lid", "flame", "put-in", "taken-out"] as const;
type TurnPayload = Extract<RunPayload, { kind: (typeof TURNS)[number] }>;

const turnOf = ({ payload }: RunEvent): TurnPayload | null =>
  (TURNS as readonly string[]).includes(payload.kind) ? (payload as TurnPayload) : null;

/** Whether it changes the pot or its heat; a stroke on the tally does not. */
const changes = (payload: TurnPayload): boolean => payload.kind !== "taken-out" || (payload.massG ?? 0) > 0;

interface Around {
  readonly kitchen: Kitchen;
  readonly elsewhere?: Parameters<typeof applyStep>[1]["elsewhere"];
  readonly taken?: Parameters<typeof applyStep>[1]["taken"];
  readonly field: string;
}

interface Heat {
  readonly lid?: Extract<RunPayload, { kind: "lid" }>["lid"];
  readonly setting?: number;
}

/** The step as the cook has placed it: pot, burner, lid and flame as they were put, unless the formula says so itself. */
function asPut(step: Step, { burnerId, vesselId }: Put, { lid, setting }: Heat): Step {
  const { fields } = kindOf(step);
  return {
    ...step,
    ...(burnerId && "burnerId" in fields && { burnerId }),
    ...(vesselId !== undefined && "vesselId" in fields && { vesselId }),
    ...(lid !== undefined && "lid" in fields && { lid }),
    ...(setting !== undefined && "setting" in fields && { setting }),
  } as Step;
}

/** What chose its pan, burner and flame as it goes best stays with them, unless the cook has just put it elsewhere. */
function standing(step: Step, { vessel, fire }: StateAfterStep, turn: TurnPayload): Step {
  const { fields } = kindOf(step);
  const elsewhere = turn.kind === "moved" && turn.burnerId !== undefined;
  return {
    ...step,
    ...(vessel && "vesselId" in fields && { vesselId: vessel.id }),
    ...(fire && !elsewhere && { burnerId: fire.burner.id, setting: fire.setting }),
  } as Step;
}

/** The kitchen as a pot finds it that was put on a burner. */
function onBurner(kitchen: Kitchen, { burnerId }: Put): Kitchen {
  const burner = burnerId && kitchen.data.burners.find(b => b.id === burnerId);
  return burner ? { ...kitchen, burner, burners: [burner] } : kitchen;
}

/** What a step makes of a pot, put where the cook has put it. */
export function foresee(
  plan: StateAfterStep,
  step: Step,
  pot: PotState,
  vessel: Vessel | null,
  lines: readonly ResolvedLine[],
  { kitchen, elsewhere, taken, field }: Around,
  put: Put = {},
  heat: Heat = {},
): Result<StateAfterStep> {
  const done = applyStep(asPut(step, put, heat), {
    pot,
    vessel,
    elsewhere,
    taken,
    lines,
    kitchen: onBurner(kitchen, put),
    field,
    trace: true,
  });
  return done.ok
    ? ok({
        ...plan,
        ...done.value,
        massG: potMass(done.value.pot),
        temperatureC: done.value.pot.temperatureC,
      })
    : done;
}

/** Skimmings carry so much liquor to a gram of fat. Our estimate. */
const CARRY = 0.3;

/** The pot with what came or went by hand; what cannot have gone is refused. */
function handled(
  pot: PotState,
  vessel: Vessel | null,
  turn: TurnPayload,
  around: Around,
): Result<{ readonly pot: PotState; readonly vessel: Vessel | null }> {
  if (turn.kind === "taken-out") {
    const mass = g(turn.massG ?? 0);
    const left = turn.what === "skimmed" ? skimMass(pot, mass, CARRY) : pour(pot, mass);
    return left.ok ? ok({ pot: left.value, vessel }) : left;
  }
  if (turn.kind !== "put-in") return ok({ pot, vessel });
  const line = { lineId: "put-in", ingredient: turn.ingredient, massG: g(turn.massG) };
  const step = { id: "put-in", kind: "add" as const, lines: [], durationMin: 1 };
  const done = applyStep(step, { pot, vessel, lines: [line], ...around, trace: false });
  return done.ok ? ok({ pot: done.value.pot, vessel: vessel ?? done.value.vessel }) : done;
}

function turnIn(payload: TurnPayload, event: RunEvent, kitchen: Kitchen): Turn {
  const common = { eventId: event.id, at: timeOf(event), personId: event.personId, massG: 0 };
  const nameOf = (list: readonly { id: string; name: string }[], id: string) =>
    list.find(one => one.id === id)?.name ?? "what is not here any more";
  switch (payload.kind) {
    case "lid":
      return { ...common, words: `lid ${payload.lid}` };
    case "flame":
      return { ...common, words: `flame at ${printNumber(100 * payload.setting)} %` };
    case "put-in":
      return {
        ...common,
        massG: payload.massG,
        words: `${payload.counted ? `${payload.counted}, about ` : ""}${printMass(g(payload.massG))} ${payload.ingredient.name} in`,
      };
    case "taken-out":
      return {
        ...common,
        massG: -(payload.massG ?? 0),
        words: `${payload.massG ? `${printMass(g(payload.massG))} ` : ""}${payload.what}`,
      };
    case "moved": {
      const { burnerId, vesselId } = payload;
      const to = [
        burnerId === null ? "off the fire" : burnerId && `to ${nameOf(kitchen.data.burners, burnerId)}`,
        vesselId && `over into ${nameOf(kitchen.vessels, vesselId)}`,
      ];
      return { ...common, words: to.filter(Boolean).join(", ") };
    }
  }
}

export interface Legs {
  readonly legs: readonly Leg[];
  /** Where the pot stands at the end of them. */
  readonly put: Put;
  /** All that was done to it, the tally of skims too. */
  readonly turns: readonly Turn[];
  readonly problems: readonly string[];
}

const putBy = (put: Put, payload: TurnPayload): Put =>
  payload.kind === "moved"
    ? {
        ...put,
        ...(payload.burnerId !== undefined && { burnerId: payload.burnerId }),
        ...(payload.vesselId !== undefined && { vesselId: payload.vesselId }),
      }
    : put;

/**
 * A step as it was really gone through. What happened before it began changes the pot it begins with; what happened after
 * it was done, the pot it left.
 *
 * @param own events of the step that count, in order
 * @param put where the pot has been put before
 */
export function legsOf(
  plan: StateAfterStep,
  begin: {
    readonly pot: PotState;
    readonly vessel: Vessel | null;
    readonly lines: readonly ResolvedLine[];
    readonly begunAt: number | null;
    readonly doneAt: number | null;
  },
  own: readonly RunEvent[],
  around: Around,
  before: Put,
): Legs & {
  readonly from: PotState;
  readonly foreseen: StateAfterStep | null;
  readonly end: (pot: PotState) => PotState;
} {
  const { kitchen } = around;
  const { begunAt, doneAt } = begin;
  const all = own.flatMap(event => {
    const payload = turnOf(event);
    return payload ? [{ payload, turn: turnIn(payload, event, kitchen) }] : [];
  });
  const problems: string[] = [];
  const refused = (found: readonly Problem[]) => problems.push(...found.map(p => p.message));
  // What goes in where nothing stood yet chooses its pot.
  const byHand = (now: PotState, inVessel: Vessel | null, payload: TurnPayload) => {
    const done = handled(now, inVessel, payload, around);
    if (!done.ok) refused(done.problems);
    return done.ok ? done.value : { pot: now, vessel: inVessel };
  };

  // What the formula says of its own pot and burner holds again from its step on.
  let put: Put = {
    ...before,
    ...("burnerId" in plan.step && plan.step.burnerId && { burnerId: undefined }),
    ...("vesselId" in plan.step && plan.step.vesselId && { vesselId: undefined }),
  };
  let pot = begin.pot;
  let vessel = begin.vessel;
  const vesselOf = (now: Vessel | null) =>
    put.vesselId === undefined ? now : (kitchen.vessels.find(v => v.id === put.vesselId) ?? now);
  const early = all.filter(({ turn }) => begunAt === null || turn.at < begunAt);
  for (const { payload } of early) {
    ({ pot, vessel } = byHand(pot, vessel, payload));
    put = putBy(put, payload);
  }
  vessel = vesselOf(vessel);
  const late = all.filter(({ turn }) => doneAt !== null && turn.at > doneAt);
  const end = (ended: PotState): PotState =>
    late.reduce((now, { payload }) => byHand(now, vessel, payload).pot, ended);
  const turns = all.map(({ turn }) => turn);
  const first = foresee(plan, plan.step, pot, vessel, begin.lines, around, put);
  if (!first.ok) {
    refused(first.problems);
    for (const { payload } of all) put = putBy(put, payload);
    return { legs: [], put, turns, problems, from: pot, foreseen: null, end };
  }
  const from = pot;
  if (begunAt === null) return { legs: [], put, turns, problems, from, foreseen: first.value, end };

  const paused = () => put.burnerId === null;
  const legs: Leg[] = [{ at: begunAt, from, vessel, foreseen: first.value, turn: null, paused: paused() }];
  let step = plan.step;
  let lines = begin.lines;
  let heat: Heat = {};
  for (const { payload, turn } of all) {
    const leg = legs.at(-1);
    if (!leg || turn.at < begunAt || (doneAt !== null && turn.at > doneAt)) continue;
    if (!changes(payload)) continue;
    const atS = leg.paused ? 0 : (turn.at - leg.at) / 1000;
    const stood = leg.paused
      ? leg.from
      : standsAt(leg, atS, foreseeDone(leg, step, lines, atS), {
          legs,
          begunAt,
          readings: readingsOf(
            own.filter(e => timeOf(e) < turn.at),
            () => ({ pot: leg.foreseen.pot, vessel: leg.foreseen.vessel, foreseenG: undefined }),
            kitchen,
          ),
          at: turn.at,
          step,
        });
    step = standing(
      leg.paused ? step : restOf(step, atS, leg.foreseen.durationS, leg.from),
      leg.foreseen,
      payload,
    );
    lines = leg.paused && legs.length === 1 ? lines : [];
    put = putBy(put, payload);
    if (payload.kind === "lid") heat = { ...heat, lid: payload.lid };
    if (payload.kind === "flame") heat = { ...heat, setting: payload.setting };
    const { pot: stands, vessel: standsIn } = byHand(stood, leg.foreseen.vessel, payload);
    const over = payload.kind === "moved" && payload.vesselId !== undefined;
    const inVessel = over ? vesselOf(standsIn) : standsIn;
    const next = foresee(plan, step, stands, inVessel, lines, around, put, heat);
    if (!next.ok) {
      refused(next.problems);
      continue;
    }
    legs.push({ at: turn.at, from: stands, vessel: inVessel, foreseen: next.value, turn, paused: paused() });
  }
  for (const { payload } of late) put = putBy(put, payload);
  return { legs, put, turns, problems, from, foreseen: legs.at(-1)?.foreseen ?? first.value, end };

  function foreseeDone(
    leg: Leg,
    now: Step,
    withLines: readonly ResolvedLine[],
    atS: number,
  ): PotState | null {
    const done = doneOf(now, atS, leg.foreseen.durationS);
    const stood = done && foresee(plan, done, leg.from, leg.vessel, withLines, around, put, heat);
    return stood?.ok ? stood.value.pot : null;
  }
}

/**
 * The pot at a moment of a leg, put right by what was read until then.
 * @param done the pot after so much of the step; `null` where only heat and steam tell
 */
function standsAt(
  leg: Leg,
  atS: number,
  done: PotState | null,
  so: {
    readonly legs: readonly Leg[];
    readonly begunAt: number;
    readonly readings: readonly Reading[];
    readonly at: number;
    readonly step: Step;
  },
): PotState {
  const course = courseOf(leg.from, leg.foreseen);
  const through = kindOf(so.step).steams ? "vapour" : "poured";
  const byCourse = (): PotState => {
    if (!course) return leg.foreseen.pot;
    const put = reconcile(leg.from, g(interpolate(course.seconds, course.mass, atS)), through);
    const temperatureC = degC(interpolate(course.seconds, course.temperature, atS));
    return { ...(put.ok ? put.value : leg.from), temperatureC };
  };
  const pot = done ?? byCourse();
  const progress = {
    step: so.step,
    begunAt: so.begunAt,
    legs: so.legs,
    readings: so.readings,
    foreseen: leg.foreseen,
    fromVessel: leg.vessel,
  } satisfies Parameters<typeof trackStep>[0] & Partial<StepProgress>;
  const tracked = trackStep(progress, START_SD * potMass(leg.from));
  if (!tracked) return pot;
  const mass = predict(tracked.tracker, (so.at - so.begunAt) / 1000 - tracked.tracker.atS).massG;
  const put = reconcile(pot, g(mass), through);
  return put.ok ? put.value : pot;
}

/** How well a pot is known that nobody weighed, share of its mass. Our estimate. */
const START_SD = 0.03;
