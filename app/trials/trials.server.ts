import { data, redirect } from "react-router";
import { ulid } from "ulid";
import { addTrial, database, findFormula, formulaNames, listTrials, listVersions } from "~/data";
import { calledBy, must, readForm, words } from "../form.server";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { formOf, listsOf } from "../request.server";
import type { Route } from "./+types/trials";

const MOST_VARIANTS = 5;

/** Trials so far; with a sauce chosen, its versions to choose from. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const { db } = database();
  const asked = new URL(request.url).searchParams.get("sauce") ?? "";
  const [trials, sauces, versions, { timeZone }] = await Promise.all([
    listTrials(db, kitchenId),
    formulaNames(db, kitchenId),
    asked ? listVersions(db, kitchenId, asked) : [],
    snapshotOf(section),
  ]);
  return {
    trials,
    sauces: Object.entries(sauces).map(([id, { name }]) => ({ id, name })),
    sauce: versions[0] ? { id: asked, name: versions[0].document.name } : null,
    versions: versions.map(({ versionId, number, state, reason, editedAt }) => ({
      versionId,
      number,
      state,
      reason,
      editedAt,
    })),
    timeZone,
  };
}

/** Sets a trial up. */
export async function action({ context, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const form = await formOf(request);
  const typed = listsOf(form);
  const back = (problems: readonly string[]) => data({ problems, typed }, { status: 422 });
  const read = readForm(form, {
    name: calledBy(120),
    difference: must(words("What differs", 300), "Say the one thing that differs."),
  });
  if (!read.ok) return back(read.problems.map(p => p.message));
  const { db } = database();
  const formulaId = String(form.get("formulaId") ?? "");
  const stored = await findFormula(db, kitchenId, formulaId);
  if (!stored) return back(["That sauce is not here any more."]);
  const own = new Set((await listVersions(db, kitchenId, formulaId)).map(v => v.versionId));
  const versionIds = [...new Set(typed.version ?? [])].filter(id => own.has(id)).slice(0, MOST_VARIANTS);
  if (versionIds.length < 2) return back(["Choose at least two versions to set against each other."]);
  if (!read.value.difference) return back(["Say the one thing that differs."]);
  const id = ulid();
  await addTrial(
    db,
    { kitchenId, personId: person.id, now: new Date() },
    { id, formulaId, versionIds, ...read.value },
  );
  return redirect(`/ledger/trials/${id}`);
}
