import { data, redirect } from "react-router";
import { ulid } from "ulid";
import {
  HOLD_C,
  LOG_KINDS,
  MOVEMENTS,
  expectedFold,
  judgeCooling,
  judgeHolding,
  TEMPER_MIN,
  judgeReheating,
  judgeTempering,
  lotState,
  parOf,
  usagePerDay,
} from "~/core/day";
import { openKitchen } from "~/core/formula";
import { COOLING_METHODS } from "~/core/laws/cooling";
import { ALLERGENS } from "~/core/things/larder";
import {
  type LogEntry,
  type StoredLog,
  addLot,
  database,
  listBatches,
  listLogs,
  listLots,
  listPars,
  moveLot,
  pourLot,
  savePar,
  startLog,
} from "~/data";
import { dayIn } from "../day/calendar-day";
import { lotsSince } from "../day/day-plan.server";
import { calledBy, must, number, oneOf, readForm, usually, words } from "../form.server";
import { madeHereOf, snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { bearing } from "../search/meant-by.server";
import { lotOfBatch } from "./lot-of-batch.server";
import type { Route } from "./+types/cold";

const MOST_LOGS = 30;
/** A batch that was not put away so long after is not put away any more. */
const PUT_AWAY_WITHIN_MS = 3 * 24 * 3600_000;
const MOST_BATCHES = 30;

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { db } = database();
  const { kitchenId } = section;
  const [kitchen, made] = await Promise.all([snapshotOf(section), madeHereOf(section)]);
  const { timeZone } = kitchen;
  const today = dayIn(Date.now(), timeZone);
  const [lots, pars, logs, batches] = await Promise.all([
    listLots(db, kitchenId, lotsSince(today)),
    listPars(db, kitchenId),
    listLogs(db, kitchenId, MOST_LOGS),
    listBatches(db, kitchenId, { most: MOST_BATCHES }),
  ]);
  const byId = new Map(lots.map(lot => [lot.id, lot]));
  const day = (at: Date): string => dayIn(at, timeZone);
  const states = lots.map(lot => ({ lot, state: lotState(lot, byId, day) }));
  const ofRun = new Set(lots.map(lot => lot.runId));
  const opened = openKitchen({ ...kitchen, formulas: {} });
  return {
    today,
    timeZone,
    lots: states
      .filter(({ state }) => state.massG > 0)
      .sort((a, b) => (a.state.useBy < b.state.useBy ? -1 : 1))
      .map(({ lot, state }) => ({
        id: lot.id,
        name: lot.name,
        formulaId: lot.formulaId,
        madeOn: lot.madeOn,
        // How it came into the cold, where that is no weighing.
        note: lot.movements[0]?.note ?? "",
        ...state,
        allergens: state.allergens?.map(a => (ALLERGENS as Record<string, string>)[a] ?? a) ?? null,
        // What is left over is offered to what can use it.
        usedIn: lot.formulaId === null ? wordsOfUse(lot.name, kitchen.ingredients) : [],
      })),
    pars: pars.map(par => {
      const own = lots.filter(lot => lot.formulaId === par.formulaId);
      const have = states
        .filter(({ lot, state }) => lot.formulaId === par.formulaId && state.useBy >= today)
        .reduce((sum, { state }) => sum + state.massG, 0);
      return {
        formulaId: par.formulaId,
        name: made[par.formulaId]?.name ?? "a formula that is gone",
        batchG: par.batchG,
        ...parOf(par.parG, have, usagePerDay(own, today, day), par.batchG),
      };
    }),
    waiting: batches
      .filter(b => !ofRun.has(b.runId) && Date.now() - b.finishedAt.getTime() < PUT_AWAY_WITHIN_MS)
      .map(b => ({
        runId: b.runId,
        name: b.name,
        massG: b.actualG ?? b.plannedG,
        measured: b.actualG !== null,
        finishedAt: b.finishedAt,
      })),
    logs: logs.map(({ log, entries }) => ({
      id: log.id,
      name: log.name,
      kind: log.kind,
      startedAt: log.startedAt,
      demo: log.demo,
      closed: entries.some(e => e.kind === "closed"),
      last: entries.findLast(e => e.kind === "probe")?.c ?? null,
      verdict: verdictOf(log, entries, opened),
    })),
    made: Object.entries(made)
      .map(([id, { name }]) => ({ id, name }))
      .sort((a, b) => a.name.localeCompare(b.name, "en")),
    vessels: kitchen.vessels.map(({ id, name }) => ({ id, name })),
    profile: kitchen.house.coolingProfile ?? "fda",
  };
}

