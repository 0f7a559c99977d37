import { stringify } from "csv-stringify/sync";
import icalendar, { ICalCalendarMethod } from "ical-generator";
import { data } from "react-router";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/plan-file";
import { momentOfMinute } from "./calendar-day";
import { askedDay } from "./day.server";
import { plannedDay } from "./day-plan.server";

/** A day’s jobs as a calendar (RFC 5545), and its order as a table (RFC 4180). */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const { plan, kept } = await plannedDay(section, date);
  if (!plan.ok) throw data(plan.problems[0]?.message ?? "This day has no plan.", { status: 409 });
  if (new URL(request.url).pathname.endsWith(".csv")) {
    const { buy, currency } = plan.value.lists;
    return file(
      stringify([
        [
          "ingredient",
          "to buy (g)",
          "packs",
          "sold as",
          "ready to weigh (g)",
          `cost (${currency || "no currency"})`,
          "for",
        ],
        ...buy
          .filter(item => !item.fromTap)
          .map(item => [
            item.name,
            Math.ceil(item.purchasedG),
            item.packs?.count ?? "",
            item.packs ? `${item.packs.name} of ${item.packs.massG} g` : "",
            Math.round(10 * item.netG) / 10,
            item.cost === null ? "" : item.cost.toFixed(2),
            item.uses.map(use => use.name).join("; "),
          ]),
      ]),
      "text/csv; charset=utf-8",
      `order-${date}.csv`,
    );
  }
  const { timeZone, name } = await snapshotOf(section);
  const nameOf = new Map(section.people.map(person => [person.id, person.name]));
  const calendar = icalendar({
    name: `${name}, ${date}`,
    method: ICalCalendarMethod.PUBLISH,
    prodId: "//hondaro//day//EN",
  });
  for (const job of plan.value.jobs)
    calendar.createEvent({
      // The same job keeps its sign, so that a calendar that takes the plan again moves it.
      id: `${section.kitchenId}-${date}-${job.id.replaceAll("/", "-")}@hondaro`,
      start: momentOfMinute(date, job.start, timeZone),
      end: momentOfMinute(date, job.finish, timeZone),
      summary: job.title,
      description: [job.why, ...new Set(job.hands.map(h => nameOf.get(h.personId) ?? "")), ...job.vessels]
        .filter(Boolean)
        .join("\n"),
    });
  calendar.createEvent({
    id: `${section.kitchenId}-${date}-service@hondaro`,
    start: momentOfMinute(date, plan.value.dueMin, timeZone),
    end: momentOfMinute(date, plan.value.dueMin + kept.lastsMin, timeZone),
    summary: "Service",
  });
  return file(calendar.toString(), "text/calendar; charset=utf-8", `plan-${date}.ics`);
}

const file = (text: string, type: string, name: string): Response =>
  new Response(text, {
    headers: { "Content-Type": type, "Content-Disposition": `attachment; filename="${name}"` },
  });
