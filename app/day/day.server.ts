import { data } from "react-router";
import { ulid } from "ulid";
import { type Result, ok } from "~/core/ground/result";
import {
  type StoredDay,
  addClosed,
  closedBetween,
  dropClosed,
  dropMenuLine,
  database,
  findDay,
  pinJob,
  plannedDays,
  saveDay,
  saveMenuLine,
  unpin,
} from "~/data";
import { anyOf, must, number, readForm, ticked, timeOfDay, usually, words } from "../form.server";
import { madeHereOf, snapshotOf } from "../kitchen/kitchen.server";
import { type SectionWithPerson, requirePerson } from "../people/person.server";
import type { Route } from "./+types/day";
import { dayAsked, dayIn, momentOfMinute } from "./calendar-day";
import { closedFrom } from "./closed.server";
import { plannedDay } from "./day-plan.server";

/** The day of an address. */
export function askedDay(params: { readonly date?: string }): string {
  const date = dayAsked(params.date);
  if (!date) throw data("That is no day. Choose one from the Day sheet.", { status: 404 });
  return date;
}

/** The next day with a menu, or today. */
export async function firstDay(section: SectionWithPerson): Promise<string> {
  const { timeZone } = await snapshotOf(section);
  const today = dayIn(Date.now(), timeZone);
  const planned = await plannedDays(database().db, section.kitchenId, 60);
  return (
    planned
      .map(day => day.date)
      .filter(date => date >= today)
      .at(-1) ?? today
  );
}

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const [planned, made] = await Promise.all([plannedDay(section, date), madeHereOf(section)]);
  const { kitchen, kept, menu, plan, cooked, nowMin } = planned;
  return {
    date,
    kept,
    menu,
    cooked,
    nowMin,
    plan: plan.ok ? plan.value : null,
    problems: plan.ok ? [] : plan.problems.map(p => p.message),
    portions: Object.fromEntries(
      menu.map(line => [line.formulaId, kitchen.formulas[line.formulaId]?.portionG ?? null]),
    ),
    formulas: Object.entries(made)
      .map(([id, { name }]) => ({ id, name }))
      .sort((a, b) => a.name.localeCompare(b.name, "en")),
    people: section.people.filter(person => !person.left),
    closed: await closedBetween(
      database().db,
      section.kitchenId,
      momentOfMinute(date, 0, kitchen.timeZone),
      momentOfMinute(date, 3 * 1440, kitchen.timeZone),
    ),
    timeZone: kitchen.timeZone,
  };
}

const LARGEST_CALENDAR = 1_000_000;

export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const { kitchenId, person } = section;
  const { db } = database();
  const form = await request.formData();
  const change = { kitchenId, personId: person.id, now: new Date() };
  const back = (problems: readonly { message: string; field: string }[]) =>
    data({ problems }, { status: 422 });
  const found = await findDay(db, kitchenId, date);
  // What is put on a day makes it one.
  const makeDay = async () => {
    if (!found.day) await saveDay(db, change, (await plannedDay(section, date)).kept);
  };
  switch (form.get("intent")) {
    case "day": {
      const kept = await readDay(section, date, form);
      if (!kept.ok) return back(kept.problems);
      await saveDay(db, change, kept.value);
      return done();
    }
    case "line": {
      const line = readForm(form, {
        covers: must(number("Covers", { min: 1, max: 100_000 }), "How many guests take it?"),
        portionG: number("The portion", { min: 0.1, max: 100_000, unit: "g" }),
        overagePct: usually(number("Made over", { min: 0, max: 100, unit: "%" }), 5),
        lossPct: usually(number("Left in pots and bottles", { min: 0, max: 50, unit: "%" }), 3),
        readyMin: usually(number("Ready before service", { min: 0, max: 1440, unit: "min" }), 15),
      });
      if (!line.ok) return back(line.problems);
      const formulaId = String(form.get("formulaId"));
      const made = await madeHereOf(section);
      if (!Object.hasOwn(made, formulaId))
        return back([{ field: "formulaId", message: "Choose a sauce of this kitchen." }]);
      await makeDay();
      const id = String(form.get("id") ?? "");
      await saveMenuLine(db, change, date, {
        id: found.menu.some(known => known.id === id) ? id : ulid(),
        formulaId,
        ...line.value,
        covers: Math.round(line.value.covers),
        readyMin: Math.round(line.value.readyMin),
      });
      return done();
    }
    case "drop": {
      await dropMenuLine(db, change, date, String(form.get("id")));
      return done();
    }
    case "pin": {
      const pin = readForm(form, {
        startMin: must(number("The start", { min: 0, max: 20_160 }), "When does it begin?"),
        minutes: number("How long it takes", { min: 1, max: 10_080, unit: "min" }),
      });
      if (!pin.ok) return back(pin.problems);
      const jobId = String(form.get("job")).slice(0, 80);
      await makeDay();
      await pinJob(db, change, date, jobId, {
        startMin: Math.round(pin.value.startMin),
        ...(pin.value.minutes !== null && { minutes: Math.round(pin.value.minutes) }),
      });
      return done();
    }
    case "unpin": {
      const job = form.get("job");
      await unpin(db, kitchenId, date, typeof job === "string" && job ? job : undefined);
      return done();
    }
    case "closed": {
      const file = form.get("file");
      if (!(file instanceof File) || !file.size)
        return back([{ field: "file", message: "Choose the calendar file (.ics) with the closed times." }]);
      if (file.size > LARGEST_CALENDAR)
        return back([
          {
            field: "file",
            message: "That calendar is larger than a megabyte: send out only the closed times.",
          },
        ]);
      const kitchen = await snapshotOf(section);
      const resource =
        [...kitchen.burners, ...kitchen.appliances].find(t => t.id === form.get("resource"))?.id ??
        "everybody";
      const times = closedFrom(await file.text(), resource, change.now);
      if (!times.ok) return back(times.problems);
      if (!times.value.length)
        return back([
          {
            field: "file",
            message: "No event of this calendar lies in the next four months: nothing was taken.",
          },
        ]);
      await addClosed(db, kitchenId, times.value);
      return done();
    }
    case "open": {
      await dropClosed(db, kitchenId, String(form.get("id")));
      return done();
    }
    default:
      throw data("This form asks for nothing that is known here.", { status: 400 });
  }
}

const done = () => ({ problems: [] as readonly { message: string; field: string }[] });

async function readDay(section: SectionWithPerson, date: string, form: FormData): Promise<Result<StoredDay>> {
  const { burners, appliances } = await snapshotOf(section);
  const gear = [...burners, ...appliances].map(thing => thing.id);
  const people = section.people.map(person => person.id);
  const read = readForm(
    form,
    {
      serviceMin: must(timeOfDay("Service"), "When does service begin?"),
      lastsMin: usually(number("Service lasts", { min: 15, max: 1440, unit: "min" }), 240),
      cooks: anyOf(people),
      // What is ticked is to be had; the rest is not.
      there: anyOf(gear),
      atNight: ticked,
      note: words("The note", 600),
    },
    ({ cooks }) =>
      cooks?.length
        ? []
        : [{ code: "MISSING", field: "cooks", message: "Tick who is on: nobody cooks by himself." }],
  );
  if (!read.ok) return read;
  const { there, ...rest } = read.value;
  return ok({
    date,
    ...rest,
    lastsMin: Math.round(rest.lastsMin),
    without: gear.filter(id => !there.includes(id)),
  });
}
