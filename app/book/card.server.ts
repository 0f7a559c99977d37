import { data } from "react-router";
import { ulid } from "ulid";
import { basisOf, deltaOf } from "~/core/formula";
import { displaySchema } from "~/core/things/house";
import { ok } from "~/core/ground/result";
import { database, findVersion, saveDisplay, signVersion } from "~/data";
import type { Route } from "./+types/card";
import { kitchenFor } from "../kitchen/kitchen.server";
import { type SectionWithPerson, holds, requirePerson } from "../people/person.server";
import { type Field, must, number, oneOf, readForm, words } from "../form.server";
import { formOf } from "../request.server";
import { codeOf, qrOf } from "../paper/code.server";
import { cardAsked, readCard, readyOf } from "./card-data.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const url = new URL(request.url);
  const asked = cardAsked(url.searchParams);
  const read = await readCard(section, params.versionId, asked);
  const { version, document, kitchen, today, ...shown } = read;
  const printed = url.searchParams.get("printed");
  return {
    ...shown,
    maySign: holds(section, "approve"),
    basis: deltaOf(kitchen, today),
    asOfToday: asked.asOfToday,
    version: { ...version, document },
    asked: asked.base,
    columnsAsked: asked.columns,
    // Whoever read the code on a card on the wall asks whether that card still holds.
    printed: printed === null ? null : { same: version.checksum.startsWith(printed), printed },
    code: codeOf(qrOf(url.origin, version)),
    learning: section.person.rank === "trainee",
  };
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
    id: signatureId,
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
    // Sent by script it names itself, so that it counts once however often it is sent.
    id: id ?? ulid(),
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
