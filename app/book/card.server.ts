import { data } from "react-router";
import { atSize, basisOf, changedSince, deltaOf } from "~/core/formula";
import { USUAL_DISPLAY, displaySchema } from "~/core/things/house";
import { g } from "~/core/ground/quantity";
import { ok } from "~/core/ground/result";
import { attributesOf, readiness } from "~/core/standard";
import {
  batchesOf,
  database,
  findVersion,
  recordsOf,
  saveDisplay,
  signVersion,
  signaturesOf,
  standardOf,
} from "~/data";
import type { Route } from "./+types/card";
import { basisAt, kitchenFor } from "../kitchen/kitchen.server";
import { type SectionWithPerson, holds, requirePerson } from "../people/person.server";
import { readMass } from "../ui/read";
import { type Field, must, number, oneOf, readForm, words } from "../form.server";
import { formOf } from "../request.server";
import { intervalsInPool } from "../workers/pool.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const { db } = database();
  const version = await findVersion(db, kitchenId, params.versionId);
  if (!version) throw data("There is no such card in the Book.", { status: 404 });
  const [today, kept] = await Promise.all([
    kitchenFor(section, [version.document]),
    version.basisHash ? basisAt(version.basisHash) : null,
  ]);
  const query = new URL(request.url).searchParams;
  const asOfToday = query.get("in") === "today";
  const kitchen = asOfToday || !kept ? today : kept;
  const asked = query.get("base");
  const size = asked === null ? null : readMass("The batch size", "kg")(asked);
  const batches = await batchesOf(db, version.versionId);
  const baseG = size?.ok ? size.value : (batches[0]?.baseG ?? version.document.base.massG);
  const document = atSize(version.document, g(baseG));
  const [intervals, signatures, standard, ready] = await Promise.all([
    intervalsInPool(document, kitchen),
    signaturesOf(db, kitchenId, version.versionId),
    standardOf(db, kitchenId, version.id),
    readyOf(kitchenId, version.versionId),
  ]);
  return {
    signatures,
    standard,
    ready,
    maySign: holds(section, "approve"),
    basis: deltaOf(kitchen, today),
    asOfToday,
    since: kept ? changedSince(kept, today, today.formulas) : [],
    version: { ...version, document },
    baseG,
    times: baseG / version.document.base.massG,
    asked,
    refusal: size && !size.ok ? (size.problems[0]?.message ?? null) : null,
    batches,
    intervals,
    display: person.display ?? USUAL_DISPLAY,
    now: Date.now(),
  };
}

/** How ready a version is to be the standard; `null` where none of its batches was measured. */
async function readyOf(kitchenId: string, versionId: string) {
  const found = readiness(attributesOf(await recordsOf(database().db, kitchenId, versionId)));
  return found.ok ? found.value : null;
}

/** Keeps how this cook wants amounts shown, or a signature under the version. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  return form.get("intent") === "sign" ? sign(section, params.versionId, form) : display(section, form);
}

async function sign(section: SectionWithPerson, versionId: string, form: FormData) {
  const { kitchenId, person } = section;
  const read = readForm(form, {
    id: must(signatureId, "Sign it from its card."),
    state: must(oneOf(["trial", "standard", "retired"]), "Say what it is to be."),
    reason: words("The reason", LONGEST_REASON),
  });
  if (!read.ok) return data({ problem: read.problems[0]?.message ?? "" }, { status: 422 });
  const { id, state, reason } = read.value;
  const { db } = database();
  const version = await findVersion(db, kitchenId, versionId);
  if (!version) throw data("There is no such card in the Book.", { status: 404 });
  const ready = await readyOf(kitchenId, versionId);
  const early = state === "standard" && !ready?.ready;
  if (!reason && (early || state === "retired"))
    return data(
      {
        problem: early
          ? "Signed early it wants a reason: say why it is the standard before its batches show it."
          : "Say why nobody is to cook it any more.",
      },
      { status: 422 },
    );
  const kitchen = await kitchenFor(section, [version.document]);
  await signVersion(db, {
    id,
    kitchenId,
    versionId,
    state,
    personId: person.id,
    now: new Date(),
    reason: reason || "Its batches show it.",
    score: ready?.score ?? null,
    basis: document => basisOf(document, kitchen),
  });
  return { problem: null };
}

const LONGEST_REASON = 300;
const ULID = /^[0-9A-HJKMNP-TV-Z]{26}$/;
const signatureId: Field<string | null> = (form, name) => {
  const value = form.get(name);
  return ok(typeof value === "string" && ULID.test(value) ? value : null);
};

async function display({ kitchenId, person }: SectionWithPerson, form: FormData) {
  const read = readForm(form, {
    units: words("Units"),
    roundG: must(number("Rounding"), "Rounded to how many grams?"),
  });
  const chosen = displaySchema.safeParse(read.ok ? read.value : null);
  if (chosen.success) await saveDisplay(database().db, kitchenId, person.id, chosen.data);
  return null;
}