/** A log’s readings in minutes from its start. */
export const readingsOf = (log: StoredLog, entries: readonly LogEntry[]) =>
  entries.flatMap(e =>
    e.kind === "probe" && e.c !== null
      ? [{ min: (e.at.getTime() - log.startedAt.getTime()) / 60_000, c: e.c }]
      : [],
  );

/** Error of a probe that nobody has proved, K. */
export const PROBE_ERROR_K = 1;

export function verdictOf(
  log: StoredLog,
  entries: readonly LogEntry[],
  kitchen: ReturnType<typeof openKitchen>,
) {
  const readings = readingsOf(log, entries);
  const closedAt = entries.find(e => e.kind === "closed")?.at.getTime();
  const nowMin = ((closedAt ?? Date.now()) - log.startedAt.getTime()) / 60_000;
  const limitC = log.limitC ?? HOLD_C[log.profile];
  if (log.kind === "tempering")
    return judgeTempering(log.limitMin ?? TEMPER_MIN, nowMin, closedAt === undefined ? null : nowMin).verdict;
  if (log.kind === "holding") return judgeHolding(readings, limitC, nowMin).verdict;
  if (log.kind === "reheating") return judgeReheating(readings, limitC, nowMin).verdict;
  const pace = expectedFold(
    {
      massG: log.massG ?? 0,
      method: log.method ?? "walk-in",
      vessel: kitchen.vessels.find(v => v.id === log.vesselId),
    },
    kitchen,
  );
  return judgeCooling(readings, log.profile, pace?.sinkC ?? 3, pace?.minutesPerFold ?? 60, PROBE_ERROR_K)
    .verdict;
}

/** Words of a name that are things of the larder: what can be looked for among the formulas. */
function wordsOfUse(
  name: string,
  ingredients: readonly { name: string; aliases: readonly string[] }[],
): string[] {
  return [...new Set(name.toLowerCase().match(/[\p{L}]{4,}/gu) ?? [])].filter(word => {
    const bears = bearing(word);
    return ingredients.some(i => [i.name, ...i.aliases].some(n => n.length <= word.length + 2 && bears(n)));
  });
}

