import { data } from "react-router";
import { NOMINAL_FACTS, reachOf } from "~/core/ground/facts";
import {
  FIRST_WEEK,
  type GroupId,
  type Learned,
  MARKS,
  factsTaken,
  isLesson,
  learnedOf,
  readingsOf,
  withYield,
} from "~/core/learning";
import { readingsInWords } from "./words";
import {
  type Taken,
  allBodyReadings,
  database,
  findStoredIngredient,
  learnedMarks,
  markLearned,
  teachingBatches,
  yieldReadings,
} from "~/data";
import { dayIn } from "../day/calendar-day";
import { snapshotOf } from "../kitchen/kitchen.server";
import { type SectionWithPerson, holds, requirePerson } from "../people/person.server";
import { formOf } from "../request.server";
import type { Route } from "./+types/learned";

/** So many readings of a value are shown. */
const SHOWN = 24;

async function found(section: SectionWithPerson) {
  const { kitchenId } = section;
  const { db } = database();
  const [kitchen, batches, body, yields, marks] = await Promise.all([
    snapshotOf(section),
    teachingBatches(db, kitchenId),
    allBodyReadings(db, kitchenId),
    yieldReadings(db, kitchenId),
    learnedMarks(db, kitchenId),
  ]);
  return {
    kitchen,
    body,
    learned: learnedOf({ ...kitchen, formulas: {} }, { batches, body, yields, marks }),
  };
}

/** Everything the kitchen’s readings teach, and the first week’s programme. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchen, body, learned } = await found(section);
  return {
    learned: learned.map(one => ({ ...one, evidence: one.evidence.slice(-SHOWN) })),
    week: FIRST_WEEK.map(day => ({ ...day, done: readingsOf(day, body) })),
    maySay: holds(section, "approve"),
    timeZone: kitchen.timeZone,
  };
}

/** Takes, resets, freezes or frees a learned value. */
export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const form = await formOf(request);
  const { kitchen, learned } = await found(section);
  const one = learned.find(l => l.group === form.get("group") && l.key === form.get("key"));
  const kind = MARKS.find(mark => mark === form.get("kind"));
  if (!one || !kind)
    return data({ problem: "Nothing of that kind is learned here any more: look again." }, { status: 404 });
  if (kind === "accepted" && one.n === 0)
    return data({ problem: "There is no reading to take it from." }, { status: 422 });
  const now = new Date();
  const taken = kind === "accepted" || kind === "reset" ? await moved(one, kind) : {};
  const kept = await markLearned(
    database().db,
    { kitchenId, personId: person.id, now },
    { group: one.group, key: one.key, kind, value: kind === "accepted" ? one.now : null },
    taken,
  );
  return kept
    ? data({ problem: null })
    : data({ problem: "Somebody has changed that ingredient this moment: look again." }, { status: 409 });

  async function moved(of: Learned, as: "accepted" | "reset"): Promise<Taken> {
    if (isLesson(of.group)) {
      const lesson = { what: of.group, of: of.key };
      const facts = { ...NOMINAL_FACTS, ...kitchen.facts };
      const values = factsTaken(lesson, of.now, facts, reachOf);
      if (as === "accepted") return { facts: values };
      return of.accepted ? { facts: values.map(({ id }) => ({ id, value: null })) } : {};
    }
    const what = YIELDS[of.group];
    if (!what || as === "reset") return {};
    const stored = await findStoredIngredient(database().db, kitchenId, of.key);
    if (!stored) return {};
    const { ingredient, rowVersion } = stored;
    const source = {
      mark: "measured" as const,
      text: `${readingsInWords(of.n)} in this kitchen, to ${dayIn(now, kitchen.timeZone)}`,
    };
    const range = { value: of.now, lo: of.lo ?? of.now, hi: of.hi ?? of.now };
    return { ingredient: { of: withYield(ingredient, what, range, source), rowVersion } };
  }
}

const YIELDS: Readonly<Partial<Record<GroupId, "trimmed" | "per piece">>> = {
  trim: "trimmed",
  piece: "per piece",
};
