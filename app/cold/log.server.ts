import { data } from "react-router";
import { ulid } from "ulid";
import {
  HOLD_C,
  TEMPER_MIN,
  expectedFold,
  inShallowPans,
  judgeCooling,
  judgeHolding,
  judgeReheating,
  judgeTempering,
} from "~/core/day";
import { openKitchen } from "~/core/formula";
import { COOLING_METHOD_WORDS, PROFILES, projectCooling } from "~/core/laws/cooling";
import { PRESETS, lethality, yolkPreset } from "~/core/laws/lethality";
import { addEntry, database, findLog, listDevices } from "~/data";
import { must, number, readForm, words } from "../form.server";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { PROBE_ERROR_K, readingsOf } from "./cold.server";
import type { Route } from "./+types/log";

/** An instrument’s figure is taken while it is so fresh. */
const FRESH_MS = 10 * 60_000;

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { db } = database();
  const found = await findLog(db, section.kitchenId, params.logId);
  if (!found) throw data("There is no such log in this kitchen.", { status: 404 });
  const { log, entries } = found;
  const kitchen = await snapshotOf(section);
  const opened = openKitchen({ ...kitchen, formulas: {} });
  const readings = readingsOf(log, entries);
  const closed = entries.find(e => e.kind === "closed") ?? null;
  const nowMin = ((closed?.at.getTime() ?? Date.now()) - log.startedAt.getTime()) / 60_000;
  const limitC = log.limitC ?? HOLD_C[log.profile];
  const vessel = opened.vessels.find(v => v.id === log.vesselId);
  const method = log.method ?? "walk-in";
  const massG = log.massG ?? 0;
  const pace = expectedFold({ massG, vessel, method }, opened);
  const cooling =
    log.kind === "cooling"
      ? judgeCooling(readings, log.profile, pace?.sinkC ?? 3, pace?.minutesPerFold ?? 60, PROBE_ERROR_K)
      : null;
  const shallow = log.kind === "cooling" && massG > 0 ? inShallowPans({ massG, method }, opened) : null;
  const late = cooling?.ahead.some(a => a.outlook !== "on-track") ?? false;
  const next = cooling?.ahead[0];
  const gained =
    shallow && late && next && readings.length
      ? projectCooling(readings.slice(-1), shallow.pace.sinkC, shallow.pace.minutesPerFold)
      : null;
  const last = readings.at(-1);
  return {
    log: {
      ...log,
      methodWords: log.method ? COOLING_METHOD_WORDS[log.method] : null,
      vesselName: vessel?.name ?? null,
    },
    startedBy: section.people.find(p => p.id === log.startedBy)?.name ?? "",
    kitchen: kitchen.name,
    timeZone: kitchen.timeZone,
    entries,
    readings,
    nowMin,
    closed,
    limitC,
    profile: PROFILES[log.profile],
    paceKnown: pace !== null,
    cooling,
    holding: log.kind === "holding" ? judgeHolding(readings, limitC, nowMin) : null,
    reheating: log.kind === "reheating" ? judgeReheating(readings, limitC, nowMin) : null,
    tempering:
      log.kind === "tempering"
        ? judgeTempering(log.limitMin ?? TEMPER_MIN, nowMin, closed ? nowMin : null)
        : null,
    yolk: log.kind === "holding" || log.kind === "reheating" ? ofYolk(readings) : null,
    // What it would gain to part it now.
    advice:
      shallow && gained?.ok && next && last
        ? {
            pans: shallow.pans,
            name: shallow.name,
            endC: next.endC,
            atMin: gained.value.crossing(next.endC)?.value ?? null,
            insteadMin: next.at?.value ?? null,
          }
        : null,
    probes: (await listDevices(db, section.kitchenId)).flatMap(d =>
      d.kind === "probe" && d.value !== null && d.readAt && Date.now() - d.readAt.getTime() < FRESH_MS
        ? [{ key: d.key, name: d.name, c: d.value }]
        : [],
    ),
  };
}

/** What the probe’s course is worth against the benchmark of plain yolk; `null` where it does not tell. */
function ofYolk(readings: readonly { min: number; c: number }[]) {
  const preset = PRESETS[yolkPreset(null)];
  const found = readings.length > 1 ? lethality(readings, yolkPreset(null), PROBE_ERROR_K) : null;
  return found?.ok
    ? { ...found.value, asked: preset.benchmarkMin, referenceC: preset.referenceC, source: preset.source }
    : null;
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { db } = database();
  const form = await request.formData();
  const now = new Date();
  const change = { kitchenId: section.kitchenId, personId: section.person.id, now };
  const sent = String(form.get("id") ?? "");
  const id = /^[0-9A-Z]{26}$/.test(sent) ? sent : ulid();
  const entry = { id, at: now, c: null, deviceId: null, words: "" };
  const back = (problem: string) => data({ problems: [problem] }, { status: 422 });
  const kept = (done: boolean) =>
    done ? { problems: [] as string[] } : back("This log is signed: nothing is added to it but words.");
  switch (form.get("intent")) {
    case "probe": {
      const read = readForm(form, {
        c: must(number("The probe", { min: -30, max: 130, unit: "°C" }), "What does the probe show?"),
      });
      if (!read.ok) return back(read.problems[0]?.message ?? "");
      const device = form.get("device");
      return kept(
        await addEntry(db, change, params.logId, {
          ...entry,
          kind: "probe",
          c: read.value.c,
          deviceId: typeof device === "string" && device ? device.slice(0, 40) : null,
        }),
      );
    }
    case "action": {
      const read = readForm(form, { words: words("What was done", 300) });
      if (!read.ok) return back(read.problems[0]?.message ?? "");
      if (!read.value.words) return back("Say what was done about it.");
      return kept(
        await addEntry(db, change, params.logId, { ...entry, kind: "action", words: read.value.words }),
      );
    }
    case "close":
      return kept(await addEntry(db, change, params.logId, { ...entry, kind: "closed" }));
    default:
      throw data("This form asks for nothing that is known here.", { status: 400 });
  }
}