const signOf = (form: FormData): string => {
  const sent = String(form.get("id") ?? "");
  return /^[0-9A-Z]{26}$/.test(sent) ? sent : ulid();
};

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { db } = database();
  const { kitchenId, person } = section;
  const form = await request.formData();
  const change = { kitchenId, personId: person.id, now: new Date() };
  const id = signOf(form);
  const back = (problems: readonly { message: string }[]) =>
    data({ problems: problems.map(p => p.message) }, { status: 422 });
  const done = () => ({ problems: [] as string[] });
  const gone = () => back([{ message: "That stands here no more. Look at the list again." }]);
  const kitchen = await snapshotOf(section);
  switch (form.get("intent")) {
    case "put-away": {
      const read = readForm(form, {
        massG: must(
          number("What goes into the cold", { min: 1, max: 5_000_000, unit: "g" }),
          "How much goes into the cold?",
        ),
        place: words("The place", 80),
      });
      if (!read.ok) return back(read.problems);
      const lot = await lotOfBatch(section, String(form.get("runId")));
      if (!lot) return gone();
      await addLot(db, change, { ...lot, id, massG: read.value.massG, place: read.value.place || null });
      return done();
    }
    case "lot": {
      const read = readForm(form, {
        name: calledBy(120),
        massG: must(number("How much", { min: 1, max: 5_000_000, unit: "g" }), "How much is it?"),
        keepDays: usually(number("Days it keeps", { min: 1, max: 400 }), 2),
        place: words("The place", 80),
      });
      if (!read.ok) return back(read.problems);
      const { keepDays, place, ...rest } = read.value;
      await addLot(db, change, {
        ...rest,
        id,
        formulaId: null,
        runId: null,
        madeOn: dayIn(change.now, kitchen.timeZone),
        keepDays: Math.round(keepDays),
        keepC: 4,
        // Nobody has entered them: that is not none.
        allergens: null,
        place: place || null,
      });
      return done();
    }
    case "move": {
      const kind = MOVEMENTS.find(known => known === form.get("kind"));
      const plain = kind === "frozen" || kind === "thawed" || kind === "moved";
      const read = readForm(form, {
        massG: plain
          ? usually(number("How much"), 0)
          : must(number("How much", { min: 0, max: 5_000_000, unit: "g" }), "How much, in grams?"),
        place: words("The place", 80),
        note: words("The note", 200),
      });
      if (!read.ok || !kind || kind === "made" || kind.startsWith("poured"))
        return back(read.ok ? [{ message: "Say what became of it." }] : read.problems);
      const moved = await moveLot(db, change, {
        id,
        lotId: String(form.get("lot")),
        kind,
        massG: plain ? 0 : read.value.massG,
        place: read.value.place || null,
        note: read.value.note,
      });
      return moved ? done() : gone();
    }
    case "pour": {
      const read = readForm(form, {
        massG: must(
          number("How much", { min: 1, max: 5_000_000, unit: "g" }),
          "How much is poured, in grams?",
        ),
      });
      if (!read.ok) return back(read.problems);
      const [from, into] = [String(form.get("lot")), String(form.get("into"))];
      if (from === into) return back([{ message: "Choose another container to pour it into." }]);
      return (await pourLot(db, change, { id, from, into, massG: read.value.massG })) ? done() : gone();
    }
    case "par": {
      const read = readForm(form, {
        parG: usually(number("What is to stand ready", { min: 0, max: 5_000_000, unit: "g" }), 0),
        batchG: number("A usual pot", { min: 1, max: 5_000_000, unit: "g" }),
      });
      if (!read.ok) return back(read.problems);
      const formulaId = String(form.get("formulaId"));
      if (!Object.hasOwn(await madeHereOf(section), formulaId)) return gone();
      await savePar(db, change, { formulaId, ...read.value });
      return done();
    }
    case "log": {
      const read = readForm(form, {
        name: calledBy(120),
        kind: must(oneOf(LOG_KINDS), "What is logged: cooling, holding, warming again, or out of the cold?"),
        method: oneOf(COOLING_METHODS),
        massG: number("How much", { min: 1, max: 5_000_000, unit: "g" }),
        limitC: number("The limit", { min: 40, max: 99, unit: "°C" }),
        limitMin: number("The most", { min: 1, max: 480, unit: "min" }),
      });
      if (!read.ok) return back(read.problems);
      const { kind, method, limitC, limitMin, ...rest } = read.value;
      const profile = kitchen.house.coolingProfile ?? "fda";
      await startLog(db, change, {
        ...rest,
        id,
        kind,
        method: kind === "cooling" ? (method ?? "ice-bath") : null,
        vesselId: kitchen.vessels.find(v => v.id === form.get("vesselId"))?.id ?? null,
        profile,
        limitC:
          kind === "cooling" || kind === "tempering"
            ? null
            : (limitC ?? (kind === "holding" ? HOLD_C[profile] : profile === "fda" ? 74 : 75)),
        limitMin: kind === "tempering" ? (limitMin ?? TEMPER_MIN) : null,
        runId: null,
        lotId: null,
        demo: section.demo,
      });
      return redirect(`/cold/${id}`);
    }
    default:
      throw data("This form asks for nothing that is known here.", { status: 400 });
  }
}
