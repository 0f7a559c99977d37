import { data } from "react-router";
import { ulid } from "ulid";
import { leftNow } from "~/core/day";
import { database, leftOf, noteLeft } from "~/data";
import { must, number, readForm } from "../form.server";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/service";
import { minuteOfMoment } from "./calendar-day";
import { askedDay } from "./day.server";
import { plannedDay } from "./day-plan.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const [{ plan, kept, menu, kitchen }, readings] = await Promise.all([
    plannedDay(section, date),
    leftOf(database().db, section.kitchenId, date),
  ]);
  const now = minuteOfMoment(date, Date.now(), kitchen.timeZone);
  const dueMin = plan.ok ? plan.value.dueMin : 0;
  const sauces = !plan.ok
    ? []
    : menu.flatMap(line => {
        const need = plan.value.needs.find(n => n.formulaId === line.formulaId);
        if (!need) return [];
        const portionG = line.portionG ?? kitchen.formulas[line.formulaId]?.portionG ?? 0;
        const jobs = plan.value.jobs.filter(j => j.formulaId === line.formulaId);
        const first = jobs[0]?.batchId;
        const own = readings
          .filter(r => r.formulaId === line.formulaId)
          .map(r => ({ min: minuteOfMoment(date, r.at, kitchen.timeZone), massG: r.massG }));
        return [
          {
            formulaId: line.formulaId,
            name: need.name,
            portionG,
            gPerMl: need.gPerMl,
            madeG: need.fromStockG + need.toMakeG,
            readings: own.length,
            last: own.at(-1) ?? null,
            now: leftNow({
              madeG: need.fromStockG + need.toMakeG,
              portionG,
              covers: line.covers,
              beginsMin: dueMin,
              lastsMin: kept.lastsMin,
              readings: own,
              nowMin: now,
              leadMin: jobs.filter(j => j.batchId === first).reduce((sum, j) => sum + j.finish - j.start, 0),
            }),
          },
        ];
      });
  return {
    date,
    sauces,
    dueMin,
    midnightMin: plan.ok ? plan.value.midnightMin : 0,
    lastsMin: kept.lastsMin,
    nowMin: now,
    measures: kitchen.appliances.flatMap(a =>
      a.kind === "measure" ? [{ id: a.id, name: a.name, holdsMl: a.holdsMl }] : [],
    ),
    problems: plan.ok ? [] : plan.problems.map(p => p.message),
  };
}

/** What is left of a sauce: weighed, or counted in ladles or bottles. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const form = await request.formData();
  const read = readForm(form, {
    left: must(number("What is left", { min: 0, max: 1_000_000 }), "How much is left?"),
    gPerUnit: must(number("The measure", { min: 0.001, max: 100_000 }), "In what is it counted?"),
  });
  if (!read.ok) return data({ problems: read.problems.map(p => p.message) }, { status: 422 });
  const { db } = database();
  const now = new Date();
  const sent = String(form.get("id") ?? "");
  await noteLeft(db, { kitchenId: section.kitchenId, personId: section.person.id, now }, date, {
    id: /^[0-9A-Z]{26}$/.test(sent) ? sent : ulid(),
    formulaId: String(form.get("formulaId") ?? "").slice(0, 40),
    at: now,
    massG: read.value.left * read.value.gPerUnit,
  });
  return { problems: [] as string[] };
}
