import { data, redirect } from "react-router";
import {
  FIGURES,
  type FormulaDocument,
  diffFormulas,
  eatenShare,
  finalState,
  openKitchen,
  walk,
} from "~/core/formula";
import { type Foreseen, compareVariants } from "~/core/trial";
import {
  batchesOfVersions,
  sampledTastings,
  database,
  decideTrial,
  findFormula,
  findTrial,
  goOnFrom,
  listVersions,
} from "~/data";
import { kitchenFor } from "../kitchen/kitchen.server";
import { holds, requirePerson } from "../people/person.server";
import { formOf } from "../request.server";
import type { Route } from "./+types/trial";

/** Batches of a version from before a trial was written down count as well, so far back, ms. */
const BEFORE_MS = 28 * 24 * 3600_000;

/** The variants of a trial beside each other: foreseen, cooked, tasted. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const { db } = database();
  const trial = await findTrial(db, kitchenId, params.trialId);
  if (!trial) throw data("There is no such trial in this kitchen.", { status: 404 });
  const all = await listVersions(db, kitchenId, trial.formulaId);
  const versions = trial.versionIds.flatMap(id => all.find(v => v.versionId === id) ?? []);
  const [kitchenData, batches, tastings] = await Promise.all([
    kitchenFor(
      section,
      versions.map(v => v.document),
    ),
    batchesOfVersions(db, kitchenId, trial.versionIds, new Date(trial.at.getTime() - BEFORE_MS)),
    sampledTastings(db, kitchenId),
  ]);
  const kitchen = openKitchen(kitchenData);
  const costs = holds(section, "cost");
  const shown = batches.map(batch => ({ ...batch, cost: costs ? batch.cost : null }));
  const walks = versions.map(v => walk(v.document, kitchen));
  const first = versions[0];
  return {
    trial,
    variants: versions.map((version, i) => ({
      versionId: version.versionId,
      number: version.number,
      state: version.state,
      reason: version.reason,
      batches: shown.filter(b => b.versionId === version.versionId).map(({ runId, at }) => ({ runId, at })),
      // Beside the first variant.
      changes:
        first && i > 0
          ? diffFormulas(first.document, version.document, {
              before: walks[0] ?? null,
              after: walks[i] ?? null,
            })
          : [],
    })),
    rows: compareVariants(
      versions.map(({ versionId, document }, i) => ({
        foreseen: foreseenOf(document, walks[i], costs),
        batches: shown.filter(b => b.versionId === versionId),
      })),
    ),
    tastings: tastings
      .filter(t => t.samples.filter(s => s.versionId && trial.versionIds.includes(s.versionId)).length > 1)
      .map(({ id, name, closedAt, decision }) => ({ id, name, closed: closedAt !== null, decision })),
    mayDecide: holds(section, "approve"),
    timeZone: kitchenData.timeZone,
  };
}

function foreseenOf(
  document: FormulaDocument,
  walked: ReturnType<typeof walk> | undefined,
  costs: boolean,
): Foreseen | null {
  const last = walked && !walked.problems.length ? finalState(walked.states) : undefined;
  if (!walked || !last) return null;
  return {
    baseG: document.base.massG,
    actualG: walked.finishedG,
    actualMin: walked.totalS / 60,
    body: last.body?.thickness ?? null,
    brix: FIGURES.brix.of(last),
    salt: eatenShare(last, "salt"),
    ph: null,
    score: null,
    cost: costs && last.cost > 0 ? last.cost : null,
  };
}

const LONGEST = 300;

/** Writes the decision down; where a variant is adopted, the formula goes on from it as its newest version. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const form = await formOf(request);
  const { db } = database();
  const trial = await findTrial(db, kitchenId, params.trialId);
  if (!trial) throw data("There is no such trial in this kitchen.", { status: 404 });
  const decision = String(form.get("decision") ?? "").trim();
  const adopted = trial.versionIds.find(id => id === form.get("adopted")) ?? null;
  const back = (problem: string, status = 422) => data({ problem, typed: decision }, { status });
  if (!decision) return back("Say what was decided and why: the next cook will ask.");
  if (decision.length > LONGEST) return back(`Say it in ${LONGEST} letters.`);
  const change = { kitchenId, personId: person.id, now: new Date() };
  if (adopted) {
    const standing = await findFormula(db, kitchenId, trial.formulaId);
    if (!standing) return back("This sauce is not here any more.", 404);
    const done =
      standing.versionId === adopted ||
      (
        await goOnFrom(db, {
          ...change,
          id: trial.formulaId,
          rowVersion: standing.rowVersion,
          reason: `${trial.name}: ${decision}`.slice(0, LONGEST),
          fromVersionId: adopted,
          as: "draft",
        })
      )?.ok;
    if (!done)
      return back(
        "Somebody has saved this sauce meanwhile. Nothing was decided: look and send it again.",
        409,
      );
  }
  await decideTrial(db, change, trial.id, { adopted, decision });
  return adopted ? redirect(`/bench/${trial.formulaId}`) : redirect(`/ledger/trials/${trial.id}`);
}
