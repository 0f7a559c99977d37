import {
  type Kitchen,
  type StateAfterStep,
  type Step,
  HANDS_ON,
  keepsDays,
  kindOf,
  linesOf,
  placeOf,
  titleWithPan,
} from "../formula";
import type { Appliance } from "../kit";
import { roomOn } from "../kit";
import { geometryOfVessel } from "../things/vessel";
import type { Batch, Need } from "./needs";
import type { After, Segment, Task } from "./schedule";

/** What has to be done for a pot: its parts with hands, fire, ovens, pots and cold, as the schedule reads them. */

/** A part of a pot’s way that is worked without a pause. */
export interface Job {
  readonly id: string;
  readonly batchId: string;
  readonly formulaId: string;
  readonly name: string;
  /** "roast to strain", "cool", "finish". */
  readonly part: string;
  readonly steps: readonly {
    readonly id: string;
    readonly title: string;
    readonly fromMin: number;
    readonly toMin: number;
  }[];
  /** Volume at its fullest, ml: as wide as it is drawn. */
  readonly volumeMl: number;
  readonly vesselIds: readonly string[];
  readonly place: "fire" | "oven" | "bench" | "cold";
  readonly task: Task;
}

/** Hands are on a pot at its beginning and its end so long at most, where it only wants a look now and then. */
const MOST_AT_AN_END = 15;
/** What is not to be kept is served so long after it is ready, unless its own line holds it. Common practice, no source. */
const NOT_KEPT_MIN = 60;
/** Hot liquor is not left standing before it is cooled. Guidance: the local code decides. */
const BEFORE_COOLING_MIN = 15;
const DAY_MIN = 1440;
/** Below this a pot is on no fire while something goes into it. */
const WARM_C = 45;
const COLD_TOO: ReadonlySet<string> = new Set(["add", "season", "note"]);

/** What the schedule counts: cooks, burners, blenders, each oven and cold place by name, each pot. */
export const potOf = (vesselId: string): string => `pot ${vesselId}`;

/** What there is of everything, as the schedule reads it. */
export function capacityOf(
  kitchen: Kitchen,
  cooks: number,
  without: ReadonlySet<string>,
): Record<string, number> {
  const { burners, appliances } = kitchen.data;
  const capacity: Record<string, number> = {
    cook: cooks,
    burner: burners.filter(b => !without.has(b.id)).reduce((sum, b) => sum + roomOn(b), 0),
    blender: appliances.filter(a => a.kind === "blender" && !without.has(a.id)).length,
  };
  for (const a of appliances) {
    if (without.has(a.id)) continue;
    if (a.kind === "oven") capacity[a.id] = a.trays;
    if (a.kind === "cold place") capacity[a.id] = Math.floor(a.holdsMl / 1000);
  }
  for (const vessel of kitchen.vessels) capacity[potOf(vessel.id)] = 1;
  return capacity;
}

/**
 * The jobs of all pots of a day.
 *
 * A pot’s line is cut where it goes into the cold: what comes after may wait as long as it keeps. What a sauce draws on is
 * ready before it begins. Hands are counted by the attention of each kind of step (`HANDS_ON`).
 *
 * @param dueMin     minute of service in the plan
 * @param midnightMin minute at which the day of service begins
 */
