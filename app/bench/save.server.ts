import { isValid, ulid } from "ulid";
import { z } from "zod";
import {
  type FormulaDocument,
  atSize,
  basisOf,
  nameOfFormula,
  openKitchen,
  readFormula,
  walk,
} from "~/core/formula";
import { g } from "~/core/ground/quantity";
import { roomOn } from "~/core/kit";
import { type Rehearsal, database, findFormula, liveRuns, saveFormula, startRun } from "~/data";
import { kitchenFor } from "../kitchen/kitchen.server";
import type { SectionWithPerson } from "../people/person.server";
import type { CookReply, SaveReply } from "./replies";

const saveSchema = z.object({
  intent: z.literal("save"),
  rowVersion: z.number().int(),
  document: z.unknown(),
});

/** Saves an edit from the Bench. */
export async function saveEdit(
  section: SectionWithPerson,
  id: string,
  body: unknown,
): Promise<{ reply: SaveReply; status: number }> {
  const asked = saveSchema.safeParse(body);
  if (!asked.success)
    return {
      reply: { kind: "refused", message: "The formula did not arrive whole. Load the page again." },
      status: 422,
    };
  const document = readFormula(asked.data.document);
  if (!document.ok)
    return {
      reply: {
        kind: "refused",
        message: document.problems[0]?.message ?? "This formula cannot be kept as it is.",
      },
      status: 422,
    };
  const outcome = await saveFormula(database().db, {
    kitchenId: section.kitchenId,
    id,
    rowVersion: asked.data.rowVersion,
    document: document.value,
    personId: section.person.id,
    now: new Date(),
  });
  if (!outcome)
    return { reply: { kind: "refused", message: "This formula is not here any more." }, status: 404 };
  if (!outcome.ok) return { reply: { kind: "conflict", theirs: outcome.current }, status: 409 };
  return {
    reply: { kind: "saved", rowVersion: outcome.saved.rowVersion, number: outcome.saved.number },
    status: 200,
  };
}

/** The recipe as it is kept, at the size the form asks for: who may not change it may cook any size of it. */
function sized(document: FormulaDocument, form: FormData): FormulaDocument {
  const massG = Number(form.get("base"));
  return massG > 0 && Number.isFinite(massG) ? atSize(document, g(massG)) : document;
}

/** Puts the formula on the fire at the size it stands at. Refused while its line cannot be walked to the end. */
export async function cook(section: SectionWithPerson, id: string, form: FormData): Promise<CookReply> {
  const { db } = database();
  const burnerId = form.get("burner");
  const named = String(form.get("run") ?? "");
  const stored = await findFormula(db, section.kitchenId, id);
  if (!stored) return { problem: "This formula is not here any more." };
  const document = sized(stored.document, form);
  const kitchen = await kitchenFor(section, [document]);
  const burner = kitchen.burners.find(b => b.id === (burnerId ?? kitchen.defaultBurnerId));
  if (!burner) return { problem: "That burner is not part of this range. Choose another." };
  const rehearsal = rehearsalOf(form, document);
  const onIt = (await liveRuns(db, section.kitchenId)).filter(run => run.burnerId === burner.id);
  if (
    !rehearsal &&
    onIt.length >= roomOn(burner) &&
    !onIt.some(run => run.id === named) &&
    form.get("taken") !== burner.id
  ) {
    const name = nameOfFormula(kitchen, onIt[0]?.formulaId ?? "") ?? "another pot";
    return {
      taken: burner.id,
      problem: `${name}${onIt.length > 1 ? ` and ${onIt.length - 1} more` : ""} cooks on ${burner.name} already. Choose another burner, or press again to put this beside it.`,
    };
  }
  const walked = walk(document, openKitchen(kitchen, {}, burner.id));
  const stops = walked.problems[0];
  if (stops) return { problem: `It cannot be cooked as it stands: ${stops.message}` };
  if (!walked.states.length) return { problem: "There is no step to cook yet. Add one first." };
  const runId = await startRun(db, {
    id: isValid(named) ? named : ulid(),
    kitchenId: section.kitchenId,
    formulaId: id,
    formulaVersionId: stored.versionId,
    baseG: document.base.massG,
    burnerId: burner.id,
    personId: section.person.id,
    now: new Date(),
    basis: basisOf(document, kitchen, burner.id),
    ...(rehearsal && { rehearsal }),
  });
  return { runId };
}

/** A rehearsal runs as fast as a trainee has patience for. */
const MOST_SPEED = 120;

/** Cooked on the simulated stove, if the form says so: on another stove each time. */
function rehearsalOf(form: FormData, document: FormulaDocument): Rehearsal | null {
  const speed = Number(form.get("rehearse") ?? 0);
  if (!(speed >= 1)) return null;
  return { speed: Math.min(MOST_SPEED, speed), seed: Math.floor(Math.random() * 2 ** 31), document };
}
