import { randomInt } from "node:crypto";
import { data, redirect } from "react-router";
import {
  KINDS,
  KIND_IDS,
  MOST_SEATS,
  WORTH_FINDING,
  keyAt,
  servingPlan,
  tastersNeeded,
} from "~/core/tasting";
import { addTasting, database, listTastings, listVersionsByName } from "~/data";
import { calledBy, must, number, readForm, words } from "../form.server";
import { requirePerson } from "../people/person.server";
import { formOf, listsOf } from "../request.server";
import type { Route } from "./+types/tastings";

const MOST_LISTED = 60;
const MOST_SAMPLES = 6;

export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const { db } = database();
  const query = new URL(request.url).searchParams;
  const [tastings, versions] = await Promise.all([
    listTastings(db, kitchenId, MOST_LISTED),
    listVersionsByName(db, kitchenId),
  ]);
  return {
    tastings,
    versions,
    asked: { a: query.get("a") ?? "", b: query.get("b") ?? "" },
    // How many tasters it takes, for what share of people who notice.
    needed: ([0.3, WORTH_FINDING] as const).map(noticing => ({
      noticing,
      triangle: neededFor("triangle", noticing),
      duo: neededFor("duo-trio", noticing),
    })),
  };
}

function neededFor(test: "triangle" | "duo-trio", noticing: number): number | null {
  const found = tastersNeeded(test, noticing, 0.8);
  return found.ok ? found.value : null;
}

const CODES = 900;

/** Sets a tasting up. */
export async function action({ context, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const form = await formOf(request);
  const kind = KIND_IDS.find(k => k === form.get("kind")) ?? "triangle";
  const typed = listsOf(form);
  const back = (problems: readonly string[]) => data({ problems, typed }, { status: 422 });
  const read = readForm(form, {
    name: calledBy(120),
    question: words("What is asked", 60),
    seats: must(number("How many tasters", { min: 1, max: MOST_SEATS }), "How many tasters?"),
  });
  if (!read.ok) return back(read.problems.map(p => p.message));
  const versions = new Map(
    (await listVersionsByName(database().db, kitchenId)).map(version => [version.versionId, version]),
  );
  const samples = (typed.sample ?? []).slice(0, MOST_SAMPLES).flatMap((own, i) => {
    const version = versions.get(typed.version?.[i] ?? "");
    const name = own.trim().slice(0, 120) || (version ? `${version.name}, version ${version.number}` : "");
    return name ? [{ name, versionId: version?.versionId ?? null, runId: null }] : [];
  });
  const { name, question, seats } = read.value;
  if (kind === "paired comparison" && !question)
    return back(["Say what is asked of the two, such as “saltier”: it must be fixed before anybody tastes."]);
  const duplicate = form.get("duplicate") === "yes" && kind === "scores";
  const plan = servingPlan(kind, {
    samples: samples.length,
    seats: Math.round(seats),
    duplicate,
    start: randomInt(CODES),
  });
  if (!plan.ok) return back(plan.problems.map(p => p.message));
  const id = await addTasting(
    database().db,
    { kitchenId, personId: person.id, now: new Date() },
    {
      name,
      kind,
      question: KINDS[kind] === KINDS["paired comparison"] ? question : "",
      expected: form.get("expected") === "B" ? keyAt(1) : keyAt(0),
      samples,
      duplicate,
    },
    plan.value,
  );
  return redirect(`/tastings/${id}`);
}
