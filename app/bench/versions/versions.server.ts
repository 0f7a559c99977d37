import { z } from "zod";
import { basisOf } from "~/core/formula";
import { type SaveOutcome, database, findFormula, goOnFrom, keepVersion } from "~/data";
import { kitchenFor } from "../../kitchen/kitchen.server";
import type { SectionWithPerson } from "../../people/person.server";

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
