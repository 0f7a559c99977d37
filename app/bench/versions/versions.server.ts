import { data, redirect } from "react-router";
import { formOf } from "../../request.server";
import type { Route } from "./+types/versions";
import { z } from "zod";
import { basisOf } from "~/core/formula";
import { type SaveOutcome, database, findFormula, goOnFrom, keepVersion, listVersions } from "~/data";
import { drawnOnBy, kitchenFor } from "../../kitchen/kitchen.server";
import { type SectionWithPerson, requirePerson } from "../../people/person.server";

const asked = z.object({
  intent: z.enum(["keep", "restore", "branch"]),
  reason: z.string().trim().min(1).max(300),
  rowVersion: z.coerce.number().int(),
  version: z.string().optional(),
});

/** Keeps, branches or restores a version; a message where nothing was done. */
export async function changeVersions(
  section: SectionWithPerson,
  id: string,
  form: FormData,
): Promise<string | null> {
  const read = asked.safeParse(Object.fromEntries(form));
  if (!read.success) return "Say why in a few words: the next cook will want to know.";
  const { intent, reason, rowVersion, version } = read.data;
  const input = {
    kitchenId: section.kitchenId,
    id,
    rowVersion,
    reason,
    personId: section.person.id,
    now: new Date(),
  };
  const { db } = database();
  const standing = await findFormula(db, section.kitchenId, id);
  if (!standing) return "This formula is not here any more.";
  const kitchen = await kitchenFor(section, [standing.document]);
  const outcome: SaveOutcome | null =
    intent === "keep"
      ? await keepVersion(db, { ...input, basis: document => basisOf(document, kitchen) })
      : await goOnFrom(db, {
          ...input,
          fromVersionId: version ?? "",
          as: intent === "branch" ? "trial" : "draft",
        });
  if (!outcome) return "This formula is not here any more.";
  return outcome.ok
    ? null
    : `${outcome.current.editedBy} saved this formula meanwhile. What stands now is shown; nothing was changed.`;
}

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const versions = await listVersions(database().db, section.kitchenId, params.formulaId);
  if (!versions.length) throw data("There is no such formula in this kitchen.", { status: 404 });
  const drawnOn = await drawnOnBy(
    section,
    versions.map(v => v.document),
  );
  return { drawnOn, versions };
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  const problem = await changeVersions(section, params.formulaId, form);
  if (problem) return data({ problem }, { status: 409 });
  return form.get("intent") === "keep"
    ? redirect(`/bench/${params.formulaId}/versions`)
    : redirect(`/bench/${params.formulaId}`);
}
