import { data, redirect } from "react-router";
import { type Chapter, asCooked, draftOf, fold, isImprovised, storyOf } from "~/core/run";
import { atSize, changedSince, kindOf, openKitchen } from "~/core/formula";
import { g } from "~/core/ground/quantity";
import { VERDICT_WORDS } from "~/core/laws/cooling";
import {
  coolingOf,
  database,
  eventsOf,
  findBatch,
  findFormula,
  findRun,
  findVersion,
  holdAgainst,
  referencePhotos,
  saveFormula,
} from "~/data";
import { foldLive, loadRuns } from "../range/live-run.server";
import { basisAt, kitchenFor, snapshotOf } from "../kitchen/kitchen.server";
import { type SectionWithPerson, holds, requirePerson } from "../people/person.server";
import { formOf } from "../request.server";
import type { Route } from "./+types/batch";
import type { Cooled } from "./time-line";
import { verdictOf } from "../cold/cold.server";

/** A batch as it was booked: its figures are not worked out anew; its story is told from its readings. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, people } = section;
  const { db } = database();
  const batch = await findBatch(db, kitchenId, params.runId);
  const version = batch && (await findVersion(db, kitchenId, batch.formulaVersionId));
  if (!batch || !version) throw data("There is no such batch in this kitchen.", { status: 404 });
  const since = batch.basisHash
    ? await Promise.all([basisAt(batch.basisHash), kitchenFor(section, [version.document])])
    : null;
  const opened = openKitchen({ ...(await snapshotOf(section)), formulas: {} });
  const [chapters, held, cooling] = await Promise.all([
    chaptersOf(section, params.runId),
    referencePhotos(db, kitchenId, version.id),
    coolingOf(db, kitchenId, [params.runId]),
  ]);
  return {
    batch,
    chapters,
    held,
    cooling: cooling.map(({ log, entries }): Cooled => {
      const verdict = verdictOf(log, entries, opened);
      return {
        id: log.id,
        from: entries[0]?.at.getTime() ?? null,
        words: `${log.name}: ${VERDICT_WORDS[verdict]}`,
        failed: verdict === "fail",
      };
    }),
    mayEdit: holds(section, "edit"),
    name: version.document.name,
    versionNumber: version.number,
    since: since ? changedSince(since[0], since[1], since[1].formulas) : [],
    people,
  };
}

/** Makes what was cooked the new version of its formula; it is a draft, with its differences to be looked at on the Bench. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const { db } = database();
  const form = await formOf(request);
  if (form.get("intent") === "reference") return hold(section, params.runId, form);
  const run = await findRun(db, kitchenId, params.runId);
  const stored = run && (await findFormula(db, kitchenId, run.formulaId));
  const [loaded] = run && !run.rehearsal ? await loadRuns(section, [run]) : [];
  if (!stored || !loaded) throw data("There is no such batch in this kitchen.", { status: 404 });
  const state = foldLive(loaded);
  const { document, changes } = isImprovised(loaded.live.document)
    ? draftOf(state, stored.document)
    : asCooked(state, stored.document);
  if (changes.length)
    await saveFormula(db, {
      kitchenId,
      id: stored.id,
      rowVersion: stored.rowVersion,
      document,
      personId: person.id,
      now: new Date(),
    });
  return redirect(`/bench/${stored.id}`);
}

/** Holds the sauce against one of the pictures of this batch. */
async function hold({ kitchenId, person }: SectionWithPerson, runId: string, form: FormData) {
  const { db } = database();
  const run = await findRun(db, kitchenId, runId);
  const what = (["colour", "clarity"] as const).find(one => one === form.get("what"));
  const done =
    run &&
    what &&
    (await holdAgainst(
      db,
      { kitchenId, personId: person.id, now: new Date() },
      { formulaId: run.formulaId, what, photoId: String(form.get("photo") ?? "") },
    ));
  if (!done) throw data("There is no such picture of this sauce.", { status: 404 });
  return redirect(`/batch/${runId}`);
}

/** What happened to it, from its own readings, walked in the kitchen it was cooked in. */
async function chaptersOf(section: SectionWithPerson, runId: string): Promise<Chapter[]> {
  const { db } = database();
  const run = await findRun(db, section.kitchenId, runId);
  const version = run && (await findVersion(db, section.kitchenId, run.formulaVersionId));
  if (!run || !version) return [];
  const document = atSize(version.document, g(run.baseG));
  const [kitchen, events] = await Promise.all([
    run.basisHash ? basisAt(run.basisHash) : kitchenFor(section, [document]),
    eventsOf(db, [run.id]),
  ]);
  const folded = fold(events[run.id] ?? [], document, openKitchen(kitchen, {}, run.burnerId));
  return storyOf(folded, ({ step, lines }) =>
    kindOf(step).title(
      step,
      lines.map(line => line.name),
    ),
  );
}