export function jobsOf(
  needs: readonly Need[],
  kitchen: Kitchen,
  capacity: Readonly<Record<string, number>>,
  when: {
    readonly dueMin: number;
    readonly midnightMin: number;
    readonly readyMin: ReadonlyMap<string, number>;
  },
): Job[] {
  const pots = potsFor(needs, kitchen);
  const made = needs.flatMap(need => need.batches.map(batch => partsOf(batch, kitchen, capacity, pots)));
  const lastOf = new Map<string, Job[]>();
  for (const parts of made) {
    const last = parts.at(-1);
    if (last) lastOf.set(last.formulaId, [...(lastOf.get(last.formulaId) ?? []), last]);
  }
  const drawn = new Set(needs.flatMap(need => need.batches.flatMap(batch => drawnOn(batch))));
  return made.flatMap(parts =>
    parts.map((job, i): Job => {
      const batch = needs.flatMap(need => need.batches).find(b => b.id === job.batchId) as Batch;
      const after: After[] = [];
      const before = parts[i - 1];
      if (before)
        after.push({
          id: before.id,
          hold: job.place === "cold" ? BEFORE_COOLING_MIN : keptMin(batch, kitchen),
        });
      else
        for (const id of drawnOn(batch))
          for (const mother of lastOf.get(id) ?? [])
            after.push({ id: mother.id, hold: keptMin(batchOf(needs, mother.batchId), kitchen) });
      const isLast = i === parts.length - 1;
      const onMenu = when.readyMin.get(job.formulaId);
      const task: Task = {
        ...job.task,
        ...(after.length && { after }),
        ...(isLast &&
          onMenu !== undefined && {
            due: when.dueMin - onMenu,
            maxHold: servedWithin(batch, kitchen, when.dueMin - when.midnightMin),
          }),
        ...(isLast && onMenu === undefined && !drawn.has(job.formulaId) && { due: when.dueMin }),
      };
      return { ...job, task };
    }),
  );
}

const timesOf = ({ formulaId }: Batch, kitchen: Kitchen): number =>
  kitchen.data.habits?.[formulaId]?.time ?? 1;

const batchOf = (needs: readonly Need[], id: string): Batch =>
  needs.flatMap(need => need.batches).find(batch => batch.id === id) as Batch;

/** Formulas that a pot draws on and that are made on the same day. */
const drawnOn = (batch: Batch): string[] => [
  ...new Set(linesOf(batch.document).flatMap(({ of }) => ("formula" in of ? [of.formula] : []))),
];

/** Minutes a part may wait for the next: by the days it keeps, the day of making being the first. */
function keptMin(batch: Batch, kitchen: Kitchen): number {
  const days = keepsDays(batch.document, batch.walked, kitchen.facts);
  return days >= 1 ? Math.round((days - 0.5) * DAY_MIN) : NOT_KEPT_MIN;
}

/** How long before service it may be ready: within its days; what is not kept, as long as its own line holds it. */
function servedWithin(batch: Batch, kitchen: Kitchen, serviceMin: number): number {
  const days = keepsDays(batch.document, batch.walked, kitchen.facts);
  if (days >= 1) return (days - 1) * DAY_MIN + serviceMin;
  const held = heldAtEnd(batch.walked.states).reduce((sum, s) => sum + s.durationS / 60, 0);
  return Math.max(1, Math.round(held || NOT_KEPT_MIN));
}

/** Steps at the end that only keep it warm: that is the window of service, not work before it. */
function heldAtEnd(states: readonly StateAfterStep[]): readonly StateAfterStep[] {
  let from = states.length;
  while (from > 0 && states[from - 1]?.step.kind === "hold") from -= 1;
  return states.slice(from);
}

/** Cooling and freezing part a line in two; a short chill belongs to the work around it. */
const parts = (state: StateAfterStep): boolean => placeOf(state.step) === "cold" && state.durationS >= 600;

function partsOf(
  batch: Batch,
  kitchen: Kitchen,
  capacity: Readonly<Record<string, number>>,
  pots: ReadonlyMap<string, string>,
): Job[] {
  const states = batch.walked.states.slice(
    0,
    batch.walked.states.length - heldAtEnd(batch.walked.states).length,
  );
  const groups: StateAfterStep[][] = [];
  for (const state of states) {
    const last = groups.at(-1);
    const cut = !last || parts(state) || last.some(parts);
    if (cut) groups.push([state]);
    else last.push(state);
  }
  return groups.map((group, i) => jobOf(batch, group, i, kitchen, capacity, pots));
}

