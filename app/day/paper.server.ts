import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/paper";
import { askedDay } from "./day.server";
import { plannedDay } from "./day-plan.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const date = askedDay(params);
  const { plan, kept, kitchen } = await plannedDay(section, date);
  const nameOf = (id: string): string => section.people.find(p => p.id === id)?.name ?? id;
  const stations = [...kitchen.burners, ...kitchen.appliances].map(({ id, name }) => ({ id, name }));
  const jobs = plan.ok ? plan.value.jobs : [];
  return {
    date,
    kitchen: kitchen.name,
    demo: section.demo,
    note: kept.note,
    midnightMin: plan.ok ? plan.value.midnightMin : 0,
    dueMin: plan.ok ? plan.value.dueMin : 0,
    verdict: plan.ok ? plan.value.verdict : (plan.problems[0]?.message ?? ""),
    cooks: kept.cooks.map(id => ({
      name: nameOf(id),
      jobs: jobs.flatMap(job => {
        const hands = job.hands.filter(h => h.personId === id);
        return hands.length ? [{ ...job, from: hands[0]?.from ?? job.start }] : [];
      }),
    })),
    stations: stations.flatMap(station => {
      const own = jobs.flatMap(job =>
        job.stands
          .filter(s => s.at === station.id)
          .map(s => ({ title: job.title, from: s.from, to: s.to, vessels: job.vessels })),
      );
      return own.length ? [{ name: station.name, jobs: own.sort((a, b) => a.from - b.from) }] : [];
    }),
  };
}
