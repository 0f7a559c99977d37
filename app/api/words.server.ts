import { readJson } from "~/core/ground/json";
import { readOut } from "~/core/words";
import { z } from "zod";
import type { Route } from "./+types/words";
import { sectionContext } from "../context.server";
import { snapshotOf } from "../kitchen/kitchen.server";
import { problemJson, problemsJson } from "./problem.server";

const sentSchema = z.strictObject({ text: z.string().max(200_000) });

/** A recipe in words, read and walked in this kitchen: `{ "text": "Sweat 40 g shallots …" }`. */
export async function action({ context, request }: Route.ActionArgs) {
  const sent = readJson((await request.text().catch(() => "")).trim() || "{}");
  if (!sent.ok) return problemsJson(400, "Not JSON", sent.problems);
  const asked = sentSchema.safeParse(sent.value);
  if (!asked.success)
    return problemJson(
      422,
      "No words",
      'Send the recipe as {"text": "Sweat 40 g shallots in 15 g butter. …"}, at most 200 000 signs.',
    );
  const section = context.get(sectionContext);
  return Response.json(readOut(asked.data.text, { ...(await snapshotOf(section)), formulas: {} }));
}

/** Words are sent by POST. */
export const loader = () =>
  problemJson(405, "Ask by POST", 'Send the recipe as JSON by POST: {"text": "…"}.');