function jobOf(
  batch: Batch,
  group: readonly StateAfterStep[],
  index: number,
  kitchen: Kitchen,
  capacity: Readonly<Record<string, number>>,
  pots: ReadonlyMap<string, string>,
): Job {
  const begin = Math.min(...group.map(s => s.clockS - s.durationS));
  // What this kitchen takes longer than the sums, it takes all along.
  const minutesFrom = (seconds: number): number => ((seconds - begin) / 60) * timesOf(batch, kitchen);
  const steps = group.map(state => ({
    id: state.step.id,
    title: titleWithPan(
      state.step,
      state.lines.map(line => line.name),
    ),
    fromMin: minutesFrom(state.clockS - state.durationS),
    toMin: minutesFrom(state.clockS),
  }));
  const pieces = group.flatMap((state, i) => {
    const step = steps[i] as (typeof steps)[number];
    return needsOfStep(
      state,
      step.fromMin,
      step.toMin,
      kitchen,
      capacity,
      pot => pots.get(`${batch.id} ${pot}`) ?? pot,
    );
  });
  const { segments, handsMin, minutes } = sliced(pieces, capacity);
  const places = group.map(state => placeOf(state.step));
  return {
    id: `${batch.id}/${index + 1}`,
    batchId: batch.id,
    formulaId: batch.formulaId,
    name: batch.document.name,
    part: partName(group.map(state => state.step)),
    steps,
    volumeMl: Math.max(0, ...group.map(state => state.volumeMl ?? state.massG)),
    vesselIds: [
      ...new Set(
        group.flatMap(s => (s.vessel ? [pots.get(`${batch.id} ${s.vessel.id}`) ?? s.vessel.id] : [])),
      ),
    ],
    place: (["fire", "oven", "cold", "bench"] as const).find(place => places.includes(place)) ?? "bench",
    task: {
      id: `${batch.id}/${index + 1}`,
      name: batch.document.name,
      segments,
      // Our estimate: a tenth of the time nobody is at it, a fifth of hands’ own.
      sd: 0.1 * (minutes - handsMin) + 0.2 * handsMin,
    },
  };
}

function partName(steps: readonly Step[]): string {
  const [first, last] = [steps[0], steps.at(-1)];
  if (!first || !last) return "";
  const [from, to] = [first, last].map(step => kindOf(step).label.toLowerCase());
  return first === last || from === to ? (from ?? "") : `${from} to ${to}`;
}

/** What is taken from a minute to another. */
interface Piece {
  readonly from: number;
  readonly to: number;
  readonly use: Readonly<Record<string, number>>;
  readonly oven?: { readonly anyOf: readonly string[]; readonly units: number; readonly c: number };
}

function needsOfStep(
  state: StateAfterStep,
  from: number,
  to: number,
  kitchen: Kitchen,
  capacity: Readonly<Record<string, number>>,
  pot: (vesselId: string) => string,
): Piece[] {
  const kind = kindOf(state.step);
  const minutes = to - from;
  const found: Piece[] = [];
  if (kind.attention === "watch") found.push({ from, to, use: { cook: 1 } });
  else {
    const end = Math.min(MOST_AT_AN_END, (HANDS_ON[kind.attention] * minutes) / 2);
    found.push({ from, to: from + end, use: { cook: 1 } }, { from: to - end, to, use: { cook: 1 } });
  }
  const place = placeOf(state.step);
  // A cold sauce is seasoned, and added to, where it stands.
  const cold = COLD_TOO.has(state.step.kind) && state.temperatureC < WARM_C;
  if (place === "fire" && !cold) found.push({ from, to, use: { burner: 1 } });
  const c = kind.ovenC?.(state.step);
  if (place === "oven" && c != null) {
    const ovens = ovensOf(kitchen, capacity);
    const most = Math.max(1, ...ovens.map(oven => oven.trays));
    const trays = "trays" in state.step && typeof state.step.trays === "number" ? state.step.trays : 1;
    found.push({
      from,
      to,
      use: {},
      oven: { anyOf: ovens.map(oven => oven.id), units: Math.min(trays, most), c },
    });
  }
  if (state.step.kind === "blend") found.push({ from, to, use: { blender: 1 } });
  if (state.step.kind === "cool") {
    const { method } = state.step;
    const where = kitchen.data.appliances.find(
      a => a.kind === "cold place" && a.method === method && capacity[a.id] !== undefined,
    );
    if (where)
      found.push({
        from,
        to,
        use: { [where.id]: Math.min(capacity[where.id] ?? 1, Math.max(1, Math.ceil(state.massG / 1000))) },
      });
  }
  if (state.vessel && state.vessel.use !== "tray")
    found.push({ from, to, use: { [potOf(pot(state.vessel.id))]: 1 } });
  return found;
}

type Oven = Extract<Appliance, { kind: "oven" }>;
const ovensOf = (kitchen: Kitchen, capacity: Readonly<Record<string, number>>): Oven[] =>
  kitchen.data.appliances.filter((a): a is Oven => a.kind === "oven" && capacity[a.id] !== undefined);

/** Pieces side by side, cut into segments that follow each other, in whole minutes. */
function sliced(
  pieces: readonly Piece[],
  capacity: Readonly<Record<string, number>>,
): { segments: Segment[]; handsMin: number; minutes: number } {
  const whole = pieces.map(p => ({
    ...p,
    from: Math.round(p.from),
    to: Math.max(Math.round(p.from) + 1, Math.round(p.to)),
  }));
  const cuts = [...new Set(whole.flatMap(p => [p.from, p.to]))].sort((a, b) => a - b);
  const segments: Segment[] = [];
  let handsMin = 0;
  for (let i = 1; i < cuts.length; i++) {
    const [from, to] = [cuts[i - 1] as number, cuts[i] as number];
    const use: Record<string, number> = {};
    let oven: Piece["oven"];
    for (const piece of whole) {
      if (piece.from >= to || piece.to <= from) continue;
      for (const [name, units] of Object.entries(piece.use))
        use[name] = Math.min(capacity[name] ?? 1, (use[name] ?? 0) + units);
      oven ??= piece.oven;
    }
    handsMin += use.cook ? to - from : 0;
    const atSetting = oven && {
      anyOf: oven.anyOf,
      units: oven.units,
      setting: `${oven.c} °C`,
    };
    segments.push({ minutes: to - from, use, ...(atSetting && { atSetting }) });
  }
  return { segments, handsMin, minutes: (cuts.at(-1) ?? 0) - (cuts[0] ?? 0) };
}

/** A pot may stand in for one that is smaller by this. */
const LARGER = 1.8;
const SMALLER = 0.85;

/**
 * Which pot each takes: its own, or one of its kind that is less asked for, so that not all wait for the same saucepan.
 * @returns by "batch vessel"
 */
function potsFor(needs: readonly Need[], kitchen: Kitchen): Map<string, string> {
  const load = new Map<string, number>();
  const chosen = new Map<string, string>();
  for (const need of needs)
    for (const batch of need.batches) {
      const minutes = new Map<string, number>();
      for (const { vessel, durationS } of batch.walked.states)
        if (vessel) minutes.set(vessel.id, (minutes.get(vessel.id) ?? 0) + durationS / 60);
      const taken = new Set<string>();
      for (const [id, time] of minutes) {
        const own = kitchen.vessels.find(vessel => vessel.id === id);
        if (!own || own.use === "tray") continue;
        const size = geometryOfVessel(own).capacityMl;
        const alike = kitchen.vessels.filter(
          v =>
            v.use === own.use &&
            !taken.has(v.id) &&
            (v.id === id ||
              (!minutes.has(v.id) &&
                geometryOfVessel(v).capacityMl >= SMALLER * size &&
                geometryOfVessel(v).capacityMl <= LARGER * size)),
        );
        const best = alike.reduce((a, b) => ((load.get(b.id) ?? 0) < (load.get(a.id) ?? 0) ? b : a), own);
        taken.add(best.id);
        load.set(best.id, (load.get(best.id) ?? 0) + time);
        chosen.set(`${batch.id} ${id}`, best.id);
      }
    }
  return chosen;
}
